import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import {
  parseArea,
  parseDuration,
  parseMass,
  parseTemperature,
  parseVolume,
  printArea,
  printDuration,
  printMass,
  printTemperature,
  printVolume,
  say,
  within,
  type Limit,
  type Measured,
  type Message,
  type Notation,
  type Sayable,
  type UnitSystem,
} from '@lisse/core';
import { Format } from '../state/format';
import { Texts } from '../state/texts';
import { Field } from './field';

/** How each amount is read and shown, in the units of the job. */
const AMOUNTS = {
  temperature: { read: parseTemperature, show: printTemperature },
  area: { read: parseArea, show: printArea },
  volume: { read: parseVolume, show: printVolume },
  mass: { read: parseMass, show: printMass },
  minutes: { read: parseDuration, show: printDuration },
} satisfies Record<
  string,
  {
    read: (text: string, system: UnitSystem) => Measured;
    show: (value: number, notation: Notation) => string;
  }
>;

let count = 0;

/** An amount typed as people write it, in any unit of its kind; one outside its limits changes nothing, and it is said. */
@Component({
  selector: 'ls-amount',
  imports: [Field],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ls-field [name]="id" [label]="label()" [hideLabel]="hideLabel()" [trouble]="trouble()" [alert]="true">
      <input
        #box
        [id]="id"
        type="text"
        autocomplete="off"
        [placeholder]="texts.say(placeholder())"
        [value]="shown()"
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
export class AmountInput {
  protected readonly texts = inject(Texts);
  private readonly format = inject(Format);
  readonly label = input.required<Sayable>();
  readonly hideLabel = input(false);
  readonly of = input.required<keyof typeof AMOUNTS>();
  /** SI; none leaves the field empty. */
  readonly value = input<number>();
  readonly limit = input.required<Limit>();
  readonly placeholder = input<Sayable>('');
  /** An empty field takes the value away. */
  readonly optional = input(false);
  readonly changed = output<number | undefined>();

  protected readonly id = `amount-${count++}`;
  protected readonly trouble = signal<Message | undefined>(undefined);
  protected readonly shown = computed(() => this.print(this.value()));

  private print(value: number | undefined): string {
    return value === undefined ? '' : AMOUNTS[this.of()].show(value, this.format.notation());
  }

  protected take(text: string): void {
    if (text.trim() === '' && this.optional()) {
      this.trouble.set(undefined);
      this.changed.emit(undefined);
      return;
    }
    const read = AMOUNTS[this.of()].read(text, this.format.units());
    const { least, most } = this.limit();
    if (!read.ok) this.trouble.set(read.reason);
    else if (!within(read.value, this.limit()))
      this.trouble.set(
        say('measure.between', {
          least: this.print(least),
          most: this.print(most),
          is: this.print(read.value),
        }),
      );
    else {
      this.trouble.set(undefined);
      this.changed.emit(read.value);
    }
  }
}
