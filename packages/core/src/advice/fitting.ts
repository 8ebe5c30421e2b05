import { partInWords, roomProblems, wallHeightAt, wallLengths, type Opening, type Room } from '../job';
import { say, type Message } from '../texts';
import { inRoom } from './change';
import type { Advice, Cure } from './types';

type Part = 'openings' | 'boxes' | 'closets';

/** One thing that does not fit: the ceiling, or an entry of a list; what is wrong with it. */
interface Misfit {
  list: Part | 'ceiling';
  index: number;
  message: Message;
}

function misfitsOf(room: Room): Misfit[] {
  const found = new Map<string, Misfit>();
  for (const { path, message } of roomProblems(room, 'room')) {
    const [key, list = 'ceiling', at = '0'] =
      /^room\.(?:(openings|boxes|closets)\[(\d+)\]|ceiling)/.exec(path) ?? [];
    if (key !== undefined && !found.has(key))
      found.set(key, { list: list as Misfit['list'], index: Number(at), message });
  }
  return [...found.values()];
}

/** A-OPENING, A-SHAPE: the room without what does not fit in it, and what is to be said of that. */
export function fitting(room: Room): { sound: Room; advice: Advice[] } {
  const misfits = misfitsOf(room);
  if (misfits.length === 0) return { sound: room, advice: [] };
  return { sound: without(room, misfits), advice: misfits.map((misfit) => adviceOn(room, misfit)) };
}

function without(room: Room, misfits: readonly Misfit[]): Room {
  const gone = (list: Misfit['list'], index: number) =>
    misfits.some((misfit) => misfit.list === list && misfit.index === index);
  const { ceiling, ...rest } = room;
  const sound: Room = { ...rest, openings: room.openings.filter((_, i) => !gone('openings', i)) };
  if (room.boxes) sound.boxes = room.boxes.filter((_, i) => !gone('boxes', i));
  if (room.closets) sound.closets = room.closets.filter((_, i) => !gone('closets', i));
  if (ceiling && !gone('ceiling', 0)) sound.ceiling = ceiling;
  return sound;
}

function adviceOn(room: Room, { list, index, message }: Misfit): Advice {
  const wall = list === 'ceiling' ? undefined : room[list]?.[index]?.wall;
  const part =
    list === 'ceiling'
      ? say('a-shape.ceiling')
      : say('a-shape.on-wall', { part: partInWords(room, list, index), wall: (wall ?? 0) + 1 });
  return {
    code: list === 'openings' ? 'A-OPENING' : 'A-SHAPE',
    severity: 'warn',
    place: { room: room.id },
    reason: say('a-shape', { part, trouble: message }),
    cures: [...refits(room, list, index), takeOut(room, list, index)],
  };
}

function takeOut(room: Room, list: Misfit['list'], index: number): Cure {
  if (list === 'ceiling')
    return {
      text: say('a-shape.level'),
      changes: [inRoom(room.id, ['ceiling'], undefined)],
    };
  const left = <T>(all: readonly T[] = []): T[] => all.filter((_, i) => i !== index);
  const without = {
    openings: () => inRoom(room.id, ['openings'], left(room.openings)),
    boxes: () => inRoom(room.id, ['boxes'], left(room.boxes)),
    closets: () => inRoom(room.id, ['closets'], left(room.closets)),
  };
  return {
    text: say('a-shape.out', { part: partInWords(room, list, index) }),
    changes: [without[list]()],
  };
}

/** An opening moved and cut until its wall holds it, where that is enough to make it fit. */
function refits(room: Room, list: Misfit['list'], index: number): Cure[] {
  const opening = list === 'openings' ? room.openings[index] : undefined;
  const moved = opening && intoItsWall(room, opening);
  if (!moved) return [];
  const openings = room.openings.map((o, i) => (i === index ? moved : o));
  const still = misfitsOf({ ...room, openings });
  if (still.some((misfit) => misfit.list === 'openings' && misfit.index === index)) return [];
  return [{ text: say('a-shape.fit'), changes: [inRoom(room.id, ['openings'], openings)] }];
}

/** Narrower than this, or lower, it is no opening any more, mm. */
const LEAST_MM = 50;

function intoItsWall(room: Room, opening: Opening): Opening | undefined {
  const length = wallLengths(room)[opening.wall];
  if (length === undefined) return undefined;
  const tenth = (mm: number) => Math.floor(mm * 10) / 10;
  const widthMm = tenth(Math.min(opening.widthMm, length));
  const leftMm = tenth(Math.max(0, Math.min(opening.leftMm, length - widthMm)));
  const under = tenth(
    Math.min(wallHeightAt(room, opening.wall, leftMm), wallHeightAt(room, opening.wall, leftMm + widthMm)),
  );
  const heightMm = Math.min(opening.heightMm, under);
  const bottomMm = Math.max(0, Math.min(opening.bottomMm, under - heightMm));
  if (widthMm < LEAST_MM || heightMm < LEAST_MM) return undefined;
  const moved = { ...opening, leftMm, widthMm, bottomMm, heightMm };
  if (moved.archMm !== undefined) moved.archMm = tenth(Math.min(moved.archMm, heightMm, widthMm / 2));
  return moved;
}
