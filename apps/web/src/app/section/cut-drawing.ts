import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  output,
} from '@angular/core';
import { HALF, type Blade, type Coat, type Surface } from '@lisse/core';

export interface Layer {
  coat: Coat;
  /** Where this coat lies: wet while it is being laid, hardened after. */
  surface: Surface;
}

export interface Edge {
  depthMm: number;
  atMm: number;
  lengthMm: number;
}

const WIDTH = 900;
const HEIGHT = 380;
const FOOT = 64;
const STEP = 2;

type Grip = { kind: 'left' | 'right' } | { kind: 'hump' };

/** The joint cut across, heights magnified, coat over coat; blade ends and the hump can be dragged. */
@Component({
  selector: 'ls-cut-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + width + ' ' + height"
      role="group"
      [attr.aria-label]="label()"
      (pointermove)="move($event)"
      (pointerup)="drop()"
      (pointercancel)="drop()"
    >
      <rect class="air" [attr.width]="width" [attr.height]="zero()" />
      @for (layer of drawn(); track layer.coat) {
        <path [attr.data-coat]="layer.coat" class="layer" [attr.d]="layer.path" />
      }
      <path class="board" [attr.d]="board()" />
      @if (gapMm() > 0) {
        <rect
          class="gap"
          [attr.x]="px(-gapMm() / 2)"
          [attr.width]="gapMm() * sx()"
          [attr.y]="gapTop()"
          [attr.height]="height - foot - gapTop()"
        />
      }
      <line class="plane" x1="0" [attr.x2]="width" [attr.y1]="zero()" [attr.y2]="zero()" />
      @if (rule(); as edge) {
        <path class="light" [attr.d]="edge.under" />
        <line class="edge" [attr.x1]="edge.x0" [attr.y1]="edge.y0" [attr.x2]="edge.x1" [attr.y2]="edge.y1" />
      }
      <rect class="foot" [attr.y]="height - foot" [attr.width]="width" [attr.height]="foot" />
      @for (blade of blades(); track $index) {
        <g [attr.data-coat]="coat()">
          <rect class="blade" [attr.x]="blade.x" [attr.y]="blade.y" [attr.width]="blade.width" height="9" />
          <line
            class="steel"
            [attr.x1]="blade.x"
            [attr.x2]="blade.x + blade.width"
            [attr.y1]="blade.y + 10"
            [attr.y2]="blade.y + 10"
          />
        </g>
      }
      @if (ends(); as at) {
        @for (grip of at; track grip.kind) {
          <g
            class="grip"
            tabindex="0"
            role="slider"
            [attr.aria-label]="grip.kind === 'left' ? 'Left edge of the band' : 'Right edge of the band'"
            [attr.aria-valuenow]="bandMm()"
            aria-valuemin="50"
            aria-valuemax="1700"
            (pointerdown)="take($event, grip)"
            (keydown)="key($event, grip)"
          >
            <line [attr.x1]="grip.x" [attr.x2]="grip.x" y1="14" [attr.y2]="height - foot" />
            <rect [attr.x]="grip.x - 7" y="4" width="14" height="20" />
          </g>
        }
      }
      <g
        class="grip"
        tabindex="0"
        role="slider"
        aria-label="Hump of the framing"
        [attr.aria-valuenow]="humpMm()"
        aria-valuemin="-50"
        aria-valuemax="50"
        (pointerdown)="take($event, { kind: 'hump' })"
        (keydown)="key($event, { kind: 'hump' })"
      >
        <rect [attr.x]="px(0) - 8" [attr.y]="humpY() - 6" width="16" height="12" />
      </g>
      <text x="8" y="20">heights × {{ magnify() }}</text>
      <text [attr.x]="width - 8" y="20" text-anchor="end">{{ reach() * 2 }} mm shown</text>
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
      touch-action: none;
      user-select: none;
    }
    .air {
      fill: var(--paper);
    }
    .layer {
      fill: var(--tone);
      stroke: var(--coat-edge);
      stroke-width: 0.6;
    }
    .board {
      fill: var(--board);
    }
    .gap {
      fill: var(--ground);
      stroke: var(--soft);
      stroke-width: 0.6;
    }
    .plane {
      stroke: var(--soft);
      stroke-width: 0.6;
      stroke-dasharray: 5 4;
    }
    .edge {
      stroke: var(--ink);
      stroke-width: 3;
    }
    .light {
      fill: var(--caution);
      opacity: 0.55;
    }
    .foot {
      fill: var(--ground);
    }
    .blade {
      fill: var(--tone);
      stroke: var(--coat-edge);
      stroke-width: 0.75;
    }
    .steel {
      stroke: var(--ink);
      stroke-width: 2;
    }
    .grip {
      cursor: ew-resize;
    }
    .grip rect {
      fill: var(--accent);
    }
    .grip line {
      stroke: var(--accent);
      stroke-dasharray: 3 4;
    }
    text {
      font-size: 12px;
      fill: var(--soft);
    }
  `,
})
export class CutDrawing {
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  readonly bare = input.required<Surface>();
  readonly layers = input.required<readonly Layer[]>();
  /** The coat that is looked at, with its pulls. */
  readonly coat = input.required<Coat>();
  readonly pulls = input.required<readonly Blade[]>();
  readonly bandMm = input.required<number>();
  readonly humpMm = input.required<number>();
  readonly gapMm = input.required<number>();
  readonly magnify = input.required<number>();
  readonly straightedge = input<Edge>();
  /** The band or the hump as it is dragged; `done` when it is let go. */
  readonly dragged = output<{ bandMm?: number; humpMm?: number; done: boolean }>();

  /** A step of the keyboard, from where the band or the hump stands. */
  readonly stepped = output<{ bandMm?: number; humpMm?: number }>();

  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  protected readonly foot = FOOT;

  /** mm each side of the joint that are drawn. */
  protected readonly reach = computed(() =>
    Math.min(HALF, Math.max(300, Math.ceil((this.bandMm() / 2 + 110) / 50) * 50)),
  );
  protected readonly sx = computed(() => WIDTH / (2 * this.reach()));
  private readonly sy = computed(() => this.sx() * this.magnify());
  private readonly top = computed(() => Math.max(0.3, ...(this.layers().at(-1)?.surface ?? this.bare())));
  /** Where the true plane lies, px. */
  protected readonly zero = computed(() =>
    Math.min(HEIGHT - FOOT - 90, Math.max(70, 54 + this.top() * this.sy())),
  );

  protected readonly label = computed(
    () => `The joint cut across: ${this.layers().length} coats, heights drawn ${this.magnify()} times`,
  );

  protected px(mm: number): number {
    return (mm + this.reach()) * this.sx();
  }

  private py(heightMm: number): number {
    return Math.max(0, this.zero() - heightMm * this.sy());
  }

  private closed(surface: Surface): string {
    const floor = HEIGHT - FOOT;
    let path = `M0 ${floor}`;
    for (let x = -this.reach(); x <= this.reach(); x += STEP)
      path += `L${this.px(x).toFixed(1)} ${this.py(surface[x + HALF] ?? 0).toFixed(1)}`;
    return `${path}L${WIDTH} ${floor}Z`;
  }

  /** Last coat first, so that each earlier one is painted over it. */
  protected readonly drawn = computed(() =>
    [...this.layers()].reverse().map(({ coat, surface }) => ({ coat, path: this.closed(surface) })),
  );
  protected readonly board = computed(() => this.closed(this.bare()));
  protected readonly gapTop = computed(() => this.py(this.bare()[HALF] ?? 0));
  protected readonly humpY = computed(() => this.py(this.humpMm()));

  protected readonly blades = computed(() =>
    this.pulls().map((p, i) => ({
      x: this.px(p.offsetMm - p.widthMm / 2),
      width: p.widthMm * this.sx(),
      y: HEIGHT - FOOT + 8 + (i % 3) * 16,
    })),
  );
  protected readonly ends = computed(() =>
    this.pulls().length === 0
      ? undefined
      : [
          { kind: 'left' as const, x: this.px(-this.bandMm() / 2) },
          { kind: 'right' as const, x: this.px(this.bandMm() / 2) },
        ],
  );

  /** The straightedge resting on the two high points about the deepest hollow, and the light under it. */
  protected readonly rule = computed(() => {
    const edge = this.straightedge();
    const surface = this.layers().at(-1)?.surface;
    if (!edge || !surface || edge.depthMm < 0.02) return undefined;
    const from = Math.max(-HALF, Math.round(edge.atMm - edge.lengthMm / 2));
    const to = Math.min(HALF, from + edge.lengthMm);
    const h = (x: number) => surface[x + HALF] ?? 0;
    // The chord that touches on both sides of the hollow: the highest line that lies on the surface there.
    let [a, b] = [from, to];
    const above = (p: number, q: number, x: number) => h(p) + ((h(q) - h(p)) * (x - p)) / (q - p || 1);
    for (let x = from; x < edge.atMm; x++) if (h(x) > above(a, b, x)) a = x;
    for (let x = to; x > edge.atMm; x--) if (h(x) > above(a, b, x)) b = x;
    for (let x = from; x < edge.atMm; x++) if (h(x) > above(a, b, x)) a = x;
    let under = `M${this.px(a)} ${this.py(h(a))}`;
    for (let x = a; x <= b; x += STEP) under += `L${this.px(x).toFixed(1)} ${this.py(h(x)).toFixed(1)}`;
    under += `L${this.px(b)} ${this.py(h(b))}Z`;
    const left = Math.max(-this.reach(), a - 20);
    const right = Math.min(this.reach(), b + 20);
    return {
      under,
      x0: this.px(left),
      y0: this.py(above(a, b, left)) - 1.5,
      x1: this.px(right),
      y1: this.py(above(a, b, right)) - 1.5,
    };
  });

  private held: Grip | undefined;
  private last: { bandMm?: number; humpMm?: number } = {};

  protected take(event: PointerEvent, grip: Grip): void {
    this.held = grip;
    (event.target as Element).setPointerCapture(event.pointerId);
    event.preventDefault();
  }

  protected move(event: PointerEvent): void {
    if (!this.held) return;
    const box = this.host.querySelector('svg')?.getBoundingClientRect();
    if (!box) return;
    const x = ((event.clientX - box.left) / box.width) * WIDTH;
    const y = ((event.clientY - box.top) / box.height) * HEIGHT;
    if (this.held.kind === 'hump') {
      const mm = Math.round(((this.zero() - y) / this.sy()) * 10) / 10;
      this.last = { humpMm: Math.max(-50, Math.min(50, mm)) };
    } else {
      const half = Math.abs(x / this.sx() - this.reach());
      this.last = { bandMm: Math.max(50, Math.min(1700, Math.round((2 * half) / 10) * 10)) };
    }
    this.dragged.emit({ ...this.last, done: false });
  }

  protected drop(): void {
    if (this.held) this.dragged.emit({ ...this.last, done: true });
    this.held = undefined;
    this.last = {};
  }

  protected key(event: KeyboardEvent, grip: Grip): void {
    const step = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    // A step from wherever it then stands: quick presses add up before the picture has followed.
    if (grip.kind === 'hump') this.stepped.emit({ humpMm: step * 0.1 });
    else
      this.stepped.emit({
        bandMm: 20 * (grip.kind === 'left' && /Left|Right/.test(event.key) ? -step : step),
      });
  }
}
