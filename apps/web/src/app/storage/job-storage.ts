import { inject, Injectable, InjectionToken } from '@angular/core';
import type { Job, Room } from '@lisse/core';
import { liveQuery, type Observable } from 'dexie';
import { applyPatches, enablePatches, produceWithPatches } from 'immer';
import { LisseDb, type JobRow } from './db';

enablePatches();

export const DATABASE = new InjectionToken<LisseDb>('database', {
  providedIn: 'root',
  factory: () => new LisseDb(),
});

/** An edit as a function of the job, so that it can be made again on a job another tab has changed. */
export type Recipe = (job: Job) => void;

export interface Edit {
  label: string;
  recipe: Recipe;
  key: string;
}

export interface Watched {
  row: JobRow | undefined;
  undo: string | undefined;
  redo: string | undefined;
}

export interface JobLine {
  id: string;
  name: string;
  place: string | undefined;
  rooms: readonly Room[];
  updatedAt: number;
  deletedAt: number;
}

/** Typing in one field within this time is one step, ms. */
const ONE_STEP_MS = 1500;
/** Steps kept for a job. */
const KEEP_STEPS = 300;

/**
 * Jobs and their history in the browser's database. Every change is one transaction on what the database
 * holds at that moment: a crash leaves the step before it, and two tabs never overwrite each other.
 */
@Injectable({ providedIn: 'root' })
export class JobStorage {
  private readonly db = inject(DATABASE);

  watch(id: string): Observable<Watched> {
    return liveQuery(async () => {
      const row = await this.db.jobs.get(id);
      const seq = row?.seq ?? 0;
      const [undo, redo] = await Promise.all([
        this.db.steps.get([id, seq]),
        this.db.steps.get([id, seq + 1]),
      ]);
      return { row, undo: undo?.label, redo: redo?.label };
    });
  }

  list(): Observable<JobLine[]> {
    return liveQuery(async () => {
      const rows = await this.db.jobs.orderBy('updatedAt').reverse().toArray();
      return rows.map(({ id, name, doc, updatedAt, deletedAt }) => ({
        id,
        name,
        place: doc.place,
        rooms: doc.rooms,
        updatedAt,
        deletedAt,
      }));
    });
  }

  get(id: string): Promise<JobRow | undefined> {
    return this.db.jobs.get(id);
  }

  /** Adds a job; its id must be free. */
  async add(job: Job): Promise<void> {
    await this.db.jobs.add({
      id: job.id,
      name: job.name,
      doc: job,
      seq: 0,
      rev: 1,
      updatedAt: Date.now(),
      deletedAt: 0,
    });
  }

  /** Makes an edit on the job as the database has it now. */
  commit(id: string, { label, recipe, key }: Edit): Promise<JobRow> {
    return this.write(id, async (row) => {
      const [doc, forward, inverse] = produceWithPatches(row.doc, (draft) => {
        recipe(draft as Job);
      });
      if (forward.length === 0) return row;
      await this.db.steps
        .where('[jobId+seq]')
        .between([id, row.seq + 1], [id, Infinity])
        .delete();
      const last = await this.db.steps.get([id, row.seq]);
      const at = Date.now();
      if (last && key !== '' && last.key === key && at - last.at < ONE_STEP_MS) {
        await this.db.steps.put({
          ...last,
          at,
          forward: [...last.forward, ...forward],
          inverse: [...inverse, ...last.inverse],
        });
        return { ...row, doc };
      }
      const seq = row.seq + 1;
      await this.db.steps.put({ jobId: id, seq, label, key, at, forward, inverse });
      await this.db.steps
        .where('[jobId+seq]')
        .between([id, 0], [id, seq - KEEP_STEPS])
        .delete();
      return { ...row, doc, seq };
    });
  }

  undo(id: string): Promise<JobRow> {
    return this.write(id, async (row) => {
      const step = await this.db.steps.get([id, row.seq]);
      return step ? { ...row, doc: applyPatches(row.doc, step.inverse), seq: row.seq - 1 } : row;
    });
  }

  redo(id: string): Promise<JobRow> {
    return this.write(id, async (row) => {
      const step = await this.db.steps.get([id, row.seq + 1]);
      return step ? { ...row, doc: applyPatches(row.doc, step.forward), seq: row.seq + 1 } : row;
    });
  }

  /** Puts a job away; it can be put back. */
  async remove(id: string): Promise<void> {
    await this.db.jobs.update(id, { deletedAt: Date.now() });
  }

  async restore(id: string): Promise<void> {
    await this.db.jobs.update(id, { deletedAt: 0 });
  }

  /** Deletes a job that was put away, and its history, for good. */
  async discard(id: string): Promise<void> {
    await this.db.transaction('rw', this.db.jobs, this.db.steps, async () => {
      await this.db.jobs.delete(id);
      await this.db.steps.where('jobId').equals(id).delete();
    });
  }

  /** A small remembered fact, such as the job last opened. */
  async recall(id: string): Promise<unknown> {
    return (await this.db.facts.get(id))?.value;
  }

  async remember(id: string, value: unknown): Promise<void> {
    await this.db.facts.put({ id, value });
  }

  /** Adds a fact and jobs together, once: whoever comes second finds the fact and adds nothing. */
  async addOnce(fact: string, jobs: readonly Job[]): Promise<boolean> {
    return this.db.transaction('rw', this.db.jobs, this.db.facts, async () => {
      if (await this.db.facts.get(fact)) return false;
      for (const job of jobs) if (!(await this.db.jobs.get(job.id))) await this.add(job);
      await this.db.facts.put({ id: fact, value: true });
      return true;
    });
  }

  private write(id: string, change: (row: JobRow) => Promise<JobRow>): Promise<JobRow> {
    return this.db.transaction('rw', this.db.jobs, this.db.steps, async () => {
      const row = await this.db.jobs.get(id);
      if (!row) throw new Error('This job is no longer in this browser.');
      const changed = await change(row);
      if (changed === row) return row;
      const next = { ...changed, name: changed.doc.name, rev: row.rev + 1, updatedAt: Date.now() };
      await this.db.jobs.put(next);
      return next;
    });
  }
}

/** A sentence for a write that failed. */
export function whyNotSaved(error: unknown): string {
  const name = error instanceof Error ? error.name : '';
  const inner = (error as { inner?: { name?: string } } | undefined)?.inner?.name;
  if (name === 'QuotaExceededError' || inner === 'QuotaExceededError') {
    return 'This browser has no room left. Export the job to a file, then free some space.';
  }
  return `The browser could not keep the change${error instanceof Error ? ` (${error.message})` : ''}. Export the job to be safe.`;
}
