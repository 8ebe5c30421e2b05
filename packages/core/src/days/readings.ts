import type { Book } from '../book';
import { referenceHours } from '../drying';
import type { Climate } from '../job';
import { rowDone, type SiteReading, type SiteState } from '../log';
import type { WorkHours } from './calendar';
import type { RoomRows } from './nodes';
import { keyOf, type RowStep } from './work';

/** From a moment on a coat dries so much longer than in the air the job was planned with. */
interface Rate {
  atMin: number;
  factor: number;
}

/** Readings that hold in a room: its own, and those of the whole site. */
export const readingsIn = (readings: readonly SiteReading[], room: string): SiteReading[] =>
  readings.filter(
    ({ where, tempC, rhPct }) => (where ?? room) === room && (tempC !== undefined || rhPct !== undefined),
  );

/** How much longer coats dry in air that was read than in the air of the job. */
export const readFactor = (
  { tempC, rhPct }: Pick<SiteReading, 'tempC' | 'rhPct'>,
  climate: Pick<Climate, 'tempC' | 'rhPct'>,
): number =>
  referenceHours(tempC ?? climate.tempC, rhPct ?? climate.rhPct) /
  referenceHours(climate.tempC, climate.rhPct);

/**
 * How long a coat takes that would take so long in the air of the job: as fast as was last read at every moment. What
 * has not been read yet goes on as the last reading.
 */
export function inReadAir(waitMin: number, fromMin: number, rates: readonly Rate[]): number {
  let left = waitMin;
  let at = fromMin;
  let factor = rates.findLast((rate) => rate.atMin <= fromMin)?.factor ?? 1;
  for (const next of rates) {
    if (next.atMin <= fromMin) continue;
    const done = (next.atMin - at) / factor;
    if (done >= left) break;
    left -= done;
    [at, factor] = [next.atMin, next.factor];
  }
  return at - fromMin + left * factor;
}

/**
 * Rooms with the waits of their coats in the air that was read there, and no sooner than a meter allows that still found
 * one wet. A coat that is not laid yet dries as in the air that was read last.
 */
export function withReadings(
  rooms: readonly RoomRows[],
  site: SiteState,
  climate: Climate,
  base: WorkHours,
  book: Book,
): readonly RoomRows[] {
  if (site.readings.length === 0) return rooms;
  return rooms.map((room) => {
    const rates = climate.reckoned
      ? []
      : readingsIn(site.readings, room.id).map((read) => ({
          atMin: base.minuteOf(read.at),
          factor: readFactor(read, climate),
        }));
    const waited = (row: RowStep, step: RoomRows['steps'][number]['step']): RowStep => {
      const { done, wet } = rowDone(site, room.id, step, keyOf(row));
      const fromMin = done === undefined ? Infinity : base.minuteOf(done);
      let made = row;
      if (rates.length > 0 && row.how === 'drying' && !row.byHand) {
        const { setsMin } = row;
        const longer = (min: number): number => {
          const dries = Math.max(0, min - setsMin);
          return (
            min -
            dries +
            (done === undefined
              ? dries * (rates.at(-1) as Rate).factor
              : inReadAir(dries, fromMin + setsMin, rates))
          );
        };
        made = {
          ...row,
          earlyMin: longer(row.earlyMin),
          hardenMin: longer(row.hardenMin),
          lateMin: longer(row.lateMin),
        };
      }
      if (wet === undefined || done === undefined) return made;
      const wetMin = base.minuteOf(wet) - fromMin;
      if (wetMin < 0) return made;
      const againMin = wetMin + book.wetAgainMin.value;
      return {
        ...made,
        earlyMin: Math.max(made.earlyMin, wetMin),
        hardenMin: Math.max(made.hardenMin, againMin),
        lateMin: Math.max(made.lateMin, againMin),
      };
    };
    return {
      ...room,
      steps: room.steps.map((one) => ({ ...one, rows: one.rows.map((row) => waited(row, one.step)) })),
    };
  });
}
