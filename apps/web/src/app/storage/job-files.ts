import { inject, Injectable } from '@angular/core';
import { MAX_FILE_BYTES, writeJob, type Job, type Problem } from '@lisse/core';
import { CoreClient } from '../worker/core-client';
import { JobStorage } from './job-storage';

export type Imported = { ok: true; id: string } | { ok: false; file: string; problems: Problem[] };

/** Jobs in and out as files. A bad file changes nothing and says what is wrong where. */
@Injectable({ providedIn: 'root' })
export class JobFiles {
  private readonly core = inject(CoreClient);
  private readonly storage = inject(JobStorage);

  async importFile(file: File): Promise<Imported> {
    if (file.size > MAX_FILE_BYTES) {
      const mb = Math.round(file.size / 1024 / 1024);
      return {
        ok: false,
        file: file.name,
        problems: [{ path: 'file', message: `It has ${mb} MB; a job file never has more than 20.` }],
      };
    }
    const read = await this.core.read(await file.text());
    if (!read.ok) return { ok: false, file: file.name, problems: read.problems };
    const job = (await this.storage.get(read.job.id)) ? { ...read.job, id: crypto.randomUUID() } : read.job;
    await this.storage.add(job);
    return { ok: true, id: job.id };
  }

  /** Hands the job to the browser as a download. */
  exportJob(job: Job): void {
    handOver(writeJob(job), 'application/json', `${fileName(job.name)}.lisse.json`);
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
