import { say, type Message } from '../texts';
import { LIMITS, within } from './limits';
import type { Point, Room, FloorPlan } from './types';

/** Left, low, right, high of a ring, mm. */
export function bounds(ring: readonly Point[]): [number, number, number, number] {
  const us = ring.map((p) => p[0]);
  const vs = ring.map((p) => p[1]);
  return [Math.min(...us), Math.min(...vs), Math.max(...us), Math.max(...vs)];
}

/** Twice the signed area of a ring, mm²; positive when it runs from x towards y. */
export function signedArea2(ring: readonly Point[]): number {
  let sum = 0;
  for (let i = 0; i < ring.length; i++) {
    const [ax, ay] = ring[i] as Point;
    const [bx, by] = ring[(i + 1) % ring.length] as Point;
    sum += ax * by - bx * ay;
  }
  return sum;
}

/**
 * The corners of a room's plan, running from x towards y, mm. Wall i goes from corner i to corner i + 1;
 * wall 0 of a rectangle is the first length side.
 */
export function outlineOf(plan: FloorPlan): Point[] {
  if ('counted' in plan) return [];
  if (!('outline' in plan)) {
    const { lengthMm: l, widthMm: w } = plan;
    return [
      [0, 0],
      [l, 0],
      [l, w],
      [0, w],
    ];
  }
  return signedArea2(plan.outline) < 0 ? [...plan.outline].reverse() : [...plan.outline];
}

/** Length of each wall of a room, mm, in order along the outline. */
export function wallLengths(room: Pick<Room, 'plan'>): number[] {
  const ring = outlineOf(room.plan);
  return ring.map(([x, y], i) => {
    const [nx, ny] = ring[(i + 1) % ring.length] as Point;
    return Math.hypot(nx - x, ny - y);
  });
}

function crosses(a: Point, b: Point, c: Point, d: Point): boolean {
  const side = (p: Point, q: Point, r: Point) =>
    Math.sign((q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]));
  const within = (p: Point, q: Point, r: Point) =>
    Math.min(p[0], q[0]) <= r[0] &&
    r[0] <= Math.max(p[0], q[0]) &&
    Math.min(p[1], q[1]) <= r[1] &&
    r[1] <= Math.max(p[1], q[1]);
  const s = [side(a, b, c), side(a, b, d), side(c, d, a), side(c, d, b)] as const;
  if (s[0] !== s[1] && s[2] !== s[3]) return true;
  return (
    (s[0] === 0 && within(a, b, c)) ||
    (s[1] === 0 && within(a, b, d)) ||
    (s[2] === 0 && within(c, d, a)) ||
    (s[3] === 0 && within(c, d, b))
  );
}

/** What is wrong with an outline somebody typed or imported, or nothing. */
export function outlineTrouble(value: unknown): Message | undefined {
  const { corner: place, acrossMm, areaM2, corners } = LIMITS.outline;
  if (!Array.isArray(value) || value.length < corners.least || value.length > corners.most)
    return say('door.corners', { least: corners.least, most: corners.most });
  for (const [i, corner] of value.entries()) {
    const good =
      Array.isArray(corner) &&
      corner.length === 2 &&
      corner.every((n) => typeof n === 'number' && within(n, place));
    if (!good) return say('door.corner', { n: i, least: place.least, most: place.most });
  }
  const ring = value as Point[];
  const [left, low, right, high] = bounds(ring);
  const across = Math.max(right - left, high - low);
  if (across > acrossMm.most) return say('door.across', { is: across / 1000, most: acrossMm.most / 1000 });
  for (let i = 0; i < ring.length; i++) {
    const a = ring[i] as Point;
    const b = ring[(i + 1) % ring.length] as Point;
    if (Math.hypot(a[0] - b[0], a[1] - b[1]) < 10)
      return say('door.same-place', { a: i, b: (i + 1) % ring.length });
  }
  for (let i = 0; i < ring.length; i++) {
    const a = ring[i] as Point;
    const b = ring[(i + 1) % ring.length] as Point;
    for (let j = i + 2; j < ring.length; j++) {
      if (i === 0 && j === ring.length - 1) continue;
      if (crosses(a, b, ring[j] as Point, ring[(j + 1) % ring.length] as Point))
        return say('door.walls-cross', { a: i, b: j });
    }
  }
  const m2 = Math.abs(signedArea2(ring)) / 2e6;
  if (m2 < areaM2.least) return say('door.area-least', { least: areaM2.least });
  if (m2 > areaM2.most) return say('door.area-most', { is: m2, most: areaM2.most });
  return undefined;
}

/**
 * How far beside a line to look for what lies along it, mm: under half a millimetre, and no multiple of the tenth
 * that sizes are kept to, so that planes are either one or two and never in between.
 */
export const BESIDE = 0.45;

/** Where a ring lies on the line from one point towards another, mm along it. */
export function spansOnLine(ring: readonly Point[], from: Point, to: Point): [number, number][] {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const [dx, dy] = [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
  const cuts: number[] = [];
  ring.forEach((b, i) => {
    const a = ring[(i + ring.length - 1) % ring.length] as Point;
    const [sa, sb] = [a, b].map((p) => (p[0] - from[0]) * dx + (p[1] - from[1]) * dy) as [number, number];
    const [ta, tb] = [a, b].map((p) => (p[1] - from[1]) * dx - (p[0] - from[0]) * dy) as [number, number];
    if (ta > 0 !== tb > 0) cuts.push(sa + ((sb - sa) * ta) / (ta - tb));
  });
  cuts.sort((a, b) => a - b);
  const spans: [number, number][] = [];
  for (let i = 0; i + 1 < cuts.length; i += 2) {
    const [a, b] = [Math.max(0, cuts[i] as number), Math.min(length, cuts[i + 1] as number)];
    if (b - a > BESIDE) spans.push([a, b]);
  }
  // The look is taken a little beside the line, so ends that nearly meet the line's ends do meet them.
  return spans.map(([a, b]) => [a < 2 * BESIDE ? 0 : a, b > length - 2 * BESIDE ? length : b]);
}

/** A line moved sideways, into the room where it is a wall's, mm. */
export const shifted = (from: Point, to: Point, aside: number): [Point, Point] => {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const [nx, ny] = [(-(to[1] - from[1]) / length) * aside, ((to[0] - from[0]) / length) * aside];
  return [
    [from[0] + nx, from[1] + ny],
    [to[0] + nx, to[1] + ny],
  ];
};

/** Whether a point lies inside a ring. */
export function holds(ring: readonly Point[], [x, y]: Point): boolean {
  let inside = false;
  ring.forEach(([bx, by], i) => {
    const [ax, ay] = ring[(i + ring.length - 1) % ring.length] as Point;
    if (ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax)) inside = !inside;
  });
  return inside;
}
