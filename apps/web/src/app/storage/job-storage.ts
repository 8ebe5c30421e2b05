import { inject, Injectable, InjectionToken } from '@angular/core';
import { isSame, say, mergeLogs, type Job, type LogEntry, type Room, type Sayable } from '@lisse/core';
import { liveQuery, type Observable } from 'dexie';
import { applyPatches, enablePatches, produceWithPatches, type Patch } from 'immer';
import { UserError } from '../user-error';
import { WHAT_TIME } from '../what-time';
import { LisseDb, type JobRow, type StepRow } from './db';
import { FETCH_DOOR, NotKept, type Door } from './validation';
import { laterThan } from './entry-ids';

export type { JobRow } from './db';

enablePatches();

export const DATABASE = new InjectionToken<LisseDb>('database', {
  providedIn: 'root',
  factory: () => new LisseDb(),
});

/** An edit as a function of the job, so that it can be made again on a job another tab has changed. */
export type Recipe = (job: Job) => void;

export interface Edit {
  label: Sayable;
  recipe: Recipe;
  key: string;
}

/** A row as it was written, and how it was changed by this write. */
export interface Written extends JobRow {
  patches: readonly Patch[];
  /** Something was put into the log. */
  logged?: boolean;
}

export interface Watched {
  row: JobRow | undefined;
  undo: Sayable | undefined;
  redo: Sayable | undefined;
}

export interface JobLine {
  id: string;
  name: Sayable;
  place: string | undefined;
  rooms: readonly Room[];
  updatedAt: number;
  deletedAt: number;
}

/** A step back to which a job could be read. */
export interface StepBack {
  seq: number;
  doc: unknown;
  /** What was done next, and what all came after it, newest first. */
  undone: Sayable[];
}

/** A picture as it is kept. */
export type Bytes = Uint8Array<ArrayBuffer>;
export type Photos = ReadonlyMap<string, Bytes>;
const NO_PHOTOS: Photos = new Map();

