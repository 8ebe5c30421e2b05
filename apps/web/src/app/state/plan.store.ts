import { effect, inject, untracked } from '@angular/core';
import type { Job, Plan } from '@lisse/core';
import { patchState, signalStore, withHooks, withProps, withState } from '@ngrx/signals';
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
          patchState(store, { plan: await core.plan(job), failed: undefined });
        } catch (error) {
          patchState(store, {
            failed: error instanceof Error ? error.message : String(error),
            plan: undefined,
          });
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
