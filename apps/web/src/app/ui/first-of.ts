import { computed, DestroyRef, inject, signal, type Signal } from '@angular/core';

/** A part of a long list, and the way to more of it. */
export interface FirstOf<T> {
  shown: Signal<readonly T[]>;
  /** How many are not shown. */
  left: Signal<number>;
  /** Shows as many again. */
  more: () => void;
}

/**
 * The first of a long list, and more of it when it is asked for: a page of ten thousand entries stands still for a
 * second. All of it while the page is printed. Call it while constructing.
 */
export function firstOf<T>(list: Signal<readonly T[]>, few = 40): FirstOf<T> {
  const count = signal(few);
  const all = () => count.set(Infinity);
  addEventListener('beforeprint', all);
  inject(DestroyRef).onDestroy(() => removeEventListener('beforeprint', all));
  return {
    shown: computed(() => list().slice(0, count())),
    left: computed(() => Math.max(0, list().length - count())),
    more: () => count.update((n) => n + few),
  };
}
