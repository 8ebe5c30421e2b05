import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  contrastAcross,
  crownOf,
  DECORATION_FACTS,
  deepestOnFaces,
  deepestUnder,
  given,
  input as asInput,
  steepest,
  STRAIGHTEDGES,
  strongestContrast,
  turnedMl,
  say,
  type Blade,
  type CellEdit,
  type Coat,
  type CutEdge,
  type Surface,
  type Why,
  type WhyInput,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { aFrameLater, inTurn } from '../ui/idle-queue';
import { Segmented } from '../ui/segmented';
import { ActionButton } from '../ui/action-button';
import { Slide } from '../ui/slide';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import { Cautions } from '../ui/cautions';
import { Choice, type Option } from '../ui/choice';
import { MeasureInput } from '../ui/measure-input';
import { NumberInput } from '../ui/number-input';
import { KeyFigure } from '../ui/key-figure';
import { Play } from '../ui/play';
import { WhyButton } from '../ui/why';
import { COAT_NAME } from '../ui/words';
import { WorkFrame } from '../ui/work-frame';
import { CutStore, type Cut } from './cut.store';
import { CutDrawing, type Drag, type Layer, type ShownEdge } from './cut-drawing';
import { CutFields } from './cut-fields';
import { WallStrip } from './wall-strip';
import { WidthAdvice } from './width-advice';

/** A finish as it is drawn: the one that is worked on, or one put aside to hold it against. */
interface ShownFinish {
  id: 'now' | 'pinned';
  name: string;
  layers: Layer[];
  bare: Surface;
  pulls: readonly Blade[];
  coat: Coat;
  bandMm: number;
  perFace: boolean;
  camberMm: number;
  humpMm: number;
  gapMm: number;
  packed: boolean;
  kind: CutEdge;
  bed: ReturnType<Cut['bed']>;
  reach: number;
  straightedge: ShownEdge;
}

/** What is told of a finish that is held against another. */
interface ToldFinish {
  contrast: number;
  crownMm: number;
  mud: string;
}

const MAGNIFY = [5, 10, 20, 40, 60, 80, 100].map((value) => ({ value, name: `× ${value}` }));

/** Two faces are tried one by one. */
const hollowUnder = (surface: Surface, lengthMm: number, edge: CutEdge | undefined) =>
  edge === 'angle' || edge === 'bead' ? deepestOnFaces(surface, lengthMm) : deepestUnder(surface, lengthMm);

