import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import type { Coat, Sayable } from '@lisse/core';
import { Select } from 'primeng/select';
import { dressed } from './dressed';
import { Texts } from '../state/texts';

/** What is chosen; said so that a text keeps its own type and is not any text. */
export type Value = string | number | boolean | object | undefined;

export interface Option<T> {
  value: T;
  /** What it is called; a text is said, what somebody named is shown as it is. */
  name: Sayable;
  /** Shown in the tone of a coat, where it is one. */
  coat?: Coat;
}

let count = 0;

/** One choice among a few, labelled; the list is the component library's, in our dress. */
@Component({
  selector: 'ls-choice',
  imports: [Select, FormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="field">
      <span [id]="id" [class.sr]="hideLabel()">{{ texts.say(label()) }}</span>
      <p-select
        [options]="shown()"
        optionLabel="name"
        optionValue="value"
        [ngModel]="value()"
        (onChange)="changed.emit($event.value)"
        [ariaLabelledBy]="id"
        appendTo="body"
        scrollHeight="320px"
      />
    </div>
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
  `,
})
export class Choice<T extends Value> {
  protected readonly texts = inject(Texts);
  readonly label = input.required<Sayable>();
  readonly hideLabel = input(false);
  readonly options = input.required<readonly Option<T>[]>();
  readonly value = input.required<T>();
  readonly changed = output<T>();
  /** The list of the library wants its words said already. */
  protected readonly shown = computed(() =>
    this.options().map(({ value, name }) => ({ value, name: this.texts.say(name) })),
  );
  protected readonly id = `choice-${count++}`;

  constructor() {
    dressed();
  }
}
