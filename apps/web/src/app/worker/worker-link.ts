import { inject } from '@angular/core';
import { say, type Message } from '@lisse/core';
import { wrap } from 'comlink';
import { UserError } from '../user-error';
import type { Underway } from './api';
import { START_WORKER, type WorkerKind } from './worker-factory';

/** A worker that did not answer: it could not be started, it died, or it was ended. */
export class WorkerFailed extends UserError {
  constructor(
    readonly why: 'start' | 'died' | 'late' | 'stopped',
    said: Message,
  ) {
    super(said);
    this.name = 'WorkerFailed';
  }
}

/** What a worker answers, as it is asked from here: the same, later. */
export type Later<Api> = {
  [K in keyof Api]: Api[K] extends (...about: infer Q) => infer A
    ? (...about: Q) => Promise<Awaited<A>>
    : never;
};

/** The question that is being worked on may take so long, ms; what is said when it took longer. */
export interface Patience {
  ms: number;
  late: (at: string | undefined) => Message;
}

/**
 * The core behind a worker. A worker that dies fails all it was asked, and is started again by the next question;
 * one that takes longer than it may is ended, for nothing else can stop it.
 */
export abstract class WorkerLink<Api> {
  protected abstract readonly kind: WorkerKind;
  private readonly start = inject(START_WORKER);
  private worker: Worker | undefined;
  private remote: Later<Api> | undefined;
  private readonly waiting = new Set<(reason: Error) => void>();
  /** What the worker last said it is at. */
  private at: string | undefined;

  /** Puts a question to the worker, with what it takes from there. */
  protected async ask<A>(
    question: (api: Later<Api>) => Promise<A>,
    { ms, late }: Patience = USUAL,
  ): Promise<A> {
    const api = this.connect();
    let fail: (reason: Error) => void = () => undefined;
    const died = new Promise<never>((_, reject) => this.waiting.add((fail = reject)));
    const timer = setTimeout(() => this.end(new WorkerFailed('late', late(this.at))), ms);
    try {
      return await Promise.race([question(api), died]);
    } finally {
      clearTimeout(timer);
      this.waiting.delete(fail);
    }
  }

  /** A question of the worker's own, to be asked as it answers it. */
  protected asks<K extends keyof Api>(name: K): Later<Api>[K] {
    const question = (...about: unknown[]) =>
      this.ask((api) => (api[name] as (...about: unknown[]) => Promise<unknown>)(...about));
    return question as Later<Api>[K];
  }

  /** Starts the worker ahead of the first question. */
  warm(): void {
    this.connect();
  }

  /** Ends the worker and fails all it was asked. */
  protected end(reason: Error): void {
    this.stop();
    for (const fail of this.waiting) fail(reason);
  }

  protected stop(): void {
    this.worker?.terminate();
    this.worker = undefined;
    this.remote = undefined;
    this.at = undefined;
  }

  /** Told what the worker is at, and what it is done with, while it works. */
  protected underway({ at }: Underway): void {
    this.at = at ?? this.at;
  }

  private connect(): Later<Api> {
    if (this.remote) return this.remote;
    let answered = false;
    const worker = this.start(this.kind);
    worker.addEventListener('message', ({ data }: MessageEvent<Underway | undefined>) => {
      answered = true;
      if (data) this.underway(data);
    });
    worker.onerror = () =>
      this.end(
        answered
          ? new WorkerFailed('died', say('worker.died'))
          : new WorkerFailed('start', say('worker.start')),
      );
    this.worker = worker;
    return (this.remote = wrap<Api>(worker) as unknown as Later<Api>);
  }
}

const USUAL: Patience = {
  ms: 60000,
  late: () => say('worker.late'),
};
