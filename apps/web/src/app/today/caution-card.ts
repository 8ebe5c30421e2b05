import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { PlanStore } from '../state/plan.store';
import { Texts } from '../state/texts';
import { ofDay } from './of-day';
import { TodayStore } from './today.store';

/** The cautions of the task, each until somebody has read it on that day. */
@Component({
  selector: 'ls-caution-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (shown().length > 0) {
      <section [attr.aria-label]="texts.t('cautions')">
        <h2>{{ texts.t('cautions.title') }}</h2>
        @for (one of shown(); track one.id) {
          <p>{{ texts.say(one.short) }}</p>
        }
        <p class="soft">{{ texts.t('caution.decides') }}</p>
        <div class="acts">
          <button type="button" class="big quiet" (click)="read()">
            {{ texts.t('today.caution-read') }}
          </button>
        </div>
      </section>
    } @else if (all().length > 0) {
      <details>
        <summary>{{ texts.t('today.cautions-again', { n: all().length }) }}</summary>
        @for (one of all(); track one.id) {
          <p>{{ texts.say(one.text) }}</p>
        }
      </details>
    }
  `,
  styles: `
    section {
      padding: 10px 14px 12px;
      background: var(--caution-wash);
      border-left: 6px solid var(--caution);
    }
    h2 {
      font-size: var(--large);
      color: var(--caution);
    }
    p {
      font-size: var(--large);
      padding: 4px 0;
    }
    summary {
      min-height: 56px;
      align-content: center;
      cursor: pointer;
      color: var(--soft);
    }
  `,
})
export class CautionCard {
  protected readonly texts = inject(Texts);
  private readonly plans = inject(PlanStore);
  private readonly store = inject(TodayStore);
  private readonly heard = ofDay('cautions');

  protected readonly all = computed(() => {
    const task = this.store.task();
    return (this.plans.plan()?.cautions ?? []).filter(
      ({ places, steps }) =>
        places.includes('today') && task !== undefined && (steps?.includes(task.step) ?? true),
    );
  });
  protected readonly shown = computed(() => this.all().filter(({ id }) => !this.heard.all().includes(id)));

  protected read(): void {
    this.heard.set([...new Set([...this.heard.all(), ...this.shown().map(({ id }) => id)])]);
  }
}
