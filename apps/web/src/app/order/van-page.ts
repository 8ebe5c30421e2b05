import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  given,
  input as asInput,
  massByStorey,
  tripsFor,
  say,
  type BoardLine,
  type Message,
  type OrderItem,
  type Sanity,
  type Why,
} from '@lisse/core';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { AdviceList } from '../ui/advice-list';
import { whenIdle, inTurn } from '../ui/idle-queue';
import { Cautions } from '../ui/cautions';
import { KeyFigure } from '../ui/key-figure';
import { WhyButton } from '../ui/why';
import { WorkFrame } from '../ui/work-frame';
import { OrderStore } from './order.store';
import { PackageRow } from './package-row';

const VERDICT: Record<Sanity['verdict'], Message> = {
  usual: say('order.verdict.usual'),
  low: say('order.verdict.low'),
  high: say('order.verdict.high'),
  'far-low': say('order.verdict.far-low'),
  'far-high': say('order.verdict.far-high'),
};

/** Sundries drawn at once, and then at each turn. */
const AT_ONCE = 8;
/** The gauge of litres per 100 m² runs to this. */
const GAUGE_MOST = 100;

/** Order, on the van: everything to load as it will stand there, what it weighs and costs. */
@Component({
  selector: 'ls-van-page',
  imports: [AdviceList, Cautions, KeyFigure, PackageRow, RouterLink, WhyButton, WorkFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './van-page.html',
  styleUrls: ['./order.css', './van-page.css'],
})
export class VanPage {
  protected readonly texts = inject(Texts);
  protected readonly jobs = inject(JobStore);
  protected readonly plans = inject(PlanStore);
  private readonly view = inject(ViewStore);
  protected readonly format = inject(Format);
  protected readonly store = inject(OrderStore);
  protected readonly verdicts = VERDICT;
  protected readonly order = this.store.order;

  protected told = (reasons: readonly Message[]): string => reasons.map(this.texts.say).join('; ');

  /** Stops only: an order made over them would be wrong. */
  protected readonly stops = computed(
    () => this.plans.plan()?.advice.filter((a) => a.severity === 'stop') ?? [],
  );
  /** The heavy goods first, as they are loaded; what is small stands together. */
  protected readonly large = computed(() =>
    (this.order()?.items ?? []).filter(
      ({ kind }) => kind === 'compound' || kind === 'tape' || kind === 'bead',
    ),
  );
  private readonly small = computed(() =>
    (this.order()?.items ?? []).filter(
      ({ kind }) => kind !== 'compound' && kind !== 'tape' && kind !== 'bead',
    ),
  );
  protected readonly sundries = whenIdle(this.small, AT_ONCE);
  /** What is carried and what it costs comes after the goods: the page answers between them. */
  protected readonly turn = inTurn(1);

  /** Sheets of one width a line: `48": 40 × 8' 0", 2 × 10' 0"`. */
  protected byWidth(board: BoardLine): { mm: number; words: string }[] {
    return [...new Set(board.bought.map((sheet) => sheet.widthMm))].map((mm) => {
      const lengths = board.bought
        .filter((sheet) => sheet.widthMm === mm)
        .map((sheet) => `${sheet.count} × ${this.format.length(sheet.lengthMm)}`);
      return { mm, words: `${this.format.small(mm)}: ${lengths.join(', ')}` };
    });
  }

  protected spread = (item: OrderItem): string =>
    this.texts.t('order.spread', {
      low: this.store.amount(item.need.low, item),
      high: this.store.amount(item.need.high, item),
    });

  protected readonly gauge = (value: number): number => Math.min(100, (value / GAUGE_MOST) * 100);

  protected readonly carried = computed(() => this.view.book().carryKg.value);
  protected readonly trips = computed(() => tripsFor(this.order()?.items ?? [], this.carried()));

  /** What goes to which floor; nothing where all lies on one. */
  protected readonly storeys = computed((): Message[] => {
    const rooms = this.plans.plan()?.rooms ?? [];
    const of = new Map(this.jobs.job()?.rooms.map(({ id, storey }) => [id, storey ?? 0]));
    const floors = massByStorey(this.order()?.items ?? [], rooms, (i) => of.get(rooms[i]?.id ?? '') ?? 0);
    return floors.length < 2
      ? []
      : floors.map(({ storey, massKg }) =>
          storey < 0
            ? say('order.storey-down', { down: -storey, mass: massKg })
            : say('order.storey', { up: storey, mass: massKg }),
        );
  });

  protected readonly sanityWhy = computed<Why>(() => ({
    rule: say('order.sanity', { area: this.format.areaName() }),
    inputs: [
      given(say('order.wet'), this.plans.plan()?.totals.wetL ?? 0, 'L'),
      given(say('order.board'), this.plans.plan()?.totals.boardAreaM2 ?? 0, 'm2'),
      asInput(this.view.book().usualLowL),
      asInput(this.view.book().usualHighL),
      asInput(this.view.book().usualTapeLowM),
      asInput(this.view.book().usualTapeHighM),
    ],
  }));

  private of = (rule: Message, unit: 'kg' | 'money', each: (item: OrderItem) => number): Why => ({
    rule,
    inputs: (this.order()?.items ?? [])
      .filter((item) => each(item) > 0)
      .map((item) => given(say('say', { what: item.name }), each(item), unit)),
  });
  protected readonly massWhy = computed(() => this.of(say('order.mass'), 'kg', ({ massKg }) => massKg));
  protected readonly costWhy = computed(() => this.of(say('order.cost'), 'money', ({ cost }) => cost));

  protected readonly headsWhy = computed<Why>(() => ({
    rule: say('order.heads'),
    inputs: [asInput(this.view.book().screwWallMm), asInput(this.view.book().screwCeilingMm)],
  }));
}
