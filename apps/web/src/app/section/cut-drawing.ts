import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import {
  clamped,
  LIMITS,
  middleOf,
  say,
  type Limit,
  type Bed,
  type Blade,
  type Coat,
  type CutEdge,
  type Surface,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { Format } from '../state/format';
import { CutLines } from '../ui/cut-lines';
import { watchSize } from '../ui/watch-size';

export interface Layer {
  coat: Coat;
  /** Where this coat lies: wet while it is being laid, hardened after. */
  surface: Surface;
  /** Full width of its band, mm; none for a skim. */
  bandMm: number;
}

export interface ShownEdge {
  depthMm: number;
  atMm: number;
  lengthMm: number;
}

/** What is dragged or stepped: the band, the bow of its blade, the hump, the gap. */
export interface Drag {
  bandMm?: number;
  camberMm?: number;
  humpMm?: number;
  gapMm?: number;
}

/** Drawn as large as it is shown, so that words and grips keep their size on a phone. */
const WIDE = { width: 900, height: 400 };
const NARROW_PX = 600;
const NARROW_HEIGHT = 300;
const FOOT = 72;
const STEP = 2;
/** A millimetre of bow at the blade, px. */
const BOW_PX = 60;
const DRAGGED = {
  bandMm: LIMITS.cell.bandMm,
  camberMm: LIMITS.cell.camberMm,
  humpMm: LIMITS.joint.humpMm,
  gapMm: LIMITS.joint.gapMm,
};

/** Something to drag, as it is drawn and told. */
interface Handle {
  kind: Grip;
  name: string;
  value: number;
  least: number;
  most: number;
  path: string;
  /** Dragged up and down. */
  up: boolean;
  /** A line over the whole drawing, at this place. */
  line?: number;
}

type Grip = 'left' | 'right' | 'hump' | 'bow' | 'gap';

/** The joint cut across, heights magnified, coat over coat; blade ends, bow, hump and gap can be dragged. */
@Component({
  selector: 'ls-cut-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cut-drawing.html',
  styleUrl: './cut-drawing.css',
})
export class CutDrawing {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  private readonly frame = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly host = this.frame.nativeElement;
  readonly bare = input.required<Surface>();
  readonly layers = input.required<readonly Layer[]>();
  /** The coat that is looked at, with its pulls. */
  readonly coat = input.required<Coat>();
  readonly pulls = input.required<readonly Blade[]>();
  readonly bandMm = input.required<number>();
  /** The band is measured on each of two faces. */
  readonly perFace = input(false);
  readonly camberMm = input(0);
  readonly humpMm = input.required<number>();
  readonly gapMm = input.required<number>();
  /** The gap is packed before the tape. */
  readonly packed = input(false);
  readonly kind = input<CutEdge>('butt');
  readonly bed = input<(Bed & { dryMm: number }) | undefined>();
  readonly reach = input.required<number>();
  readonly magnify = input.required<number>();
  readonly straightedge = input<ShownEdge>();
  /** Only to be looked at. */
  readonly still = input(false);
  /** What is dragged, as it is dragged; `done` when it is let go. */
  readonly dragged = output<Drag & { done: boolean }>();
  /** A step of the keyboard, from where it stands. */
  readonly stepped = output<Drag>();

  protected readonly width = signal(WIDE.width);
  protected readonly known = watchSize(
    () => this.frame,
    (width) => this.width.set(Math.max(300, width)),
  );
  protected readonly height = computed(() => (this.width() < NARROW_PX ? NARROW_HEIGHT : WIDE.height));
  /** Room for the blades below the joint; a skim has none of its own. */
  protected readonly foot = computed(() => (this.pulls().length > 0 ? FOOT : 0));
  protected readonly sx = computed(() => this.width() / (2 * this.reach()));
  private readonly sy = computed(() => this.sx() * this.magnify());
  private readonly top = computed(() => Math.max(0.3, ...(this.layers().at(-1)?.surface ?? this.bare())));
  protected readonly full = computed(() => this.bandMm() * (this.perFace() ? 2 : 1));
  protected readonly jointed = computed(() => !['angle', 'bead', 'head'].includes(this.kind()));
  protected readonly folded = computed(() => ['angle', 'bead'].includes(this.kind()));

  /** Where the true plane lies, px. */
  protected readonly zero = computed(() =>
    Math.min(this.height() - this.foot() - 96, Math.max(96, 84 + this.top() * this.sy())),
  );
  protected readonly label = computed(() =>
    this.texts.t('section.drawing', { coats: this.layers().length, times: this.magnify() }),
  );

  private readonly lines = computed(
    () =>
      new CutLines({
        reachMm: this.reach(),
        widthPx: this.width(),
        zeroPx: this.zero(),
        footPx: this.height() - this.foot(),
        magnify: this.magnify(),
        stepMm: STEP,
      }),
  );
  protected px(mm: number): number {
    return this.lines().x(mm);
  }
  private py(heightMm: number): number {
    return this.lines().y(heightMm);
  }

  /** Last coat first, so that each earlier one is painted over it. */
  protected readonly drawn = computed(() =>
    [...this.layers()].reverse().map(({ coat, surface }) => ({ coat, path: this.lines().over(surface) })),
  );
  protected readonly board = computed(() => this.lines().over(this.bare()));
  protected readonly gapTop = computed(() => this.py(this.bare()[middleOf(this.bare())] ?? 0));
  protected readonly humpY = computed(() => this.py(this.humpMm()));

  /** The tape lying in its bed. */
  protected readonly tape = computed(() => {
    const bed = this.bed();
    if (!bed || !this.layers().some((l) => l.coat === 'tape')) return undefined;
    return this.lines().strip(this.bare(), bed.tapeWidthMm / 2, bed.dryMm, bed.dryMm + bed.tapeMm);
  });

  /** Bands of the coats so far, the widest above. */
  protected readonly bands = computed(() => {
    const coats = this.layers().filter((l) => l.bandMm > 0);
    return coats.map(({ coat, bandMm }, i) => ({
      coat,
      y: 26 + 17 * (coats.length - 1 - i),
      x0: this.px(-bandMm / 2),
      x1: this.px(bandMm / 2),
      name: `${this.texts.say(say(`coat.${coat}`))} ${this.format.blade(bandMm)}`,
    }));
  });

  /** The blades of this coat under the joint, each with the bow it leaves. */
  protected readonly blades = computed(() =>
    this.pulls().map(({ offsetMm, widthMm, camberMm }, i) => {
      const [x0, x1] = [this.px(offsetMm - widthMm / 2), this.px(offsetMm + widthMm / 2)];
      const y = this.height() - this.foot() + 22 + (i % 3) * 20;
      const bow = Math.min(20, camberMm * BOW_PX);
      return { x0, x1, y, bow, path: `M${x0} ${y}Q${(x0 + x1) / 2} ${y - 2 * bow} ${x1} ${y}Z` };
    }),
  );
  /** What can be dragged: the ends of the band, the bow of its first blade, the hump, the gap. */
  protected readonly grips = computed<Handle[]>(() => {
    if (this.still()) return [];
    const handle = (
      kind: Grip,
      name: string,
      of: keyof typeof DRAGGED,
      value: number,
      path: string,
      more: Partial<Handle> = {},
    ): Handle => ({
      kind,
      name,
      value,
      least: DRAGGED[of].least,
      most: DRAGGED[of].most,
      path,
      up: false,
      ...more,
    });
    const block = (x: number, y: number, w: number, h: number) => `M${x - w / 2} ${y}h${w}v${h}h${-w}z`;
    const [first] = this.blades();
    const band = (kind: 'left' | 'right', x: number) =>
      handle(
        kind,
        this.texts.t(kind === 'left' ? 'section.grip-left' : 'section.grip-right'),
        'bandMm',
        this.bandMm(),
        block(x, 66, 14, 20),
        { line: x },
      );
    const blade = first
      ? [
          band('left', this.px(-this.full() / 2)),
          band('right', this.px(this.full() / 2)),
          handle(
            'bow',
            this.texts.t('section.grip-camber'),
            'camberMm',
            this.camberMm(),
            block((first.x0 + first.x1) / 2, first.y - first.bow - 6, 12, 12),
            { up: true },
          ),
        ]
      : [];
    if (!this.jointed()) return blade;
    const foot = this.height() - this.foot() - 12;
    const [left, right] = [this.px(-this.gapMm() / 2) - 1, this.px(this.gapMm() / 2) + 1];
    return [
      ...blade,
      handle(
        'hump',
        this.texts.t('section.grip-hump'),
        'humpMm',
        this.humpMm(),
        block(this.px(0), this.humpY() - 6, 16, 12),
        { up: true },
      ),
      handle(
        'gap',
        this.texts.t('section.grip-gap'),
        'gapMm',
        this.gapMm(),
        `M${right} ${foot}l12 -7v14zM${left} ${foot}l-12 -7v14z`,
      ),
    ];
  });

  /** The straightedge resting on the two high points about the deepest hollow, and the light under it. */
  protected readonly rule = computed(() => {
    const edge = this.straightedge();
    const surface = this.layers().at(-1)?.surface;
    if (!edge || !surface || edge.depthMm < 0.02) return undefined;
    const half = middleOf(surface);
    const from = Math.max(-half, Math.round(edge.atMm - edge.lengthMm / 2));
    const to = Math.min(half, from + edge.lengthMm);
    const h = (x: number) => surface[x + half] ?? 0;
    // The chord that touches on both sides of the hollow: the highest line that lies on the surface there.
    let [a, b] = [from, to];
    const above = (p: number, q: number, x: number) => h(p) + ((h(q) - h(p)) * (x - p)) / (q - p || 1);
    for (let x = from; x < edge.atMm; x++) if (h(x) > above(a, b, x)) a = x;
    for (let x = to; x > edge.atMm; x--) if (h(x) > above(a, b, x)) b = x;
    for (let x = from; x < edge.atMm; x++) if (h(x) > above(a, b, x)) a = x;
    const [left, right] = [Math.max(-this.reach(), a - 20), Math.min(this.reach(), b + 20)];
    return {
      under: this.lines().under(surface, a, b),
      gap: this.format.fine(edge.depthMm),
      at: this.px(Math.max(-this.reach(), Math.min(this.reach(), edge.atMm))),
      x0: this.px(left),
      y0: this.py(above(a, b, left)) - 1.5,
      x1: this.px(right),
      y1: this.py(above(a, b, right)) - 1.5,
    };
  });

  private held: Grip | undefined;
  private last: Drag = {};

  protected take(event: PointerEvent, kind: Grip): void {
    this.held = kind;
    (event.target as Element).setPointerCapture(event.pointerId);
    event.preventDefault();
  }

  protected move(event: PointerEvent): void {
    if (!this.held) return;
    const box = this.host.querySelector('svg')?.getBoundingClientRect();
    if (!box) return;
    const x = ((event.clientX - box.left) / box.width) * this.width();
    const y = ((event.clientY - box.top) / box.height) * this.height();
    const aside = Math.abs(x / this.sx() - this.reach());
    const rounded = (value: number, to: number, limit: Limit) =>
      clamped(Math.round(Math.round(value / to) * to * 100) / 100, limit);
    switch (this.held) {
      case 'hump':
        this.last = { humpMm: rounded((this.zero() - y) / this.sy(), 0.1, DRAGGED.humpMm) };
        break;
      case 'bow': {
        const base = this.blades()[0]?.y ?? y;
        this.last = { camberMm: rounded((base - y) / BOW_PX, 0.05, DRAGGED.camberMm) };
        break;
      }
      case 'gap':
        this.last = { gapMm: rounded(2 * aside, 0.5, DRAGGED.gapMm) };
        break;
      default:
        this.last = { bandMm: rounded((this.perFace() ? 1 : 2) * aside, 10, DRAGGED.bandMm) };
    }
    this.dragged.emit({ ...this.last, done: false });
  }

  protected drop(): void {
    if (this.held && Object.keys(this.last).length > 0) this.dragged.emit({ ...this.last, done: true });
    this.held = undefined;
    this.last = {};
  }

  protected key(event: KeyboardEvent, kind: Grip): void {
    const step = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    // A step from wherever it then stands: quick presses add up before the picture has followed.
    if (kind === 'hump') this.stepped.emit({ humpMm: step * 0.1 });
    else if (kind === 'bow') this.stepped.emit({ camberMm: step * 0.05 });
    else if (kind === 'gap') this.stepped.emit({ gapMm: step * 0.5 });
    else this.stepped.emit({ bandMm: 20 * (kind === 'left' && /Left|Right/.test(event.key) ? -step : step) });
  }
}
