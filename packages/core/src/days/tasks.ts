import type { Book } from '../book';
import { ELEMENT, type Calendar, type Job, type Log, type Pin, type Room, type Step } from '../job';
import { rowDone, stateOf, type RowDone, type SiteState, type Spell } from '../log';
import { Abilities } from './abilities';
import { crewOf, CrewHours, dayShape, handsIn, type Hand } from './crew';
import { DAY, type WorkHours } from './calendar';
import { mixMinOf } from './pot';
import type { AtWork } from './presence';
import { readingsIn, withReadings } from './readings';
import { GOES_OVER_ALL, keyOf, LIES_ON, type RoomStep, type RowStep, type Wait } from './work';

/** What the tasks of a room are made of. */
export interface RoomRows {
  id: string;
  steps: readonly Pick<RoomStep, 'step' | 'rows'>[];
  /** Floor, m²; a small one takes no second pair of hands. */
  floorM2: number;
  /** Air in it, m³. */
  volumeM3: number;
}

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
  /** Who does such work, by their indices. */
  who: readonly number[];
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

/**
 * Which rows of a coat are worked apart from the others: only those that hold up the rest, heads too, every row, or as it
 * is told for single coats, by `room:step`.
 */
export type Parted = 'along' | 'heads' | 'rows' | ReadonlyMap<string, readonly (readonly string[])[]>;

/** The name of a coat in a room. */
export const coatKey = (room: string, step: Step): string => `${room}:${step}`;

/** How one room is parted, as a text: rooms that are parted alike have the same tasks. */
const partedIn = (parted: Parted, { id, steps }: RoomRows): string =>
  typeof parted === 'string'
    ? parted
    : steps
        .flatMap(({ step }) => parted.get(coatKey(id, step))?.map((part) => part.join('+')) ?? '-')
        .join('|');

/** The work of a job that is left, and all that binds it. */
export interface Sitework {
  parted: Parted;
  /** The same with every row a task of its own, made when it is asked for: what holds for it holds however rows are parted. */
  byRows: () => Sitework;
  rooms: readonly RoomRows[];
  crew: readonly Hand[];
  hours: CrewHours;
  /** The hours of everybody. */
  base: WorkHours;
  tasks: readonly Task[];
  past: readonly Past[];
  /** When each room is wanted, min; no day where none is. */
  dueMin: Float64Array;
  /** Pairs of hands that so many people count for in a room. */
  handsIn: (room: number, people: number) => number;
  nowMin: number | undefined;
  /** How warm it was when it was last read, by room. */
  readC: ReadonlyMap<string, number>;
}

/** A blade over this row crosses the joints of the others. */
const crosses = ({ row }: RowStep): boolean => ELEMENT[row].unit === 'm' && !ELEMENT[row].aside;

/** One row of a coat among those of its room. */
interface Node {
  step: Step;
  row: RowStep;
  done: RowDone;
  under: Under[];
  /** Hours of waiting above it, as if work took no time: what is held up alike is worked together. */
  lag: number;
  /** Its task, counted from the first of its room; none where it is done. */
  task: number;
}

interface Under {
  node: Node;
  how: 'ready' | 'stiff';
}

const lagOf = ({ row }: Node, how: Under['how']): number => (how === 'ready' ? row.lateMin : row.stiffMin);

/** What has to be so far before a row of a step may be worked: its own coats ready, those it crosses stiff. */
function under(step: Step, row: RowStep, nodes: readonly Node[]): Under[] {
  const whole = GOES_OVER_ALL.has(step);
  const lies = LIES_ON[step];
  const own = keyOf(row);
  const found: Under[] = [];
  for (const node of nodes) {
    const same = whole || keyOf(node.row) === own;
    if ((same || (crosses(row) && crosses(node.row))) && lies.includes(node.step))
      found.push({ node, how: same ? 'ready' : 'stiff' });
  }
  return found;
}

/** Rows that are one task. */
interface Part {
  nodes: Node[];
  whole: boolean;
  lags: Map<number, number>;
}

/** The rows of a room, and those of its tasks, in order. */
interface RoomNodes {
  apartMin: number;
  parted: string;
  bySteps: Node[][];
  parts: Part[];
}

