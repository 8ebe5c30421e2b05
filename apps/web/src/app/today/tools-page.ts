import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { CARD_IDS, fillOf, toolCard, type CardId, type ToolCard, type ToolId } from '@lisse/core';
import { Format } from '../state/format';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { CardDrawing } from './card-drawing';
import { TodayDesk } from './today-desk';

/** Which tool's fill stands for a card that no task of now asks for. */
const FILLS: Partial<Record<CardId, ToolId>> = {
  knife: 'pan',
  hawk: 'hawk',
  taper: 'taper',
  tube: 'tube',
  box: 'box-250',
};

/** Today, tools: how each is loaded, run, lifted off and cleaned, drawn step by step; those of the task first. */
@Component({
  selector: 'ls-tools-page',
  imports: [CardDrawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page">
      <h1>{{ texts.t('cards.title') }}</h1>
      @for (card of now(); track card.id) {
        <details open [attr.data-card]="card.id">
          <summary>
            {{ texts.say(card.name) }}
            @if (card.fill; as fill) {
              <span class="soft">{{ texts.t('cards.fill', { fill: fill.value }) }}</span>
            }
          </summary>
          <ol>
            @for (step of card.steps; track step.act) {
              <li>
                <ls-card-drawing [card]="card.id" [act]="step.act" />
                <p>
                  <b>{{ texts.say(step.name) }}</b> {{ texts.say(step.text) }}
                </p>
              </li>
            }
          </ol>
        </details>
      }
      <h2>{{ texts.t('cards.others') }}</h2>
      @for (card of others(); track card.id) {
        <details [attr.data-card]="card.id">
          <summary>
            {{ texts.say(card.name) }}
            @if (card.fill; as fill) {
              <span class="soft">{{ texts.t('cards.fill', { fill: fill.value }) }}</span>
            }
          </summary>
          <ol>
            @for (step of card.steps; track step.act) {
              <li>
                <ls-card-drawing [card]="card.id" [act]="step.act" />
                <p>
                  <b>{{ texts.say(step.name) }}</b> {{ texts.say(step.text) }}
                </p>
              </li>
            }
          </ol>
        </details>
      }
      <p class="soft">{{ texts.t('cards.caution') }}</p>
    </div>
  `,
  styleUrl: './today.css',
  styles: `
    .page {
      max-width: 1180px;
      padding: 16px 24px 40px;
    }
    h2 {
      margin: 18px 0 4px;
    }
    summary {
      min-height: 56px;
      align-content: center;
      cursor: pointer;
      font-size: 20px;
      font-weight: 650;
      border-top: 1px solid var(--line);
    }
    summary span {
      font-size: 15px;
      font-weight: 450;
    }
    ol {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
      gap: 10px 24px;
      padding-bottom: 12px;
    }
    li {
      display: grid;
      grid-template-columns: 132px 1fr;
      gap: 12px;
      align-items: center;
    }
    p {
      font-size: 16.5px;
    }
    b {
      display: block;
      font-size: 18px;
    }
    @media (max-width: 760px) {
      .page {
        padding: 12px 14px 28px;
      }
      ol {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class ToolsPage {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  private readonly view = inject(ViewStore);
  private readonly desk = inject(TodayDesk);
  protected readonly now = this.desk.cards;
  protected readonly others = computed((): ToolCard[] => {
    const shown = new Set(this.now().map(({ id }) => id));
    const book = this.view.book();
    return CARD_IDS.filter((id) => !shown.has(id)).map((id) => {
      const tool = FILLS[id];
      return toolCard(id, tool && fillOf(tool, book));
    });
  });
}
