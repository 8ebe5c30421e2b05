import type { Surface } from './surface';

/**
 * The high points that a straight blade or straightedge rests on between two samples: their upper convex hull.
 * @param hull takes their places, from left to right; as long as the stretch
 * @returns how many they are
 */
export function hullOver(surface: Surface, from: number, to: number, hull: Int32Array): number {
  let top = 0;
  for (let i = from; i <= to; i++) {
    // Drop points that lie under the chord from the one before them to this one.
    while (top > 1) {
      const a = hull[top - 2] as number;
      const b = hull[top - 1] as number;
      const fa = surface[a] as number;
      if (((surface[b] as number) - fa) * (i - a) > ((surface[i] as number) - fa) * (b - a)) break;
      top--;
    }
    hull[top++] = i;
  }
  return top;
}
