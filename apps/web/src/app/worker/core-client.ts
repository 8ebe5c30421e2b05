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
import { asChange, byId, withKnown, type CoreApi, type Underway } from './api';
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
  private held = new Map<string, RoomPlan>();
  /** The room that is being planned. */
  readonly room = signal<string | undefined>(undefined);

  protected override underway(told: Underway): void {
    super.underway(told);
    if (told.at !== undefined) this.room.set(told.at);
    for (const room of told.rooms ?? []) this.held.set(room.id, room);
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
   */
  async plan(job: Job, site: OnSite = { log: [] }, days?: Known): Promise<Plan> {
    if (this.planned !== job.id) this.forget();
    this.planned = job.id;
    this.room.set(undefined);
    const sent = asChange(job.rooms, this.sent);
    this.sent = byId(job.rooms);
    try {
      const change = await this.ask((api) => api.plan({ ...job, rooms: sent }, site, days), PLANNING);
      const rooms = withKnown(change.rooms, this.held);
      const plan = { ...change, rooms, runs: rooms.flatMap((room) => room.runs) };
      this.held = byId(plan.rooms);
      return plan;
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
