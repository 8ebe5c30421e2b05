import { InjectionToken } from '@angular/core';
import type { Job, Problem } from '@lisse/core';

/** What of an edited job could not be opened again. */
export type Door = (before: Job, after: Job) => readonly Problem[];

/** Fetches the check that nothing is kept which cannot be opened; a token, so that tests can fail to fetch it. */
export const FETCH_DOOR = new InjectionToken<() => Promise<Door>>('fetch the door', {
  providedIn: 'root',
  factory: () => async () => (await import('./door-check')).troubleAfter,
});

/** An edit that would leave a job which cannot be opened again. Nothing of it was kept. */
export class NotKept extends Error {
  constructor(readonly problems: readonly Problem[]) {
    super(problems.map(({ path, message }) => `${path}: ${message.key}`).join('; '));
    this.name = 'NotKept';
  }
}
