import type { Supplied } from '../compound';
import type { Element, Job, Step } from '../job';
import type { Message } from '../texts';
import { solved } from '../units';
import { airOf, type AirPlan } from './air';
import { batchesOf, type Batch } from './batches';
import { boundOf } from './bound';
import { DAY } from './calendar';
import { chainOf, criticalSaid } from './critical';
import { dayShape } from './crew';
import { sanityOf, type LabourSanity } from './labour';
import { idleIn, presenceOf, presentOn, type Presence } from './presence';
import type { Schedule, Scheduler } from './schedule';
import { type Run } from './search';
import { toldOf, type ActualTimes } from './actual-times';
import { settled } from './settled';
import type { OnSite, Past, RoomWorked, Sitework } from './tasks';
import type { RowStep } from './work';

/**
 * Rows of one coat in one room, worked in one go; local times, `2026-11-30T07:00`. What comes after is planned for
 * when they are ready at the latest, unless the site told better.
 */
export interface DayTask {
  id: string;
  room: string;
  step: Step;
  rows: Element[];
  /** The spots it mends, where they are mended by themselves. */
  spots?: string[];
  /** Who works on it, by the ids of people. */
  people: string[];
  start: string;
  end: string;
  /** When it is ready as a rule, at best, and for certain. */
  ready: string;
  readyEarly: string;
  readyLate: string;
  how: RowStep['how'];
  /** Work of one person, the visit and the mixing with it, min. */
  labourMin: number;
  /** Mixing in it, min. */
  mixMin: number;
  /** Tasks it waits for. */
  after: string[];
  /** It could have begun then, for all that it lies on. */
  open: string;
  /** How much later it could be with all ready the same, as the clock runs, min. */
  slackMin: number;
  state: 'planned' | 'begun' | 'paused' | 'done';
  pinned: boolean;
  batches: Batch[];
}

/**
 * Somebody's day on site, from the first task to the last and the cleaning behind it; what of it is work, and what is
 * waiting, min; local times.
 */
export interface PersonDay {
  day: string;
  from: string;
  to: string;
  workMin: number;
  idleMin: number;
}

/** A stretch of a day in which somebody on site has nothing to do; local times. */
export interface IdleTime {
  person: string;
  from: string;
  to: string;
  minutes: number;
  /** The task it ends with, and the one that waits for: none where others held it up. */
  before: string;
  waitsFor?: string;
}

/** The plan of the days; with the air of the rooms where it is reckoned. */
export interface Days extends Partial<AirPlan> {
  tasks: DayTask[];
  /** When each room can be primed. */
  rooms: { room: string; ready: string }[];
  finish: string | undefined;
  /** No plan with these people has all ready sooner. */
  bound: string | undefined;
  /** It cannot be ready sooner: it is ready at the bound, or every order was held against it. */
  proved: boolean;
  /** Tasks that cannot be a minute later without the finish, in order; and what decides it. */
  critical: string[];
  decides: { said: Message; room?: string; step?: Step; how: 'drying' | 'setting' | 'people' } | undefined;
  /** Days that people come to the site, counted for each of them. */
  visits: number;
  /** Who works on the job: their ids and, where they have any, names; and the days they are there. */
  people: { id: string; name?: string; days: PersonDay[] }[];
  /** Where people on site have nothing to do. */
  idle: IdleTime[];
  /** The job stands so far in its days. */
  now: string | undefined;
  /** Trips to the job and back: one for each person on each day they are there, from the first day on. */
  trips: number;
  /** Work of one person through the whole job, setting up and cleaning of each person's days with it, min. */
  labourMin: number;
  /** Setting up and cleaning in it, min. */
  setupMin: number;
  /** Coats told ready that hardened sooner than is planned for, where there are enough of them. */
  told: ActualTimes[];
  /** Work beside what such work usually takes; none where nothing is boarded. */
  sanity: LabourSanity | undefined;
}

/** A plan found earlier for the very same tasks. */
export interface Known {
  run: Run;
  proved: boolean;
}

type Planned = Pick<Job, 'calendar' | 'way' | 'units' | 'rooms' | 'climate'>;

/**
 * The plan of the days: who works where and when, by the best of a few good rules or as a search has found it. Mud
 * hardens through nights and weekends. Waiting is never counted as labour.
 * @yields again and again, for others to be let in
 */
