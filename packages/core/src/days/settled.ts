import type { Book } from '../book';
import { reckon, withWaits, type Reckoned } from './air';
import { isBetter, Scheduler, TOLD_APART_MIN, type Schedule } from './schedule';
import { again, first, isWorth, searched, type Found, type Run, type Searching } from './search';
import { siteworkOf, type JobDays, type OnSite, type RoomRows } from './tasks';
import type { Wait } from './work';

/** A schedule, and what it is one of. */
interface Picked {
  scheduler: Scheduler;
  schedule: Schedule;
  /** It was made of the run that was given, and not by a rule. */
  used: boolean;
}

/** A schedule in the air it makes. */
export interface Settled<R> extends Picked {
  rooms: readonly R[];
  air: Reckoned | undefined;
}

/** So often the waits are put right; from the second time on they only grow, so that it ends. */
const MOST_PASSES = 5;
/** A coat that dries so little longer than was planned for is within what nobody can tell, min. */
const NEAR_MIN = 10;
/** Of a building with more tasks only the plain way of parting them is tried. */
const MOST_PARTED = 600;

/** Parting the heads costs a walk for each: worth it where all is ready hours sooner, or less is late. */
const isWorthParting = ({ score: apart }: Schedule, { score: plain }: Schedule, book: Book): boolean =>
  apart[0] < plain[0] - 1e-6 ||
  (apart[0] <= plain[0] && (plain[1] - apart[1]) * TOLD_APART_MIN >= book.headsGainH.value * 60);

/** The better of the rules and the run that is given; a run with heads apart stands where that is worth it. */
function picked(job: JobDays, rooms: readonly RoomRows[], book: Book, site: OnSite, run?: Run): Picked {
  const plain = new Scheduler(siteworkOf(job, rooms, book, site));
  const ruled = { scheduler: plain, schedule: first(plain).best, used: false };
  if (!run) return ruled;
  const scheduler = run.headsApart ? new Scheduler(siteworkOf(job, rooms, book, site, true)) : plain;
  const schedule = again(scheduler, run);
  if (!schedule) return ruled;
  const found = { scheduler, schedule, used: true };
  if (run.headsApart) return isWorthParting(schedule, ruled.schedule, book) ? found : ruled;
  // What was searched for another job is no better than a rule where it comes out worse.
  const better = plain.site.nowMin === undefined ? isBetter : isWorth;
  return better(ruled.schedule.score, schedule.score) ? ruled : found;
}

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
    const pick = picked(job, aired, book, site, run);
    if (job.climate.reckoned !== true) return { rooms, ...pick, air: undefined };
    const air = reckon(job.climate, pick.scheduler, pick.schedule, book);
    const short = [...air.waits].some(
      ([key, { lateMin }]) => lateMin > (known?.get(key)?.lateMin ?? -Infinity) + NEAR_MIN,
    );
    if (!short || pass === MOST_PASSES) return { rooms: aired, ...pick, air };
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
 * Searches for the best plan of the days in the air that the best rule makes, with heads along with their coat and apart.
 * @yields the share of the search that is done, 0 to 1
 */
export function* searchDays(
  job: JobDays,
  rooms: readonly RoomRows[],
  book: Book,
  site: OnSite = { log: [] },
  searching: Searching = {},
): Generator<number, Found> {
  const { rooms: aired, scheduler } = settled(job, rooms, book, site);
  const plain = scheduler.site;
  const parted = plain.tasks.length <= MOST_PARTED ? siteworkOf(job, aired, book, site, true) : plain;
  const works = parted.tasks.length > plain.tasks.length ? [plain, parted] : [plain];
  const all: Found[] = [];
  for (const [n, work] of works.entries()) {
    const search = searched(work, searching);
    for (let next = search.next(); ; next = search.next()) {
      if (next.done) {
        all.push(next.value);
        break;
      }
      yield (n + next.value) / works.length;
    }
  }
  const [along, apart] = all as [Found, Found?];
  return apart && isWorthParting(apart.schedule, along.schedule, book) ? apart : along;
}
