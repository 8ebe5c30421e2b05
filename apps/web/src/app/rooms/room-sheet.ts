import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { SUBSTRATES, wallLengths, type Room, type RoomPlan } from '@lisse/core';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { AdviceList } from '../ui/advice-list';
import { Cautions } from '../ui/cautions';
import { Choice } from '../ui/choice';
import { MeasureInput } from '../ui/measure-input';
import { SUBSTRATE_NAME } from '../ui/words';
import { OpeningsEditor } from './openings-editor';

type RectKey = 'lengthMm' | 'widthMm' | 'heightMm';

/** Board widths and stock lengths as sold, mm, by system. */
const STOCK = {
  feet: { widths: [1219.2, 1371.6], lengths: [2438.4, 3048, 3657.6, 4267.2] },
  metric: { widths: [900, 1200], lengths: [2400, 2500, 2700, 3000, 3600] },
};

/** What is known of a room: its size, how it is boarded, its openings, and what it stands in. */
@Component({
  selector: 'ls-room-sheet',
  imports: [MeasureInput, Choice, OpeningsEditor, AdviceList, Cautions],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="field">
      <span>Room</span>
      <input
        class="name"
        type="text"
        maxlength="200"
        [value]="room().name"
        (change)="rename($any($event.target))"
      />
    </label>

    <div class="three">
      @if (rect(); as plan) {
        <ls-measure label="Length" [mm]="plan.lengthMm" [min]="300" (changed)="size('lengthMm', $event)" />
        <ls-measure label="Width" [mm]="plan.widthMm" [min]="300" (changed)="size('widthMm', $event)" />
      } @else {
        <p class="shape"><span class="soft small">Plan</span>{{ corners() }} corners</p>
      }
      <ls-measure
        label="Height"
        [mm]="room().plan.heightMm"
        [min]="300"
        [max]="30000"
        (changed)="size('heightMm', $event)"
      />
    </div>

    @if (plan()?.advice; as advice) {
      <ls-advice [items]="advice" />
    }

    <ls-openings [room]="room()" />

    <h3>Boards</h3>
    <div class="two">
      <ls-choice
        label="On walls"
        [options]="directions"
        [value]="room().board.walls"
        (changed)="board('walls', $event)"
      />
      <ls-choice
        label="Ceiling framing"
        [options]="framings"
        [value]="room().framing.ceilingAlong"
        (changed)="framing($event)"
      />
      <ls-choice
        label="Board width"
        [options]="widths()"
        [value]="room().board.widthMm"
        (changed)="board('widthMm', $event)"
      />
      <ls-choice label="Face" [options]="faces" [value]="room().substrate" (changed)="substrate($event)" />
    </div>
    <fieldset>
      <legend class="soft small">Stock lengths</legend>
      @for (length of lengths(); track length.value) {
        <label class="check"
          ><input
            type="checkbox"
            [checked]="has(length.value)"
            [disabled]="has(length.value) && room().board.lengthsMm.length === 1"
            (change)="stock(length.value)"
          />{{ length.name }}</label
        >
      }
    </fieldset>
    <label class="check"
      ><input type="checkbox" [checked]="room().oldWork === true" (change)="flag('oldWork')" />Old texture,
      compound or paint is disturbed</label
    >
    <label class="check"
      ><input type="checkbox" [checked]="room().rated === true" (change)="flag('rated')" />Rated wall or
      ceiling</label
    >

    <ls-cautions place="rooms" />
    <div class="row">
      <button type="button" class="quiet" (click)="duplicated.emit()">Duplicate room</button>
      <button type="button" class="quiet" (click)="removed.emit()">Delete room</button>
    </div>
  `,
  styles: `
    :host {
      display: grid;
      gap: 12px;
    }
    .name {
      font-weight: 650;
    }
    .three {
      display: grid;
      grid-template-columns: repeat(3, minmax(0, 1fr));
      gap: 8px;
      align-items: start;
    }
    .two {
      display: grid;
      grid-template-columns: repeat(2, minmax(0, 1fr));
      gap: 8px;
    }
    .shape {
      grid-column: span 2;
      display: flex;
      flex-direction: column;
      gap: 8px;
    }
    fieldset {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 12px;
    }
    legend {
      padding: 0;
    }
    .check {
      display: flex;
      gap: 6px;
      align-items: center;
      font-size: 13px;
      min-height: 26px;
    }
    .check input {
      accent-color: var(--accent);
      width: 16px;
      height: 16px;
    }
    .row {
      display: flex;
      gap: 8px;
    }
    @media (max-width: 760px) {
      .check {
        min-height: 44px;
        font-size: 15px;
      }
    }
  `,
})
export class RoomSheet {
  private readonly jobs = inject(JobStore);
  private readonly format = inject(Format);

  readonly room = input.required<Room>();
  readonly plan = input<RoomPlan>();
  readonly removed = output<void>();
  readonly duplicated = output<void>();

  protected readonly directions = [
    { value: 'across' as const, name: 'across studs' },
    { value: 'upright' as const, name: 'upright' },
  ];
  protected readonly framings = [
    { value: 'length' as const, name: 'along length' },
    { value: 'width' as const, name: 'along width' },
  ];
  protected readonly faces = SUBSTRATES.map((value) => ({ value, name: SUBSTRATE_NAME[value] }));
  protected readonly rect = computed(() => {
    const plan = this.room().plan;
    return 'outline' in plan ? undefined : plan;
  });
  protected readonly corners = computed(() => wallLengths(this.room()).length);
  protected readonly widths = computed(() =>
    this.sizes(STOCK[this.format.units()].widths, [this.room().board.widthMm]),
  );
  protected readonly lengths = computed(() =>
    this.sizes(STOCK[this.format.units()].lengths, this.room().board.lengthsMm),
  );

  /** Usual sizes and those in use, each once. */
  private sizes(usual: readonly number[], used: readonly number[]): { value: number; name: string }[] {
    return [...new Set([...usual, ...used])]
      .sort((a, b) => a - b)
      .map((value) => ({ value, name: this.format.small(value) }));
  }

  protected has = (mm: number): boolean => this.room().board.lengthsMm.includes(mm);

  private change(label: string, recipe: (room: Room) => void, key = ''): void {
    this.jobs.editRoom(this.room().id, label, recipe, key);
  }

  protected rename(field: HTMLInputElement): void {
    const name = field.value.trim();
    if (name === '') field.value = this.room().name;
    else this.change('Rename the room', (room) => (room.name = name));
  }

  protected size(key: RectKey, mm: number): void {
    this.change(
      'Change the room size',
      (room) => {
        if (key === 'heightMm' || !('outline' in room.plan)) (room.plan as Record<RectKey, number>)[key] = mm;
      },
      key,
    );
  }

  protected board<K extends 'walls' | 'widthMm'>(key: K, value: Room['board'][K]): void {
    this.change('Change the boards', (room) => (room.board[key] = value));
  }

  protected framing(value: 'length' | 'width'): void {
    this.change('Change the ceiling framing', (room) => (room.framing.ceilingAlong = value));
  }

  protected substrate(value: Room['substrate']): void {
    this.change('Change the face', (room) => (room.substrate = value));
  }

  protected stock(mm: number): void {
    this.change('Change the stock lengths', ({ board }) => {
      const rest = board.lengthsMm.filter((length) => length !== mm);
      if (rest.length === board.lengthsMm.length) board.lengthsMm = [...rest, mm].sort((a, b) => a - b);
      else if (rest.length > 0) board.lengthsMm = rest;
    });
  }

  protected flag(key: 'oldWork' | 'rated'): void {
    this.change(
      key === 'rated' ? 'Rated or not' : 'Old work or not',
      (room) => (room[key] = room[key] !== true),
    );
  }
}
