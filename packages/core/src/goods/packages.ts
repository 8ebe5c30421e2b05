import type { Origin } from '../book';
import type { Buying } from '../job';
import type { Sayable } from '../texts';

/** What a package looks like. */
export type PackageKind = 'pail' | 'box' | 'tub' | 'bag' | 'roll' | 'stick' | 'pack' | 'tool';

/** One package as it is sold. */
export interface Sold {
  /** Its ware and its own name: `mud/drying-light#pail-17`. */
  id: string;
  kind: PackageKind;
  name: Sayable;
  /** What is in it, in the unit its ware is counted in. */
  holds: number;
  massKg: number;
  price: number;
  priceFrom: Origin | 'quoted';
  /** Water to add, L. */
  waterL?: number;
}

/** Packages of one sort to buy. */
export interface Packed {
  sold: Sold;
  count: number;
}

/** Far below any price or package: of equals the one that buys less. */
const LITTLE = 1e-7;

/**
 * What a package costs in what it is chosen by. By amount each package counts as `handling` more than it holds:
 * three bags and a box, not one bag and eight boxes.
 */
const WEIGHT: Record<Buying, (sold: Sold, handling: number) => number> = {
  amount: ({ holds }, handling) => holds + handling,
  cost: ({ price, holds }) => price + holds * LITTLE,
  leftover: ({ holds }) => holds + LITTLE,
  lifts: ({ holds }) => 1 + holds * LITTLE,
};

/** Far above any pallet only the package that is best for its size matters; the search would be long for nothing. */
const SEARCHED = 24;

/**
 * Whole packages that cover a need and weigh least, by what the user buys by.
 * @param handling what one package more counts as, in the unit of the ware
 */
export function choosePackages(
  need: number,
  offered: readonly Sold[],
  by: Buying,
  handling: number,
): Packed[] {
  if (need <= 1e-9 || offered.length === 0) return [];
  const weighed = offered.map((sold) => ({ sold, weight: WEIGHT[by](sold, handling) }));
  const worth = ({ sold, weight }: (typeof weighed)[number]): number => weight / sold.holds;
  // The best for its size first: the first answer is good, and most others are seen to be worse at once.
  const sorted = weighed.sort((a, b) => worth(a) - worth(b) || b.sold.holds - a.sold.holds);
  const best = sorted[0] as (typeof sorted)[number];
  const bulk = Math.max(0, Math.floor(need / best.sold.holds) - SEARCHED);
  let least = Infinity;
  let chosen: number[] = [];
  const search = (k: number, left: number, weight: number, counts: number[]): void => {
    if (left <= 1e-9) {
      if (weight < least) [least, chosen] = [weight, counts];
      return;
    }
    const one = sorted[k];
    if (!one || weight + left * worth(one) >= least) return;
    for (let n = Math.ceil(left / one.sold.holds - 1e-9); n >= 0; n--)
      search(k + 1, left - n * one.sold.holds, weight + n * one.weight, [...counts, n]);
  };
  search(0, need - bulk * best.sold.holds, 0, []);
  return sorted
    .map(({ sold }, i) => ({ sold, count: (chosen[i] ?? 0) + (i === 0 ? bulk : 0) }))
    .filter(({ count }) => count > 0)
    .sort((a, b) => b.sold.holds - a.sold.holds);
}
