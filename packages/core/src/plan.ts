import { alike, type Sayable } from './texts';
import {
  adviceKey,
  JOB_RULES,
  ROOM_RULES,
  cautionsFor,
  fitting,
  withoutGone,
  type Advice,
  type Caution,
} from './advice';
import { TYPICAL, type Book } from './book';
import { CutMemo } from './cutting';
import { cellsFor, rowsFor, type BoardRow, type Cell } from './coat';
import { suppliedWith, type Supplied } from './compound';
import {
  chosenSets,
  openSets,
  planDays,
  roomDay,
  roomSteps,
  setsAtHand,
  withSets,
  type Days,
  type Known,
  type OnSite,
  type RoomStep,
} from './days';
import { areasOf, needsOf, type Area } from './finish';
import { runsOf, type CoatRun } from './runs';
import {
  COATS,
  JOINT_KINDS,
  outlineOf,
  signedArea2,
  type Coat,
  type CompoundId,
  type Job,
  type JointKind,
  type Look,
  type Room,
  type SetAside,
  type Tape,
} from './job';
import { LayoutMemo, surveyRoom, type Survey } from './survey';
import {
  areaUse,
  BoardMemo,
  orderFor,
  SectionMemo,
  together,
  type BeadStick,
  type BoardLine,
  type Order,
  type RoomUse,
} from './takeoff';
import { kitOf } from './way';

/** Part of a room that is finished alike. */
export interface AreaPlan extends Look {
  /** The room's id, with the first face behind it where the area is not the room at large. */
  id: string;
  name: Sayable;
  faces: string[];
  boardAreaM2: number;
  /** The coat board. */
  rows: BoardRow[];
  use: RoomUse;
}

export interface RoomPlan extends Survey {
  id: string;
  floorM2: number;
  /** Air in it, m³. */
  volumeM3: number;
  /** The coat board of the room at large, element by element. */
  cells: Cell[];
  areas: AreaPlan[];
  use: RoomUse;
  /** The coats to work, with their labour and hardening. */
  steps: RoomStep[];
  /** The order of the joints in each coat. */
  runs: CoatRun[];
  advice: Advice[];
}

export interface Totals {
  boardAreaM2: number;
  fasteners: number;
  jointMm: Partial<Record<JointKind, number>>;
  tapeMm: Partial<Record<Tape, number>>;
  wetL: number;
  wetLByClass: Partial<Record<CompoundId, number>>;
  wetLByCoat: Partial<Record<Coat, number>>;
}

export interface Plan {
  format: 'lisse-plan/1';
  job: string;
  rooms: RoomPlan[];
  totals: Totals;
  coats: Coat[];
  order: Order;
  /** Every stick of bead and trim, and what is cut from it. */
  cuts: BeadStick[];
  days: Days;
  /** The order of the joints, room by room and coat by coat. */
  runs: CoatRun[];
  advice: Advice[];
  /** Advice set aside, with the reason given. */
  setAside: { advice: Advice; given: SetAside }[];
  cautions: Caution[];
}

/** What rooms are planned by; the weather and what is done to the air concern the days alone. */
const withoutWeather = ({ tempC, rhPct, air }: Job['climate']): Job['climate'] => ({ tempC, rhPct, air });

/** What is kept between plans of the same job: rooms that have not changed, and simulated sections. */
export class Reuse {
  readonly memo = new SectionMemo();
  readonly layouts = new LayoutMemo();
  readonly boards = new BoardMemo();
  readonly cuts = new CutMemo();
  private shared = '';
  private rooms = new Map<string, { room: Room; key: string; plan: RoomPlan }>();

