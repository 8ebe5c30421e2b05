import { afterNextRender, DestroyRef, inject, signal, type ElementRef, type Signal } from '@angular/core';

/**
 * Tells an element's size, whole pixels, once it is laid out and whenever it changes; the browser is never made to lay
 * out for it. Call it while constructing.
 * @param element asked for after the first render; none is passed over
 * @returns whether it was told yet: what is drawn to that size waits for it, so that it is not drawn twice
 */
export function watchSize(
  element: () => ElementRef<HTMLElement> | undefined,
  told: (width: number, height: number) => void,
): Signal<boolean> {
  const known = signal(false);
  const destroy = inject(DestroyRef);
  afterNextRender(() => {
    const host = element()?.nativeElement;
    if (!host) return;
    const watch = new ResizeObserver((entries) => {
      const { inlineSize: width = 0, blockSize: height = 0 } = entries.at(-1)?.borderBoxSize[0] ?? {};
      if (width <= 0 || height <= 0) return;
      told(Math.floor(width), Math.floor(height));
      known.set(true);
    });
    watch.observe(host);
    destroy.onDestroy(() => watch.disconnect());
  });
  return known.asReadonly();
}
