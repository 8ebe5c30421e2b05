import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { Finding } from '@lisse/core';
import { Texts } from '../state/texts';
import { CheckStore } from './check.store';

/** How a finding stands, in a word. */
@Component({
  selector: 'ls-state-word',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<b [attr.data-state]="store.stateOf(finding())">{{
    texts.say(store.stateWords(finding()))
  }}</b>`,
  styles: `
    b {
      font-weight: 600;
    }
    [data-state='open'] {
      color: var(--stop);
    }
    [data-state='planned'] {
      color: var(--accent);
    }
    [data-state='cured'] {
      color: var(--caution);
    }
    [data-state='closed'] {
      color: var(--good);
    }
  `,
})
export class StateWord {
  protected readonly texts = inject(Texts);
  protected readonly store = inject(CheckStore);
  readonly finding = input.required<Finding>();
}
