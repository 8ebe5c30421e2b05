import { inject, Injectable } from '@angular/core';
import type { Job } from '@lisse/core';
import { CoreClient } from '../worker/core-client';
import { JobStorage } from './job-storage';

/** The example jobs that come with the application; the first is opened on the first visit. */
export const EXAMPLES = ['tarn-ferry', 'pier-house'] as const;

/** Whether a job is one of the examples as they came; their figures are invented. */
export const isExample = (id: string): boolean => (EXAMPLES as readonly string[]).includes(id);

@Injectable({ providedIn: 'root' })
export class Examples {
  private readonly storage = inject(JobStorage);
  private readonly core = inject(CoreClient);

  /** Puts the examples into an empty browser, once. */
  async seed(): Promise<void> {
    if (await this.storage.recall('examples')) return;
    await this.storage.addOnce('examples', await this.load());
  }

  /** Puts back an example that was changed or deleted, as a new job. */
  async addAgain(): Promise<string> {
    const [first] = await this.load();
    if (!first) throw new Error('The example did not come with this copy of Lisse.');
    const job = { ...first, id: crypto.randomUUID() };
    await this.storage.add(job);
    return job.id;
  }

  private async load(): Promise<Job[]> {
    const texts = await Promise.all(
      EXAMPLES.map(async (name) => (await fetch(`demo/${name}.lisse.json`)).text()),
    );
    const jobs: Job[] = [];
    for (const text of texts.reverse()) {
      const read = await this.core.read(text);
      if (read.ok) jobs.unshift(read.job);
    }
    return jobs;
  }
}
