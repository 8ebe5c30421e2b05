import { inject, Injectable } from '@angular/core';
import {
  brokenSeals,
  clashKey,
  isZip,
  MAX_FILE_BYTES,
  tooLarge,
  mergeLogs,
  say,
  writeJob,
  type Job,
  type Message,
  type Problem,
  type Taken,
} from '@lisse/core';
import type { JobRead } from '../worker/api';
import { FileReading } from '../worker/file-reader';
import { WorkerFailed } from '../worker/worker-link';
import { JobStorage, type Bytes, type Photos, type Written } from './job-storage';
import { Meetings, type Coming, type Compared } from './meetings';
import { Unwritten } from './unwritten';
import { newId } from '../new-id';

export type Imported =
  | { ok: true; id: string; notes: Problem[]; changed: Problem[] }
  | { ok: false; file: string; problems: Problem[]; mended?: Mended }
  | MergeSession;

/** A job that would be taken with something mended, and the pictures that came with it. */
export type Mended = Taken & { photos?: Photos };

/** A job that is here already, as another device has it. */
export interface MergeSession {
  ok: 'meets';
  id: string;
  name: string;
  coming: Coming;
  /** None where this very file was taken in before. */
  compared: Compared | undefined;
}

/** A larger archive is refused before it is read, bytes. */
const MOST_ZIP = 400 * 1024 * 1024;

/** Jobs in and out as files. A bad file changes nothing and says what is wrong where. */
@Injectable({ providedIn: 'root' })
export class JobFiles {
  private readonly files = inject(FileReading);
  private readonly storage = inject(JobStorage);
  private readonly meetings = inject(Meetings);
  private readonly unwritten = inject(Unwritten);

  /**
   * Reads a file and takes what it holds.
   * @param meets a job that is here already is held beside it, whoever wrote the file
   */
  async importFile(file: File, meets = false): Promise<Imported> {
    const refused = (message: Message): Imported => ({
      ok: false,
      file: file.name,
      problems: [{ path: 'file', where: say('the-file'), message, whole: true }],
    });
    const isLarge = file.size > MAX_FILE_BYTES;
    // Only an archive may be larger than a job: by what it begins with, whatever it is called.
    if (isLarge && (file.size > MOST_ZIP || !isZip(new Uint8Array(await file.slice(0, 4).arrayBuffer()))))
      return refused(tooLarge(file.size));
    let read: JobRead;
    try {
      read = await this.files.job(file);
    } catch (error) {
      return refused(error instanceof WorkerFailed ? error.said : say('file.not-opened'));
    }
    if (!read.ok) return { ...read, file: file.name };
    if (!meets || read.job.handed) return this.take(read);
    return this.take({ ...read, job: { ...read.job, handed: { id: await nameOf(file), knows: [] } } });
  }

  /**
   * Takes a job that was read. One that is here already and comes from another device is held beside it; any other goes
   * under an id that is free.
   */
  async take({ job, notes, photos = new Map() }: Mended): Promise<Imported> {
    const here = await this.storage.get(job.id);
    const { log = [], handed, ...doc } = job;
    if (here && here.deletedAt === 0 && handed) {
      const coming = { job: doc, handed, log, photos };
      return {
        ok: 'meets',
        id: job.id,
        name: job.name,
        coming,
        compared: await this.meetings.compare(coming),
      };
    }
    return this.takeApart({ job, notes, photos }, here !== undefined);
  }

  /** Takes a job as one of its own, beside one that is here under its id. */
  async takeApart({ job, notes, photos }: Mended, taken = true): Promise<Imported> {
    const { handed: _, ...own } = job;
    const kept = taken ? { ...own, id: newId() } : job;
    await this.storage.add(kept, photos);
    return { ok: true, id: kept.id, notes, changed: brokenSeals(job) };
  }

  /** Lays a job that came from another device together with what is here; of the clashes named its side is taken. */
  meet({ coming, name }: MergeSession, theirs: ReadonlySet<string>): Promise<Written> {
    return this.meetings.meet(coming, say('undo.together', { job: name }), (clash) =>
      theirs.has(clashKey(clash)),
    );
  }

  /** Hands the job, its log and its pictures to the browser as a download, whatever it holds. */
  async exportJob(shown: Job): Promise<void> {
    const file = await this.fileOf(shown);
    handOverBlob(file, file.name);
  }

  /** The same for another device. */
  async saveToSend(shown: Job): Promise<void> {
    const file = await this.fileToSend(shown);
    handOverBlob(file, file.name);
  }

  /** Whether the device can send a file from here to another one. */
  canShare(): boolean {
    const probe = new File(['{}'], 'job.json', { type: 'application/json' });
    return typeof navigator.canShare === 'function' && navigator.canShare({ files: [probe] });
  }

  /**
   * Sends the job by what the device sends files with.
   * @returns false where somebody thought better of it
   */
  async shareJob(shown: Job): Promise<boolean> {
    const file = await this.fileToSend(shown);
    try {
      await navigator.share({ files: [file], title: shown.name });
      return true;
    } catch (error) {
      if (error instanceof DOMException && error.name === 'AbortError') return false;
      throw error;
    }
  }

  /** The job as a file for another device, which knows by it what both had last. */
  async fileToSend(shown: Job): Promise<File> {
    const handed = await this.meetings.hand(shown);
    return this.fileOf(shown, { handed });
  }

  /** The job as a file: a text, or an archive where it has pictures. */
  async fileOf(shown: Job, more: Pick<Job, 'handed'> = {}): Promise<File> {
    // What can be seen is handed over even where the database no longer answers.
    const kept = await this.storage.log(shown.id).catch(() => shown.log ?? []);
    const log = mergeLogs(kept, this.unwritten.entriesOf(shown.id));
    const job = { ...shown, ...(log.length > 0 ? { log } : {}), ...more };
    const photos = await this.storage.photos(shown.id).catch(() => new Map<string, Bytes>());
    for (const [id, bytes] of this.unwritten.photosOf(shown.id)) photos.set(id, bytes);
    const json = writeJob(job);
    const name = fileName(String(job.name));
    if (photos.size === 0) return new File([json], `${name}.lisse.json`, { type: 'application/json' });
    const zip = await this.files.pack(new TextEncoder().encode(json), photos);
    return new File([zip], `${name}.lisse.zip`, { type: 'application/zip' });
  }
}

/** A name for a file by what it holds, so that the same one is known again; where nothing can reckon it, a new one. */
async function nameOf(file: File): Promise<string> {
  try {
    const hash = new Uint8Array(await crypto.subtle.digest('SHA-256', await file.arrayBuffer()));
    // Sorts before every id that has a time in it: it is nobody's latest handing over.
    return `0-${Array.from(hash.slice(0, 16), (byte) => byte.toString(16).padStart(2, '0')).join('')}`;
  } catch {
    return `0-${newId()}`;
  }
}

/** A name every file system takes. */
export function fileName(name: string): string {
  const plain = name
    .normalize('NFKD')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .toLowerCase()
    .slice(0, 60);
  return plain || 'job';
}

/** Spreadsheets take a table for one of another alphabet unless this stands before it. */
const UTF_8 = '\uFEFF';

/** Hands a text to the browser as a download. */
export function handOver(text: string, type: string, name: string): void {
  handOverBlob(new Blob([type === 'text/csv' ? UTF_8 : '', text], { type }), name);
}

/** Hands a file to the browser as a download. */
export function handOverBlob(file: Blob, name: string): void {
  const url = URL.createObjectURL(file);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10000);
}
