import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  agreedOf,
  alternativesOf,
  applyChanges,
  extrasOf,
  FIGURE_LIMITS,
  isAgreedWhole,
  LIMITS,
  say,
  shortSeal,
  USUAL_VALID_DAYS,
  type Alternative,
  type BidKind,
  type Equipment,
  type Job,
  type JobFigures,
  type Message,
  inJob,
} from '@lisse/core';
import { ulid } from 'ulid';
import { Clock } from '../state/clock';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { NumberInput } from '../ui/number-input';
import { TextInput } from '../ui/text-input';
import { WhyButton } from '../ui/why';
import { CoreClient } from '../worker/core-client';
import { OrderStore } from './order.store';
import { FilesOut } from '../ui/files-out';
import { WorkFrame } from '../ui/work-frame';
import { GoodsSheets } from './goods-sheets';

type TermKey =
  | 'priceHour'
  | 'tripMin'
  | 'tripPrice'
  | 'smallestH'
  | 'bidOverhead'
  | 'bidMargin'
  | 'bidTax'
  | 'bidRound';

/** A figure of the bid that is the user's to set, and how it is typed. */
interface Term {
  key: TermKey;
  name: Message;
  per: number;
  limit: { least: number; most: number };
  value: number;
}

const TERMS: readonly [key: TermKey, per: number][] = [
  ['priceHour', 1],
  ['tripMin', 1],
  ['tripPrice', 1],
  ['smallestH', 1],
  ['bidOverhead', 0.01],
  ['bidMargin', 0.01],
  ['bidTax', 0.01],
  ['bidRound', 1],
];

/** Another way held beside the bid. */
interface Weighed {
  other: Alternative;
  name: Message;
  costs: Message;
  figures: JobFigures;
}

/** Order, the bid: what the job is offered for, line by line, and what another grade or fewer compounds would come to. */
@Component({
  selector: 'ls-bid-page',
  imports: [NumberInput, TextInput, WhyButton, WorkFrame],
  providers: [FilesOut],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bid-page.html',
  styleUrls: ['./order.css', './bid-page.css'],
})
export class BidPage {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly jobs = inject(JobStore);
  protected readonly store = inject(OrderStore);
  protected readonly out = inject(FilesOut);
  private readonly plans = inject(PlanStore);
  private readonly view = inject(ViewStore);
  private readonly sheets = inject(GoodsSheets);
  private readonly core = inject(CoreClient);
  private readonly clock = inject(Clock);
  protected readonly limits = LIMITS;
  protected readonly bid = this.store.bid;

  protected money = (amount: number): string => this.format.sum(amount, this.bid()?.digits ?? 2);
  protected line = (kind: BidKind): Message => say(`bid.${kind}`);

  protected readonly terms = computed((): Term[] =>
    TERMS.map(([key, per]) => {
      const { value } = this.view.book()[key];
      return { key, per, value, name: say(`bid.term.${key}`), limit: FIGURE_LIMITS[key] };
    }),
  );

  protected set({ key, name }: Term, value: number | undefined): void {
    this.jobs.edit(say('undo.change', { what: name }), (job) =>
      applyChanges(job, [inJob(['shop', 'figures', key], value)]),
    );
  }

  // Equipment.
  protected readonly equipment = computed(() => this.jobs.job()?.bidding?.equipment ?? []);
  private change(label: 'undo.equipment', recipe: (list: Equipment[]) => Equipment[]): void {
    this.jobs.edit(label, (job) => {
      job.bidding = { ...job.bidding, equipment: recipe([...(job.bidding?.equipment ?? [])]) };
    });
  }
  protected hire(): void {
    // A recipe may run more than once: what is new is made before.
    const one = { id: ulid(), name: this.texts.t('bid.equipment.new'), price: 0 };
    this.change('undo.equipment', (list) => [...list, one]);
  }
  protected hired({ id }: Equipment, over: Partial<Equipment>): void {
    this.change('undo.equipment', (list) => list.map((one) => (one.id === id ? { ...one, ...over } : one)));
  }
  protected sendBack({ id }: Equipment): void {
    this.change('undo.equipment', (list) => list.filter((one) => one.id !== id));
  }

  // What the owner signs.
  protected readonly usualDays = USUAL_VALID_DAYS;
  protected holdFor(days: number | undefined): void {
    this.jobs.edit('undo.bid-terms', (job) => applyChanges(job, [inJob(['bidding', 'validDays'], days)]));
  }
  protected add(terms: string): void {
    const value = terms.trim() || undefined;
    this.jobs.edit('undo.bid-terms', (job) => applyChanges(job, [inJob(['bidding', 'terms'], value)]));
  }

