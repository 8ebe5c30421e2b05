import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import type { Sayable } from '@lisse/core';
import { Texts } from '../state/texts';

/** A number that is slid to between two ends. */
@Component({
  selector: 'ls-slide',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="field">
      <span>{{ texts.say(label()) }}</span>
      <input
        #bar
        type="range"
        [min]="least()"
        [max]="most()"
        [step]="step()"
        [value]="value()"
        (input)="moved.emit(bar.valueAsNumber)"
        (change)="rested.emit(bar.valueAsNumber)"
      />
    </label>
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
    input {
      width: 100%;
      accent-color: var(--accent);
    }
    @media screen and (max-width: 760px) {
      input {
        min-height: 40px;
      }
    }
  `,
})
export class Slide {
  protected readonly texts = inject(Texts);
  readonly label = input.required<Sayable>();
  readonly least = input.required<number>();
  readonly most = input.required<number>();
  readonly step = input(1);
  readonly value = input.required<number>();
  /** While it is moved, and once it rests. */
  readonly moved = output<number>();
  readonly rested = output<number>();
}
