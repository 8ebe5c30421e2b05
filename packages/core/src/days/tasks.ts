import type { Book } from '../book';
import { type Calendar, type Job, type Log, type Pin, type Room, type Step } from '../job';
import { stateOf, type Spell } from '../log';
import { Abilities } from './abilities';
import { crewOf, CrewHours, dayShape, handsIn, type CrewMember } from './crew';
import { DAY, type WorkHours } from './calendar';
import { coatKey, nodesOf, type Node, type Parted, type RoomRows, type Under } from './nodes';
import { leastMixMin, mixMinOf } from './pot';
import type { AtWork } from './presence';
import { readingsIn, withReadings } from './readings';
import { keyOf, type RoomStep, type RowStep, type Wait } from './work';

/** What the plan of the days asks of a room. */
export interface RoomWorked extends RoomRows {
  steps: readonly RoomStep[];
  boardAreaM2: number;
}

/** What it asks of a job. */
export type JobDays = Pick<Job, 'calendar' | 'way' | 'climate'> & {
  rooms: readonly Pick<Room, 'id' | 'deadline' | 'shut'>[];
};

/** What happened so far, and when that is known. */
export interface OnSite {
  log: Log;
  /** The local time it is on site, `2026-11-30T07:00`. */
  now?: string;
}

/** A task may start so long after another has ended, min. */
export interface Arc {
  before: number;
  lagMin: number;
}

/** Rows of one coat in one room that are worked in one go. */
export interface Task extends Wait {
  id: string;
  /** Index of its room. */
  room: number;
  step: Step;
  rows: readonly RowStep[];
  how: RowStep['how'];
  /** Work of one person that is left, the visit with it, min; mixing is not in it. */
  labourMin: number;
  /** The visit in it, min. */
  visitMin: number;
  /** Work of mixing its mud for so many people, from one up, min: more of them use up larger batches. */
  mixMin: readonly number[];
  /** How much of its work and its mud is left, 0 to 1. */
  left: number;
  after: Arc[];
  /** Not before, by what is done already, pinned, or now, min. */
  releaseMin: number;
  /** Set by hand to that minute. */
  pinMin?: number;
  /** Begun at that minute, and not yet done. */
  begunMin?: number;
  /** Begun, and laid aside for now. */
  rests?: boolean;
  /** Who does such work, by their indices, and how many of them at least. */
  who: readonly number[];
  least: number;
  /** Who was at it so far, where it is begun. */
  spells?: readonly AtWork[];
}

/** A coat, or rows of one, that is done. */
export interface Past extends Wait {
  id: string;
  room: number;
  step: Step;
  rows: readonly RowStep[];
  how: RowStep['how'];
  startMin: number;
  endMin: number;
  /** When it was told to be ready. */
  toldMin?: number;
  minutes: number;
  /** Who was at it when. */
  spells: readonly AtWork[];
}

/** The work of a job that is left, and all that binds it. */
export interface Sitework {
  /** The same with every row a task of its own, made when it is asked for: what holds for it holds however rows are parted. */
  byRows: () => Sitework;
  rooms: readonly RoomRows[];
  crew: readonly CrewMember[];
  hours: CrewHours;
  /** The hours of everybody. */
  base: WorkHours;
  tasks: readonly Task[];
  past: readonly Past[];
  /** When each room is wanted, min; no day where none is. */
  dueMin: Float64Array;
  /** No mixing of the mud of rows takes less, min, were it used up at that rate. */
  leastMixMin: (rows: readonly RowStep[], perMin: number) => number;
  /** Pairs of hands that so many people count for in a room. */
  handsIn: (room: number, people: number) => number;
  nowMin: number | undefined;
  /** How warm it was when it was last read, by room. */
  readC: ReadonlyMap<string, number>;
}

/**
 * The tasks of a job. Rows of a coat are worked in one go, but those that would hold up the rest for longer than half
 * a day are a task of their own.
 * @param parted heads may be a task of their own too: they hold up nothing but themselves, and fill waits
 */
