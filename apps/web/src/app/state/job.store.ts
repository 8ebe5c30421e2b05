import { computed, DestroyRef, effect, inject, untracked } from '@angular/core';
import { say, type Job, type LogEntry, type Room, type Sayable, type Taken } from '@lisse/core';
import {
  patchState,
  signalStore,
  withComputed,
  withHooks,
  withMethods,
  withProps,
  withState,
} from '@ngrx/signals';
import { produce } from 'immer';
import { JobStorage, type JobRow, type Photos, type Recipe, type Written } from '../storage/job-storage';
import { Unwritten, type Telling } from '../storage/unwritten';
import { whyNotKept } from '../storage/why-not';
import { within } from '../storage/within';
import { CoreClient } from '../worker/core-client';
import { asMessage, EMPTY, isTelling, type Arrived, type Deed, type Live, type Pending } from './job-state';
import { jobWriting } from './job-writing';

export type { Deed } from './job-state';

/** What could not be written is tried again after so long, ms. */
const AGAIN_MS = 20000;

/**
 * The open job: what the database holds, with the edits still on their way to it laid on top. Edits show at
 * once and are written in order; another tab's edits arrive by themselves.
 */
export const JobStore = signalStore(
  { providedIn: 'root' },
  withState(EMPTY),
  withProps(() => ({
    live: { again: undefined, arrived: undefined, watching: undefined, queue: Promise.resolve() } as Live,
  })),
  withComputed(({ id, row, pending, notSaved, stepLabel }) => ({
    /** What undo takes back. */
    undoLabel: computed(
      (): Sayable | undefined =>
        (notSaved() && pending().findLast(({ job }) => job === id())?.label) ?? stepLabel(),
    ),
    job: computed<Job | undefined>(() => {
      const stored = row()?.doc;
      const waiting = pending();
      // A recipe may look at the plan, which is made of this job: that must not make the job anew.
      return (
        stored &&
        untracked(() =>
          waiting.reduce(
            (job, one) => (isTelling(one) ? job : produce(job, (draft) => void one.recipe(draft as Job))),
            stored,
          ),
        )
      );
    }),
    saved: computed<'saved' | 'saving' | 'failed'>(() =>
      notSaved() ? 'failed' : pending().length > 0 ? 'saving' : 'saved',
    ),
  })),
  withMethods(
    (store, storage = inject(JobStorage), core = inject(CoreClient), unwritten = inject(Unwritten)) => {
      const { take, takeOwn, own, edit, step, takeBackPending, refusals, write } = jobWriting(store);

      /** Holds a row against the format; whether it could be opened. */
      const read = async (row: JobRow): Promise<boolean> => {
        storage.prepare();
        const held = await core.check(row.doc);
        if (store.id() !== row.id) return false;
        if (!held.ok && !held.mended) {
          patchState(store, { row, status: 'damaged', problems: held.problems });
          return false;
        }
        const taken = held.ok ? held : (held.mended as Taken);
        const opened: JobRow =
          taken.notes.length > 0 ? await storage.replace(row.id, say('undo.mend'), taken.job) : row;
        if (store.id() !== row.id) return false;
        const arrived = store.live.arrived?.id === row.id ? store.live.arrived : undefined;
        store.live.arrived = undefined;
        patchState(store, {
          row: opened,
          savedAt: opened.updatedAt,
          mended: [...(arrived?.notes ?? []), ...taken.notes],
          changed: arrived?.changed ?? [],
          status: 'ready',
        });
        return true;
      };

      /** Follows what other tabs do to the job: edits, and putting it away and back. */
      const watch = (id: string) => {
        store.live.watching = storage.watch(id).subscribe({
          next: ({ row: now, undo, redo }) => {
            patchState(store, { stepLabel: undo, redoLabel: redo });
            if (!now || now.deletedAt > 0) patchState(store, { status: 'missing' });
            else if (store.status() === 'missing') void read(now);
            else if (own().length === 0) take(now);
          },
          error: (error: unknown) => patchState(store, { notSaved: whyNotKept(error) }),
        });
      };

      return {
        /** Opens a job, holding what is stored against the format first; what can be mended is, as a step. */
        async open(id: string): Promise<void> {
          if (store.id() === id && ['loading', 'ready'].includes(store.status())) return;
          store.live.watching?.unsubscribe();
          await store.live.queue;
          store.live.again = undefined;
          // What was told of other jobs is still to be written.
          patchState(store, {
            ...EMPTY,
            id,
            status: 'loading',
            pending: store.pending(),
            notSaved: store.pending().length > 0 ? store.notSaved() : undefined,
          });
          try {
            const row = await within(storage.get(id), say('storage.no-answer'));
            if (store.id() !== id) return;
            if (row === undefined || row.deletedAt > 0) patchState(store, { status: 'missing' });
            else if (await read(row)) await storage.remember('last job', id).catch(() => undefined);
          } catch (error) {
            if (store.id() === id) patchState(store, { status: 'failed', failed: whyNotKept(error) });
            return;
          }
          if (store.id() === id && store.status() !== 'damaged') watch(id);
        },
        /** Has what was changed in a job as it came in said once it is opened. */
        arrived(job: Arrived): void {
          store.live.arrived = job;
        },
        /** Puts away what was told of an edit that was refused, or of what was mended. */
        heard: () => patchState(store, { refused: [], mended: [], changed: [] }),
        /**
         * Changes the job. The recipe may run more than once and must find what it changes by id.
         * @param key edits of one field share a key, so that typing is one undo step
         */
        edit,

        /** Changes one room, if it is still there; its fields' keys are its own. */
        editRoom(id: string | undefined, label: Deed, recipe: (room: Room) => void, key = ''): void {
          const find: Recipe = (job) => {
            const room = job.rooms.find((r) => r.id === id);
            if (room) recipe(room);
          };
          edit(label, find, key && `${id}.${key}`);
        },

        /**
         * Puts entries into the log of a job, as a step of its own. They count at once; what cannot be written stays on
         * the page and is tried again.
         * @returns whether they are kept or will be; false where they were refused
         */
        async record(
          job: string,
          label: Deed,
          entries: readonly LogEntry[],
          photos?: Photos,
        ): Promise<boolean> {
          const telling: Telling = { job, label: asMessage(label), entries, ...(photos ? { photos } : {}) };
          unwritten.add(telling);
          store.live.again = undefined;
          patchState(store, { pending: [...store.pending(), telling], refused: [] });
          await write();
          return !refusals.has(telling);
        },
        /** Takes a row that was written elsewhere on this page. */
        wrote: (row: Written): void => {
          if (store.id() === row.id) takeOwn(row, undefined, {});
        },

        undo: () => step((id) => storage.undo(id), takeBackPending),
        redo: () => step((id) => storage.redo(id)),

        /** Tries what could not be written again. */
        retry(): void {
          const { again } = store.live;
          store.live.again = undefined;
          if (again) patchState(store, { notSaved: undefined });
          void write();
          void again?.();
        },

        /** Whether the open job may be left as it is: all that was done to it is written. */
        isWritten: (): boolean => own().length === 0,

        /** Lets go of what of the open job could not be written. */
        drop(): void {
          const gone = new Set<Pending>(own());
          unwritten.remove((one) => gone.has(one));
          const pending = store.pending().filter((one) => !gone.has(one));
          patchState(store, { pending, ...(pending.length > 0 ? {} : { notSaved: undefined }) });
        },
        /** When every edit made so far is written. */
        settled: (): Promise<void> => store.live.queue,
      };
    },
  ),
  withHooks((store) => ({
    onInit() {
      // The browser asks in its own words before a page is left with a change that is not written.
      const asks = (event: Event): void => {
        if (store.pending().length > 0) event.preventDefault();
      };
      window.addEventListener('beforeunload', asks);
      inject(DestroyRef).onDestroy(() => window.removeEventListener('beforeunload', asks));
      effect((over) => {
        if (store.notSaved() === undefined) return;
        const timer = setInterval(() => store.retry(), AGAIN_MS);
        over(() => clearInterval(timer));
      });
    },
    onDestroy() {
      store.live.watching?.unsubscribe();
    },
  })),
);
