import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { Sayable, Why } from '@lisse/core';
import { Texts } from '../state/texts';
import { WhyButton } from './why';

/** One of the few figures a place is about: what it is, the figure, and why it is so. What qualifies it stands under it. */
@Component({
  selector: 'ls-key-figure',
  imports: [WhyButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (label(); as label) {
      <p class="soft">{{ texts.say(label) }}</p>
    }
    <p class="figure big" [class.over]="over()" [class.largest]="largest()">
      {{ texts.say(value()) }}
      @if (why(); as why) {
        <ls-why [why]="why" [of]="of() ?? label()" />
      }
    </p>
    <ng-content />
  `,
  styles: `
    :host {
      display: block;
    }
    .big {
      font-size: var(--head);
      margin-bottom: 6px;
    }
    .largest {
      font-size: var(--figure);
    }
    .over {
      color: var(--stop);
    }
  `,
})
export class KeyFigure {
  protected readonly texts = inject(Texts);
  readonly label = input<Sayable>('');
  readonly value = input.required<Sayable>();
  readonly why = input<Why>();
  /** What the figure is, for the name of "why?"; its label where none is given. */
  readonly of = input<Sayable>();
  /** More than there may be. */
  readonly over = input(false);
  readonly largest = input(false);
}
