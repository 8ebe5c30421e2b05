import type { BoardRow } from '../coat';
import type { Coat } from '../job';
import { once } from '../units';

/** So many opened rolls are kept at hand. */
const OPEN = 4;

/** One length of tape, as it is torn off. */
export interface TapePiece {
  room: string;
  joint: string;
  mm: number;
  /** Which roll it comes off, from 0. */
  roll: number;
  /** It is longer than what any roll holds and goes on with the next. */
  spliced: boolean;
}

interface Taped {
  id: string;
  joints: readonly { id: string; lengthMm: number }[];
  runs: readonly { coat: Coat; joints: readonly string[] }[];
  areas: readonly { rows: readonly Pick<BoardRow, 'joints' | 'cells'>[] }[];
}

/** The joints of a room that are taped, as they are hung, with their lengths. */
const tapedIn = once(({ joints, runs, areas }: Taped): { joint: string; lengthMm: number }[] => {
  const taped = new Set(
    areas.flatMap(({ rows }) =>
      rows.filter(({ cells }) => cells.some(({ tape }) => tape)).flatMap((row) => row.joints),
    ),
  );
  const lengths = new Map(joints.map((joint) => [joint.id, joint.lengthMm]));
  const ids = runs.find(({ coat }) => coat === 'tape')?.joints.filter((joint) => taped.has(joint)) ?? [];
  return ids.map((joint) => ({ joint, lengthMm: lengths.get(joint) ?? 0 }));
});

/**
 * Every length of tape in the order it is hung, and the roll it comes off: the first of those at hand that holds it,
 * so that no joint is spliced that a roll could cover.
 * @param over share that each piece is torn off longer
 */
export function tapePieces(
  rooms: readonly Taped[],
  rollMm: number,
  over: number,
): { pieces: TapePiece[]; rolls: number } {
  const left: number[] = [];
  const pieces: TapePiece[] = [];
  for (const room of rooms) {
    for (const { joint, lengthMm } of tapedIn(room)) {
      const mm = lengthMm * (1 + over);
      if (mm <= 0) continue;
      const spliced = mm > rollMm;
      let rest = mm;
      let roll = Math.max(0, left.length - OPEN);
      while (roll < left.length && (spliced || (left[roll] as number) < mm)) roll++;
      if (roll === left.length) {
        do {
          left.push(rollMm - Math.min(rollMm, rest));
          rest -= rollMm;
        } while (rest > 0);
      } else left[roll] = (left[roll] as number) - mm;
      pieces.push({ room: room.id, joint, mm, roll, spliced });
    }
  }
  return { pieces, rolls: left.length };
}
