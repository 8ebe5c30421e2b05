import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { Plan } from '@lisse/core';
import { Texts } from '../state/texts';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';

/** Advice set aside: what it said, why it was set aside and when; it can be taken up again. */
@Component({
  selector: 'ls-set-aside',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details>
      <summary>{{ texts.t('advice.aside-count', { count: items().length }) }}</summary>
      <ul>
        @for (item of items(); track item.given.key) {
          <li>
            <p>{{ texts.say(item.advice.reason) }}</p>
            <p>
              “{{ item.given.reason }}” <span class="soft">{{ format.day(item.given.date) }}</span>
            </p>
            <button type="button" class="link" (click)="takeUp(item.given.key)">
              {{ texts.t('advice.restore') }}<span class="sr"> {{ item.advice.code }}</span>
            </button>
          </li>
        }
      </ul>
    </details>
  `,
  styles: `
    details {
      margin-top: 10px;
      font-size: var(--text);
    }
    summary {
      cursor: pointer;
      font-weight: 600;
    }
    li {
      padding: 6px 0;
      border-bottom: 1px solid var(--hair);
    }
  `,
})
export class SetAsideList {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  readonly items = input.required<Plan['setAside']>();

  protected takeUp(key: string): void {
    this.jobs.edit('undo.take-advice-up-again', (job) => {
      const rest = (job.setAside ?? []).filter((s) => s.key !== key);
      if (rest.length > 0) job.setAside = rest;
      else delete job.setAside;
    });
  }
}
