import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { CautionPlace } from '@lisse/core';
import { Texts } from '../state/texts';
import { PlanStore } from '../state/plan.store';

/** The cautions that apply at one place, short and always in sight. */
@Component({
  selector: 'ls-cautions',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (here().length > 0) {
      <section [attr.aria-label]="texts.t('cautions')">
        <h3>{{ texts.t('cautions.title') }}</h3>
        <ul>
          @for (caution of here(); track caution.id) {
            <li>{{ texts.say(caution.text) }}</li>
          }
        </ul>
      </section>
    }
  `,
  styles: `
    h3 {
      color: var(--caution);
      margin-bottom: 4px;
    }
    li {
      font-size: var(--small);
      color: var(--soft);
      padding-left: 10px;
      border-left: 2px solid var(--caution);
      margin-bottom: 6px;
    }
  `,
})
export class Cautions {
  protected readonly texts = inject(Texts);
  private readonly plans = inject(PlanStore);
  readonly place = input.required<CautionPlace>();
  protected readonly here = computed(
    () => this.plans.plan()?.cautions.filter((c) => c.places.includes(this.place())) ?? [],
  );
}
