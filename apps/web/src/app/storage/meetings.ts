import { inject, Injectable } from '@angular/core';
import {
  brokenSeals,
  mergeJobs,
  takeTheirs,
  mergeLogs,
  type Clash,
  type Handoff,
  type Job,
  type LogEntry,
  type Problem,
  type Sayable,
} from '@lisse/core';
import { produceWithPatches } from 'immer';
import { WHAT_TIME } from '../what-time';
import type { JobRow } from './db';
import { entryNow } from './entry-ids';
import { becomes, DATABASE, JobStorage, type Photos, type Written } from './job-storage';

/** A job that comes from another device. */
export interface Coming {
  job: Job;
  handed: Handoff;
  log: readonly LogEntry[];
  photos: Photos;
}

/** What taking it in would do. */
export interface Compared {
  /** Things that only the other side changed. */
  took: number;
  clashes: Clash[];
  /** It is known what both sides had last. */
  known: boolean;
  /** Entries of its log and pictures that are not here. */
  entries: number;
  photos: number;
  /** Entries that are here with another text. */
  twoTexts: number;
  /** What in it was changed after it was signed or agreed. */
  changed: Problem[];
}

/** Handings over of a job that are remembered. */
const KEEP_HANDED = 40;

/** Jobs that go to other devices and come back: what both sides had last, what they made of it since, and the two as one. */
@Injectable({ providedIn: 'root' })
export class Meetings {
  private readonly db = inject(DATABASE);
  private readonly storage = inject(JobStorage);
  private readonly whatTime = inject(WHAT_TIME);

  /** Notes that a job goes to another device as it is now; its file carries what this gives. */
  async hand(job: Job): Promise<Handoff> {
    const { id } = entryNow(this.whatTime());
    return this.db.transaction('rw', this.db.handed, async () => {
      const known = await this.knows(job.id);
      const old = known.slice(0, Math.max(0, known.length + 1 - KEEP_HANDED));
      await this.db.handed.bulkDelete(old.map((one): [string, string] => [job.id, one]));
      await this.db.handed.put({ jobId: job.id, id, doc: job, at: this.whatTime().getTime() });
      return { id, knows: known.slice(old.length) };
    });
  }

  /** Handings over of a job that this device knows, the oldest first. */
  private async knows(jobId: string): Promise<string[]> {
    const rows = await this.db.handed.where('jobId').equals(jobId).primaryKeys();
    return rows.map(([, id]) => id).sort();
  }

  /** The job as both sides had it last; itself where nothing was done to it here. None where that is not known. */
  private async common(row: JobRow, { id, knows }: Handoff): Promise<Job | undefined> {
    const theirs = new Set([...knows, id]);
    const shared = (await this.knows(row.id)).filter((one) => theirs.has(one)).at(-1);
    if (shared !== undefined) return (await this.db.handed.get([row.id, shared]))?.doc;
    const told = await this.db.log.where('jobId').equals(row.id).count();
    return row.seq === 0 && told === 0 ? row.doc : undefined;
  }

  /** A job that comes back, beside what is here; nothing is changed. None where this file was taken in already. */
  async compare(coming: Coming): Promise<Compared | undefined> {
    const { job, handed, log, photos } = coming;
    return this.db.transaction('r', this.db.jobs, this.db.log, this.db.photos, this.db.handed, async () => {
      const row = await this.db.jobs.get(job.id);
      if (!row || (await this.db.handed.get([job.id, handed.id]))) return undefined;
      const base = await this.common(row, handed);
      const [told, held] = await Promise.all([
        this.storage.log(job.id),
        this.db.photos.where('jobId').equals(job.id).primaryKeys(),
      ]);
      const known = new Set(told.map(({ id }) => id));
      const pictures = new Set(held.map(([, id]) => id));
      const { took, clashes } = mergeJobs(base, row.doc, job);
      return {
        took,
        clashes,
        known: base !== undefined,
        entries: log.filter(({ id }) => !known.has(id)).length,
        twoTexts: mergeLogs(told, log).filter(({ id, beside }) => beside !== undefined && !known.has(id))
          .length,
        changed: brokenSeals({ ...job, log: [...log] }),
        photos: [...photos.keys()].filter((id) => !pictures.has(id)).length,
      };
    });
  }

  /**
   * Lays a job that comes back together with what is here, in one transaction: its log is united with the one here,
   * what only the other side changed is taken, and so is its side of the clashes that are named. Once for each file.
   */
  meet(
    { job, handed, log, photos }: Coming,
    label: Sayable,
    isTheirs: (clash: Clash) => boolean,
  ): Promise<Written> {
    return this.storage.write(job.id, async (row) => {
      if (await this.db.handed.get([job.id, handed.id])) return { ...row, patches: [] };
      const base = await this.common(row, handed);
      const { job: laid, clashes } = mergeJobs(base, row.doc, job);
      const chosen = structuredClone(laid);
      for (const clash of clashes.filter(isTheirs)) takeTheirs(chosen, clash);
      const here = await this.storage.log(job.id);
      const known = new Set(here.map(({ id: own }) => own));
      const come = mergeLogs(here, log).filter(({ id: own }) => !known.has(own));
      await this.db.log.bulkPut(come.map((entry) => ({ jobId: job.id, id: entry.id, entry })));
      await this.storage.putPhotos(job.id, photos);
      await this.db.handed.put({ jobId: job.id, id: handed.id, doc: job, at: this.whatTime().getTime() });
      const [doc, forward, inverse] = produceWithPatches(row.doc, (draft) => {
        becomes(draft as Job, chosen);
      });
      if (forward.length === 0) return { ...row, patches: [], logged: true };
      await this.storage.forgetAfter(job.id, row.seq);
      const seq = row.seq + 1;
      await this.db.steps.put({
        jobId: job.id,
        seq,
        label,
        key: '',
        at: this.whatTime().getTime(),
        forward,
        inverse,
      });
      return { ...row, doc, seq, patches: forward };
    });
  }
}
