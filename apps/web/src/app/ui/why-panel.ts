import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { say, type Message, type Sayable, type Why, type WhyInput } from '@lisse/core';
import { Popover } from 'primeng/popover';
import { Format } from '../state/format';
import { Texts } from '../state/texts';
import { dressed } from './dressed';

/** The answer to a "why?": the rule, what went into it, and where each part comes from. */
@Component({
  selector: 'ls-why-panel',
  imports: [Popover],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-popover #panel [ariaLabel]="texts.t('why.panel', { of: of() })" (onHide)="closed.emit()">
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
export class WhyPanel {
  protected readonly format = inject(Format);
  protected readonly texts = inject(Texts);
  /** What it stands at. */
  readonly at = input.required<HTMLElement>();
  readonly why = input.required<Why>();
  readonly of = input.required<Sayable>();
  /** Answers why a part is as it is, by its key; without it the answer ends here. */
  readonly below = input<(key: string) => Why | undefined>();
  readonly closed = output();
  private readonly panel = viewChild.required<Popover>('panel');
  /** The keys gone down by. */
  protected readonly trail = signal<readonly string[]>([]);
  protected readonly shown = computed((): Why => {
    const key = this.trail().at(-1);
    return (key === undefined ? undefined : this.below()?.(key)) ?? this.why();
  });

  constructor() {
    dressed();
    afterNextRender(() => this.panel().show(undefined, this.at()));
  }

  protected down({ key = '' }: WhyInput): void {
    if (this.below()?.(key)) this.trail.update((trail) => [...trail, key]);
  }

  protected up(): void {
    this.trail.update((trail) => trail.slice(0, -1));
  }

  protected readonly origin = ({ from, source }: WhyInput): Message =>
    source ? say('origin.rests', { source: say(`source.${source}`) }) : say(`origin.${from}`);
}
