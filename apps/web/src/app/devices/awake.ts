import { inject, Injectable, DestroyRef } from '@angular/core';

/** Keeps the screen from going dark while that is wanted and the page is seen. */
@Injectable({ providedIn: 'root' })
export class Awake {
  private lock: WakeLockSentinel | undefined;
  private wanted = false;

  constructor() {
    // A page that was hidden has lost it.
    const again = () => void this.take();
    document.addEventListener('visibilitychange', again);
    inject(DestroyRef).onDestroy(() => document.removeEventListener('visibilitychange', again));
  }

  want(on: boolean): void {
    this.wanted = on;
    void this.take();
  }

  private async take(): Promise<void> {
    try {
      if (!this.wanted) {
        await this.lock?.release();
        this.lock = undefined;
      } else if (
        document.visibilityState === 'visible' &&
        (!this.lock || this.lock.released) &&
        'wakeLock' in navigator
      )
        this.lock = await navigator.wakeLock.request('screen');
    } catch {
      // Low battery, or a device that does not: the screen goes dark as always.
    }
  }
}
