import type { Message, PlainKey, Problem, Sayable } from '@lisse/core';
import type { Edit, JobRow } from '../storage/job-storage';
import type { Telling } from '../storage/unwritten';

/** What an edit is called where it can be undone: a text that takes nothing, or one with what goes into it. */
export type Deed = Extract<PlainKey, `undo.${string}`> | Message;

export const asMessage = (deed: Deed): Message => (typeof deed === 'string' ? { key: deed } : deed);

/** An edit of the open job, or something told to the log of it or of another. */
export type Pending = (Edit & { job: string }) | Telling;

export const isTelling = (one: Pending): one is Telling => 'entries' in one;

export interface JobState {
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

export const EMPTY: JobState = {
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
export interface Arrived {
  id: string;
  notes: readonly Problem[];
  changed: readonly Problem[];
}

export interface Live {
  /** An undo or a redo that could not be written, until anything else is done: it would take back that instead. */
  again: (() => Promise<boolean>) | undefined;
  /** What was changed in a job as it came in, to be said when it is opened. */
  arrived: Arrived | undefined;
  watching: { unsubscribe(): void } | undefined;
  queue: Promise<void>;
}
