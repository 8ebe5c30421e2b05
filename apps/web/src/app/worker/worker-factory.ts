import { InjectionToken } from '@angular/core';

/** The workers there are, each fetched when it is first asked: who plans need not wait for who reads drawings. */
export type WorkerKind = 'core' | 'cuts' | 'days' | 'files' | 'wall' | 'paper' | 'pictures';

/** Starts a worker; a token, so that tests can answer in its place. */
export const START_WORKER = new InjectionToken<(kind: WorkerKind) => Worker>('start a worker', {
  providedIn: 'root',
  factory: () => (kind) => {
    switch (kind) {
      case 'core':
        return new Worker(new URL('./core.worker', import.meta.url), { type: 'module' });
      case 'cuts':
        return new Worker(new URL('./cuts.worker', import.meta.url), { type: 'module' });
      case 'days':
        return new Worker(new URL('./days.worker', import.meta.url), { type: 'module' });
      case 'files':
        return new Worker(new URL('./files.worker', import.meta.url), { type: 'module' });
      case 'paper':
        return new Worker(new URL('./paper.worker', import.meta.url), { type: 'module' });
      case 'pictures':
        return new Worker(new URL('./pictures.worker', import.meta.url), { type: 'module' });
      case 'wall':
        return new Worker(new URL('./wall.worker', import.meta.url), { type: 'module' });
    }
  },
});
