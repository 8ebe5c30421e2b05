import { bidOf, type Bid } from './bid';
import {
  itemsOf,
  oneCompoundOf,
  orderOf,
  sticksOf,
  stockOf,
  sureOf,
  type OneCompound,
  type Order,
} from './goods';
import type { Lot } from './log';
import {
  adviceKey,
  JOB_RULES,
  cautionsFor,
  merged,
  withoutSaid,
  type Advice,
  type Caution,
  type JobContext,
} from './advice';
import { TYPICAL, type Book } from './book';
import { CutMemo } from './cutting';
import { suppliedWith, type Supplied } from './compound';
import {
  fewestVisits,
  planningDays,
  roomDay,
  setsAtHand,
  visitsBy,
  type Days,
  type Known,
  type MendVisits,
  type OnSite,
} from './days';
import { type CoatRun } from './runs';
import {
  COATS,
  JOINT_KINDS,
  type Coat,
  type CompoundId,
  type Job,
  type JointKind,
  type Mending,
  type Room,
  type DismissedAdvice,
  type Tape,
} from './job';
import { LayoutMemo } from './survey';
import { BoardMemo, SectionMemo, takeoffOf, type BeadStick, type BoardLine } from './takeoff';
import { floorM2, mendsIn, planRoom, type RoomPlan } from './plan-room';
import { isApart } from './repair';
import { solved } from './units';

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
  /** Whether one drying compound does all coats that dry; none where the method has one as it is. */
  oneCompound?: OneCompound;
  /** Every stick of bead and trim, and what is cut from it. */
  cuts: BeadStick[];
  /** What is on hand, the oldest first. */
  stock: Lot[];
  bid: Bid;
  days: Days;
  mending: MendingPlan;
  /** The order of the joints, room by room and coat by coat. */
  runs: CoatRun[];
  advice: Advice[];
  /** Advice set aside, with the reason given. */
  setAside: { advice: Advice; given: DismissedAdvice }[];
  cautions: Caution[];
}

/** What rooms are planned by; the weather and what is done to the air concern the days alone. */
const withoutWeather = ({ tempC, rhPct, air }: Job['climate']): Job['climate'] => ({ tempC, rhPct, air });

/** What is kept between plans of the same job: rooms that have not changed, and simulated sections. */
export class Reuse {
  private shared = '';
  private rooms: ReadonlyMap<string, { room: Room; key: string; plan: RoomPlan }> = new Map();

  constructor(
    readonly memo = new SectionMemo(),
    readonly layouts = new LayoutMemo(),
    readonly boards = new BoardMemo(),
    readonly cuts = new CutMemo(),
  ) {}

  /** The same to go by for a job that is only tried; the rooms kept here stay those of the job itself. */
  beside(): Reuse {
    const other = new Reuse(this.memo, this.layouts, this.boards, this.cuts);
    other.shared = this.shared;
    other.rooms = this.rooms;
    return other;
  }

