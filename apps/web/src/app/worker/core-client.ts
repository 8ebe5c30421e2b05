import { Injectable } from '@angular/core';
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
import { asChange, byId, withKnown, type PlanChange } from './api';
import { WorkerLink } from './worker-link';

/** What the core is asked about whole jobs. */
@Injectable({ providedIn: 'root' })
export class CoreClient extends WorkerLink {
  private planned: string | undefined;
  private sent = new Map<string, Room>();
  private held = new Map<string, RoomPlan>();

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
}
