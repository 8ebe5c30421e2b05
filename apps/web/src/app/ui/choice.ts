import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Select } from 'primeng/select';

export interface Option<T> {
  value: T;
  name: string;
}

let count = 0;

/** One choice among a few, labelled; the list is the component library's, in our dress. */
@Component({
  selector: 'ls-choice',
  imports: [Select, FormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="field">
      <span [id]="id" [class.sr]="hideLabel()">{{ label() }}</span>
      <p-select
        [options]="$any(options())"
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
export class Choice<T> {
  readonly label = input.required<string>();
  readonly hideLabel = input(false);
  readonly options = input.required<readonly Option<T>[]>();
  readonly value = input.required<T>();
  readonly changed = output<T>();
  protected readonly id = `choice-${count++}`;
}
