import { inject, Injectable, signal } from '@angular/core';
import { JobStorage } from './job-storage';

/** How much this page keeps in the browser, and whether the browser may clear it away. */
export interface Kept {
  usedBytes: number | undefined;
  roomBytes: number | undefined;
  /** The browser clears it only when somebody asks it to. */
  lasting: boolean;
}

/** The storage of the browser: how full it is, and whether it will last. */
@Injectable({ providedIn: 'root' })
export class Keeper {
  private readonly storage = inject(JobStorage);
  private asked = false;
  readonly kept = signal<Kept | undefined>(undefined);

  /** Asks the browser once, with the first change that is kept, not to clear away what is. */
  async askOnce(): Promise<void> {
    if (this.asked) return;
    this.asked = true;
    if (await this.storage.recall('asked to keep').catch(() => true)) return;
    await this.ask();
    await this.storage.remember('asked to keep', true).catch(() => undefined);
  }

  async ask(): Promise<void> {
    // A browser without the question keeps as it keeps.
    await managed()
      ?.persist?.()
      .catch(() => false);
    await this.look();
  }

  async look(): Promise<void> {
    const at = managed();
    const [told, lasting] = await Promise.all([
      at?.estimate?.().catch(() => undefined),
      at?.persisted?.().catch(() => false),
    ]);
    this.kept.set({ usedBytes: told?.usage, roomBytes: told?.quota, lasting: lasting ?? false });
  }
}

const managed = (): Partial<StorageManager> | undefined =>
  (navigator as { storage?: StorageManager }).storage;
