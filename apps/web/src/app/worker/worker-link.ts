import { inject } from '@angular/core';
import { wrap, type Remote } from 'comlink';
import type { CoreApi } from './api';
import { START_WORKER } from './worker-factory';

/** The core behind a worker. A worker that dies is started again by the next question. */
export abstract class WorkerLink {
  private readonly start = inject(START_WORKER);
  private worker: Worker | undefined;
  private remote: Remote<CoreApi> | undefined;
  private fail: ((reason: Error) => void) | undefined;

  protected async ask<T>(question: (api: Remote<CoreApi>) => Promise<unknown>): Promise<T> {
    const api = this.connect();
    const died = new Promise<never>((_, reject) => (this.fail = reject));
    return (await Promise.race([question(api), died])) as T;
  }

  protected stop(): void {
    this.worker?.terminate();
    this.remote = undefined;
  }

  private connect(): Remote<CoreApi> {
    if (!this.remote) {
      this.worker = this.start();
      this.worker.onerror = (event) => {
        this.stop();
        this.fail?.(new Error(event.message || 'the planner stopped'));
      };
      this.remote = wrap<CoreApi>(this.worker);
    }
    return this.remote;
  }
}
