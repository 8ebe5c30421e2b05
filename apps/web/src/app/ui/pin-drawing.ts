import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  output,
  signal,
  viewChild,
  type ElementRef,
} from '@angular/core';
import type { Finding, Point, RoomPlan } from '@lisse/core';
import { Texts } from '../state/texts';
import { FITTED, Paper } from './paper';
import { watchSize } from './watch-size';

/** Round the drawing, px. */
const PAD = 12;

/** Somewhere on a face of a room, mm. */
export interface Spot {
  face: string;
  place: [number, number];
}

/** The unfolded room with what is pinned on it; pressed, it tells where. */
@Component({
  selector: 'ls-pin-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div #frame>
      <svg
        [attr.viewBox]="'0 0 ' + width() + ' ' + height()"
        role="group"
        [attr.aria-label]="texts.t('pins.drawing')"
      >
        @for (face of faces(); track face.id) {
          <path
            class="face"
            [class.at]="(at() ?? spot()?.face) === face.id"
            [class.looked]="looked().includes(face.id)"
            [attr.d]="face.path"
            role="button"
            tabindex="0"
            [attr.aria-label]="texts.t('pins.on-face', { face: face.name })"
            (click)="press($event, face.id)"
            (keydown.enter)="middle(face.id)"
            (keydown.space)="middle(face.id); $event.preventDefault()"
          />
        }
        @for (pin of pinned(); track pin.id) {
          <circle class="pin" [attr.data-state]="pin.state" [attr.cx]="pin.x" [attr.cy]="pin.y" r="9" />
          <text class="n" [attr.x]="pin.x" [attr.y]="pin.y + 4" text-anchor="middle">{{ pin.n }}</text>
        }
        @if (here(); as at) {
          <path
            class="here"
            [attr.d]="'M' + (at[0] - 11) + ' ' + at[1] + 'h22M' + at[0] + ' ' + (at[1] - 11) + 'v22'"
          />
        }
      </svg>
    </div>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
      max-height: 52dvh;
      touch-action: manipulation;
    }
    .face {
      fill: var(--paper);
      stroke: var(--soft);
      stroke-width: 1.2;
      cursor: crosshair;
    }
    .face.looked {
      fill: color-mix(in srgb, var(--good) 16%, var(--paper));
    }
    .face.at {
      fill: var(--wash);
    }
    .face:focus-visible {
      outline: none;
      stroke: var(--accent);
      stroke-width: 3;
    }
    .here {
      stroke: var(--accent);
      stroke-width: 4;
      pointer-events: none;
    }
    /* A ring as it is drawn on the wall: heavy while it is open, dashed once mended, thin when closed. */
    .pin {
      fill: var(--paper);
      stroke: var(--stop);
      stroke-width: 2.4;
      pointer-events: none;
    }
    .pin[data-state='cured'] {
      stroke: var(--caution);
      stroke-dasharray: 4 3;
    }
    .pin[data-state='closed'] {
      stroke: var(--good);
      stroke-width: 1.2;
    }
    .n {
      fill: var(--ink);
      font-size: var(--fine);
      font-weight: 700;
      pointer-events: none;
    }
  `,
})
export class PinDrawing {
  protected readonly texts = inject(Texts);
  readonly plan = input.required<RoomPlan>();
  /** Drawn with the numbers of their rings. */
  readonly findings = input.required<readonly Finding[]>();
  readonly spot = input<Spot>();
  /** The face that is looked at, and those that were. */
  readonly at = input<string>();
  readonly looked = input<readonly string[]>([]);
  readonly pick = output<Spot>();
  private readonly frame = viewChild<ElementRef<HTMLElement>>('frame');
  protected readonly width = signal(360);
  protected readonly height = computed(() => Math.round(this.width() * 0.72));
  private readonly paper = computed(
    () => new Paper(this.plan().faces, { width: this.width(), height: this.height() }, FITTED, PAD),
  );
  protected readonly faces = computed(() => {
    const paper = this.paper();
    return this.plan()
      .faces.filter(({ id, kind }) => paper.has(id) && kind !== 'reveal')
      .map((face) => ({ id: face.id, name: face.name, path: paper.outline(face) }));
  });
  protected readonly here = computed((): Point | undefined => {
    const spot = this.spot();
    return spot && this.paper().at(spot.face, spot.place);
  });
  protected readonly pinned = computed(() =>
    this.findings().flatMap(({ id, face, place, ring, state }) => {
      if (face === undefined || !place || !this.paper().has(face)) return [];
      const [x, y] = this.paper().at(face, place);
      return [{ id, n: ring, x, y, state }];
    }),
  );

  constructor() {
    watchSize(this.frame, (width) => this.width.set(width));
  }

  protected press(event: MouseEvent, face: string): void {
    const svg = (event.target as SVGGraphicsElement).ownerSVGElement;
    const onScreen = svg?.getScreenCTM();
    if (!onScreen) return this.middle(face);
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(onScreen.inverse());
    const [along, up] = this.paper().under(face, [x, y]);
    this.pick.emit({ face, place: [Math.round(along), Math.round(up)] });
  }

  /** By the keys a face is taken as a whole: its middle. */
  protected middle(face: string): void {
    const box = this.plan().faces.find(({ id }) => id === face)?.box;
    if (box)
      this.pick.emit({
        face,
        place: [Math.round((box[0] + box[2]) / 2), Math.round((box[1] + box[3]) / 2)],
      });
  }
}
