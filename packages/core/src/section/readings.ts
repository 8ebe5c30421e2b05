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
 *
 * Every place the straightedge is tried at lies over one of the points that stand its length apart. What it rests on
 * left and right of such a point is told once, going outwards; at each place the two sides are joined by the one chord
 * that spans what lies between them. A chord of one side that this covers is measured too: it is never the deeper.
 * @param surface heights, mm, one a millimetre
 */
export function deepestUnder(surface: Surface, lengthMm: number): Hollow {
  const reach = Math.max(1, Math.min(surface.length - 1, Math.round(lengthMm)));
  const found: Hollow = { depthMm: 0, atMm: 0 };
  const left = new Resting(surface, reach, -1);
  const right = new Resting(surface, reach, 1);
  for (let middle = reach; middle < surface.length; middle += reach) {
    left.begin(middle);
    right.begin(middle);
    left.reachTo(middle - reach);
    const last = Math.min(middle - 1, surface.length - 1 - reach);
    for (let from = Math.ceil((middle - reach) / STEP_MM) * STEP_MM; from <= last; from += STEP_MM) {
      left.backTo(from);
      right.reachTo(from + reach);
      left.measure(found);
      right.measure(found);
      bridge(surface, left, right, found);
    }
  }
  return found;
}

/** What a straightedge rests on to one side of a point, as it reaches farther from it. */
class Resting {
  /** The points it rests on, going outwards. */
  readonly on: Int32Array;
  count = 0;
  private middle = 0;
  private end = 0;
  /** What each point took the place of, to go back again: how many there were, and which. */
  private readonly were: Int32Array;
  private readonly was: Int32Array;
  private readonly measured: Uint8Array;

  constructor(
    private readonly surface: Surface,
    reach: number,
    private readonly way: 1 | -1,
  ) {
    this.on = new Int32Array(reach + 1);
    this.were = new Int32Array(reach + 1);
    this.was = new Int32Array(reach + 1);
    this.measured = new Uint8Array(reach + 1);
  }

  begin(middle: number): void {
    this.middle = this.end = middle;
    this.on[0] = middle;
    this.count = 1;
    this.measured.fill(0);
  }

  /** Farther out, to a point of the surface. */
  reachTo(to: number): void {
    const { surface, way, on } = this;
    while (this.end !== to) {
      this.end += way;
      const before = this.count;
      const height = surface[this.end] as number;
      let top = before;
      // Points under the chord from the one before them to this one carry nothing.
      while (top > 1) {
        const a = on[top - 2] as number;
        const b = on[top - 1] as number;
        const fa = surface[a] as number;
        if (((surface[b] as number) - fa) * (this.end - a) * way > (height - fa) * (b - a) * way) break;
        top--;
      }
      const far = Math.abs(this.end - this.middle);
      this.were[far] = before;
      this.was[far] = on[top] as number;
      on[top] = this.end;
      this.count = top + 1;
    }
  }

  /** Nearer again. */
  backTo(to: number): void {
    while (this.end !== to) {
      const far = Math.abs(this.end - this.middle);
      this.on[this.count - 1] = this.was[far] as number;
      this.count = this.were[far] as number;
      this.end -= this.way;
    }
  }

  /** The hollows between the points it rests on, from outside as far as they were not measured before. */
  measure(found: Hollow): void {
    for (let k = this.count - 1; k > 0; k--) {
      const outer = this.on[k] as number;
      const far = Math.abs(outer - this.middle);
      if (this.measured[far]) return;
      this.measured[far] = 1;
      const inner = this.on[k - 1] as number;
      under(this.surface, Math.min(inner, outer), Math.max(inner, outer), found);
    }
  }
}

/** Joins what carries left and right of a point by the chord over it, where the point itself carries nothing. */
function bridge(surface: Surface, left: Resting, right: Resting, found: Hollow): void {
  if (left.count < 2 || right.count < 2) return;
  const above = (p: number, a: number, b: number) =>
    ((surface[p] as number) - (surface[a] as number)) * (b - a) >
    ((surface[b] as number) - (surface[a] as number)) * (p - a);
  let i = 1;
  let j = 1;
  const [l, r] = [left.on, right.on];
  if (!above(l[0] as number, l[1] as number, r[1] as number)) {
    for (let moved = true; moved;) {
      moved = false;
      for (; i + 1 < left.count && above(l[i + 1] as number, l[i] as number, r[j] as number); i++)
        moved = true;
      for (; j + 1 < right.count && above(r[j + 1] as number, l[i] as number, r[j] as number); j++)
        moved = true;
    }
    under(surface, l[i] as number, r[j] as number, found);
  }
}

/** The light under a chord from one point of a surface to another, where it is deeper than what was found. */
function under(surface: Surface, a: number, b: number, found: Hollow): void {
  const fa = surface[a] as number;
  const rise = ((surface[b] as number) - fa) / (b - a);
  for (let i = a + 1; i < b; i++) {
    const gap = fa + rise * (i - a) - (surface[i] as number);
    if (gap > found.depthMm) {
      found.depthMm = gap;
      found.atMm = i - middleOf(surface);
    }
  }
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
