import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  COMPOUNDS,
  compoundIn,
  L_PER_GAL,
  MM_PER_FT,
  LIMITS,
  mayBeUsed,
  mudSold,
  mudWare,
  pricesOf,
  say,
  type Lot,
  type Message,
  type OrderItem,
  type Sayable,
} from '@lisse/core';
import { ulid } from 'ulid';
import { Clock } from '../state/clock';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { LogStore, type LotElsewhere, type Told } from '../state/log.store';
import { PlanStore } from '../state/plan.store';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { EmptyPlace } from '../ui/empty-place';
import { AdviceList } from '../ui/advice-list';
import { Choice } from '../ui/choice';
import { DayInput } from '../ui/day-input';
import { NumberInput } from '../ui/number-input';
import { TextInput } from '../ui/text-input';
import { WorkFrame } from '../ui/work-frame';
import { OrderStore } from './order.store';

/** A package that can be received: its ware, and how much is in it. */
interface Receivable {
  value: string;
  name: Sayable;
  ware: string;
  unit: OrderItem['unit'];
  each: number;
}

/** A lot that has come. */
const came = (
  { ware, each }: Pick<Receivable, 'ware' | 'each'>,
  count: number,
  useBy?: string,
  code = '',
): Told => ({
  kind: 'received',
  lot: ulid(),
  ware,
  each,
  amount: count * each,
  ...(useBy === undefined ? {} : { useBy }),
  ...(code.trim() === '' ? {} : { code: code.trim() }),
});

