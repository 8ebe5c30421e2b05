import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { Texts } from '../state/texts';
import { JobStore } from '../state/job.store';
import { LogStore } from '../state/log.store';
import { PlanStore } from '../state/plan.store';
import { JobFiles } from '../storage/job-files';
import { ProblemList } from './problem-list';

/**
 * What the open job's user has to know before anything else: what is not saved, not kept, mended, or out of date. It lies
 * over the foot of the page, so that nothing moves under a hand when it comes or goes.
 */
@Component({
  selector: 'ls-job-notices',
  imports: [ProblemList, RouterLink, RouterLinkActive],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (jobs.notSaved(); as why) {
      <div class="bar trouble" role="alert">
        <p>{{ texts.say(why) }}</p>
        <button type="button" class="quiet" (click)="jobs.retry()">{{ texts.t('again') }}</button>
        <button type="button" class="quiet" (click)="exportNow()">{{ texts.t('job.export') }}</button>
      </div>
    }
    @for (list of lists(); track list.heading) {
      <div class="bar" [class.trouble]="list.grave" [attr.role]="list.grave ? 'alert' : 'status'">
        <div>
          <p>{{ texts.t(list.heading) }}</p>
          <ls-problems [problems]="list.problems" />
        </div>
        <button type="button" class="quiet" (click)="jobs.heard()">{{ texts.t('close') }}</button>
      </div>
    }
    @if (doubted() > 0 && putOff() !== doubted()) {
      <div class="bar" role="status" routerLinkActive="here">
        <p>{{ texts.t('doubt.notice', { n: doubted() }) }}</p>
        <a class="act" [routerLink]="['/job', jobs.id(), 'today', 'phones']">{{ texts.t('doubt.show') }}</a>
        <button type="button" class="quiet" (click)="putOff.set(doubted())">
          {{ texts.t('doubt.later') }}
        </button>
      </div>
    }
    @if (plans.failed(); as why) {
      <div class="bar trouble" role="alert">
        <p>
          {{ texts.say(why) }}
          @if (plans.oldDays()) {
            {{ texts.t('notice.before-it') }}
          }
        </p>
        @if (jobs.undoLabel()) {
          <button type="button" class="quiet" (click)="jobs.undo()">{{ texts.t('notice.undo') }}</button>
        }
      </div>
    } @else if (plans.late()) {
      <div class="bar" role="status">
        <p>
          @if (plans.oldDays() && !plans.old()) {
            {{ texts.t('notice.days') }}
            <span class="soft">{{ texts.t('notice.before-days') }}</span>
          } @else {
            {{
              plans.at()
                ? texts.t('notice.reckoning-at', { room: plans.at() ?? '' })
                : texts.t('notice.reckoning')
            }}
            @if (plans.old()) {
              <span class="soft">{{ texts.t('notice.before') }}</span>
            }
          }
        </p>
        <button type="button" class="quiet" (click)="plans.giveUp()">{{ texts.t('stop') }}</button>
      </div>
    }
  `,
  styles: `
    :host {
      position: fixed;
      inset: auto 0 var(--notices-foot, 0) var(--notices-left, 0);
      z-index: 25;
      max-height: 50dvh;
      overflow: auto;
      overscroll-behavior: contain;
    }
    .bar {
      display: flex;
      flex-wrap: wrap;
      gap: var(--close) var(--apart);
      align-items: center;
      padding: 6px var(--gap);
      background: var(--wash);
      border-top: 1px solid var(--line);
    }
    /* Where one answers it is not said as well. */
    .bar.here {
      display: none;
    }
    .bar > :first-child {
      flex: 1 1 320px;
    }
    .trouble {
      background: var(--stop-wash);
      border-color: var(--stop);
    }
  `,
})
export class JobNotices {
  protected readonly texts = inject(Texts);
  protected readonly jobs = inject(JobStore);
  protected readonly plans = inject(PlanStore);
  private readonly logs = inject(LogStore);
  private readonly files = inject(JobFiles);
  /** Entries that wait for an answer; so many were put off for now. */
  protected readonly doubted = computed(() => this.logs.doubts().length + this.logs.twoTexts().length);
  protected readonly putOff = signal(0);
  /** What was refused, mended as it was opened, or came in changed after it was signed. */
  protected readonly lists = computed(() =>
    [
      { heading: 'notice.refused', problems: this.jobs.refused(), grave: true } as const,
      { heading: 'notice.mended', problems: this.jobs.mended(), grave: false } as const,
      { heading: 'notice.changed', problems: this.jobs.changed(), grave: true } as const,
    ].filter(({ problems }) => problems.length > 0),
  );

  protected exportNow(): void {
    const job = this.jobs.job();
    if (job) void this.files.exportJob(job);
  }
}