  /** Rooms of this plan, computed only where the room or what it depends on has changed. */
  roomPlans(job: Job, book: Book, mending: Mending, make: (room: Room) => RoomPlan): RoomPlan[] {
    const { kit, products, figures } = job.shop ?? {};
    const shared = JSON.stringify([
      [job.way, withoutWeather(job.climate), job.units, job.calendar.hand],
      [kit, products, figures],
      job.way.setChosen ? [setsAtHand(job), roomDay(job, book)] : 0,
      job.rooms.some(mendsApart) ? [mending, setsAtHand(job), roomDay(job, book)] : 0,
      book === TYPICAL ? 0 : book,
    ]);
    const kept = shared === this.shared ? this.rooms : new Map<string, never>();
    this.shared = shared;
    const next = new Map<string, { room: Room; key: string; plan: RoomPlan }>();
    const plans = job.rooms.map((room) => {
      const known = kept.get(room.id);
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
  /** The plan of the same job before it was changed: it stands for what is still to come. */
  last?: Plan | undefined;
}

/**
 * Everything Lisse says about a job. Never throws for odd input: what could not be computed is left out
 * with advice that says why.
 */
export const plan = (...about: Parameters<typeof planning>): Plan => solved(planning(...about));

/**
 * A plan as it comes, the nearest first: the rooms and what they come to, the goods, then days, air and bid.
 * @yields where there is a last plan, the plan so far, the rest of it as it was; and nothing each time others may be let in
 */
export function* planning(
  given: Job,
  typical: Book = TYPICAL,
  reuse = new Reuse(),
  { site = { log: given.log ?? [] }, days: known, at = () => undefined, last }: Making = {},
): Generator<Plan | undefined, Plan> {
  const book = suppliedWith(typical, given);
  const stock = stockOf(given, site.log);
  const oneCompound = oneCompoundOf(given, stock, book);
  const job = oneCompound ? { ...given, way: { ...given.way, oneCompound: oneCompound.on } } : given;
  const mending = mendingOf(job, book, reuse);
  const rooms = reuse.roomPlans(job, typical, mending.chosen, (room) => {
    at(room);
    return planRoom(room, job, book, reuse, mending.chosen);
  });
  const totals = totalsOf(rooms, job);
  const whole = (order: Order, days: Days, bid: Bid): Plan => ({
    format: 'lisse-plan/1',
    job: job.id,
    rooms,
    totals,
    coats: COATS.filter((coat) => (totals.wetLByCoat[coat] ?? 0) > 0),
    order,
    ...(oneCompound ? { oneCompound } : {}),
    cuts: order.beads.flatMap((line) => line.cuts),
    stock,
    bid,
    days,
    mending,
    runs: rooms.flatMap((room) => room.runs),
    ...adviceOn({ job, rooms, order, stock, days, book }),
    cautions: cautionsFor(job),
  });
  const before = last && standing(last, rooms);
  if (before) yield whole(before.order, before.days, before.bid);
  const sticks = sticksOf(job, stock);
  const takeoffWith = (own: typeof sticks) =>
    takeoffOf(job, rooms, totals.boardAreaM2, book, { ...reuse, sticks: own });
  const takeoff = takeoffWith(sticks);
  const sure = sureOf(job, book);
  const goodsBy = ({ tasks }: Days) => ({ job, rooms, takeoff, tasks, lots: stock, book, sure });
  if (before) yield whole(orderOf(goodsBy(before.days)), before.days, before.bid);
  const days = yield* planningDays(job, rooms, book, site, known);
  yield;
  const goods = goodsBy(days);
  const order = orderOf(goods);
  const all =
    stock.length + sticks.length > 0
      ? itemsOf({ ...goods, takeoff: sticks.length > 0 ? takeoffWith([]) : takeoff, whole: true })
      : order.items;
  yield;
  return whole(order, days, bidOf({ job, items: all, rooms, days, book }));
}

/** A plan without what is told of rooms that are gone. */
function standing(last: Plan, rooms: readonly RoomPlan[]): Plan {
  const ids = new Set(rooms.map(({ id }) => id));
  if (last.rooms.every(({ id }) => ids.has(id))) return last;
  const stands = ({ room }: { room: string }): boolean => ids.has(room);
  const { days, bid } = last;
  return {
    ...last,
    days: {
      ...days,
      tasks: days.tasks.filter(stands),
      rooms: days.rooms.filter(stands),
      ...(days.air ? { air: days.air.filter(stands) } : {}),
    },
    bid: { ...bid, rooms: bid.rooms.filter(stands) },
  };
}

/** All advice on a job: what is heeded, and what was set aside with its reason. */
function adviceOn(
  context: Omit<JobContext, 'rooms'> & { rooms: readonly RoomPlan[] },
): Pick<Plan, 'advice' | 'setAside'> {
  const { job, rooms } = context;
  const given = new Map((job.setAside ?? []).map((s) => [s.key, s]));
  const setAside: Plan['setAside'] = [];
  const heeded = (advice: Advice): boolean => {
    const set = given.get(adviceKey(advice));
    if (set) setAside.push({ advice, given: set });
    return set === undefined;
  };
  // Room by room, so that what was set aside in one of them is said of the others; then for all of them at once.
  const all = [...JOB_RULES.flatMap((rule) => rule(context)), ...rooms.flatMap((room) => room.advice)];
  const advice = merged(withoutSaid(all.filter(heeded))).filter(heeded);
  return { advice, setAside };
}

/** How spots are mended by themselves in this job. */
export interface MendingPlan {
  chosen: Mending;
  /** Set by hand. */
  byHand: boolean;
  /** Days on which anything is mended, by each way; none where nothing is. */
  visits: MendVisits[];
}

const mendsApart = (room: Room): boolean => (room.damage ?? []).some((spot) => isApart(room, spot));

/** The way of mending that takes the fewest visits, or the one that was set. */
function mendingOf(job: Job, book: Supplied, reuse: Reuse): MendingPlan {
  const rooms = job.rooms.filter(mendsApart);
  const { mending: own } = job.way;
  if (rooms.length === 0) return { chosen: own ?? 'overnight', byHand: own !== undefined, visits: [] };
  const visits = visitsBy(
    { ...job, rooms },
    (mending) =>
      rooms.map((room) => ({
        id: room.id,
        floorM2: floorM2(room),
        mends: mendsIn(room, job, book, reuse.memo, mending),
      })),
    book,
  );
  return { chosen: own ?? fewestVisits(visits), byHand: own !== undefined, visits };
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
