import {
  blockOnPlan,
  ceilingAlong,
  ceilingPlanes,
  closetOpening,
  heightAt,
  outlineOf,
  planeAt,
  BESIDE,
  shifted,
  spansOnLine,
  type Box,
  type FacePart,
  type Opening,
  type Plane,
  type Point,
  type Room,
} from '../job';
import { say, type Message } from '../texts';
import { cutOut } from './clip';
import { ringOf, shapeOf, type Rect, type Shape } from './geometry';
import { openingRing, revealsOf } from './reveals';
import { faced, type Frame, type BareFace } from './space';

/** What makes the shape of a room. */
export type Shaped = Pick<Room, 'plan' | 'ceiling' | 'openings' | 'boxes' | 'closets'>;

/** A box in the terms of its sides: an upright block of the plan between two heights. */
interface Block {
  box: Box;
  /** Which of its kind it is, from 1. */
  n: number;
  plan: Point[];
  low: number;
  high: number;
}

/**
 * The surfaces of a room: ceiling or slopes, walls, the faces of boxes, and the returns of openings. What
 * hides behind a box is left out. Closets are rooms of their own.
 */
export function solidOf(room: Shaped, depthMm: number): BareFace[] {
  const ring = outlineOf(room.plan);
  if (ring.length === 0) return [];
  const planes = ceilingPlanes(room);
  const blocks = blocksOf(room);
  const openings = [...room.openings, ...(room.closets ?? []).map(closetOpening)];
  const walls = ring.map((from, i) =>
    wallSurface(i, from, ring[(i + 1) % ring.length] as Point, planes, blocks, openings),
  );
  return [
    ...ceilings(room, ring, planes, blocks),
    ...walls,
    ...blocks.flatMap((block, i) => blockSurfaces(block, i, blocks, ring, planes)),
    ...openings.flatMap((o) => {
      const wall = walls[o.wall];
      return wall ? revealsOf(o, wall, o.depthMm ?? depthMm) : [];
    }),
  ].filter((surface) => surface.rings.length > 0);
}

function blocksOf(room: Shaped): Block[] {
  const seen = new Map<string, number>();
  return (room.boxes ?? []).map((box) => {
    const n = (seen.get(box.kind) ?? 0) + 1;
    seen.set(box.kind, n);
    return {
      box,
      n,
      plan: blockOnPlan(room, box),
      low: box.bottomMm,
      high: box.topMm ?? Infinity,
    };
  });
}

/** Tall enough to pass any ceiling, mm. */
const SKY = 1e5;

/** What the blocks cover of the upright plane over a line, seen just beside it. */
function covered(blocks: readonly Block[], from: Point, to: Point, aside: number): Point[][] {
  const [a, b] = shifted(from, to, aside);
  return blocks.flatMap(({ plan, low, high }) =>
    spansOnLine(plan, a, b).map(([s0, s1]) => ringOf([s0, low, s1, Math.min(SKY, high)])),
  );
}

/** The upright face over a line of the plan, between a height and the ceiling. */
const upright = (planes: readonly Plane[], from: Point, to: Point, low: number, high: number): Point[] => {
  const top = ceilingAlong(planes, from, to);
  const length = (top.at(-1) as Point)[0];
  return [[0, low], [length, low], ...top.map(([s, z]): Point => [s, Math.min(z, high)]).reverse()];
};

