import { afterNextRender, DestroyRef, inject, type ElementRef } from '@angular/core';

/**
 * Tells an element's size, whole pixels, now and whenever it changes. Call it while constructing.
 * @param element asked for after the first render; none is passed over
 */
export function watchSize(
  element: () => ElementRef<HTMLElement> | undefined,
  told: (width: number, height: number) => void,
): void {
  const destroy = inject(DestroyRef);
  afterNextRender(() => {
    const host = element()?.nativeElement;
    if (!host) return;
    const tell = () => {
      const { width, height } = host.getBoundingClientRect();
      if (width > 0 && height > 0) told(Math.floor(width), Math.floor(height));
    };
    tell();
    if (typeof ResizeObserver === 'undefined') return;
    const watch = new ResizeObserver(tell);
    watch.observe(host);
    destroy.onDestroy(() => watch.disconnect());
  });
}
