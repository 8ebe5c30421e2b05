import type { Surface } from './surface';

/** Ridges narrower than this are cut off by a blade run over the dry coat, mm. */
const RIDGE_MM = 5;

/**
 * Scrapes a hardened coat: ridges narrower than 5 mm are cut off, nothing else is touched.
 * @returns the scraped surface; never above the one given
 */
export function scraped(surface: Surface): Surface {
  const size = surface.length;
  const half = Math.floor(RIDGE_MM / 2);
  const least = new Float64Array(size);
  const over = (from: Surface, into: Surface, pick: (a: number, b: number) => number) => {
    for (let i = 0; i < size; i++) {
      let best = from[i] as number;
      for (let k = Math.max(0, i - half); k <= Math.min(size - 1, i + half); k++)
        best = pick(best, from[k] as number);
      into[i] = best;
    }
  };
  // The lowest within reach, then the highest of those: a ridge narrower than the reach is gone.
  over(surface, least, Math.min);
  const cut = new Float64Array(size);
  over(least, cut, Math.max);
  return cut;
}

export interface Sanding {
  /** Width of the pad, mm. */
  padMm: number;
  /** Taken off at most by one pass, mm. */
  biteMm: number;
  passes: number;
}

/** The usual pad and bite; typical. */
export const USUAL_SANDING: Sanding = { padMm: 230, biteMm: 0.05, passes: 2 };

/**
 * Sands a surface: each pass lowers it toward its moving average under the pad, never below it, by the bite at
 * most.
 * @returns the sanded surface, and what came off, mL per metre of joint
 */
export function sanded(
  surface: Surface,
  { padMm, biteMm, passes }: Sanding,
): { surface: Surface; offMl: number } {
  const size = surface.length;
  const half = Math.max(1, Math.round(padMm / 2));
  let now = surface;
  let offMl = 0;
  for (let pass = 0; pass < passes; pass++) {
    const sums = new Float64Array(size + 1);
    for (let i = 0; i < size; i++) sums[i + 1] = (sums[i] as number) + (now[i] as number);
    const next = new Float64Array(size);
    for (let i = 0; i < size; i++) {
      // The pad stays level with the wall beyond the ends of the section.
      const [lo, hi] = [Math.max(0, i - half), Math.min(size - 1, i + half)];
      const mean = ((sums[hi + 1] as number) - (sums[lo] as number)) / (hi - lo + 1);
      const y = now[i] as number;
      const down = Math.max(0, Math.min(biteMm, y - mean));
      next[i] = y - down;
      // The ends of a section stand for half a sample, as where its area is reckoned.
      offMl += i === 0 || i === size - 1 ? down / 2 : down;
    }
    now = next;
  }
  return { surface: now, offMl };
}
