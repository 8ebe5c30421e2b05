import { inject, Injectable } from '@angular/core';
import { comingWorkday, say, startingOn, type Job } from '@lisse/core';
import { UserError } from '../user-error';
import { WHAT_TIME } from '../what-time';
import { momentOf } from './entry-ids';
import { JobStorage } from './job-storage';
import { newId } from '../new-id';

/** The example jobs that come with the application; the first is opened on the first visit. */
export const EXAMPLES = ['tarn-ferry', 'pier-house'] as const;

/** Whether a job is one of the examples as they came; their figures are invented. */
export const isExample = (id: string): boolean => (EXAMPLES as readonly string[]).includes(id);

@Injectable({ providedIn: 'root' })
export class Examples {
  private readonly storage = inject(JobStorage);
  private readonly whatTime = inject(WHAT_TIME);

  /** Puts the examples into an empty browser, once. */
  async seed(): Promise<void> {
    if (await this.storage.recall('examples')) return;
    await this.storage.addOnce('examples', await this.load());
  }

  /** Puts back an example that was changed or deleted, as a new job. */
  async addAgain(): Promise<string> {
    const [first] = await this.load();
    if (!first) throw new UserError(say('example.missing'));
    const job = { ...first, id: newId() };
    await this.storage.add(job);
    return job.id;
  }

  /** The examples as if they had been written today: their work begins on the coming working day. */
  private async load(): Promise<Job[]> {
    const today = momentOf(this.whatTime()).slice(0, 10);
    // They come with the application and are held against the format when it is tested.
    try {
      return await Promise.all(
        EXAMPLES.map(async (name) => {
          const job = (await (await fetch(`demo/${name}.lisse.json`)).json()) as Job;
          return startingOn(job, comingWorkday(today, job.calendar));
        }),
      );
    } catch {
      throw new UserError(say('example.fetch'));
    }
  }
}