  // Alternatives.
  protected readonly weighing = signal(false);
  private readonly weighedFor = signal<{ job: Job; now: JobFigures; others: readonly Weighed[] } | undefined>(
    undefined,
  );
  /** What was weighed, while the job is the one that it was weighed for. */
  protected readonly weighed = computed(() => {
    const last = this.weighedFor();
    const job = this.jobs.job();
    return last &&
      job &&
      last.job.rooms === job.rooms &&
      last.job.way === job.way &&
      last.job.shop === job.shop
      ? last
      : undefined;
  });

  protected async weigh(): Promise<void> {
    const job = this.jobs.job();
    const used = this.store.order()?.compounds.map(({ compound }) => compound) ?? [];
    if (!job) return;
    this.weighing.set(true);
    try {
      const now = await this.core.figures(job);
      const others: Weighed[] = [];
      for (const other of alternativesOf(job, used, this.view.book())) {
        const figures = await this.core.figures(other.job);
        others.push({ other, figures, ...this.said(other, used.length) });
      }
      // Of the single compounds only those that save something, the cheapest first.
      const worth = others
        .filter(({ other, figures }) => !other.compound || figures.bid < now.bid)
        .sort(
          (a, b) =>
            Number(a.other.compound !== undefined) - Number(b.other.compound !== undefined) ||
            a.figures.bid - b.figures.bid,
        )
        .slice(0, MOST_SHOWN);
      this.weighedFor.set({ job, now, others: worth });
    } finally {
      this.weighing.set(false);
    }
  }

  /** What an alternative is called, and what it costs in finish. */
  private said({ id, compound }: Alternative, used: number): { name: Message; costs: Message } {
    if (compound === undefined)
      return id === 'up'
        ? { name: say('bid.up'), costs: say('bid.up.why') }
        : { name: say('bid.down'), costs: say('bid.down.why') };
    const { sands, bond, hardens } = this.view.book().compounds[compound];
    return {
      name: say('bid.one', { compound: say(`compound.${compound}`) }),
      costs: say('bid.one.why', { used, sands, bond: bond ?? 0, hardens }),
    };
  }

  protected more = (figures: JobFigures): Message => {
    const now = this.weighed()?.now;
    const by = figures.bid - (now?.bid ?? 0);
    return say('bid.differs', {
      how: Math.abs(by) < 0.005 ? 'same' : by > 0 ? 'more' : 'less',
      money: this.money(Math.abs(by)),
      bought: figures.boughtL,
      ready: figures.ready === undefined ? '' : this.format.day(figures.ready),
    });
  };

  protected take({ other, name }: Weighed): void {
    this.jobs.edit(say('undo.take-alternative', { what: name }), (job) => {
      job.rooms = other.job.rooms;
      job.way = other.job.way;
    });
  }

  // What was agreed.
  protected readonly looking = this.plans.looking;
  protected readonly agreed = computed(() => this.jobs.job()?.agreed);
  /** What was agreed is as it was then. */
  protected readonly whole = computed(() => {
    const agreed = this.agreed();
    return agreed && isAgreedWhole(agreed);
  });
  protected short = shortSeal;
  protected readonly extras = computed(() => {
    const [agreed, bid, job] = [this.agreed(), this.bid(), this.jobs.job()];
    return agreed && bid && job && !this.looking() ? extrasOf(agreed, bid, job.rooms) : undefined;
  });
  protected how = (change: 'added' | 'gone' | 'changed'): Message => say(`bid.extra.${change}`);

  protected agree(): void {
    const [bid, job] = [this.bid(), this.jobs.job()];
    if (!bid || !job || this.looking()) return;
    const agreed = agreedOf(bid, job.rooms, this.clock.now());
    this.jobs.edit('undo.agree', (draft) => {
      draft.agreed = agreed;
    });
  }

  protected forget(): void {
    this.jobs.edit('undo.forget-agreed', (job) => {
      delete job.agreed;
    });
  }

  // Out.
  protected table(): void {
    const tables = this.store.tables();
    if (tables) this.out.csv(tables.bid);
  }

  protected costs(): void {
    const plan = this.plans.plan();
    if (plan) void this.out.paper(this.sheets.bid(plan));
  }

  protected offer(): void {
    const plan = this.plans.plan();
    if (plan && !this.looking()) void this.out.paper(this.sheets.offer(plan, this.clock.today()));
  }
}

const MOST_SHOWN = 4;
