import type { Book } from '../book';
import { reckon, withWaits, type Reckoned } from './air';
import { isBetter, Scheduler, type Schedule } from './schedule';
import { again, first, isWorth, searched, type Found, type Run, type Searching } from './search';
import { siteworkOf, type JobDays, type OnSite, type RoomRows } from './tasks';
import type { Wait } from './work';

/** A schedule in the air it makes. */
export interface Settled<R> {
  rooms: readonly R[];
  scheduler: Scheduler;
  schedule: Schedule;
  /** It was made of the run that was given, and not by a rule. */
  used: boolean;
  air: Reckoned | undefined;
}

/** So often the waits are put right; from the second time on they only grow, so that it ends. */
const MOST_PASSES = 5;
/** A coat that dries so little longer than was planned for is within what nobody can tell, min. */
const NEAR_MIN = 10;

/**
 * The schedule and the air of the rooms together: coats wait as long as they dry in the air that all of them make.
 * Where the air is not reckoned, they wait as they would in the air that is given.
 */
export function settled<R extends RoomRows>(
  job: JobDays,
  rooms: readonly R[],
  book: Book,
  site: OnSite,
  run?: Run,
): Settled<R> {
  let aired = rooms;
  let known: ReadonlyMap<string, Wait> | undefined;
  for (let pass = 0; ; pass++) {
    const scheduler = new Scheduler(siteworkOf(job, aired, book, site));
    const ruled = first(scheduler).best;
    const found = run && again(scheduler, run);
    // What was searched for another job is no better than a rule where it comes out worse.
    const better = scheduler.site.nowMin === undefined ? isBetter : isWorth;
    const used = found !== undefined && !better(ruled.score, found.score);
    const schedule = used ? found : ruled;
    if (job.climate.reckoned !== true) return { rooms, scheduler, schedule, used, air: undefined };
    const air = reckon(job.climate, scheduler, schedule, book);
    const short = [...air.waits].some(
      ([key, { lateMin }]) => lateMin > (known?.get(key)?.lateMin ?? -Infinity) + NEAR_MIN,
    );
    if (!short || pass === MOST_PASSES) return { rooms: aired, scheduler, schedule, used, air };
    known = known ? longer(known, air.waits) : air.waits;
    aired = withWaits(rooms, known);
  }
}

/** Of each coat the longer wait. */
function longer(a: ReadonlyMap<string, Wait>, b: ReadonlyMap<string, Wait>): Map<string, Wait> {
  const all = new Map(a);
  for (const [key, wait] of b) {
    const known = all.get(key);
    if (!known || wait.lateMin > known.lateMin) all.set(key, wait);
  }
  return all;
}

/**
 * Searches for the best plan of the days in the air that the best rule makes.
 */
export function searchDays(
  job: JobDays,
  rooms: readonly RoomRows[],
  book: Book,
  site: OnSite = { log: [] },
  searching: Searching = {},
): Generator<number, Found> {
  return searched(settled(job, rooms, book, site).scheduler.site, searching);
}
