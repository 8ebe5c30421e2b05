import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  input,
  output,
  signal,
  untracked,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  applyChanges,
  bladesFor,
  cellChange,
  COMPOUNDS,
  CONSISTENCIES,
  coatText,
  dialFor,
  dialOf,
  filledFor,
  fillOf,
  fitFor,
  input as inputOf,
  kitOf,
  SET_CLASSES,
  setMinOf,
  TOOL,
  usualKey,
  WATER_L,
  LIMITS,
  say,
  type Advice,
  type AreaPlan,
  type BoardRow,
  type CellEdit,
  type Change,
  type Coat,
  type CompoundId,
  type Room,
  type Scope,
  type Why,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { AmountInput } from '../ui/amount-input';
import { Format } from '../state/format';
import { JobStore, type Deed } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import { AdviceList } from '../ui/advice-list';
import { Choice, type Option } from '../ui/choice';
import { MeasureInput } from '../ui/measure-input';
import { WhyButton } from '../ui/why';
import { ELEMENT_NAME, fitName, jointName } from '../ui/words';
import { MixDrawing } from '../ui/mix-drawing';
import { Ranking } from './ranking';

/** One cell of the coat board: what it is for, what it takes, and everything in it open to change. */
@Component({
  selector: 'ls-cell-panel',
  imports: [AdviceList, AmountInput, Choice, MeasureInput, MixDrawing, Ranking, RouterLink, WhyButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cell-panel.html',
  styleUrl: './cell-panel.css',
})
export class CellPanel {
  protected readonly texts = inject(Texts);
  protected readonly limits = LIMITS;
  protected readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  private readonly view = inject(ViewStore);
  readonly room = input.required<Room>();
  readonly area = input.required<AreaPlan>();
  readonly row = input.required<BoardRow>();
  readonly coat = input.required<Coat>();
  readonly advice = input.required<readonly Advice[]>();
  readonly closed = output<void>();

  /** For whom a change is made: the job, the room, or a joint by its id. */
  protected readonly whom = signal('room');

  constructor() {
    // On a phone the panel stands under the board.
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    afterNextRender(() => {
      if (window.innerWidth <= 1000) host.scrollIntoView({ block: 'start' });
    });
    // A row of joints changed by hand is changed further on those joints.
    effect(() => {
      const row = this.row();
      const joint = this.view.jointId();
      const whom = untracked(this.whom);
      if (row.apart) this.whom.set('these');
      else if (joint !== undefined && row.joints.includes(joint)) this.whom.set(joint);
      else if (whom !== 'job') this.whom.set('room');
    });
  }

  protected readonly cell = computed(() => this.row().cells.find((c) => c.coat === this.coat()));
  protected readonly use = computed(() =>
    this.area().use.uses.find((u) => u.row === this.row().id && u.coat === this.coat()),
  );
  protected readonly title = computed(() =>
    say('cell.title', { row: ELEMENT_NAME[this.row().element], coat: say(`coat.${this.coat()}`) }),
  );
  protected readonly text = computed(() => coatText(this.row().element, this.coat(), this.row().bead));

  protected readonly here = computed(() =>
    this.advice().filter(
      ({ place }) =>
        place.coat === this.coat() &&
        (place.row === undefined
          ? place.element === undefined || place.element === this.row().element
          : place.row === this.row().id),
    ),
  );

  protected readonly whoms = computed<Option<string>[]>(() => {
    const row = this.row();
    const plan = this.view.roomPlan();
    const joints = row.joints.map((id) => ({ value: id, name: plan ? jointName(plan, id) : id }));
    return [
      { value: 'job', name: say('cell.whole-job') },
      { value: 'room', name: say('cell.room-only', { room: this.room().name }) },
      ...(row.apart ? [{ value: 'these', name: say('cell.these-only', { joints: row.joints.length }) }] : []),
      ...joints.slice(0, 300),
    ];
  });

  private scope(): { scope: Scope; row: BoardRow } {
    const whom = this.whom();
    const row = this.row();
    if (whom === 'job' || whom === 'room') return { scope: whom, row };
    return { scope: 'joint', row: whom === 'these' ? row : { ...row, joints: [whom] } };
  }

  protected change<K extends keyof CellEdit>(key: K, value: CellEdit[K], label: Deed): void {
    const { scope, row } = this.scope();
    this.apply(label, cellChange(this.room(), row, this.coat(), key, value, scope));
  }

  private apply(label: Deed, changes: readonly Change[]): void {
    this.jobs.edit(label, (job) => applyChanges(job, changes));
  }

  protected readonly changedFor = computed(() => {
    const own = this.cell()?.own ?? {};
    const left = this.row().left.find((l) => l.coat === this.coat());
    const scopes = [...new Set([...Object.values(own), ...(left ? [left.own] : [])])];
    return scopes.map((scope) => this.texts.t('cell.scope', { scope })).join(', ');
  });

  /** As the way of working has it: every change on the cell is taken away where it was made. */
  protected putBack(): void {
    const own: Partial<Record<keyof CellEdit, Scope>> = { ...this.cell()?.own };
    const left = this.row().left.find((l) => l.coat === this.coat());
    if (left) own.coat = left.own;
    const changes = (Object.entries(own) as [keyof CellEdit, Scope][]).flatMap(([key, scope]) =>
      cellChange(this.room(), this.row(), this.coat(), key, undefined, scope),
    );
    this.apply(say('undo.put-back', { what: this.title() }), changes);
  }

  /** Fills of the tool this coat is laid with. */
  protected readonly fills = computed(() => {
    const job = this.jobs.job();
    const wetL = this.use()?.wetL ?? 0;
    if (!job || wetL <= 0) return '';
    const tool = filledFor(job.way.tools, this.row().element, this.coat(), this.cell()?.tool);
    const fill = fillOf(tool, this.view.book())?.value;
    const count = fill ? Math.ceil(wetL / fill) : 0;
    return fill ? this.texts.t('cell.fills', { tool: TOOL[tool].name, fills: count }) : '';
  });

  // What can be chosen.

  protected readonly blades = computed<Option<number>[]>(() => {
    const job = this.jobs.job();
    const cell = this.cell();
    if (!job || !cell) return [];
    const kinds = bladesFor(job.way.tools, this.row().element, this.coat());
    const kit = kitOf(job.shop, job.way.tools);
    // Of two of one width the one reached for first gives its name.
    const all = Object.values(TOOL)
      .filter((t) => kinds.includes(t.kind) && t.widthMm !== undefined)
      .sort((a, b) => kinds.indexOf(a.kind) - kinds.indexOf(b.kind));
    const options = all.map((t) => ({
      value: t.widthMm ?? 0,
      name: say(kit.includes(t.id) ? 'blade-line.owned' : 'blade-line.not-owned', {
        wide: t.widthMm ?? 0,
        tool: t.name,
      }),
    }));
    const unique = options.filter((o, i) => options.findIndex((p) => p.value === o.value) === i);
    if (!unique.some((o) => o.value === cell.bladeMm))
      unique.push({
        value: cell.bladeMm,
        name: say(cell.float ? 'blade-line.straightedge' : 'blade-line.not-made', { wide: cell.bladeMm }),
      });
    return unique.sort((a, b) => a.value - b.value);
  });

  protected readonly hasBand = computed(() => !['prefill', 'skim'].includes(this.coat()));
  /** How wide this coat is with these tools where nobody says otherwise. */
  protected readonly usualBand = computed((): { mm: number; why: Why } | undefined => {
    const [cell, way] = [this.cell(), this.jobs.job()?.way];
    const key = cell && way && usualKey(cell.element, cell.coat, way);
    if (!key || !this.hasBand()) return undefined;
    const usual = this.view.book()[key];
    const rule = say('cell.band.why', { own: cell.own.bandMm ?? 'no' });
    return { mm: usual.value, why: { rule, inputs: [inputOf(usual)] } };
  });
  protected readonly hasBow = computed(() => (this.cell()?.pulls.length ?? 0) > 0 && this.coat() !== 'tape');
  protected readonly layers: Option<number>[] = [1, 2, 3, 4, 5, 6, 7, 8].map((value) => ({
    value,
    name: value === 1 ? say('cell.one-layer') : say('cell.layers-of', { layers: value }),
  }));
  protected readonly lanes = computed(() => {
    const n = this.cell()?.pulls.length ?? 0;
    return n > 1 ? this.texts.t('cell.passes', { passes: n }) : '';
  });
  protected readonly boxed = computed(() => TOOL[this.cell()?.tool ?? 'pan'].kind === 'box');
  /** What a box leaves at each step of its dial, mm. */
  private readonly leaves = computed(() => dialOf(this.view.book()));
  /** Step 0 lets the dial go by what stands on the wall. */
  protected readonly dial = computed(() => {
    const cell = this.cell();
    return cell?.own.camberMm ? dialFor(cell.camberMm, this.leaves()) : 0;
  });
  protected readonly dials = computed(() => {
    const leaves = this.leaves();
    const asks = dialFor(this.use()?.dialMm ?? this.cell()?.camberMm ?? 0.3, leaves);
    return [
      {
        value: 0,
        name: say('cell.dial-plan', { step: asks, film: this.format.fine(leaves[asks - 1] ?? 0) }),
      },
      ...leaves.map((mm, i) => ({
        value: i + 1,
        name: say('cell.dial-step', {
          at: i === 0 ? 'open' : i === leaves.length - 1 ? 'closed' : 'between',
          step: i + 1,
          film: this.format.fine(mm),
        }),
      })),
    ];
  });
  protected readonly boxFilm = computed(() => this.view.book().boxFilmMm.value);
  protected setDial(step: number): void {
    this.change('camberMm', step === 0 ? undefined : this.leaves()[step - 1], 'undo.set-dial');
  }

  protected setBow(mm: number): void {
    this.change('camberMm', mm, 'undo.change-bow');
  }

  protected readonly compounds = computed<Option<CompoundId>[]>(() =>
    COMPOUNDS.map((value) => ({
      value,
      name: fitName(fitFor(value, this.coat()), this.view.book().compounds[value].name),
    })),
  );
  protected readonly ranking = signal(false);

  protected readonly mixes = CONSISTENCIES.map((value) => ({
    value,
    name: say('mix.line', { mix: value, behaves: say(`consistency.${value}`) }),
  }));
  /** Water for the package this coat is mixed from. */
  protected readonly water = computed(() => {
    const cell = this.cell();
    if (!cell) return '';
    const { packages, hardens } = this.view.book().compounds[cell.compound];
    const units = this.format.units();
    const pack = packages.find((p) => p.for === 'both' || p.for === units);
    if (!pack) return '';
    if (hardens !== 'drying')
      return this.texts.t('cell.water-powder', {
        water: this.format.volume(pack.waterL ?? 0),
        kind: pack.kind,
      });
    const litres = (WATER_L[cell.consistency] * pack.yieldsL) / 17;
    return litres > 0
      ? this.texts.t('cell.water-pail', {
          water: this.format.volume(litres),
          kind: pack.kind,
          holds: this.format.volume(pack.yieldsL),
        })
      : this.texts.t('cell.no-water');
  });

  protected readonly sets = computed(
    () => this.view.book().compounds[this.cell()?.compound ?? 'drying-light'].hardens !== 'drying',
  );
  protected readonly setTimes = SET_CLASSES.map((value) => ({
    value: value as number,
    name: say('cell.minutes', { min: value }),
  }));
  protected readonly setMin = computed(() => {
    const cell = this.cell();
    return cell ? setMinOf(cell, this.view.book()) : 90;
  });

  protected setWait(minutes: number | undefined): void {
    if (minutes !== undefined) this.change('waitMin', minutes, 'undo.change-wait');
    else if (this.cell()?.own.waitMin) this.change('waitMin', undefined, 'undo.wait-as-reckoned');
  }

  /** What of the row to look at in Section: the joint looked at, or the first; a head, a spot. */
  protected readonly cutJoint = computed(() => {
    const row = this.row();
    if (row.element === 'heads') return `heads/${this.area().id}`;
    if (row.element === 'repairs') return `repair/${this.view.room()?.damage?.[0]?.id ?? ''}`;
    // The skim lies over every joint.
    if (row.element === 'face') return this.area().use.sections[0]?.joints[0];
    const looked = this.view.jointId();
    return looked !== undefined && row.joints.includes(looked) ? looked : row.joints[0];
  });
  protected readonly jobId = computed(() => this.jobs.job()?.id);
  protected cut(id: string): void {
    this.view.showJoint(id);
    this.view.showCoat(this.coat());
  }

  protected skip(): void {
    // A coat that was added is taken away again; one that is asked for is left out.
    if (this.cell()?.own.coat) this.putBackCoat();
    else this.change('coat', 'skip', say('undo.leave-out', { coat: say(`coat.${this.coat()}`) }));
  }

  private putBackCoat(): void {
    const scope = this.cell()?.own.coat;
    if (scope)
      this.apply(
        say('undo.take-away', { coat: say(`coat.${this.coat()}`) }),
        cellChange(this.room(), this.row(), this.coat(), 'coat', undefined, scope),
      );
  }
}
