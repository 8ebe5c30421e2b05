import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** Something that is so or not, with its words beside it. */
@Component({
  selector: 'ls-check',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label
      ><input type="checkbox" [checked]="on()" [disabled]="disabled()" (change)="turned.emit()" /><ng-content
    /></label>
  `,
})
export class Check {
  /** A field that was never set is not so. */
  readonly on = input.required<boolean | undefined>();
  readonly disabled = input(false);
  readonly turned = output<void>();
}
