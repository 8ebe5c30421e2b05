import type { Blade } from '../coat';
import { HALF, SAMPLES, type Surface } from './surface';

const hull = new Int32Array(SAMPLES);
const raised = new Float64Array(SAMPLES);

/**
 * Raises a surface to what one pull of a blade leaves: the blade rides on the high points (the upper
 * convex hull under it) and its bow leaves a little more in the middle.
 * @param wet heights in mm, one a millimetre; changed in place
 */
export function pull(wet: Surface, blade: Blade): void {
  const middle = blade.offsetMm + HALF;
  const reach = blade.widthMm / 2;
  const from = Math.max(0, Math.ceil(middle - reach));
  const to = Math.min(SAMPLES - 1, Math.floor(middle + reach));
  let top = 0;
  for (let i = from; i <= to; i++) {
    // Drop points that lie under the chord from the one before them to this one.
    while (top > 1) {
      const a = hull[top - 2] as number;
      const b = hull[top - 1] as number;
      const fa = wet[a] as number;
      if (((wet[b] as number) - fa) * (i - a) > ((wet[i] as number) - fa) * (b - a)) break;
      top--;
    }
    hull[top++] = i;
  }
  for (let k = 0; k + 1 < top; k++) {
    const a = hull[k] as number;
    const b = hull[k + 1] as number;
    const fa = wet[a] as number;
    const rise = ((wet[b] as number) - fa) / (b - a);
    for (let i = a + (k > 0 ? 1 : 0); i <= b; i++) {
      const u = (i - middle) / reach;
      const left = fa + rise * (i - a) + blade.camberMm * Math.max(0, 1 - u * u);
      // Kept aside until the whole blade is done: the end of one chord is the start of the next.
      raised[i] = Math.max(left, wet[i] as number);
    }
  }
  for (let i = from; i <= to; i++) wet[i] = raised[i] as number;
}
