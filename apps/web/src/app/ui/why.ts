import { ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import type { Sayable, Why } from '@lisse/core';
import { Texts } from '../state/texts';
import { WhyPanel } from './why-panel';

/** "Why?" beside a figure; the answer is made when it is asked for. */
@Component({
  selector: 'ls-why',
  imports: [WhyPanel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button
      #button
      type="button"
      class="link no-print"
      [attr.aria-label]="texts.t('why.of', { of: of() })"
      [attr.aria-expanded]="asked() !== undefined"
      (click)="asked.set(asked() ? undefined : button)"
    >
      {{ texts.t('why') }}
    </button>
    @defer (when asked(); prefetch on hover(button)) {
      @if (asked(); as at) {
        <ls-why-panel [at]="at" [why]="why()" [of]="of()" [below]="below()" (closed)="close(at)" />
      }
    }
  `,
})
export class WhyButton {
  protected readonly texts = inject(Texts);
  readonly why = input.required<Why>();
  /** What the figure is, for the button's name. */
  readonly of = input.required<Sayable>();
  /** Answers why a part is as it is, by its key; without it the answer ends here. */
  readonly below = input<(key: string) => Why | undefined>();
  /** The button, once it was pressed and until the answer is closed. */
  protected readonly asked = signal<HTMLElement | undefined>(undefined);

  /** Who closes the answer by a key is back at its button. */
  protected close(at: HTMLElement): void {
    this.asked.set(undefined);
    if (document.activeElement === document.body || document.activeElement === null) at.focus();
  }
}
