import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  output,
  signal,
  ElementRef,
} from '@angular/core';
import {
  lShape,
  newRoom,
  LIMITS,
  say,
  type Counts,
  type FloorPlan,
  type Point,
  type Room,
} from '@lisse/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { from } from 'rxjs';
import { Texts } from '../state/texts';
import { TextInput } from '../ui/text-input';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import { RoomTemplates } from '../storage/room-templates';
import type { Option } from '../ui/choice';
import { MeasureInput } from '../ui/measure-input';
import { Segmented } from '../ui/segmented';
import { CountRoom } from './count-room';
import { MeasureRoom } from './measure-room';
import { WallsEditor } from './walls-editor';
import { newId } from '../new-id';
import { focusWhenSeen } from '../ui/keeps-focus';

type Taking = 'size' | 'ell' | 'walls' | 'meter' | 'count';

/** A room in three numbers; everything else has a usual value that can be changed later. */
@Component({
  selector: 'ls-add-room',
  imports: [CountRoom, MeasureInput, MeasureRoom, Segmented, TextInput, WallsEditor],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="$event.preventDefault(); add()" [attr.aria-label]="texts.t('add-room.add-room')">
      <ls-text
        class="name"
        [label]="texts.t('add-room.name')"
        [live]="true"
        [value]="name()"
        [placeholder]="usualName()"
        (changed)="name.set($event)"
      />
      <ls-segmented
        class="wide"
        [label]="texts.t('add-room.how-enter-it')"
        [options]="ways"
        [value]="way()"
        (changed)="take($event)"
      />
      @switch (way()) {
        @case ('meter') {
          <ls-measure-room class="wide" (planned)="shot.set($event)" />
        }
        @case ('walls') {
          <ls-walls class="wide" (changed)="outline.set($event)" />
          <ls-measure
            [label]="texts.t('add-room.height')"
            [mm]="height()"
            [limit]="limits.room.heightMm"
            (changed)="height.set($event)"
            (entered)="add()"
          />
        }
        @case ('count') {
          <ls-count-room class="wide" [counts]="counts()" (changed)="counts.set($event)" />
        }
        @default {
          @for (one of sizes; track one.label) {
            <ls-measure
              [label]="one.label"
              [mm]="one.mm()"
              [limit]="one.limit"
              (changed)="one.mm.set($event)"
              (entered)="add()"
            />
          }
          @if (way() === 'ell') {
            <p class="row small">{{ texts.t('add-room.l-shape-size') }}</p>
            <ls-measure
              [label]="texts.t('add-room.cutout-length')"
              [mm]="missingLength()"
              [limit]="{ least: 100, most: (length() ?? 100000) - 100 }"
              (changed)="missingLength.set($event)"
              (entered)="add()"
            />
            <ls-measure
              [label]="texts.t('add-room.cutout-width')"
              [mm]="missingWidth()"
              [limit]="{ least: 100, most: (width() ?? 100000) - 100 }"
              (changed)="missingWidth.set($event)"
              (entered)="add()"
            />
          }
        }
      }
      <div class="row">
        <button type="submit" class="act" [disabled]="!plan()">
          {{ texts.t('add-room.add-room-label') }}
        </button>
      </div>
      @if (templates().length > 0) {
        <div class="wide">
          <p class="soft small">{{ texts.t('add-room.saved-room') }}</p>
          @for (one of templates(); track one.id) {
            <p class="kept">
              <button type="button" class="link" (click)="copy(one)">{{ one.name }}</button>
              <button
                type="button"
                class="link"
                [attr.aria-label]="texts.t('add-room.delete-saved', { name: one.name })"
                (click)="forget(one.id)"
              >
                {{ texts.t('add-room.forget') }}
              </button>
            </p>
          }
        </div>
      }
    </form>
  `,
  styles: `
    form {
      display: grid;
      grid-template-columns: repeat(3, minmax(0, 1fr));
      gap: var(--close);
      padding: 12px 16px;
      background: var(--ground);
      border-block: 1px solid var(--line);
    }
    .name,
    .wide,
    .row {
      grid-column: 1 / -1;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: var(--close);
    }
    .kept {
      display: flex;
      justify-content: space-between;
    }
  `,
})
export class AddRoom {
  protected readonly texts = inject(Texts);
  constructor() {
    // Three numbers and Enter; a phone would only put its keys over the page.
    if (matchMedia('(pointer: fine)').matches)
      focusWhenSeen(inject<ElementRef<HTMLElement>>(ElementRef), 'input');
  }

  protected readonly limits = LIMITS;
  private readonly jobs = inject(JobStore);
  private readonly view = inject(ViewStore);
  private readonly format = inject(Format);
  private readonly kept = inject(RoomTemplates);
  readonly done = output<void>();

  protected readonly name = signal('');
  protected readonly length = signal<number | undefined>(undefined);
  protected readonly width = signal<number | undefined>(undefined);
  protected readonly height = signal<number | undefined>(undefined);

  protected readonly sizes = [
    { label: say('add-room.length'), mm: this.length, limit: LIMITS.room.lengthMm },
    { label: say('add-room.width'), mm: this.width, limit: LIMITS.room.widthMm },
    { label: say('add-room.height'), mm: this.height, limit: LIMITS.room.heightMm },
  ];
  protected readonly usualName = computed(() =>
    this.texts.t('add-room.usual-name', { n: (this.jobs.job()?.rooms.length ?? 0) + 1 }),
  );
  protected readonly ways: readonly Option<Taking>[] = [
    { value: 'size', name: say('add-room.size') },
    { value: 'ell', name: say('add-room.l-shaped') },
    { value: 'walls', name: say('add-room.wall-by-wall') },
    { value: 'meter', name: say('add-room.laser-meter') },
    { value: 'count', name: say('add-room.quick-count') },
  ];
  protected readonly way = signal<Taking>('size');
  /** The plan as shot with a meter. */
  protected readonly shot = signal<FloorPlan | undefined>(undefined);
  protected readonly outline = signal<Point[] | undefined>(undefined);
  protected readonly counts = signal<Counts>({ mm: {} });
  protected readonly templates = toSignal(from(this.kept.watch()), { initialValue: [] });
  protected readonly missingLength = signal<number | undefined>(undefined);
  protected readonly missingWidth = signal<number | undefined>(undefined);

  /** The plan, once every number it needs is there. */
  protected readonly plan = computed<FloorPlan | undefined>(() => {
    if (this.way() === 'meter') return this.shot();
    if (this.way() === 'walls') {
      const [outline, high] = [this.outline(), this.height()];
      return outline && high ? { outline, heightMm: high } : undefined;
    }
    if (this.way() === 'count') return this.counted() ? { counted: true, heightMm: 2400 } : undefined;
    const [lengthMm, widthMm, heightMm] = [this.length(), this.width(), this.height()];
    if (!lengthMm || !widthMm || !heightMm) return undefined;
    const size = { lengthMm, widthMm, heightMm };
    if (this.way() === 'size') return size;
    const [u, v] = [this.missingLength(), this.missingWidth()];
    return u && v && u < lengthMm && v < widthMm ? lShape(size, { lengthMm: u, widthMm: v }) : undefined;
  });

  /** What another way had taken is not what is shown any more. */
  protected take(way: Taking): void {
    this.shot.set(undefined);
    this.outline.set(undefined);
    this.way.set(way);
  }

  private counted(): boolean {
    const { mm, heads, areaM2 } = this.counts();
    return Object.values(mm).some((length) => length > 0) || (heads ?? 0) > 0 || (areaM2 ?? 0) > 0;
  }

  protected add(): void {
    const plan = this.plan();
    if (!plan) return;
    const room = newRoom(newId(), this.name().trim() || this.usualName(), this.format.units(), plan);
    this.land(this.way() === 'count' ? { ...room, counts: this.counts() } : room);
  }

  protected copy(template: Room): void {
    this.land({ ...template, id: newId(), name: this.name().trim() || template.name });
  }

  protected forget(id: string): void {
    void this.kept.forget(id);
  }

  private land(room: Room): void {
    this.jobs.edit(say('undo.add', { what: room.name }), (job) => void job.rooms.push(structuredClone(room)));
    this.view.showRoom(room.id);
    this.done.emit();
  }
}
