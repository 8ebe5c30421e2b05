import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  CRITICAL_BELOW_DEG,
  grazingOn,
  onFace,
  openingRing,
  outlineOf,
  bounds,
  sourceAt,
  wallId,
  LIMITS,
  say,
  type Lamp,
  type Point,
  type Room,
  type RoomPlan,
  usualSize,
} from '@lisse/core';
import { Format } from '../state/format';
import { Texts } from '../state/texts';
import { JobStore, type Deed } from '../state/job.store';
import { MeasureInput } from '../ui/measure-input';
import { FITTED, Paper } from '../ui/paper';
import { newId } from '../new-id';

const FRAME = { width: 620, height: 430 };

const path = (points: readonly Point[]): string =>
  `M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`;

/** The middle of a face's corners: a place for a word, inside a sloped one too. */
function within(ring: readonly Point[]): Point {
  const n = Math.max(1, ring.length);
  const u = ring.reduce((sum, p) => sum + p[0], 0) / n;
  const v = ring.reduce((sum, p) => sum + p[1], 0) / n;
  return [u, v];
}

/** The unfolded room with its windows and lamps to pick from; each face says at what angle that light meets it. */
@Component({
  selector: 'ls-light-picker',
  imports: [MeasureInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="picker">
      <svg
        [attr.viewBox]="'0 0 ' + frame.width + ' ' + frame.height"
        role="group"
        [attr.aria-label]="texts.t('light.light-source-windows')"
      >
        @for (face of faces(); track face.id) {
          <path class="face" [class.critical]="face.critical" [attr.d]="face.path" />
        }
        @for (face of faces(); track face.id) {
          @if (face.told) {
            <text [attr.x]="face.x" [attr.y]="face.y" [class.low]="face.critical">{{ face.told }}</text>
          }
        }
        @for (source of sources(); track source.id) {
          <g
            class="source"
            role="button"
            tabindex="0"
            [class.on]="source.id === from()"
            [attr.aria-pressed]="source.id === from()"
            [attr.aria-label]="source.name"
            (click)="picked.emit(source.id)"
            (keydown.enter)="picked.emit(source.id)"
            (keydown.space)="$event.preventDefault(); picked.emit(source.id)"
          >
            @if (source.path) {
              <path [attr.d]="source.path" />
            } @else {
              <circle [attr.cx]="source.x" [attr.cy]="source.y" r="9" />
            }
            <text [attr.x]="source.x" [attr.y]="source.y + (source.path ? 4 : 24)">{{ source.short }}</text>
          </g>
        }
      </svg>
      <div class="words">
        <h2>{{ texts.t('light.where-does-light') }}</h2>
        <p class="small">
          {{ texts.t('light.pick', { deg: criticalDeg }) }}
        </p>
        @if (worst()) {
          <p class="small">
            <strong>{{ worst() }}</strong>
          </p>
        }
        <h3>{{ texts.t('light.lamps') }}</h3>
        @for (lamp of room().lamps ?? []; track lamp.id; let i = $index) {
          <div class="lamp">
            <span class="small">{{ texts.t('light.lamp', { n: i + 1 }) }}</span>
            <ls-measure
              [label]="texts.t('light.from-left')"
              [mm]="lamp.at[0] - corner()[0]"
              (changed)="move(lamp, 0, $event)"
            />
            <ls-measure
              [label]="texts.t('light.from-wall-1')"
              [mm]="off(lamp)"
              (changed)="move(lamp, 1, $event)"
            />
            <ls-measure
              [label]="texts.t('light.height')"
              [mm]="lamp.heightMm"
              [limit]="limits.lamp.heightMm"
              (changed)="raise(lamp, $event)"
            />
            <button type="button" class="link" (click)="remove(lamp)">{{ texts.t('light.remove') }}</button>
          </div>
        }
        <button type="button" class="quiet" (click)="add()">{{ texts.t('light.add-lamp') }}</button>
      </div>
    </div>
  `,
  styles: `
    .picker {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 250px;
      gap: var(--gap);
    }
    svg {
      width: 100%;
      max-height: 460px;
    }
    .face {
      fill: var(--paper);
      fill-rule: evenodd;
      stroke: var(--line);
    }
    .face.critical {
      fill: var(--caution-wash);
      stroke: var(--caution);
    }
    text {
      font-size: var(--text);
      font-weight: 650;
      text-anchor: middle;
      fill: var(--ink);
      pointer-events: none;
    }
    text.low {
      fill: var(--caution);
    }
    .source {
      cursor: pointer;
    }
    .source path,
    .source circle {
      fill: var(--wash);
      stroke: var(--accent);
      stroke-width: 1.5;
    }
    .source text {
      font-weight: 500;
      font-size: var(--fine);
      fill: var(--accent);
    }
    .source.on path,
    .source.on circle {
      fill: var(--accent);
    }
    .source.on text {
      fill: var(--ink);
    }
    .source.on path + text {
      fill: var(--on-accent);
    }
    .source:focus-visible {
      outline: 2px solid var(--accent);
      outline-offset: 2px;
    }
    .words {
      display: grid;
      gap: var(--close);
      align-content: start;
    }
    .lamp {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: var(--near) var(--close);
    }
    .lamp > span {
      grid-column: 1 / -1;
    }
    .quiet {
      justify-self: start;
    }
    @media (max-width: 1000px) {
      .picker {
        grid-template-columns: 1fr;
      }
    }
  `,
})
export class LightPicker {
  protected readonly texts = inject(Texts);
  private readonly format = inject(Format);
  protected readonly limits = LIMITS;
  private readonly jobs = inject(JobStore);
  readonly room = input.required<Room>();
  readonly plan = input.required<RoomPlan>();
  readonly from = input<string>();
  readonly picked = output<string>();
  protected readonly frame = FRAME;
  protected readonly criticalDeg = CRITICAL_BELOW_DEG;

  private readonly paper = computed(() => new Paper(this.plan().faces, FRAME, FITTED));

  /** The angle the picked light meets each face at. */
  private readonly angles = computed(() => {
    const id = this.from();
    const at = id === undefined ? undefined : sourceAt(this.room(), this.plan(), id);
    return new Map(
      this.plan().faces.map((face) => [
        face.id,
        at && face.boarded ? grazingOn(face, at)?.angleDeg : undefined,
      ]),
    );
  });

  protected readonly faces = computed(() => {
    const paper = this.paper();
    return this.plan()
      .faces.filter((face) => paper.has(face.id) && face.kind !== 'reveal')
      .map((face) => {
        const angle = this.angles().get(face.id);
        const [x, y] = paper.at(face.id, within(face.rings[0] ?? []));
        const critical = angle !== undefined && angle < CRITICAL_BELOW_DEG;
        return {
          id: face.id,
          path: face.rings.map((ring) => path(ring.map((p) => paper.at(face.id, p)))).join(''),
          told:
            angle === undefined
              ? ''
              : this.texts.t(critical ? 'light.grazes' : 'light.angle', {
                  angle: this.format.number(angle, angle < 10 ? 1 : 0),
                }),
          x,
          y,
          critical,
        };
      });
  });

  protected readonly sources = computed(() => {
    const paper = this.paper();
    const room = this.room();
    const openings = room.openings
      .filter((o) => paper.has(wallId(o.wall)))
      .map((o) => {
        const face = wallId(o.wall);
        const [x, y] = paper.at(face, [o.leftMm + o.widthMm / 2, o.bottomMm + o.heightMm / 2]);
        return {
          id: o.id,
          name: this.texts.t('a-shape.on-wall', { part: say(`opening.${o.kind}`), wall: o.wall + 1 }),
          short: this.texts.say(say(`opening.${o.kind}`)),
          path: path(openingRing(o).map((p) => paper.at(face, p))),
          x,
          y,
        };
      });
    const ceiling = this.plan().faces.find(
      (f) => paper.has(f.id) && (f.id === 'ceiling' || f.kind === 'slope'),
    );
    const lamps = (room.lamps ?? []).map((lamp, i) => {
      // A lamp is drawn on the ceiling where it hangs under it.
      const [x, y] = ceiling
        ? paper.at(ceiling.id, onFace(ceiling.frame, [lamp.at[0], lamp.at[1], lamp.heightMm]))
        : [20, 20 + 30 * i];
      return {
        id: lamp.id,
        name: this.texts.t('lamp', { n: i + 1 }),
        short: this.texts.t('lamp', { n: i + 1 }),
        path: '',
        x,
        y,
      };
    });
    return [...openings, ...lamps];
  });

  protected readonly worst = computed(() => {
    const lit = this.plan().faces.flatMap((face) => {
      const angle = this.angles().get(face.id);
      return angle === undefined || face.kind === 'reveal' ? [] : [{ name: face.name, angle }];
    });
    const least = lit.sort((a, b) => a.angle - b.angle)[0];
    return least ? this.texts.t('light.flattest', { face: least.name, angle: least.angle }) : '';
  });

  /** The near left corner of the plan, mm. */
  protected readonly corner = computed<Point>(() => {
    const ring = outlineOf(this.room().plan);
    if (ring.length === 0) return [0, 0];
    const [left, low] = bounds(ring);
    return [left, low];
  });

  protected off(lamp: Lamp): number {
    return lamp.at[1] - this.corner()[1];
  }

  private change(label: Deed, recipe: (lamps: Lamp[]) => Lamp[]): void {
    this.jobs.editRoom(this.room().id, label, (room) => {
      const lamps = recipe(room.lamps ?? []);
      if (lamps.length > 0) room.lamps = lamps;
      else delete room.lamps;
    });
  }

  protected add(): void {
    const ring = outlineOf(this.room().plan);
    const [x0, y0, x1, y1] = ring.length > 0 ? bounds(ring) : [0, 0, 2000, 2000];
    const lamp: Lamp = {
      id: `lamp-${newId().slice(-8)}`,
      at: [(x0 + x1) / 2, (y0 + y1) / 2],
      heightMm: this.room().plan.heightMm - usualSize(150, this.format.units()),
    };
    this.change('undo.add-lamp', (lamps) => [...lamps, lamp]);
  }

  protected move(lamp: Lamp, axis: 0 | 1, mm: number): void {
    const [x, y] = this.corner();
    const at: Point = axis === 0 ? [x + mm, lamp.at[1]] : [lamp.at[0], y + mm];
    this.change('undo.move-lamp', (lamps) => lamps.map((l) => (l.id === lamp.id ? { ...l, at } : l)));
  }

  protected raise(lamp: Lamp, heightMm: number): void {
    this.change('undo.raise-lamp', (lamps) => lamps.map((l) => (l.id === lamp.id ? { ...l, heightMm } : l)));
  }

  protected remove(lamp: Lamp): void {
    this.change('undo.remove-lamp', (lamps) => lamps.filter((l) => l.id !== lamp.id));
  }
}
