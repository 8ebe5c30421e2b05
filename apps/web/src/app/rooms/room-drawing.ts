import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import type { Joint, Point, Room, RoomPlan, Way } from '@lisse/core';
import { Format } from '../state/format';
import { watchSize } from '../ui/watch-size';
import { faceName, JOINT_NAME } from '../ui/words';
import { drawRoom, neighbour } from './drawing';
import { jointKey, type JointKey } from './joint-edit';

const WAYS: Record<string, Point> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The room opened like a box, with its joints told apart by line, and walked with the arrow keys. */
@Component({
  selector: 'ls-room-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div #frame class="frame">
      <svg
        [attr.width]="drawing().width"
        [attr.height]="drawing().height"
        role="group"
        tabindex="0"
        [attr.aria-label]="
          'Unfolded drawing of ' +
          room().name +
          ', ' +
          plan().joints.length +
          ' joints. Arrow keys walk from joint to joint.'
        "
        (keydown)="key($event)"
        (click)="chosen.emit(undefined)"
      >
        @for (face of drawing().faces; track face.id) {
          <path class="face" [class.ceiling]="face.kind === 'ceiling'" [attr.d]="face.path" />
        }
        @for (opening of drawing().openings; track opening.id) {
          <path class="opening" [class.boarded]="opening.strong" [attr.d]="opening.path" />
        }
        @for (opening of drawing().openings; track opening.id) {
          <text
            class="label"
            text-anchor="middle"
            dominant-baseline="middle"
            [attr.x]="opening.x"
            [attr.y]="opening.y"
          >
            {{ opening.label }}
          </text>
        }
        @for (drawn of drawing().joints; track drawn.joint.id) {
          <g
            class="joint"
            [class]="drawn.joint.kind"
            [class.on]="drawn.joint.id === selected()"
            role="button"
            tabindex="-1"
            [attr.id]="'joint-' + drawn.joint.id"
            [attr.aria-label]="name(drawn.joint)"
            [attr.aria-pressed]="drawn.joint.id === selected()"
            (click)="choose($event, drawn.joint)"
          >
            <line
              class="hit"
              [attr.x1]="drawn.from[0]"
              [attr.y1]="drawn.from[1]"
              [attr.x2]="drawn.to[0]"
              [attr.y2]="drawn.to[1]"
            />
            <path class="ink" [attr.d]="drawn.path" />
          </g>
        }
        @for (label of drawing().labels; track $index) {
          <text
            class="label"
            [class.on-face]="label.onFace"
            text-anchor="middle"
            dominant-baseline="middle"
            [attr.transform]="'translate(' + label.x + ' ' + label.y + ') rotate(' + label.turn + ')'"
          >
            {{ label.text }}
          </text>
        }
        @for (drawn of drawing().joints; track drawn.joint.id) {
          @if (drawn.flag; as flag) {
            <g
              class="flag"
              [attr.transform]="'translate(' + drawn.middle[0] + ' ' + (drawn.middle[1] - 12) + ')'"
              aria-hidden="true"
            >
              <path d="M0 0l5.5 9h-11z" />
              <text x="9" y="8">{{ flag }}</text>
            </g>
          }
        }
      </svg>
    </div>
    <p class="sr" role="status">{{ said() }}</p>
  `,
  styles: `
    :host,
    .frame {
      display: block;
      height: 100%;
      min-height: 0;
      overflow: hidden;
    }
    svg {
      display: block;
    }
    svg:focus-visible {
      outline-offset: -4px;
    }
    .face {
      fill: color-mix(in srgb, var(--paper) 55%, var(--ground));
      stroke: var(--hair);
    }
    .face.ceiling {
      fill: var(--paper);
    }
    .opening {
      fill: var(--hole);
      stroke: var(--soft);
      stroke-width: 1;
    }
    .label {
      fill: var(--soft);
      font-size: 12px;
      font-stretch: 92%;
      font-weight: 550;
      pointer-events: none;
    }
    .label.on-face {
      paint-order: stroke;
      stroke: var(--paper);
      stroke-width: 4px;
    }
    .hit {
      stroke: transparent;
      stroke-width: 14;
    }
    .joint {
      cursor: pointer;
      outline: none;
    }
    .ink {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1.5;
      pointer-events: none;
    }
    .tapered .ink,
    .recessed-butt .ink {
      stroke: var(--soft);
      stroke-width: 1;
    }
    .recessed-butt .ink {
      stroke-dasharray: 7 3;
    }
    .inside-angle .ink {
      stroke-width: 2.6;
      stroke-linecap: round;
      stroke-dasharray: 0.1 5.5;
    }
    .off-angle-inside .ink {
      stroke-width: 2.6;
      stroke-linecap: round;
      stroke-dasharray: 0.1 5 7 5;
    }
    .outside-corner .ink {
      stroke-width: 3.4;
    }
    .off-angle-outside .ink {
      stroke-width: 3.4;
      stroke-dasharray: 11 4;
    }
    .trim .ink {
      stroke-dasharray: 5 3;
    }
    .joint:hover .ink {
      stroke: var(--accent);
    }
    .joint.on .ink {
      stroke: var(--accent);
      stroke-width: 2.6;
    }
    .joint.on .hit {
      stroke: var(--wash);
    }
    .flag path {
      fill: var(--caution);
    }
    .flag text {
      fill: var(--caution);
      font-size: 12px;
      font-weight: 650;
      font-stretch: 86%;
      paint-order: stroke;
      stroke: var(--paper);
      stroke-width: 3px;
    }
  `,
})
export class RoomDrawing {
  private readonly format = inject(Format);
  private readonly frame = viewChild.required<ElementRef<HTMLElement>>('frame');

  readonly room = input.required<Room>();
  readonly plan = input.required<RoomPlan>();
  readonly way = input.required<Way>();
  readonly selected = input<string>();
  readonly chosen = output<string | undefined>();
  readonly pressed = output<{ joint: Joint; key: JointKey }>();

  private readonly size = signal({ width: 640, height: 480 });
  protected readonly drawing = computed(() =>
    drawRoom(
      this.room(),
      this.plan(),
      this.size(),
      (joint) => this.trouble(joint),
      (mm) => this.format.length(mm),
    ),
  );
  protected readonly said = computed(() => {
    const joint = this.plan().joints.find((j) => j.id === this.selected());
    return joint ? this.name(joint) : '';
  });

  constructor() {
    watchSize(this.frame, (width, height) => this.size.set({ width, height }));
  }

  protected name(joint: Joint): string {
    const trouble = this.trouble(joint);
    return `${JOINT_NAME[joint.kind]}, ${faceName(joint.face)}, ${this.format.length(joint.lengthMm)}${trouble ? `, ${trouble}` : ''}`;
  }

  protected choose(event: Event, joint: Joint): void {
    event.stopPropagation();
    this.chosen.emit(joint.id);
  }

  protected key(event: KeyboardEvent): void {
    const joints = this.drawing().joints;
    const now = joints.find((d) => d.joint.id === this.selected());
    const way = WAYS[event.key];
    if (way) {
      const next = neighbour(joints, now, way);
      if (next) this.chosen.emit(next.joint.id);
    } else if (event.key === 'Home') this.chosen.emit(joints[0]?.joint.id);
    else if (event.key === 'End') this.chosen.emit(joints.at(-1)?.joint.id);
    else if (event.key === 'Escape') this.chosen.emit(undefined);
    else {
      const key = now && !event.ctrlKey && !event.metaKey && jointKey(event.key, now.joint);
      if (!key) return;
      this.pressed.emit({ joint: now.joint, key });
    }
    event.preventDefault();
  }

  /** What is unusual about a joint, in a few words. */
  private trouble(joint: Joint): string | undefined {
    if (!joint.measured) return undefined;
    if (joint.humpMm !== 0)
      return `${this.format.small(Math.abs(joint.humpMm))} ${joint.humpMm > 0 ? 'proud' : 'belly'}`;
    if (joint.gapMm > this.way().prefillOverMm) return `gap ${this.format.small(joint.gapMm)}`;
    if (joint.lippageMm !== 0) return `${this.format.small(Math.abs(joint.lippageMm))} step`;
    return undefined;
  }
}
