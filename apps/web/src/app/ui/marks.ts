import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { Texts } from '../state/texts';

/** So many of five, as dots that are read at a glance; a dash where it is not known. */
@Component({
  selector: 'ls-marks',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (of5(); as many) {
      <span role="img" [attr.aria-label]="texts.t('marks.of-5', { many })">
        @for (at of [1, 2, 3, 4, 5]; track at) {
          <i [class.on]="at <= many"></i>
        }
      </span>
    } @else {
      –
    }
  `,
  styles: `
    span {
      display: inline-flex;
      gap: var(--near);
      white-space: nowrap;
    }
    i {
      width: 7px;
      height: 7px;
      border-radius: 50%;
      border: 1px solid var(--soft);
    }
    .on {
      background: var(--ink);
      border-color: var(--ink);
    }
  `,
})
export class Marks {
  protected readonly texts = inject(Texts);
  readonly of5 = input<number>();
}
