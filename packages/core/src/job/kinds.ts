import type { Decoration } from './vocabulary';
import type { Finish, Room } from './types';

/** What a room is for, where a file or a person says no more: its finish, decoration and what it has to bear. */
export interface RoomKind {
  id: 'room' | 'feature' | 'store' | 'plant' | 'damp' | 'rated';
  level: 1 | 2 | 3 | 4 | 5;
  quality: 1 | 2 | 3 | 4;
  decoration: Decoration;
  damp?: boolean;
  rated?: boolean;
  /** Words in a layer's or a room's name that mean this kind. */
  words: readonly string[];
}

export const ROOM_KINDS: readonly RoomKind[] = [
  { id: 'room', level: 4, quality: 3, decoration: 'flat-paint', words: [] },
  {
    id: 'feature',

    level: 5,
    quality: 4,
    decoration: 'gloss',
    words: ['feature', 'gallery', 'lobby', 'gloss'],
  },
  {
    id: 'store',

    level: 2,
    quality: 1,
    decoration: 'none',
    words: ['store', 'storage', 'garage', 'shed'],
  },
  {
    id: 'plant',

    level: 1,
    quality: 1,
    decoration: 'none',
    words: ['plant', 'concealed', 'void', 'shaft', 'riser'],
  },
  {
    id: 'damp',

    level: 4,
    quality: 3,
    decoration: 'eggshell',
    damp: true,
    words: ['damp', 'wet', 'bath', 'shower', 'kitchen', 'wc'],
  },
  {
    id: 'rated',

    level: 4,
    quality: 3,
    decoration: 'flat-paint',
    rated: true,
    words: ['rated', 'fire', 'stair', 'escape'],
  },
];

/** The kind a name speaks of; a painted room where it says nothing known. */
export function kindNamed(name: string): RoomKind {
  const words = name.toLowerCase().split(/[^a-z]+/);
  return ROOM_KINDS.find((kind) => kind.words.some((w) => words.includes(w))) ?? (ROOM_KINDS[0] as RoomKind);
}

/** A room as its kind asks for, on the scale it is on. */
export function asKind(room: Room, kind: RoomKind): Room {
  const finish: Finish =
    room.finish.scale === 'q' ? { scale: 'q', grade: kind.quality } : { scale: 'level', grade: kind.level };
  const { damp: _, rated: __, ...rest } = room;
  return {
    ...rest,
    finish,
    decoration: kind.decoration,
    ...(kind.damp ? { damp: true } : {}),
    ...(kind.rated ? { rated: true } : {}),
  };
}
