import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import {
  applyChanges,
  bareSurface,
  bladeReaching,
  cellChange,
  coatedCells,
  contrastAcross,
  crownOf,
  DECORATION_FACTS,
  deepestUnder,
  given,
  grazingOf,
  input as asInput,
  isFlat,
  kitOf,
  needsOf,
  rowCells,
  rowOfJoint,
  sanded,
  scraped,
  sectionInput,
  SectionMemo,
  SHOWS_ABOVE,
  simulate,
  steepest,
  STRAIGHTEDGES,
  strongestContrast,
  USUAL_SANDING,
  widthReads,
  type AreaPlan,
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
import { CutDrawing, type Edge, type Layer } from './cut-drawing';
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

  protected readonly magnifies = MAGNIFY;
  protected readonly coatName = COAT_NAME;
  protected readonly magnify = signal(40);
  protected readonly coat = signal<Coat>('finish');
  protected readonly wet = signal(false);
  protected readonly dressed = signal(false);
  protected readonly primed = signal(true);
  protected readonly scope = signal<'joint' | 'row'>('joint');
  /** Light tried here, °; none is the room's. */
  protected readonly tried = signal<number | undefined>(undefined);
  protected readonly pinned = signal<Pinned | undefined>(undefined);
  protected readonly edge = signal<'blade' | 'level'>('blade');
  private readonly draft = signal<{ joint: string; bandMm?: number; humpMm?: number }>({ joint: '' });

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
    // Another joint starts from its last coat.
    effect(() => {
      this.joint();
      untracked(() => this.draft.set({ joint: '' }));
    });
  }

  /** Joints of the board in this room, what shows most first. */
  protected readonly joints = computed<Joint[]>(() => {
    const plan = this.view.roomPlan();
    if (!plan) return [];
    const seen = new Map(plan.use.sections.flatMap((s) => s.joints.map((id) => [id, s.contrast] as const)));
    return plan.joints
      .filter((joint) => seen.has(joint.id))
      .sort((a, b) => (seen.get(b.id) ?? 0) - (seen.get(a.id) ?? 0) || b.lengthMm - a.lengthMm);
  });
  protected readonly joint = computed<Joint | undefined>(
    () => this.joints().find((j) => j.id === this.view.jointId()) ?? this.joints()[0],
  );
  protected readonly options = computed<Option<string>[]>(() => {
    const plan = this.view.roomPlan();
    return plan
      ? this.joints()
          .slice(0, 400)
          .map((j) => ({ value: j.id, name: jointName(plan, j.id) }))
      : [];
  });

  private readonly area = computed<AreaPlan | undefined>(() => {
    const joint = this.joint();
    return joint && this.view.roomPlan()?.areas.find((a) => rowOfJoint(a.rows, joint));
  });
  private readonly row = computed(() => {
    const joint = this.joint();
    return joint && rowOfJoint(this.area()?.rows ?? [], joint);
  });

  /** The joint with what is being dragged laid over it. */
  protected readonly shown = computed<Joint | undefined>(() => {
    const joint = this.joint();
    const draft = this.draft();
    if (!joint || draft.joint !== joint.id || draft.humpMm === undefined) return joint;
    return { ...joint, humpMm: draft.humpMm };
  });
  private readonly board = computed(() => {
    const job = this.jobs.job();
    const area = this.area();
    const room = this.view.room();
    if (!job || !area || !room) return undefined;
    return {
      needs: needsOf(area.finish),
      way: job.way,
      kit: kitOf(job.shop, job.way.tools),
      room: room.cells,
    };
  });
  private readonly own = computed<Partial<Record<Coat, CellEdit>>>(() => {
    const joint = this.joint();
    return (joint && this.view.room()?.joints?.[joint.id]?.cells) ?? {};
  });
  private readonly cells = computed(() => {
    const [row, board, draft] = [this.row(), this.board(), this.draft()];
    if (!row || !board) return [];
    if (draft.joint !== this.joint()?.id || draft.bandMm === undefined) return row.cells;
    const coat = this.at();
    const own = this.own();
    return rowCells(row.element, {
      ...board,
      joint: { ...own, [coat]: { ...own[coat], bandMm: draft.bandMm } },
    });
  });
  private readonly coated = computed(() => coatedCells(this.cells()));
  protected readonly coats = computed(() => this.coated().map((cell) => cell.coat));
  /** The coat looked at; the last where the chosen one is not done. */
  protected readonly at = computed<Coat>(() => {
    const coats = untracked(() => coatedCells(this.row()?.cells ?? []).map((c) => c.coat));
    this.row();
    return coats.includes(this.coat()) ? this.coat() : (coats.at(-1) ?? 'tape');
  });
  protected readonly cell = computed(() => this.coated().find((c) => c.coat === this.at()));

  private readonly results = computed(() => {
    const [joint, board] = [this.shown(), this.board()];
    if (!joint || !board) return undefined;
    const { bare, coats } = sectionInput(joint, this.cells(), board.way, this.view.book());
    return { bare: bareSurface(bare), results: simulate(bare, coats) };
  });
  protected readonly bare = computed<Surface>(() => this.results()?.bare ?? new Float64Array(1801));
  private readonly upTo = computed(() => this.coats().indexOf(this.at()));

  /** The coats so far; the last of them wet, hardened, or scraped and sanded. */
  protected readonly layers = computed<Layer[]>(() => {
    const results = this.results()?.results ?? [];
    const last = this.upTo();
    return results.slice(0, last + 1).map((result, i) => ({
      coat: this.coats()[i] as Coat,
      surface: i < last ? result.surface : this.wet() ? result.wet : this.dress(result.surface),
    }));
  });

  private dress(surface: Surface): Surface {
    return this.dressed() ? sanded(scraped(surface), USUAL_SANDING).surface : surface;
  }

  protected readonly surface = computed<Surface>(() => this.layers().at(-1)?.surface ?? this.bare());
  protected readonly reach = computed(() =>
    Math.min(900, Math.max(300, Math.ceil(((this.cell()?.bandMm ?? 0) / 2 + 110) / 50) * 50)),
  );

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
