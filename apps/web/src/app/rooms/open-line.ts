import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import type { Sayable } from '@lisse/core';
import { Texts } from '../state/texts';

/** One line of a list that opens into its measures. */
@Component({
  selector: 'ls-line',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button type="button" class="line" [attr.aria-expanded]="open()" (click)="toggled.emit()">
      <span>{{ texts.say(name()) }}</span>
      <span class="figure">{{ size() }}</span>
    </button>
    @if (wrong(); as why) {
      <p class="wrong">{{ why }}</p>
    }
    @if (open()) {
      <div class="edit"><ng-content /></div>
    }
  `,
  styleUrl: './lines.css',
})
export class OpenLine {
  protected readonly texts = inject(Texts);
  readonly name = input.required<Sayable>();
  readonly size = input.required<string>();
  /** What does not fit, in a sentence. */
  readonly wrong = input<string>();
  readonly open = input(false);
  readonly toggled = output<void>();
}
