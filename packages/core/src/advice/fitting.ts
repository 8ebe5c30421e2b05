import { partInWords, roomProblems, wallHeightAt, wallLengths, type Opening, type Room } from '../job';
import { printLength, type UnitSystem } from '../units';
import type { Advice, Cure } from './types';

type Part = 'openings' | 'boxes' | 'closets';

/** One thing that does not fit: the ceiling, or an entry of a list; what is wrong with it. */
interface Misfit {
  list: Part | 'ceiling';
  index: number;
  message: string;
}

function misfitsOf(room: Room, units: UnitSystem): Misfit[] {
  const found = new Map<string, Misfit>();
  for (const { path, message } of roomProblems(room, 'room', (mm) => printLength(mm, units))) {
    const [key, list = 'ceiling', at = '0'] =
      /^room\.(?:(openings|boxes|closets)\[(\d+)\]|ceiling)/.exec(path) ?? [];
    if (key !== undefined && !found.has(key))
      found.set(key, { list: list as Misfit['list'], index: Number(at), message });
  }
  return [...found.values()];
}

/** A-OPENING, A-SHAPE: the room without what does not fit in it, and what is to be said of that. */
export function fitting(room: Room, units: UnitSystem): { sound: Room; advice: Advice[] } {
  const misfits = misfitsOf(room, units);
  if (misfits.length === 0) return { sound: room, advice: [] };
  return { sound: without(room, misfits), advice: misfits.map((misfit) => adviceOn(room, misfit, units)) };
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

function adviceOn(room: Room, { list, index, message }: Misfit, units: UnitSystem): Advice {
  const wall = list === 'ceiling' ? undefined : room[list]?.[index]?.wall;
  const name =
    list === 'ceiling'
      ? 'the sloped ceiling’s high side'
      : `${partInWords(room, list, index)} on wall ${(wall ?? 0) + 1}`;
  return {
    code: list === 'openings' ? 'A-OPENING' : 'A-SHAPE',
    severity: 'warn',
    place: { room: room.id },
    reason: `${name.charAt(0).toUpperCase()}${name.slice(1)} ${message}; it is left out of the plan.`,
    cures: [...refits(room, list, index, units), takeOut(room, list, index)],
  };
}

function takeOut(room: Room, list: Misfit['list'], index: number): Cure {
  if (list === 'ceiling')
    return {
      text: 'Make the ceiling level',
      changes: [{ room: room.id, path: ['ceiling'], value: undefined }],
    };
  const left = room[list]?.filter((_, i) => i !== index);
  return {
    text: `Take ${partInWords(room, list, index)} out`,
    changes: [{ room: room.id, path: [list], value: left }],
  };
}

/** An opening moved and cut until its wall holds it, where that is enough to make it fit. */
function refits(room: Room, list: Misfit['list'], index: number, units: UnitSystem): Cure[] {
  const opening = list === 'openings' ? room.openings[index] : undefined;
  const moved = opening && intoItsWall(room, opening);
  if (!moved) return [];
  const openings = room.openings.map((o, i) => (i === index ? moved : o));
  const still = misfitsOf({ ...room, openings }, units);
  if (still.some((misfit) => misfit.list === 'openings' && misfit.index === index)) return [];
  return [
    { text: 'Fit it into its wall', changes: [{ room: room.id, path: ['openings'], value: openings }] },
  ];
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
