import type { Sheen } from '../finish';
import { SAMPLES, type Surface } from '../section';

/** Contrast at which a joint starts to show, by sheen; typical. */
export const SHOWS_ABOVE: Record<Sheen, number> = {
  flat: 0.1,
  eggshell: 0.06,
  satin: 0.045,
  'semi-gloss': 0.03,
  gloss: 0.02,
};

/** The eye smooths over about this width, mm. */
const EYE_MM = 10;

const KERNEL = (() => {
  const reach = 4 * EYE_MM;
  const weights = Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-((i - reach) ** 2) / (2 * EYE_MM ** 2)),
  );
  const sum = weights.reduce((a, b) => a + b, 0);
  return Float64Array.from(weights, (w) => w / sum);
})();

/**
 * Brightness of a section lit along the wall, against the flat wall around it, as the eye smooths it.
 * @param grazingDeg angle of the light from the wall plane, degrees
 * @returns a share for each sample: 0.1 is a tenth brighter, −0.1 darker; nothing near the ends
 */
export function contrastAcross(surface: Surface, grazingDeg: number): Float64Array {
  const alpha = (grazingDeg * Math.PI) / 180;
  const raw = new Float64Array(SAMPLES);
  const sin = Math.sin(alpha);
  for (let i = 1; i < SAMPLES - 1; i++) {
    const slope = ((surface[i + 1] as number) - (surface[i - 1] as number)) / 2;
    raw[i] = slope === 0 ? 0 : Math.sin(alpha + Math.atan(slope)) / sin - 1;
  }
  const reach = (KERNEL.length - 1) / 2;
  const seen = new Float64Array(SAMPLES);
  for (let i = reach; i < SAMPLES - reach; i++) {
    let sum = 0;
    for (let k = 0; k < KERNEL.length; k++) sum += (KERNEL[k] as number) * (raw[i + k - reach] as number);
    seen[i] = sum;
  }
  return seen;
}

/** The strongest contrast of a section, brighter or darker; a share. */
export function strongestContrast(surface: Surface, grazingDeg: number): number {
  let strongest = 0;
  for (const c of contrastAcross(surface, grazingDeg)) if (Math.abs(c) > strongest) strongest = Math.abs(c);
  return strongest;
}
