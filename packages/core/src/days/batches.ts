import type { Supplied } from '../compound';
import type { CompoundId, Job } from '../job';
import type { WorkHours } from './calendar';
import { laidShare, mixingOf, WORKED } from './pot';
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

/** So many are listed for one task; more are a sign of another trouble, which has its own advice. */
const MOST_BATCHES = 200;

/**
 * The batches of a task: of each mud that sets as many as its people use up before they stiffen, all of one size, mixed
 * as the one before runs out.
 * @param hands pairs of hands that use them up
 * @param share of the mud that is still to be laid
 */
export function batchesOf(
  rows: readonly RowStep[],
  {
    startMin,
    takesMin,
    hands,
    hours,
    share,
  }: { startMin: number; takesMin: number; hands: number; hours: WorkHours; share: number },
  { way, units }: Pick<Job, 'way' | 'units'>,
  book: Supplied,
): Batch[] {
  const made: Batch[] = [];
  const muds = mixingOf(rows, hands, way, book).filter(({ setMin }) => setMin !== undefined);
  const all = muds.reduce((sum, { wetL }) => sum + wetL, 0);
  // What is cut, screwed and scuffed comes before the first mud.
  const laysMin = takesMin * laidShare(rows);
  let done = 0;
  for (const { compound, setMin = 0, wetL, count } of muds) {
    const packed = book.compounds[compound].packages.find(
      (p) => p.waterL !== undefined && (p.for === 'both' || p.for === units),
    );
    const from = takesMin - laysMin + (laysMin * done) / all;
    done += wetL;
    const to = takesMin - laysMin + (laysMin * done) / all;
    // Nothing that is mixed in the evening is used in the morning: each day has batches of its own.
    for (const day of within(hours.pieces(startMin, takesMin), from, to)) {
      const part = day.minutes / (to - from);
      const own = Math.min(MOST_BATCHES, Math.max(1, Math.ceil(part * count * share - 1e-9)));
      const litres = (wetL * share * part) / own;
      for (let n = 0; n < own; n++) {
        const atMin = day.at + (day.minutes * n) / own;
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
