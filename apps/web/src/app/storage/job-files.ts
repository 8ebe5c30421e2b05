import { inject, Injectable } from '@angular/core';
import {
  MAX_FILE_BYTES,
  tooLarge,
  say,
  writeJob,
  type Job,
  type Message,
  type Problem,
  type Read,
  type Taken,
} from '@lisse/core';
import { FileReading } from '../worker/file-reader';
import { WorkerFailed } from '../worker/worker-link';
import { JobStorage } from './job-storage';

export type Imported =
  | { ok: true; id: string; notes: Problem[] }
  | { ok: false; file: string; problems: Problem[]; mended?: Taken };

/** Jobs in and out as files. A bad file changes nothing and says what is wrong where. */
@Injectable({ providedIn: 'root' })
export class JobFiles {
  private readonly files = inject(FileReading);
  private readonly storage = inject(JobStorage);

  async importFile(file: File): Promise<Imported> {
    const refused = (message: Message): Imported => ({
      ok: false,
      file: file.name,
      problems: [{ path: 'file', where: say('the-file'), message, whole: true }],
    });
    if (file.size > MAX_FILE_BYTES) return refused(tooLarge(file.size));
    let read: Read;
    try {
      read = await this.files.job(file);
    } catch (error) {
      return refused(error instanceof WorkerFailed ? error.said : say('file.not-opened'));
    }
    return read.ok ? this.take(read) : { ...read, file: file.name };
  }

  /** Takes a job that was read, under an id that is free. */
  async take({ job, notes }: Taken): Promise<Imported> {
    const own = (await this.storage.get(job.id)) ? { ...job, id: crypto.randomUUID() } : job;
    await this.storage.add(own);
    return { ok: true, id: own.id, notes };
  }

  /** Hands the job and its log to the browser as a download, whatever it holds. */
  async exportJob(shown: Job): Promise<void> {
    // What can be seen is handed over even where the database no longer answers.
    const job = await this.storage.whole(shown).catch(() => shown);
    handOver(writeJob(job), 'application/json', `${fileName(String(job.name))}.lisse.json`);
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

/** Hands a text to the browser as a download. */
export function handOver(text: string, type: string, name: string): void {
  handOverBlob(new Blob([text], { type }), name);
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
