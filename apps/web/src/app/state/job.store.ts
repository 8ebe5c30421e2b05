import { computed, inject } from '@angular/core';
import type { Job, Problem, Room } from '@lisse/core';
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
import type { Subscription } from 'dexie';
import type { JobRow } from '../storage/db';
import { JobStorage, whyNotSaved, type Edit, type Recipe } from '../storage/job-storage';
import { CoreClient } from '../worker/core-client';

interface JobState {
  id: string | undefined;
  /** What the database holds. */
  row: JobRow | undefined;
  /** Edits made here and not yet written. */
  pending: readonly Edit[];
  status: 'none' | 'loading' | 'ready' | 'missing' | 'damaged';
  problems: readonly Problem[];
  undoLabel: string | undefined;
  redoLabel: string | undefined;
  savedAt: number | undefined;
  /** Why the last write failed; the edit stays on the page and is tried again. */
  notSaved: string | undefined;
}

const EMPTY: JobState = {
  id: undefined,
  row: undefined,
  pending: [],
  status: 'none',
  problems: [],
  undoLabel: undefined,
  redoLabel: undefined,
  savedAt: undefined,
  notSaved: undefined,
};

interface Live {
  watching: Subscription | undefined;
  queue: Promise<void>;
}

/**
 * The open job: what the database holds, with the edits still on their way to it laid on top. Edits show at
 * once and are written in order; another tab's edits arrive by themselves.
 */
export const JobStore = signalStore(
  { providedIn: 'root' },
  withState(EMPTY),
  withProps(() => ({ live: { watching: undefined, queue: Promise.resolve() } as Live })),
  withComputed(({ row, pending, notSaved }) => ({
    job: computed<Job | undefined>(() => {
      const stored = row()?.doc;
      return (
        stored &&
        pending().reduce((job, edit) => produce(job, (draft) => void edit.recipe(draft as Job)), stored)
      );
    }),
    saved: computed<'saved' | 'saving' | 'failed'>(() =>
      notSaved() ? 'failed' : pending().length > 0 ? 'saving' : 'saved',
    ),
  })),
  withMethods((store, storage = inject(JobStorage), core = inject(CoreClient)) => {
    /** Takes a row unless a newer one is already here. */
    const take = (row: JobRow) => {
      const held = store.row();
      if (!held || held.id !== row.id || row.rev > held.rev)
        patchState(store, { row, savedAt: row.updatedAt });
    };

    /** Writes the oldest edit; the page shows it from the row as soon as it is written. */
    const writeNext = async () => {
      const id = store.id();
      const edit = store.pending()[0];
      if (id === undefined || !edit) return;
      try {
        const row = await storage.commit(id, edit);
        if (store.id() !== id) return;
        patchState(store, { pending: store.pending().slice(1), notSaved: undefined });
        take(row);
      } catch (error) {
        patchState(store, { notSaved: whyNotSaved(error) });
        throw error;
      }
    };

    const enqueue = (work: () => Promise<void>): Promise<void> => {
      const run = store.live.queue.then(work);
      store.live.queue = run.catch(() => undefined);
      return store.live.queue;
    };

    const step = (move: (id: string) => Promise<JobRow>) =>
      enqueue(async () => {
        const id = store.id();
        if (id === undefined) return;
        try {
          take(await move(id));
        } catch (error) {
          patchState(store, { notSaved: whyNotSaved(error) });
        }
      });

    const edit = (label: string, recipe: Recipe, key = ''): void => {
      if (store.status() !== 'ready') return;
      patchState(store, { pending: [...store.pending(), { label, recipe, key }] });
      void enqueue(writeNext);
    };

    return {
      /** Opens a job, holding what is stored against the format first. */
      async open(id: string): Promise<void> {
        if (store.id() === id && store.status() === 'ready') return;
        store.live.watching?.unsubscribe();
        await store.live.queue;
        patchState(store, { ...EMPTY, id, status: 'loading' });
        const row = await storage.get(id);
        if (!row || row.deletedAt > 0) {
          patchState(store, { status: 'missing' });
          return;
        }
        const read = await core.check(row.doc);
        if (store.id() !== id) return;
        patchState(store, { row, savedAt: row.updatedAt });
        if (!read.ok) {
          patchState(store, { status: 'damaged', problems: read.problems });
          return;
        }
        patchState(store, { status: 'ready' });
        await storage.remember('last job', id);
        store.live.watching = storage.watch(id).subscribe({
          next: ({ row: now, undo, redo }) => {
            patchState(store, { undoLabel: undo, redoLabel: redo });
            if (!now || now.deletedAt > 0) patchState(store, { status: 'missing' });
            else if (store.pending().length === 0) take(now);
          },
          error: (error: unknown) => patchState(store, { notSaved: whyNotSaved(error) }),
        });
      },

      /**
       * Changes the job. The recipe may run more than once and must find what it changes by id.
       * @param key edits of one field share a key, so that typing is one undo step
       */
      edit,

      /** Changes one room, if it is still there; its fields' keys are its own. */
      editRoom(id: string | undefined, label: string, recipe: (room: Room) => void, key = ''): void {
        const find: Recipe = (job) => {
          const room = job.rooms.find((r) => r.id === id);
          if (room) recipe(room);
        };
        edit(label, find, key && `${id}.${key}`);
      },

      undo: () => step((id) => storage.undo(id)),
      redo: () => step((id) => storage.redo(id)),

      /** Tries the edits that could not be written again. */
      retry(): void {
        store.pending().forEach(() => void enqueue(writeNext));
      },

      /** When every edit made so far is written. */
      settled: (): Promise<void> => store.live.queue,
    };
  }),
  withHooks((store) => ({
    onDestroy() {
      store.live.watching?.unsubscribe();
    },
  })),
);
