import { Injectable, signal } from '@angular/core';
import { say, type Job, type Known, type OnSite, type RoomPlan, type Run } from '@lisse/core';
import type { DaysApi, ToSearch, Underway } from './api';
import { WorkerFailed, WorkerLink } from './worker-link';

/** The search for the best plan of the days, behind a worker of its own: the page plans on meanwhile. */
@Injectable({ providedIn: 'root' })
export class DaysClient extends WorkerLink<DaysApi> {
  protected readonly kind = 'days';
  /** How much of the search is done, 0 to 1. */
  readonly share = signal(0);

  protected override underway(told: Underway): void {
    super.underway(told);
    if (told.share !== undefined) this.share.set(told.share);
  }

  search(
    { calendar, way, climate, shop, rooms }: Job,
    planned: readonly RoomPlan[],
    site: OnSite,
    kept?: Run,
  ): Promise<Known> {
    this.share.set(0);
    const what: ToSearch = {
      job: {
        calendar,
        way,
        climate,
        ...(shop ? { shop } : {}),
        rooms: rooms.map(({ id, deadline, shut }) => ({
          id,
          ...(deadline === undefined ? {} : { deadline }),
          ...(shut ? { shut } : {}),
        })),
      },
      rooms: planned.map(({ id, floorM2, volumeM3, steps }) => ({
        id,
        floorM2,
        volumeM3,
        steps: steps.map(({ step, rows }) => ({ step, rows })),
      })),
      site,
      ...(kept ? { kept } : {}),
    };
    return this.ask((api) => api.search(what));
  }

  /** Ends the search under way; what was asked fails. */
  giveUp(): void {
    this.end(new WorkerFailed('stopped', say('plan.stopped')));
  }
}
