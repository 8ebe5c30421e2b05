import * as fc from 'fast-check';
import { bestCutting, cutSticks, type Cutting, type Solve, type ToCut } from '@lisse/core';
import highs from 'highs';
import { solveWith } from './solve';

let solve: Solve;
beforeAll(async () => (solve = solveWith(await highs())));

/** Every piece once, no stick over its length, no more on hand than there is. */
function expectSound({ piecesMm, onHand = [], kerfMm }: ToCut, { sticks, boughtMm }: Cutting): void {
  const cut = piecesMm.map(() => 0);
  for (const { stockMm, parts } of sticks) {
    expect(parts.reduce((sum, { mm }) => sum + mm + kerfMm, 0)).toBeLessThanOrEqual(stockMm + kerfMm + 0.2);
    for (const { piece, mm } of parts) cut[piece]! += mm;
  }
  cut.forEach((mm, i) => expect(mm).toBeCloseTo(piecesMm[i]!, 0));
  for (const { lengthMm, count } of onHand)
    expect(sticks.filter((one) => one.onHand && one.stockMm === lengthMm).length).toBeLessThanOrEqual(count);
  const paid = sticks.reduce((sum, { stockMm, onHand: had }) => sum + (had ? 0 : stockMm), 0);
  expect(paid).toBeCloseTo(boughtMm, 3);
}

it('finds what trying every way finds, for a dozen pieces', () => {
  fc.assert(
    fc.property(
      fc.record({
        piecesMm: fc.array(fc.integer({ min: 200, max: 4000 }), { minLength: 1, maxLength: 9 }),
        soldMm: fc.constantFrom([2500, 3000], [2438.4, 3048], [2400, 3000, 3600]),
        onHand: fc.array(
          fc.record({ lengthMm: fc.constantFrom(900, 1500, 2600), count: fc.integer({ min: 1, max: 2 }) }),
          { maxLength: 1 },
        ),
        kerfMm: fc.constantFrom(0, 2),
      }),
      (toCut) => {
        const tried = cutSticks(toCut);
        fc.pre(tried.proved);
        const best = bestCutting(toCut, solve)!;
        expectSound(toCut, best);
        expect(best.boughtMm).toBeCloseTo(tried.boughtMm, 3);
        expect(best.proved).toBe(true);
      },
    ),
    { numRuns: 60 },
  );
});

it('cuts four hundred pieces of twenty-four lengths from three stock lengths as cheaply as can be', () => {
  const lengths = Array.from({ length: 24 }, (_, i) => 620 + ((i * 977) % 2100));
  const piecesMm = Array.from({ length: 400 }, (_, n) => lengths[(n * 7 + (n % 5)) % 24]!);
  const toCut = { piecesMm, soldMm: [2400, 3000, 3600], kerfMm: 2 };
  const atOnce = cutSticks(toCut);
  expectSound(toCut, atOnce);
  const best = bestCutting(toCut, solve)!;
  expectSound(toCut, best);
  expect(best.proved).toBe(true);
  expect(best.boughtMm).toBeLessThanOrEqual(atOnce.boughtMm);
  expect(best.boughtMm).toBeGreaterThanOrEqual(atOnce.boundMm);
});

it('proves where a corner of thirteen feet is spliced among two dozen others', () => {
  const feet = [5, 3, 5, 3, 5, 3, 5, 3, 5, 3, 5, 3, 6, 8, 8, 5, 6.6, 6.6, 5, 6.6, 6.6, 10, 4, 3, 4, 3, 13];
  const toCut = { piecesMm: feet.map((n) => n * 304.8), soldMm: [2438.4, 3048], kerfMm: 0 };
  const best = bestCutting(toCut, solve)!;
  expectSound(toCut, best);
  expect(best.splices).toBe(1);
  expect(best.boughtMm).toBeLessThanOrEqual(cutSticks(toCut).boughtMm);
  // 143.4 feet of pieces: by their length alone 144 might do, but not as they fit.
  expect(Math.round(cutSticks(toCut).boundMm / 304.8)).toBe(144);
  expect([best.boundMm, best.boughtMm].map((mm) => Math.round(mm / 304.8))).toEqual([146, 146]);
  expect(best.proved).toBe(true);
});

it('proves no more of spliced corners than trying every place of every splice finds', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 300, max: 2900 }), { minLength: 8, maxLength: 14 }),
      fc.array(fc.integer({ min: 3100, max: 5800 }), { minLength: 1, maxLength: 2 }),
      (short, long) => {
        const toCut = { piecesMm: [...short, ...long], soldMm: [2500, 3000], kerfMm: 2 };
        const best = bestCutting(toCut, solve)!;
        expectSound(toCut, best);
        expect(best.boundMm).toBeLessThanOrEqual(best.boughtMm);
        expect(best.boundMm).toBeGreaterThanOrEqual(cutSticks(toCut).boundMm);
      },
    ),
    { numRuns: 10 },
  );
});

it('says nothing where the solver found nothing', () => {
  expect(bestCutting({ piecesMm: [1000], soldMm: [3000], kerfMm: 2 }, () => undefined)).toBeUndefined();
  const idle = solveWith({ solve: () => ({ Status: 'Time limit reached', Columns: { x0: {} } }) });
  expect(idle('')).toBeUndefined();
});
