import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { momentOf } from '../storage/entry-ids';
import { WHAT_TIME } from '../what-time';

/** Plans are made again for so much later, ms. */
const TICK_MS = 5 * 60000;
const OFTEN_MS = 10000;

/** The time on site, looked at every few minutes and when somebody comes back to the page. */
@Injectable({ providedIn: 'root' })
export class Clock {
  /** To the second. */
  readonly whatTime = inject(WHAT_TIME);
  /** Local, to the minute: `2026-11-30T07:00`. Plans go by it. */
  readonly now = signal(this.read());
  /** The same, looked at often, for what only counts time. */
  readonly minute = signal(this.read());
  /** The same as a moment, ms since 1970. */
  readonly nowMs = signal(this.whatTime().getTime());
  /** The day it is here, as documents keep days: `2026-11-30`. */
  readonly today = computed(() => this.now().slice(0, 10));

  constructor() {
    const look = () => this.look();
    const timer = setInterval(look, TICK_MS);
    const often = setInterval(() => this.minute.set(this.read()), OFTEN_MS);
    document.addEventListener('visibilitychange', look);
    inject(DestroyRef).onDestroy(() => {
      clearInterval(timer);
      clearInterval(often);
      document.removeEventListener('visibilitychange', look);
    });
  }

  look(): void {
    this.now.set(this.read());
    this.minute.set(this.now());
    this.nowMs.set(this.whatTime().getTime());
  }

  private read(): string {
    return momentOf(this.whatTime()).slice(0, 16);
  }
}
