import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Check, DueCheck } from '@lisse/core';
import { LogStore } from '../state/log.store';
import { Texts } from '../state/texts';
import { TodayStore } from './today.store';

/** What is looked at before, while or after a coat is laid, ticked off with a thumb. */
@Component({
  selector: 'ls-check-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (due().length > 0) {
      <section [attr.aria-label]="texts.t('today.checks', { when: when() })">
        <h2>{{ texts.t('today.checks', { when: when() }) }}</h2>
        <ul>
          @for (one of due(); track one.check) {
            <li>
              <button
                type="button"
                class="tick"
                [attr.aria-pressed]="one.at !== undefined"
                (click)="tick(one.check, one.at)"
              >
                <i aria-hidden="true">{{ one.at === undefined ? '' : '✓' }}</i>
                <span>{{ texts.say(one.text) }}</span>
              </button>
            </li>
          }
        </ul>
      </section>
    }
  `,
  styles: `
    h2 {
      font-size: var(--title);
    }
    [aria-pressed='true'] span {
      color: var(--soft);
    }
  `,
})
export class CheckList {
  protected readonly texts = inject(Texts);
  private readonly store = inject(TodayStore);
  private readonly logs = inject(LogStore);
  readonly when = input.required<DueCheck['when']>();
  protected readonly due = computed(() => this.store.checks().filter(({ when }) => when === this.when()));

  /** Ticked by mistake, it is taken back: the entry that told of it. */
  protected tick(check: Check, at: string | undefined): void {
    const task = this.store.task();
    if (!task) return;
    const { room, step } = task;
    if (at === undefined) void this.logs.tell('undo.log-checked', { kind: 'checked', room, step, check });
    else
      void this.logs.takeBackAll(
        'undo.log-not-checked',
        (one) => one.kind === 'checked' && one.room === room && one.step === step && one.check === check,
      );
  }
}