export function siteworkOf(
  job: JobDays,
  given: readonly RoomRows[],
  book: Book,
  { log, now }: OnSite = { log: [] },
  parted: Parted = 'along',
): Sitework {
  const { calendar } = job;
  const site = stateOf(log);
  const crew = crewOf(calendar);
  const entries = new Map(job.rooms.map((room) => [room.id, room]));
  const shut = given.map(({ id }) => entries.get(id)?.shut ?? []);
  // Whoever begins before the day that was planned goes on from there.
  const { since = calendar.startDate } = site;
  const first = since < calendar.startDate ? since : calendar.startDate;
  const hours = new CrewHours(first, crew, dayShape(job.way, book), shut);
  const base = hours.of([0]);
  const rooms = withReadings(given, site, job.climate, base, book);
  const nowMin = now === undefined || !site.begun ? undefined : Math.max(0, base.minuteOf(now));
  const tasks: Task[] = [];
  const past: Past[] = [];
  const abilities = new Abilities(crew);
  const pins = pinsOf(calendar, base);
  const mixed = mixer(job.way, crew.length, book);

  const toldOf = site.begun ? new Set(log.map((entry) => entry.room)) : undefined;

  rooms.forEach((worked, room) => {
    const isTold = toldOf?.has(worked.id) === true;
    const { bySteps, parts } = nodesOf(
      worked,
      isTold ? site : undefined,
      book.partLateH.value * 60,
      // Where a third only stands in the way nobody does heads beside the others.
      parted === 'heads' && worked.floorM2 < book.smallRoomM2.value ? 'along' : parted,
    );
    const from = tasks.length;
    if (isTold) for (const own of bySteps) past.push(...pastOf(worked.id, room, own, base));
    for (const part of parts) {
      const { nodes, whole, lags } = part;
      const rows = nodes.map(({ row }) => row);
      const { step } = nodes[0] as Node;
      const pinMin = pins?.(worked.id, step, rows);
      const task: Task = {
        id: idOf(worked.id, step, rows, whole),
        room,
        step,
        rows,
        ...waitOf(rows),
        labourMin: rows.reduce((sum, row) => sum + row.labourMin, 0) + book.roomSetupMin.value,
        visitMin: book.roomSetupMin.value,
        mixMin: mixed(rows, worked.floorM2),
        left: 1,
        after: Array.from(lags, ([before, lagMin]) => ({ before: from + before, lagMin })),
        releaseMin: Math.max(nowMin ?? 0, pinMin ?? 0),
        who: abilities.who(step, rows),
        least: (worked.high?.highM2 ?? 0) > 0 ? 2 : 1,
      };
      if (pinMin !== undefined) task.pinMin = pinMin;
      if (isTold) {
        bindToDone(task, nodes, base, nowMin);
        task.who = abilities.whoBegan(nodes) ?? task.who;
      }
      tasks.push(task);
    }
  });
  let byRows: Sitework | undefined;
  return {
    byRows: () =>
      (byRows ??= siteworkOf(job, given, book, { log, ...(now === undefined ? {} : { now }) }, 'rows')),
    rooms,
    crew,
    hours,
    base,
    tasks,
    past,
    dueMin: Float64Array.from(rooms, ({ id }) => {
      const day = entries.get(id)?.deadline ?? calendar.deadline;
      return day === undefined ? Infinity : (base.dayOfDate(day) + 1) * DAY;
    }),
    leastMixMin: (rows, perMin) =>
      rows.reduce(
        (all, { mud }) =>
          all +
          mud.reduce(
            (sum, { wetL, setMin }) =>
              sum +
              (setMin === undefined
                ? (wetL / book.pailL.value) * book.openPailMin.value
                : leastMixMin(wetL, perMin, setMin, job.way, book)),
            0,
          ),
        0,
      ),
    handsIn: (room, people) => handsIn(rooms[room]?.floorM2 ?? 0, people, book),
    nowMin,
    readC: new Map(
      site.readings.length === 0
        ? []
        : rooms.flatMap(({ id }) => {
            const tempC = readingsIn(site.readings, id).findLast((read) => read.tempC !== undefined)?.tempC;
            return tempC === undefined ? [] : [[id, tempC] as const];
          }),
    ),
  };
}

/** Rows that are mixed for together, by the mud of the first of them: rows that only wait otherwise keep theirs. */
const mixedFor = new WeakMap<
  RowStep['mud'],
  { muds: RowStep['mud'][]; by: string; mixMin: readonly number[] }[]
>();

/** The work of mixing for any number of a crew; kept with the mud as long as nothing it goes by changes. */
function mixer(way: JobDays['way'], crew: number, book: Book) {
  const figures = [book.panL, book.panMixMin, book.mixPailL, book.mixMin, book.pailL, book.openPailMin];
  const all = [crew, way.batchL, ...figures.map(({ value }) => value)].join();
  return (rows: readonly RowStep[], floorM2: number): readonly number[] => {
    const by = `${all},${handsIn(floorM2, crew, book)}`;
    const muds = rows.map(({ mud }) => mud);
    const [first] = muds;
    const known = (first && mixedFor.get(first)) ?? [];
    const same = known.find(
      (one) =>
        one.by === by && one.muds.length === muds.length && one.muds.every((mud, i) => mud === muds[i]),
    );
    if (same) return same.mixMin;
    const mixMin = Array.from({ length: crew }, (_, i) =>
      mixMinOf(rows, handsIn(floorM2, i + 1, book), way, book),
    );
    if (first && first.length > 0) mixedFor.set(first, [...known.slice(-7), { muds, by, mixMin }]);
    return mixMin;
  };
}

const most = (rows: readonly RowStep[], of: (row: RowStep) => number): number =>
  rows.reduce((all, row) => Math.max(all, of(row)), 0);

const waitOf = (rows: readonly RowStep[]): Wait & Pick<RowStep, 'how'> => ({
  earlyMin: most(rows, (row) => row.earlyMin),
  hardenMin: most(rows, (row) => row.hardenMin),
  lateMin: most(rows, (row) => row.lateMin),
  how: [...rows].sort((a, b) => b.hardenMin - a.hardenMin)[0]?.how ?? 'none',
});

