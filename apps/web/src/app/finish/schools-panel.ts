import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { DISPUTES, sameWay, say, type Dispute, type Job, type JobFigures } from '@lisse/core';
import { Texts } from '../state/texts';
import { JobStore } from '../state/job.store';
import { asked } from '../worker/asked';
import { CoreClient } from '../worker/core-client';
import { bothWays } from './both-ways';
import { Differences } from './differences';

interface Priced {
  dispute: Dispute;
  /** What the other side takes, from the first. */
  figures: readonly [JobFigures, JobFigures];
}

/** What finishers disagree on: both sides, each with its reason and what it costs on this job. */
@Component({
  selector: 'ls-schools',
  imports: [Differences],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ texts.t('schools.where-finishers-disagree') }}</h2>
    @if (priced().length === 0) {
      <p class="soft small" role="status">{{ texts.t('schools.comparing-both-sides') }}</p>
    }
    @for (item of priced(); track item.dispute.id) {
      <div class="dispute">
        <h3>{{ texts.say(item.dispute.ask) }}</h3>
        <div class="sides">
          @for (side of item.dispute.sides; track side.name; let i = $index) {
            <div>
              <p class="name">
                {{ texts.say(side.name) }}
                @if (now(item.dispute, i)) {
                  <em>{{ texts.t('schools.now') }}</em>
                } @else {
                  <button type="button" class="link" (click)="take(item.dispute, i)">
                    {{ texts.t('schools.use') }}<span class="sr"> {{ texts.say(side.name) }}</span>
                  </button>
                }
              </p>
              <p class="small soft">{{ texts.say(side.reason) }}</p>
              <ls-differences [from]="item.figures[1 - i]!" [to]="item.figures[i]!" />
            </div>
          }
        </div>
      </div>
    }
  `,
  styles: `
    .dispute {
      padding: 8px 0;
      border-bottom: 1px solid var(--hair);
    }
    .sides {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: var(--apart);
    }
    .name {
      font-weight: 600;
      font-size: var(--text);
    }
    em {
      color: var(--accent);
      font-style: normal;
    }
  `,
})
export class SchoolsPanel {
  protected readonly texts = inject(Texts);
  private readonly core = inject(CoreClient);
  private readonly jobs = inject(JobStore);
  private readonly way = computed(() => this.jobs.job()?.way);

  private readonly asked = asked(
    () => this.jobs.job(),
    (job) => priced(this.core, job),
    400,
  );
  protected readonly priced = computed(() => this.asked.answer() ?? []);

  protected now(dispute: Dispute, i: number): boolean {
    const way = this.way();
    const side = dispute.sides[i];
    return !!way && !!side && sameWay(side.take(way), way);
  }

  protected take(dispute: Dispute, i: number): void {
    const side = dispute.sides[i];
    if (side) this.jobs.edit(say('undo.take', { what: side.name }), (job) => (job.way = side.take(job.way)));
  }
}

async function* priced(core: CoreClient, job: Job): AsyncIterable<readonly Priced[]> {
  const found: Priced[] = [];
  for (const dispute of DISPUTES) {
    const [a, b] = dispute.sides;
    for await (const figures of bothWays(core, job, a.take(job.way), b.take(job.way)))
      found.push({ dispute, figures });
  }
  yield found;
}