/** Has a job hold what another does. */
export function becomes(draft: Job, doc: Job): void {
  const fields = draft as unknown as Record<string, unknown>;
  for (const key of Object.keys(fields)) if (!(key in doc)) Reflect.deleteProperty(fields, key);
  for (const [key, value] of Object.entries(doc)) if (!isSame(fields[key], value)) fields[key] = value;
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
  private readonly fetchDoor = inject(FETCH_DOOR);
  private readonly whatTime = inject(WHAT_TIME);
  private readonly nowMs = (): number => this.whatTime().getTime();
  private door: Promise<Door> | undefined;

  /** Fetches the check of what is kept ahead of the first edit. */
  prepare(): void {
    void this.checked();
  }

  /** Opens the database; fails where the browser has none, which nobody would hear of otherwise. */
  async reach(): Promise<void> {
    await this.db.open();
  }

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
      return rows.map(lineOf);
    });
  }

  get(id: string): Promise<JobRow | undefined> {
    return this.db.jobs.get(id);
  }

  /** Adds a job, its log in a table of its own and the pictures that names; its id must be free. */
  async add({ log, handed, ...job }: Job, photos: Photos = NO_PHOTOS): Promise<void> {
    await this.db.transaction('rw', this.db.jobs, this.db.log, this.db.photos, this.db.handed, async () => {
      await this.db.jobs.add({
        id: job.id,
        name: job.name,
        doc: job,
        seq: 0,
        rev: 1,
        updatedAt: this.nowMs(),
        deletedAt: 0,
      });
      const entries = mergeLogs(log ?? [], []);
      if (entries.length > 0)
        await this.db.log.bulkPut(entries.map((entry) => ({ jobId: job.id, id: entry.id, entry })));
      await this.putPhotos(job.id, photos);
      if (handed) await this.db.handed.put({ jobId: job.id, id: handed.id, doc: job, at: this.nowMs() });
    });
  }

  /** Keeps pictures; one that is known under its id stays as it is. */
  async putPhotos(jobId: string, photos: Photos): Promise<void> {
    if (photos.size === 0) return;
    const known = await this.db.photos.bulkGet([...photos.keys()].map((id): [string, string] => [jobId, id]));
    const come = [...photos].filter((_, i) => known[i] === undefined);
    await this.db.photos.bulkAdd(come.map(([id, bytes]) => ({ jobId, id, bytes })));
  }

  /** The pictures of a job, by their ids. */
  async photos(id: string): Promise<Map<string, Bytes>> {
    const rows = await this.db.photos.where('jobId').equals(id).toArray();
    return new Map(rows.map(({ id: photo, bytes }) => [photo, bytes]));
  }

  async photo(jobId: string, id: string): Promise<Bytes | undefined> {
    return (await this.db.photos.get([jobId, id]))?.bytes;
  }

  /** What every job's log was told since an id that holds a moment, as it grows; all of it where several told. */
  watchTold(since: string): Observable<{ jobId: string; entry: LogEntry }[]> {
    return liveQuery(async () => {
      const rows = await this.db.log.where('id').above(since).toArray();
      return rows.map(({ jobId, entry }) => ({ jobId, entry }));
    });
  }

  /** The log of a job, as it grows. */
  watchLog(id: string): Observable<LogEntry[]> {
    return liveQuery(() => this.log(id));
  }

  /** The entries of a job's log, the oldest first. */
  async log(id: string): Promise<LogEntry[]> {
    const rows = await this.db.log.where('jobId').equals(id).toArray();
    return mergeLogs(
      rows.map(({ entry }) => entry),
      [],
    );
  }

  /** Puts entries into the log, as one step that can be undone. */
  record(
    id: string,
    label: Sayable,
    entries: readonly LogEntry[],
    photos: Photos = NO_PHOTOS,
  ): Promise<Written> {
    return this.write(id, async (row, troubleAfter) => {
      const problems = troubleAfter(row.doc, { ...row.doc, log: [...entries] });
      if (problems.length > 0) throw new NotKept(problems);
      await this.db.log.bulkAdd(entries.map((entry) => ({ jobId: id, id: entry.id, entry })));
      await this.putPhotos(id, photos);
      await this.forgetAfter(id, row.seq);
      const seq = row.seq + 1;
      const step: StepRow = { jobId: id, seq, label, key: '', at: this.nowMs(), forward: [], inverse: [] };
      await this.db.steps.put({ ...step, entries: entries.map((entry) => entry.id) });
      await this.forgetBefore(id, seq);
      return { ...row, seq, patches: [], logged: true };
    });
  }

  /** Makes an edit on the job as the database has it now. */
  commit(id: string, { label, recipe, key }: Edit): Promise<Written> {
    return this.write(id, async (row) => {
      const [doc, forward, inverse] = produceWithPatches(row.doc, (draft) => {
        recipe(draft as Job);
      });
      if (forward.length === 0) return { ...row, patches: [] };
      await this.forgetAfter(id, row.seq);
      const last = await this.db.steps.get([id, row.seq]);
      const at = this.nowMs();
      if (last && key !== '' && last.key === key && at - last.at < ONE_STEP_MS) {
        await this.db.steps.put({
          ...last,
          at,
          forward: [...last.forward, ...forward],
          inverse: [...inverse, ...last.inverse],
        });
        return { ...row, doc, patches: forward };
      }
      const seq = row.seq + 1;
      await this.db.steps.put({ jobId: id, seq, label, key, at, forward, inverse });
      await this.forgetBefore(id, seq);
      return { ...row, doc, seq, patches: forward };
    });
  }

  /** Puts a job in the place of what is kept, as a step; for one that was mended as it was opened. */
  replace(id: string, label: Sayable, doc: Job): Promise<Written> {
    return this.commit(id, { label, recipe: (draft) => becomes(draft, doc), key: '' });
  }

  /** The steps back from what is kept, newest first: the job as it was before each. */
  async *back(id: string): AsyncGenerator<StepBack> {
    const row = await this.db.jobs.get(id);
    let doc: unknown = row?.doc;
    const undone: Sayable[] = [];
    for (let seq = row?.seq ?? 0; seq > 0; seq--) {
      const step: StepRow | undefined = await this.db.steps.get([id, seq]);
      if (!step) return;
      try {
        doc = applyPatches(doc as object, step.inverse);
      } catch {
        return;
      }
      undone.push(step.label);
      yield { seq: seq - 1, doc, undone: [...undone] };
    }
  }

  /** Goes back to a step that `back` gave, whatever stands there now. */
  async returnTo(id: string, { seq, doc }: Pick<StepBack, 'seq' | 'doc'>): Promise<void> {
    await this.db.transaction('rw', this.db.jobs, this.db.steps, async () => {
      const row = await this.db.jobs.get(id);
      if (!row) throw new UserError(say('storage.gone'));
      const job = doc as Job;
      await this.db.jobs.put({
        ...row,
        doc: job,
        name: job.name,
        seq,
        rev: row.rev + 1,
        updatedAt: this.nowMs(),
      });
    });
  }

  undo(id: string): Promise<Written> {
    return this.write(id, async (row) => {
      const step = await this.db.steps.get([id, row.seq]);
      const patches = step?.inverse ?? [];
      const logged = step?.entries !== undefined;
      if (logged) await this.db.steps.put({ ...step, takenBack: await this.takeBack(id, step.entries) });
      return { ...row, doc: applyPatches(row.doc, patches), seq: row.seq - (step ? 1 : 0), patches, logged };
    });
  }

  redo(id: string): Promise<Written> {
    return this.write(id, async (row) => {
      const step = await this.db.steps.get([id, row.seq + 1]);
      const patches = step?.forward ?? [];
      const logged = step?.takenBack !== undefined;
      if (logged) await this.takeBack(id, step.takenBack);
      return { ...row, doc: applyPatches(row.doc, patches), seq: row.seq + (step ? 1 : 0), patches, logged };
    });
  }

  /** Entries are never taken out: later ones take them back. Gives the ids of those. */
  private async takeBack(jobId: string, ids: readonly string[] = []): Promise<string[]> {
    const rows = await this.db.log.bulkGet(ids.map((id): [string, string] => [jobId, id]));
    const made = rows.flatMap((row): LogEntry[] => {
      if (!row) return [];
      const { by, device } = row.entry;
      return [{ ...laterThan(row.id, this.whatTime()), by, device, kind: 'withdrawn', corrects: row.id }];
    });
    await this.db.log.bulkAdd(made.map((entry) => ({ jobId, id: entry.id, entry })));
    return made.map(({ id }) => id);
  }

  /** Steps far back are let go, of the log as of the job. */
  private forgetBefore(id: string, seq: number): Promise<number> {
    return this.db.steps
      .where('[jobId+seq]')
      .between([id, 0], [id, seq - KEEP_STEPS])
      .delete();
  }

  /** What was undone is gone once something else is done. */
  forgetAfter(id: string, seq: number): Promise<number> {
    return this.db.steps
      .where('[jobId+seq]')
      .between([id, seq + 1], [id, Infinity])
      .delete();
  }

  /** Puts a job away; it can be put back. */
  async remove(id: string): Promise<void> {
    await this.db.jobs.update(id, { deletedAt: this.nowMs() });
  }

  async restore(id: string): Promise<void> {
    await this.db.jobs.update(id, { deletedAt: 0 });
  }

  /** Deletes a job that was put away, and its history, for good. */
  async discard(id: string): Promise<void> {
    const own = [this.db.steps, this.db.log, this.db.photos, this.db.handed];
    await this.db.transaction('rw', [this.db.jobs, ...own], async () => {
      await this.db.jobs.delete(id);
      for (const table of own) await table.where('jobId').equals(id).delete();
    });
  }

  /** A small remembered fact, such as the job last opened. */
  async recall(id: string): Promise<unknown> {
    return (await this.db.facts.get(id))?.value;
  }

  /** A remembered fact, as it changes in this tab or another. */
  watchFact(id: string): Observable<unknown> {
    return liveQuery(async () => (await this.db.facts.get(id))?.value);
  }

  async remember(id: string, value: unknown): Promise<void> {
    await this.db.facts.put({ id, value });
  }

  /** Adds a fact and jobs together, once: whoever comes second finds the fact and adds nothing. */
  async addOnce(fact: string, jobs: readonly Job[]): Promise<boolean> {
    const { jobs: kept, log, photos, handed, facts } = this.db;
    return this.db.transaction('rw', [kept, log, photos, handed, facts], async () => {
      if (await this.db.facts.get(fact)) return false;
      for (const job of jobs) if (!(await this.db.jobs.get(job.id))) await this.add(job);
      await this.db.facts.put({ id: fact, value: true });
      return true;
    });
  }

  /** The check of what is kept. Where it cannot be fetched an edit is kept unchecked: losing it would be worse. */
  private checked(): Promise<Door> {
    this.door ??= this.fetchDoor().catch(() => {
      this.door = undefined;
      return () => [];
    });
    return this.door;
  }

  /**
   * Changes a row in one transaction. For what storage itself does; places make edits. What could not be opened again is not kept: the transaction ends as if it
   * had not been.
   */
  async write(id: string, change: (row: JobRow, troubleAfter: Door) => Promise<Written>): Promise<Written> {
    const troubleAfter = await this.checked();
    const { jobs, steps, log, photos, handed } = this.db;
    return this.db.transaction('rw', [jobs, steps, log, photos, handed], async () => {
      const row = await this.db.jobs.get(id);
      if (!row) throw new UserError(say('storage.gone'));
      const { patches, logged = false, ...changed } = await change(row, troubleAfter);
      if (patches.length === 0 && !logged) return { ...row, patches };
      const problems = troubleAfter(row.doc, changed.doc);
      if (problems.length > 0) throw new NotKept(problems);
      const next = { ...changed, name: changed.doc.name, rev: row.rev + 1, updatedAt: this.nowMs() };
      await this.db.jobs.put(next);
      return { ...next, patches };
    });
  }
}

/** A row for the list. One that is damaged has a line like any other: it must not hide the rest. */
function lineOf({ id, name, doc, updatedAt, deletedAt }: JobRow): JobLine {
  const { place, rooms } = (doc as Partial<Job> | undefined) ?? {};
  return {
    id,
    name: typeof name === 'string' && name !== '' ? name : say('job.unnamed'),
    place: typeof place === 'string' ? place : undefined,
    rooms: Array.isArray(rooms) ? rooms.filter((room) => typeof room === 'object' && room !== null) : [],
    updatedAt,
    deletedAt,
  };
}
