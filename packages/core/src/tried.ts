import { alike } from './texts';
import { adviceKeys, applyChanges, type Advice, type Change } from './advice';
import { TYPICAL, type Book } from './book';
import { airCost, heldAir } from './bid';
import { suppliedWith } from './compound';
import type { Job } from './job';
import { plan, Reuse, type Plan } from './plan';

/** What a cure does to the whole job, found by planning it. */
export interface Tried {
  /** Its own trouble is gone. */
  cured: boolean;
  /** It makes its own trouble less, or all ready sooner. */
  helps: boolean;
  /** When all is ready for primer, before and with it; local times. */
  ready: [before: string | undefined, after: string | undefined];
  /** More work, min of one person. */
  labourMin: number;
  /** More money, goods and hours. */
  cost: number;
  /** Stops and warnings it brings with it. */
  brings: { code: string; severity: 'stop' | 'warn' }[];
}

/** What one plan costs more than another: goods, hours, and the air that is held for it. */
export function moreCost([job, before]: [Job, Plan], [other, after]: [Job, Plan], book: Book): number {
  const hours = (after.days.labourMin - before.days.labourMin) / 60;
  const power = (after.days.power?.cost ?? 0) - (before.days.power?.cost ?? 0);
  const goods = after.order.cost - before.order.cost;
  return (
    goods + hours * book.priceHour.value + power + airCost(job.climate, other.climate, heldAir(after), book)
  );
}

/** Tries cures before they are offered: the job is planned without and with each of them. */
export class Trial {
  private readonly before: Plan;
  private readonly known: ReadonlySet<string>;

  /** @param reuse what is kept of the job's own plans, for the job itself; what is tried is not kept in its place */
  constructor(
    private readonly job: Job,
    private readonly typical: Book = TYPICAL,
    private readonly reuse = new Reuse(),
  ) {
    this.before = plan(job, typical, reuse);
    this.known = new Set(this.before.advice.flatMap(adviceKeys));
  }

  try(advice: Advice, changes: readonly Change[]): Tried {
    const cured = structuredClone(this.job);
    applyChanges(cured, changes);
    // Rooms the cure does not touch are the very rooms planned before.
    const touched = new Set(changes.map((change) => change.room));
    cured.rooms = cured.rooms.map((room, i) => (touched.has(room.id) ? room : (this.job.rooms[i] ?? room)));
    const after = plan(cured, this.typical, this.reuse.beside());
    const book = suppliedWith(this.typical, this.job);
    const labourMin = after.days.labourMin - this.before.days.labourMin;
    const cost = moreCost([this.job, this.before], [cured, after], book);
    const keys = new Set(adviceKeys(advice));
    const isSame = (one: Advice): boolean => adviceKeys(one).some((key) => keys.has(key));
    const left = after.advice.find(isSame);
    const brings = after.advice.flatMap((one) =>
      one.severity === 'note' || adviceKeys(one).every((key) => this.known.has(key))
        ? []
        : [{ code: one.code, severity: one.severity }],
    );
    const ready: Tried['ready'] = [this.before.days.finish, after.days.finish];
    const sooner = ready[0] !== undefined && ready[1] !== undefined && ready[1] < ready[0];
    // As it was told before anything was searched: what is tried is not searched either.
    const was = this.before.advice.find(isSame) ?? advice;
    const helps = !left || alike(left.reason) !== alike(was.reason) || sooner;
    return { cured: !left, helps, ready, labourMin, cost, brings };
  }
}
