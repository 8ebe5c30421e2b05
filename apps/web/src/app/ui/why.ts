import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { say, type Message, type Sayable, type Why, type WhyInput } from '@lisse/core';
import { Popover } from 'primeng/popover';
import { Texts } from '../state/texts';
import { Format } from '../state/format';

/** "Why?" beside a figure: the rule, what went into it, and where each part comes from. */
@Component({
  selector: 'ls-why',
  imports: [Popover],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button
      type="button"
      class="link no-print"
      [attr.aria-label]="texts.t('why.of', { of: of() })"
      (click)="panel.toggle($event)"
    >
      {{ texts.t('why') }}
    </button>
    <p-popover #panel [ariaLabel]="texts.t('why.panel', { of: of() })">
      @if (trail().length > 0) {
        <button type="button" class="link back" (click)="up()">{{ texts.t('why.up') }}</button>
      }
      <p class="rule-text" role="status">{{ texts.say(shown().rule) }}</p>
      <div class="parts" tabindex="0" role="group" [attr.aria-label]="texts.t('why.parts')">
        <dl>
          @for (part of shown().inputs; track $index) {
            <dt>
              @if (part.key && below()) {
                <button type="button" class="link" (click)="down(part)">{{ texts.say(part.label) }}</button>
              } @else {
                {{ texts.say(part.label) }}
              }
            </dt>
            <dd>
              <span class="figure">{{ format.input(part) }}</span>
              <span class="origin" [class.typical]="part.from === 'typical'">{{
                texts.say(origin(part))
              }}</span>
            </dd>
          }
        </dl>
      </div>
    </p-popover>
  `,
  styles: `
    .rule-text {
      font-weight: 550;
      max-width: 340px;
    }
    .parts {
      margin-top: 10px;
      max-height: 320px;
      overflow: auto;
    }
    dl {
      display: grid;
      grid-template-columns: 1fr auto;
      gap: var(--near) var(--gap);
      font-size: var(--text);
    }
    dt {
      color: var(--soft);
    }
    dt .link,
    .back {
      padding: 0;
      min-height: 0;
      text-align: left;
    }
    dd {
      display: flex;
      gap: var(--close);
      justify-content: flex-end;
      align-items: baseline;
    }
    .origin {
      font-size: var(--small);
      color: var(--soft);
      min-width: 62px;
      max-width: 150px;
      text-align: right;
    }
    .typical {
      color: var(--caution);
    }
  `,
})
export class WhyButton {
  protected readonly format = inject(Format);
  protected readonly texts = inject(Texts);
  readonly why = input.required<Why>();
  /** What the figure is, for the button's name. */
  readonly of = input.required<Sayable>();
  /** Answers why a part is as it is, by its key; without it the answer ends here. */
  readonly below = input<(key: string) => Why | undefined>();
  /** The keys gone down by. */
  protected readonly trail = signal<readonly string[]>([]);
  protected readonly shown = computed((): Why => {
    const key = this.trail().at(-1);
    return (key === undefined ? undefined : this.below()?.(key)) ?? this.why();
  });

  protected down({ key = '' }: WhyInput): void {
    if (this.below()?.(key)) this.trail.update((trail) => [...trail, key]);
  }

  protected up(): void {
    this.trail.update((trail) => trail.slice(0, -1));
  }

  protected readonly origin = ({ from, source }: WhyInput): Message =>
    source ? say('origin.rests', { source: say(`source.${source}`) }) : say(`origin.${from}`);
}