/** Order, what is on hand: lots that came, the oldest first, what of them is used, spoiled or left. */
@Component({
  selector: 'ls-stock-page',
  imports: [EmptyPlace, AdviceList, Choice, DayInput, NumberInput, TextInput, WorkFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './stock-page.html',
  styleUrls: ['./order.css', './stock-page.css'],
})
export class StockPage {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly jobs = inject(JobStore);
  protected readonly store = inject(OrderStore);
  private readonly logs = inject(LogStore);
  private readonly plans = inject(PlanStore);
  private readonly view = inject(ViewStore);
  private readonly clock = inject(Clock);
  protected readonly limits = LIMITS;

  protected readonly advice = computed(
    () => this.plans.plan()?.advice.filter(({ code }) => code === 'A-STOCK' || code === 'A-DATE') ?? [],
  );
  protected readonly lots = this.store.stock;
  protected readonly toBuy = computed(() =>
    (this.store.order()?.items ?? []).filter(({ packages }) => packages.length > 0),
  );

  /** Every package of the order, then those of every other class. */
  protected readonly receivable = computed((): Receivable[] => {
    const job = this.jobs.job();
    const items = this.store.order()?.items ?? [];
    if (!job) return [];
    const ordered = items.flatMap(({ packages, product, name, unit }) =>
      packages.map((one) => ({
        value: one.id,
        name: this.texts.t('stock.package', { package: one.name, ware: name }),
        ware: product,
        unit,
        each: one.holds,
      })),
    );
    const known = new Set(ordered.map(({ value }) => value));
    const classes = COMPOUNDS.flatMap((compound) =>
      mudSold(compound, job, this.view.book(), pricesOf(job)).map((sold) => ({
        value: sold.id,
        name: this.texts.t('stock.package', {
          package: sold.name,
          ware: say('order.compound', { compound: say(`compound.${compound}`) }),
        }),
        ware: mudWare(compound),
        unit: 'L' as const,
        each: sold.holds,
      })),
    );
    return [...ordered, ...classes.filter(({ value }) => !known.has(value))];
  });
  private readonly chosen = signal('');
  protected readonly pick = computed(
    () => this.receivable().find(({ value }) => value === this.chosen()) ?? this.receivable()[0],
  );
  protected choose = (value: string): void => this.chosen.set(value);
  protected readonly count = signal(1);
  protected readonly useBy = signal<string | undefined>(undefined);
  protected readonly code = signal('');

  protected async receive(): Promise<void> {
    const one = this.pick();
    if (!one || this.count() <= 0) return;
    await this.logs.tell('undo.log-received', came(one, this.count(), this.useBy(), this.code()));
    this.count.set(1);
    this.useBy.set(undefined);
    this.code.set('');
  }

  /** Everything that is to buy has come. */
  protected receiveAll(): Promise<boolean> {
    const all = this.toBuy().flatMap(({ packages, product }) =>
      packages.map(({ holds, count }) => came({ ware: product, each: holds }, count)),
    );
    return this.logs.tell('undo.log-received', ...all);
  }

  // What is left with other jobs.
  protected readonly elsewhere = signal<readonly LotElsewhere[] | undefined>(undefined);
  protected async look(): Promise<void> {
    this.elsewhere.set(await this.logs.elsewhere());
  }

  protected async bring(found: LotElsewhere): Promise<void> {
    await this.logs.bring(found, {
      there: this.texts.t('stock.to', { job: this.jobs.job()?.name ?? '' }),
      here: this.texts.t('stock.from', { job: found.name }),
    });
    this.elsewhere.update((all) => all?.filter((one) => one !== found));
  }

  /** Lots that the log tells of; what a product is on hand with is changed with the product. */
  protected told = ({ received }: Lot): boolean => received !== undefined;

  protected nameOf(lot: Lot): Sayable {
    const { ware, note } = lot;
    const compound = compoundIn(ware);
    // What was on hand before the job goes by the name of its product.
    if (!this.told(lot) && note !== undefined) return note;
    return (
      this.store.order()?.items.find(({ product }) => product === ware)?.name ??
      (compound ? say('order.compound', { compound: say(`compound.${compound}`) }) : ware)
    );
  }

  protected unitOf({ ware }: Lot): OrderItem['unit'] {
    const item = this.store.order()?.items.find(({ product }) => product === ware);
    return (
      item?.unit ??
      (ware.startsWith('mud/') ? 'L' : ware.startsWith('tape/') || ware.startsWith('bead/') ? 'mm' : 'count')
    );
  }

  protected amount = (amount: number, lot: Lot): string => this.format.goods(amount, this.unitOf(lot));

  /** Typed in the units of the job: litres or gallons, metres or feet, pieces. */
  protected scale(lot: Lot): number {
    const metric = this.format.units() === 'metric';
    const unit = this.unitOf(lot);
    return unit === 'L' ? (metric ? 1 : L_PER_GAL) : unit === 'mm' ? (metric ? 1000 : MM_PER_FT) : 1;
  }

  protected usedLabel(lot: Lot): Message {
    const metric = this.format.units() === 'metric';
    const unit = this.unitOf(lot);
    return say('stock.used-now', {
      unit:
        unit === 'L'
          ? metric
            ? 'L'
            : 'gal'
          : unit === 'mm'
            ? metric
              ? 'm'
              : 'ft'
            : unit === 'm2'
              ? 'm²'
              : 'n',
    });
  }

  protected old = (lot: Lot): boolean => !mayBeUsed(lot, this.clock.now());
  protected past = ({ useBy }: Lot): boolean => useBy !== undefined && useBy < this.clock.today();
  protected share = ({ left, got }: Lot): number => (got > 0 ? Math.min(1, left / got) * 100 : 0);

  /** How it keeps. */
  protected hint({ ware, opened }: Lot): Message | undefined {
    const compound = compoundIn(ware);
    if (compound === undefined) return undefined;
    const dry = this.view.book().compounds[compound].hardens !== 'drying';
    return say(dry ? 'stock.keep-bag' : opened ? 'stock.keep-open' : 'stock.keep-pail');
  }

  protected open = (lot: Lot): Promise<boolean> =>
    this.logs.tell('undo.log-opened', { kind: 'opened', lot: lot.id });

  protected use(lot: Lot, amount: number | undefined): void {
    if (amount !== undefined && amount > 0)
      void this.logs.tell('undo.log-used', { kind: 'used', lot: lot.id, amount: Math.min(amount, lot.left) });
  }

  protected spoil = (lot: Lot): Promise<boolean> =>
    this.logs.tell('undo.log-spoiled', { kind: 'spoiled', lot: lot.id, amount: lot.left });

  protected allow(lot: Lot, reason: string): void {
    if (reason.trim() !== '')
      void this.logs.tell('undo.log-allowed', { kind: 'allowed', lot: lot.id, note: reason.trim() });
  }
}
