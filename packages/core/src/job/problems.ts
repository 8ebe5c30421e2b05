import { blockOnPlan, heights, wallHeightAt } from './ceiling';
import { BESIDE, outlineOf, shifted, spansOnLine, wallLengths } from './outline';
import { placeInWords } from './places';
import type { Box, Closet, Opening, Point, Room } from './types';

/** What is wrong with a file, and where: a path into it and a sentence. */
export interface Problem {
  path: string;
  message: string;
  /** The place as a person would say it: `window 2 of the Reading room, width`. */
  where?: string;
}

type Shaped = Pick<Room, 'plan' | 'ceiling' | 'openings' | 'boxes' | 'closets'>;

/** The part of a wall a closet opens, as an opening of that wall. */
export const closetOpening = (c: Closet): Opening => ({
  id: c.id,
  wall: c.wall,
  kind: 'opening',
  leftMm: c.leftMm + c.doorLeftMm,
  bottomMm: 0,
  widthMm: c.doorWidthMm,
  heightMm: c.doorHeightMm,
  returns: c.returns,
});

/** Says a length, in the units of whoever reads it. */
type Say = (mm: number) => string;
const inMm: Say = (mm) => `${Math.round(mm)} mm`;

/** Which part of a room, as a person would say it: `window 2`. */
export const partInWords = (room: object, list: string, index: number): string =>
  placeInWords(room, `${list}[${index}]`);

/** Everything that does not fit in a room: openings, boxes, closets and the ceiling. */
export function roomProblems(room: Shaped, path: string, say = inMm): Problem[] {
  return [
    ...ceilingProblems(room, path, say),
    ...openingProblems(room, path, say),
    ...(room.boxes ?? []).flatMap((box, i) => boxProblems(room, box, `${path}.boxes[${i}]`, say)),
    ...(room.closets ?? []).flatMap((closet, i) =>
      closetProblems(room, closet, `${path}.closets[${i}]`, say),
    ),
  ];
}

function ceilingProblems(room: Shaped, path: string, say: Say): Problem[] {
  const { plan, ceiling } = room;
  if (!ceiling) return [];
  const at = `${path}.ceiling`;
  const walls = wallLengths(room).length;
  if (ceiling.wall >= walls) return [noWall(`${at}.wall`, ceiling.wall, walls)];
  if (ceiling.highMm <= plan.heightMm) {
    const message = `is ${say(ceiling.highMm)}; it must be higher than the room's low side (${say(plan.heightMm)})`;
    return [{ path: `${at}.highMm`, message }];
  }
  if (ceiling.flatMm !== undefined && ceiling.flatMm < plan.heightMm)
    return [{ path: `${at}.flatMm`, message: "must not be under the room's low side" }];
  return [];
}

const noWall = (path: string, wall: number, walls: number): Problem => ({
  path,
  message:
    walls === 0 ? 'needs a drawn room' : `stands on wall ${wall + 1}; this room has walls 1 to ${walls}`,
});

/** Openings must lie in a wall that exists, under the ceiling, and must not overlap. */
export function openingProblems(room: Shaped, path: string, say = inMm): Problem[] {
  const lengths = wallLengths(room);
  const problems: Problem[] = [];
  const ways = (room.closets ?? []).map(closetOpening);
  room.openings.forEach((o, i) => {
    const at = `${path}.openings[${i}]`;
    const length = lengths[o.wall];
    if (length === undefined) {
      problems.push(noWall(`${at}.wall`, o.wall, lengths.length));
      return;
    }
    if (o.leftMm + o.widthMm > length + 0.5) {
      const over = o.leftMm + o.widthMm - length;
      problems.push({
        path: at,
        message: `reaches ${say(over)} past the end of its wall (${say(length)})`,
      });
    }
    const height = Math.min(
      wallHeightAt(room, o.wall, o.leftMm),
      wallHeightAt(room, o.wall, Math.min(length, o.leftMm + o.widthMm)),
    );
    if (o.bottomMm + o.heightMm > height + 0.5) {
      const over = o.bottomMm + o.heightMm - height;
      problems.push({ path: at, message: `reaches ${say(over)} above the ceiling (${say(height)})` });
    }
    if ((o.archMm ?? 0) > o.heightMm || (o.archMm ?? 0) > o.widthMm / 2 + 0.5)
      problems.push({ path: `${at}.archMm`, message: 'must not be more than the height or half the width' });
    const clash = room.openings.findIndex((p, j) => j < i && overlap(p, o));
    if (clash >= 0) problems.push({ path: at, message: `overlaps ${partInWords(room, 'openings', clash)}` });
    const way = ways.findIndex((p) => overlap(p, o));
    if (way >= 0)
      problems.push({ path: at, message: `overlaps the opening of ${partInWords(room, 'closets', way)}` });
  });
  return problems;
}

