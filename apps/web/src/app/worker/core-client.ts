import { inject, Injectable } from '@angular/core';
import type { Job, Read } from '@lisse/core';
import { wrap, type Remote } from 'comlink';
import type { CoreApi, PlanChange } from './api';
import { START_WORKER } from './worker-factory';

/** The core behind its worker. A worker that dies is started again by the next call. */
@Injectable({ providedIn: 'root' })
export class CoreClient {
  private readonly start = inject(START_WORKER);
  private worker: Worker | undefined;
  private remote: Remote<CoreApi> | undefined;
  private fail: ((reason: Error) => void) | undefined;

  plan(job: Job): Promise<PlanChange> {
    return this.ask((api) => api.plan(job));
  }

  read(text: string): Promise<Read> {
    return this.ask((api) => api.read(text));
  }

  check(value: unknown): Promise<Read> {
    return this.ask((api) => api.check(value));
  }

  private async ask<T>(question: (api: Remote<CoreApi>) => Promise<unknown>): Promise<T> {
    const api = this.connect();
    const died = new Promise<never>((_, reject) => (this.fail = reject));
    return (await Promise.race([question(api), died])) as T;
  }

  private connect(): Remote<CoreApi> {
    if (!this.remote) {
      this.worker = this.start();
      this.worker.onerror = (event) => {
        this.worker?.terminate();
        this.remote = undefined;
        this.fail?.(new Error(event.message || 'the planner stopped'));
      };
      this.remote = wrap<CoreApi>(this.worker);
    }
    return this.remote;
  }
}
