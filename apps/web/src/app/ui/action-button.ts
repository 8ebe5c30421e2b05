import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** A button that stays pressed. */
@Component({
  selector: 'ls-action-button',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button type="button" class="quiet" [attr.aria-pressed]="on()" (click)="turned.emit()">
      <ng-content />
    </button>
  `,
  styles: `
    :host {
      display: flex;
    }
    .quiet {
      flex: 1;
      justify-content: center;
    }
    /* One of a row of them that share its width. */
    :host(.joined) {
      flex: 1;
      min-width: 0;
      margin-left: -1px;
    }
    :host(.joined) .quiet {
      padding: 4px 0;
      border-radius: 0;
      font-size: var(--small);
    }
    @media screen and (max-width: 760px) {
      .quiet {
        padding: 8px 11px;
      }
      :host(.joined) .quiet {
        padding: 8px 0;
      }
    }
  `,
})
export class ActionButton {
  readonly on = input.required<boolean>();
  readonly turned = output<void>();
}
