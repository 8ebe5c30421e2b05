import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { Message, Sayable } from '@lisse/core';
import { Texts } from '../state/texts';

/** What stands round every typed field: its label over it, and under it what is wrong with what was typed. */
@Component({
  selector: 'ls-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="field" [attr.for]="name()">
      <span [class.sr]="hideLabel()">{{ texts.say(label()) }}</span>
      <ng-content />
    </label>
    @if (trouble(); as why) {
      <p class="wrong" [attr.role]="alert() ? 'alert' : null" [id]="name() + '-why'">{{ texts.say(why) }}</p>
    }
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
  `,
})
export class Field {
  protected readonly texts = inject(Texts);
  /** The id of the field inside; what is wrong with it has the same with `-why`. */
  readonly name = input.required<string>();
  readonly label = input.required<Sayable>();
  readonly hideLabel = input(false);
  readonly trouble = input<Message>();
  /** Read out at once; not while somebody is still typing. */
  readonly alert = input(false);
}
