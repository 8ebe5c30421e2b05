import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import {
  arrayOf,
  mirrored,
  outlineOf,
  STOCK,
  SUBSTRATES,
  wallLengths,
  type Counts,
  type Point,
  type Room,
  type RoomPlan,
} from '@lisse/core';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { RoomTemplates } from '../storage/room-templates';
import { AdviceList } from '../ui/advice-list';
import { Cautions } from '../ui/cautions';
import { Choice } from '../ui/choice';
import { MeasureInput } from '../ui/measure-input';
import { SUBSTRATE_NAME } from '../ui/words';
import { CountRoom } from './count-room';
import { DamageList } from './damage-list';
import { FacesEditor } from './faces-editor';
import { OpeningsEditor } from './openings-editor';
import { ShapeEditor } from './shape-editor';
import { WallsEditor } from './walls-editor';

type RectKey = 'lengthMm' | 'widthMm' | 'heightMm';

/** What is known of a room: its size, how it is boarded, its openings, and what it stands in. */
@Component({
  selector: 'ls-room-sheet',
  imports: [
    AdviceList,
    Cautions,
    Choice,
    CountRoom,
    DamageList,
    FacesEditor,
    MeasureInput,
    OpeningsEditor,
    ShapeEditor,
    WallsEditor,
  ],
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

    @if (corner(); as ring) {
      <details>
        <summary>
          Walls <span class="soft">{{ ring.length }}</span>
        </summary>
        <ls-walls [outline]="ring" (changed)="reshape($event)" />
      </details>
    } @else if (rect()) {
      <button type="button" class="link other" (click)="toOutline()">It has another shape</button>
    }

    @if (plan()?.advice; as advice) {
      <ls-advice [items]="advice" />
    }

    @if (drawn()) {
      <details [open]="opening() !== undefined || room().openings.length < 2">
        <summary>
          Openings <span class="soft">{{ room().openings.length || '' }}</span>
        </summary>
        <ls-openings [room]="room()" [picked]="opening()" />
      </details>
      <details [open]="!!room().ceiling">
        <summary>
          Ceiling, boxes, closets <span class="soft">{{ shapes() || '' }}</span>
        </summary>
        <ls-shape [room]="room()" />
      </details>
      <details open>
        <summary>Boards</summary>
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
          <ls-choice
            label="Face"
            [options]="faces"
            [value]="room().substrate"
            (changed)="substrate($event)"
          />
        </div>
        <fieldset>
          <legend class="soft small">Other widths at hand</legend>
          @for (width of otherWidths(); track width.value) {
            <label class="check"
              ><input
                type="checkbox"
                [checked]="room().board.alsoWidthsMm?.includes(width.value)"
                (change)="also(width.value)"
              />{{ width.name }}</label
            >
          }
        </fieldset>
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
        @if (sheets(); as words) {
          <p class="small soft">{{ words }}</p>
        }
      </details>
      @if (plan(); as made) {
        <details>
          <summary>
            Single faces <span class="soft">{{ own() || '' }}</span>
          </summary>
          <ls-faces [room]="room()" [plan]="made" />
        </details>
        <details [open]="placing()">
          <summary>
            Damage <span class="soft">{{ room().damage?.length || '' }}</span>
          </summary>
          <ls-damage [room]="room()" [plan]="made" [placing]="placing()" (place)="place.emit($event)" />
        </details>
      }
    }
    <details [open]="!drawn()">
      <summary>{{ drawn() ? 'Counted besides' : 'Counted' }}</summary>
      <ls-count-room [counts]="room().counts ?? none" (changed)="count($event)" />
    </details>
    <label class="check"
      ><input type="checkbox" [checked]="room().oldWork === true" (change)="flag('oldWork')" />Old texture,
      compound or paint is disturbed</label
    >
    <label class="check"
      ><input type="checkbox" [checked]="room().rated === true" (change)="flag('rated')" />Rated wall or
      ceiling</label
    >

    <label class="check"
      ><input type="checkbox" [checked]="room().damp === true" (change)="flag('damp')" />Damp room</label
    >

    <ls-cautions place="rooms" />
    <div class="row">
      <button type="button" class="quiet" (click)="duplicated.emit()">Duplicate room</button>
      @if (drawn()) {
        <button type="button" class="quiet" (click)="mirror()">Mirror room</button>
      }
      <button type="button" class="quiet" [attr.aria-expanded]="copying()" (click)="copying.set(!copying())">
        Copies …
      </button>
      <button type="button" class="quiet" (click)="keep()">Keep as template</button>
      <button type="button" class="quiet" (click)="removed.emit()">Delete room</button>
    </div>
    @if (copying()) {
      <form
        class="two"
        aria-label="Copies"
        (submit)="$event.preventDefault(); copies(first.value, count.value)"
      >
        <label class="field"
          ><span>First name</span><input #first type="text" [value]="nextName()" maxlength="190"
        /></label>
        <label class="field"
          ><span>How many</span><input #count type="number" min="1" max="200" value="4"
        /></label>
        <label class="check"
          ><input type="checkbox" [checked]="alternate()" (change)="alternate.set(!alternate())" />Mirror
          every other</label
        >
        <button type="submit" class="act">Add copies</button>
      </form>
    }
    @if (said(); as words) {
      <p class="small" role="status">{{ words }}</p>
    }
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
      flex-wrap: wrap;
      gap: 8px;
    }
    .other {
      justify-self: start;
    }
    details {
      border-top: 1px solid var(--hair);
      padding-top: 8px;
    }
    summary {
      font-weight: 650;
      font-size: 13px;
      cursor: pointer;
      padding: 2px 0;
    }
    details > :not(summary) {
      margin-top: 8px;
      display: block;
    }
    details > .two {
      display: grid;
    }
    details > fieldset {
      display: flex;
    }
    @media (max-width: 760px) {
      summary {
        min-height: 44px;
        line-height: 40px;
        font-size: 15px;
      }
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
  private readonly templates = inject(RoomTemplates);

  readonly room = input.required<Room>();
  readonly plan = input<RoomPlan>();
  /** The opening picked on the drawing. */
  readonly opening = input<string>();
  readonly placing = input(false);
  readonly place = output<boolean>();
  readonly removed = output<void>();
  readonly duplicated = output<void>();

  protected readonly directions = [
    { value: 'across' as const, name: 'across studs' },
    { value: 'upright' as const, name: 'upright' },
    { value: 'least-butt' as const, name: 'least butt' },
  ];
  protected readonly framings = [
    { value: 'length' as const, name: 'along length' },
    { value: 'width' as const, name: 'along width' },
  ];
  protected readonly faces = SUBSTRATES.map((value) => ({ value, name: SUBSTRATE_NAME[value] }));
  protected readonly rect = computed(() => {
    const plan = this.room().plan;
    return 'lengthMm' in plan ? plan : undefined;
  });
  /** The corners of a room that is no rectangle. */
  protected readonly corner = computed(() => {
    const plan = this.room().plan;
    return 'outline' in plan ? plan.outline : undefined;
  });
  protected readonly none: Counts = { mm: {} };
  protected readonly drawn = computed(() => !('counted' in this.room().plan));
  protected readonly shapes = computed(
    () => (this.room().boxes?.length ?? 0) + (this.room().closets?.length ?? 0),
  );
  protected readonly own = computed(() => Object.keys(this.room().faces ?? {}).length);
  protected readonly copying = signal(false);
  protected readonly alternate = signal(false);
  protected readonly said = signal('');
  protected readonly nextName = computed(() => {
    const [, stem = '', digits = ''] = /^(.*?)(\d*)$/.exec(this.room().name) ?? [];
    return digits === '' ? `${stem} 2` : `${stem}${String(Number(digits) + 1).padStart(digits.length, '0')}`;
  });
  /** What is bought for this room, and what comes of offcuts. */
  protected readonly sheets = computed(() => {
    const plan = this.plan();
    if (!plan || plan.boards.length === 0) return '';
    const bought = plan.sheets.bought
      .map((s) => `${s.count} of ${this.format.small(s.widthMm)} × ${this.format.small(s.lengthMm)}`)
      .join(', ');
    const offcuts = plan.boards.filter((board) => board.offcut).length;
    const area = plan.sheets.bought.reduce((sum, s) => sum + (s.count * s.widthMm * s.lengthMm) / 1e6, 0);
    const waste = this.format.percent(area > 0 ? plan.sheets.wasteM2 / area : 0);
    return `${bought}; ${offcuts} of ${plan.boards.length} pieces from offcuts, ${waste} waste.`;
  });
  protected readonly corners = computed(() => wallLengths(this.room()).length);
  protected readonly widths = computed(() =>
    this.sizes(STOCK[this.format.units()].widths, [this.room().board.widthMm]),
  );
  protected readonly otherWidths = computed(() =>
    this.widths().filter(({ value }) => value !== this.room().board.widthMm),
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

  protected reshape(outline: Point[] | undefined): void {
    if (!outline) return;
    this.change(
      'Change the walls',
      (room) => {
        if ('outline' in room.plan) room.plan.outline = outline.map((p) => [...p] as const);
      },
      'outline',
    );
  }

  /** A rectangle becomes an outline of four walls, to be changed wall by wall. */
  protected toOutline(): void {
    this.change('Change the walls', (room) => {
      room.plan = { outline: outlineOf(room.plan), heightMm: room.plan.heightMm };
    });
  }

  /** Another board width at hand, for the faces it suits better. */
  protected also(mm: number): void {
    this.change('Change the board widths', ({ board }) => {
      const rest = (board.alsoWidthsMm ?? []).filter((width) => width !== mm);
      if (rest.length === (board.alsoWidthsMm ?? []).length) rest.push(mm);
      if (rest.length > 0) board.alsoWidthsMm = rest;
      else delete board.alsoWidthsMm;
    });
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

  protected count(counts: Counts): void {
    const { mm, ...rest } = counts;
    const kept = Object.fromEntries(Object.entries(mm).filter(([, length]) => length > 0));
    const empty = Object.keys(kept).length === 0 && Object.keys(rest).length === 0;
    this.change(
      'Count joints',
      (room) => {
        if (empty && !('counted' in room.plan)) delete room.counts;
        else room.counts = { ...rest, mm: { ...kept } };
      },
      'counts',
    );
  }

  protected mirror(): void {
    const loses = this.room().joints !== undefined || this.room().damage !== undefined;
    this.change('Mirror the room', (room) => {
      const other = mirrored(room);
      for (const key of ['joints', 'damage'] as const) delete room[key];
      Object.assign(room, other);
    });
    this.said.set(
      loses ? 'Mirrored. What was measured on the other side is let go; undo brings it back.' : 'Mirrored.',
    );
  }

  protected copies(name: string, count: string): void {
    const n = Math.min(200, Math.max(1, Math.round(Number(count)) || 1));
    const rooms = arrayOf(this.room(), n, name.trim() || this.nextName(), this.alternate(), () =>
      crypto.randomUUID(),
    );
    const after = this.room().id;
    this.jobs.edit(`Add ${n} copies`, (job) => {
      const i = job.rooms.findIndex((room) => room.id === after);
      job.rooms.splice(i + 1, 0, ...structuredClone(rooms));
    });
    this.copying.set(false);
    this.said.set(`${n} rooms added, ${rooms[0]?.name ?? ''} to ${rooms.at(-1)?.name ?? ''}.`);
  }

  protected keep(): void {
    void this.templates.keep(this.room()).then(
      () => this.said.set('Kept: it is offered wherever a room is added.'),
      () => this.said.set('The browser could not keep it.'),
    );
  }

  protected flag(key: 'oldWork' | 'rated' | 'damp'): void {
    const label = { rated: 'Rated or not', oldWork: 'Old work or not', damp: 'Damp or not' }[key];
    this.change(label, (room) => (room[key] = room[key] !== true));
  }
}
