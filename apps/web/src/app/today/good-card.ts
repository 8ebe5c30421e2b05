import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { coatOf, coatText, type Message } from '@lisse/core';
import { Texts } from '../state/texts';
import { ELEMENT_NAME } from '../ui/words';
import { TodayStore } from './today.store';

/** What good looks like at this coat: its goal, what not to fuss over, how to tell that it is done. */
@Component({
  selector: 'ls-good-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (goals().length > 0) {
      <section [attr.aria-label]="texts.t('today.good')">
        <h2>{{ texts.t('today.good') }}</h2>
        @for (goal of goals(); track $index) {
          <h3>{{ texts.say(goal.rows) }}</h3>
          <p class="aim">{{ texts.t('today.aim', { aim: goal.aim }) }}</p>
          <p>{{ texts.t('today.done-when', { done: goal.done }) }}</p>
          <p class="soft">{{ texts.t('today.leave', { leave: goal.leave }) }}</p>
        }
      </section>
    }
  `,
  styles: `
    h2 {
      font-size: var(--title);
    }
    h3 {
      font-size: var(--lead);
      color: var(--soft);
      margin-top: 8px;
    }
    p {
      font-size: var(--large);
      padding: 2px 0;
    }
    .aim {
      font-size: var(--title);
      font-weight: 600;
    }
  `,
})
export class GoodCard {
  protected readonly texts = inject(Texts);
  private readonly store = inject(TodayStore);

  /** Rows with the same goal stand together. */
  protected readonly goals = computed(() => {
    const task = this.store.task();
    const coat = task && coatOf(task.step);
    if (!task || !coat) return [];
    const found = new Map<string, { rows: Message[]; aim: Message; leave: Message; done: Message }>();
    for (const row of task.rows) {
      const { aim, leave, done } = coatText(row, coat);
      const key = [aim.key, leave.key, done.key].join(' ');
      const known = found.get(key);
      if (known) known.rows.push(ELEMENT_NAME[row]);
      else found.set(key, { rows: [ELEMENT_NAME[row]], aim, leave, done });
    }
    return [...found.values()];
  });
}
