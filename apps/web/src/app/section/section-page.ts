import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  signal,
} from '@angular/core';
import {
  applyChanges,
  bladeReaching,
  cellChange,
  contrastAcross,
  crownOf,
  DECORATION_FACTS,
  deepestUnder,
  given,
  grazingOf,
  input as asInput,
  isFlat,
  SectionMemo,
  SHOWS_ABOVE,
  steepest,
  STRAIGHTEDGES,
  strongestContrast,
  widthReads,
  type CellEdit,
  type Coat,
  type Joint,
  type Scope,
  type Surface,
  type Why,
} from '@lisse/core';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import { Cautions } from '../ui/cautions';
import { Choice, type Option } from '../ui/choice';
import { MeasureInput } from '../ui/measure-input';
import { WhyButton } from '../ui/why';
import { COAT_NAME, jointName } from '../ui/words';
import { Cut } from './cut';
import { CutDrawing, type Edge } from './cut-drawing';
import { WallStrip } from './wall-strip';

interface Pinned {
  name: string;
  surface: Surface;
  bare: Surface;
  contrast: number;
  wetLPerM: number;
  crownMm: number;
}

const PLAY_MS = 900;
const MAGNIFY = [5, 10, 20, 40, 60, 80, 100].map((value) => ({ value, name: `× ${value}` }));

/** Section: one joint cut across, coat over coat, and the strip of wall as the light shows it. */
@Component({
  selector: 'ls-section-page',
  imports: [Cautions, Choice, CutDrawing, MeasureInput, WallStrip, WhyButton],
  providers: [Cut],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './section-page.html',
  styleUrl: './section-page.css',
})
export class SectionPage {
  protected readonly format = inject(Format);
  protected readonly jobs = inject(JobStore);
  protected readonly view = inject(ViewStore);
  private readonly plans = inject(PlanStore);
  private readonly memo = new SectionMemo();
  private readonly cut = inject(Cut);
  protected readonly joint = this.cut.joint;
  protected readonly options = this.cut.options;
  private readonly area = this.cut.area;
  private readonly row = this.cut.row;
  protected readonly shown = this.cut.shown;
  private readonly board = this.cut.board;
  private readonly own = this.cut.own;
  private readonly coated = this.cut.coated;
  protected readonly coats = this.cut.coats;
  protected readonly at = this.cut.at;
  protected readonly cell = this.cut.cell;
  private readonly results = this.cut.results;
  protected readonly bare = this.cut.bare;
  private readonly upTo = this.cut.upTo;
  protected readonly layers = this.cut.layers;
  protected readonly surface = this.cut.surface;
  protected readonly reach = this.cut.reach;
  protected readonly coat = this.cut.coat;
  protected readonly wet = this.cut.wet;
  protected readonly dressed = this.cut.dressed;
  private readonly draft = this.cut.draft;

  protected readonly magnifies = MAGNIFY;
  protected readonly coatName = COAT_NAME;
  protected readonly magnify = signal(40);
  protected readonly primed = signal(true);
  protected readonly scope = signal<'joint' | 'row'>('joint');
  /** Light tried here, °; none is the room's. */
  protected readonly tried = signal<number | undefined>(undefined);
  protected readonly pinned = signal<Pinned | undefined>(undefined);
  protected readonly edge = signal<'blade' | 'level'>('blade');

  protected readonly edges: Option<'blade' | 'level'>[] = [
    { value: 'blade', name: 'a wide blade, 305 mm' },
    { value: 'level', name: 'a level, 1200 mm' },
  ];
  protected readonly scopes: Option<'joint' | 'row'>[] = [
    { value: 'joint', name: 'this joint' },
    { value: 'row', name: 'its row in the room' },
  ];

  constructor() {
    let timer: ReturnType<typeof setInterval> | undefined;
    effect(() => {
      clearInterval(timer);
      if (!this.playing()) return;
      timer = setInterval(() => this.stepOn(), PLAY_MS);
    });
    inject(DestroyRef).onDestroy(() => clearInterval(timer));
  }

  protected readonly angle = computed(
    () => this.tried() ?? grazingOf(this.area()?.light ?? { kind: 'ordinary' }),
  );
  private readonly sheen = computed(() => DECORATION_FACTS[this.area()?.decoration ?? 'none'].sheen);
  protected readonly limit = computed(() => {
    const sheen = this.sheen();
    return sheen ? SHOWS_ABOVE[sheen] : undefined;
  });
  protected readonly decoration = computed(() => DECORATION_FACTS[this.area()?.decoration ?? 'none'].name);

