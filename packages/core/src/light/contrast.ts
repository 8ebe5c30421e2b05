import type { Book } from '../book';
import type { Sheen } from '../finish';
import type { Surface } from '../section';

/** Contrast from which on a joint shows in a sheen, a share. */
export const showsAbove = (sheen: Sheen, book: Book): number => book[`shows-${sheen}`].value;

/** The eye smooths over about this width from where a wall is looked at, mm; from farther off in proportion. */
export const EYE_MM = 10;

/** Weights of a Gaussian of the eye's width, one a sample, out to four of its widths. */
function kernelOf(stepMm: number): Float64Array {
  const reach = Math.round((4 * EYE_MM) / stepMm);
  const weights = Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-(((i - reach) * stepMm) ** 2) / (2 * EYE_MM ** 2)),
  );
  const sum = weights.reduce((a, b) => a + b, 0);
  return Float64Array.from(weights, (w) => w / sum);
}
const KERNEL = kernelOf(1);

/** Brightness of a section before the eye smooths it, and the stretch of it that is not flat. */
interface Lit {
  raw: Float64Array;
  first: number;
  last: number;
}

function litAcross(surface: Surface, grazingDeg: number, stepMm: number): Lit {
  const alpha = (grazingDeg * Math.PI) / 180;
  const [sin, cos] = [Math.sin(alpha), Math.cos(alpha)];
  const size = surface.length;
  const raw = new Float64Array(size);
  // Board that no coat has reached is flat: nothing is smoothed there.
  let [first, last] = [size, -1];
  for (let i = 1; i < size - 1; i++) {
    const slope = ((surface[i + 1] as number) - (surface[i - 1] as number)) / (2 * stepMm);
    if (slope === 0) continue;
    // sin(α + θ) / sin α − 1 with tan θ the slope, without the detour by its angle.
    raw[i] = (sin + cos * slope) / (sin * Math.sqrt(1 + slope * slope)) - 1;
    if (i < first) first = i;
    last = i;
  }
  return { raw, first, last };
}

/** One sample as the eye smooths it; the kernel is the same on both sides. */
function smoothedAt(raw: Float64Array, i: number, kernel: Float64Array, reach: number): number {
  let sum = (kernel[reach] as number) * (raw[i] as number);
  for (let k = 1; k <= reach; k++)
    sum += (kernel[reach + k] as number) * ((raw[i - k] as number) + (raw[i + k] as number));
  return sum;
}

/**
 * Brightness of a section lit along the wall, against the flat wall around it, as the eye smooths it.
 * @param grazingDeg angle of the light from the wall plane, degrees
 * @returns a share for each sample: 0.1 is a tenth brighter, −0.1 darker; nothing near the ends
 */
export function contrastAcross(surface: Surface, grazingDeg: number, stepMm = 1): Float64Array {
  const { raw, first, last } = litAcross(surface, grazingDeg, stepMm);
  const kernel = stepMm === 1 ? KERNEL : kernelOf(stepMm);
  const reach = (kernel.length - 1) / 2;
  const seen = new Float64Array(surface.length);
  const to = Math.min(surface.length - reach, last + reach + 1);
  for (let i = Math.max(reach, first - reach); i < to; i++) seen[i] = smoothedAt(raw, i, kernel, reach);
  return seen;
}

/** The strongest contrast of a section, brighter or darker; a share. */
export function strongestContrast(surface: Surface, grazingDeg: number, stepMm = 1): number {
  let strongest = 0;
  for (const c of contrastAcross(surface, grazingDeg, stepMm))
    if (Math.abs(c) > strongest) strongest = Math.abs(c);
  return strongest;
}

/** Whether no contrast of a section is stronger than a limit; a search asks no more, and is told so at the first. */
export function staysUnder(surface: Surface, grazingDeg: number, limit: number): boolean {
  const { raw, first, last } = litAcross(surface, grazingDeg, 1);
  const reach = (KERNEL.length - 1) / 2;
  const from = Math.max(reach, first - reach);
  const to = Math.min(surface.length - reach, last + reach + 1);
  // A few samples far apart find most of what shows; only what is left is looked at one by one.
  for (const step of [16, 1])
    for (let i = from; i < to; i += step)
      if (Math.abs(smoothedAt(raw, i, KERNEL, reach)) > limit) return false;
  return true;
}
