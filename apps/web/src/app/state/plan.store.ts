import { computed, effect, inject, untracked } from '@angular/core';
import {
  movedBetween,
  say,
  type Days,
  type Job,
  type Known,
  type LogEntry,
  type Message,
  type OnSite,
  type Plan,
} from '@lisse/core';
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
import { CutsClient } from '../worker/cuts-client';
import { DaysClient } from '../worker/days-client';
import { WorkerFailed } from '../worker/worker-link';
import { Clock } from './clock';
import { JobStore } from './job.store';
import { LogStore } from './log.store';

/** What a plan is made of. */
interface Of {
  job: Job;
  log: readonly LogEntry[];
  /** What time it is on site, once work has begun there. */
  now: string | undefined;
}

interface PlanState {
  plan: Plan | undefined;
  /** The job its rooms and their figures were made of; the rest of the plan may still be on its way. */
  shown: Job | undefined;
  /** The job all of the plan was made of. */
  planned: Job | undefined;
  busy: boolean;
  /** Planning has taken so long that somebody wonders. */
  late: boolean;
  failed: Message | undefined;
  /** The search for a better plan of the days: under way, done, or ended by hand. */
  search: 'none' | 'running' | 'done' | 'stopped';
  /** What is shown rests on the days; elsewhere they are not searched. */
  looked: boolean;
  /** The days as they were before the log last told of something, or time went on. */
  before: Days | undefined;
}

/** A plan that takes longer is said to be on its way, ms. */
const LATE_MS = 300;
/** The days are searched once the job has rested for so long, ms. */
const REST_MS = 400;

const whyNotPlanned = (error: unknown): Message =>
  error instanceof WorkerFailed ? error.said : say('plan.failed');

/** Against which days a new plan is held: those before the log last told of something; none once the job was changed. */
function heldAgainst(
  made: Of | undefined,
  of: Of,
  plan: Plan | undefined,
  before: Days | undefined,
): Days | undefined {
  if (made?.job !== of.job || !plan) return undefined;
  return made.log === of.log && before ? before : plan.days;
}

const siteOf = ({ log, now }: Of): OnSite => ({ log, ...(now === undefined ? {} : { now }) });

/**
 * The plan of the open job, made in the worker; while one is being made only the newest job waits. Where none could
 * be made the last one stays, and is said to be old. Once a job rests, its days are searched for a better plan while
 * somebody looks at what rests on them.
 */
