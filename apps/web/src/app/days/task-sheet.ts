import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { type DayTask, type Days, type RoomStep, type Sayable } from '@lisse/core';
import { Format } from '../state/format';
import { LogStore } from '../state/log.store';
import { PlanStore } from '../state/plan.store';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { DayInput } from '../ui/day-input';
import { WhyButton } from '../ui/why';
import { SetTime } from './set-time';
import { spotName, STEP_NAME } from '../ui/words';
import { TaskActions } from '../ui/task-actions';
import { keepsFocus } from '../ui/keeps-focus';

/** One task: who, when, what it waits for, its batches, and what happened to it. */
@Component({
  selector: 'ls-task-sheet',
  imports: [DayInput, SetTime, WhyButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let one = task();
    <p class="soft">{{ room() }}</p>
    <h2 class="figure step" tabindex="-1">{{ texts.say(steps[one.step]) }}</h2>
    <p class="soft small rows">{{ rows() }}</p>
    @switch (one.state) {
      @case ('done') {
        <p class="state">{{ texts.t('days.task.done', { end: format.time(one.end) }) }}</p>
      }
      @case ('begun') {
        <p class="state">{{ texts.t('days.task.begun', { start: format.time(one.start) }) }}</p>
      }
      @case ('paused') {
        <p class="state rests">{{ texts.t('days.task.paused', { start: format.time(one.start) }) }}</p>
      }
    }
    <div class="acts no-print">
      @switch (one.state) {
        @case ('begun') {
          <button type="button" class="quiet" (click)="keep(logs.paused(one))">
            {{ texts.t('days.act.pause') }}
          </button>
        }
        @case ('done') {}
        @default {
          <button type="button" class="quiet" (click)="keep(logs.started(one))">
            {{ texts.t(one.state === 'paused' ? 'days.act.go-on' : 'days.act.start') }}
          </button>
        }
      }
      @if (one.state !== 'done') {
        <button type="button" class="act" (click)="keep(deeds.done(one))">
          {{ texts.t('days.act.done') }}
        </button>
      } @else if (one.how !== 'none' && !isTold()) {
        <button type="button" class="act" (click)="keep(logs.ready(one))">
          {{ texts.t('days.act.ready') }}
        </button>
      }
    </div>
    <dl>
      @if (people().length > 0) {
        <dt>{{ texts.t('days.task.who') }}</dt>
        <dd>{{ texts.say(people()) }}</dd>
      }
      <dt>{{ texts.t('days.task.start') }}</dt>
      <dd>{{ format.time(one.start) }}</dd>
      <dt>{{ texts.t('days.task.end') }}</dt>
      <dd>{{ format.time(one.end) }}</dd>
      @if (one.how !== 'none') {
        <dt>{{ texts.t('days.task.ready') }}</dt>
        <dd>{{ format.time(one.ready) }}</dd>
        @if (one.readyEarly !== one.readyLate) {
          <dt>{{ texts.t('days.task.between') }}</dt>
          <dd>
            {{
              texts.t('days.task.from-to', {
                from: format.time(one.readyEarly),
                to: short(one.readyLate, one.readyEarly),
              })
            }}
          </dd>
        }
      }
      @if (one.state === 'planned') {
        <dt>{{ texts.t('days.task.slack') }}</dt>
        <dd>{{ one.slackMin < 1 ? texts.t('days.task.critical') : format.duration(one.slackMin) }}</dd>
      }
    </dl>
    @if (step(); as work) {
      <ls-why [why]="work.why" [of]="texts.t('days.takes', { step: steps[one.step] })" />
    }
    @if (one.state === 'planned' && step(); as work) {
      <ls-set-time [task]="one" [step]="work" />
    }
    @if (one.batches.length > 0) {
      <h3>{{ texts.t('days.batches') }}</h3>
      <ul class="batches">
        @for (batch of one.batches; track $index) {
          <li>
            <strong>{{
              texts.t('days.batch', {
                at: short(batch.at, one.start),
                litres: format.pot(batch.litres),
                compound: book().compounds[batch.compound].name,
              })
            }}</strong>
            <span class="soft small">{{
              texts.t('days.batch.mix', {
                powder: format.mass(batch.powderKg),
                water: format.pot(batch.waterL),
                ends: format.clock(batch.potEnds),
                clean: format.clock(batch.cleanBy),
              })
            }}</span>
          </li>
        }
      </ul>
    }
    @if (one.state === 'planned') {
      <div class="pin no-print" role="group" [attr.aria-label]="texts.t('days.pin')">
        <ls-day [label]="texts.t('days.pin')" [value]="one.start.slice(0, 10)" (changed)="toDay($event)" />
        <ls-day
          [label]="texts.t('days.pin.clock')"
          [clock]="true"
          [value]="one.start.slice(11)"
          (changed)="toClock($event)"
        />
      </div>
      @if (one.pinned) {
        <button type="button" class="link no-print" (click)="unpin.emit()">
          {{ texts.t('days.unpin') }}
        </button>
      }
    }
  `,
  styles: `
    .step {
      font-size: var(--head);
    }
    .rows {
      margin-bottom: 8px;
    }
    .state {
      color: var(--good);
      font-weight: 600;
      font-size: var(--text);
    }
    .rests {
      color: var(--caution);
    }
    .acts {
      display: flex;
      gap: var(--close);
      margin: 6px 0 10px;
    }
    dl {
      display: grid;
      /* A day and its time stay on one line. */
      grid-template-columns: minmax(0, 6.8em) 1fr;
      gap: var(--near) var(--close);
      font-size: var(--text);
    }
    dt {
      color: var(--soft);
    }
    dd {
      text-align: right;
      font-weight: 600;
    }
    h3 {
      margin-top: 10px;
    }
    .batches li {
      display: grid;
      font-size: var(--text);
      padding: 4px 0;
      border-bottom: 1px solid var(--hair);
    }
    .pin {
      display: grid;
      grid-template-columns: repeat(2, minmax(0, 1fr));
      gap: var(--close);
      margin: 10px 0 4px;
    }
  `,
})
export class TaskSheet {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly logs = inject(LogStore);
  protected readonly deeds = inject(TaskActions);
  protected readonly keep = keepsFocus();
  private readonly plans = inject(PlanStore);
  protected readonly book = inject(ViewStore).book;
  readonly task = input.required<DayTask>();
  readonly days = input.required<Days>();
  readonly room = input.required<string>();
  readonly step = input<RoomStep>();
  /** A moment it is not to begin before, `2026-11-30T07:00`. */
  readonly pin = output<string>();
  readonly unpin = output<void>();
  protected readonly steps = STEP_NAME;

  /** A time that stands behind another: its day is told where it is a later one. */
  protected short = (iso: string, behind: string): string =>
    iso.slice(0, 10) === behind.slice(0, 10) ? this.format.clock(iso) : this.format.time(iso);

  protected readonly people = computed((): Sayable[] =>
    this.task().people.map((id) => {
      const name = this.days().people.find((one) => one.id === id)?.name;
      return name ?? this.texts.t('days.person', { id });
    }),
  );
  protected readonly rows = computed(() => {
    const { room, rows, spots } = this.task();
    const mends = this.plans.plan()?.rooms.find(({ id }) => id === room)?.mends ?? [];
    return this.texts.say(
      spots === undefined
        ? rows.map((row) => this.texts.t(`element.${row}`))
        : mends.filter(({ id }) => spots.includes(id)).map((mend) => this.texts.say(spotName(mend))),
    );
  });
  /** Told ready: there is nothing left between early and late. */
  protected readonly isTold = computed(() => this.task().readyEarly === this.task().readyLate);

  protected toDay(day: string | undefined): void {
    if (day !== undefined) this.pin.emit(`${day}T${this.task().start.slice(11)}`);
  }

  protected toClock(clock: string | undefined): void {
    if (clock !== undefined) this.pin.emit(`${this.task().start.slice(0, 10)}T${clock}`);
  }
}
