import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { sheetsDrawn, type SheetDrawn, type SheetPiece } from '@lisse/core';
import { Format } from '../state/format';
import { PlanStore } from '../state/plan.store';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { whenIdle } from '../ui/idle-queue';
import { Choice } from '../ui/choice';
import { faceName } from '../ui/words';
import { OrderStore } from './order.store';

/** Sheets of board of one room and the pieces cut from them, for whoever hangs it. */
@Component({
  selector: 'ls-board-sheets',
  imports: [Choice],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="head">
      <h2>{{ texts.t('sheets.title') }}</h2>
      <ls-choice
        class="no-print"
        [label]="texts.t('sheets.room')"
        [options]="rooms()"
        [value]="room()"
        (changed)="view.showRoom($event)"
      />
    </div>
    <p class="soft small">{{ texts.t('sheets.how', { sheets: all().length }) }}</p>
    <ul [attr.aria-label]="texts.t('sheets.label')">
      @for (sheet of sheets(); track sheet.sheet) {
        <li>
          <svg
            [attr.viewBox]="'-4 -4 ' + (longest() + 8) + ' ' + (sheet.widthMm + 8)"
            role="img"
            [attr.aria-label]="named(sheet)"
          >
            <rect class="whole" [attr.width]="sheet.lengthMm" [attr.height]="sheet.widthMm" />
            @for (piece of sheet.pieces; track piece.board) {
              <rect
                class="piece"
                [attr.x]="piece.x"
                [attr.y]="piece.y"
                [attr.width]="piece.lengthMm"
                [attr.height]="piece.widthMm"
              />
              @if (piece.lengthMm > 900 && piece.widthMm > 240) {
                <text [attr.x]="piece.x + 40" [attr.y]="piece.y + 190">{{ face(piece) }}</text>
                @if (piece.widthMm > 440) {
                  <text [attr.x]="piece.x + 40" [attr.y]="piece.y + 390">{{ size(piece) }}</text>
                }
              }
            }
          </svg>
          <span class="soft small">{{
            texts.t('sheets.one', {
              n: sheet.sheet + 1,
              length: format.length(sheet.lengthMm),
              width: format.small(sheet.widthMm),
            })
          }}</span>
        </li>
      }
    </ul>
  `,
  styles: `
    :host {
      display: block;
      border-top: 1px solid var(--line);
      padding: 12px 0;
    }
    .head {
      display: flex;
      gap: var(--gap);
      align-items: end;
    }
    ls-choice {
      width: 230px;
    }
    ul {
      list-style: none;
      padding: 0;
      margin: 8px 0;
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
      gap: var(--close) var(--gap);
    }
    li {
      break-inside: avoid;
    }
    svg {
      display: block;
      width: 100%;
    }
    rect {
      stroke: var(--coat-edge);
      stroke-width: 8;
    }
    .whole {
      fill: var(--hair);
    }
    .piece {
      fill: var(--coat-skim);
      stroke: var(--ink);
    }
    text {
      /* Pieces have the tone of a coat in every theme. */
      fill: #24262b;
      font-size: 165px;
    }
  `,
})
export class BoardSheets {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly view = inject(ViewStore);
  private readonly plans = inject(PlanStore);
  private readonly store = inject(OrderStore);

  private readonly boarded = computed(() =>
    (this.plans.plan()?.rooms ?? []).filter(({ boards }) => boards.length > 0),
  );
  protected readonly rooms = computed(() =>
    this.boarded().map(({ id }) => ({ value: id, name: this.store.roomName(id) })),
  );
  private readonly plan = computed(
    () => this.boarded().find(({ id }) => id === this.view.room()?.id) ?? this.boarded()[0],
  );
  protected readonly room = computed(() => this.plan()?.id ?? '');
  protected readonly all = computed((): SheetDrawn[] => {
    const plan = this.plan();
    return plan ? sheetsDrawn(plan) : [];
  });
  protected readonly sheets = whenIdle(this.all, 12);
  protected readonly longest = computed(() => Math.max(1, ...this.all().map(({ lengthMm }) => lengthMm)));

  protected face({ face }: SheetPiece): string {
    const plan = this.plan();
    return plan ? this.texts.say(faceName(plan, face)) : face;
  }

  protected size = ({ lengthMm, widthMm }: SheetPiece): string =>
    this.texts.t('sheets.size', { length: this.format.small(lengthMm), width: this.format.small(widthMm) });

  protected named = ({ sheet, pieces }: SheetDrawn): string =>
    this.texts.t('sheets.named', {
      n: sheet + 1,
      pieces: pieces.map((piece) => `${this.face(piece)}, ${this.size(piece)}`).join('; '),
    });
}
