import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
  signal,
} from '@angular/core';
import { clamped, LIMITS, say } from '@lisse/core';
import { Texts } from '../state/texts';

type Corner = [number, number];

/** An arrow key moves a corner by this share of the picture; ten times as far with Shift. */
const STEP = 0.002;
const NAMES = ['low-left', 'low-right', 'high-right', 'high-left'] as const;

/** A photo with the four corners of a wall on it, each to be dragged to where it is. */
@Component({
  selector: 'ls-corner-picker',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="photo" #frame>
      <img [src]="src()" [alt]="texts.t('lamp-photo.photo')" draggable="false" />
      <svg viewBox="0 0 1000 1000" preserveAspectRatio="none" aria-hidden="true">
        <polygon [attr.points]="outline()" />
      </svg>
      @for (corner of shown(); track $index) {
        <button
          type="button"
          class="corner"
          [style.left.%]="corner[0] * 100"
          [style.top.%]="corner[1] * 100"
          [attr.aria-label]="texts.t('lamp-photo.corner', { which: names[$index]! })"
          (pointerdown)="take($event, $index)"
          (pointermove)="move($event, frame)"
          (pointerup)="drop()"
          (pointercancel)="drop()"
          (keydown)="key($event, $index)"
        >
          <span aria-hidden="true"></span>
        </button>
      }
    </div>
  `,
  styles: `
    .photo {
      position: relative;
      touch-action: none;
      user-select: none;
    }
    img,
    svg {
      display: block;
      width: 100%;
    }
    svg {
      position: absolute;
      inset: 0;
      height: 100%;
      pointer-events: none;
    }
    polygon {
      fill: color-mix(in srgb, var(--accent) 12%, transparent);
      stroke: var(--accent);
      stroke-width: 3;
      vector-effect: non-scaling-stroke;
    }
    .corner {
      position: absolute;
      width: 56px;
      height: 56px;
      margin: -28px;
      padding: 0;
      border: 0;
      background: none;
      cursor: grab;
      touch-action: none;
      display: grid;
      place-items: center;
    }
    .corner span {
      width: 24px;
      height: 24px;
      border: 3px solid var(--paper);
      background: var(--accent);
      border-radius: 50%;
    }
  `,
})
export class CornerPicker {
  protected readonly texts = inject(Texts);
  readonly src = input.required<string>();
  /** Low left, low right, high right, high left, as shares of the picture from its top left. */
  readonly corners = input.required<readonly Corner[]>();
  readonly moved = output<Corner[]>();
  protected readonly names = NAMES.map((which) => say(`lamp-photo.${which}`));
  private readonly held = signal<number | undefined>(undefined);
  /** As they are put here: keys held down are quicker than what comes back of them. */
  protected readonly shown = linkedSignal(() => this.corners());
  protected readonly outline = computed(() =>
    this.shown()
      .map(([x, y]) => `${x * 1000},${y * 1000}`)
      .join(' '),
  );

  protected take(event: PointerEvent, corner: number): void {
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    this.held.set(corner);
  }

  protected move(event: PointerEvent, frame: HTMLElement): void {
    const held = this.held();
    if (held === undefined) return;
    const box = frame.getBoundingClientRect();
    this.put(held, [(event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height]);
  }

  protected drop(): void {
    if (this.held() !== undefined) this.moved.emit([...this.shown()]);
    this.held.set(undefined);
  }

  protected key(event: KeyboardEvent, corner: number): void {
    const step = event.shiftKey ? 10 * STEP : STEP;
    const by: Corner | undefined = {
      ArrowLeft: [-step, 0] as Corner,
      ArrowRight: [step, 0] as Corner,
      ArrowUp: [0, -step] as Corner,
      ArrowDown: [0, step] as Corner,
    }[event.key];
    const at = this.shown()[corner];
    if (!by || !at) return;
    event.preventDefault();
    this.put(corner, [at[0] + by[0], at[1] + by[1]]);
    this.moved.emit([...this.shown()]);
  }

  private put(corner: number, to: Corner): void {
    const within = (n: number): number => Math.round(clamped(n, LIMITS.log.share) * 1e5) / 1e5;
    this.shown.update((all) =>
      all.map((at, i): Corner => (i === corner ? [within(to[0]), within(to[1])] : at)),
    );
  }
}
