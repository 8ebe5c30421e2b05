import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { BUYINGS, LIMITS, say, type Buying, type ItemPackage, type Message, type Price } from '@lisse/core';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { Texts } from '../state/texts';
import { AdviceList } from '../ui/advice-list';
import { NumberInput } from '../ui/number-input';
import { OneOf } from '../ui/one-of';
import { WhyButton } from '../ui/why';
import { GoodsDesk } from './goods-desk';
import { FilesOut } from '../ui/files-out';
import { WorkFrame } from '../ui/work-frame';
import { GoodsSheets } from './goods-sheets';
import { SupplyDesk } from './supply-desk';

/** Order, the list for the counter: low, likely, high, what is here, what to buy, at which price. */
@Component({
  selector: 'ls-list-page',
  imports: [AdviceList, NumberInput, OneOf, SupplyDesk, WhyButton, WorkFrame],
  providers: [FilesOut],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './list-page.html',
  styleUrls: ['./order.css', './list-page.css'],
})
export class ListPage {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly jobs = inject(JobStore);
  protected readonly desk = inject(GoodsDesk);
  protected readonly out = inject(FilesOut);
  private readonly plans = inject(PlanStore);
  private readonly sheets = inject(GoodsSheets);
  protected readonly limits = LIMITS;
  protected readonly order = this.desk.order;
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
    const tables = this.desk.tables();
    if (tables) this.out.csv(tables.order);
  }

  protected takeoff(): void {
    const tables = this.desk.tables();
    if (tables) this.out.csv(tables.takeoff);
  }

  protected book(): void {
    const tables = this.desk.tables();
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
