import { given, input, type Figure, type Why, type WhyInput } from '../book';
import { dries, type Supplied } from '../compound';
import { coatOf, isMend } from '../days';
import type { Coat, CompoundId, Job, Step, Sure } from '../job';
import { mayBeUsed, type Lot } from '../log';
import type { RoomUse, Takeoff } from '../takeoff';
import { wasteOf } from '../takeoff';
import { say, type Message, type Sayable } from '../texts';
import { once } from '../units';
import { choosePackages, type Packed, type PackageKind, type Sold } from './packages';
import { whyKey } from './below';
import { sureFactor, sureWays, type SureWay } from './sure';
import { sundriesOf, sundryWare, type RoomGoods, type SundryKind } from './sundries';
import { tapePieces } from './tape';
import {
  beadWare,
  liftable,
  mudSold,
  mudWare,
  pricesOf,
  rollSold,
  stickSold,
  tapeWare,
  type Prices,
} from './wares';

export type ItemKind = 'compound' | 'tape' | 'bead' | SundryKind;

/** How much of it: as little as it may turn out, as it is planned, as much as it may turn out. */
export interface Spread {
  low: number;
  likely: number;
  high: number;
}

/** So many packages of one sort. */
export interface ItemPackage {
  id: string;
  kind: PackageKind;
  name: Sayable;
  count: number;
  holds: number;
  massKg: number;
  price: number;
  priceFrom: Sold['priceFrom'];
}

/** One ware: what the job takes of it, what is on hand, what is still to buy. Amounts in its unit. */
export interface OrderItem {
  kind: ItemKind;
  /** The ware: `mud/drying-light`, `tape/paper`, `bead/nail-on`, `sundry/screws`. */
  product: string;
  name: Message;
  unit: 'L' | 'mm' | 'm2' | 'count';
  need: Spread;
  /** Gone into the job already. */
  used: number;
  /** What is left of what came, and may be used. */
  onHand: number;
  /** What is left of lots past their date that nobody answers for. */
  blocked: number;
  /** In the packages to buy. */
  buy: number;
  packages: ItemPackage[];
  /** Left of all when the job takes what is likely. */
  leftover: number;
  cost: number;
  massKg: number;
  /** Heaviest package among them, kg. */
  heaviestKg: number;
  /** Lightest package of it that is sold here, kg. */
  lightestKg: number;
  /** Water to add to what is bought, L. */
  waterL: number;
  why: Why;
}

/** What is bought: the takeoff, what of it is here, and what of it is to buy. */
export interface Order extends Takeoff {
  items: OrderItem[];
  /** How sure one is that it is enough, and what each other answer would cost. */
  sure: Sure;
  sureWays: SureWay[];
  /** Of what is to buy. */
  massKg: number;
  cost: number;
}

/** Everything to buy, how sure one is that it is enough, and what being surer or less sure comes to. */
export function orderOf(context: GoodsContext): Order {
  const itemsFor = buying(context);
  const items = itemsFor(context.sure);
  return {
    ...context.takeoff,
    items,
    sure: context.sure,
    sureWays: sureWays((sure) => (sure === context.sure ? items : itemsFor(sure))),
    massKg: items.reduce((sum, item) => sum + item.massKg, 0),
    cost: items.reduce((sum, item) => sum + item.cost, 0),
  };
}

/** Rooms and days as far as the goods go by them. */
export interface GoodsContext {
  job: Job;
  rooms: readonly (RoomGoods & Parameters<typeof tapePieces>[0][number])[];
  takeoff: Takeoff;
  tasks: readonly {
    room: string;
    step: Step;
    end: string;
    batches: readonly { compound: CompoundId; litres: number }[];
  }[];
  lots: readonly Lot[];
  book: Supplied;
  /** As if nothing were here: what a bid is made of. */
  whole?: boolean;
  /** How sure one is that it is enough. */
  sure: Sure;
}

/** A ware before it is known what of it is here. */
interface Wanted {
  kind: ItemKind;
  product: string;
  name: Message;
  unit: OrderItem['unit'];
  likely: number;
  spread: readonly [low: Figure, high: Figure] | undefined;
  sold: readonly Sold[];
  /** Packages where they do not follow from the need alone. */
  packed?: (factor: number) => readonly Packed[];
  /** Here already, where it is not a matter of lots. */
  here?: number;
  handling: number;
  rule: Message;
  inputs: WhyInput[];
  /** The day the last of it goes on. */
  lastUse?: string | undefined;
}

/** Everything to buy, in the order it is loaded: mud, tape, bead, then what else the work uses up. */
export const itemsOf = (context: GoodsContext): OrderItem[] => buying(context)(context.sure);

