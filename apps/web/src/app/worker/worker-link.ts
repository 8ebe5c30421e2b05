import { inject } from '@angular/core';
import { wrap, type Remote } from 'comlink';
import type { CoreApi } from './api';
import { START_WORKER } from './worker-factory';

/** The core behind a worker. A worker that dies fails all it was asked, and is started again by the next question. */
export abstract class WorkerLink {
  private readonly start = inject(START_WORKER);
  private worker: Worker | undefined;
  private remote: Remote<CoreApi> | undefined;
  private readonly waiting = new Set<(reason: Error) => void>();

  protected async ask<T>(question: (api: Remote<CoreApi>) => Promise<unknown>): Promise<T> {
    const api = this.connect();
    let fail: (reason: Error) => void = () => undefined;
    const died = new Promise<never>((_, reject) => this.waiting.add((fail = reject)));
    try {
      return (await Promise.race([question(api), died])) as T;
    } finally {
      this.waiting.delete(fail);
    }
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
        for (const fail of this.waiting) fail(new Error(event.message || 'the planner stopped'));
      };
      this.remote = wrap<CoreApi>(this.worker);
    }
    return this.remote;
  }
}
