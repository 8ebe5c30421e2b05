import { inject, Injectable, signal } from '@angular/core';
import type { CanActivateFn, CanDeactivateFn } from '@angular/router';
import { JobStore } from '../state/job.store';

/** Asks before a change that the browser could not write is dropped. */
@Injectable({ providedIn: 'root' })
export class Leaving {
  private readonly jobs = inject(JobStore);
  /** The question that is open, and what answers it. */
  readonly asking = signal<((leave: boolean) => void) | undefined>(undefined);

  /** Whether the open job may be left. Changes still on their way are waited for; only lost ones are asked about. */
  async allows(): Promise<boolean> {
    await this.jobs.settled();
    if (this.jobs.isWritten()) return true;
    this.asking()?.(false);
    return new Promise<boolean>((resolve) =>
      this.asking.set((leave) => {
        this.asking.set(undefined);
        if (leave) this.jobs.drop();
        resolve(leave);
      }),
    );
  }
}

/** Leaving the open job for the list. */
export const leavesJob: CanDeactivateFn<unknown> = () => inject(Leaving).allows();

/** Opening a job while another is open. */
export const opensJob: CanActivateFn = (route) => {
  const jobs = inject(JobStore);
  return jobs.id() === route.params['id'] || inject(Leaving).allows();
};