/** What the job wants, to be bought as surely as one likes. */
function buying(context: GoodsContext): (sure: Sure) => OrderItem[] {
  const { job, whole = false } = context;
  const lots = whole ? [] : context.lots;
  const prices = pricesOf(job);
  const byWare = new Map<string, Lot[]>();
  for (const lot of lots) {
    const same = byWare.get(lot.ware);
    if (same) same.push(lot);
    else byWare.set(lot.ware, [lot]);
  }
  const all = [
    ...muds(context, prices),
    ...tapes(context, prices),
    ...beads(context, prices),
    ...sundries(context, prices),
  ];
  return (sure) => all.map((wanted) => itemOf(wanted, byWare.get(wanted.product) ?? [], job, sure));
}

function itemOf(wanted: Wanted, lots: readonly Lot[], { shop }: Pick<Job, 'shop'>, sure: Sure): OrderItem {
  const { kind, product, name, unit, likely, spread, sold, handling, lastUse } = wanted;
  const left = (of: (lot: Lot) => boolean): number => lots.filter(of).reduce((sum, lot) => sum + lot.left, 0);
  const may = (lot: Lot): boolean => lastUse === undefined || mayBeUsed(lot, lastUse);
  const used = lots.reduce((sum, lot) => sum + lot.used, 0);
  const onHand = wanted.here ?? left(may);
  const blocked = wanted.here === undefined ? left((lot) => !may(lot)) : 0;
  const there = wanted.here ?? used + onHand;
  const [low, high] = spread ?? [];
  // What is on the wall already is certain.
  const factor = sureFactor(sure, high?.value ?? 1);
  const still = Math.max(0, Math.max(0, likely - used) * factor - (there - used));
  const packed =
    wanted.packed && (wanted.here !== undefined || there <= 0)
      ? wanted.packed(factor)
      : choosePackages(still, sold, shop?.buying ?? 'amount', handling);
  const sum = (of: (one: Sold) => number): number =>
    packed.reduce((all, { sold: one, count }) => all + count * of(one), 0);
  const buy = sum((one) => one.holds);
  return {
    kind,
    product,
    name,
    unit,
    need: {
      low: likely * (low?.value ?? 1),
      likely,
      high: likely * (high?.value ?? 1),
    },
    used,
    onHand,
    blocked,
    buy,
    packages: packed.map(({ sold: { waterL: _, ...one }, count }) => ({ ...one, count })),
    leftover: Math.max(0, there + buy - likely),
    cost: sum((one) => one.price),
    massKg: sum((one) => one.massKg),
    heaviestKg: Math.max(0, ...packed.map(({ sold: one }) => one.massKg)),
    lightestKg: Math.min(...sold.map((one) => one.massKg)),
    waterL: sum((one) => one.waterL ?? 0),
    why: {
      rule: wanted.rule,
      inputs: [
        ...wanted.inputs,
        ...(spread ? spread.map(input) : []),
        ...(spread ? [given(say('why.item.sure', { sure }), factor, 'factor', sureFrom(shop))] : []),
        ...(used > 0 ? [given(say('why.item.used'), inUnit(used, unit), unitOf(unit), 'entered')] : []),
        ...(onHand > 0 ? [given(say('why.item.hand'), inUnit(onHand, unit), unitOf(unit), 'entered')] : []),
        ...(blocked > 0
          ? [given(say('why.item.blocked'), inUnit(blocked, unit), unitOf(unit), 'entered')]
          : []),
        ...sold.map((one) =>
          given(say('why.item.price', { package: one.name }), one.price, 'money', originOf(one)),
        ),
      ],
    },
  };
}

const sureFrom = (shop: Job['shop']): WhyInput['from'] => (shop?.sure ? 'entered' : 'typical');
const originOf = ({ priceFrom }: Sold): WhyInput['from'] => (priceFrom === 'quoted' ? 'entered' : priceFrom);
const unitOf = (unit: OrderItem['unit']): WhyInput['unit'] => (unit === 'mm' ? 'm' : unit);
const inUnit = (amount: number, unit: OrderItem['unit']): number => (unit === 'mm' ? amount / 1000 : amount);

/** The steps and coats of a room that each compound goes on in. */
const coatsOfMud = once(({ uses }: Pick<RoomUse, 'uses'>): ReadonlyMap<CompoundId, ReadonlySet<string>> => {
  const coats = new Map<CompoundId, Set<string>>();
  for (const { compound, wetL, step, coat } of uses)
    if (wetL > 0) coats.set(compound, (coats.get(compound) ?? new Set()).add(step ?? coat));
  return coats;
});

