import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { Router } from '@angular/router';
import type { Message } from '@lisse/core';
import { say } from '@lisse/core';
import { JobStore } from '../state/job.store';
import { Texts } from '../state/texts';
import { JobFiles, type Imported, type MergeSession } from '../storage/job-files';
import { whyNotKept } from '../storage/why-not';
import { FileProgress } from '../ui/file-progress';
import { LayTogether } from '../ui/lay-together';
import { ProblemList } from '../ui/problem-list';
import { DoubtList } from './doubt-list';

/** Today, another phone: the job goes there as a file and comes back; nothing is lost on either side. */
@Component({
  selector: 'ls-phones-page',
  imports: [DoubtList, FileProgress, LayTogether, ProblemList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="large">
      <div class="column">
        <ls-doubt-list />
        <section [attr.aria-label]="texts.t('phones.send')">
          <h1>{{ texts.t('phones.send') }}</h1>
          <p class="one">{{ texts.t('phones.send-why') }}</p>
          <div class="acts">
            @if (shares) {
              <button type="button" class="big act" (click)="share()">{{ texts.t('phones.share') }}</button>
            }
            <button type="button" class="big" [class.act]="!shares" [class.quiet]="shares" (click)="save()">
              {{ texts.t('phones.save') }}
            </button>
          </div>
        </section>
        <section [attr.aria-label]="texts.t('phones.take')">
          <h1>{{ texts.t('phones.take') }}</h1>
          <p class="one">{{ texts.t('phones.take-why') }}</p>
          <div class="acts">
            <label class="big act">
              {{ texts.t('phones.choose') }}
              <input
                #box
                type="file"
                class="sr"
                accept=".json,.zip,application/json,application/zip"
                (change)="take(box)"
              />
            </label>
          </div>
          <ls-file-progress />
        </section>
      </div>
      <div class="column">
        <p class="one" role="status" aria-live="polite">
          @if (told(); as so) {
            {{ texts.say(so) }}
          }
        </p>
        @if (refused(); as bad) {
          <section role="alert">
            <h2>{{ texts.t('phones.refused', { file: bad.file }) }}</h2>
            <ls-problems [problems]="bad.problems" />
          </section>
        }
        @if (meeting(); as meets) {
          @if (jobs.job(); as job) {
            <ls-lay-together
              [meeting]="meets"
              [mine]="job"
              (take)="together(meets, $event)"
              (apart)="apart(meets)"
              (closed)="meeting.set(undefined)"
            />
          }
        }
      </div>
    </div>
  `,
  styleUrl: '../ui/large.css',
  styles: `
    label.big {
      cursor: pointer;
    }
    label:focus-within {
      outline: 2px solid var(--accent);
      outline-offset: 2px;
    }
  `,
})
export class PhonesPage {
  protected readonly texts = inject(Texts);
  protected readonly jobs = inject(JobStore);
  private readonly files = inject(JobFiles);
  private readonly router = inject(Router);
  protected readonly shares = this.files.canShare();
  protected readonly told = signal<Message | undefined>(undefined);
  protected readonly refused = signal<Extract<Imported, { ok: false }> | undefined>(undefined);
  protected readonly meeting = signal<MergeSession | undefined>(undefined);

  protected share(): Promise<void> {
    return this.attempt(async () => {
      const job = this.jobs.job();
      if (job && (await this.files.shareJob(job))) this.told.set(say('phones.shared'));
    });
  }

  protected save(): Promise<void> {
    return this.attempt(async () => {
      const job = this.jobs.job();
      if (!job) return;
      await this.files.saveToSend(job);
      this.told.set(say('phones.saved'));
    });
  }

  protected async take(box: HTMLInputElement): Promise<void> {
    const [file] = box.files ?? [];
    box.value = '';
    if (!file) return;
    this.refused.set(undefined);
    this.meeting.set(undefined);
    await this.attempt(async () => this.arrive(await this.files.importFile(file, true)));
  }

  private async arrive(result: Imported): Promise<void> {
    if (result.ok === 'meets') {
      // Another job that is here too: it is looked at where it is.
      if (result.id === this.jobs.id()) this.meeting.set(result);
      else this.told.set(say('phones.other', { job: result.name }));
    } else if (result.ok) {
      this.jobs.arrived(result);
      await this.router.navigate(['/job', result.id, 'today']);
    } else this.refused.set(result);
  }

  protected together(meets: MergeSession, theirs: ReadonlySet<string>): Promise<void> {
    return this.attempt(async () => {
      await this.jobs.settled();
      this.jobs.wrote(await this.files.meet(meets, theirs));
      this.meeting.set(undefined);
      this.told.set(say('phones.taken'));
    });
  }

  protected apart(meets: MergeSession): Promise<void> {
    return this.attempt(async () => {
      const { coming } = meets;
      const job = { ...coming.job, log: [...coming.log] };
      await this.arrive(await this.files.takeApart({ job, notes: [], photos: coming.photos }));
    });
  }

  private async attempt(work: () => Promise<void>): Promise<void> {
    try {
      this.told.set(undefined);
      await work();
    } catch (error) {
      this.told.set(whyNotKept(error));
    }
  }
}
