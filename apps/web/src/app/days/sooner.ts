import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { applyChanges, say, type Job, type LogEntry, type Shortened } from '@lisse/core';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { LogStore } from '../state/log.store';
import { PlanStore } from '../state/plan.store';
import { Texts } from '../state/texts';
import { asked } from '../worker/asked';
import { WallClient } from '../worker/wall-client';

interface Question {
  job: Job;
  log: readonly LogEntry[];
}

/** What would have all ready sooner: each tried on the whole job, side by side, and kept with a press. */
@Component({
  selector: 'ls-sooner',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>{{ texts.t('days.sooner') }}</h3>
    @if (!wanted()) {
      <button type="button" class="quiet no-print" (click)="wanted.set(true)">
        {{ texts.t('days.sooner.ask') }}
      </button>
    } @else {
      <ul>
        @for (way of found(); track way.id) {
          <li>
            <button type="button" class="quiet" (click)="keep(way)">{{ texts.say(way.press) }}</button>
            <span class="small"
              ><strong>{{ line(way) }}</strong></span
            >
            <span class="soft small">{{ texts.say(way.risk) }}</span>
          </li>
        }
      </ul>
      @if (answers.busy()) {
        <p class="soft small" role="status">{{ texts.t('days.sooner.look') }}</p>
      } @else if (answers.failed(); as why) {
        <p class="small" role="alert">{{ texts.say(why) }}</p>
      } @else if (found().length === 0) {
        <p class="soft small">{{ texts.t('days.sooner.none') }}</p>
      }
    }
  `,
  styles: `
    li {
      display: grid;
      justify-items: start;
      gap: var(--hair-gap);
      padding: 6px 0;
      border-bottom: 1px solid var(--hair);
    }
  `,
})
export class Sooner {
  protected readonly texts = inject(Texts);
  private readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  private readonly logs = inject(LogStore);
  private readonly plans = inject(PlanStore);
  private readonly walls = inject(WallClient);
  protected readonly wanted = signal(false);

  protected readonly answers = asked<Question, readonly Shortened[]>(
    () => {
      const job = this.jobs.job();
      // The shown plan is searched first: both would have the machine.
      const rests = this.plans.search() !== 'running';
      return this.wanted() && job && rests ? { job, log: this.logs.entries() } : undefined;
    },
    (question) => this.ask(question),
    300,
  );
  protected readonly found = computed(() =>
    [...(this.answers.answer() ?? [])].sort((a, b) => b.soonerMin - a.soonerMin),
  );

  private async *ask({ job, log }: Question): AsyncGenerator<readonly Shortened[]> {
    const now = this.plans.plan()?.days.now;
    const site = { log, ...(now === undefined ? {} : { now }) };
    const found: Shortened[] = [];
    for (let n = 0; ; n++) {
      const { way, count } = await this.walls.shorten(job, site, n);
      if (way) found.push(way);
      yield [...found];
      if (n + 1 >= count) return;
    }
  }

  protected line = ({ finish, soonerMin, cost }: Shortened): string =>
    this.texts.t('days.sooner.line', {
      finish: this.format.time(finish),
      sooner: this.format.duration(soonerMin),
      cost: this.format.money(Math.abs(cost)),
      more: cost >= 0 ? 'yes' : 'no',
    });

  protected keep({ press, changes }: Shortened): void {
    this.jobs.edit(say('undo.sooner', { what: press }), (job) => applyChanges(job, changes));
  }
}
