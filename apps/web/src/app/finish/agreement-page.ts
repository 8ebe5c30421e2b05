import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { agreementFor, applyChanges, type Agreement, fieldInJob } from '@lisse/core';
import { Texts } from '../state/texts';
import { TextInput } from '../ui/text-input';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import { whenIdle } from '../ui/idle-queue';
import { WorkFrame } from '../ui/work-frame';
import { PaperMaker } from '../worker/paper-maker';
import { unprintable } from '../worker/type-ranges';
import { WorkerFailed } from '../worker/worker-link';
import { fileName, handOverBlob } from '../storage/job-files';

/** The finish agreement as it will lie on paper, what is filled in, and the ways out of here. */
@Component({
  selector: 'ls-agreement-page',
  imports: [TextInput, WorkFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './agreement-page.html',
  styleUrl: './agreement-page.css',
})
export class AgreementPage {
  protected readonly texts = inject(Texts);
  private readonly jobs = inject(JobStore);
  private readonly plans = inject(PlanStore);
  private readonly view = inject(ViewStore);
  private readonly paperMaker = inject(PaperMaker);
  protected readonly job = this.jobs.job;
  protected readonly making = signal(false);
  protected readonly failed = signal('');

  protected readonly own = computed<Agreement>(() => this.job()?.agreement ?? {});
  protected readonly paper = computed(() => {
    const job = this.job();
    const plan = this.plans.plan();
    if (!job || !plan || plan.job !== job.id) return undefined;
    const ready = this.plans.looking() ? undefined : plan.days.finish;
    return agreementFor(job, plan.rooms, ready, this.texts.say, this.texts.locale(), this.view.book());
  });
  protected readonly rooms = whenIdle(
    computed(() => this.paper()?.rooms ?? []),
    6,
  );
  /** Drawings as pictures: an address of their own text. */
  protected readonly samples = computed(() =>
    (this.paper()?.samples ?? []).map((sample) => ({
      ...sample,
      picture: `data:image/svg+xml;utf8,${encodeURIComponent(sample.svg)}`,
    })),
  );

  protected set(key: keyof Agreement, text: string): void {
    const value = text.trim() === '' ? undefined : text;
    this.jobs.edit('undo.fill-in-agreement', (job) =>
      applyChanges(job, [fieldInJob(['agreement'], key, value)]),
    );
  }

  protected setPlace(text: string): void {
    this.jobs.edit('undo.name-place', (job) => {
      if (text.trim() === '') delete job.place;
      else job.place = text.trim();
    });
  }

  protected print(): void {
    window.print();
  }

  /** Made on this device; the part that makes it is loaded when it is first asked for. */
  protected async save(): Promise<void> {
    const paper = this.paper();
    const job = this.job();
    if (!paper || !job) return;
    this.making.set(true);
    const cannot = unprintable(paper);
    this.failed.set(cannot.length > 0 ? this.texts.t('paper.cannot', { words: cannot }) : '');
    try {
      handOverBlob(
        await this.paperMaker.pdf(paper, this.view.paper()),
        `${fileName(job.name)}-${fileName(paper.title)}.pdf`,
      );
    } catch (error) {
      const notLoaded = error instanceof WorkerFailed && error.why === 'start';
      this.failed.set(this.texts.t(notLoaded ? 'agreement.no-maker' : 'agreement.not-made'));
    } finally {
      this.making.set(false);
    }
  }
}
