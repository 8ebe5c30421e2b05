import { computed, effect, inject, signal, untracked, type Signal } from '@angular/core';
import { Clock } from '../state/clock';
import { JobStore } from '../state/job.store';
import { JobStorage } from '../storage/job-storage';

/** What somebody has ticked on a day, of one job on one device; the next day begins anew. */
export interface OfDay {
  all: Signal<readonly string[]>;
  set: (ids: readonly string[]) => void;
}

/**
 * What was ticked today, remembered through reloads. Call it while constructing.
 * @param what it is a list of
 */
export function ofDay(what: string): OfDay {
  const [jobs, storage, clock] = [inject(JobStore), inject(JobStorage), inject(Clock)];
  const ids = signal<readonly string[]>([]);
  const key = computed(() => `${what} ${jobs.id()}`);
  // What was ticked before the list was recalled is not forgotten over it.
  let ticked = '';
  effect(() => {
    const [of, on] = [key(), clock.today()];
    untracked(async () => {
      const known = (await storage.recall(of).catch(() => undefined)) as
        | { day?: string; ids?: string[] }
        | undefined;
      if (key() === of && clock.today() === on && ticked !== of + on)
        ids.set(known?.day === on ? (known.ids ?? []) : []);
    });
  });
  return {
    all: ids.asReadonly(),
    set(next) {
      ids.set(next);
      ticked = key() + clock.today();
      // Where it cannot be remembered it holds for now.
      void storage.remember(key(), { day: clock.today(), ids: [...next] }).catch(() => undefined);
    },
  };
}