const uprightFrame = (from: Point, to: Point, inwardLeft: boolean): Frame => {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const [dx, dy] = [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
  const k = inwardLeft ? 1 : -1;
  return {
    origin: [from[0], from[1], 0],
    right: [dx, dy, 0],
    up: [0, 0, 1],
    inward: [-dy * k, dx * k, 0],
  };
};

function wallSurface(
  i: number,
  from: Point,
  to: Point,
  planes: readonly Plane[],
  blocks: readonly Block[],
  openings: readonly Opening[],
): BareFace {
  const own = openings.filter((o) => o.wall === i);
  const outline = upright(planes, from, to, 0, Infinity);
  const length = (outline[1] as Point)[0];
  const hidden = covered(blocks, from, to, BESIDE);
  const holes = own.map((o) => openingRing(o));
  // A hole inside stays a hole; one that reaches a side or the top changes the outline.
  const inside = own.every(
    (o) =>
      o.leftMm > 1 &&
      o.leftMm + o.widthMm < length - 1 &&
      [o.leftMm, o.leftMm + o.widthMm].every(
        (s) =>
          o.bottomMm + o.heightMm <
          heightAt(planes, [
            from[0] + ((to[0] - from[0]) * s) / length,
            from[1] + ((to[1] - from[1]) * s) / length,
          ]) -
            1,
      ),
  );
  const shape =
    hidden.length === 0 && inside ? shapeOf([outline], holes) : cutOut(outline, [...hidden, ...holes]);
  return faced(
    { is: 'wall', wall: i },
    {
      name: say('face.wall', { n: i + 1 }),
      ...shape,
      frame: uprightFrame(from, to, true),
      boarded: true,
      openings: own.map((o): Rect => [o.leftMm, o.bottomMm, o.leftMm + o.widthMm, o.bottomMm + o.heightMm]),
    },
  );
}

/** The part of the plan where the ceiling is higher than z, as half planes to cut with. */
function higherThan(planes: readonly Plane[], z: number): Point[][] {
  return planes.flatMap((plane) => {
    const [a, b] = plane;
    const steep = Math.hypot(a, b);
    if (steep < 1e-9) return planeAt(plane, [0, 0]) > z ? [] : [[]];
    // From the line where the plane is at z, everything up the slope.
    const [gx, gy] = [a / steep, b / steep];
    const away = (z - plane[2]) / steep;
    return [halfPlane([gx * away, gy * away], [gx, gy])];
  });
}

/** Everything on the side of a line that `towards` points to. */
function halfPlane([x, y]: Point, [gx, gy]: Point): Point[] {
  const far = 1e6;
  const at = (s: number, t: number): Point => [x - gy * s + gx * t, y + gx * s + gy * t];
  return [at(-far, 0), at(far, 0), at(far, far), at(-far, far)];
}

function ceilings(
  room: Shaped,
  ring: readonly Point[],
  planes: readonly Plane[],
  blocks: readonly Block[],
): BareFace[] {
  const hidden = blocks.flatMap(({ plan, high }) => {
    if (high === Infinity) return [plan];
    const free = higherThan(planes, high);
    if (free.length === 0) return [];
    if (free.some((half) => half.length === 0)) return [plan];
    return cutOut(plan, [], free).rings.length === 0 ? [plan] : [];
  });
  const levels = [...planes.keys()].sort((i, j) => order(planes, i) - order(planes, j));
  const along = axes(room, planes);
  let slopes = 0;
  let at = 0;
  return levels.flatMap((i) => {
    const plane = planes[i] as Plane;
    // Where this plane is the lowest.
    const lower = planes.flatMap((other, j) => {
      if (j === i) return [];
      const d: Plane = [other[0] - plane[0], other[1] - plane[1], other[2] - plane[2]];
      return higherThan([d], 0);
    });
    if (lower.some((half) => half.length === 0)) return [];
    const shape = cutOut(ring, hidden, lower);
    const bare = hidden.length > 0 ? cutOut(ring, [], lower) : shape;
    if (bare.rings.length === 0) return [];
    const flat = Math.hypot(plane[0], plane[1]) < 1e-9;
    const { surface, end } = ceilingSurface(shape, bare, plane, along, at);
    at = end;
    const part: FacePart = flat ? { is: 'ceiling' } : { is: 'slope', slope: slopes };
    const name = flat
      ? say('face.ceiling')
      : planes.length > 1
        ? say('face.slope', { n: ++slopes })
        : say('face.sloped-ceiling');
    return [faced(part, { ...surface, name })];
  });
}

/** Slopes and the flat between them in the order they are crossed. */
const order = (planes: readonly Plane[], i: number): number => {
  const first = planes[0] as Plane;
  const plane = planes[i] as Plane;
  const rise = plane[0] * first[0] + plane[1] * first[1];
  return rise > 1e-12 ? 0 : rise < -1e-12 ? 2 : 1;
};

/** Directions of the ceiling's own u and v on the plan: along the contour, and up the first slope. */
function axes(room: Shaped, planes: readonly Plane[]): { d: Point; n: Point } {
  if (!room.ceiling || planes.length === 0) return { d: [1, 0], n: [0, 1] };
  const [a, b] = planes[0] as Plane;
  const steep = Math.hypot(a, b);
  if (steep < 1e-9) return { d: [1, 0], n: [0, 1] };
  const n: Point = [a / steep, b / steep];
  return { d: [n[1], -n[0]], n };
}

/**
 * One plane of the ceiling in its own coordinates. v runs on from one plane to the next, so that the planes
 * lie side by side when they are unfolded.
 * @param at where v starts, mm
 */
function ceilingSurface(
  shape: Shape,
  bare: Shape,
  plane: Plane,
  { d, n }: { d: Point; n: Point },
  at: number,
): { surface: Omit<BareFace, 'id' | 'name' | 'kind' | 'part'>; end: number } {
  const [a, b] = plane;
  const level = Math.hypot(a, b) < 1e-9;
  const tilt = a * n[0] + b * n[1];
  const stretch = Math.sqrt(1 + tilt * tilt);
  const plain = level && d[0] === 1 && d[1] === 0;
  const across = bare.rings.flat().map((p) => p[0] * n[0] + p[1] * n[1]);
  const low = plain ? 0 : Math.min(...across);
  const start = plain ? 0 : at;
  const put = ([x, y]: Point): Point => [x * d[0] + y * d[1], start + (x * n[0] + y * n[1] - low) * stretch];
  // The place of u = 0, v = 0.
  const foot: Point = [n[0] * (low - start / stretch), n[1] * (low - start / stretch)];
  return {
    surface: {
      rings: shape.rings.map((r) => r.map(put)),
      frame: {
        origin: [foot[0], foot[1], planeAt(plane, foot)],
        right: [d[0], d[1], 0],
        up: [n[0] / stretch, n[1] / stretch, tilt / stretch],
        inward: [a / stretch, b / stretch, -1 / stretch],
      },
      boarded: true,
      openings: [],
    },
    end: start + (Math.max(...across) - low) * stretch,
  };
}

function blockSurfaces(
  block: Block,
  index: number,
  blocks: readonly Block[],
  ring: readonly Point[],
  planes: readonly Plane[],
): BareFace[] {
  const { box, plan, low, high, n } = block;
  const of = { box: say(`box.${box.kind}`), n };
  const others = blocks.filter((other) => other !== block);
  const earlier = blocks.slice(0, index);
  const boarded = box.kind !== 'ledge';
  const made = (side: number | 'under' | 'top', name: Message, shape: Shape, frame: Frame): BareFace =>
    faced({ is: 'box', box: box.id, side }, { name, ...shape, frame, boarded, openings: [] });
  const sides = plan.map((from, k) => {
    const to = plan[(k + 1) % plan.length] as Point;
    const outline = upright(planes, from, to, low, high);
    const [a, b] = shifted(from, to, -BESIDE);
    // Only where there is room in front of the side.
    const free = spansOnLine(ring, a, b).map(([s0, s1]) => ringOf([s0, -1, s1, SKY]));
    // Behind another box, or in one plane with a box that has this face already.
    const hidden = [...covered(others, from, to, -BESIDE), ...covered(earlier, from, to, BESIDE)];
    const parts = free.map((within) => cutOut(outline, hidden, [within]));
    const shape = { rings: parts.flatMap((part) => part.rings) };
    return made(k, say('face.side', { ...of, side: k + 1 }), shape, uprightFrame(from, to, false));
  });
  const level = (z: number): Frame => ({
    origin: [0, 0, z],
    right: [1, 0, 0],
    up: [0, 1, 0],
    inward: [0, 0, z === low ? -1 : 1],
  });
  const at = (z: number, hides: (other: Block, first: boolean) => boolean): Shape => {
    const hidden = blocks.filter((other, j) => other !== block && hides(other, j < index)).map((o) => o.plan);
    const within = higherThan(planes, z);
    if (within.some((half) => half.length === 0)) return { rings: [] };
    return cutOut(plan, hidden, [ring, ...within]);
  };
  const faces = sides;
  if (low > BESIDE) {
    const shape = at(low, (o, first) => (o.low < low && o.high >= low) || (o.low === low && first));
    faces.push(made('under', say('face.under', of), shape, level(low)));
  }
  if (high < Infinity) {
    const shape = at(high, (o, first) => (o.low <= high && o.high > high) || (o.high === high && first));
    faces.push(made('top', say('face.top', of), shape, { ...level(high), inward: [0, 0, 1] }));
  }
  return faces.filter((face) => face.rings.length > 0);
}