export const PlanStore = signalStore(
  { providedIn: 'root' },
  withState<PlanState>({
    plan: undefined,
    shown: undefined,
    planned: undefined,
    busy: false,
    late: false,
    failed: undefined,
    search: 'none',
    looked: true,
    before: undefined,
  }),
  withProps(() => ({
    next: {
      of: undefined as Of | undefined,
      /** The best plan of the days that was found last, and the job it was found for. */
      known: undefined as (Known & { job: string }) | undefined,
      /** What was looked at already for a better way to cut. */
      cut: new Set<string>(),
      /** What a plan was asked for last, and what the whole plan that is shown was made of. */
      asked: undefined as Of | undefined,
      made: undefined as Of | undefined,
      timer: undefined as ReturnType<typeof setTimeout> | undefined,
    },
  })),
  withComputed(
    (
      { plan, shown, planned, late, failed, before, search },
      jobs = inject(JobStore),
      core = inject(CoreClient),
      days = inject(DaysClient),
    ) => {
      /** What is shown was made of an earlier job than this one, and has been for a while. */
      const isOld = (of: Job | undefined): boolean => {
        const job = jobs.job();
        return plan()?.job === job?.id && of !== job && (late() || failed() !== undefined);
      };
      return {
        /** The figures shown are from before the last change, and have been for a while. */
        old: computed(() => isOld(shown())),
        /** The days, and what rests on them, are. */
        oldDays: computed(() => isOld(planned())),
        /**
         * The days that are shown may still move: the last change is being planned, or a better plan is looked for, and
         * with it other hours of fans and heat. Nobody agrees to a date or a total that is not the one he has seen.
         */
        looking: computed(() => search() === 'running' || planned() !== jobs.job()),
        /** What has moved since the log last told of something. */
        moved: computed(() => {
          const [was, is] = [before(), plan()?.days];
          return was && is ? movedBetween(was, is) : undefined;
        }),
        /** The room that is being planned. */
        at: core.room,
        /** How much of the search is done, 0 to 1. */
        share: days.share,
      };
    },
  ),
  withMethods((store, core = inject(CoreClient), days = inject(DaysClient)) => ({
    /** Ends the planning under way; the last plan stays. */
    giveUp: () => core.giveUp(),
    /** Whether what is shown rests on the days. */
    lookAtDays(looked: boolean): void {
      patchState(store, { looked });
    },
    /** Ends the search for a better plan of the days; the one that is shown stays. */
    stopSearch(): void {
      clearTimeout(store.next.timer);
      if (store.search() === 'running') days.giveUp();
      patchState(store, { search: 'stopped' });
    },
  })),
  withHooks(
    (
      store,
      core = inject(CoreClient),
      days = inject(DaysClient),
      cuts = inject(CutsClient),
      jobs = inject(JobStore),
      logs = inject(LogStore),
      clock = inject(Clock),
    ) => {
      const knownFor = ({ id }: Job): Known | undefined => {
        const { known } = store.next;
        return known?.job === id ? { run: known.run, proved: known.proved } : undefined;
      };

      /** Ends a search that is about an older job. */
      const quit = () => {
        clearTimeout(store.next.timer);
        if (untracked(store.search) === 'running') days.giveUp();
        patchState(store, { search: 'none' });
      };

      const search = async (of: Of, plan: Plan) => {
        try {
          const found = await days.search(of.job, plan.rooms, siteOf(of), store.next.known?.run);
          // Something newer was asked for: a plan of before would take its place.
          if (untracked(store.search) !== 'running' || store.next.asked !== of) return;
          store.next.known = { ...found, job: of.job.id };
          const better = await core.plan(of.job, siteOf(of), found);
          // Where another plan was asked for meanwhile it is made with what was found.
          if (store.next.asked === of && store.next.of === undefined)
            patchState(store, { ...(better ? { plan: better } : {}), search: 'done' });
        } catch {
          // Ended, or the worker died: the plan by the rules stands.
          if (untracked(store.search) === 'running') patchState(store, { search: 'stopped' });
        }
      };

      /** Whether the days are searched: not where nobody looks at them, nor where all is done. */
      const searches = (plan: Plan): boolean =>
        untracked(store.looked) && plan.days.tasks.some(({ state }) => state !== 'done');
      const searchSoon = (of: Of, plan: Plan) => {
        store.next.timer = setTimeout(() => void search(of, plan), REST_MS);
      };

      /** Looks for better ways to cut sticks than the first answers; true where one was found. */
      const cutBetter = async (plan: Plan): Promise<boolean> => {
        let found = false;
        for (const { toCut, boughtMm, boundMm } of plan.order.beads) {
          const key = JSON.stringify(toCut);
          if (boundMm >= boughtMm || store.next.cut.has(key)) continue;
          store.next.cut.add(key);
          const best = await cuts.best(toCut);
          if (!best) continue;
          await core.learnCut(toCut, best);
          found = true;
        }
        return found;
      };

      const cut = async (of: Of, plan: Plan) => {
        try {
          if (!(await cutBetter(plan)) || store.next.of !== undefined || store.next.asked !== of) return;
          const better = await core.plan(of.job, siteOf(of), knownFor(of.job));
          if (better && store.next.asked === of && store.next.of === undefined)
            patchState(store, { plan: better });
        } catch {
          // No solver here, or it took too long: the first answer stands, with how far it may be from the best.
        }
      };

      /** Shows a whole plan, and has it made better. */
      const show = (of: Of, plan: Plan) => {
        // What a first search gains is not moved by what was told meanwhile.
        const before = knownFor(of.job)
          ? heldAgainst(store.next.made, of, untracked(store.plan), untracked(store.before))
          : undefined;
        // Another job: what was learned about cutting is forgotten with the last one.
        if (store.next.made?.job.id !== of.job.id) store.next.cut.clear();
        store.next.made = of;
        patchState(store, {
          plan,
          shown: of.job,
          planned: of.job,
          failed: undefined,
          before,
          search: searches(plan) ? 'running' : 'none',
        });
        if (searches(plan)) searchSoon(of, plan);
        void cut(of, plan);
      };

      /** Asks for a plan; settles once its rooms are known, and another may be asked for. */
      const ask = (of: Of): Promise<void> =>
        new Promise((settle) => {
          store.next.asked = of;
          const isNewest = () => store.next.asked === of;
          const lateIn = () => setTimeout(() => isNewest() && patchState(store, { late: true }), LATE_MS);
          let timer = lateIn();
          const near = (plan: Plan) => {
            if (!isNewest()) return;
            clearTimeout(timer);
            timer = lateIn();
            patchState(store, { plan, shown: of.job, failed: undefined, late: false });
            settle();
          };
          const fail = (error: unknown) => {
            const kept = untracked(store.plan);
            patchState(store, {
              failed: whyNotPlanned(error),
              plan: kept?.job === of.job.id ? kept : undefined,
            });
          };
          void core
            .plan(of.job, siteOf(of), knownFor(of.job), near)
            .then(
              (plan) => plan && isNewest() && show(of, plan),
              (error: unknown) => isNewest() && fail(error),
            )
            .finally(() => {
              clearTimeout(timer);
              if (isNewest() && store.next.of === undefined) patchState(store, { busy: false, late: false });
              settle();
            });
        });

      let asking = false;
      const run = async () => {
        patchState(store, { busy: true });
        if (asking) return;
        asking = true;
        for (let { of } = store.next; of; { of } = store.next) {
          store.next.of = undefined;
          await ask(of);
        }
        asking = false;
      };

      return {
        onInit() {
          effect(() => {
            const job = jobs.job();
            const log = logs.entries();
            const now = logs.site().begun ? clock.now() : undefined;
            // A plan without its log would be another one.
            if (!job || jobs.status() !== 'ready' || logs.of() !== job.id) return;
            untracked(quit);
            store.next.of = { job, log, now };
            void untracked(run);
          });
          // Somebody comes to look at days that were not searched when they were planned.
          effect(() => {
            if (!store.looked()) return;
            const { made } = store.next;
            const [plan, job] = untracked(() => [store.plan(), jobs.job()]);
            if (!plan || !made || made.job !== job || untracked(store.search) !== 'none' || !searches(plan))
              return;
            patchState(store, { search: 'running' });
            searchSoon(made, plan);
          });
        },
        onDestroy: () => clearTimeout(store.next.timer),
      };
    },
  ),
);
