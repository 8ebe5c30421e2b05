import { computed, effect, inject, untracked } from '@angular/core';
import { say, type Job, type Message, type Plan } from '@lisse/core';
import {
  patchState,
  signalStore,
  withComputed,
  withHooks,
  withMethods,
  withProps,
  withState,
} from '@ngrx/signals';
import { CoreClient } from '../worker/core-client';
import { WorkerFailed } from '../worker/worker-link';
import { JobStore } from './job.store';

interface PlanState {
  plan: Plan | undefined;
  /** The job the plan was made of. */
  planned: Job | undefined;
  busy: boolean;
  /** Planning has taken so long that somebody wonders. */
  late: boolean;
  failed: Message | undefined;
}

/** A plan that takes longer is said to be on its way, ms. */
const LATE_MS = 300;

const whyNotPlanned = (error: unknown): Message =>
  error instanceof WorkerFailed ? error.said : say('plan.failed');

/**
 * The plan of the open job, made in the worker; while one is being made only the newest job waits. Where none could
 * be made the last one stays, and is said to be old.
 */
export const PlanStore = signalStore(
  { providedIn: 'root' },
  withState<PlanState>({ plan: undefined, planned: undefined, busy: false, late: false, failed: undefined }),
  withProps(() => ({ next: { job: undefined as Job | undefined } })),
  withComputed(({ plan, planned, late, failed }, jobs = inject(JobStore), core = inject(CoreClient)) => ({
    /** The figures shown are from before the last change, and have been for a while. */
    old: computed(() => {
      const job = jobs.job();
      return plan()?.job === job?.id && planned() !== job && (late() || failed() !== undefined);
    }),
    /** The room that is being planned. */
    at: core.room,
  })),
  withMethods((_, core = inject(CoreClient)) => ({
    /** Ends the planning under way; the last plan stays. */
    giveUp: () => core.giveUp(),
  })),
  withHooks((store, core = inject(CoreClient), jobs = inject(JobStore)) => {
    const run = async () => {
      for (let job = store.next.job; job; job = store.next.job) {
        store.next.job = undefined;
        patchState(store, { busy: true });
        const timer = setTimeout(() => patchState(store, { late: true }), LATE_MS);
        try {
          patchState(store, { plan: await core.plan(job), planned: job, failed: undefined });
        } catch (error) {
          const kept = untracked(store.plan);
          patchState(store, {
            failed: whyNotPlanned(error),
            plan: kept?.job === job.id ? kept : undefined,
          });
        }
        clearTimeout(timer);
      }
      patchState(store, { busy: false, late: false });
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
