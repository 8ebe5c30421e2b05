import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { say, within, type Limit, type Message, type Sayable } from '@lisse/core';
import { Texts } from '../state/texts';
import { Field } from './field';

let count = 0;

/** A number between its least and its most; one outside changes nothing, and it is said what it may be. */
@Component({
  selector: 'ls-number',
  imports: [Field],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ls-field [name]="id" [label]="label()" [hideLabel]="hideLabel()" [trouble]="reason()">
      <input
        #box
        [id]="id"
        type="number"
        [min]="least()"
        [max]="most()"
        [step]="step()"
        [placeholder]="texts.say(placeholder())"
        [value]="shown()"
        [attr.aria-invalid]="reason() ? true : null"
        [attr.aria-describedby]="reason() ? id + '-why' : null"
        (change)="take(box)"
      />
    </ls-field>
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
    input {
      width: 100%;
    }
  `,
})
export class NumberInput {
  protected readonly texts = inject(Texts);
  readonly label = input.required<Sayable>();
  readonly hideLabel = input(false);
  /** None leaves the field empty; a template's “?.” gives null for it. */
  readonly value = input<number | null>();
  readonly limit = input.required<Limit>();
  /** So much of the kept unit is one of the shown: litres of a gallon. */
  readonly per = input(1);
  readonly step = input<number | 'any'>('any');
  readonly placeholder = input<Sayable>('');
  /** Whether the field may be empty: nothing is told then. */
  readonly optional = input(false);
  readonly whole = input(false);
  readonly changed = output<number | undefined>();

  protected readonly id = `number-${count++}`;
  protected readonly reason = signal<Message | undefined>(undefined);
  protected readonly least = computed(() => tidy(this.limit().least / this.per()));
  protected readonly most = computed(() => tidy(this.limit().most / this.per()));
  protected readonly shown = computed(() => {
    const value = this.value();
    return value === undefined || value === null
      ? ''
      : String(this.per() === 1 ? tidy(value) : converted(value / this.per()));
  });

  protected take(field: HTMLInputElement): void {
    const typed = field.valueAsNumber;
    const empty = Number.isNaN(typed) && !field.validity.badInput;
    if (empty && this.optional()) {
      this.reason.set(undefined);
      this.changed.emit(undefined);
      return;
    }
    const value = tidy(typed * this.per());
    // The ends are shown rounded; typed as they are shown they are the ends.
    const kept =
      typed === this.least() ? this.limit().least : typed === this.most() ? this.limit().most : value;
    const right = within(kept, this.limit()) && (!this.whole() || Number.isInteger(kept));
    this.reason.set(
      right
        ? undefined
        : say(this.whole() ? 'number.whole' : 'number.between', {
            least: String(this.least()),
            most: String(this.most()),
          }),
    );
    if (right) this.changed.emit(kept);
  }
}

/** What was converted, no finer than one types it. */
const converted = (n: number): number =>
  Math.abs(n) < 1 ? Number(n.toPrecision(3)) : Math.round(n * 100) / 100;

/** To four figures behind the first, so that what was converted reads as it was typed. */
const tidy = (n: number): number => Number(n.toPrecision(5));
