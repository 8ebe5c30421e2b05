import { DAY } from './calendar';
import { coatKey, type Parted } from './nodes';
import { presenceOf } from './presence';
import { Scheduler, TOLD_APART_MIN, type Schedule } from './schedule';
import { first, type Run } from './search';
import type { Sitework, Task } from './tasks';
import { isMend } from './work';

/** Of a building with more tasks only the heads are tried apart. */
const FEW_ENOUGH = 120;
/** With more than so many not even those. */
const MOST = 600;
/** Of the work of a search, the part in which coats are parted. */
export const PARTING_SHARE = 0.3;
/** Partings looked at, so that no search takes for ever. */
const LOOKED_AT = 400;

type Told = Map<string, readonly (readonly string[])[]>;

/** Rows of a task by their names: what is coated, or a spot. */
const keysOf = ({ rows }: Pick<Task, 'rows'>): string[] => rows.map(({ row, spot }) => spot ?? row);

/** How the coats of a run are parted, by the names of its tasks. */
export function partedIn({ tasks }: Pick<Run, 'tasks'>): Told {
  const told: Told = new Map();
  for (const id of tasks) {
    const [room = '', step = '', rows] = id.split(':');
    if (rows === undefined) continue;
    const coat = `${room}:${step}`;
    told.set(coat, [...(told.get(coat) ?? []), rows.split('+')]);
  }
  return told;
}

/** What a plan comes to: minutes late, the day all is ready and when on it, min, and what is paid for it, min. */
interface Worth {
  late: number;
  day: number;
  readyMin: number;
  paidMin: number;
}

/** A day on site costs so much before anything is done: the trip, setting up and cleaning, min. */
const PERSON_DAY_MIN = 60;

function worthOf(scheduler: Scheduler, schedule: Schedule): Worth {
  const { end, score } = schedule;
  const readyMin = scheduler.site.tasks.reduce(
    (last, { lateMin }, i) => Math.max(last, (end[i] as number) + lateMin),
    0,
  );
  const paidMin = presenceOf(scheduler, schedule, 0).reduce(
    (sum, { from, to }) => sum + to - from + PERSON_DAY_MIN,
    0,
  );
  return { late: score[0], day: Math.floor(readyMin / DAY), readyMin, paidMin };
}

/**
 * Whether a plan with parted coats is worth their visits: ready on an earlier day; or on the same day with less time
 * paid, or sooner on it for no more: nobody comes hours earlier to be done an hour sooner.
 */
function isWorth(apart: Worth, along: Worth): boolean {
  if (Math.abs(apart.late - along.late) > 1e-6) return apart.late < along.late;
  if (apart.day !== along.day) return apart.day < along.day;
  if (apart.readyMin > along.readyMin + 1e-6) return apart.paidMin < along.paidMin - TOLD_APART_MIN;
  const sooner = along.readyMin - apart.readyMin >= TOLD_APART_MIN;
  return sooner ? apart.paidMin <= along.paidMin + 1e-6 : apart.paidMin < along.paidMin - WORTH_MIN;
}

/** Less time paid than this is nothing to part a coat for, min. */
const WORTH_MIN = 10;

export const isWorthParting = (
  apart: readonly [Scheduler, Schedule],
  along: readonly [Scheduler, Schedule],
): boolean => isWorth(worthOf(...apart), worthOf(...along));

/** The ways one coat may be parted: in one go, heads by themselves, each row, or one row before the others. */
function partingsOf(rows: readonly string[]): (readonly (readonly string[])[] | undefined)[] {
  const rest = (one: string): string[] => rows.filter((row) => row !== one);
  return [
    undefined,
    ...(rows.length > 2 ? [rows.map((row) => [row])] : []),
    ...rows.map((row) => [rest(row), [row]]),
  ];
}

/**
 * Coats parted one after the other wherever all is ready sooner by it, from coats in one go and from every row apart; as
 * the best rule plans them. None where nothing is gained.
 * @param made the same work with its coats parted otherwise
 * @yields the share of the search that is done, 0 to 1
 */
export function* bestParting(
  plain: Sitework,
  made: (how: Parted) => Sitework,
  effort = 1,
): Generator<number, Sitework | undefined> {
  if (plain.tasks.length > MOST) return undefined;
  const judged = (work: Sitework) => {
    const scheduler = new Scheduler(work);
    const schedule = first(scheduler).best;
    return { work, told: worthOf(scheduler, schedule) };
  };
  const along = judged(plain);
  if (plain.tasks.length > FEW_ENOUGH) {
    const heads = judged(made('heads'));
    return isWorth(heads.told, along.told) ? heads.work : undefined;
  }
  const coats = new Map<string, string[]>();
  for (const task of plain.tasks) {
    if (isMend(task.step) || task.begunMin !== undefined) continue;
    const coat = coatKey(plain.rooms[task.room]?.id ?? '', task.step);
    coats.set(coat, [...(coats.get(coat) ?? []), ...keysOf(task)]);
  }
  const several = [...coats].filter(([, rows]) => rows.length > 1);
  const apart: Told = new Map(several.map(([coat, rows]) => [coat, rows.map((row) => [row])]));
  let best = along;
  let looked = 0;
  const most = Math.max(20, LOOKED_AT * effort);
  for (const start of [new Map() as Told, apart]) {
    let told: Told = start;
    let held = start.size === 0 ? along : judged(made(told));
    for (let better = true; better && looked < most;) {
      better = false;
      for (const [coat, rows] of several) {
        for (const parting of partingsOf(rows)) {
          if (looked >= most) break;
          const next: Told = new Map(told);
          if (parting) next.set(coat, parting);
          else next.delete(coat);
          const one = judged(made(next));
          looked++;
          if (!isWorth(one.told, held.told) && !isPlainer(one.told, held.told)) continue;
          [held, told, better] = [one, next, true];
        }
        yield PARTING_SHARE * Math.min(0.99, looked / most);
      }
    }
    if (isWorth(held.told, best.told)) best = held;
  }
  return best === along ? undefined : best.work;
}

/** As soon ready for less: parts that gain nothing are put together again. */
const isPlainer = (one: Worth, held: Worth): boolean =>
  one.late <= held.late + 1e-6 && one.readyMin <= held.readyMin + 1e-6 && one.paidMin < held.paidMin - 1e-6;
