import { afterNextRender, DestroyRef, ElementRef, inject } from '@angular/core';

/**
 * Keeps the keyboard in a card whose buttons change with what is pressed: it goes to the card's heading, so that nothing is
 * lost to the page and a second Enter does not press what has come in the button's place. Call it while constructing.
 */
export function keepsFocus(): (deed: Promise<unknown>) => Promise<void> {
  const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  return async (deed) => {
    const heading = () => host.querySelector<HTMLElement>('[tabindex="-1"]');
    const had = host.contains(document.activeElement);
    if (had) heading()?.focus({ preventScroll: true });
    await deed;
    const lost = document.activeElement === document.body || document.activeElement === null;
    if (had && lost) heading()?.focus({ preventScroll: true });
  };
}

/** A place comes within so many frames, or not at all. */
const MOST_FRAMES = 180;

/** Puts the keyboard into the first of such parts of a card once it is seen: a place that comes is not seen yet. */
export function focusWhenSeen({ nativeElement: host }: ElementRef<HTMLElement>, part: string): void {
  let gone = false;
  let frames = 0;
  inject(DestroyRef).onDestroy(() => (gone = true));
  const before = document.activeElement;
  const look = () => {
    const found = host.querySelector<HTMLElement>(part);
    // Whoever has gone on meanwhile is left where he is.
    const waits = document.activeElement === before || document.activeElement === document.body;
    if (gone || !waits || frames++ > MOST_FRAMES) return;
    if (found && getComputedStyle(found).visibility === 'visible') found.focus({ preventScroll: true });
    else requestAnimationFrame(look);
  };
  afterNextRender(look);
}
