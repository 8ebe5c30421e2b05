import { JOB_RULES, ROOM_RULES, cautionsFor, type Advice, type Caution } from './advice';
import { TYPICAL, type Book } from './book';
import { cellsFor, type Cell } from './coat';
import { planDays, roomSteps, type Days, type RoomStep } from './days';
import { needsOf } from './finish';
import {
  COATS,
  JOINT_KINDS,
  type Coat,
  type CompoundId,
  type Job,
  type JointKind,
  roomProblems,
  type Room,
  type Tape,
} from './job';
import { LayoutMemo, surveyRoom, type Survey } from './survey';
import { orderFor, roomUse, SectionMemo, type Order, type RoomUse } from './takeoff';

export interface RoomPlan extends Survey {
  id: string;
  cells: Cell[];
  use: RoomUse;
  /** The coats to work, with their labour and hardening. */
  steps: RoomStep[];
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
  days: Days;
  advice: Advice[];
  cautions: Caution[];
}

/** What is kept between plans of the same job: rooms that have not changed, and simulated sections. */
export class Reuse {
  readonly memo = new SectionMemo();
  readonly layouts = new LayoutMemo();
  private shared = '';
  private rooms = new Map<string, { room: Room; key: string; plan: RoomPlan }>();

  /** Rooms of this plan, computed only where the room or what it depends on has changed. */
  roomPlans(job: Job, book: Book, make: (room: Room) => RoomPlan): RoomPlan[] {
    const shared = JSON.stringify([job.way, job.climate, job.units, book === TYPICAL ? 0 : book]);
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

/**
 * Everything Lisse says about a job. Never throws for odd input: what could not be computed is left out
 * with advice that says why.
 */
export function plan(job: Job, book: Book = TYPICAL, reuse = new Reuse()): Plan {
  const rooms = reuse.roomPlans(job, book, (room) => planRoom(room, job, book, reuse));
  const totals = totalsOf(rooms, job);
  const order = orderFor(
    job,
    rooms.map((room) => room.use),
    totals.boardAreaM2,
    book,
  );
  const days = planDays(job, rooms);
  const advice = [...JOB_RULES.flatMap((rule) => rule(job)), ...rooms.flatMap((room) => room.advice)];
  const coats = COATS.filter((coat) => (totals.wetLByCoat[coat] ?? 0) > 0);
  return {
    format: 'lisse-plan/1',
    job: job.id,
    rooms,
    totals,
    coats,
    order,
    days,
    advice,
    cautions: cautionsFor(job),
  };
}

function planRoom(room: Room, job: Job, book: Book, { memo, layouts }: Reuse): RoomPlan {
  const { sound, advice: left } = fitting(room);
  const survey = surveyRoom(sound, book, layouts);
  const cells = cellsFor(needsOf(room.finish), job.way, room.bands);
  const use = roomUse(sound, survey, cells, job.way, book, memo);
  const advice = ROOM_RULES.flatMap((rule) => rule({ job, room: sound, survey, cells, use, book, memo }));
  advice.push(...left);
  const steps = roomSteps({ room, cells, use, areaM2: survey.boardAreaM2 }, job, book);
  return { id: room.id, ...survey, cells, use, steps, advice };
}

/** The room without what does not fit in it, and what is to be said of that. */
function fitting(room: Room): { sound: Room; advice: Advice[] } {
  const wrong = roomProblems(room, 'room');
  if (wrong.length === 0) return { sound: room, advice: [] };
  const told = new Map<string, string>();
  for (const { path, message } of wrong) {
    const key = /^room\.(?:ceiling|\w+\[\d+\])/.exec(path)?.[0];
    if (key && !told.has(key)) told.set(key, message);
  }
  const keep = <T>(list: T[] | undefined, name: string): T[] =>
    (list ?? []).filter((_, i) => !told.has(`room.${name}[${i}]`));
  const { ceiling, ...rest } = room;
  const sound: Room = { ...rest, openings: keep(room.openings, 'openings') };
  if (room.boxes) sound.boxes = keep(room.boxes, 'boxes');
  if (room.closets) sound.closets = keep(room.closets, 'closets');
  if (ceiling && !told.has('room.ceiling')) sound.ceiling = ceiling;
  const advice = [...told].map(([key, message]): Advice => {
    const [, list = 'ceiling', at = '0'] = /^room\.(\w+)\[(\d+)\]/.exec(key) ?? [];
    const n = Number(at);
    const where = (wall: number | undefined) => ` on wall ${(wall ?? 0) + 1}`;
    const name = {
      openings: () => `${room.openings[n]?.kind ?? 'opening'}${where(room.openings[n]?.wall)}`,
      boxes: () => `${room.boxes?.[n]?.kind ?? 'box'}${where(room.boxes?.[n]?.wall)}`,
      closets: () => `closet${where(room.closets?.[n]?.wall)}`,
      ceiling: () => 'sloped ceiling’s high side',
    }[list];
    return {
      code: list === 'openings' ? 'A-OPENING' : 'A-SHAPE',
      severity: 'warn',
      place: { room: room.id },
      reason: `The ${name?.() ?? 'part'} ${message}; it is left out of the plan.`,
      cures: [{ text: 'Correct its place or size in Rooms' }],
    };
  });
  return { sound, advice };
}

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
  const { rooms, totals, days } = plan(job, book, reuse);
  const sum = (of: (room: RoomPlan) => number): number => rooms.reduce((all, room) => all + of(room), 0);
  const wasteM2 = sum((room) => room.sheets.wasteM2);
  const boughtM2 = sum((room) => room.sheets.boughtM2);
  return {
    boards: sum((room) => room.sheets.bought.reduce((all, s) => all + s.count, 0)),
    buttMm: totals.jointMm.butt ?? 0,
    taperedMm: totals.jointMm.tapered ?? 0,
    waste: boughtM2 > 0 ? wasteM2 / boughtM2 : 0,
    tapeMm: Object.values(totals.tapeMm).reduce((a, b) => a + b, 0),
    wetL: totals.wetL,
    labourMin: days.labourMin,
  };
}
