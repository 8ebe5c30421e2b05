import type { Supplied } from '../compound';
import type { CompoundId, Job } from '../job';
import { WORKED } from '../takeoff';
import type { WorkHours } from './calendar';
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
 */
export function batchesOf(
  rows: readonly RowStep[],
  { startMin, takesMin, hours }: { startMin: number; takesMin: number; hours: WorkHours },
  { way, units }: Pick<Job, 'way' | 'units'>,
  book: Supplied,
): Batch[] {
  const muds = new Map<string, { compound: CompoundId; setMin: number; wetL: number }>();
  for (const { compound, setMin, wetL } of rows.flatMap(({ mud }) => mud)) {
    if (setMin === undefined || wetL <= 0) continue;
    const key = `${compound} ${setMin}`;
    const known = muds.get(key);
    if (known) known.wetL += wetL;
    else muds.set(key, { compound, setMin, wetL });
  }
  const made: Batch[] = [];
  const all = [...muds.values()].reduce((sum, { wetL }) => sum + wetL, 0);
  let used = 0;
  for (const { compound, setMin, wetL } of muds.values()) {
    const perMin = all / Math.max(1, takesMin);
    const lasts = Math.max(LEAST_USED_MIN, setMin * WORKED - book.mixMin.value);
    const most = Math.min(way.batchL ?? Infinity, book.mixPailL.value, perMin * lasts);
    const count = Math.min(MOST_BATCHES, Math.ceil(wetL / most - 1e-9));
    const litres = wetL / count;
    const packed = book.compounds[compound].packages.find(
      (p) => p.waterL !== undefined && (p.for === 'both' || p.for === units),
    );
    for (let n = 0; n < count; n++) {
      const atMin = hours.after(startMin, (takesMin * used) / all);
      used += litres;
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
  return made;
}
