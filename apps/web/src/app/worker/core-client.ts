import { inject, Injectable } from '@angular/core';
import type {
  Job,
  JobFigures,
  LayoutSummary,
  OutlinesRead,
  Plan,
  Read,
  Room,
  RoomPlan,
  RoomsRead,
  UnitSystem,
} from '@lisse/core';
import { wrap, type Remote } from 'comlink';
import { asChange, byId, withKnown, type CoreApi, type PlanChange } from './api';
import { START_WORKER } from './worker-factory';

/** The core behind its worker. A worker that dies is started again by the next call. */
@Injectable({ providedIn: 'root' })
export class CoreClient {
  private readonly start = inject(START_WORKER);
  private worker: Worker | undefined;
  private remote: Remote<CoreApi> | undefined;
  private planned: string | undefined;
  private sent = new Map<string, Room>();
  private held = new Map<string, RoomPlan>();
  private fail: ((reason: Error) => void) | undefined;

  /** Plans a job; only rooms that changed since the last call travel, either way. */
  async plan(job: Job): Promise<Plan> {
    if (this.planned !== job.id) this.forget();
    this.planned = job.id;
    const rooms = asChange(job.rooms, this.sent);
    this.sent = byId(job.rooms);
    try {
      const change = await this.ask<PlanChange>((api) => api.plan({ ...job, rooms }));
      const plan = { ...change, rooms: withKnown(change.rooms, this.held) };
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

  read(text: string): Promise<Read> {
    return this.ask((api) => api.read(text));
  }

  check(value: unknown): Promise<Read> {
    return this.ask((api) => api.check(value));
  }

  summary(job: Job): Promise<LayoutSummary> {
    return this.ask((api) => api.summary(job));
  }

  figures(job: Job): Promise<JobFigures> {
    return this.ask((api) => api.figures(job));
  }

  readRooms(text: string, units: UnitSystem): Promise<RoomsRead> {
    return this.ask((api) => api.readRooms(text, units));
  }

  readOutlines(text: string, units: UnitSystem): Promise<OutlinesRead> {
    return this.ask((api) => api.readOutlines(text, units));
  }

  private async ask<T>(question: (api: Remote<CoreApi>) => Promise<unknown>): Promise<T> {
    const api = this.connect();
    const died = new Promise<never>((_, reject) => (this.fail = reject));
    return (await Promise.race([question(api), died])) as T;
  }

  private connect(): Remote<CoreApi> {
    if (!this.remote) {
      this.worker = this.start();
      this.worker.onerror = (event) => {
        this.worker?.terminate();
        this.remote = undefined;
        this.fail?.(new Error(event.message || 'the planner stopped'));
      };
      this.remote = wrap<CoreApi>(this.worker);
    }
    return this.remote;
  }
}
