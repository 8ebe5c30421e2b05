import { inject } from '@angular/core';
import type { Job } from '@lisse/core';
import { patchState, type WritableStateSource } from '@ngrx/signals';
import { applyPatches, freeze } from 'immer';
import { NotKept } from '../storage/validation';
import { JobStorage, type JobRow, type Recipe, type Written } from '../storage/job-storage';
import { Keeper } from '../storage/keeping';
import { Unwritten, type Telling } from '../storage/unwritten';
import { whyNotSaved } from '../storage/why-not';
import { asMessage, isTelling, type Deed, type JobState, type Live, type Pending } from './job-state';

/** The open job as its changes are written from it. */
type Held = WritableStateSource<JobState> & {
  [K in 'id' | 'row' | 'pending' | 'notSaved' | 'status']: () => JobState[K];
} & { job: () => Job | undefined; live: Live };

/**
 * The changes of the open job on their way to the database: shown at once, written in order, taken back while they are
 * not written. Called while the store is made.
 */
export function jobWriting(store: Held) {
  const [storage, keeper, unwritten] = [inject(JobStorage), inject(Keeper), inject(Unwritten)];
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

  return { take, takeOwn, own, edit, step, takeBackPending, refusals, write: () => enqueue(writePending) };
}
