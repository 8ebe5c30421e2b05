import { type Job, type LogEntry, type Sayable } from '@lisse/core';
import Dexie, { type Table } from 'dexie';
import type { Patch } from 'immer';

/** A job as it is kept. `seq` is the step it stands at; `rev` grows with every write, undo included. */
export interface JobRow {
  id: string;
  name: string;
  doc: Job;
  seq: number;
  rev: number;
  updatedAt: number;
  /** 0 while the job is in use, so that it can be indexed. */
  deletedAt: number;
}

/** One undoable step of a job. */
export interface StepRow {
  jobId: string;
  seq: number;
  label: Sayable;
  /** Steps with the same key within a moment are one step (typing a number). */
  key: string;
  at: number;
  forward: Patch[];
  inverse: Patch[];
  /** The entries of the log that it made. */
  entries?: string[];
  /** The entries that take those back, since it was undone. */
  takenBack?: string[];
}

/** An entry of a job's log. */
export interface LogRow {
  jobId: string;
  id: string;
  entry: LogEntry;
}

/** A picture that the log of a job names, as a JPEG. */
export interface PhotoRow {
  jobId: string;
  id: string;
  bytes: Uint8Array<ArrayBuffer>;
}

/** A job as it went to another device or came from one: what both sides had in common. */
export interface HandedRow {
  jobId: string;
  id: string;
  doc: Job;
  /** When it went or came, ms since 1970. */
  at: number;
}

export class LisseDb extends Dexie {
  jobs!: Table<JobRow, string>;
  steps!: Table<StepRow, [string, number]>;
  log!: Table<LogRow, [string, string]>;
  photos!: Table<PhotoRow, [string, string]>;
  handed!: Table<HandedRow, [string, string]>;
  facts!: Table<{ id: string; value: unknown }, string>;

  constructor(name = 'lisse') {
    // A write that is shown as saved is on the disk, not on its way there.
    super(name, { chromeTransactionDurability: 'strict' });
    this.version(1).stores({ jobs: 'id, updatedAt, deletedAt', steps: '[jobId+seq], jobId', facts: 'id' });
    this.version(2).stores({ log: '[jobId+id], jobId' });
    // A step tells several things at once; what was told lately is looked for over all jobs, by the time in its id.
    this.version(3)
      .stores({ log: '[jobId+id], jobId, id', photos: '[jobId+id], jobId', handed: '[jobId+id], jobId' })
      .upgrade((all) =>
        all
          .table('steps')
          .toCollection()
          .modify((step: StepRow & { entry?: string }) => {
            if (step.entry !== undefined) step.entries = [step.entry];
            delete step.entry;
            if (typeof step.takenBack === 'string') step.takenBack = [step.takenBack];
          }),
      );
  }
}
