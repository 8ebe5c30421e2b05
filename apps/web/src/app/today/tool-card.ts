import { booleanAttribute, ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { ToolCard } from '@lisse/core';
import { Texts } from '../state/texts';
import { CardDrawing } from './card-drawing';

/** One tool or move of the hand: its steps, each drawn and told; folded away where the task does not ask for it. */
@Component({
  selector: 'ls-tool-card',
  imports: [CardDrawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details [open]="open()">
      <summary>
        {{ texts.say(card().name) }}
        @if (card().fill; as fill) {
          <span class="soft">{{ texts.t('cards.fill', { fill: fill.value }) }}</span>
        }
      </summary>
      <ol>
        @for (step of card().steps; track step.act) {
          <li>
            <ls-card-drawing [card]="card().id" [act]="step.act" />
            <p>
              <b>{{ texts.say(step.name) }}</b> {{ texts.say(step.text) }}
            </p>
          </li>
        }
      </ol>
    </details>
  `,
  styles: `
    summary {
      min-height: 56px;
      align-content: center;
      cursor: pointer;
      font-size: var(--title);
      font-weight: 650;
      border-top: 1px solid var(--line);
    }
    summary span {
      font-size: var(--lead);
      font-weight: 450;
    }
    ol {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
      gap: var(--close) var(--gap);
      padding-bottom: 12px;
    }
    li {
      display: grid;
      grid-template-columns: 132px 1fr;
      gap: var(--apart);
      align-items: center;
    }
    p {
      font-size: var(--large);
    }
    b {
      display: block;
      font-size: var(--title);
    }
    @media screen and (max-width: 760px) {
      ol {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class ToolCardView {
  protected readonly texts = inject(Texts);
  readonly card = input.required<ToolCard>();
  readonly open = input(false, { transform: booleanAttribute });
}
