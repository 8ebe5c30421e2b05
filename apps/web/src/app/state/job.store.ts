import { computed, DestroyRef, effect, inject, untracked } from '@angular/core';
import {
  say,
  type Job,
  type LogEntry,
  type Problem,
  type Room,
  type Sayable,
  type Taken,
  type Message,
  type PlainKey,
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
import { applyPatches, freeze, produce } from 'immer';
import { NotKept } from '../storage/door';
import {
  JobStorage,
  type Edit,
  type JobRow,
  type Photos,
  type Recipe,
  type Written,
} from '../storage/job-storage';
import { Unwritten, type Telling } from '../storage/unwritten';
import { whyNotKept, whyNotSaved } from '../storage/why-not';
import { Keeper } from '../storage/keeping';
import { within } from '../storage/within';
import { CoreClient } from '../worker/core-client';

/** What an edit is called where it can be undone: a text that takes nothing, or one with what goes into it. */
export type Deed = Extract<PlainKey, `undo.${string}`> | Message;

const asMessage = (deed: Deed): Message => (typeof deed === 'string' ? { key: deed } : deed);

/** An edit of the open job, or something told to the log of it or of another. */
type Pending = (Edit & { job: string }) | Telling;

const isTelling = (one: Pending): one is Telling => 'entries' in one;

interface JobState {
  id: string | undefined;
  /** What the database holds. */
  row: JobRow | undefined;
  /** What was done here and is not yet written, the oldest first. */
  pending: readonly Pending[];
  status: 'none' | 'loading' | 'ready' | 'missing' | 'damaged' | 'failed';
  problems: readonly Problem[];
  /** What was mended as the job was opened, until it is put away. */
  mended: readonly Problem[];
  /** What came in changed after it was signed or agreed, until it is put away. */
  changed: readonly Problem[];
  /** An edit that was not kept because the job could not have been opened again. */
  refused: readonly Problem[];
  /** Why the job could not be opened at all. */
  failed: Message | undefined;
  /** The last step that is written. */
  stepLabel: Sayable | undefined;
  redoLabel: Sayable | undefined;
  savedAt: number | undefined;
  /** Why the last write failed; the edit stays on the page and is tried again. */
  notSaved: Message | undefined;
}

const EMPTY: JobState = {
  id: undefined,
  row: undefined,
  pending: [],
  status: 'none',
  problems: [],
  mended: [],
  changed: [],
  refused: [],
  failed: undefined,
  stepLabel: undefined,
  redoLabel: undefined,
  savedAt: undefined,
  notSaved: undefined,
};

/** A job as it came in: what was mended in it, and what was changed after it was signed or agreed. */
interface Arrived {
  id: string;
  notes: readonly Problem[];
  changed: readonly Problem[];
}

/** What could not be written is tried again after so long, ms. */
const AGAIN_MS = 20000;

interface Live {
  /** An undo or a redo that could not be written, until anything else is done: it would take back that instead. */
  again: (() => Promise<boolean>) | undefined;
  /** What was changed in a job as it came in, to be said when it is opened. */
  arrived: Arrived | undefined;
  watching: { unsubscribe(): void } | undefined;
  queue: Promise<void>;
}

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
    (
      store,
      storage = inject(JobStorage),
      core = inject(CoreClient),
      keeper = inject(Keeper),
      unwritten = inject(Unwritten),
    ) => {
      /** Takes a row unless a newer one is already here; frozen as it comes, or the first edit goes through all of it. */
      const take = (row: JobRow) => {
        const held = store.row();
        if (!held || held.id !== row.id || row.rev > held.rev)
          patchState(store, { row: { ...row, doc: freeze(row.doc, true) }, savedAt: row.updatedAt });
      };

      /**
       * Takes a row this page has written. What the write did not touch stays the very objects that are held, so that
       * only what changed is planned again, unless another tab has written in between.
       */
      const takeOwn = ({ patches, ...row }: Written, shown: Job | undefined, more: Partial<JobState>) => {
        const held = store.row();
        const next = held?.id === row.id && row.rev === held.rev + 1;
        if (held?.id === row.id && row.rev <= held.rev) patchState(store, more);
        else {
          const doc = next ? (shown ?? applyPatches(held.doc, [...patches])) : row.doc;
          patchState(store, { ...more, row: { ...row, doc }, savedAt: row.updatedAt });
        }
      };

      /** What was told and could not be opened again. */
      const refusals = new WeakSet<Telling>();
      /** What was done to the open job and is not yet written. */
      const own = (): readonly Pending[] => store.pending().filter(({ job }) => job === store.id());
      const without = (gone: Pending) => store.pending().filter((one) => one !== gone);

      /**
       * Writes what is pending, the oldest first; the page shows it from the row as soon as it is written. An edit that
       * could not be opened again is let go and told; one that the browser could not write stays, and those after it.
       */
      const writePending = async () => {
        // A job that cannot be written keeps no other waiting.
        const failing = new Set<string>();
        const next = () => store.pending().find(({ job }) => !failing.has(job));
        for (let first = next(); first; first = next()) {
          try {
            const row = await (isTelling(first)
              ? storage.record(first.job, first.label, first.entries, first.photos)
              : storage.commit(first.job, first));
            const pending = without(first);
            const all = failing.size === 0 ? { pending, notSaved: undefined } : { pending };
            if (row.id === store.id()) {
              // Written alone, it is what the page shows already, and nothing has to be planned again for it.
              const shown = own().length === 1 && !isTelling(first) ? store.job() : undefined;
              takeOwn(row, shown, all);
            } else patchState(store, all);
            void keeper.askOnce();
          } catch (error) {
            if (!(error instanceof NotKept)) {
              failing.add(first.job);
              patchState(store, { notSaved: whyNotSaved(error) });
              continue;
            }
            const refused = first;
            if (isTelling(refused)) refusals.add(refused);
            unwritten.remove((one) => one === refused);
            patchState(store, { pending: without(first), refused: error.problems });
          }
        }
      };

      const enqueue = (work: () => Promise<void>): Promise<void> => {
        const run = store.live.queue.then(work);
        store.live.queue = run.catch(() => undefined);
        return store.live.queue;
      };

      /**
       * Makes a step on what is kept; whether it was made.
       * @param here makes it where nothing has to be written for it
       */
      const step = async (
        move: (id: string) => Promise<Written>,
        here: () => boolean = () => false,
      ): Promise<boolean> => {
        let written = false;
        await enqueue(async () => {
          store.live.again = undefined;
          written = here();
          if (written) return;
          const id = store.id();
          if (id === undefined) return;
          try {
            takeOwn(await move(id), undefined, {});
            written = true;
          } catch (error) {
            if (error instanceof NotKept) patchState(store, { refused: error.problems });
            else {
              store.live.again = () => step(move);
              patchState(store, { notSaved: whyNotSaved(error) });
            }
          }
        });
        return written;
      };

      const edit = (label: Deed, recipe: Recipe, key = ''): void => {
        if (store.status() !== 'ready') return;
        const job = store.id() as string;
        store.live.again = undefined;
        patchState(store, {
          pending: [...store.pending(), { job, label: asMessage(label), recipe, key }],
          refused: [],
        });
        void enqueue(writePending);
      };

      /** Takes back the last thing done here that is not written: nobody else has heard of it. */
      const takeBackPending = (): boolean => {
        const last = own().at(-1);
        if (!last || store.notSaved() === undefined) return false;
        unwritten.remove((one) => one === last);
        const pending = without(last);
        patchState(store, { pending, ...(pending.length > 0 ? {} : { notSaved: undefined }) });
        return true;
      };

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
          await enqueue(writePending);
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
          void enqueue(writePending);
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