  /** Rooms of this plan, computed only where the room or what it depends on has changed. */
  roomPlans(job: Job, book: Book, make: (room: Room) => RoomPlan): RoomPlan[] {
    const { kit, products, figures } = job.shop ?? {};
    const shared = JSON.stringify([
      [job.way, withoutWeather(job.climate), job.units, job.calendar.hand],
      [kit, products, figures],
      job.way.setChosen ? [setsAtHand(job), roomDay(job, book)] : 0,
      book === TYPICAL ? 0 : book,
    ]);
    if (shared !== this.shared) this.rooms.clear();
    this.shared = shared;
    const next: typeof this.rooms = new Map();
    const plans = job.rooms.map((room) => {
      const known = this.rooms.get(room.id);
      // The very object of last time cannot have changed; another is told apart by what it holds.
      if (known?.room === room) {
        next.set(room.id, known);
        return known.plan;
      }
      const key = JSON.stringify(room);
      const entry = known?.key === key ? { ...known, room } : { room, key, plan: make(room) };
      next.set(room.id, entry);
      return entry.plan;
    });
    this.rooms = next;
    return plans;
  }
}

/** What a plan goes by beside the job and the book. */
export interface Making {
  /** What happened on site, and what time it is there. */
  site?: OnSite | undefined;
  /** The best plan of the days that a search has found. */
  days?: Known | undefined;
  /** Told of each room before it is planned. */
  at?: (room: Room) => void;
}

/**
 * Everything Lisse says about a job. Never throws for odd input: what could not be computed is left out
 * with advice that says why.
 */
export function plan(
  job: Job,
  typical: Book = TYPICAL,
  reuse = new Reuse(),
  { site = { log: job.log ?? [] }, days: known, at = () => undefined }: Making = {},
): Plan {
  const book = suppliedWith(typical, job);
  const rooms = reuse.roomPlans(job, typical, (room) => {
    at(room);
    return planRoom(room, job, book, reuse);
  });
  const totals = totalsOf(rooms, job);
  const order = orderFor(job, rooms, totals.boardAreaM2, book, {
    boards: reuse.boards,
    cuts: reuse.cuts,
  });
  const days = planDays(job, rooms, book, site, known);
  const context = { job, rooms, order, days, book };
  const all = merged([
    ...JOB_RULES.flatMap((rule) => rule(context)),
    ...rooms.flatMap((room) => room.advice),
  ]);
  const given = new Map((job.setAside ?? []).map((s) => [s.key, s]));
  const coats = COATS.filter((coat) => (totals.wetLByCoat[coat] ?? 0) > 0);
  return {
    format: 'lisse-plan/1',
    job: job.id,
    rooms,
    totals,
    coats,
    order,
    cuts: order.beads.flatMap((line) => line.cuts),
    days,
    runs: rooms.flatMap((room) => room.runs),
    advice: all.filter((advice) => !given.has(adviceKey(advice))),
    setAside: all.flatMap((advice) => {
      const set = given.get(adviceKey(advice));
      return set ? [{ advice, given: set }] : [];
    }),
    cautions: cautionsFor(job),
  };
}

/** The same value set in the same place once. */
const withoutRepeats = (advice: Advice): Advice => ({
  ...advice,
  cures: advice.cures.map((cure) => {
    if (!cure.changes) return cure;
    const once = new Map(cure.changes.map((change) => [JSON.stringify([change.room, change.path]), change]));
    return { ...cure, changes: [...once.values()] };
  }),
});

/** Cured for the whole job at once, wherever it was found. */
const isForJob = ({ cures }: Advice): boolean => {
  const changes = cures.flatMap((cure) => cure.changes ?? []);
  return changes.length > 0 && changes.every((change) => change.room === undefined);
};

/** Stops first, then warnings. */
const bySeverity = (advice: readonly Advice[]): Advice[] => {
  const rank = { stop: 0, warn: 1, note: 2 };
  return [...advice].sort((a, b) => rank[a.severity] - rank[b.severity]);
};