const NOT_DONE: RowDone = {};
/** Rooms of which nothing is done are the same as long as their steps are. */
const untouched = new WeakMap<RoomRows['steps'], RoomNodes[]>();

/** @param site none where nothing was told of the room */
function nodesOf(room: RoomRows, site: SiteState | undefined, apartMin: number, how: Parted): RoomNodes {
  const { id, steps } = room;
  const parted = partedIn(how, room);
  const all = (site ? undefined : untouched.get(steps)) ?? [];
  const known = all.find((one) => one.apartMin === apartMin && one.parted === parted);
  if (known) return known;
  const nodes: Node[] = [];
  const made: RoomNodes = { apartMin, parted, bySteps: [], parts: [] };
  for (const { step, rows } of steps) {
    const own = rows.map((row): Node => {
      const lies = under(step, row, nodes);
      const lag = lies.reduce((all, { node, how }) => Math.max(all, node.lag + lagOf(node, how)), 0);
      const done = site ? rowDone(site, id, step, keyOf(row)) : NOT_DONE;
      return { step, row, done, under: lies, lag, task: -1 };
    });
    const left = own.filter(({ done }) => done.done === undefined);
    const told = typeof how === 'string' ? undefined : how.get(coatKey(id, step));
    for (const part of partedAs(told ?? (typeof how === 'string' ? how : 'along'), left, apartMin)) {
      const lags = new Map<number, number>();
      for (const { under: lies } of part)
        for (const { node, how } of lies)
          if (node.task >= 0) lags.set(node.task, Math.max(lags.get(node.task) ?? 0, lagOf(node, how)));
      for (const node of part) node.task = made.parts.length;
      made.parts.push({ nodes: part, whole: part.length === own.length, lags });
    }
    made.bySteps.push(own);
    nodes.push(...own);
  }
  if (!site) untouched.set(steps, [...all.slice(-3), made]);
  return made;
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
    parted,
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

/** The rows of a coat that are left, by the tasks they are worked in. */
function partedAs(
  parted: 'along' | 'heads' | 'rows' | readonly (readonly string[])[],
  left: readonly Node[],
  apartMin: number,
): Node[][] {
  if (typeof parted !== 'string') {
    const parts = parted.map((keys) => left.filter(({ row }) => keys.includes(keyOf(row))));
    const others = left.filter(({ row }) => !parted.some((keys) => keys.includes(keyOf(row))));
    return [...parts, ...partsOf(others, apartMin)].filter((part) => part.length > 0);
  }
  if (parted === 'rows') {
    // What is begun is begun together.
    const begun = left.filter(({ done: { started } }) => started !== undefined);
    const others = left.filter(({ done: { started } }) => started === undefined);
    return [...(begun.length > 0 ? [begun] : []), ...others.map((node) => [node])];
  }
  const heads = parted === 'heads' ? left.filter(({ row }) => row.row === 'heads') : [];
  const others = heads.length > 0 ? left.filter(({ row }) => row.row !== 'heads') : left;
  return [...partsOf(others, apartMin), ...partsOf(heads, apartMin)];
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

/** Rows that open so far after the bulk of the work are worked apart from it. */
function partsOf(left: readonly Node[], apartMin: number): Node[][] {
  if (left.length === 0) return [];
  const byLag = [...left].sort((a, b) => a.lag - b.lag);
  const half = left.reduce((sum, { row }) => sum + row.labourMin, 0) / 2;
  let sum = 0;
  const middle = byLag.find(({ row }) => (sum += row.labourMin) >= half - 1e-9) ?? (byLag[0] as Node);
  const [together, late] = [left, left].map((all, i) =>
    all.filter(({ lag }) => lag > middle.lag + apartMin === (i === 1)),
  ) as [Node[], Node[]];
  return late.length === 0 ? [together] : [together, ...partsOf(late, apartMin)];
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
    spells.map((one) => ({ coat: coatIn(task), ...atWork(one, base, nowMin) })),
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

const coatIn = ({ room, step }: Pick<Task, 'room' | 'step'>): string => `${room}:${step}`;

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
      ).map((spell) => ({ coat: coatIn({ room, step }), ...spell })),
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
