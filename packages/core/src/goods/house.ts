import type { Supplied } from '../compound';
import { BEADS, COMPOUNDS, TAPES, type QuoteLine } from '../job';
import { sequence } from '../units';
import { beadWare, mudWare, packageId, tapeWare } from './wares';
import { sundryShelf } from './sundries';

/** So many of a package are wanted. */
export interface Wish {
  package: string;
  count: number;
}

/** A price that holds from so many of one package on. */
export interface PriceBreak {
  from: number;
  price: number;
}

/** What the supply house says to a wish. */
export interface Offer extends QuoteLine {
  breaks: PriceBreak[];
}

export interface HouseAnswer {
  /** The house is made up, and says so. */
  simulated: true;
  house: string;
  offers: Offer[];
  /** Packages it does not carry. */
  unknown: string[];
}

/** An invented house. */
const HOUSE = 'Quay Street supply (simulated)';

/** More of one package costs less each: from so many on, so much of its price. */
const BREAKS: readonly [from: number, share: number][] = [
  [1, 1],
  [5, 0.96],
  [12, 0.92],
];

/** How often a package has run low, how many are there then, and else. */
const LOW = 0.08;

/** Everything on its shelves with what is typical to pay. */
function shelf(book: Supplied): Map<string, number> {
  const sticks = (['short', 'long'] as const).flatMap((length) =>
    (['feet', 'metric'] as const).map((units) => book[`stick-${length}-${units}`].value),
  );
  return new Map([
    ...COMPOUNDS.flatMap((id) =>
      book.compounds[id].packages.map((p): [string, number] => [packageId(mudWare(id), p.id), p.price]),
    ),
    ...TAPES.map((tape): [string, number] => [packageId(tapeWare(tape), 'roll'), book.priceRoll.value]),
    ...BEADS.flatMap((kind) =>
      sticks.map((mm): [string, number] => [
        packageId(beadWare(kind), `stick-${Math.round(mm)}`),
        book.priceStick.value,
      ]),
    ),
    ...(['feet', 'metric'] as const)
      .flatMap((units) => sundryShelf(units, book))
      .map(({ id, price }): [string, number] => [id, price]),
  ]);
}

/** A number made of a text, the same every time. */
const seedOf = (text: string): number => {
  let seed = 7;
  for (const letter of text) seed = (seed * 31 + (letter.codePointAt(0) ?? 0)) % 999_999_937;
  return seed + 1;
};

/**
 * What a made-up supply house answers on a day: its prices, what is in stock and when the rest comes. The same on the
 * same day; one class of compound is out on it.
 * @param day `2026-11-30`
 */
export function houseAnswer(wishes: readonly Wish[], day: string, book: Supplied): HouseAnswer {
  const prices = shelf(book);
  const out = COMPOUNDS[seedOf(day) % COMPOUNDS.length];
  const offers = wishes.flatMap(({ package: id, count }): Offer[] => {
    const typical = prices.get(id);
    if (typical === undefined) return [];
    const random = sequence(seedOf(`${day} ${id}`));
    const price = typical * (0.92 + 0.16 * random());
    const breaks = BREAKS.map(([from, share]) => ({ from, price: Math.round(price * share * 20) / 20 }));
    const low = random() < LOW;
    const there = id.startsWith(`${mudWare(out as (typeof COMPOUNDS)[number])}#`)
      ? 0
      : Math.floor(low ? 4 * random() : 8 + 60 * random());
    const inStock = Math.min(count, there);
    const holds = breaks.filter(({ from }) => from <= Math.max(1, count)).at(-1) as PriceBreak;
    return [
      {
        package: id,
        count,
        price: holds.price,
        inStock,
        leadDays: inStock < count ? 2 + Math.floor(5 * random()) : 0,
        breaks,
      },
    ];
  });
  return {
    simulated: true,
    house: HOUSE,
    offers,
    unknown: wishes.map((wish) => wish.package).filter((id) => !prices.has(id)),
  };
}