/** One advice where several rooms have the same trouble and one cure for all. */
function merged(advice: readonly Advice[]): Advice[] {
  const known = new Map<string, Advice>();
  const own: Advice[] = [];
  for (const one of advice) {
    if (!isForJob(one)) {
      own.push(one);
      continue;
    }
    const key = alike(one.code, one.reason, one.cures);
    const same = known.get(key);
    if (!same) known.set(key, one);
    else if (same.place.room !== one.place.room) {
      const { coat } = one.place;
      known.set(key, { ...same, place: coat ? { coat } : {} });
    }
  }
  return bySeverity([...known.values(), ...own]);
}

/** The advice on one room, each said once however many of its areas share it. */
function onRoom(advice: readonly Advice[]): Advice[] {
  const said = new Map<string, Advice>();
  for (const one of advice.map(withoutRepeats)) {
    const key = alike(one.code, one.reason, one.cures);
    if (!said.has(key)) said.set(key, one);
  }
  return bySeverity([...said.values()]);
}

function planRoom(room: Room, job: Job, book: Supplied, { memo, layouts }: Reuse): RoomPlan {
  const fits = fitting(room);
  const survey = surveyRoom(fits.sound, book, layouts);
  const { sound, advice: gone } = withoutGone(fits.sound, survey, room);
  const kit = kitOf(job.shop, job.way.tools);
  const floorM2 = Math.abs(signedArea2(outlineOf(room.plan))) / 2e6;
  const { parts, steps } = laid(areasOf(sound, survey), floorM2, job, book, { kit, memo });
  const advice = parts.flatMap(({ area, rows, use }) =>
    ROOM_RULES.flatMap((rule) =>
      rule({ job, area, room: area.room, survey: area.survey, rows, use, kit, book, memo }),
    ),
  );
  const use = together(parts.map((part) => part.use));
  return {
    id: room.id,
    ...survey,
    floorM2,
    volumeM3: (floorM2 * meanHeightMm(room)) / 1000,
    cells: cellsFor(needsOf(room.finish), job.way, { kit, room: room.cells }),
    areas: parts.map(({ area, rows, use: used }) => ({
      id: area.id,
      name: area.name,
      faces: area.faces,
      boardAreaM2: area.survey.boardAreaM2,
      finish: area.room.finish,
      decoration: area.room.decoration,
      light: area.room.light,
      ...(area.room.primer ? { primer: area.room.primer } : {}),
      rows,
      use: used,
    })),
    use,
    steps,
    runs: runsFor(room, survey, parts, job, book),
    advice: onRoom([...advice, ...fits.advice, ...gone]),
  };
}

/** What is laid on the areas of a room and worked in it, with the set times that the plan chooses. */
function laid(
  areas: readonly Area[],
  floorM2: number,
  job: Job,
  book: Supplied,
  { kit, memo }: { kit: ReturnType<typeof kitOf>; memo: SectionMemo },
) {
  const planned = (area: Area, rows: BoardRow[]) => ({
    area,
    rows,
    use: areaUse(area, rows, job, book, memo),
  });
  const stepsOf = (made: readonly ReturnType<typeof planned>[]): RoomStep[] =>
    roomSteps({ areas, use: together(made.map((part) => part.use)) }, job, book);
  const parts = areas.map((area) => planned(area, rowsFor(area, job.way, kit)));
  const steps = stepsOf(parts);
  if (job.way.setChosen !== true) return { parts, steps };
  const room = { floorM2, day: roomDay(job, book), sets: setsAtHand(job) };
  const chosen = chosenSets(steps, openSets(parts, job, book), room, job, book);
  const others = [...chosen.values()].some(({ setMin }) => setMin !== job.way.setMin);
  const set = others ? parts.map((part) => planned(part.area, withSets(part, chosen))) : parts;
  return {
    parts: set,
    steps: (others ? stepsOf(set) : steps).map((step) => {
      const choice = chosen.get(step.step);
      return choice ? { ...step, set: choice } : step;
    }),
  };
}

