import type { Blade } from '../coat';
import { hullOver } from './hull';
import { middleOf, type Surface } from './surface';

let hull = new Int32Array(2048);
let raised = new Float64Array(2048);

/** A box rides on runners this wide at the ends of its blade, mm. */
const RUNNER_MM = 15;

/**
 * Raises a surface to what one pull of a blade leaves: the blade rides on the high points (the upper
 * convex hull under it) and its bow leaves a little more in the middle. A box rides on its runners at both
 * ends instead, and passes over what stands between them.
 * @param wet heights in mm; changed in place
 */
export function pull(wet: Surface, blade: Blade, stepMm = 1): void {
  if (wet.length > hull.length) {
    hull = new Int32Array(wet.length);
    raised = new Float64Array(wet.length);
  }
  const middle = blade.offsetMm / stepMm + middleOf(wet);
  const reach = blade.widthMm / 2 / stepMm;
  const from = Math.max(0, Math.ceil(middle - reach));
  const to = Math.min(wet.length - 1, Math.floor(middle + reach));
  const top = blade.boxed ? runners(wet, from, to, RUNNER_MM / stepMm) : hullOver(wet, from, to, hull);
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

/**
 * How much a box must leave at its middle to lay a film over what stands there, mm. Judged over the middle
 * quarter of the blade, where the crown is; towards its ends a box leaves less whatever its dial says.
 * @param under what stands on the wall, mm
 * @param wet the same with what lies on it already in this coat: the runners ride on it
 */
export function camberOver(under: Surface, wet: Surface, blade: Blade, filmMm: number, stepMm = 1): number {
  const middle = blade.offsetMm / stepMm + middleOf(wet);
  const reach = blade.widthMm / 2 / stepMm;
  const from = Math.max(0, Math.ceil(middle - reach));
  const to = Math.min(wet.length - 1, Math.floor(middle + reach));
  const top = runners(wet, from, to, RUNNER_MM / stepMm);
  let most = 0;
  for (let k = 0; k + 1 < top; k++) {
    const [a, b] = [hull[k] as number, hull[k + 1] as number];
    const fa = wet[a] as number;
    const rise = ((wet[b] as number) - fa) / (b - a);
    for (let i = Math.max(a, Math.ceil(middle - reach / 4)); i <= Math.min(b, middle + reach / 4); i++) {
      const u = (i - middle) / reach;
      most = Math.max(most, ((under[i] as number) - fa - rise * (i - a) + filmMm) / (1 - u * u));
    }
  }
  return most;
}

/** Fills `hull` with the two ends of a box and the highest point under each of its runners. */
function runners(wet: Surface, from: number, to: number, runner: number): number {
  const wide = Math.max(1, Math.min(Math.floor(runner), Math.floor((to - from) / 2) - 1));
  let [left, right] = [from, to];
  for (let i = from; i <= from + wide; i++) if ((wet[i] as number) > (wet[left] as number)) left = i;
  for (let i = to; i >= to - wide; i--) if ((wet[i] as number) > (wet[right] as number)) right = i;
  let top = 0;
  for (const i of [from, left, right, to]) if (top === 0 || i > (hull[top - 1] as number)) hull[top++] = i;
  return top;
}
