import {
  computed,
  DestroyRef,
  effect,
  inject,
  PendingTasks,
  signal,
  untracked,
  type EffectCleanupRegisterFn,
  type Signal,
} from '@angular/core';

/** A pause in which the page answers keys and presses, ms. */
const PAUSE_MS = 30;

/** Something done after such a pause; until then the page counts as not yet settled. */
type Soon = (deed: () => void, ended: EffectCleanupRegisterFn) => void;

function soon(): Soon {
  const pending = inject(PendingTasks);
  return (deed, ended) => {
    const done = pending.add();
    const timer = setTimeout(() => {
      deed();
      done();
    }, PAUSE_MS);
    ended(() => {
      clearTimeout(timer);
      done();
    });
  };
}

/**
 * The parts of a place one after the other: how many have had their turn so far, with a pause before each. Call it while
 * constructing.
 */
export function inTurn(parts: number): Signal<number> {
  const turn = signal(0);
  const next = soon();
  effect((ended) => {
    if (turn() < parts) next(() => turn.update((n) => n + 1), ended);
  });
  return turn.asReadonly();
}

/**
 * A long list that is drawn by and by: some at once, the rest a few at a time, so that the page never stands still
 * for it. All of it while the page is printed. Call it while constructing.
 * @param few how many at once
 */
export function whenIdle<T>(list: Signal<readonly T[]>, few: number): Signal<readonly T[]> {
  const shown = signal(few);
  const next = soon();
  const all = () => shown.set(Infinity);
  addEventListener('beforeprint', all);
  inject(DestroyRef).onDestroy(() => removeEventListener('beforeprint', all));
  effect((ended) => {
    if (shown() < list().length) next(() => shown.update((n) => n + few), ended);
  });
  return computed(() => list().slice(0, shown()));
}

/**
 * What a signal says, a pause later: what is drawn from it comes after what is drawn at once, and the page answers
 * between them. Call it while constructing.
 */
export function afterwards<T>(of: Signal<T>): Signal<T | undefined> {
  const after = signal<T | undefined>(undefined);
  const next = soon();
  effect((ended) => {
    const now = of();
    next(() => after.set(now), ended);
  });
  return after.asReadonly();
}

/**
 * What a signal says, once the picture of it is on the screen: readings of what is dragged follow it frame by frame and
 * never keep it waiting. Call it while constructing.
 */
export function aFrameLater<T>(of: Signal<T>): Signal<T> {
  const after = signal(untracked(of));
  const pending = inject(PendingTasks);
  let waits: (() => void) | undefined;
  let frame = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const over = () => {
    waits?.();
    waits = undefined;
  };
  inject(DestroyRef).onDestroy(() => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
    over();
  });
  effect(() => {
    of();
    // What comes while one waits is told with it.
    if (waits) return;
    waits = pending.add();
    frame = requestAnimationFrame(() => {
      timer = setTimeout(() => {
        over();
        after.set(untracked(of));
      });
    });
  });
  return after.asReadonly();
}
