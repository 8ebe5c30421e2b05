import { bounds, outlineOf } from './outline';
import type { Point, Room } from './types';

/** A plane over the plan: z = c + a·x + b·y, mm. */
export type Plane = readonly [a: number, b: number, c: number];

type Shaped = Pick<Room, 'plan' | 'ceiling'>;

/**
 * The planes a ceiling is made of; over any point the lowest is the ceiling. A level ceiling is one plane,
 * a gable two, and a flat part cut into either is one more, last.
 */
export function ceilingPlanes({ plan, ceiling }: Shaped): Plane[] {
  const low = plan.heightMm;
  const ring = outlineOf(plan);
  const from = ring[ceiling?.wall ?? 0];
  const to = ring[((ceiling?.wall ?? 0) + 1) % ring.length];
  if (!ceiling || !from || !to || ceiling.highMm <= low) return [[0, 0, low]];
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
  // Away from the wall, into the room.
  const [nx, ny] = [-(to[1] - from[1]) / length, (to[0] - from[0]) / length];
  const reach = ring.map(([x, y]) => x * nx + y * ny);
  const [near, far] = [Math.min(...reach), Math.max(...reach)];
  const run = ceiling.kind === 'gable' ? (far - near) / 2 : far - near;
  const rise = (ceiling.highMm - low) / run;
  const planes: Plane[] = [[rise * nx, rise * ny, low - rise * near]];
  if (ceiling.kind === 'gable') planes.push([-rise * nx, -rise * ny, low + rise * far]);
  if (ceiling.flatMm !== undefined && ceiling.flatMm < ceiling.highMm)
    planes.push([0, 0, Math.max(low, ceiling.flatMm)]);
  return planes;
}

export const planeAt = ([a, b, c]: Plane, [x, y]: Point): number => a * x + b * y + c;

/** Height of the ceiling over a point of the plan, mm. */
export function heightAt(planes: readonly Plane[], at: Point): number {
  let least = Infinity;
  for (const plane of planes) least = Math.min(least, planeAt(plane, at));
  return least;
}

/**
 * The ceiling along a straight line of the plan: its height at the start, at every break and at the end.
 * @returns pairs of mm along the line and mm above the floor
 */
export function ceilingAlong(planes: readonly Plane[], from: Point, to: Point): Point[] {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const at = (s: number): Point => {
    const t = length > 0 ? s / length : 0;
    return [from[0] + (to[0] - from[0]) * t, from[1] + (to[1] - from[1]) * t];
  };
  const stops = [0, length];
  planes.forEach((p, i) => {
    for (const q of planes.slice(i + 1)) {
      const [d0, d1] = [planeAt(p, from) - planeAt(q, from), planeAt(p, to) - planeAt(q, to)];
      const s = (length * d0) / (d0 - d1);
      if (d0 * d1 < 0 && Math.abs(heightAt(planes, at(s)) - planeAt(p, at(s))) < 0.01) stops.push(s);
    }
  });
  return stops.sort((a, b) => a - b).map((s) => [s, heightAt(planes, at(s))] as const);
}

/** Least and greatest height of a room, mm. */
export function heights(room: Shaped): [number, number] {
  const planes = ceilingPlanes(room);
  const ring = outlineOf(room.plan);
  if (ring.length === 0) return [room.plan.heightMm, room.plan.heightMm];
  const walls = ring.flatMap((from, i) =>
    ceilingAlong(planes, from, ring[(i + 1) % ring.length] as Point).map((p) => p[1]),
  );
  return [Math.min(...walls), Math.max(...walls)];
}

/** Height of the ceiling over a place along a wall, mm. */
export function wallHeightAt(room: Shaped, wall: number, s: number): number {
  const ring = outlineOf(room.plan);
  const from = ring[wall];
  const to = ring[(wall + 1) % ring.length];
  if (!from || !to) return room.plan.heightMm;
  const t = s / (Math.hypot(to[0] - from[0], to[1] - from[1]) || 1);
  return heightAt(ceilingPlanes(room), [from[0] + (to[0] - from[0]) * t, from[1] + (to[1] - from[1]) * t]);
}

/** Corners of a block standing off a wall, on the plan, mm; from its left end, walking out from the wall. */
export function blockOnPlan(
  room: Pick<Room, 'plan'>,
  box: { wall: number; leftMm: number; offMm: number; alongMm: number; outMm: number },
): Point[] {
  const ring = outlineOf(room.plan);
  const from = ring[box.wall];
  const to = ring[(box.wall + 1) % ring.length];
  if (!from || !to) return [];
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const [dx, dy] = [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
  const at = (s: number, out: number): Point => [from[0] + dx * s - dy * out, from[1] + dy * s + dx * out];
  const [s, out] = [box.leftMm, box.offMm];
  return [at(s, out), at(s + box.alongMm, out), at(s + box.alongMm, out + box.outMm), at(s, out + box.outMm)];
}

/** Left, low, right and high of the plan, mm. */
export const planBounds = (room: Pick<Room, 'plan'>): readonly [number, number, number, number] =>
  bounds(outlineOf(room.plan));
