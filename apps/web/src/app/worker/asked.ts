import { computed, effect, signal, untracked, type Signal } from '@angular/core';
import type { Sayable } from '@lisse/core';
import { whyFailed } from '../user-error';

/** What came of a question so far. */
export interface Asked<A> {
  /** The newest answer; it stands until there is one to the next question. */
  readonly answer: Signal<A | undefined>;
  readonly busy: Signal<boolean>;
  /** Why there is none, for people. */
  readonly failed: Signal<Sayable | undefined>;
  /** Lets go of the question; what was answered stays. */
  stop(): void;
}

/**
 * A question put again whenever what it is about changes, once that has rested; answers to older ones are let go.
 * Call it while constructing.
 * @param question what it is about, read as an effect reads; nothing asks nothing
 * @param ask answers one by one, as far as they are known; it is not gone on with once a newer question stands
 */
export function asked<Q, A>(
  question: () => Q | undefined,
  ask: (question: Q) => AsyncIterable<A>,
  restMs = 0,
): Asked<A> {
  const state = signal<{ answer?: A | undefined; busy: boolean; failed?: Sayable }>({ busy: false });
  let newest = 0;
  const run = async (about: Q, mine: number) => {
    try {
      for await (const answer of ask(about)) {
        if (mine !== newest) return;
        state.set({ answer, busy: true });
      }
      if (mine === newest) state.update(({ answer }) => ({ answer, busy: false }));
    } catch (error) {
      const failed = whyFailed(error);
      if (mine === newest) state.update(({ answer }) => ({ answer, busy: false, failed }));
    }
  };
  effect((over) => {
    const about = question();
    const mine = ++newest;
    untracked(() => state.update(({ answer }) => ({ answer, busy: about !== undefined })));
    if (about === undefined) return;
    const timer = setTimeout(() => void run(about, mine), restMs);
    over(() => {
      clearTimeout(timer);
      newest++;
    });
  });
  return {
    answer: computed(() => state().answer),
    busy: computed(() => state().busy),
    failed: computed(() => state().failed),
    stop: () => {
      newest++;
      state.update(({ answer }) => ({ answer, busy: false }));
    },
  };
}
