import * as fc from 'fast-check';
import { COMPOUND, packageName, suppliedWith } from '../compound';
import { TYPICAL } from '../book';
import { BUYINGS, type Buying } from '../job';
import { said, saidInFeet } from '../testing/samples';
import { choosePackages, type Sold } from './packages';
import { mudSold } from './wares';
import { trials } from '../testing/trials';

const book = suppliedWith(TYPICAL, undefined);
const typical = (_: string, price: number) => ({ price, priceFrom: 'typical' as const });
const mud = (compound: keyof typeof COMPOUND, units: 'feet' | 'metric') =>
  mudSold(compound, { units }, book, typical);

const anySold: fc.Arbitrary<Sold[]> = fc
  .array(fc.record({ holds: fc.integer({ min: 1, max: 30 }), price: fc.integer({ min: 1, max: 60 }) }), {
    minLength: 1,
    maxLength: 3,
  })
  .map((list) =>
    list.map(({ holds, price }, i) => ({
      id: `p${i}`,
      kind: 'pail',
      name: `p${i}`,
      holds,
      massKg: holds,
      price,
      priceFrom: 'typical',
    })),
  );

/** What a choice is judged by, the first first. */
const JUDGED: Record<Buying, (count: number, holds: number, price: number, handling: number) => number[]> = {
  amount: (count, holds, _, handling) => [holds + count * handling],
  cost: (_, holds, price) => [price, holds],
  leftover: (count, holds) => [holds, count],
  lifts: (count, holds) => [count, holds],
};

/** Every choice of packages that covers a need, tried one by one. */
function best(need: number, offered: readonly Sold[], by: Buying, handling: number): number[] {
  let least: number[] = [Infinity];
  const search = (k: number, left: number, [count, holds, price]: [number, number, number]): void => {
    if (left <= 0) {
      const judged = JUDGED[by](count, holds, price, handling);
      const first = judged.findIndex((value, i) => Math.abs(value - (least[i] ?? Infinity)) > 1e-9);
      if (first >= 0 && (judged[first] as number) < (least[first] ?? Infinity)) least = judged;
      return;
    }
    const one = offered[k];
    if (!one) return;
    for (let n = Math.ceil(left / one.holds); n >= 0; n--)
      search(k + 1, left - n * one.holds, [count + n, holds + n * one.holds, price + n * one.price]);
  };
  search(0, need, [0, 0, 0]);
  return least;
}

describe('packages', () => {
  const bought = (need: number, sold: readonly Sold[], by: Buying = 'amount') =>
    choosePackages(need, sold, by, 1.5).map(({ sold: one, count }) => `${count} × ${said(one.name)}`);

  it('are bags and a box, not many boxes', () => {
    expect(bought(37.2, mud('setting-light', 'metric'))).toEqual(['3 × 8.2 kg bag', '1 × 2.3 kg box']);
    expect(
      choosePackages(30, mud('drying-light', 'feet'), 'amount', 1.5).map(({ sold }) => saidInFeet(sold.name)),
    ).toEqual(['4.5 gal pail', '3.4 gal box']);
    expect(bought(0, mud('setting-light', 'metric'))).toEqual([]);
    expect(bought(3, mud('setting-light', 'metric'))).toEqual(['1 × 2.3 kg box']);
    expect(said(packageName(COMPOUND['setting-light'].packages[0]!, 'metric'))).toBe('8.2 kg bag');
  });

  it('are as good as trying every choice, whatever they are chosen by', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 120 }),
        anySold,
        fc.constantFrom(...BUYINGS),
        (need, sold, by) => {
          const packed = choosePackages(need, sold, by, 2);
          const sum = (of: (one: Sold) => number) =>
            packed.reduce((all, { sold: one, count }) => all + count * of(one), 0);
          const judged = JUDGED[by](
            sum(() => 1),
            sum((one) => one.holds),
            sum((one) => one.price),
            2,
          );
          expect(sum((one) => one.holds)).toBeGreaterThanOrEqual(need);
          const least = best(need, sold, by, 2);
          judged.forEach((value, i) => expect(value).toBeCloseTo(least[i] as number, 6));
        },
      ),
      { numRuns: trials(800) },
    );
  });

  it('cover any need, and never with a package too many', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 5000, noNaN: true }),
        fc.constantFrom(...Object.values(COMPOUND)),
        fc.constantFrom(...BUYINGS),
        (need, { id }, by) => {
          const packed = choosePackages(need, mud(id, 'metric'), by, 1.5);
          const litres = packed.reduce((sum, { sold, count }) => sum + count * sold.holds, 0);
          return (
            litres >= need - 1e-6 && packed.every(({ sold }) => by === 'lifts' || litres - sold.holds < need)
          );
        },
      ),
    );
  });
});
