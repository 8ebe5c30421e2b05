import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  ElementRef,
  inject,
  input,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { select, zoom, zoomIdentity, type D3ZoomEvent, type ZoomBehavior } from 'd3';
import {
  wallId,
  type Joint,
  type Opening,
  type Point,
  type Room,
  type RoomPlan,
  type Way,
  say,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { Format } from '../state/format';
import { watchSize } from '../ui/watch-size';
import { faceName, JOINT_NAME } from '../ui/words';
import { FITTED, Paper, type View } from '../ui/paper';
import { Compass } from './compass';
import { drawRoom, neighbour, swept } from './drawing';
import { buttPlace, buttPlaces, jointKey, nearest, type JointKey } from './joint-edit';

const WAYS: Record<string, Point> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Farthest zoom in. */
const MOST_ZOOM = 14;
/** A press that moves less is a press, px. */
const STILL_PX = 4;

type Drag =
  | { what: 'butt'; joint: Joint; start: Point; moved: boolean }
  | { what: 'opening'; opening: Opening; start: Point; grip: Point; moved: boolean }
  | { what: 'sweep'; start: Point; now: Point };

/** The room opened like a box, with its joints told apart by line, and walked with the arrow keys. */
@Component({
  selector: 'ls-room-drawing',
  imports: [Compass],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './room-drawing.html',
  styleUrl: './room-drawing.css',
})
export class RoomDrawing {
  protected readonly texts = inject(Texts);
  private readonly format = inject(Format);
  private readonly frame = viewChild.required<ElementRef<HTMLElement>>('frame');
  private readonly svg = viewChild.required<ElementRef<SVGSVGElement>>('svg');

  readonly room = input.required<Room>();
  readonly plan = input.required<RoomPlan>();
  readonly way = input.required<Way>();
  /** Ids of the selected joints, the one that is read first. */
  readonly selected = input<readonly string[]>([]);
  readonly opening = input<string>();
  readonly framing = input(false);
  readonly boards = input(false);
  /** A press takes a joint into the selection and a drag sweeps, as with Shift: for hands without one. */
  readonly several = input(false);
  /** A press on a face places something rather than selects. */
  readonly placing = input(false);

  readonly chosen = output<string | undefined>();
  readonly toggled = output<string>();
  readonly sweptOver = output<readonly string[]>();
  readonly openingChosen = output<string>();
  readonly pressed = output<JointKey>();
  readonly buttMoved = output<{ joint: Joint; to: number }>();
  readonly openingMoved = output<{ opening: Opening; leftMm: number; bottomMm: number }>();
  readonly placed = output<{ face: string; at: Point }>();

  protected readonly size = signal({ width: 640, height: 480 });
  protected readonly known = watchSize(this.frame, (width, height) => this.size.set({ width, height }));
  protected readonly view = signal<View>(FITTED);
  private readonly drag = signal<Drag | undefined>(undefined);
  private zoomer: ZoomBehavior<SVGSVGElement, unknown> | undefined;

  private readonly paper = computed(() => new Paper(this.plan().faces, this.size(), this.view()));
  protected readonly drawing = computed(() =>
    drawRoom(
      this.room(),
      this.plan(),
      this.size(),
      (joint) => this.trouble(joint),
      (mm) => this.format.length(mm),
      this.texts.say,
      this.view(),
      { framing: this.framing(), boards: this.boards() },
    ),
  );
  /** Long joints first, so that a short one can be pressed where they meet. */
  protected readonly stacked = computed(() =>
    [...this.drawing().joints].sort((a, b) => b.joint.lengthMm - a.joint.lengthMm),
  );
  protected readonly held = computed(() => new Set(this.selected()));
  protected readonly first = computed(() => this.plan().joints.find((j) => j.id === this.selected()[0]));
  protected readonly said = computed(() => {
    const count = this.selected().length;
    const joint = this.first();
    if (count > 1) return this.texts.t('drawing.selected', { count });
    if (joint) return this.name(joint);
    const opening = this.room().openings.find((o) => o.id === this.opening());
    return opening
      ? this.texts.t('openings.on-wall', { kind: say(`openings.${opening.kind}`), wall: opening.wall + 1 })
      : '';
  });
  protected readonly sweep = computed(() => {
    const drag = this.drag();
    if (drag?.what !== 'sweep') return undefined;
    const [a, b] = [drag.start, drag.now];
    return {
      x: Math.min(a[0], b[0]),
      y: Math.min(a[1], b[1]),
      width: Math.abs(a[0] - b[0]),
      height: Math.abs(a[1] - b[1]),
    };
  });

  constructor() {
    const destroy = inject(DestroyRef);
    afterNextRender(() => {
      const svg = select(this.svg().nativeElement);
      this.zoomer = zoom<SVGSVGElement, unknown>()
        .scaleExtent([1, MOST_ZOOM])
        .extent(() => this.whole())
        .constrain((transform, extent) => {
          const [[x0, y0], [x1, y1]] = extent;
          const { k, x, y } = transform;
          // The drawing never leaves its frame: at k = 1 it fills it.
          const within = (n: number, low: number, high: number) =>
            Math.min(low, Math.max(high - k * high, n));
          return zoomIdentity.translate(within(x, x0, x1), within(y, y0, y1)).scale(k);
        })
        .filter((event: Event) => this.mayPan(event))
        .on('zoom', ({ transform: { k, x, y } }: D3ZoomEvent<SVGSVGElement, unknown>) =>
          this.view.set({ k, x, y }),
        );
      svg.call(this.zoomer).on('dblclick.zoom', null);
      destroy.onDestroy(() => svg.on('.zoom', null));
    });
    // Another room starts fitted.
    let shown: string | undefined;
    effect(() => {
      const { id } = this.room();
      if (shown !== undefined && shown !== id) untracked(() => this.fit());
      shown = id;
    });
  }

  /** Whether the zoom may have this event: a wheel, two fingers, or a drag of the empty ground. */
  private mayPan(event: Event): boolean {
    if (event.type === 'wheel') return true;
    const { shiftKey, button, touches, target } = event as MouseEvent & TouchEvent;
    const taken = this.several() || (target as Element).closest('.on[data-drag]') !== null;
    if (touches) return touches.length > 1 || (this.view().k > 1 && !taken);
    return !shiftKey && !this.several() && !button && !(target as Element).closest('[data-drag]');
  }

  private whole(): [[number, number], [number, number]] {
    const { width, height } = this.size();
    return [
      [0, 0],
      [width, height],
    ];
  }

  fit(): void {
    if (this.zoomer) select(this.svg().nativeElement).call((s) => this.zoomer?.transform(s, zoomIdentity));
  }

  zoomBy(factor: number): void {
    if (this.zoomer) select(this.svg().nativeElement).call((s) => this.zoomer?.scaleBy(s, factor));
  }

  protected name(joint: Joint): string {
    const trouble = this.trouble(joint);
    return `${this.texts.say(JOINT_NAME[joint.kind])}, ${this.texts.say(faceName(this.plan(), joint.face))}, ${this.format.length(joint.lengthMm)}${trouble ? `, ${trouble}` : ''}`;
  }

  protected choose(event: MouseEvent, joint: Joint): void {
    if (this.placing()) return;
    event.stopPropagation();
    if (this.adds(event)) this.toggled.emit(joint.id);
    else this.chosen.emit(joint.id);
  }

  private adds(event: MouseEvent): boolean {
    return event.shiftKey || this.several();
  }

  protected chooseOpening(event: Event, id: string): void {
    if (this.placing()) return;
    event.stopPropagation();
    this.openingChosen.emit(id);
  }

  /** A press on the ground lets go, or places what is to be placed on the face under it. */
  protected ground(event: MouseEvent): void {
    if (this.answered) {
      this.answered = false;
      return;
    }
    if (!this.placing()) {
      if (!this.adds(event)) this.chosen.emit(undefined);
      return;
    }
    const face = (event.target as Element).closest('[data-face]')?.getAttribute('data-face');
    if (face) this.placed.emit({ face, at: this.paper().under(face, this.where(event)) });
  }

  private where(event: MouseEvent): Point {
    const box = this.svg().nativeElement.getBoundingClientRect();
    return [event.clientX - box.left, event.clientY - box.top];
  }

  protected down(event: PointerEvent): void {
    this.answered = false;
    if (event.button !== 0 || this.placing()) return;
    const start = this.where(event);
    const target = event.target as Element;
    if (this.adds(event) && !target.closest('[data-drag]'))
      this.drag.set({ what: 'sweep', start, now: start });
    const id = target.closest('[data-drag]')?.getAttribute('data-drag');
    // A finger moves only what was picked before, so that scrolling past moves nothing.
    const finger = event.pointerType !== 'mouse';
    const joint = this.plan().joints.find((j) => j.id === id);
    if (joint && buttPlace(this.plan(), joint) && (!finger || this.held().has(joint.id)))
      this.drag.set({ what: 'butt', joint, start, moved: false });
    const opening = this.room().openings.find((o) => o.id === id);
    if (opening && (!finger || this.opening() === id))
      this.drag.set({
        what: 'opening',
        opening,
        start,
        grip: this.paper().under(wallId(opening.wall), start),
        moved: false,
      });
    if (this.drag()) this.svg().nativeElement.setPointerCapture(event.pointerId);
  }

  protected move(event: PointerEvent): void {
    const drag = this.drag();
    if (!drag) return;
    const now = this.where(event);
    if (drag.what === 'sweep') {
      this.drag.set({ ...drag, now });
      return;
    }
    const far = Math.hypot(now[0] - drag.start[0], now[1] - drag.start[1]);
    if (!drag.moved && far < STILL_PX) return;
    if (!drag.moved) {
      this.drag.set({ ...drag, moved: true });
      // What is moved is what is read.
      if (drag.what === 'butt') this.chosen.emit(drag.joint.id);
      else this.openingChosen.emit(drag.opening.id);
    }
    if (drag.what === 'butt') {
      // The butt as it now is: it keeps its number while it moves.
      const joint = this.plan().joints.find((j) => j.id === drag.joint.id) ?? drag.joint;
      const place = buttPlace(this.plan(), joint);
      const [u, v] = this.paper().under(joint.face, now);
      const to = nearest(buttPlaces(this.plan(), joint), place?.along === 'u' ? u : v);
      if (place && to !== undefined && Math.abs(to - place.at) > 0.5) this.buttMoved.emit({ joint, to });
      return;
    }
    const { opening, grip } = drag;
    const [u, v] = this.paper().under(wallId(opening.wall), now);
    const wall = this.plan().faces.find((f) => f.id === wallId(opening.wall));
    const snap = (mm: number) => Math.round(mm / this.nudge()) * this.nudge();
    const most = Math.max(0, (wall?.box[2] ?? 0) - opening.widthMm);
    const high = Math.max(0, (wall?.box[3] ?? 0) - opening.heightMm);
    this.openingMoved.emit({
      opening,
      leftMm: Math.min(most, Math.max(0, snap(opening.leftMm + u - grip[0]))),
      bottomMm: Math.min(high, Math.max(0, snap(opening.bottomMm + v - grip[1]))),
    });
  }

  protected up(event: PointerEvent): void {
    const drag = this.drag();
    this.drag.set(undefined);
    if (!drag) return;
    this.svg().nativeElement.releasePointerCapture(event.pointerId);
    if (drag.what === 'sweep') {
      if (Math.hypot(drag.now[0] - drag.start[0], drag.now[1] - drag.start[1]) >= STILL_PX)
        this.sweptOver.emit(swept(this.drawing().joints, drag.start, drag.now).map((d) => d.joint.id));
    } else if (!drag.moved) {
      // The capture took the press away from what was pressed.
      if (drag.what === 'opening') this.openingChosen.emit(drag.opening.id);
      else if (this.adds(event)) this.toggled.emit(drag.joint.id);
      else this.chosen.emit(drag.joint.id);
    }
    this.answered = true;
  }

  /** A press that was captured ends in a click on the ground, which is answered already. */
  private answered = false;

  /** A step by key: half an inch or 10 mm. */
  private nudge(): number {
    return this.format.units() === 'metric' ? 10 : 12.7;
  }

  protected key(event: KeyboardEvent): void {
    const joints = this.drawing().joints;
    const now = joints.find((d) => d.joint.id === this.selected()[0]);
    const way = WAYS[event.key];
    if (way && event.altKey) this.shove(way, now?.joint);
    else if (way) {
      const next = neighbour(joints, joints.find((d) => d.joint.id === this.selected().at(-1)) ?? now, way);
      if (next && event.shiftKey) {
        if (!this.held().has(next.joint.id)) this.toggled.emit(next.joint.id);
      } else if (next) this.chosen.emit(next.joint.id);
    } else if (event.key === 'Home') this.chosen.emit(joints[0]?.joint.id);
    else if (event.key === 'End') this.chosen.emit(joints.at(-1)?.joint.id);
    else if (event.key === 'Escape') this.chosen.emit(undefined);
    else if (event.key === '+' || event.key === '=') this.zoomBy(1.4);
    else if (event.key === '-') this.zoomBy(1 / 1.4);
    else if (event.key === '0') this.fit();
    else if (event.key === 'o') this.nextOpening();
    else {
      const key = now && !event.ctrlKey && !event.metaKey && jointKey(event.key, now.joint);
      if (!key) return;
      this.pressed.emit(key);
    }
    event.preventDefault();
    event.stopPropagation();
  }

  private nextOpening(): void {
    const all = this.room().openings;
    const next = all[(all.findIndex((o) => o.id === this.opening()) + 1) % Math.max(1, all.length)];
    if (next) this.openingChosen.emit(next.id);
  }

  /** Moves the selected butt a stud, or the selected opening a step, the way of the arrow. */
  private shove(way: Point, joint: Joint | undefined): void {
    const opening = this.room().openings.find((o) => o.id === this.opening());
    if (opening) {
      const step = this.nudge();
      this.openingMoved.emit({
        opening,
        leftMm: Math.max(0, opening.leftMm + way[0] * step),
        bottomMm: Math.max(0, opening.bottomMm - way[1] * step),
      });
      return;
    }
    const place = joint && buttPlace(this.plan(), joint);
    if (!place) return;
    const places = buttPlaces(this.plan(), joint);
    const forward = (way[0] || -way[1]) > 0;
    const to = forward
      ? places.find((at) => at > place.at + 0.5)
      : [...places].reverse().find((at) => at < place.at - 0.5);
    if (to !== undefined) this.buttMoved.emit({ joint, to });
  }

  /** What is unusual about a joint, in a few words. */
  private trouble(joint: Joint): string | undefined {
    if (joint.lippageMm !== 0 && joint.humpMm === 0 && joint.gapMm <= this.way().prefillOverMm)
      return this.texts.t('drawing.offset', { mm: this.format.small(Math.abs(joint.lippageMm)) });
    if (!joint.measured) return undefined;
    if (joint.humpMm !== 0)
      return this.texts.t('drawing.hump', {
        mm: this.format.small(Math.abs(joint.humpMm)),
        sign: joint.humpMm > 0 ? 'out' : 'in',
      });
    if (joint.gapMm > this.way().prefillOverMm)
      return this.texts.t('drawing.gap', { mm: this.format.small(joint.gapMm) });
    return undefined;
  }
}
