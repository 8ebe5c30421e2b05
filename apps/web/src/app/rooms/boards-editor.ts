import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { STOCK, SUBSTRATES, say, type Room, type RoomPlan } from '@lisse/core';
import { Texts } from '../state/texts';
import { Check } from '../ui/check';
import { Format } from '../state/format';
import { JobStore, type Deed } from '../state/job.store';
import { inTurn } from '../ui/idle-queue';
import { Choice } from '../ui/choice';

/** How a room is boarded, what is at hand for it, and what that buys. */
@Component({
  selector: 'ls-boards',
  imports: [Check, Choice],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="two">
      <ls-choice
        [label]="texts.t('boards.walls')"
        [options]="directions"
        [value]="room().board.walls"
        (changed)="board('walls', $event)"
      />
      @if (turn() > 0) {
        <ls-choice
          [label]="texts.t('boards.ceiling-framing')"
          [options]="framings"
          [value]="room().framing.ceilingAlong"
          (changed)="framing($event)"
        />
      }
      @if (turn() > 1) {
        <ls-choice
          [label]="texts.t('boards.board-width')"
          [options]="widths()"
          [value]="room().board.widthMm"
          (changed)="board('widthMm', $event)"
        />
      }
      @if (turn() > 2) {
        <ls-choice
          [label]="texts.t('boards.room-surfaces')"
          [options]="faces"
          [value]="room().substrate"
          (changed)="substrate($event)"
        />
      }
    </div>
    @if (turn() > 3) {
      <fieldset>
        <legend class="soft small">{{ texts.t('boards.other-widths-stock') }}</legend>
        @for (width of otherWidths(); track width.value) {
          <ls-check [on]="room().board.alsoWidthsMm?.includes(width.value)" (turned)="also(width.value)">{{
            width.name
          }}</ls-check>
        }
      </fieldset>
      <fieldset>
        <legend class="soft small">{{ texts.t('boards.stock-lengths') }}</legend>
        @for (length of lengths(); track length.value) {
          <ls-check
            [on]="has(length.value)"
            [disabled]="has(length.value) && room().board.lengthsMm.length === 1"
            (turned)="stock(length.value)"
            >{{ length.name }}</ls-check
          >
        }
      </fieldset>
    }
    @if (sheets(); as words) {
      <p class="small soft">{{ words }}</p>
    }
  `,
  styleUrl: './sheet.css',
})
export class BoardsEditor {
  protected readonly texts = inject(Texts);
  private readonly jobs = inject(JobStore);
  private readonly format = inject(Format);
  /** How it hangs first, then what is at hand: the page answers between them. */
  protected readonly turn = inTurn(4);

  readonly room = input.required<Room>();
  readonly plan = input<RoomPlan>();

  /** Apart from the room, so that what is offered is made anew only where it changes. */
  private readonly now = computed(() => this.room().board);
  protected readonly directions = [
    { value: 'across' as const, name: say('boards.across-studs') },
    { value: 'upright' as const, name: say('boards.upright') },
    { value: 'least-butt' as const, name: say('boards.fewest-butts') },
  ];
  protected readonly framings = [
    { value: 'length' as const, name: say('boards.along-length') },
    { value: 'width' as const, name: say('boards.along-width') },
  ];
  protected readonly faces = SUBSTRATES.map((value) => ({ value, name: say(`substrate.${value}`) }));
  /** What is bought for this room by itself, and what comes of offcuts; Order cuts all rooms together. */
  protected readonly sheets = computed(() => {
    const plan = this.plan();
    if (!plan || plan.boards.length === 0) return '';
    const bought = plan.sheets.bought
      .map((s) =>
        this.texts.t('boards.bought-one', {
          count: s.count,
          width: this.format.small(s.widthMm),
          length: this.format.small(s.lengthMm),
        }),
      )
      .join(', ');
    const offcuts = plan.boards.filter((board) => board.offcut).length;
    const waste = this.format.percent(plan.sheets.wasteM2 / plan.sheets.boughtM2);
    return this.texts.t('boards.bought', { bought, offcuts, pieces: plan.boards.length, waste });
  });
  protected readonly widths = computed(() =>
    this.sizes(STOCK[this.format.units()].widths, [this.now().widthMm]),
  );
  protected readonly otherWidths = computed(() =>
    this.widths().filter(({ value }) => value !== this.now().widthMm),
  );
  protected readonly lengths = computed(() =>
    this.sizes(STOCK[this.format.units()].lengths, this.now().lengthsMm),
  );

  /** Usual sizes and those in use, each once. */
  private sizes(usual: readonly number[], used: readonly number[]): { value: number; name: string }[] {
    return [...new Set([...usual, ...used])]
      .sort((a, b) => a - b)
      .map((value) => ({ value, name: this.format.small(value) }));
  }

  protected has = (mm: number): boolean => this.room().board.lengthsMm.includes(mm);

  private change(label: Deed, recipe: (room: Room) => void): void {
    this.jobs.editRoom(this.room().id, label, recipe);
  }

  /** Another board width at hand, for the faces it suits better. */
  protected also(mm: number): void {
    this.change('undo.change-board-widths', ({ board }) => {
      const rest = (board.alsoWidthsMm ?? []).filter((width) => width !== mm);
      if (rest.length === (board.alsoWidthsMm ?? []).length) rest.push(mm);
      if (rest.length > 0) board.alsoWidthsMm = rest;
      else delete board.alsoWidthsMm;
    });
  }

  protected board<K extends 'walls' | 'widthMm'>(key: K, value: Room['board'][K]): void {
    this.change('undo.change-boards', (room) => (room.board[key] = value));
  }

  protected framing(value: 'length' | 'width'): void {
    this.change('undo.change-ceiling-framing', (room) => (room.framing.ceilingAlong = value));
  }

  protected substrate(value: Room['substrate']): void {
    this.change('undo.change-face', (room) => (room.substrate = value));
  }

  protected stock(mm: number): void {
    this.change('undo.change-stock-lengths', ({ board }) => {
      const rest = board.lengthsMm.filter((length) => length !== mm);
      if (rest.length === board.lengthsMm.length) board.lengthsMm = [...rest, mm].sort((a, b) => a - b);
      else if (rest.length > 0) board.lengthsMm = rest;
    });
  }
}
