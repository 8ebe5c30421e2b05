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
  /** Every way the work was parted into tasks, the one that was picked first. */
  tried: readonly Scheduler[];
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

/** The better of the rules and the run that is given, with heads done along with their coat or apart from it. */
function picked(job: JobDays, rooms: readonly RoomRows[], book: Book, site: OnSite, run?: Run): Picked {
  const parted = (headsApart: boolean): Scheduler =>
    new Scheduler(siteworkOf(job, rooms, book, site, headsApart));
  const plain = parted(false);
  const tries = plain.count <= MOST_PARTED || run?.headsApart === true;
  const apart = tries ? parted(true) : plain;
  const tried = apart.count > plain.count ? [plain, apart] : [plain];
  const ruled = tried.map((scheduler) => ({ scheduler, schedule: first(scheduler).best, used: false }));
  const best = ruled.reduce((a, b) => (isWorthParting(b.schedule, a.schedule, book) ? b : a));
  const of = run?.headsApart === true ? apart : plain;
  const found = run && again(of, run);
  // What was searched for another job is no better than a rule where it comes out worse.
  const better = plain.site.nowMin === undefined ? isBetter : isWorth;
  const chosen =
    found && !better(best.schedule.score, found.score)
      ? { scheduler: of, schedule: found, used: true }
      : best;
  return {
    ...chosen,
    tried: [chosen.scheduler, ...tried.filter((one) => one !== chosen.scheduler)],
  };
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
  const { tried } = settled(job, rooms, book, site, searching.kept);
  const all: Found[] = [];
  for (const [n, { site: work }] of tried.entries()) {
    const search = searched(work, searching);
    for (let next = search.next(); ; next = search.next()) {
      if (next.done) {
        all.push(next.value);
        break;
      }
      yield (n + next.value) / tried.length;
    }
  }
  const [plain, apart] = all[0]?.run.headsApart ? [all[1], all[0]] : [all[0], all[1]];
  if (!plain || !apart) return all[0] as Found;
  return isWorthParting(apart.schedule, plain.schedule, book) ? apart : plain;
}