/** The last day each compound goes on, `2026-12-03`; none for one that is not used. */
export function lastUses(
  rooms: readonly (Pick<RoomGoods, 'id'> & { use: Pick<RoomUse, 'uses'> })[],
  tasks: GoodsContext['tasks'],
): ReadonlyMap<CompoundId, string> {
  const used = new Map(rooms.map(({ id, use }) => [id, coatsOfMud(use)]));
  const last = new Map<CompoundId, string>();
  for (const { room, step, end } of tasks) {
    const laid = isMend(step) ? step : (coatOf(step) ?? '');
    const day = end.slice(0, 10);
    for (const [compound, coats] of used.get(room) ?? [])
      if (coats.has(laid) && day > (last.get(compound) ?? '')) last.set(compound, day);
  }
  return last;
}

function muds({ job, rooms, takeoff, tasks, book }: GoodsContext, prices: Prices): Wanted[] {
  const [low, high] = [book.mudLow, book.mudHigh];
  const last = lastUses(rooms, tasks);
  return takeoff.compounds.map(({ compound, name, exactL, withWasteL, byCoat }): Wanted => {
    // What comes ready mixed has no batches, so nothing is left at their ends.
    const batches = dries(compound)
      ? 0
      : tasks.reduce((sum, task) => sum + task.batches.filter((one) => one.compound === compound).length, 0);
    const endsL = batches * book.batchEndL.value;
    return {
      kind: 'compound',
      product: mudWare(compound),
      name: say('order.compound', { compound: name }),
      unit: 'L',
      likely: withWasteL + endsL,
      spread: [low, high],
      sold: mudSold(compound, job, book, prices),
      handling: book.packageL.value,
      rule: say('why.compound'),
      inputs: [
        ...(Object.entries(byCoat) as [Coat, number][]).map(([coat, litres]) => ({
          ...given(say('why.coat', { coat: say(`coat.${coat}`) }), litres, 'L'),
          key: whyKey(mudWare(compound), coat),
        })),
        given(say('why.item.wall'), exactL, 'L'),
        input(wasteOf(compound, book)),
        ...(batches > 0 ? [given(say('why.item.batches'), batches, 'count'), input(book.batchEndL)] : []),
        input(book.packageL),
      ],
      lastUse: last.get(compound),
    };
  });
}

function tapes({ rooms, takeoff: { tape }, book }: GoodsContext, prices: Prices): Wanted[] {
  if (!tape) return [];
  const roll = rollSold(tape.tape, tape.rollMm, book, prices);
  const { rolls } = tapePieces(rooms, tape.rollMm, book.wasteTape.value);
  const least = (factor: number): number => Math.ceil((tape.withWasteMm * factor) / tape.rollMm - 1e-9);
  return [
    {
      kind: 'tape',
      product: tapeWare(tape.tape),
      name: say(`tape.${tape.tape}`),
      unit: 'mm',
      likely: tape.withWasteMm,
      spread: [book.tapeLow, book.tapeHigh],
      sold: [roll],
      packed: (factor) => [{ sold: roll, count: Math.max(rolls, least(factor)) }],
      handling: 0,
      rule: say('why.tape'),
      inputs: [
        { ...given(say('why.tape.joints'), tape.exactMm / 1000, 'm'), key: whyKey(tapeWare(tape.tape)) },
        input(book.wasteTape),
      ],
    },
  ];
}

function beads({ takeoff, book }: GoodsContext, prices: Prices): Wanted[] {
  return takeoff.beads.map(({ kind, exactMm, cuts, why }): Wanted => {
    const here = cuts.reduce((sum, { onHand, stockMm }) => sum + (onHand ? stockMm : 0), 0);
    const counts = new Map<number, number>();
    for (const { stockMm, onHand } of cuts) if (!onHand) counts.set(stockMm, (counts.get(stockMm) ?? 0) + 1);
    const packed = [...counts]
      .sort(([a], [b]) => a - b)
      .map(([mm, count]) => ({ sold: stickSold(kind, mm, book, prices), count }));
    return {
      kind: 'bead',
      product: beadWare(kind),
      name: say(`bead-line.${kind}`),
      unit: 'mm',
      likely: exactMm,
      spread: undefined,
      sold: packed.map(({ sold }) => sold),
      packed: () => packed,
      here,
      handling: 0,
      rule: why.rule,
      inputs: why.inputs,
    };
  });
}

/** One package more of a sundry counts as so much of the smallest: few large ones before many small ones. */
const HANDLING = 0.3;

function sundries(context: GoodsContext, prices: Prices): Wanted[] {
  const { job, rooms, book } = context;
  return sundriesOf({ job, rooms, book }, prices).map(
    ({ id, kind, name, unit, likely, inputs, packages }): Wanted => ({
      kind,
      product: sundryWare(id),
      name,
      unit,
      likely,
      spread: kind === 'tool' ? undefined : [book.sundryLow, book.sundryHigh],
      sold: liftable(packages, job.shop),
      handling: HANDLING * Math.min(...packages.map(({ holds }) => holds)),
      rule: say('why.sundry'),
      inputs,
    }),
  );
}