/** Section: one joint cut across, coat over coat, and the strip of wall as the light shows it. */
@Component({
  selector: 'ls-section-page',
  imports: [
    Cautions,
    Choice,
    CutDrawing,
    CutFields,
    MeasureInput,
    NumberInput,
    Segmented,
    ActionButton,
    RouterLink,
    Slide,
    WallStrip,
    KeyFigure,
    Play,
    WhyButton,
    WidthAdvice,
    WorkFrame,
  ],
  providers: [CutStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './section-page.html',
  styleUrl: './section-page.css',
})
export class SectionPage {
  /** The drawing and its readings come after the page: it answers between them. */
  protected readonly turn = inTurn(4);
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly view = inject(ViewStore);
  protected readonly cut = inject(CutStore);
  private readonly jobs = inject(JobStore);
  protected readonly busy = inject(PlanStore).busy;

  protected readonly magnifies = MAGNIFY;
  protected readonly coatName = COAT_NAME;
  protected readonly magnify = signal(40);
  protected readonly primed = signal(true);
  protected readonly pinned = signal<(ShownFinish & ToldFinish) | undefined>(undefined);
  protected readonly edge = signal<'blade' | 'level'>('blade');
  protected readonly lengths = STRAIGHTEDGES;
  protected readonly edges = computed((): Option<'blade' | 'level'>[] => [
    { value: 'blade', name: say('section.wide-blade', { length: this.format.blade(STRAIGHTEDGES.blade) }) },
    { value: 'level', name: say('section.level', { length: this.format.blade(STRAIGHTEDGES.level) }) },
  ]);
  protected readonly padLimit = {
    padMm: { least: 50, most: 600 },
    biteMm: { least: 0.01, most: 0.5 },
    passes: { least: 1, most: 10 },
  };

  protected readonly jobId = computed(() => this.jobs.job()?.id);
  protected readonly decoration = computed(
    () => DECORATION_FACTS[this.cut.area()?.decoration ?? 'none'].name,
  );
  protected readonly straightedge = computed<ShownEdge>(() => {
    const lengthMm = STRAIGHTEDGES[this.edge()];
    return { ...hollowUnder(this.cut.surface(), lengthMm, this.cut.edge()), lengthMm };
  });

  /** What the readings are taken from: as it is drawn, once it is drawn. */
  private readonly laid = aFrameLater(
    computed(() => ({
      edge: this.cut.edge(),
      bare: this.cut.bare(),
      surface: this.cut.surface(),
      coats: this.cut.coats(),
      coated: this.cut.coated().length,
      results: this.cut.results() ?? [],
      at: this.cut.upTo(),
      cell: this.cut.cell(),
      angle: this.cut.angle(),
    })),
  );
  protected readonly reads = computed(() => {
    const { edge, surface, coated, results, at, cell, angle } = this.laid();
    const last = results[at];
    const hollow = (of: 'blade' | 'level') =>
      of === this.edge() && surface === this.cut.surface()
        ? this.straightedge()
        : hollowUnder(surface, STRAIGHTEDGES[of], edge);
    return {
      // A skim lies everywhere: it is no crown.
      crownMm: crownOf(surface) - Math.max(0, surface[0] ?? 0),
      bladeMm: hollow('blade').depthMm,
      levelMm: hollow('level').depthMm,
      slope: steepest(surface),
      layerMm: last?.layerMm ?? 0,
      maxMm: cell ? this.view.book().compounds[cell.compound].maxMm : 0,
      // A skim is reckoned over the face, not along the joint.
      allLPerM: results.slice(0, Math.min(at + 1, coated)).reduce((sum, r) => sum + r.wetLPerM, 0),
      contrast: strongestContrast(surface, angle),
    };
  });
  protected readonly head = computed(() => this.laid().edge === 'head');
  /** What the mud so far comes to, in words. */
  protected readonly mud = computed(() => {
    if (!this.head()) return this.format.perRun(this.reads().allLPerM);
    const rounds = this.rounds().slice(0, this.laid().at + 1);
    return this.texts.t('section.each', {
      amount: this.format.dab(rounds.reduce((sum, round) => sum + round.wetMl, 0)),
    });
  });
  /** The joint after each coat, as it hardens. */
  protected readonly rounds = computed(() => {
    const { bare, coats, coated, results, angle } = this.laid();
    return results.map((result, i) => {
      const wetMl = this.head()
        ? turnedMl(result.wet, results[i - 1]?.surface ?? bare)
        : result.wetLPerM * 1000;
      return {
        coat: coats[i] as Coat,
        film: i >= coated,
        wetMl,
        dryMl: result.wetLPerM > 0 ? (wetMl * result.dryLPerM) / result.wetLPerM : 0,
        layers: result.waitsMm.length,
        crownMm: result.crownMm - Math.max(0, result.surface[0] ?? 0),
        contrast: strongestContrast(result.surface, angle),
      };
    });
  });
  /** How the order reckons what is cut across here but counted by the metre or by the head. */
  protected readonly reckoned = computed(() => {
    const [row, book] = [this.cut.row(), this.view.book()];
    const { perRun, dab } = this.format;
    if (row?.element === 'angles')
      return this.texts.t('section.angles-by-run', {
        tape: perRun(book.angleTapeL.value),
        side: perRun(book.angleFaceL.value),
      });
    if (row?.element === 'heads')
      return this.texts.t('section.fasteners-each', { each: dab(book.headL.value * 1000) });
    if (row?.element === 'repairs') return this.texts.t('section.repairs-film');
    return undefined;
  });

  protected readonly stripLabel = computed(() => {
    const contrast = contrastAcross(this.laid().surface, this.laid().angle);
    const [most, least] = [Math.max(...contrast), Math.min(...contrast)];
    return this.texts.t('section.strip-label', { bright: this.share(most), dark: this.share(-least) });
  });
  protected share(share: number): string {
    return this.format.percent(share, 1, 1);
  }

  private seenFrom(): WhyInput[] {
    const sheen = this.cut.sheen();
    return sheen ? [asInput(this.view.book()[`shows-${sheen}`])] : [];
  }

  protected readonly lightWhy = computed<Why>(() => ({
    rule: say('why.light'),
    inputs: [
      given(
        say('why.light.angle'),
        `${this.cut.angle()}°`,
        '',
        this.cut.tried() === undefined ? 'computed' : 'entered',
      ),
      ...this.seenFrom(),
    ],
  }));
  protected readonly mudWhy = computed<Why>(() => ({
    rule: say('why.section-mud'),
    inputs: [
      asInput(this.view.book().bedMm),
      asInput(this.view.book().taperDepthMm),
      given(
        say('shape.hump'),
        this.cut.shown()?.humpMm ?? 0,
        'mm',
        this.cut.shown()?.measured ? 'entered' : 'typical',
      ),
      given(say('why.band'), this.cut.cell()?.bandMm ?? 0, 'mm'),
    ],
  }));

  protected pick(coat: Coat): void {
    this.view.showCoat(coat);
  }

  protected setPad(key: 'padMm' | 'biteMm' | 'passes', value: number): void {
    this.cut.sand({ [key]: value });
  }

  /** Mud of one coat, a metre or a head. */
  protected amount(millilitres: number): string {
    return this.head() ? this.format.dab(millilitres) : this.format.onRun(millilitres / 1000);
  }

  // Dragged in the drawing.

  protected drag({ done, ...drag }: Drag & { done: boolean }): void {
    const target = this.cut.target();
    if (!target) return;
    this.cut.drag(done ? undefined : { id: target.id, ...drag });
    if (done) this.write(drag, 'drag');
  }

  protected step(by: Drag): void {
    const joint = this.cut.joint();
    const note = joint && this.view.room()?.joints?.[joint.id];
    const edit: CellEdit = note?.cells?.[this.cut.at()] ?? {};
    const cell = this.cut.cell();
    const within = (value: number, lo: number, hi: number) =>
      Math.min(hi, Math.max(lo, Math.round(value * 100) / 100));
    const { bandMm, camberMm, humpMm, gapMm } = by;
    this.write(
      {
        ...(bandMm ? { bandMm: within((edit.bandMm ?? cell?.bandMm ?? 0) + bandMm, 50, 4000) } : {}),
        ...(camberMm ? { camberMm: within((edit.camberMm ?? cell?.camberMm ?? 0) + camberMm, 0, 3) } : {}),
        ...(humpMm ? { humpMm: within((note?.humpMm ?? joint?.humpMm ?? 0) + humpMm, -50, 50) } : {}),
        ...(gapMm ? { gapMm: within((note?.gapMm ?? joint?.gapMm ?? 0) + gapMm, 0, 100) } : {}),
      },
      'change',
    );
  }

  private write({ bandMm, camberMm, humpMm, gapMm }: Drag, verb: 'drag' | 'change'): void {
    if (bandMm !== undefined) this.cut.change('bandMm', bandMm, `undo.${verb}-band`);
    if (camberMm !== undefined) this.cut.change('camberMm', camberMm, `undo.${verb}-bow`);
    if (humpMm !== undefined) this.cut.note({ humpMm }, `undo.${verb}-hump`);
    if (gapMm !== undefined) this.cut.note({ gapMm }, `undo.${verb}-gap`);
  }

  protected readonly coatOptions = computed(() =>
    this.cut.coats().map((coat): Option<Coat> => ({ value: coat, name: COAT_NAME[coat], coat })),
  );

  /** The light tried here becomes the room's. */
  protected keepLight(): void {
    const [room, grazingDeg] = [this.view.room(), this.cut.tried()];
    if (!room || grazingDeg === undefined) return;
    this.jobs.editRoom(room.id, 'undo.change-light', (r) => {
      r.light = { kind: grazingDeg < 10 ? 'critical' : 'ordinary', grazingDeg };
    });
    this.cut.tryLight();
  }

  /** What is drawn: a finish that was pinned, and the one worked on beside it. */
  protected readonly figures = computed<(ShownFinish & Partial<ToldFinish>)[]>(() => {
    const [pinned, now] = [this.pinned(), this.now()];
    return pinned ? [pinned, { ...now, ...this.told() }] : [now];
  });
  private readonly told = computed<ToldFinish>(() => {
    const { contrast, crownMm } = this.reads();
    return { contrast, crownMm, mud: this.mud() };
  });
  private readonly now = computed<ShownFinish>(() => {
    const [cell, joint] = [this.cut.cell(), this.cut.shown()];
    const bandMm = cell?.bandMm ?? 0;
    return {
      id: 'now',
      name: this.texts.t('section.joint-wide', { joint: this.cut.name(), wide: this.format.blade(bandMm) }),
      layers: this.cut.layers(),
      bare: this.cut.bare(),
      pulls: this.cut.pulls(),
      coat: this.cut.at(),
      bandMm,
      perFace: cell?.perFace ?? false,
      camberMm: cell?.camberMm ?? 0,
      humpMm: joint?.humpMm ?? 0,
      gapMm: joint?.gapMm ?? 0,
      packed: this.cut.packed(),
      kind: this.cut.edge() ?? 'butt',
      bed: this.cut.bed(),
      reach: this.cut.reach(),
      straightedge: this.straightedge(),
    };
  });

  protected pin(): void {
    this.cut.hold();
    this.pinned.set({ ...this.now(), ...this.told(), id: 'pinned' });
  }
}
