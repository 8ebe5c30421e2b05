import type { Supplied } from '../compound';
import type { CompoundId, Job } from '../job';
import type { WorkHours } from './calendar';
import { potMin, WORKED } from './pot';
import type { RowStep } from './work';

/** Mud that sets, mixed at one go; local times. */
export interface Batch {
  at: string;
  compound: CompoundId;
  setMin: number;
  litres: number;
  powderKg: number;
  waterL: number;
  /** By then it is used up. */
  potEnds: string;
  /** By then pan and tools are clean. */
  cleanBy: string;
}

/** Mud that stiffens as it is mixed is used for a few minutes all the same: another set time is advised elsewhere. */
const LEAST_USED_MIN = 5;

/** So many are listed for one task; more are a sign of another trouble, which has its own advice. */
const MOST_BATCHES = 200;

/**
 * The batches of a task: of each mud that sets as many as are used up before they stiffen, at the pace of the task
 * itself and within what a pail mixes, all of one size, mixed as the one before runs out.
 * @param share of the mud that is still to be laid
 */
export function batchesOf(
  rows: readonly RowStep[],
  {
    startMin,
    takesMin,
    hours,
    share,
  }: { startMin: number; takesMin: number; hours: WorkHours; share: number },
  { way, units }: Pick<Job, 'way' | 'units'>,
  book: Supplied,
): Batch[] {
  const muds = new Map<string, { compound: CompoundId; setMin: number; wetL: number }>();
  for (const { compound, setMin, wetL } of rows.flatMap(({ mud }) => mud)) {
    if (setMin === undefined || wetL <= 0) continue;
    const key = `${compound} ${setMin}`;
    const known = muds.get(key);
    if (known) known.wetL += wetL * share;
    else muds.set(key, { compound, setMin, wetL: wetL * share });
  }
  const made: Batch[] = [];
  const all = [...muds.values()].reduce((sum, { wetL }) => sum + wetL, 0);
  // What is cut, screwed and scuffed comes before the first mud.
  const laidMin = takesMin * laidShare(rows);
  const perMin = all / Math.max(1, laidMin);
  let done = 0;
  for (const { compound, setMin, wetL } of muds.values()) {
    const most = mostAtOnce(perMin, setMin, way, book);
    const packed = book.compounds[compound].packages.find(
      (p) => p.waterL !== undefined && (p.for === 'both' || p.for === units),
    );
    const from = takesMin - laidMin + (laidMin * done) / all;
    done += wetL;
    // Nothing that is mixed in the evening is used in the morning: each day has batches of its own.
    for (const day of within(
      hours.pieces(startMin, takesMin),
      from,
      takesMin - laidMin + (laidMin * done) / all,
    )) {
      const litresOfDay = day.minutes * perMin;
      const count = Math.min(MOST_BATCHES, Math.max(1, Math.ceil(litresOfDay / most - 1e-9)));
      for (let n = 0; n < count; n++) {
        const atMin = day.at + (day.minutes * n) / count;
        const litres = litresOfDay / count;
        made.push({
          at: hours.iso(atMin),
          compound,
          setMin,
          litres,
          powderKg: packed ? (litres * packed.massKg) / packed.yieldsL : 0,
          waterL: packed ? (litres * (packed.waterL ?? 0)) / packed.yieldsL : 0,
          potEnds: hours.iso(atMin + setMin * WORKED),
          cleanBy: hours.iso(atMin + setMin),
        });
      }
    }
  }
  return made;
}

/** The share of work in rows that is laying mud. */
export const laidShare = (rows: readonly Pick<RowStep, 'labourMin' | 'mudMin'>[]): number => {
  const all = rows.reduce((sum, { labourMin }) => sum + labourMin, 0);
  return all <= 0 ? 1 : rows.reduce((sum, { labourMin, mudMin = labourMin }) => sum + mudMin, 0) / all;
};

/** What is mixed at once of mud that sets: as much as is used up before it stiffens, and as a pail mixes, L. */
export const mostAtOnce = (
  perMin: number,
  setMin: number,
  { batchL }: Pick<Job['way'], 'batchL'>,
  book: Supplied,
): number =>
  Math.min(batchL ?? Infinity, book.mixPailL.value, perMin * Math.max(LEAST_USED_MIN, potMin(setMin, book)));

/** The part of the pieces of work that lies between two minutes of it. */
function within(
  pieces: readonly { at: number; minutes: number }[],
  from: number,
  to: number,
): { at: number; minutes: number }[] {
  let before = 0;
  return pieces.flatMap(({ at, minutes }) => {
    const [first, last] = [Math.max(from - before, 0), Math.min(to - before, minutes)];
    before += minutes;
    return last - first > 1e-6 ? [{ at: at + first, minutes: last - first }] : [];
  });
}