export function* planningDays(
  job: Planned,
  rooms: readonly RoomWorked[],
  book: Supplied,
  site: OnSite = { log: [] },
  known?: Known,
): Generator<undefined, Days> {
  const { scheduler, schedule, used, air } = yield* settled(job, rooms, book, site, known?.run);
  yield;
  const proved = scheduler.count === 0 || (used && known?.proved === true);
  const days = daysOf(job, rooms, scheduler, schedule, proved, book);
  yield;
  return {
    ...days,
    ...(air ? airOf(air, job.climate, scheduler, book) : {}),
  };
}

/** The same at one go. */
export const planDays = (...about: Parameters<typeof planningDays>): Days => solved(planningDays(...about));

function daysOf(
  job: Planned,
  rooms: readonly RoomWorked[],
  scheduler: Scheduler,
  schedule: Schedule,
  proved: boolean,
  book: Supplied,
): Days {
  const { site } = scheduler;
  const { base } = site;
  const { start, end, open, team } = schedule;
  const iso = (min: number): string => base.iso(min);
  const roomId = (room: number): string => rooms[room]?.id ?? '';
  const slack = slackOf(scheduler, schedule);
  const byStart = Array.from(scheduler.site.tasks, (_, i) => i).sort(
    (a, b) => (start[a] as number) - (start[b] as number) || a - b,
  );
  const planned = byStart.map((i): DayTask => {
    const task = scheduler.task(i);
    const people = team[i] ?? [];
    const ended = end[i] as number;
    const takesMin = scheduler.takes(i, people.length);
    return {
      id: task.id,
      room: roomId(task.room),
      step: task.step,
      ...rowsOf(task.rows),
      people: people.map((p) => site.crew[p]?.id ?? ''),
      start: iso(start[i] as number),
      end: iso(ended),
      ready: iso(ended + task.hardenMin),
      readyEarly: iso(ended + task.earlyMin),
      readyLate: iso(ended + task.lateMin),
      how: task.how,
      labourMin: scheduler.labourOf(i, people.length),
      mixMin: task.mixMin[people.length - 1] ?? 0,
      after: task.after.map(({ before }) => scheduler.task(before).id),
      open: iso(open[i] as number),
      slackMin: slack[i] as number,
      state: task.begunMin === undefined ? 'planned' : task.rests ? 'paused' : 'begun',
      pinned: task.pinMin !== undefined,
      batches: batchesOf(
        task.rows,
        {
          startMin: task.begunMin === undefined ? (start[i] as number) : (site.nowMin ?? 0),
          takesMin,
          hands: site.handsIn(task.room, people.length),
          share: task.left,
          hours: site.hours.of(people, task.room),
        },
        job,
        book,
      ),
    };
  });
  const past = site.past.map((one) => pastTask(one, roomId(one.room), iso));
  const readyMin = new Map<number, number>();
  const readyBy = (room: number, min: number) => readyMin.set(room, Math.max(readyMin.get(room) ?? 0, min));
  for (const { room, endMin, lateMin, toldMin } of site.past)
    readyBy(room, Math.min(toldMin ?? Infinity, endMin + lateMin));
  site.tasks.forEach(({ room, lateMin }, i) => readyBy(room, (end[i] as number) + lateMin));
  const ready = [...readyMin].sort(([a], [b]) => a - b);
  const finishMin = ready.reduce((most, [, min]) => Math.max(most, min), 0);
  const boundMin = boundOf(scheduler);
  const chain = chainOf(scheduler, schedule);
  const named = new Map(job.rooms.map(({ id, name }) => [id, name]));
  const names = rooms.map(({ id }) => named.get(id) ?? id);
  const decides = criticalSaid(scheduler, schedule, chain, names);
  const { setupMin } = dayShape(job.way, book);
  const presence = presenceOf(scheduler, schedule, setupMin);
  const labour = labourOf(site, scheduler, schedule, presence, setupMin);
  return {
    tasks: [...past, ...planned],
    rooms: ready.map(([room, min]) => ({ room: roomId(room), ready: iso(min) })),
    finish: ready.length > 0 ? iso(finishMin) : undefined,
    bound: ready.length > 0 ? iso(boundMin) : undefined,
    // What is ready at the bound needs no other proof.
    proved: proved || finishMin - boundMin < 1,
    critical: chain
      .filter(({ task }) => (slack[task] as number) < 1)
      .map(({ task }) => scheduler.task(task).id),
    decides: decides && {
      said: decides.said,
      how: decides.how,
      ...(decides.room < 0 ? {} : { room: roomId(decides.room) }),
      ...(decides.step ? { step: decides.step } : {}),
    },
    visits: schedule.score[2],
    people: site.crew.map(({ id, name }, person) => ({
      id,
      ...(name === undefined ? {} : { name }),
      days: presence
        .filter((one) => one.person === person)
        .map(({ day, from, to, workMin, idleMin }) => ({
          day: iso(day * DAY).slice(0, 10),
          from: iso(from),
          to: iso(to),
          workMin,
          idleMin,
        })),
    })),
    idle: idleIn(scheduler, schedule).map(({ person, from, to, before, waitsFor }) => ({
      person: site.crew[person]?.id ?? '',
      from: iso(from),
      to: iso(to),
      minutes: to - from,
      before: scheduler.task(before).id,
      ...(waitsFor === undefined ? {} : { waitsFor: scheduler.task(waitsFor).id }),
    })),
    now: site.nowMin === undefined ? undefined : iso(site.nowMin),
    ...labour,
    told: toldOf(site.past, book),
    sanity: sanityOf(job, rooms, labour.labourMin, labour.setupMin, book),
  };
}

