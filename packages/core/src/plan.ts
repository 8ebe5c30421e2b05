import { JOB_RULES, ROOM_RULES, cautionsFor, type Advice, type Caution } from './advice';
import { TYPICAL, type Book } from './book';
import { cellsFor, type Cell } from './coat';
import { planDays, roomSteps, type Days, type RoomStep } from './days';
import { needsOf } from './finish';
import {
  COATS,
  JOINT_KINDS,
  openingProblems,
  type Coat,
  type CompoundId,
  type Job,
  type JointKind,
  type Room,
  type Tape,
} from './job';
import { surveyRoom, type Survey } from './survey';
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
  const rooms = reuse.roomPlans(job, book, (room) => planRoom(room, job, book, reuse.memo));
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

function planRoom(room: Room, job: Job, book: Book, memo: SectionMemo): RoomPlan {
  const wrong = openingProblems(room, '');
  const bad = new Set(wrong.map((problem) => Number(/openings\[(\d+)\]/.exec(problem.path)?.[1])));
  const sound = bad.size > 0 ? { ...room, openings: room.openings.filter((_, i) => !bad.has(i)) } : room;
  const survey = surveyRoom(sound, book);
  const cells = cellsFor(needsOf(room.finish), job.way, room.bands);
  const use = roomUse(sound, survey, cells, job.way, book, memo);
  const advice = ROOM_RULES.flatMap((rule) => rule({ job, room: sound, survey, cells, use, book, memo }));
  for (const i of bad) {
    const message = wrong.find((problem) => problem.path.includes(`[${i}]`))?.message ?? '';
    advice.push({
      code: 'A-OPENING',
      severity: 'warn',
      place: { room: room.id },
      reason: `The ${room.openings[i]?.kind ?? 'opening'} on wall ${(room.openings[i]?.wall ?? 0) + 1} ${message}; it is left out of the plan.`,
      cures: [{ text: 'Correct its place or size in Rooms' }],
    });
  }
  const steps = roomSteps({ room, cells, use, areaM2: survey.boardAreaM2 }, job, book);
  return { id: room.id, ...survey, cells, use, steps, advice };
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