  protected readonly straightedge = computed<Edge>(() => {
    const lengthMm = STRAIGHTEDGES[this.edge()];
    return { ...deepestUnder(this.surface(), lengthMm), lengthMm };
  });

  protected readonly reads = computed(() => {
    const surface = this.surface();
    const results = this.results()?.results ?? [];
    const last = results[this.upTo()];
    const cell = this.cell();
    const maxMm = cell ? this.view.book().compounds[cell.compound].maxMm : 0;
    return {
      crownMm: crownOf(surface),
      hollowMm: this.straightedge().depthMm,
      slope: steepest(surface),
      layerMm: last?.layerMm ?? 0,
      maxMm,
      layers: last && last.layerMm > maxMm ? Math.ceil(last.layerMm / maxMm) : 1,
      wetLPerM: last?.wetLPerM ?? 0,
      allLPerM: results.slice(0, this.upTo() + 1).reduce((sum, r) => sum + r.wetLPerM, 0),
      contrast: strongestContrast(surface, this.angle()),
    };
  });
  protected readonly stripLabel = computed(() => {
    const contrast = contrastAcross(this.surface(), this.angle());
    const [most, least] = [Math.max(...contrast), Math.min(...contrast)];
    return `The wall over the joint: ${this.share(most)} brighter and ${this.share(-least)} darker at the most`;
  });

  protected share(share: number): string {
    return `${(share * 100).toFixed(1)} %`;
  }

  protected readonly lightWhy = computed<Why>(() => ({
    rule: 'The slope of the surface makes it brighter or darker than the wall round it in light along the wall, smoothed over a hand’s breadth of the eye, 10 mm; the sheen decides from where on that is seen.',
    inputs: [
      given(
        'light from the wall',
        `${this.angle()}°`,
        '',
        this.tried() === undefined ? 'computed' : 'entered',
      ),
      given(`seen from, in ${this.sheen() ?? 'no sheen'}`, this.limit() ?? 0, 'share', 'typical'),
    ],
  }));
  protected readonly mudWhy = computed<Why>(() => ({
    rule: 'The bed under the tape, then what every pull of the blade leaves over the coat below as it has shrunk.',
    inputs: [
      asInput(this.view.book().bedMm),
      asInput(this.view.book().taperDepthMm),
      given('hump', this.shown()?.humpMm ?? 0, 'mm', this.shown()?.measured ? 'entered' : 'typical'),
      given('band', this.cell()?.bandMm ?? 0, 'mm'),
    ],
  }));

  // Width advice.

  protected readonly widths = computed(() => {
    const [joint, row, board, job, limit] = [
      this.shown(),
      this.row(),
      this.board(),
      this.jobs.job(),
      this.limit(),
    ];
    if (!joint || !row || !board || !job || limit === undefined || !isFlat(row.element)) return [];
    if (!row.cells.some((cell) => cell.coat === 'finish')) return [];
    return widthReads(
      {
        joint,
        row,
        board,
        own: this.own(),
        grazingDeg: this.angle(),
        limit,
        way: job.way,
        climate: job.climate,
      },
      this.view.book(),
      this.memo,
    );
  });
  protected readonly narrowest = computed(() => this.widths().find((w) => w.hides));
  /** What each width takes beyond the narrowest. */
  protected readonly steps = computed(() => {
    const all = this.widths();
    const now = this.coated().find((c) => c.coat === 'finish')?.bandMm;
    const metres = (this.joint()?.lengthMm ?? 0) / 1000;
    return all.map((w) => ({ ...w, now: w.bandMm === now, litres: w.wetLPerM * metres }));
  });
  protected readonly bladeFor = computed(() => {
    const board = this.board();
    const cell = this.cell();
    return board && cell
      ? bladeReaching(board.kit, ['knife', 'flat', 'cambered', 'box', 'wide'], cell.bladeMm)?.name
      : '';
  });

  // Writing back.

  protected show(id: string): void {
    this.view.showJoint(id);
  }

  protected pick(coat: Coat): void {
    this.playing.set(false);
    this.coat.set(coat);
  }