/** What a task is of: what is coated, and the spots that are mended by themselves. */
function rowsOf(rows: readonly RowStep[]): Pick<DayTask, 'rows' | 'spots'> {
  const spots = rows.flatMap(({ spot }) => spot ?? []);
  return { rows: [...new Set(rows.map(({ row }) => row))], ...(spots.length > 0 ? { spots } : {}) };
}

/** All work, with setting up and cleaning for each person on each day they are there. */
function labourOf(
  site: Sitework,
  scheduler: Scheduler,
  { team }: Schedule,
  presence: readonly Presence[],
  setupMin: number,
): Pick<Days, 'labourMin' | 'setupMin' | 'trips'> {
  const planned = new Map<number, number>();
  for (const { day } of presence) planned.set(day, (planned.get(day) ?? 0) + 1);
  const spells = [...site.past, ...site.tasks].flatMap((work) => work.spells ?? []);
  const present = spells.length > 0 ? presentOn(spells, site.base) : new Map<number, number>();
  // Who was there today is as a rule who goes on.
  for (const [day, people] of present) planned.set(day, Math.max(people, planned.get(day) ?? 0));
  let personDays = 0;
  for (const people of planned.values()) personDays += people;
  const left = site.tasks.reduce((sum, _, i) => sum + scheduler.labourOf(i, team[i]?.length ?? 1), 0);
  const done = site.past.reduce((sum, { minutes }) => sum + minutes, 0);
  const setup = personDays * setupMin;
  return { labourMin: left + done + setup, setupMin: setup, trips: personDays };
}

function pastTask(
  { id, step, rows, startMin, endMin, toldMin, minutes, how, ...wait }: Past,
  room: string,
  iso: (min: number) => string,
): DayTask {
  const at = (min: number): string => iso(toldMin ?? endMin + min);
  return {
    id,
    room,
    step,
    ...rowsOf(rows),
    people: [],
    start: iso(startMin),
    end: iso(endMin),
    ready: at(wait.hardenMin),
    readyEarly: at(wait.earlyMin),
    readyLate: at(wait.lateMin),
    how,
    labourMin: minutes,
    mixMin: 0,
    after: [],
    open: iso(startMin),
    slackMin: 0,
    state: 'done',
    pinned: false,
    batches: [],
  };
}

/** How much later each task could end with all ready the same, min: through what lies on it and what its people do next. */
function slackOf(scheduler: Scheduler, { start, end, team, order }: Schedule): Float64Array {
  const { count, site } = scheduler;
  const finish = site.tasks.reduce((most, { lateMin }, i) => Math.max(most, (end[i] as number) + lateMin), 0);
  const slack = Float64Array.from(site.tasks, ({ lateMin }, i) => finish - (end[i] as number) - lateMin);
  const nextOf = new Map<number, number>();
  for (let n = count - 1; n >= 0; n--) {
    const i = order[n] as number;
    for (const p of team[i] ?? []) {
      const next = nextOf.get(p);
      if (next !== undefined)
        slack[i] = Math.min(
          slack[i] as number,
          (start[next] as number) - (end[i] as number) + (slack[next] as number),
        );
      nextOf.set(p, i);
    }
    for (const { before, lagMin } of scheduler.task(i).after)
      slack[before] = Math.min(
        slack[before] as number,
        (start[i] as number) - (end[before] as number) - lagMin + (slack[i] as number),
      );
  }
  return slack.map((min) => Math.max(0, min));
}
