import { effect, inject, untracked } from '@angular/core';
import type { Job, Plan, RoomPlan } from '@lisse/core';
import { patchState, signalStore, withHooks, withProps, withState } from '@ngrx/signals';
import type { PlanChange } from '../worker/api';
import { CoreClient } from '../worker/core-client';
import { JobStore } from './job.store';

interface PlanState {
  plan: Plan | undefined;
  busy: boolean;
  failed: string | undefined;
}

/** The plan of the open job, made in the worker; while one is being made only the newest job waits. */
export const PlanStore = signalStore(
  { providedIn: 'root' },
  withState<PlanState>({ plan: undefined, busy: false, failed: undefined }),
  withProps(() => ({ next: { job: undefined as Job | undefined } })),
  withHooks((store, core = inject(CoreClient), jobs = inject(JobStore)) => {
    const run = async () => {
      for (let job = store.next.job; job; job = store.next.job) {
        store.next.job = undefined;
        patchState(store, { busy: true });
        try {
          const change = await core.plan(job);
          patchState(store, { plan: merge(store.plan(), change), failed: undefined });
        } catch (error) {
          patchState(store, { failed: error instanceof Error ? error.message : String(error), plan: undefined });
        }
      }
      patchState(store, { busy: false });
    };
    return {
      onInit() {
        effect(() => {
          const job = jobs.job();
          if (!job || jobs.status() !== 'ready') return;
          store.next.job = job;
          if (!untracked(store.busy)) void untracked(run);
        });
      },
    };
  }),
);

/** Rooms named by id are those of the plan before. */
export function merge(before: Plan | undefined, change: PlanChange): Plan {
  const known = new Map(before?.job === change.job ? before.rooms.map((room) => [room.id, room]) : []);
  const rooms = change.rooms
    .map((room): RoomPlan | undefined => (typeof room === 'string' ? known.get(room) : room))
    .filter((room) => room !== undefined);
  return { ...change, rooms };
}
