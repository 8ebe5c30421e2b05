import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import type { Sayable } from '@lisse/core';
import { Texts } from '../state/texts';

/** A box to tick beside a row, or beside the heading of all of them; its cell is pressed, not the box alone. */
@Component({
  selector: 'ls-tick-box',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label
      ><input
        type="checkbox"
        [attr.aria-label]="texts.say(label())"
        [checked]="on()"
        [indeterminate]="some()"
        (change)="turned.emit()"
    /></label>
  `,
  styles: `
    label {
      justify-content: center;
      min-width: 26px;
    }
  `,
})
export class TickBox {
  protected readonly texts = inject(Texts);
  readonly label = input.required<Sayable>();
  readonly on = input.required<boolean>();
  /** Some of the rows are ticked and some are not. */
  readonly some = input(false);
  readonly turned = output<void>();
}
