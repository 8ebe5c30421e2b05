import { ChangeDetectionStrategy, Component, effect, inject, input, signal, untracked } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { Job, Message } from '@lisse/core';
import { Texts } from '../state/texts';
import { JobStore } from '../state/job.store';
import { JobFiles } from '../storage/job-files';
import { JobStorage, type StepBack } from '../storage/job-storage';
import { whyNotKept } from '../storage/why-not';
import { ProblemList } from '../ui/problem-list';
import { CoreClient } from '../worker/core-client';

/** A job that cannot be read: what is wrong, its last step that can be, and its file as it stands. */
@Component({
  selector: 'ls-damaged-job',
  imports: [ProblemList, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h1>{{ texts.t('damaged.title') }}</h1>
    <p>{{ texts.t('damaged.wrong') }}</p>
    <ls-problems [problems]="jobs.problems()" />
    @if (back(); as step) {
      <p>
        {{ texts.t('damaged.before', { step: step.undone.at(-1) ?? '', steps: step.undone.length }) }}
      </p>
      <button type="button" class="act" (click)="goBack(step)">{{ texts.t('damaged.back') }}</button>
    } @else if (looking()) {
      <p role="status">{{ texts.t('damaged.looking') }}</p>
    } @else {
      <p>{{ texts.t('damaged.none') }}</p>
    }
    @if (trouble(); as why) {
      <p class="wrong" role="alert">{{ texts.say(why) }}</p>
    }
    <p class="ways">
      <button type="button" class="quiet" (click)="exportRaw()">{{ texts.t('damaged.export') }}</button>
      <a class="quiet" routerLink="/jobs">{{ texts.t('jobs.all') }}</a>
    </p>
  `,
  styles: `
    :host {
      display: grid;
      gap: var(--apart);
      justify-items: start;
    }
    .ways {
      display: flex;
      flex-wrap: wrap;
      gap: var(--close);
    }
  `,
})
export class DamagedJob {
  protected readonly texts = inject(Texts);
  protected readonly jobs = inject(JobStore);
  private readonly storage = inject(JobStorage);
  private readonly files = inject(JobFiles);
  private readonly core = inject(CoreClient);

  readonly id = input.required<string>();
  protected readonly looking = signal(true);
  protected readonly back = signal<StepBack | undefined>(undefined);
  protected readonly trouble = signal<Message | undefined>(undefined);

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => void this.look(id));
    });
  }

  private async look(id: string): Promise<void> {
    try {
      for await (const step of this.storage.back(id)) {
        const held = await this.core.check(step.doc);
        if (!held.ok && !held.mended) continue;
        this.back.set(step);
        break;
      }
    } catch (error) {
      this.trouble.set(whyNotKept(error));
    }
    this.looking.set(false);
  }

  protected async goBack(step: StepBack): Promise<void> {
    try {
      await this.storage.returnTo(this.id(), step);
      await this.jobs.open(this.id());
    } catch (error) {
      this.trouble.set(whyNotKept(error));
    }
  }

  protected async exportRaw(): Promise<void> {
    const row = await this.storage.get(this.id());
    if (row) void this.files.exportJob(row.doc as Job);
  }
}
