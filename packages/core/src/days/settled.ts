import type { Book } from '../book';
import { asWaits, reckon, withWaits, type AirWait, type ComputedAir, type RoomWaits } from './air';
import { isBetter, Scheduler, type Schedule } from './schedule';
import type { RoomRows } from './nodes';
import { bestParting, isWorthParting, partedIn, PARTING_SHARE } from './parting';
import { again, first, isWorth, searched, type Found, type Run, type Searching } from './search';
import { siteworkOf, withRows, type JobDays, type OnSite, type Past, type Task } from './tasks';
import { solved } from '../units';
import type { RowStep, Wait } from './work';

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
  air: ComputedAir | undefined;
}

/** So often the waits are put right; from the second time on they only grow, so that it ends. */
const MOST_PASSES = 5;
/** A coat that dries so little longer than was planned for is within what nobody can tell, min. */
const NEAR_MIN = 10;
/** The better of the rules and the run that is given, with its coats parted as they are in it. */
function picked(job: JobDays, rooms: readonly RoomRows[], book: Book, site: OnSite, run?: Run): Picked {
  const plain = new Scheduler(siteworkOf(job, rooms, book, site));
  const ruled = { scheduler: plain, schedule: first(plain).best, used: false };
  if (!run) return ruled;
  const parted = partedIn(run);
  const scheduler = parted.size > 0 ? new Scheduler(siteworkOf(job, rooms, book, site, parted)) : plain;
  const schedule = again(scheduler, run);
  if (!schedule) return ruled;
  const found = { scheduler, schedule, used: true };
  // What was searched for another job is no better than a rule where it comes out worse.
  if (parted.size > 0) return isWorthParting([scheduler, schedule], [plain, ruled.schedule]) ? found : ruled;
  const better = plain.site.nowMin === undefined ? isBetter : isWorth;
  return better(ruled.schedule.score, schedule.score) ? ruled : found;
}

/**
 * The schedule and the air of the rooms together: coats wait as long as they dry in the air that all of them make.
 * Where the air is not reckoned, they wait as they would in the air that is given.
 * @yields again and again, for others to be let in
 */
export function* settled<R extends RoomRows>(
  job: JobDays,
  rooms: readonly R[],
  book: Book,
  site: OnSite,
  run?: Run,
): Generator<undefined, Settled<R>> {
  let aired = rooms;
  let known: readonly RoomWaits[] = [];
  let air: ComputedAir | undefined;
  for (let pass = 0; ; pass++) {
    const pick = picked(job, aired, book, site, run);
    if (job.climate.reckoned !== true) return { rooms, ...pick, air: undefined };
    yield;
    air = yield* reckon(job.climate, pick.scheduler, pick.schedule, book, air);
    const waits = air.waits.map((now, i) => longer(known[i], now, isShort));
    if (pass === MOST_PASSES || waits.every((now, i) => now === known[i])) {
      const told = air.waits.map((now, i) => longer(known[i], now, isLonger));
      return {
        rooms: aired.map((room, i) =>
          told[i] === known[i] ? room : withWaits(rooms[i] as R, told[i] as RoomWaits),
        ),
        ...inAir(
          pick,
          told.map((waits, i) => (waits === known[i] ? undefined : waits)),
        ),
        air,
      };
    }
    // A room that waits as before stays the very same, so that its tasks are known.
    aired = aired.map((room, i) =>
      waits[i] === known[i] ? room : withWaits(rooms[i] as R, waits[i] as RoomWaits),
    );
    known = waits;
  }
}

type Differs = (now: AirWait, was: Wait) => boolean;
/** A coat is not yet hard when something is laid on it, by more than anybody could tell. */
const isShort: Differs = ({ lateMin, freeMin }, was) => lateMin > Math.max(was.lateMin, freeMin) + NEAR_MIN;
const isLonger: Differs = (now, was) => now.lateMin > was.lateMin + NEAR_MIN;

/** The waits of now where they differ, else those that were known; the very same where none does. */
function longer(known: RoomWaits | undefined, now: RoomWaits, differs: Differs): RoomWaits {
  if (!known) return now;
  let isKnown = true;
  const all = now.map((rows, s) =>
    rows.map((wait, r) => {
      const was = known[s]?.[r];
      if (was ? !wait || !differs(wait, was) : !wait) return was;
      isKnown = false;
      return wait;
    }),
  );
  return isKnown ? known : all;
}

/**
 * A schedule with its coats told as they wait in the air it makes; it stays as it is.
 * @param waits of the rooms in which any is longer than was known
 */
function inAir({ scheduler, ...picked }: Picked, waits: readonly (RoomWaits | undefined)[]): Picked {
  if (waits.every((one) => one === undefined)) return { scheduler, ...picked };
  const { site } = scheduler;
  const now = new Map<RowStep, RowStep>();
  site.rooms.forEach(({ steps }, i) =>
    waits[i]?.forEach((rows, s) =>
      rows.forEach((wait, r) => {
        const row = steps[s]?.rows[r];
        if (wait && row) now.set(row, asWaits(row, wait));
      }),
    ),
  );
  const inRoom = <T extends Task | Past>(work: T): T =>
    waits[work.room]
      ? withRows(
          work,
          work.rows.map((row) => now.get(row) ?? row),
        )
      : work;
  return {
    ...picked,
    scheduler: new Scheduler({ ...site, tasks: site.tasks.map(inRoom), past: site.past.map(inRoom) }),
  };
}

/**
 * Searches for the best plan of the days in the air that the best rule makes, with coats worked in one go and parted.
 * @yields the share of the search that is done, 0 to 1
 */
export function* searchDays(
  job: JobDays,
  rooms: readonly RoomRows[],
  book: Book,
  site: OnSite = { log: [] },
  searching: Searching = {},
): Generator<number, Found> {
  const { rooms: aired, scheduler } = solved(settled(job, rooms, book, site));
  const plain = scheduler.site;
  const parted = yield* bestParting(
    plain,
    (how) => siteworkOf(job, aired, book, site, how),
    searching.effort,
  );
  const works = parted ? [plain, parted] : [plain];
  const all: [Scheduler, Found][] = [];
  for (const [n, work] of works.entries()) {
    const search = searched(work, searching);
    for (let next = search.next(); ; next = search.next()) {
      if (next.done) {
        all.push([new Scheduler(work), next.value]);
        break;
      }
      yield PARTING_SHARE + ((1 - PARTING_SHARE) * (n + next.value)) / works.length;
    }
  }
  const [along, apart] = all as [[Scheduler, Found], [Scheduler, Found]?];
  const isApart = apart && isWorthParting([apart[0], apart[1].schedule], [along[0], along[1].schedule]);
  return isApart ? apart[1] : along[1];
}
