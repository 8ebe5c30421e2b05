import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  applyChanges,
  given,
  PRESETS,
  SHEENS,
  say,
  presetText,
  input as asInput,
  type Hidden,
  type Sheen,
  type Why,
  type WhyInput,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { whyFailed } from '../user-error';
import { Check } from '../ui/check';
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
import { KeyFigure } from '../ui/key-figure';
import { Play } from '../ui/play';
import { WhyButton } from '../ui/why';
import { decorationName, jointName } from '../ui/words';
import { WorkFrame } from '../ui/work-frame';
import { WallPainter } from './wall-painter';
import { WallPicture } from './wall-picture';
import { EYE, WallStore, type Against, type Shown } from './wall.store';

/** No more than these are listed of what hides. */
const HIDES_LISTED = 6;

/** The whole wall in its light: what would be seen, strongest first, and how to hide it. */
@Component({
  selector: 'ls-wall-page',
  imports: [
    Cautions,
    Check,
    Choice,
    KeyFigure,
    MeasureInput,
    Segmented,
    Play,
    ActionButton,
    RouterLink,
    Slide,
    WallPicture,
    WhyButton,
    WorkFrame,
  ],
  providers: [WallPainter, WallStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './wall-page.html',
  styleUrls: ['./section-page.css', './wall-page.css'],
})
export class WallPage {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly view = inject(ViewStore);
  protected readonly wall = inject(WallStore);
  protected readonly eye = computed(() => EYE[this.format.units()]);
  private readonly jobs = inject(JobStore);
  private readonly plans = inject(PlanStore);

  protected readonly picked = signal<string | undefined>(undefined);
  protected readonly told = signal<readonly Hidden[]>([]);
  protected readonly hiding = signal(false);
  private readonly before = signal<{ litres: number; minutes: number } | undefined>(undefined);

  protected readonly listed = computed<Shown[]>(() => {
    const list = this.wall.list();
    const over = list.filter((s) => s.over);
    // What is marked stays in the list, however little it shows now.
    const hides = list.filter((s) => !s.over);
    return [...over, ...hides.filter((s, i) => i < HIDES_LISTED || s.key === this.picked())];
  });
  protected readonly hidden = computed(() => this.wall.list().filter((s) => !s.over).length);
  protected readonly decoration = computed(() => decorationName(this.wall.area()?.decoration ?? 'none'));
  protected readonly jobId = computed(() => this.jobs.job()?.id);

  protected readonly sheens: Option<'planned' | Sheen>[] = [
    { value: 'planned', name: say('wall.as-planned') },
    ...SHEENS.map((value) => ({ value, name: say(`sheen.${value}`) })),
  ];
  protected readonly againstOptions = computed<Option<Against>[]>(() => [
    { value: 'nothing', name: say('wall.nothing') },
    ...(this.wall.pinned() ? [{ value: 'pinned' as const, name: say('wall.plan-as-pinned') }] : []),
    ...PRESETS.map((preset, value) => ({ value, name: presetText(preset.id).name })),
  ]);

  protected readonly label = computed(() => {
    const surface = this.wall.face()?.name ?? say('wall');
    return this.texts.t('wall.label', { surface, count: this.wall.showing().length });
  });
  protected readonly lampLabel = computed(() => {
    const { offMm } = this.wall.light();
    return this.texts.t('wall.lamp-label', { off: this.format.length(offMm) });
  });

  private sheenFigure(what: 'shows' | 'flash'): WhyInput[] {
    const sheen = this.wall.sheen();
    return sheen ? [asInput(this.view.book()[`${what}-${sheen}`])] : [];
  }

  protected readonly seenWhy = computed<Why>(() => ({
    rule: say('why.wall'),
    inputs: [
      given(say('why.wall.lamp'), this.wall.light().offMm, 'mm'),
      given(say('why.wall.flattest'), `${this.wall.flattest()}°`),
      ...this.sheenFigure('shows'),
      given(say('why.wall.eye'), (10 * this.wall.eyeMm()) / 2000, 'mm', 'typical'),
    ],
  }));
  protected readonly flashWhy = computed<Why>(() => ({
    rule: say('why.flash'),
    inputs: [...this.sheenFigure('flash'), given(say('why.flash.left'), this.wall.flashes(), 'share')],
  }));

  protected share(share: number): string {
    return this.format.percent(Math.abs(share), 1, 1);
  }

  // Coat by coat.

  protected readonly stageAt = computed(() =>
    this.wall.stages().findIndex(({ value }) => value === this.wall.stage()),
  );

  // The light.

  protected readonly sources = computed<Option<string>[]>(() => [
    { value: '', name: say('wall.lamp-where-it') },
    ...this.wall.sources().map(({ id, name }) => ({ value: id, name })),
  ]);
  /** The window or lamp the light stands at just now. */
  protected readonly lit = computed(() => {
    const { u, v, offMm } = this.wall.light();
    const near = (a: number, b: number) => Math.abs(a - b) < 1;
    return (
      this.wall.sources().find((s) => near(s.light.u, u) && near(s.light.v, v) && near(s.light.offMm, offMm))
        ?.id ?? ''
    );
  });
  protected from(id: string): void {
    const source = this.wall.sources().find((s) => s.id === id);
    if (source) this.wall.put(source.light);
  }

  /** The lamp becomes one of the room's, and the light the room is planned for. */
  protected keep(): void {
    const [room, lamp, face] = [this.view.room(), this.wall.inRoom(), this.wall.face()];
    if (!room || !lamp || !face) return;
    const taken = new Set([...(room.lamps ?? []), ...room.openings].map((l) => l.id));
    const id = [...Array(taken.size + 1).keys()].map((n) => `lamp-${n + 1}`).find((n) => !taken.has(n));
    if (!id) return;
    const kind = this.wall.flattest() < 10 ? 'critical' : 'ordinary';
    this.jobs.editRoom(room.id, 'undo.put-lamp', (r) => {
      r.lamps = [...(r.lamps ?? []), { id, ...lamp }];
      const light = { kind, from: id } as const;
      const own = r.faces?.[face.id];
      // A face that has a light of its own keeps one of its own.
      if (own?.light) own.light = light;
      else r.light = light;
    });
    this.wall.back();
  }

  // What shows.

  protected pick(key: string): void {
    const shown = this.wall.list().find((s) => s.key === key);
    this.picked.set(key);
    // An angle may belong to the other of its faces: the one looked at stays.
    this.wall.lookAt(this.wall.face()?.id);
    if (shown?.joint) this.view.showJoint(shown.joint);
    if (shown?.at && this.wall.zoom() > 1) this.wall.closer(1, shown.at);
  }

  protected closer(by: number): void {
    const at = this.wall.list().find((s) => s.key === this.picked())?.at;
    this.wall.closer(by, this.wall.zoom() === 1 ? at : undefined);
  }

  protected async hideThese(): Promise<void> {
    const plan = this.plans.plan();
    if (this.hiding() || !plan) return;
    this.hiding.set(true);
    try {
      const told = await this.wall.hide(this.wall.hideable());
      this.told.set(told);
      const changes = told.flatMap((t) => t.changes);
      if (changes.length === 0) return;
      this.before.set({ litres: plan.totals.wetL, minutes: plan.days.labourMin });
      this.jobs.edit('undo.hide-shows', (job) => applyChanges(job, changes));
    } catch (error) {
      this.wall.cannot(whyFailed(error));
    } finally {
      this.hiding.set(false);
    }
  }

  protected readonly done = computed(() => {
    const told = this.told();
    const of = (how: Hidden['how']) => told.filter((t) => t.how === how);
    const plan = this.view.roomPlan();
    const name = (t: Hidden) => (plan ? this.texts.say(jointName(plan, t.joint)) : t.joint);
    return {
      wider: of('wider').length,
      floated: of('float').map((t) =>
        this.texts.t('wall.floated', {
          joint: name(t),
          wide: this.format.blade(t.hiding.fill?.bandMm ?? 0),
        }),
      ),
      left: of('none').map(name),
    };
  });
  /** What hiding takes more in the whole job. */
  protected readonly cost = computed(() => {
    const [was, plan] = [this.before(), this.plans.plan()];
    return was && plan && !this.plans.busy()
      ? { litres: plan.totals.wetL - was.litres, minutes: plan.days.labourMin - was.minutes }
      : undefined;
  });
}
