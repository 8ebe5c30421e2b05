import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Dialog } from 'primeng/dialog';
import { dressed } from '../ui/dressed';
import { Texts } from '../state/texts';
import { ReturnsFocus } from '../ui/returns-focus';
import { JobStore } from '../state/job.store';
import { JobFiles } from '../storage/job-files';
import { Leaving } from './leaving';

/** The question before a change that could not be written is dropped. */
@Component({
  selector: 'ls-leaving-question',
  hostDirectives: [ReturnsFocus],
  imports: [Dialog],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (leaving.asking(); as answer) {
      <p-dialog
        [visible]="true"
        [modal]="true"
        [closable]="false"
        [draggable]="false"
        [resizable]="false"
        [header]="texts.t('leaving.title')"
      >
        <p>{{ texts.say(jobs.notSaved() ?? '') }}</p>
        <p class="deeds">
          <button type="button" class="act" (click)="answer(false)">{{ texts.t('leaving.stay') }}</button>
          <button type="button" class="quiet" (click)="exportNow()">{{ texts.t('job.export') }}</button>
          <button type="button" class="quiet" (click)="answer(true)">{{ texts.t('leaving.leave') }}</button>
        </p>
      </p-dialog>
    }
  `,
  styles: `
    :host ::ng-deep .p-dialog {
      width: 480px;
      max-width: 94vw;
    }
    .deeds {
      display: flex;
      flex-wrap: wrap;
      gap: var(--close);
      margin-top: 14px;
    }
  `,
})
export class LeavingQuestion {
  protected readonly texts = inject(Texts);
  protected readonly leaving = inject(Leaving);
  protected readonly jobs = inject(JobStore);
  private readonly files = inject(JobFiles);

  protected exportNow(): void {
    const job = this.jobs.job();
    if (job) void this.files.exportJob(job);
  }

  constructor() {
    dressed();
  }
}
