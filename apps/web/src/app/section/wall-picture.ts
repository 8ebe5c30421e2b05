import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import type { FaceLight, Rect } from '@lisse/core';
import { Texts } from '../state/texts';
import type { Lit } from '../worker/wall-renderer';
import { watchSize } from '../ui/watch-size';
import type { Shown } from './wall.store';

/** An arrow key moves the lamp by this, mm; ten times as far with Shift. */
const STEP_MM = 50;

/** The wall as the light shows it, and the lamp that can be moved before it. */
@Component({
  selector: 'ls-wall-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <canvas #canvas role="img" [attr.aria-label]="label()"></canvas>
    <svg
      [attr.viewBox]="'0 0 ' + width() + ' ' + height()"
      role="group"
      [attr.aria-label]="texts.t('wall.lamp-what-shows')"
      (pointermove)="move($event)"
      (pointerup)="held = false"
      (pointercancel)="held = false"
      (wheel)="wheel($event)"
    >
      @for (mark of marks(); track mark.key) {
        <g class="mark" [class.on]="mark.key === picked()">
          @if (mark.on) {
            <rect
              [attr.x]="mark.on.x"
              [attr.y]="mark.on.y"
              [attr.width]="mark.on.width"
              [attr.height]="mark.on.height"
            />
          }
          <path
            [attr.d]="'M' + (mark.x - 7) + ' ' + (mark.y - 13) + 'h14l-7 9z'"
            (click)="pick.emit(mark.key)"
          />
        </g>
      }
      <g
        class="lamp"
        role="button"
        tabindex="0"
        [attr.aria-label]="lampLabel()"
        (pointerdown)="take($event)"
        (keydown)="key($event)"
      >
        <line [attr.x1]="lamp().x" [attr.y1]="lamp().y" [attr.x2]="beam().x" [attr.y2]="beam().y" />
        <circle class="reach" [attr.cx]="lamp().x" [attr.cy]="lamp().y" r="22" />
        <circle [attr.cx]="lamp().x" [attr.cy]="lamp().y" r="10" />
        <circle class="bulb" [attr.cx]="lamp().x" [attr.cy]="lamp().y" r="4" />
      </g>
    </svg>
  `,
  styles: `
    :host {
      display: block;
      position: relative;
      background: var(--ground);
    }
    canvas {
      display: block;
      width: 100%;
      height: auto;
    }
    svg {
      position: absolute;
      inset: 0;
      width: 100%;
      height: 100%;
      user-select: none;
    }
    .lamp {
      cursor: grab;
      touch-action: none;
    }
    .lamp circle {
      fill: var(--accent);
      stroke: var(--paper);
      stroke-width: 2;
    }
    .lamp .reach {
      fill: transparent;
      stroke: none;
    }
    .lamp .bulb {
      fill: var(--paper);
      stroke: none;
    }
    .lamp line {
      stroke: var(--accent);
      stroke-width: 1.5;
      stroke-dasharray: 2 5;
    }
    .lamp {
      outline: none;
    }
    .lamp:focus-visible .reach {
      stroke: var(--accent);
    }
    .mark path {
      fill: var(--stop);
      stroke: var(--paper);
      cursor: pointer;
    }
    .mark.on path {
      fill: var(--accent);
    }
    .mark rect {
      fill: none;
      stroke: var(--accent);
      stroke-width: 1.5;
      stroke-dasharray: 6 4;
    }
  `,
})
export class WallPicture {
  protected readonly texts = inject(Texts);
  private readonly frame = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly host = this.frame.nativeElement;
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  readonly picture = input<Lit>();
  /** Where the picture lies on the face, and what of the face is looked at, mm. */
  readonly rect = input.required<Rect>();
  readonly window = input.required<Rect>();
  readonly light = input.required<FaceLight>();
  readonly shown = input.required<readonly Shown[]>();
  readonly picked = input<string>();
  readonly label = input.required<string>();
  readonly lampLabel = input.required<string>();
  readonly put = output<Partial<FaceLight>>();
  readonly pick = output<string>();
  readonly closer = output<{ by: number; about: readonly [number, number] }>();

  /** Drawn as large as it is shown; its height follows the wall. */
  protected readonly width = signal(840);
  private readonly scale = computed(() => this.width() / (this.window()[2] - this.window()[0]));
  protected readonly height = computed(() =>
    Math.max(60, Math.round((this.window()[3] - this.window()[1]) * this.scale())),
  );

  constructor() {
    watchSize(
      () => this.frame,
      (width) => this.width.set(Math.max(280, width)),
    );
    effect(() => this.paint());
  }

  private px(u: number): number {
    return (u - this.window()[0]) * this.scale();
  }
  private py(v: number): number {
    return (this.window()[3] - v) * this.scale();
  }

  /** Where the lamp is drawn: at the edge of the picture where it stands farther off. */
  protected readonly lamp = computed(() => {
    const { u, v } = this.light();
    const inside = (at: number, most: number) => Math.min(most - 16, Math.max(16, at));
    return { x: inside(this.px(u), this.width()), y: inside(this.py(v), this.height()) };
  });
  /** Toward the middle of the picture: the way the light goes. */
  protected readonly beam = computed(() => {
    const { x, y } = this.lamp();
    const [dx, dy] = [this.width() / 2 - x, this.height() / 2 - y];
    const far = Math.hypot(dx, dy) || 1;
    return { x: x + (dx / far) * 70, y: y + (dy / far) * 70 };
  });

  protected readonly marks = computed(() => {
    const [x0, y0, x1, y1] = this.window();
    return this.shown().flatMap(({ key, at, over, line }) => {
      const on = key === this.picked();
      if (!at || (!over && !on) || at[0] < x0 || at[0] > x1 || at[1] < y0 || at[1] > y1) return [];
      const box = on &&
        line && {
          x: Math.min(this.px(line[0]), this.px(line[2])) - 10,
          y: Math.min(this.py(line[1]), this.py(line[3])) - 10,
          width: Math.abs(this.px(line[2]) - this.px(line[0])) + 20,
          height: Math.abs(this.py(line[3]) - this.py(line[1])) + 20,
        };
      return [{ key, x: this.px(at[0]), y: this.py(at[1]), on: box }];
    });
  });

  private readonly buffer = typeof document === 'undefined' ? undefined : document.createElement('canvas');

  private paint(): void {
    const canvas = this.canvas().nativeElement;
    const [picture, rect, height] = [this.picture(), this.rect(), this.height()];
    this.window();
    const sharp = Math.min(2, globalThis.devicePixelRatio || 1);
    canvas.width = Math.round(this.width() * sharp);
    canvas.height = Math.round(height * sharp);
    const context = canvas.getContext('2d');
    const from = this.buffer?.getContext('2d');
    if (!context || !from || !this.buffer || !picture) return;
    this.buffer.width = picture.cols;
    this.buffer.height = picture.rows;
    canvas.dataset['cell'] = String(Math.round((rect[2] - rect[0]) / picture.cols));
    const bytes = new Uint8ClampedArray(picture.pixels.buffer);
    from.putImageData(new ImageData(bytes, picture.cols, picture.rows), 0, 0);
    context.scale(sharp, sharp);
    context.imageSmoothingEnabled = true;
    context.imageSmoothingQuality = 'high';
    const [left, top] = [this.px(rect[0]), this.py(rect[3])];
    context.drawImage(this.buffer, left, top, this.px(rect[2]) - left, this.py(rect[1]) - top);
  }

  // The lamp is dragged, or stepped by arrows; Page up and down take it off the wall and nearer.

  protected held = false;

  protected take(event: PointerEvent): void {
    this.held = true;
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    event.preventDefault();
    (event.currentTarget as SVGElement).focus();
  }

  protected move(event: PointerEvent): void {
    if (!this.held) return;
    const [u, v] = this.placeOf(event);
    this.put.emit({ u, v });
  }

  protected key(event: KeyboardEvent): void {
    const step = event.shiftKey ? 10 * STEP_MM : STEP_MM;
    const { u, v, offMm } = this.light();
    const to: Partial<FaceLight> | undefined = {
      ArrowLeft: { u: u - step },
      ArrowRight: { u: u + step },
      ArrowUp: { v: v + step },
      ArrowDown: { v: v - step },
      PageUp: { offMm: offMm + step },
      PageDown: { offMm: offMm - step },
    }[event.key];
    if (!to) return;
    event.preventDefault();
    this.put.emit(to);
  }

  protected wheel(event: WheelEvent): void {
    if (!event.ctrlKey) return;
    event.preventDefault();
    this.closer.emit({ by: event.deltaY < 0 ? 1.25 : 0.8, about: this.placeOf(event) });
  }

  private placeOf(event: MouseEvent): [number, number] {
    const box = this.host.getBoundingClientRect();
    const x = ((event.clientX - box.left) / box.width) * this.width();
    const y = ((event.clientY - box.top) / box.height) * this.height();
    return [this.window()[0] + x / this.scale(), this.window()[3] - y / this.scale()];
  }
}
