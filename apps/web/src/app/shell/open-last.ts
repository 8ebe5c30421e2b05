import { inject } from '@angular/core';
import { Router, type CanActivateFn } from '@angular/router';
import { say } from '@lisse/core';
import { Examples, EXAMPLES } from '../storage/examples';
import { JobStore } from '../state/job.store';
import { LogStore } from '../state/log.store';
import { PlanStore } from '../state/plan.store';
import { CoreClient } from '../worker/core-client';
import { JobStorage } from '../storage/job-storage';
import { within } from '../storage/within';

/** Opens the job last worked on; on a first visit the example. */
export const openLast: CanActivateFn = async () => {
  const router = inject(Router);
  const storage = inject(JobStorage);
  const examples = inject(Examples);
  const [jobs, logs] = [inject(JobStore), inject(LogStore)];
  inject(PlanStore);
  // The planner is on its way while the job is looked for.
  inject(CoreClient).warm();
  try {
    const found = async () => {
      await examples.seed();
      const last = (await storage.recall('last job')) ?? EXAMPLES[0];
      return typeof last === 'string' ? storage.get(last) : undefined;
    };
    const row = await within(found(), say('storage.no-answer'));
    if (row && row.deletedAt === 0) {
      // It is read and planned while its frame is made.
      logs.follow(row.id);
      void jobs.open(row.id);
      return router.createUrlTree(['/job', row.id, 'rooms']);
    }
  } catch {
    // The list says what is wrong with the browser's storage.
  }
  return router.createUrlTree(['/jobs']);
};
