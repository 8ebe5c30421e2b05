import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { TOLD_BY, type DayTask } from '@lisse/core';
import { Clock } from '../state/clock';
import { Format } from '../state/format';
import { LogStore } from '../state/log.store';
import { Texts } from '../state/texts';
import { STEP_NAME } from '../ui/words';
import { TodayStore } from './today.store';

/** What hardens and until when, what should be looked at, and the next two tasks. */
@Component({
  selector: 'ls-waits',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (store.look(); as looks) {
      @if (looks.length > 0) {
        <section [attr.aria-label]="texts.t('today.look')">
          <h2>{{ texts.t('today.look') }}</h2>
          @for (task of looks; track task.id) {
            <p class="one">{{ line(task) }}</p>
            <div class="acts">
              @for (by of toldBy; track by) {
                <button type="button" class="big quiet" (click)="logs.ready(task, by)">
                  {{ texts.t('today.ready-by', { by }) }}
                </button>
              }
            </div>
          }
        </section>
      }
    }
    @if (store.waits(); as waits) {
      @if (waits.length > 0) {
        <section [attr.aria-label]="texts.t('today.waits')">
          <h2>{{ texts.t('today.waits') }}</h2>
          <ul>
            @for (task of waits; track task.id) {
              <li>
                <b class="figure">{{ left(task.readyLate) }}</b>
                <span>
                  {{ line(task) }}
                  <span class="soft">{{
                    texts.t('today.until', {
                      late: format.time(task.readyLate),
                      early: format.time(task.readyEarly),
                    })
                  }}</span>
                </span>
              </li>
            }
          </ul>
        </section>
      }
    }
    @if (store.turn().next; as next) {
      @if (next.length > 0) {
        <section [attr.aria-label]="texts.t('today.next')">
          <h2>{{ texts.t('today.next') }}</h2>
          <ul>
            @for (task of next; track task.id) {
              <li>
                <b class="figure">{{ format.clock(task.start) }}</b>
                <span>
                  {{ line(task) }}
                  <span class="soft">{{ format.day(task.start) }}</span>
                </span>
              </li>
            }
          </ul>
          <a class="link" routerLink="../days">{{ texts.t('today.to-days') }}</a>
        </section>
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: var(--gap);
    }
    h2 {
      font-size: var(--title);
    }
    li {
      display: grid;
      grid-template-columns: 92px 1fr;
      gap: var(--close);
      align-items: baseline;
      padding: 7px 0;
      border-top: 1px solid var(--hair);
      font-size: var(--large);
    }
    b {
      font-size: var(--head);
    }
    li .soft {
      display: block;
      font-size: var(--lead);
    }
    .one {
      font-size: var(--large);
    }
    .link {
      min-height: 56px;
      font-size: var(--large);
    }
  `,
})
export class Waits {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly logs = inject(LogStore);
  protected readonly store = inject(TodayStore);
  private readonly clock = inject(Clock);
  protected readonly toldBy = TOLD_BY;

  protected line = (task: DayTask): string =>
    this.texts.t('today.line', { step: STEP_NAME[task.step], room: this.store.names().get(task.room) ?? '' });

  /** How long until then: `1 h 20 min`. */
  protected left = (until: string): string =>
    this.format.duration(
      Math.max(0, (Date.parse(`${until}Z`) - Date.parse(`${this.clock.minute()}Z`)) / 60000),
    );
}