/** The order of the joints of a room; a row lays as much on a metre wherever it runs. */
function runsFor(
  room: Room,
  survey: Survey,
  parts: readonly { rows: BoardRow[]; use: RoomUse }[],
  { way }: Job,
  book: Supplied,
): CoatRun[] {
  const lengthMm = new Map(survey.joints.map((joint) => [joint.id, joint.lengthMm]));
  const litres = new Map<string, number>();
  // Areas have rows of the same names.
  const named = (row: string, part: number): string => `${part}|${row}`;
  parts.forEach(({ rows, use }, part) => {
    for (const row of rows) {
      const mm = row.joints.reduce((sum, id) => sum + (lengthMm.get(id) ?? 0), 0);
      for (const { row: id, coat, wetL } of use.uses)
        if (id === row.id && mm > 0) litres.set(`${named(id, part)} ${coat}`, (wetL / mm) * 1000);
    }
  });
  return runsOf({
    id: room.id,
    survey,
    rows: parts.flatMap(({ rows }, part) => rows.map((row) => ({ ...row, id: named(row.id, part) }))),
    litresPerM: (row, coat) => litres.get(`${row} ${coat}`) ?? 0,
    way,
    book,
    own: room.runs,
  });
}

/** As high as a flat ceiling that holds as much air. */
const meanHeightMm = ({ plan: { heightMm }, ceiling }: Room): number =>
  ceiling ? (heightMm + Math.max(heightMm, ceiling.highMm)) / 2 : heightMm;

function totalsOf(rooms: readonly RoomPlan[], job: Job): Totals {
  const totals: Totals = {
    boardAreaM2: 0,
    fasteners: 0,
    jointMm: {},
    tapeMm: {},
    wetL: 0,
    wetLByClass: {},
    wetLByCoat: {},
  };
  const add = <K extends string>(into: Partial<Record<K, number>>, key: K, amount: number) => {
    into[key] = (into[key] ?? 0) + amount;
  };
  for (const room of rooms) {
    totals.boardAreaM2 += room.boardAreaM2;
    totals.fasteners += room.fasteners;
    totals.wetL += room.use.wetL;
    for (const kind of JOINT_KINDS)
      if (room.use.jointMm[kind]) add(totals.jointMm, kind, room.use.jointMm[kind]);
    if (room.use.tapeMm > 0) add(totals.tapeMm, job.way.tape, room.use.tapeMm);
    for (const { compound, coat, wetL } of room.use.uses) {
      if (wetL <= 0) continue;
      add(totals.wetLByClass, compound, wetL);
      add(totals.wetLByCoat, coat, wetL);
    }
  }
  return totals;
}

/** What a way of boarding comes to, to hold against another. */
export interface LayoutSummary {
  boards: number;
  buttMm: number;
  taperedMm: number;
  /** Board bought and not hung, a share of what is bought. */
  waste: number;
  tapeMm: number;
  wetL: number;
  labourMin: number;
}

/** Board, joints, mud and work of a job, in a few figures. */
export function layoutSummary(job: Job, book: Book = TYPICAL, reuse = new Reuse()): LayoutSummary {
  const { order, totals, days } = plan(job, book, reuse);
  const sum = (of: (line: BoardLine) => number): number =>
    order.boards.reduce((all, line) => all + of(line), 0);
  const wasteM2 = sum((line) => line.wasteM2);
  const boughtM2 = sum((line) => line.boughtM2);
  return {
    boards: sum((line) => line.bought.reduce((all, s) => all + s.count, 0)),
    buttMm: totals.jointMm.butt ?? 0,
    taperedMm: totals.jointMm.tapered ?? 0,
    waste: boughtM2 > 0 ? wasteM2 / boughtM2 : 0,
    tapeMm: Object.values(totals.tapeMm).reduce((a, b) => a + b, 0),
    wetL: totals.wetL,
    labourMin: days.labourMin,
  };
}
