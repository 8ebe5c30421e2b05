import { computed, Injectable, signal } from '@angular/core';
import type { LogEntry, Sayable } from '@lisse/core';
import type { Bytes, Photos } from './job-storage';

/** Something that was told on this page to the log of a job, with the pictures it names. */
export interface Telling {
  job: string;
  label: Sayable;
  entries: readonly LogEntry[];
  photos?: Photos;
}

/** Where nobody looks at pots no more than so many are kept for them. */
const MOST_SHOWN = 50;

/**
 * What this page has told a log and the database does not show yet: it is on its way there, or could not be written.
 * Whatever reads a log reads this beside it, so that a deed counts from the press on, and goes out with the job.
 */
@Injectable({ providedIn: 'root' })
export class Unwritten {
  private readonly told = signal<readonly Telling[]>([]);
  /** What the log of the open job shows by now, and the pots of all jobs may not yet: each has a query of its own. */
  private readonly shown = signal<readonly Telling[]>([]);
  /** What the pots do not have from the database. */
  readonly toPots = computed(() => [...this.shown(), ...this.told()]);
  readonly any = computed(() => this.told().length > 0);

  add(telling: Telling): void {
    this.told.update((all) => [...all, telling]);
  }

  /** Lets go of what is told, or is not to be. */
  remove(gone: (telling: Telling) => boolean): void {
    if (this.told().some(gone)) this.told.update((all) => all.filter((one) => !gone(one)));
  }

  /** Lets go of what the log of the open job shows. */
  inLog(isShown: (telling: Telling) => boolean): void {
    const shown = this.told().filter(isShown);
    if (shown.length === 0) return;
    this.shown.update((all) => [...all, ...shown].slice(-MOST_SHOWN));
    this.remove(isShown);
  }

  /**
   * Lets go of what the pots show, but for what the log of the open job is still to show.
   * @param open the job whose log is read
   */
  inPots(isShown: (telling: Telling) => boolean, open: string | undefined): void {
    if (this.shown().some(isShown)) this.shown.update((all) => all.filter((one) => !isShown(one)));
    this.remove((one) => one.job !== open && isShown(one));
  }

  entriesOf(job: string): LogEntry[] {
    return this.told().flatMap((one) => (one.job === job ? one.entries : []));
  }

  photosOf(job: string): Map<string, Bytes> {
    return new Map(this.told().flatMap((one) => (one.job === job ? [...(one.photos ?? [])] : [])));
  }
}
