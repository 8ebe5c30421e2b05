import { computed, effect, inject, Injectable, signal, untracked } from '@angular/core';
import { JobStorage } from '../storage/job-storage';
import { JobStore } from './job.store';

/** Who holds this device: one of the crew of the open job, remembered job by job. Nobody said yet is nobody. */
@Injectable({ providedIn: 'root' })
export class Me {
  private readonly jobs = inject(JobStore);
  private readonly storage = inject(JobStorage);
  private readonly chosen = signal<string | undefined>(undefined);

  /** Everybody of the crew who has a name. */
  readonly people = computed(() => this.jobs.job()?.calendar.people ?? []);
  /** One of them by their id; the only one where there is but one. */
  readonly person = computed(() => {
    const people = this.people();
    const own = people.find(({ id }) => id === this.chosen());
    return own ?? (people.length === 1 ? people[0] : undefined);
  });
  /** What entries of the log are signed with. */
  readonly name = computed(
    () => this.person()?.name ?? this.people()[0]?.name ?? this.jobs.job()?.agreement?.finisher ?? '',
  );

  constructor() {
    effect(() => {
      const id = this.jobs.id();
      this.chosen.set(undefined);
      if (id !== undefined) untracked(() => void this.remember(id));
    });
  }

  private async remember(id: string): Promise<void> {
    const known = await this.storage.recall(`me ${id}`).catch(() => undefined);
    if (this.jobs.id() === id && typeof known === 'string') this.chosen.set(known);
  }

  choose(person: string): void {
    this.chosen.set(person);
    const id = this.jobs.id();
    // Where it cannot be remembered it holds for now.
    if (id !== undefined) void this.storage.remember(`me ${id}`, person).catch(() => undefined);
  }
}
