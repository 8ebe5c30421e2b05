import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { NAME_LETTERS, type Sayable } from '@lisse/core';
import { Texts } from '../state/texts';

let count = 0;

/** Words of somebody's own, on one line or on several. */
@Component({
  selector: 'ls-text',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="field" [attr.for]="id">
      <span [class.sr]="hideLabel()">{{ texts.say(label()) }}</span>
      @if (lines() > 1) {
        <textarea
          #box
          [id]="id"
          [rows]="lines()"
          [attr.maxlength]="letters()"
          [value]="value()"
          (input)="typed(box)"
          (change)="take(box)"
        ></textarea>
      } @else {
        <input
          [attr.aria-invalid]="wrong() || null"
          #box
          [id]="id"
          type="text"
          [attr.maxlength]="letters()"
          [placeholder]="texts.say(placeholder())"
          [value]="value()"
          (input)="typed(box)"
          (change)="take(box)"
        />
      }
    </label>
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
    input,
    textarea {
      width: 100%;
    }
  `,
})
export class TextInput {
  protected readonly id = `text-${count++}`;
  protected readonly texts = inject(Texts);
  readonly label = input.required<Sayable>();
  readonly hideLabel = input(false);
  readonly value = input('');
  readonly placeholder = input<Sayable>('');
  readonly letters = input(NAME_LETTERS);
  readonly lines = input(1);
  /** Told at every letter, not only when it is left. */
  readonly live = input(false);
  /** Must not be empty: what was there comes back. */
  readonly needed = input(false);
  /** What is in it was not understood, as is said beside it. */
  readonly wrong = input(false);
  readonly changed = output<string>();

  protected typed(box: HTMLInputElement | HTMLTextAreaElement): void {
    if (this.live()) this.changed.emit(box.value);
  }

  protected take(box: HTMLInputElement | HTMLTextAreaElement): void {
    if (this.needed() && box.value.trim() === '') box.value = this.value();
    else this.changed.emit(this.needed() ? box.value.trim() : box.value);
  }
}
