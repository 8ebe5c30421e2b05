import { afterNextRender, DestroyRef, inject, signal, type ElementRef, type Signal } from '@angular/core';

/** Part of a tall element: from so far below its top to so far, px. */
export interface Stretch {
  from: number;
  to: number;
}

/** What stands a little above and below the screen is drawn too, so that a swipe meets no emptiness, px. */
const BEYOND = 600;
/** Drawn at once, before it is known what is on the screen, px. */
const FIRST = 500;
/** The stretch moves on in steps, so that not every scrolled pixel draws anew, px. */
const STEP = 300;

const ALL: Stretch = { from: 0, to: Infinity };

/**
 * Which part of a tall element is on the screen or near it, whatever scrolls around it. All of it is while the page is
 * printed. Call it while constructing.
 */
export function seenOf(element: () => ElementRef<HTMLElement | SVGElement> | undefined): Signal<Stretch> {
  const seen = signal<Stretch>({ from: 0, to: FIRST });
  const look = () => {
    const host = element()?.nativeElement;
    if (!host) return;
    const top = host.getBoundingClientRect().top;
    const from = Math.max(0, Math.floor((-top - BEYOND) / STEP) * STEP);
    const to = Math.ceil((innerHeight - top + BEYOND) / STEP) * STEP;
    seen.update((now) => (now.from === from && now.to === to ? now : { from, to }));
  };
  const all = () => seen.set(ALL);
  const destroy = inject(DestroyRef);
  afterNextRender(() => {
    const host = element()?.nativeElement;
    // It looks once the page is laid out anyway; to ask sooner would lay it out twice.
    const watch = new ResizeObserver(look);
    if (host) watch.observe(host);
    document.addEventListener('scroll', look, { capture: true, passive: true });
    addEventListener('resize', look);
    addEventListener('beforeprint', all);
    addEventListener('afterprint', look);
    destroy.onDestroy(() => {
      watch.disconnect();
      document.removeEventListener('scroll', look, { capture: true });
      removeEventListener('resize', look);
      removeEventListener('beforeprint', all);
      removeEventListener('afterprint', look);
    });
  });
  return seen;
}

/** The rows of one height that are seen, and how much empty room stands for those before and after. */
export function rowsSeen<T>(
  rows: readonly T[],
  height: number,
  { from, to }: Stretch,
): { rows: readonly T[]; before: number; after: number } {
  const first = Math.min(rows.length, Math.max(0, Math.floor(from / height)));
  const last = Math.min(rows.length, Math.ceil(to / height));
  return { rows: rows.slice(first, last), before: first * height, after: (rows.length - last) * height };
}