/** The same work with its rows waiting otherwise. */
export const withRows = <T extends Task | Past>(work: T, rows: readonly RowStep[]): T => ({
  ...work,
  rows,
  ...waitOf(rows),
});

/** The id of a task: its room and step, and its rows where they are not all. */
const idOf = (room: string, step: Step, rows: readonly RowStep[], whole: boolean): string =>
  [room, step, ...(whole ? [] : [rows.map(keyOf).join('+')])].join(':');

/** What a task waits for that is done already and hardens, and what is left of one that is begun. */
function bindToDone(task: Task, nodes: readonly Node[], base: WorkHours, nowMin: number | undefined): void {
  for (const { under: lies } of nodes)
    for (const { node, how } of lies)
      if (node.task < 0) task.releaseMin = Math.max(task.releaseMin, openAfter(node, how, base));
  const begun = nodes.flatMap(({ done }) => done.started ?? []).sort()[0];
  if (begun === undefined) return;
  task.begunMin = base.minuteOf(begun);
  task.rests = nodes.every(({ done: { started, paused } }) => started === undefined || paused !== undefined);
  const worked = Math.max(
    ...nodes.map(({ done: { minutes, spells = [] } }) => minutes ?? spellsMin(spells, base, nowMin)),
  );
  task.spells = nodes.flatMap(({ done: { spells = [] } }) =>
    spells.map((one) => ({ coat: coatKey(String(task.room), task.step), ...atWork(one, base, nowMin) })),
  );
  // A few minutes are left where it took longer than was thought.
  const all = task.labourMin + (task.mixMin[0] ?? 0);
  const left = Math.max(LEAST_LEFT_MIN, all - worked) / all;
  task.left = Math.min(1, left);
  task.labourMin *= left;
  task.visitMin *= left;
  task.mixMin = task.mixMin.map((min) => min * left);
}

const LEAST_LEFT_MIN = 5;

const atWork = (
  { from, to, crew }: Spell,
  base: WorkHours,
  nowMin: number | undefined,
): Omit<AtWork, 'coat'> => {
  const start = base.minuteOf(from);
  return { from: start, to: Math.max(start, (to === undefined ? nowMin : base.minuteOf(to)) ?? start), crew };
};

/** Work in spells, of all people, min: by the clock within a day, whatever its hours; over a night by the hours. */
const spellsMin = (spells: readonly Spell[], base: WorkHours, nowMin: number | undefined): number =>
  spells.reduce((sum, spell) => {
    const { from: start, to: end, crew } = atWork(spell, base, nowMin);
    const oneDay = base.dayOf(start) === base.dayOf(end);
    return sum + crew * (oneDay ? end - start : base.between(start, end));
  }, 0);

/** When a row that is done may be gone over: told, or as late as it may be. */
function openAfter({ row, done }: Node, how: Under['how'], base: WorkHours): number {
  const end = base.minuteOf(done.done as string);
  const told = done.ready === undefined ? Infinity : base.minuteOf(done.ready);
  return Math.min(told, end + (how === 'ready' ? row.lateMin : row.stiffMin));
}

/** What of a coat is done, by when it was. */
function pastOf(id: string, room: number, own: readonly Node[], base: WorkHours): Past[] {
  const told = new Map<string, Node[]>();
  for (const node of own) {
    const { done } = node;
    if (done.done === undefined) continue;
    const key = `${done.started} ${done.done} ${done.ready}`;
    told.set(key, [...(told.get(key) ?? []), node]);
  }
  return [...told.values()].map((nodes): Past => {
    const rows = nodes.map(({ row }) => row);
    const { done, step } = nodes[0] as Node;
    const { started, done: ended = '', ready, minutes } = done.done ? done : { ...done, done: '' };
    const endMin = base.minuteOf(ended);
    const labourMin = rows.reduce((sum, row) => sum + row.labourMin, 0);
    const worked = minutes ?? (done.spells ? spellsMin(done.spells, base, undefined) : labourMin);
    const startMin = started === undefined ? endMin - labourMin : Math.min(endMin, base.minuteOf(started));
    return {
      id: idOf(id, step, rows, nodes.length === own.length),
      room,
      step,
      rows,
      ...waitOf(rows),
      startMin,
      endMin,
      minutes: worked,
      spells: (
        done.spells?.map((one) => atWork(one, base, undefined)) ?? [{ from: startMin, to: endMin, crew: 1 }]
      ).map((spell) => ({ coat: coatKey(String(room), step), ...spell })),
      ...(ready === undefined ? {} : { toldMin: base.minuteOf(ready) }),
    };
  });
}

/** Pins by task: one of a whole coat holds for all of its parts. None where nothing is pinned. */
function pinsOf({ pins = [] }: Calendar, base: WorkHours) {
  if (pins.length === 0) return undefined;
  const fits = (pin: Pin, rows: readonly RowStep[]): boolean =>
    pin.rows === undefined || rows.some(({ row }) => pin.rows?.includes(row));
  return (room: string, step: Step, rows: readonly RowStep[]): number | undefined => {
    const pin = pins.find((one) => one.room === room && one.step === step && fits(one, rows));
    return pin && base.minuteOf(pin.at);
  };
}
