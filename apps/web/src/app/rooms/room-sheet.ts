import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  outlineOf,
  wallLengths,
  LIMITS,
  type Counts,
  type Point,
  type Room,
  type RoomPlan,
} from '@lisse/core';
import { Check } from '../ui/check';
import { TextInput } from '../ui/text-input';
import { JobStore, type Deed } from '../state/job.store';
import { Texts } from '../state/texts';
import { AdviceList } from '../ui/advice-list';
import { inTurn } from '../ui/idle-queue';
import { Cautions } from '../ui/cautions';
import { MeasureInput } from '../ui/measure-input';
import { NumberInput } from '../ui/number-input';
import { BoardsEditor } from './boards-editor';
import { CountRoom } from './count-room';
import { DamageList } from './damage-list';
import { FacesEditor } from './faces-editor';
import { OpeningsEditor } from './openings-editor';
import { RoomCopies } from './room-copies';
import { ShapeEditor } from './shape-editor';
import { WallsEditor } from './walls-editor';

type RectKey = 'lengthMm' | 'widthMm' | 'heightMm';

/** What is known of a room: its size, how it is boarded, its openings, and what it stands in. */
@Component({
  selector: 'ls-room-sheet',
  imports: [
    AdviceList,
    BoardsEditor,
    Cautions,
    Check,
    CountRoom,
    DamageList,
    FacesEditor,
    MeasureInput,
    NumberInput,
    OpeningsEditor,
    RoomCopies,
    ShapeEditor,
    TextInput,
    WallsEditor,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ls-text
      class="name"
      [label]="texts.t('room.room')"
      [needed]="true"
      [value]="room().name"
      (changed)="rename($event)"
    />

    <div class="three">
      @if (rect(); as plan) {
        <ls-measure
          [label]="texts.t('room.length')"
          [mm]="plan.lengthMm"
          [limit]="limits.room.lengthMm"
          (changed)="size('lengthMm', $event)"
        />
        <ls-measure
          [label]="texts.t('room.width')"
          [mm]="plan.widthMm"
          [limit]="limits.room.widthMm"
          (changed)="size('widthMm', $event)"
        />
      } @else {
        <p class="shape">
          <span class="soft small">{{ texts.t('room.plan') }}</span>{{
            texts.t('room.corners', { corners: corners() })
          }}
        </p>
      }
      <ls-measure
        [label]="texts.t('room.height')"
        [mm]="room().plan.heightMm"
        [limit]="limits.room.heightMm"
        (changed)="size('heightMm', $event)"
      />
    </div>

    @if (corner(); as ring) {
      <details>
        <summary #wallsHead>
          {{ texts.t('room.walls') }} <span class="soft">{{ ring.length }}</span>
        </summary>
        @defer (on interaction(wallsHead)) {
          <ls-walls [outline]="ring" (changed)="reshape($event)" />
        }
      </details>
    } @else if (rect()) {
      <button type="button" class="link other" (click)="toOutline()">
        {{ texts.t('room.change-shape-wall') }}
      </button>
    }

    @if (plan()?.advice; as advice) {
      <ls-advice [items]="advice" />
    }

    @if (drawn() && turn() > 0) {
      <details [open]="opening() !== undefined || room().openings.length < 2">
        <summary #openingsHead>
          {{ texts.t('room.openings') }} <span class="soft">{{ room().openings.length || '' }}</span>
        </summary>
        @defer (when opening() !== undefined || room().openings.length < 2; on interaction(openingsHead)) {
          <ls-openings [room]="room()" [picked]="opening()" />
        }
      </details>
      <details [open]="!!room().ceiling">
        <summary #shapeHead>
          {{ texts.t('room.ceiling-soffits-closets') }} <span class="soft">{{ shapes() || '' }}</span>
        </summary>
        @defer (when !!plan() && !!room().ceiling; on interaction(shapeHead)) {
          <ls-shape [room]="room()" />
        }
      </details>
      <details open>
        <summary>{{ texts.t('room.boards') }}</summary>
        @defer (when !!plan()) {
          <ls-boards [room]="room()" [plan]="plan()" />
        }
      </details>
      @if (plan(); as made) {
        <details>
          <summary #facesHead>
            {{ texts.t('room.individual-walls-ceilings') }} <span class="soft">{{ own() || '' }}</span>
          </summary>
          @defer (on interaction(facesHead)) {
            <ls-faces [room]="room()" [plan]="made" />
          }
        </details>
        <details [open]="placing()">
          <summary #damageHead>
            {{ texts.t('room.damage') }} <span class="soft">{{ room().damage?.length || '' }}</span>
          </summary>
          @defer (when placing(); on interaction(damageHead)) {
            <ls-damage [room]="room()" [plan]="made" [placing]="placing()" (place)="place.emit($event)" />
          }
        </details>
      }
    }
    @if (turn() > 1) {
      <details [open]="!drawn()">
        <summary #countHead>{{ texts.t(drawn() ? 'room.also-counted' : 'room.counted') }}</summary>
        @defer (when !drawn(); on interaction(countHead)) {
          <ls-count-room [counts]="room().counts ?? none" (changed)="count($event)" />
        }
      </details>
      <ls-check [on]="room().standing" (turned)="flag('standing')">{{ texts.t('room.standing') }}</ls-check>
      <ls-check [on]="room().oldWork" (turned)="flag('oldWork')">{{
        texts.t('room.old-texture-compound')
      }}</ls-check>
      @if (room().oldWork || room().oldClear) {
        <ls-check [on]="room().oldClear" (turned)="flag('oldClear')">{{
          texts.t('room.tested-by-licensed')
        }}</ls-check>
      }
      <ls-check [on]="room().rated" (turned)="flag('rated')">{{ texts.t('room.fire-rated-wall') }}</ls-check>

      <ls-number
        [label]="texts.t('room.storey')"
        [whole]="true"
        [optional]="true"
        [limit]="limits.room.storey"
        [value]="room().storey"
        (changed)="setStorey($event)"
      />
      <ls-check [on]="room().damp" (turned)="flag('damp')">{{ texts.t('room.damp-room') }}</ls-check>
      <ls-check [on]="room().garage" (turned)="flag('garage')">{{
        texts.t('room.garage-next-one')
      }}</ls-check>
    }

    @defer (on idle) {
      <ls-cautions place="rooms" />
      <ls-room-copies [room]="room()" (removed)="removed.emit()" (duplicated)="duplicated.emit()" />
    }
  `,
  styleUrl: './sheet.css',
})
export class RoomSheet {
  protected readonly limits = LIMITS;
  protected readonly texts = inject(Texts);
  private readonly jobs = inject(JobStore);

  /** Its boards and faces, then what else is to be said of it, come a turn later each. */
  protected readonly turn = inTurn(2);

  readonly room = input.required<Room>();
  readonly plan = input<RoomPlan>();
  /** The opening picked on the drawing. */
  readonly opening = input<string>();
  readonly placing = input(false);
  readonly place = output<boolean>();
  readonly removed = output<void>();
  readonly duplicated = output<void>();

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
  protected readonly corners = computed(() => wallLengths(this.room()).length);
  private change(label: Deed, recipe: (room: Room) => void, key = ''): void {
    this.jobs.editRoom(this.room().id, label, recipe, key);
  }

  protected rename(name: string): void {
    this.change('undo.rename-room', (room) => (room.name = name));
  }

  protected size(key: RectKey, mm: number): void {
    this.change(
      'undo.change-room-size',
      (room) => {
        if (key === 'heightMm' || !('outline' in room.plan)) (room.plan as Record<RectKey, number>)[key] = mm;
      },
      key,
    );
  }

  protected reshape(outline: Point[] | undefined): void {
    if (!outline) return;
    this.change(
      'undo.change-walls',
      (room) => {
        if ('outline' in room.plan) room.plan.outline = outline.map((p) => [...p] as const);
      },
      'outline',
    );
  }

  /** A rectangle becomes an outline of four walls, to be changed wall by wall. */
  protected toOutline(): void {
    this.change('undo.change-walls', (room) => {
      room.plan = { outline: outlineOf(room.plan), heightMm: room.plan.heightMm };
    });
  }

  protected count(counts: Counts): void {
    const { mm, ...rest } = counts;
    const kept = Object.fromEntries(Object.entries(mm).filter(([, length]) => length > 0));
    const empty = Object.keys(kept).length === 0 && Object.keys(rest).length === 0;
    this.change(
      'undo.count-joints',
      (room) => {
        if (empty && !('counted' in room.plan)) delete room.counts;
        else room.counts = { ...rest, mm: { ...kept } };
      },
      'counts',
    );
  }

  protected setStorey(storey: number | undefined): void {
    this.jobs.editRoom(this.room().id, 'undo.storey', (room) => {
      if (storey === undefined || storey === 0) delete room.storey;
      else room.storey = storey;
    });
  }

  protected flag(key: 'standing' | 'oldWork' | 'oldClear' | 'rated' | 'damp' | 'garage'): void {
    const label = {
      standing: 'undo.standing-or-not',
      rated: 'undo.rated-or-not',
      oldWork: 'undo.old-work-or-not',
      oldClear: 'undo.found-clear-or-not',
      damp: 'undo.damp-or-not',
      garage: 'undo.garage-or-not',
    } as const;
    this.change(label[key], (room) => (room[key] = room[key] !== true));
  }
}
