import { Injectable, signal } from '@angular/core';
import { say, type OutlinesRead, type RoomsRead, type UnitSystem } from '@lisse/core';
import type { FilesApi, JobRead } from './api';
import { WorkerFailed, WorkerLink, type Later } from './worker-link';

/** Longest that a file is read, ms. */
const READING_MS = 5000;
/** Pictures that come with a job are looked at one by one: so much longer, ms a byte. */
const MS_PER_BYTE = 1e-3;
/** Longest that an archive is made, ms. */
const PACKING_MS = 30000;

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

  job(file: File): Promise<JobRead> {
    return this.from(file, 'job', (api) => api.read(file));
  }

  /** A job and its pictures as one archive. */
  async pack(json: Uint8Array, photos: ReadonlyMap<string, Uint8Array>): Promise<Uint8Array<ArrayBuffer>> {
    try {
      return await this.ask((api) => api.pack(json, photos), {
        ms: PACKING_MS,
        late: () => say('file.late', { what: say('file.job'), seconds: PACKING_MS / 1000 }),
      });
    } finally {
      this.stop();
    }
  }

  rooms(file: File, units: UnitSystem, most: number): Promise<RoomsRead> {
    return this.from(file, 'table', (api) => api.readRooms(file, units, most));
  }

  outlines(file: File, units: UnitSystem, most: number): Promise<OutlinesRead> {
    return this.from(file, 'drawing', (api) => api.readOutlines(file, units, most));
  }

  cancel(): void {
    this.end(new WorkerFailed('stopped', say('file.stopped')));
  }

  private async from<A>(
    { name, size }: File,
    what: 'job' | 'table' | 'drawing',
    read: (api: Later<FilesApi>) => Promise<A>,
  ): Promise<A> {
    const began = performance.now();
    const ms = READING_MS + (what === 'job' ? Math.round(size * MS_PER_BYTE) : 0);
    this.reading.set({ name, ms: 0 });
    const timer = setInterval(() => this.reading.set({ name, ms: performance.now() - began }), 100);
    try {
      return await this.ask(read, {
        ms,
        late: () => say('file.late', { what: say(`file.${what}`), seconds: Math.round(ms / 1000) }),
      });
    } finally {
      clearInterval(timer);
      this.reading.set(undefined);
      this.stop();
    }
  }
}
