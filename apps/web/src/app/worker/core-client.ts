import { Injectable, signal } from '@angular/core';
import {
  say,
  type Advice,
  type Job,
  type Known,
  type OnSite,
  type Plan,
  type Read,
  type Room,
  type RoomPlan,
  type Tried,
} from '@lisse/core';
import { asChange, byId, withChange, type CoreApi, type PlanChange, type Underway } from './api';
import { WorkerFailed, WorkerLink, type Patience } from './worker-link';

const PLANNING: Patience = {
  ms: 20000,
  late: (at) => (at === undefined ? say('plan.late') : say('plan.late-at', { room: at })),
};

/** What the core is asked about whole jobs. */
@Injectable({ providedIn: 'root' })
export class CoreClient extends WorkerLink<CoreApi> {
  protected readonly kind = 'core';
  private planned: string | undefined;
  private sent = new Map<string, Room>();
  /** The plan the worker told last; its rooms, and those on their way. */
  private last: Plan | undefined;
  private held = new Map<string, RoomPlan>();
  private nth = 0;
  private near: { nth: number; tell: (plan: Plan) => void } | undefined;
  /** The room that is being planned. */
  readonly room = signal<string | undefined>(undefined);

  protected override underway(told: Underway): void {
    super.underway(told);
    if (told.at !== undefined) this.room.set(told.at);
    for (const room of told.rooms ?? []) this.held.set(room.id, room);
    if (!told.near) return;
    const plan = this.take(told.near.plan);
    if (told.near.nth === this.near?.nth) this.near.tell(plan);
  }

  /** The plan with what the worker told of it. */
  private take(change: PlanChange): Plan {
    const plan = withChange(this.last, change, this.held);
    this.held = byId(plan.rooms);
    return (this.last = plan);
  }

  /** Has the plans to come cut by a better way that was found. */
  readonly learnCut = this.asks('learnCut');
  readonly summary = this.asks('summary');
  readonly figures = this.asks('figures');

  /** What the cures of an advice do to the job planned last, asked one by one: what is edited meanwhile comes between. */
  async tryCures(advice: Advice): Promise<(Tried | undefined)[]> {
    const tried: (Tried | undefined)[] = [];
    for (const { changes } of advice.cures)
      tried.push(changes && (await this.ask((api) => api.tryCure(advice, changes))));
    return tried;
  }

  /**
   * Plans a job; only rooms that changed since the last call travel, either way.
   * @param days the best plan of its days that a search has found
   * @param near told of the plan so far, the rooms and what they come to first: the rest of it is as it was before
   * @returns the whole plan; none where another was asked for meanwhile
   */
  async plan(
    job: Job,
    site: OnSite = { log: [] },
    days?: Known,
    near?: (plan: Plan) => void,
  ): Promise<Plan | undefined> {
    if (this.planned !== job.id) this.forget();
    this.planned = job.id;
    this.room.set(undefined);
    const nth = ++this.nth;
    this.near = near && { nth, tell: near };
    const sent = asChange(job.rooms, this.sent);
    this.sent = byId(job.rooms);
    try {
      const change = await this.ask((api) => api.plan({ ...job, rooms: sent }, site, days, nth), PLANNING);
      return change && this.take(change);
    } catch (error) {
      this.forget();
      throw error;
    }
  }

  /** Starts over with a job: the worker no longer holds it, or not for certain. */
  private forget(): void {
    this.planned = undefined;
    this.sent = new Map();
    this.held = new Map();
    this.last = undefined;
  }

  /** Holds a stored document against the format. */
  async check(value: unknown): Promise<Read> {
    const held = await this.ask((api) => api.check(value));
    return held.ok ? { ok: true, notes: held.notes, job: held.job ?? (value as Job) } : held;
  }

  /** Ends the planning under way; what was asked fails. */
  giveUp(): void {
    this.forget();
    this.end(new WorkerFailed('stopped', say('plan.stopped')));
  }
}
