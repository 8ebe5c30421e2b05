import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  compoundIn,
  mudSold,
  nearestTo,
  pricesOf,
  say,
  type CompoundId,
  type Coat,
  type HouseAnswer,
  type Job,
  type Message,
  type Offer,
  type OrderItem,
} from '@lisse/core';
import { SupplyHouse } from '../devices/supply-house';
import { Clock } from '../state/clock';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { CoreClient } from '../worker/core-client';

/** What takes the place of a class that is not there, and what that changes. */
interface Instead {
  of: CompoundId;
  by: CompoundId;
  coats: Coat[];
  said: Message;
}

interface Offered {
  offer: Offer;
  item: OrderItem;
  name: string;
}

/** The supply house: what it has of the order, its prices, and the nearest class where one is out. */
@Component({
  selector: 'ls-supply-quote',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ texts.t('supply.title') }}</h2>
    <p class="soft small">{{ texts.t('supply.what') }}</p>
    @if (quote(); as kept) {
      <p class="small">
        {{ texts.t('supply.kept', { house: kept.house, at: format.time(kept.at) }) }}
        <button type="button" class="link" (click)="drop()">{{ texts.t('supply.drop') }}</button>
      </p>
    }
    <button type="button" class="quiet" [disabled]="asking() || wishes().length === 0" (click)="ask()">
      {{ texts.t(asking() ? 'supply.asking' : 'supply.ask') }}
    </button>
    @if (failed()) {
      <p class="wrong" role="alert">{{ texts.t('supply.failed') }}</p>
    }
    @if (answer(); as a) {
      <section role="status">
        <p>
          <b>{{ a.house }}</b><br />
          {{ texts.t('supply.there', { there: there(a), of: a.offers.length }) }}
        </p>
        <ul>
          @for (one of short(); track one.offer.package) {
            <li>
              <b>{{ one.name }}</b>
              <span>
                {{
                  texts.t('supply.short', {
                    inStock: one.offer.inStock,
                    count: one.offer.count,
                    days: one.offer.leadDays,
                  })
                }}
              </span>
              @if (insteadOf(one.item); as instead) {
                <p class="small">{{ texts.say(instead.said) }}</p>
                <button type="button" class="quiet" (click)="take(instead)">
                  {{ texts.t('supply.take', { compound: by(instead) }) }}
                </button>
              }
            </li>
          }
        </ul>
        <details>
          <summary>{{ texts.t('supply.prices') }}</summary>
          <dl>
            @for (one of priced(); track one.offer.package) {
              <dt>{{ one.name }}</dt>
              <dd>{{ breaks(one.offer) }}</dd>
            }
          </dl>
        </details>
        @if (a.unknown.length > 0) {
          <p class="small soft">{{ texts.t('supply.unknown', { count: a.unknown.length }) }}</p>
        }
        <button type="button" class="act" (click)="keep(a)">{{ texts.t('supply.keep') }}</button>
      </section>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    h2 {
      font-size: var(--lead);
    }
    ul {
      list-style: none;
      padding: 0;
      margin: 8px 0;
    }
    li {
      padding: 8px 0;
      border-top: 1px solid var(--hair);
    }
    li span {
      display: block;
      color: var(--caution);
    }
    section {
      margin-top: 10px;
    }
    p + button {
      margin-top: 6px;
    }
    details {
      margin: 6px 0 10px;
    }
    summary {
      cursor: pointer;
      min-height: 30px;
      font-weight: 550;
    }
    dl {
      font-size: var(--small);
    }
    dt {
      color: var(--soft);
    }
    dd {
      margin: 0 0 4px;
    }
  `,
})
export class SupplyQuote {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  private readonly house = inject(SupplyHouse);
  private readonly core = inject(CoreClient);
  private readonly jobs = inject(JobStore);
  private readonly plans = inject(PlanStore);
  private readonly view = inject(ViewStore);
  private readonly clock = inject(Clock);

  protected readonly quote = computed(() => this.jobs.job()?.quote);
  protected readonly asking = signal(false);
  protected readonly failed = signal(false);
  private readonly answered = signal<{ answer: HouseAnswer; wishes: string } | undefined>(undefined);
  private readonly insteads = signal<readonly Instead[]>([]);

  private readonly items = computed(() => this.plans.plan()?.order.items ?? []);
  protected readonly wishes = computed(() =>
    this.items()
      .filter(({ kind }) => kind !== 'tool')
      .flatMap(({ packages }) => packages.map(({ id, count }) => ({ package: id, count }))),
  );
  /** What was answered, while the order is the one that was asked for. */
  protected readonly answer = computed(() => {
    const last = this.answered();
    return last?.wishes === JSON.stringify(this.wishes()) ? last.answer : undefined;
  });
  protected there = (answer: HouseAnswer): number =>
    answer.offers.filter(({ inStock, count }) => inStock >= count).length;
  private readonly offers = computed(() =>
    (this.answer()?.offers ?? []).flatMap((offer): Offered[] => {
      const item = this.items().find(({ packages }) => packages.some(({ id }) => id === offer.package));
      return item ? [{ offer, item, name: this.texts.say(item.name) }] : [];
    }),
  );
  protected readonly short = computed(() => this.offers().filter(({ offer }) => offer.inStock < offer.count));
  /** Each package by its own name, for a ware may come in two. */
  protected readonly priced = computed(() =>
    this.offers().map(({ offer, item, name }) => ({
      offer,
      name: this.texts.t('stock.package', {
        package: item.packages.find(({ id }) => id === offer.package)?.name ?? '',
        ware: name,
      }),
    })),
  );

  /** What one costs, by how many are taken. */
  protected breaks = ({ breaks }: Offer): string =>
    breaks
      .map(({ from, price }) => this.texts.t('supply.break', { from, price: this.format.sum(price, 2) }))
      .join('; ');

  protected insteadOf = ({ product }: OrderItem): Instead | undefined =>
    this.insteads().find(({ of }) => of === compoundIn(product));
  protected by = ({ by }: Instead): Message => say(`compound.${by}`);

  protected async ask(): Promise<void> {
    const job = this.jobs.job();
    if (!job) return;
    this.asking.set(true);
    this.failed.set(false);
    this.insteads.set([]);
    try {
      const wishes = this.wishes();
      const answer = await this.house.ask(job.calendar.startDate, wishes);
      this.answered.set({ answer, wishes: JSON.stringify(wishes) });
      await this.look(job, answer);
    } catch {
      this.failed.set(true);
    } finally {
      this.asking.set(false);
    }
  }

  /** Looks for the nearest class that is there for each that is not, and what it changes. */
  private async look(job: Job, answer: HouseAnswer): Promise<void> {
    const before = await this.core.figures(job);
    for (const { item } of this.short()) {
      const of = compoundIn(item.product);
      const line = this.plans.plan()?.order.compounds.find(({ compound }) => compound === of);
      if (of === undefined || !line || this.insteadOf(item)) continue;
      const coats = Object.keys(line.byCoat) as Coat[];
      for (const by of nearestTo(of, coats, this.view.book().compounds).slice(0, 3)) {
        if (!(await this.isThere(job, by, item))) continue;
        const after = await this.core.figures(swapped(job, coats, by));
        const said = say('supply.instead', {
          compound: say(`compound.${by}`),
          money: this.format.money(Math.abs(after.goods + after.labour - before.goods - before.labour)),
          more: after.goods + after.labour >= before.goods + before.labour ? 'more' : 'less',
          ready: after.ready === undefined ? '' : this.format.time(after.ready),
          same: after.ready === before.ready ? 'same' : 'other',
          warnings: after.stops + after.warnings - before.stops - before.warnings,
        });
        // Another order was asked about in the meantime.
        if (this.answer() === answer) this.insteads.update((all) => [...all, { of, by, coats, said }]);
        break;
      }
    }
  }

  private async isThere(job: Job, compound: CompoundId, { need }: OrderItem): Promise<boolean> {
    const [largest] = mudSold(compound, job, this.view.book(), pricesOf(job));
    if (!largest) return false;
    const count = Math.max(1, Math.ceil(need.likely / largest.holds));
    const { offers } = await this.house.ask(job.calendar.startDate, [{ package: largest.id, count }]);
    return offers[0] !== undefined && offers[0].inStock >= count;
  }

  protected take({ by, coats }: Instead): void {
    this.jobs.edit(say('undo.take-instead', { compound: say(`compound.${by}`) }), (job) => {
      job.way = swapped(job, coats, by).way;
    });
    this.insteads.set([]);
  }

  protected keep({ house, offers }: HouseAnswer): void {
    const at = this.clock.now();
    this.jobs.edit('undo.keep-quote', (job) => {
      job.quote = {
        house,
        at,
        simulated: true,
        lines: offers.map(({ package: id, count, price, inStock, leadDays }) => ({
          package: id,
          count,
          price,
          inStock,
          leadDays,
        })),
      };
    });
  }

  protected drop(): void {
    this.jobs.edit('undo.drop-quote', (job) => {
      delete job.quote;
    });
  }
}

/** The job with another class in these coats. */
const swapped = (job: Job, coats: readonly Coat[], by: CompoundId): Job => ({
  ...job,
  way: {
    ...job.way,
    compoundFor: { ...job.way.compoundFor, ...Object.fromEntries(coats.map((coat) => [coat, by])) },
  },
});
