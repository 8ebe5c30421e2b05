import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import type { Days, DayTask } from '@lisse/core';
import { Format } from '../state/format';
import { LogStore } from '../state/log.store';
import { Texts } from '../state/texts';
import { STEP_NAME, toneOf } from '../ui/words';
import { TaskActions } from '../ui/task-actions';
import { later } from './timeline';

/** Days shown at once: the one it is and the next three. */
const SHOWN = 4;

/** What is to do today and on the next days, to be told done with a thumb. */
@Component({
  selector: 'ls-day-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ texts.t('days.today') }}</h2>
    @for (day of shown(); track day.date) {
      <h3>{{ format.day(day.date) }}</h3>
      <ul>
        @for (task of day.tasks; track task.id) {
          <li [class.on]="task.id === picked()">
            <button type="button" class="row" (click)="pick.emit(task.id)">
              <i [attr.data-coat]="toneOf(task.step)"></i>
              <span class="what"
                ><strong>{{ texts.say(steps[task.step]) }}</strong> {{ names().get(task.room) }}</span
              >
              <span class="when figure">{{ hours(task, day.date) }}</span>
            </button>
            @if (task.state === 'done') {
              <span class="done small">{{ texts.t('days.act.done') }}</span>
            } @else if (task.id === picked()) {
              <button type="button" class="act" (click)="deeds.done(task)">
                {{ texts.t('days.act.done') }}
              </button>
            }
          </li>
        }
      </ul>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    h3 {
      margin: 14px 0 2px;
    }
    li {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      border-bottom: 1px solid var(--hair);
    }
    .row {
      flex: 1;
      display: flex;
      gap: var(--close);
      align-items: center;
      min-height: 52px;
      border: 0;
      background: none;
      text-align: left;
      font-size: var(--large);
    }
    i {
      width: 12px;
      height: 26px;
      background: var(--tone);
      border: 1px solid var(--ink);
    }
    .what {
      flex: 1;
    }
    .when {
      font-size: var(--lead);
    }
    .act {
      min-height: 48px;
      min-width: 84px;
      justify-content: center;
      margin: 2px 0 8px;
    }
    .done {
      color: var(--good);
      font-weight: 650;
    }
    .on .row {
      color: var(--accent);
    }
  `,
})
export class DayList {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly logs = inject(LogStore);
  protected readonly deeds = inject(TaskActions);
  readonly days = input.required<Days>();
  readonly names = input.required<ReadonlyMap<string, string>>();
  readonly picked = input<string>();
  readonly pick = output<string>();
  protected readonly steps = STEP_NAME;
  protected readonly toneOf = toneOf;

  protected readonly shown = computed(() => {
    const { tasks, now } = this.days();
    const byDay = new Map<string, DayTask[]>();
    for (const task of tasks)
      for (
        let day = task.start.slice(0, 10);
        day <= task.end.slice(0, 10);
        day = later(`${day}T00:00`, 1440).slice(0, 10)
      )
        byDay.set(day, [...(byDay.get(day) ?? []), task]);
    const from = now?.slice(0, 10) ?? '';
    return [...byDay]
      .filter(([date]) => date >= from)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .slice(0, SHOWN)
      .map(([date, tasks]) => ({ date, tasks }));
  });

  /** The hours of a task on one day: it may run over a night. */
  protected hours({ start, end }: DayTask, date: string): string {
    const from = start.slice(0, 10) < date ? '…' : this.format.clock(start);
    const to = end.slice(0, 10) > date ? '…' : this.format.clock(end);
    return `${from}–${to}`;
  }
}
