import { ChangeDetectionStrategy, Component, inject, input, output, signal } from '@angular/core';
import { DATES, isDay, say, type Message, type Sayable } from '@lisse/core';
import { Texts } from '../state/texts';

let count = 0;

/** A day of the calendar or a time of the clock; what is neither changes nothing, and is said. */
@Component({
  selector: 'ls-day',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="field">
      <span>{{ texts.say(label()) }}</span>
      <input
        #box
        [type]="clock() ? 'time' : 'date'"
        [value]="value() ?? ''"
        [attr.aria-invalid]="trouble() ? true : null"
        [attr.aria-describedby]="trouble() ? id : null"
        (change)="take(box.value)"
      />
    </label>
    @if (trouble(); as why) {
      <p class="wrong" role="alert" [id]="id">{{ texts.say(why) }}</p>
    }
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
  `,
})
export class DayInput {
  protected readonly texts = inject(Texts);
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
