import { input, given, type Book, type Why } from '../book';
import { fitFor } from '../compound';
import { needsOf } from '../finish';
import { outlineOf, signedArea2, wallLengths, type CompoundId, type Job, type Room } from '../job';
import type { Lot } from '../log';
import { say } from '../texts';
import { compoundFor, finishLeftOut } from '../way';
import { mudWare } from './wares';

/** One drying compound for all coats that dry, or one for each coat as the method says. */
export interface OneCompound {
  on: boolean;
  byHand: boolean;
  /** The class that does all of it, and the one it does without. */
  compound: CompoundId;
  without: CompoundId;
  why: Why;
}

/**
 * Whether a job takes one drying compound for all its coats: as set by hand, else where it is small, nothing is
 * skimmed, and none of what it does without is on hand.
 * @returns nothing where the method has one drying compound as it is
 */
export function oneCompoundOf(
  job: Pick<Job, 'rooms' | 'way'>,
  lots: readonly Lot[],
  book: Book,
): OneCompound | undefined {
  const { way } = job;
  const without = finishLeftOut(way);
  const compound = compoundFor({ ...way, oneCompound: true }, 'finish');
  if (!without || fitFor(compound, 'finish') !== 'yes') return undefined;
  const most = book.oneMudM2.value;
  const areaM2 = boardedM2(job.rooms, most);
  const here = lots.some(({ ware, left }) => left > 0 && mudWare(without) === ware);
  const small = areaM2 > 0 && areaM2 <= most && !here && !job.rooms.some(isSkimmed);
  return {
    on: way.oneCompound ?? small,
    byHand: way.oneCompound !== undefined,
    compound,
    without,
    why: {
      rule: say('why.one-compound'),
      inputs: [given(say('why.one-compound.board'), areaM2, 'm2'), input(book.oneMudM2)],
    },
  };
}

const isSkimmed = ({ finish, faces = {} }: Room): boolean =>
  [finish, ...Object.values(faces).flatMap((face) => face.finish ?? [])].some(
    (one) => !['none', 'ridge-free', 'sanded'].includes(needsOf(one).surface),
  );

/** Board to finish, m², from floor and walls alone; no more is counted than is asked for. */
function boardedM2(rooms: readonly Room[], most: number): number {
  let sum = 0;
  for (const room of rooms) {
    sum += room.counts?.areaM2 ?? (room.standing ? 0 : facesM2(room));
    if (sum > most) break;
  }
  return sum;
}

function facesM2(room: Room): number {
  const { plan, openings, faces = {} } = room;
  const boarded = (face: string): boolean => faces[face]?.unboarded !== true;
  const floorM2 = Math.abs(signedArea2(outlineOf(plan))) / 2e6;
  const wallsM2 = wallLengths(room).map((mm, wall) => {
    const holes = openings.filter((opening) => opening.wall === wall);
    const holesMm2 = holes.reduce((all, { widthMm, heightMm }) => all + widthMm * heightMm, 0);
    return boarded(`wall-${wall}`) ? Math.max(0, mm * plan.heightMm - holesMm2) / 1e6 : 0;
  });
  return wallsM2.reduce((a, b) => a + b, boarded('ceiling') ? floorM2 : 0);
}
