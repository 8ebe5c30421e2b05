import { computed, DestroyRef, effect, inject, signal, type Signal } from '@angular/core';

/** A pause in which the page answers keys and presses, ms. */
const PAUSE_MS = 30;

/**
 * The parts of a place one after the other: how many have had their turn so far, with a pause before each. Call it while
 * constructing.
 */
export function inTurn(parts: number): Signal<number> {
  const turn = signal(0);
  const timer = setInterval(() => {
    turn.update((n) => n + 1);
    if (turn() >= parts) clearInterval(timer);
  }, PAUSE_MS);
  inject(DestroyRef).onDestroy(() => clearInterval(timer));
  return turn.asReadonly();
}

/**
 * A long list that is drawn by and by: some at once, the rest a few at a time, so that the page never stands still
 * for it. All of it while the page is printed. Call it while constructing.
 * @param few how many at once
 */
export function byAndBy<T>(list: Signal<readonly T[]>, few: number): Signal<readonly T[]> {
  const shown = signal(few);
  let timer: ReturnType<typeof setTimeout> | undefined;
  const all = () => shown.set(Infinity);
  addEventListener('beforeprint', all);
  inject(DestroyRef).onDestroy(() => {
    clearTimeout(timer);
    removeEventListener('beforeprint', all);
  });
  effect(() => {
    if (shown() >= list().length) return;
    clearTimeout(timer);
    timer = setTimeout(() => shown.update((n) => n + few), PAUSE_MS);
  });
  return computed(() => list().slice(0, shown()));
}