  protected readonly playing = signal(false);
  private stepOn(): void {
    const coats = this.coats();
    const next = coats.indexOf(this.at()) + 1;
    this.coat.set(coats[next % coats.length] ?? 'tape');
    if (next === coats.length - 1) this.playing.set(false);
  }
  protected play(): void {
    this.coat.set(this.coats()[0] ?? 'tape');
    this.playing.set(true);
  }

  protected drag({ bandMm, humpMm, done }: { bandMm?: number; humpMm?: number; done: boolean }): void {
    const joint = this.joint();
    if (!joint) return;
    if (!done) {
      this.draft.set({
        joint: joint.id,
        ...(bandMm ? { bandMm } : {}),
        ...(humpMm === undefined ? {} : { humpMm }),
      });
      return;
    }
    if (bandMm !== undefined) this.change('bandMm', bandMm, 'Drag the band', this.at());
    if (humpMm !== undefined) this.note('humpMm', humpMm, 'Drag the hump');
    this.draft.set({ joint: '' });
  }

  protected step({ bandMm, humpMm }: { bandMm?: number; humpMm?: number }): void {
    const joint = this.joint();
    const note = joint && this.view.room()?.joints?.[joint.id];
    if (bandMm !== undefined) {
      const now = note?.cells?.[this.at()]?.bandMm ?? this.cell()?.bandMm ?? 0;
      this.change('bandMm', Math.min(1700, Math.max(50, now + bandMm)), 'Change the band');
    }
    if (humpMm !== undefined) {
      const now = note?.humpMm ?? joint?.humpMm ?? 0;
      this.note(
        'humpMm',
        Math.min(50, Math.max(-50, Math.round((now + humpMm) * 10) / 10)),
        'Measure the hump',
      );
    }
  }

  protected change<K extends keyof CellEdit>(
    key: K,
    value: CellEdit[K],
    label: string,
    coat = this.at(),
  ): void {
    const [room, row, joint] = [this.view.room(), this.row(), this.joint()];
    if (!room || !row || !joint) return;
    this.hold(joint);
    const scope: Scope = this.scope() === 'joint' ? 'joint' : row.apart ? 'joint' : 'room';
    const only = this.scope() === 'joint' ? { ...row, joints: [joint.id] } : row;
    this.jobs.edit(
      label,
      (job) => applyChanges(job, cellChange(room, only, coat, key, value, scope)),
      `section.${joint.id}.${coat}.${key}`,
    );
  }

  protected note(key: 'humpMm' | 'gapMm' | 'lippageMm' | 'spanMm', value: number, label: string): void {
    const [room, joint] = [this.view.room(), this.joint()];
    if (!room || !joint) return;
    this.hold(joint);
    this.jobs.edit(
      label,
      (job) => applyChanges(job, [{ room: room.id, path: ['joints', joint.id, key], value }]),
      `section.${joint.id}.${key}`,
    );
  }

  /** A joint that is changed stays the one looked at, though another may now show more. */
  private hold(joint: Joint): void {
    if (this.view.jointId() !== joint.id) this.view.showJoint(joint.id);
  }

  protected asNarrow(): void {
    const found = this.narrowest();
    if (found) this.change('bandMm', found.bandMm, 'As narrow as hides it', 'finish');
  }

  protected setBow(mm: number): void {
    if (mm >= 0 && mm <= 3) this.change('camberMm', mm, 'Change the bow');
  }

  protected setAngle(value: string): void {
    const deg = Number(value);
    this.tried.set(Number.isFinite(deg) ? deg : undefined);
  }

  /** The light tried here becomes the room's. */
  protected keepLight(): void {
    const [room, grazingDeg] = [this.view.room(), this.tried()];
    if (!room || grazingDeg === undefined) return;
    this.jobs.editRoom(room.id, 'Change the light', (r) => {
      r.light = { kind: grazingDeg < 10 ? 'critical' : 'ordinary', grazingDeg };
    });
    this.tried.set(undefined);
  }

  protected pin(): void {
    const plan = this.view.roomPlan();
    const joint = this.joint();
    if (!plan || !joint) return;
    this.hold(joint);
    const { contrast, allLPerM, crownMm } = this.reads();
    this.pinned.set({
      name: `${jointName(plan, joint.id)}, ${this.format.blade(this.coated().at(-1)?.bandMm ?? 0)} wide`,
      surface: this.surface(),
      bare: this.bare(),
      contrast,
      wetLPerM: allLPerM,
      crownMm,
    });
  }

  protected readonly busy = this.plans.busy;
}
