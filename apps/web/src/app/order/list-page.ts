import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  BUYINGS,
  compoundIn,
  dries,
  LIMITS,
  say,
  type Buying,
  type ItemPackage,
  type Message,
  type OneCompound,
  type OrderItem,
  type Price,
  type Sure,
} from '@lisse/core';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { AdviceList } from '../ui/advice-list';
import { NumberInput } from '../ui/number-input';
import { Segmented } from '../ui/segmented';
import { WhyButton } from '../ui/why';
import { OrderStore } from './order.store';
import { FilesOut } from '../ui/files-out';
import { WorkFrame } from '../ui/work-frame';
import { GoodsSheets } from './goods-sheets';
import { SupplyQuote } from './supply-quote';

/** Board that is worth telling what is left over for, m². */
const LEAST_M2 = 5;

/** Order, the list for the counter: low, likely, high, what is here, what to buy, at which price. */
@Component({
  selector: 'ls-list-page',
  imports: [AdviceList, NumberInput, Segmented, SupplyQuote, WhyButton, WorkFrame],
  providers: [FilesOut],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './list-page.html',
  styleUrls: ['./order.css', './list-page.css'],
})
export class ListPage {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly jobs = inject(JobStore);
  protected readonly store = inject(OrderStore);
  protected readonly out = inject(FilesOut);
  private readonly plans = inject(PlanStore);
  private readonly view = inject(ViewStore);
  private readonly sheets = inject(GoodsSheets);
  protected readonly limits = LIMITS;
  protected readonly order = this.store.order;
  protected readonly buying = computed<Buying>(() => this.jobs.job()?.shop?.buying ?? 'amount');
  protected readonly buyings = BUYINGS.map((value) => ({ value, name: say(`buying.${value}`) }));

  /** What concerns goods: stock, dates, lifting. */
  protected readonly advice = computed(
    () =>
      this.plans
        .plan()
        ?.advice.filter(({ code }) => code === 'A-STOCK' || code === 'A-DATE' || code === 'A-LIFT') ?? [],
  );

  protected buyBy(buying: Buying): void {
    this.jobs.edit('undo.buy-by', (job) => {
      job.shop ??= {};
      if (buying === 'amount') delete job.shop.buying;
      else job.shop.buying = buying;
    });
  }

  protected readonly sures = computed(() =>
    (this.order()?.sureWays ?? []).map(({ sure, cost }) => ({
      value: sure,
      name: say('order.sure.row', { sure, cost: this.format.sum(cost, 0) }),
    })),
  );
  protected readonly short = computed((): Message | undefined => {
    const order = this.order();
    const way = order?.sureWays.find(({ sure }) => sure === order.sure);
    if (!way) return undefined;
    const { supplyMin, priceHour, tripPrice } = this.view.book();
    return say('order.sure.why', {
      short: way.short,
      trip: supplyMin.value,
      cost: this.format.sum((supplyMin.value / 60) * priceHour.value + tripPrice.value, 0),
    });
  });

  protected buySure(sure: Sure): void {
    this.jobs.edit('undo.buy-sure', (job) => {
      job.shop = { ...job.shop, sure };
    });
  }

  protected readonly one = computed(() => this.plans.plan()?.oneCompound);
  protected oneSaid({ on, compound, without }: OneCompound): Message {
    const { compounds } = this.view.book();
    return on
      ? say('order.one.on', { compound: compounds[compound].name, without: compounds[without].name })
      : say('order.one.off', { compound: compounds[compound].name });
  }

  /** What is left of a compound does so much board more; none where little is. */
  protected restOf({ product, leftover, need }: OrderItem): Message | undefined {
    const compound = compoundIn(product);
    const boardM2 = this.plans.plan()?.totals.boardAreaM2 ?? 0;
    const area = need.likely > 0 ? (boardM2 * leftover) / need.likely : 0;
    if (!compound || area < LEAST_M2) return undefined;
    return dries(compound) ? say('order.rest.dries', { area }) : say('order.rest.sets', { area });
  }

  protected useOne(on: boolean): void {
    this.jobs.edit(on ? 'undo.one-compound' : 'undo.part-compounds', ({ way }) => (way.oneCompound = on));
  }

  protected priceOf(one: ItemPackage, price: number | undefined): void {
    const what = this.texts.say(one.name);
    this.jobs.edit(say('undo.price', { what }), (job) => {
      const others = (job.shop?.prices ?? []).filter((own) => own.package !== one.id);
      const prices: Price[] = price === undefined ? others : [...others, { package: one.id, price }];
      job.shop = { ...job.shop, prices };
    });
  }

  protected origin = ({ priceFrom }: ItemPackage): Message => say(`price.${priceFrom}`);

  protected table(): void {
    const tables = this.store.tables();
    if (tables) this.out.csv(tables.order);
  }

  protected takeoff(): void {
    const tables = this.store.tables();
    if (tables) this.out.csv(tables.takeoff);
  }

  protected book(): void {
    const tables = this.store.tables();
    if (tables) void this.out.workbook(Object.values(tables));
  }

  protected paper(): void {
    const plan = this.plans.plan();
    if (plan) void this.out.paper(this.sheets.order(plan));
  }

  protected mixes(): void {
    const plan = this.plans.plan();
    if (plan) void this.out.paper(this.sheets.mixes(plan));
  }

  /** The list as plain lines, for a message to whoever sells it. */
  protected copy(): void {
    const lines = (this.order()?.items ?? []).flatMap(({ name: ware, packages }) =>
      packages.map(({ name, count }) => this.texts.t('order.line', { count, package: name, ware })),
    );
    void this.out.copy(
      [this.texts.t('order.for', { job: this.jobs.job()?.name ?? '' }), ...lines].join('\n'),
    );
  }

  protected print(): void {
    window.print();
  }
}
