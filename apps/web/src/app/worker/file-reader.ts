import { Injectable, signal } from '@angular/core';
import type { OutlinesRead, Read, RoomsRead, UnitSystem } from '@lisse/core';
import type { Remote } from 'comlink';
import type { FilesApi } from './api';
import { WorkerFailed, WorkerLink } from './worker-link';

/** Longest that a file is read, ms. */
const READING_MS = 5000;

/**
 * Files read in a worker of their own, so that one which cannot be read holds up nothing else. It is ended when the
 * file is read, when it takes too long, and when somebody presses Cancel.
 */
@Injectable({ providedIn: 'root' })
export class FileReading extends WorkerLink<FilesApi> {
  protected readonly kind = 'files';
  /** The file that is being read, and for how long already, ms. */
  readonly reading = signal<{ name: string; ms: number } | undefined>(undefined);
  readonly mostMs = READING_MS;

  job(file: File): Promise<Read> {
    return this.from(file, 'job file', (api) => api.read(file));
  }

  rooms(file: File, units: UnitSystem, most: number): Promise<RoomsRead> {
    return this.from(file, 'table', (api) => api.readRooms(file, units, most));
  }

  outlines(file: File, units: UnitSystem, most: number): Promise<OutlinesRead> {
    return this.from(file, 'drawing', (api) => api.readOutlines(file, units, most));
  }

  cancel(): void {
    this.end(new WorkerFailed('stopped', 'Reading was stopped. Nothing has been changed.'));
  }

  private async from<T>(
    { name }: File,
    what: string,
    read: (api: Remote<FilesApi>) => Promise<unknown>,
  ): Promise<T> {
    const began = performance.now();
    this.reading.set({ name, ms: 0 });
    const timer = setInterval(() => this.reading.set({ name, ms: performance.now() - began }), 100);
    try {
      return await this.ask<T>(read, {
        ms: READING_MS,
        late: () =>
          `The ${what} could not be read in ${READING_MS / 1000} s: it is damaged, or far larger than any that is planned. Nothing has been changed. Save it again where it comes from, or in parts.`,
      });
    } finally {
      clearInterval(timer);
      this.reading.set(undefined);
      this.stop();
    }
  }
}
