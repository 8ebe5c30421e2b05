import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { say } from '@lisse/core';
import { Format } from '../state/format';
import { LogStore } from '../state/log.store';
import { Me } from '../state/me';
import { PlanStore } from '../state/plan.store';
import { Texts } from '../state/texts';
import { keepsFocus } from '../ui/keeps-focus';
import { movedWords } from '../ui/moved-words';
import { RunGlyph } from '../ui/run-glyph';
import { STEP_NAME } from '../ui/words';
import { TaskActions } from '../ui/task-actions';
import { TodayStore } from './today.store';

/** The task of now, in one large line: its room, how far it is, and begin, lay aside and done. */
@Component({
  selector: 'ls-task-card',
  imports: [RouterLink, RunGlyph],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (moved(); as so) {
      <p class="moved" role="status">{{ texts.say(so) }}</p>
    }
    @if (store.task(); as task) {
      <p class="room">{{ store.names().get(task.room) }}</p>
      <h1 class="figure step" tabindex="-1">{{ texts.say(steps[task.step]) }}</h1>
      <p class="rows">{{ rows() }}</p>
      <p class="when">{{ texts.say(when()) }}</p>
      <div class="acts">
        @if (task.state === 'begun') {
          <button type="button" class="big quiet" (click)="keep(logs.paused(task))">
            {{ texts.t('today.pause') }}
          </button>
        } @else {
          <button type="button" class="big act" (click)="keep(logs.started(task))">
            {{ texts.t(task.state === 'paused' ? 'today.go-on' : 'today.begin') }}
          </button>
        }
        <button
          type="button"
          class="big"
          [class.act]="task.state === 'begun'"
          [class.quiet]="task.state !== 'begun'"
          (click)="keep(deeds.done(task))"
        >
          {{ texts.t('today.done') }}
        </button>
      </div>
      @if (store.run(); as run) {
        @if (store.roomPlan(); as plan) {
          <a class="run" routerLink="run">
            <ls-run-glyph [plan]="plan" [run]="run" [ran]="store.ran()" [at]="store.next()" [tall]="0.5" />
            <span>{{ texts.say(along()) }}</span>
          </a>
        }
      }
    } @else if (store.others(); as other) {
      <h1 class="figure step" tabindex="-1">{{ texts.t('today.nothing-yours') }}</h1>
      <p>
        {{ texts.t('today.others', { step: steps[other.step], room: store.names().get(other.room) ?? '' }) }}
      </p>
    } @else if (store.days()) {
      <h1 class="figure step" tabindex="-1">{{ texts.t('today.all-done') }}</h1>
      <p>{{ texts.t('today.all-done-why') }}</p>
    } @else {
      <p role="status">{{ texts.t('days.planning') }}</p>
    }
  `,
  styles: `
    .moved {
      padding: 8px 12px;
      margin-bottom: 10px;
      background: var(--wash);
      font-size: var(--large);
    }
    .room {
      font-size: var(--title);
      font-weight: 600;
    }
    .step {
      font-size: var(--display);
      font-stretch: 84%;
      line-height: 1;
    }
    .rows {
      font-size: var(--title);
      margin-top: 4px;
    }
    .when {
      color: var(--soft);
      margin-top: 2px;
    }
    .run {
      display: block;
      margin-top: 12px;
      color: inherit;
      text-decoration: none;
    }
    .run span {
      display: flex;
      min-height: 44px;
      align-items: center;
      color: var(--accent);
      font-weight: 600;
      font-size: var(--large);
    }
  `,
})
export class TaskCard {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly logs = inject(LogStore);
  protected readonly deeds = inject(TaskActions);
  protected readonly store = inject(TodayStore);
  protected readonly me = inject(Me);
  private readonly plans = inject(PlanStore);
  protected readonly keep = keepsFocus();
  protected readonly steps = STEP_NAME;

  protected readonly rows = computed(() =>
    this.texts.say((this.store.task()?.rows ?? []).map((row) => this.texts.t(`element.${row}`))),
  );
  protected readonly moved = computed(() => {
    const moved = this.plans.moved();
    return moved && movedWords(moved, this.store.names(), this.format);
  });
  /** When it is to begin, or how long it goes on already. */
  protected readonly when = computed(() => {
    const task = this.store.task();
    const worked = this.store.worked();
    if (!task) return '';
    const about = this.format.duration(this.store.takes());
    if (worked !== undefined)
      return say(task.state === 'paused' ? 'today.rests' : 'today.worked', {
        worked: this.format.duration(worked),
        about,
      });
    return say('today.from', { at: this.format.time(task.start), about });
  });
  protected readonly along = computed(() => {
    const [run, next, plan] = [this.store.run(), this.store.next(), this.store.roomPlan()];
    const done = run?.joints.filter((id) => this.store.ran().has(id)).length ?? 0;
    const all = run?.joints.length ?? 0;
    return next === undefined || !plan ? say('today.run-all', { all }) : say('today.run-next', { done, all });
  });
}
