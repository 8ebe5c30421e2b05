import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { CARD_IDS, fillOf, toolCard, type CardId, type ToolCard, type ToolId } from '@lisse/core';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';

import { TodayStore } from './today.store';
import { ToolCardView } from './tool-card';

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
  imports: [ToolCardView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page">
      <h1>{{ texts.t('cards.title') }}</h1>
      @for (card of now(); track card.id) {
        <ls-tool-card [card]="card" [open]="true" />
      }
      <h2>{{ texts.t('cards.others') }}</h2>
      @for (card of others(); track card.id) {
        <ls-tool-card [card]="card" />
      }
      <p class="soft">{{ texts.t('cards.caution') }}</p>
    </div>
  `,
  styleUrl: '../ui/large.css',
  styles: `
    .page {
      max-width: 1180px;
      padding: 16px 24px 40px;
    }
    h2 {
      margin: 18px 0 4px;
    }
    @media screen and (max-width: 760px) {
      .page {
        padding: 12px 14px 28px;
      }
    }
  `,
})
export class ToolsPage {
  protected readonly texts = inject(Texts);
  private readonly view = inject(ViewStore);
  private readonly store = inject(TodayStore);
  protected readonly now = this.store.cards;
  protected readonly others = computed((): ToolCard[] => {
    const shown = new Set(this.now().map(({ id }) => id));
    const book = this.view.book();
    return CARD_IDS.filter((id) => !shown.has(id)).map((id) => {
      const tool = FILLS[id];
      return toolCard(id, tool && fillOf(tool, book));
    });
  });
}
