import { say, type Message } from '../texts';
import { blockOnPlan, heights, wallHeightAt } from './ceiling';
import { BESIDE, holds, outlineOf, shifted, spansOnLine, wallLengths } from './outline';
import { placeInWords } from './places';
import type { Box, Closet, Opening, Room } from './types';

/** What is wrong with a file, and where: a path into it and a sentence. */
export interface Problem {
  path: string;
  message: Message;
  /** The message is a sentence by itself, not to be put behind a place. */
  whole?: true;
  /** The place as a person would say it: `window 2 of the Reading room, width`. */
  where?: Message | string;
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

/** Which part of a room, as a person would say it: `window 2`. */
export const partInWords = (room: object, list: string, index: number): Message | string =>
  placeInWords(room, `${list}[${index}]`);

/** Everything that does not fit in a room: openings, boxes, closets and the ceiling. */
export function roomProblems(room: Shaped, path: string): Problem[] {
  return [
    ...ceilingProblems(room, path),
    ...openingProblems(room, path),
    ...(room.boxes ?? []).flatMap((box, i) => boxProblems(room, box, `${path}.boxes[${i}]`)),
    ...(room.closets ?? []).flatMap((closet, i) => closetProblems(room, closet, `${path}.closets[${i}]`)),
  ];
}

function ceilingProblems(room: Shaped, path: string): Problem[] {
  const { plan, ceiling } = room;
  if (!ceiling) return [];
  const at = `${path}.ceiling`;
  const walls = wallLengths(room).length;
  if (ceiling.wall >= walls) return [noWall(`${at}.wall`, ceiling.wall, walls)];
  if (ceiling.highMm <= plan.heightMm) {
    const message = say('misfit.high', { high: ceiling.highMm, low: plan.heightMm });
    return [{ path: `${at}.highMm`, message }];
  }
  if (ceiling.flatMm !== undefined && ceiling.flatMm < plan.heightMm)
    return [{ path: `${at}.flatMm`, message: say('misfit.flat') }];
  return [];
}

const noWall = (path: string, wall: number, walls: number): Problem => ({
  path,
  message: walls === 0 ? say('misfit.drawn') : say('misfit.wall', { wall: wall + 1, walls }),
});

/** Openings must lie in a wall that exists, under the ceiling, and must not overlap. */
export function openingProblems(room: Shaped, path: string): Problem[] {
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
        message: say('misfit.past', { over, wall: length }),
      });
    }
    const height = Math.min(
      wallHeightAt(room, o.wall, o.leftMm),
      wallHeightAt(room, o.wall, Math.min(length, o.leftMm + o.widthMm)),
    );
    if (o.bottomMm + o.heightMm > height + 0.5) {
      const over = o.bottomMm + o.heightMm - height;
      problems.push({ path: at, message: say('misfit.above', { over, ceiling: height }) });
    }
    if ((o.archMm ?? 0) > o.heightMm || (o.archMm ?? 0) > o.widthMm / 2 + 0.5)
      problems.push({ path: `${at}.archMm`, message: say('misfit.arch') });
    const clash = room.openings.findIndex((p, j) => j < i && overlap(p, o));
    if (clash >= 0)
      problems.push({
        path: at,
        message: say('misfit.overlaps', { part: partInWords(room, 'openings', clash) }),
      });
    const way = ways.findIndex((p) => overlap(p, o));
    if (way >= 0)
      problems.push({
        path: at,
        message: say('misfit.overlaps-closet', { part: partInWords(room, 'closets', way) }),
      });
  });
  return problems;
}

const overlap = (p: Opening, o: Opening): boolean =>
  p.wall === o.wall &&
  p.leftMm < o.leftMm + o.widthMm &&
  o.leftMm < p.leftMm + p.widthMm &&
  p.bottomMm < o.bottomMm + o.heightMm &&
  o.bottomMm < p.bottomMm + p.heightMm;

function boxProblems(room: Shaped, box: Box, at: string): Problem[] {
  const walls = wallLengths(room).length;
  if (box.wall >= walls) return [noWall(`${at}.wall`, box.wall, walls)];
  const high = Math.max(heights(room)[1], room.ceiling?.highMm ?? 0);
  if (box.bottomMm >= high - 1)
    return [{ path: `${at}.bottomMm`, message: say('misfit.box-high', { ceiling: high }) }];
  if (box.topMm !== undefined && box.topMm <= box.bottomMm)
    return [{ path: `${at}.topMm`, message: say('misfit.top') }];
  const ring = outlineOf(room.plan);
  const block = blockOnPlan(room, box);
  const [cx, cy] = [0, 1].map((k) => block.reduce((sum, p) => sum + (p[k] as number), 0) / 4) as [
    number,
    number,
  ];
  if (!holds(ring, [cx, cy])) return [{ path: at, message: say('misfit.outside') }];
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
    const part = room.openings.includes(blocked) ? say(`opening.${blocked.kind}`) : say('part.closets');
    return [{ path: at, message: say('misfit.across', { part, wall: blocked.wall + 1 }) }];
  }
  return [];
}

function closetProblems(room: Shaped, c: Closet, at: string): Problem[] {
  const lengths = wallLengths(room);
  const length = lengths[c.wall];
  if (length === undefined) return [noWall(`${at}.wall`, c.wall, lengths.length)];
  const o = closetOpening(c);
  if (c.doorLeftMm + c.doorWidthMm > c.widthMm + 0.5) return [{ path: at, message: say('misfit.wider') }];
  if (c.doorHeightMm > c.heightMm + 0.5) return [{ path: at, message: say('misfit.higher') }];
  if (o.leftMm + o.widthMm > length + 0.5)
    return [{ path: at, message: say('misfit.opens-past', { wall: length }) }];
  const height = Math.min(
    wallHeightAt(room, c.wall, o.leftMm),
    wallHeightAt(room, c.wall, o.leftMm + o.widthMm),
  );
  if (c.doorHeightMm > height + 0.5)
    return [{ path: at, message: say('misfit.opens-above', { ceiling: height }) }];
  const clash = (room.closets ?? []).find((other) => other !== c && overlap(closetOpening(other), o));
  return clash && (room.closets ?? []).indexOf(clash) < (room.closets ?? []).indexOf(c)
    ? [{ path: at, message: say('misfit.closets') }]
    : [];
}
