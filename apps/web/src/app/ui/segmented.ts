import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import type { Sayable } from '@lisse/core';
import { Texts } from '../state/texts';
import type { Option, Value } from './choice';

/** One of a few, all of them seen; where there are more than fit, a list serves. */
@Component({
  selector: 'ls-segmented',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'group', '[attr.aria-label]': 'texts.say(label())' },
  template: `
    @for (option of options(); track option.value) {
      <button
        type="button"
        class="quiet"
        [attr.aria-pressed]="option.value === value()"
        (click)="changed.emit(option.value)"
      >
        @if (option.coat) {
          <i [attr.data-coat]="option.coat"></i>
        }
        {{ texts.say(option.name) }}
      </button>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: var(--near);
    }
    .quiet {
      padding: 3px 9px;
    }
    i {
      width: 10px;
      height: 10px;
      border: 0.75px solid var(--coat-edge);
      background: var(--tone);
    }
    /* A row of steps, one beside the other. */
    :host(.joined) {
      flex-wrap: nowrap;
      gap: 0;
    }
    :host(.joined) .quiet {
      min-width: 32px;
      justify-content: center;
      margin-left: -1px;
      border-radius: 0;
      font-stretch: 86%;
    }
    :host(.joined) [aria-pressed='true'] {
      background: var(--accent);
      color: var(--on-accent);
      border-color: var(--accent);
    }
    @media screen and (max-width: 760px) {
      .quiet {
        padding: 8px 11px;
      }
      :host(.joined) .quiet {
        flex: 1;
      }
    }
  `,
})
export class Segmented<T extends Value> {
  protected readonly texts = inject(Texts);
  /** Read out before them. */
  readonly label = input.required<Sayable>();
  readonly options = input.required<readonly Option<T>[]>();
  readonly value = input.required<T>();
  readonly changed = output<T>();
}
