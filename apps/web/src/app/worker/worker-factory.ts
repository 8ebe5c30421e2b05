import { InjectionToken } from '@angular/core';

/** Starts the worker; a token, so that tests can answer in its place. */
export const START_WORKER = new InjectionToken<() => Worker>('start the core worker', {
  providedIn: 'root',
  factory: () => () => new Worker(new URL('./core.worker', import.meta.url), { type: 'module' }),
});
