import { hullOver } from './hull';
import { middleOf, type Surface } from './surface';

/** Straightedges a finished joint is tried with: a wide blade and a level, mm. */
export const STRAIGHTEDGES = { blade: 305, level: 1200 } as const;

/** A straightedge is moved on by this much between tries, mm. */
const STEP_MM = 5;

export interface Hollow {
  depthMm: number;
  /** Where it is deepest, from the middle of the joint, mm. */
  atMm: number;
}

/**
 * The deepest hollow under a straightedge laid across the joint anywhere: it rests on the high points within its
 * length (their upper convex hull), and the light shows under it.
 * @param surface heights, mm, one a millimetre
 */
export function deepestUnder(surface: Surface, lengthMm: number): Hollow {
  const reach = Math.min(surface.length - 1, Math.round(lengthMm));
  const hull = new Int32Array(reach + 1);
  let depthMm = 0;
  let at = middleOf(surface);
  for (let from = 0; from + reach < surface.length; from += STEP_MM) {
    const top = hullOver(surface, from, from + reach, hull);
    for (let k = 0; k + 1 < top; k++) {
      const a = hull[k] as number;
      const b = hull[k + 1] as number;
      const fa = surface[a] as number;
      const rise = ((surface[b] as number) - fa) / (b - a);
      for (let i = a + 1; i < b; i++) {
        const gap = fa + rise * (i - a) - (surface[i] as number);
        if (gap > depthMm) {
          depthMm = gap;
          at = i;
        }
      }
    }
  }
  return { depthMm, atMm: at - middleOf(surface) };
}

/** The steepest the surface gets, mm a metre, over two millimetres. */
export function steepest(surface: Surface): number {
  let most = 0;
  for (let i = 1; i < surface.length - 1; i++) {
    const slope = Math.abs((surface[i + 1] as number) - (surface[i - 1] as number)) / 2;
    if (slope > most) most = slope;
  }
  return most * 1000;
}

/** The tallest point above the true plane, mm. */
export const crownOf = (surface: Surface): number => surface.reduce((most, y) => Math.max(most, y), 0);

/**
 * The deepest hollow on two faces laid flat side by side: the straightedge lies on one or the other, never across.
 * @param surface two faces that meet in the middle
 */
export function deepestOnFaces(surface: Surface, lengthMm: number): Hollow {
  const middle = middleOf(surface);
  const on = (from: number, to: number, offMm: number): Hollow => {
    const face = surface.slice(from, to);
    const { depthMm, atMm } = deepestUnder(face, Math.min(lengthMm, face.length - 1));
    return { depthMm, atMm: atMm + offMm };
  };
  const left = on(0, middle + 1, -middle / 2);
  const right = on(middle, surface.length, middle / 2);
  return left.depthMm > right.depthMm ? left : right;
}

/** Mud between two surfaces of a head or a round spot, mL: the section turned about its middle. */
export function turnedMl(surface: Surface, under: Surface): number {
  const middle = middleOf(surface);
  return surface.reduce(
    (sum, y, i) => sum + (Math.PI * Math.abs(i - middle) * (y - (under[i] as number))) / 1000,
    0,
  );
}
