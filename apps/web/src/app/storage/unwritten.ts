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

/**
 * What this page has told a log and the database does not show yet: it is on its way there, or could not be written.
 * Whatever reads a log reads this beside it, so that a deed counts from the press on, and goes out with the job.
 */
@Injectable({ providedIn: 'root' })
export class Unwritten {
  private readonly told = signal<readonly Telling[]>([]);
  readonly tellings = this.told.asReadonly();
  readonly any = computed(() => this.told().length > 0);

  add(telling: Telling): void {
    this.told.update((all) => [...all, telling]);
  }

  /** Lets go of what is told, or is not to be. */
  remove(gone: (telling: Telling) => boolean): void {
    if (this.told().some(gone)) this.told.update((all) => all.filter((one) => !gone(one)));
  }

  entriesOf(job: string): LogEntry[] {
    return this.told().flatMap((one) => (one.job === job ? one.entries : []));
  }

  photosOf(job: string): Map<string, Bytes> {
    return new Map(this.told().flatMap((one) => (one.job === job ? [...(one.photos ?? [])] : [])));
  }
}