const overlap = (p: Opening, o: Opening): boolean =>
  p.wall === o.wall &&
  p.leftMm < o.leftMm + o.widthMm &&
  o.leftMm < p.leftMm + p.widthMm &&
  p.bottomMm < o.bottomMm + o.heightMm &&
  o.bottomMm < p.bottomMm + p.heightMm;

function boxProblems(room: Shaped, box: Box, at: string, say: Say): Problem[] {
  const walls = wallLengths(room).length;
  if (box.wall >= walls) return [noWall(`${at}.wall`, box.wall, walls)];
  const high = Math.max(heights(room)[1], room.ceiling?.highMm ?? 0);
  if (box.bottomMm >= high - 1)
    return [{ path: `${at}.bottomMm`, message: `is at or above the ceiling (${say(high)})` }];
  if (box.topMm !== undefined && box.topMm <= box.bottomMm)
    return [{ path: `${at}.topMm`, message: 'must be above its underside' }];
  const ring = outlineOf(room.plan);
  const block = blockOnPlan(room, box);
  const [cx, cy] = [0, 1].map((k) => block.reduce((sum, p) => sum + (p[k] as number), 0) / 4) as [
    number,
    number,
  ];
  if (!holds(ring, [cx, cy])) return [{ path: at, message: 'stands outside the room' }];
  const ways = [...room.openings, ...(room.closets ?? []).map(closetOpening)];
  const blocked = ways.find((o) => {
    const [from, to] = [ring[o.wall], ring[(o.wall + 1) % ring.length]];
    if (!from || !to || o.bottomMm >= (box.topMm ?? Infinity) || o.bottomMm + o.heightMm <= box.bottomMm)
      return false;
    return spansOnLine(block, ...shifted(from, to, BESIDE)).some(
      ([a, b]) => a < o.leftMm + o.widthMm - 1 && b > o.leftMm + 1,
    );
  });
  if (blocked) {
    const name = room.openings.includes(blocked) ? blocked.kind : 'closet';
    return [{ path: at, message: `stands across the ${name} on wall ${blocked.wall + 1}` }];
  }
  return [];
}

function closetProblems(room: Shaped, c: Closet, at: string, say: Say): Problem[] {
  const lengths = wallLengths(room);
  const length = lengths[c.wall];
  if (length === undefined) return [noWall(`${at}.wall`, c.wall, lengths.length)];
  const o = closetOpening(c);
  if (c.doorLeftMm + c.doorWidthMm > c.widthMm + 0.5)
    return [{ path: at, message: 'has an opening wider than it is' }];
  if (c.doorHeightMm > c.heightMm + 0.5) return [{ path: at, message: 'has an opening higher than it is' }];
  if (o.leftMm + o.widthMm > length + 0.5)
    return [{ path: at, message: `opens past the end of its wall (${say(length)})` }];
  const height = Math.min(
    wallHeightAt(room, c.wall, o.leftMm),
    wallHeightAt(room, c.wall, o.leftMm + o.widthMm),
  );
  if (c.doorHeightMm > height + 0.5)
    return [{ path: at, message: `opens above the ceiling (${say(height)})` }];
  const clash = (room.closets ?? []).find((other) => other !== c && overlap(closetOpening(other), o));
  return clash && (room.closets ?? []).indexOf(clash) < (room.closets ?? []).indexOf(c)
    ? [{ path: at, message: 'opens where another closet does' }]
    : [];
}

/** Whether a point lies inside a ring. */
export function holds(ring: readonly Point[], [x, y]: Point): boolean {
  let inside = false;
  ring.forEach(([bx, by], i) => {
    const [ax, ay] = ring[(i + ring.length - 1) % ring.length] as Point;
    if (ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax)) inside = !inside;
  });
  return inside;
}
