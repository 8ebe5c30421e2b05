import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  gradeName,
  LEVELS,
  QUALITIES,
  withGrade,
  type AreaPlan,
  type Finish,
  type Job,
  type JobFigures,
  type Message,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { JobStore } from '../state/job.store';
import { asked } from '../worker/asked';
import { CoreClient } from '../worker/core-client';
import { Differences } from './differences';

/** Larger jobs are weighed by this room alone, so that the page does not wait for them. */
const MOST_ROOMS = 40;
const PAUSE_MS = 250;

interface StepRead {
  finish: Finish;
  name: Message;
  figures: JobFigures;
}

/** What one level up or down changes. */
@Component({
  selector: 'ls-grade-steps',
  imports: [Differences],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="soft">{{ texts.t('coats.one-level') }}</p>
    <div class="steps" aria-live="polite">
      @for (step of weighed()?.steps; track step.name; let first = $first) {
        <div>
          <p class="figure">
            <span aria-hidden="true">{{ step.finish.grade > area().finish.grade ? '▲' : '▼' }}</span>
            {{ texts.say(step.name) }}
          </p>
          <ls-differences [from]="weighed()!.base" [to]="step.figures" />
        </div>
      }
    </div>
  `,
  styles: `
    :host {
      display: block;
      min-height: 64px;
    }
    .steps {
      display: flex;
      gap: var(--gap);
    }
    .figure {
      font-size: var(--lead);
    }
  `,
})
export class GradeSteps {
  protected readonly texts = inject(Texts);
  private readonly core = inject(CoreClient);
  private readonly jobs = inject(JobStore);
  readonly area = input.required<AreaPlan>();

  /** The grades beside this one. */
  private readonly beside = computed<Finish[]>(() => {
    const { scale, grade } = this.area().finish;
    const grades: readonly number[] = scale === 'q' ? QUALITIES : LEVELS;
    return [grade - 1, grade + 1]
      .filter((g) => grades.includes(g))
      .map((g) => ({ scale, grade: g }) as Finish);
  });

  protected readonly weighed = asked(
    () => {
      const whole = this.jobs.job();
      const [area, beside] = [this.area(), this.beside()];
      const room = whole?.rooms.find((r) => r.id === area.id.split('/')[0]);
      const job = whole && whole.rooms.length > MOST_ROOMS && room ? { ...whole, rooms: [room] } : whole;
      return job && { job, area, beside };
    },
    ({ job, area, beside }) => weigh(this.core, job, area, beside),
    PAUSE_MS,
  ).answer;
}

async function* weigh(core: CoreClient, job: Job, area: AreaPlan, beside: readonly Finish[]) {
  const base = await core.figures(job);
  const steps: StepRead[] = [];
  for (const finish of beside) {
    const figures = await core.figures(withGrade(job, area.id, area.faces, finish));
    steps.push({ finish, name: gradeName(finish), figures });
  }
  yield { base, steps };
}
