import { ChangeDetectionStrategy, Component, input, output, signal } from '@angular/core';
import { DATES, isDay, say, type Message, type Sayable } from '@lisse/core';
import { Field } from './field';

let count = 0;

/** A day of the calendar or a time of the clock; what is neither changes nothing, and is said. */
@Component({
  selector: 'ls-day',
  imports: [Field],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ls-field [name]="id" [label]="label()" [trouble]="trouble()" [alert]="true">
      <input
        #box
        [id]="id"
        [type]="clock() ? 'time' : 'date'"
        [value]="value() ?? ''"
        [attr.aria-invalid]="trouble() ? true : null"
        [attr.aria-describedby]="trouble() ? id + '-why' : null"
        (change)="take(box.value)"
      />
    </ls-field>
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
  `,
})
export class DayInput {
  readonly label = input.required<Sayable>();
  readonly value = input<string>();
  readonly clock = input(false);
  readonly optional = input(false);
  /** What is wrong with a day or a time that is one: it must come after another. */
  readonly refuses = input<(value: string) => Message | undefined>(() => undefined);
  readonly changed = output<string | undefined>();

  protected readonly id = `day-${count++}`;
  protected readonly trouble = signal<Message | undefined>(undefined);

  protected take(value: string): void {
    this.trouble.set(this.troubleOf(value));
    if (!this.trouble()) this.changed.emit(value === '' ? undefined : value);
  }

  private troubleOf(value: string): Message | undefined {
    if (value === '') return this.optional() ? undefined : say('day.needed');
    if (!this.clock() && !isDay(value)) return say('day.between', DATES);
    return this.refuses()(value);
  }
}
