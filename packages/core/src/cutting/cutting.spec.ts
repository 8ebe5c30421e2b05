import * as fc from 'fast-check';
import { cutSticks, type Cutting, type ToCut } from './sticks';
import { trials } from '../testing/trials';

const any = (most: number, longest = 3000): fc.Arbitrary<ToCut> =>
  fc.record({
    piecesMm: fc.array(fc.integer({ min: 100, max: longest }), { minLength: 1, maxLength: most }),
    soldMm: fc.constantFrom([2500, 3000], [3000], [2438.4, 3048], [2400, 3000, 3600]),
    onHand: fc.array(
      fc.record({ lengthMm: fc.integer({ min: 300, max: 3200 }), count: fc.integer({ min: 1, max: 2 }) }),
      { maxLength: 2 },
    ),
    kerfMm: fc.constantFrom(0, 2, 3),
  });

/** What of a cutting cannot be done. */
function broken({ piecesMm, soldMm, onHand = [], kerfMm }: ToCut, { sticks, boughtMm }: Cutting): string[] {
  const found: string[] = [];
  const cut = piecesMm.map(() => 0);
  for (const { stockMm, onHand: had, parts, offcutMm } of sticks) {
    const used = parts.reduce((sum, { mm }) => sum + mm + kerfMm, 0);
    if (parts.length === 0) found.push('a stick nothing is cut from');
    if (used > stockMm + kerfMm + 0.2) found.push(`a stick of ${stockMm} is cut into ${used}`);
    if (Math.abs(Math.max(0, stockMm - used) - offcutMm) > 0.2) found.push(`${offcutMm} left of ${stockMm}`);
    if (!had && !soldMm.includes(stockMm)) found.push(`${stockMm} is not sold`);
    for (const { piece, mm } of parts) cut[piece]! += mm;
  }
  piecesMm.forEach((mm, i) => {
    if (Math.abs(cut[i]! - mm) > 0.2) found.push(`piece ${i} of ${mm} is ${cut[i]}`);
  });
  for (const length of new Set(onHand.map(({ lengthMm }) => lengthMm))) {
    const have = onHand.reduce((sum, one) => sum + (one.lengthMm === length ? one.count : 0), 0);
    const used = sticks.filter(({ onHand: had, stockMm }) => had && stockMm === length).length;
    if (used > have) found.push(`${used} of ${have} sticks of ${length}`);
  }
  const paid = sticks.reduce((sum, { stockMm, onHand: had }) => sum + (had ? 0 : stockMm), 0);
  if (Math.abs(paid - boughtMm) > 0.01) found.push(`${paid} is bought, not ${boughtMm}`);
  return found;
}

/** Every way to cut, tried: the least bought, and the longest offcut that leaves. Written apart. */
function byTrying({ piecesMm, soldMm, onHand = [], kerfMm }: ToCut): [bought: number, offcut: number] {
  const hand = onHand.flatMap(({ lengthMm, count }) => Array<number>(count).fill(lengthMm));
  const known = new Map<string, [number, number]>();
  const go = (mask: number, free: number): [number, number] => {
    if (mask === 0) return [0, 0];
    const key = `${mask} ${free}`;
    const had = known.get(key);
    if (had) return had;
    let best: [number, number] = [Infinity, 0];
    const low = mask & -mask;
    const rest = mask ^ low;
    for (let more = rest; ; more = (more - 1) & rest) {
      const set = more | low;
      let used = -kerfMm;
      piecesMm.forEach((mm, i) => (used += set & (1 << i) ? mm + kerfMm : 0));
      const sticks = [
        ...soldMm.map((stock) => [stock, stock, free] as const),
        ...hand.flatMap((stock, h) => (free & (1 << h) ? [[stock, 0, free ^ (1 << h)] as const] : [])),
      ];
      for (const [stock, cost, left] of sticks) {
        if (used > stock + 1e-6) continue;
        const [bought, offcut] = go(mask ^ set, left);
        const made: [number, number] = [bought + cost, Math.max(offcut, stock - used - kerfMm)];
        if (made[0] < best[0] - 1e-6 || (made[0] < best[0] + 1e-6 && made[1] > best[1])) best = made;
      }
      if (more === 0) break;
    }
    known.set(key, best);
    return best;
  };
  return go((1 << piecesMm.length) - 1, (1 << hand.length) - 1);
}

describe('sticks', () => {
  it('are cut into every piece once, none over its length, and nothing is bought that is on hand', () => {
    fc.assert(
      fc.property(any(40, 7000), (toCut) => expect(broken(toCut, cutSticks(toCut))).toEqual([])),
      {
        numRuns: 300,
      },
    );
  });

  it('are cut at once, however many pieces there are', () => {
    const piecesMm = Array.from({ length: 600 }, (_, n) => 620 + ((n * 977) % 2100));
    const toCut = { piecesMm, soldMm: [2400, 3000, 3600], kerfMm: 2 };
    const made = cutSticks(toCut);
    expect(broken(toCut, made)).toEqual([]);
    expect(made.boughtMm / made.boundMm).toBeLessThan(1.15);
  });

  it('are the least there are, with the longest offcut, as trying every way finds', () => {
    fc.assert(
      fc.property(any(6, 2400), (toCut) => {
        const { sticks, boughtMm, boundMm, proved } = cutSticks(toCut);
        const [bought, offcut] = byTrying(toCut);
        expect(boughtMm).toBeCloseTo(bought, 3);
        expect([proved, boundMm]).toEqual([true, boughtMm]);
        expect(Math.max(...sticks.map((stick) => stick.offcutMm))).toBeCloseTo(offcut, 0);
      }),
      { numRuns: trials(1000) },
    );
  });

  it('are the least there are for a dozen pieces too', () => {
    fc.assert(
      fc.property(any(11, 2400), (toCut) => {
        const { boughtMm, proved } = cutSticks(toCut);
        expect([proved, Math.round(boughtMm)]).toEqual([true, Math.round(byTrying(toCut)[0])]);
      }),
      { numRuns: trials(80) },
    );
  });

  it('never buy less than is said that nothing can', () => {
    fc.assert(
      fc.property(any(9, 2400), (toCut) => {
        expect(cutSticks(toCut).boundMm).toBeLessThanOrEqual(byTrying(toCut)[0] + 0.01);
      }),
      { numRuns: trials(60) },
    );
  });

  it('are spliced only for a piece longer than any, where it buys least', () => {
    const { boughtMm, splices } = cutSticks({ piecesMm: [6500, 2900], soldMm: [2500, 3000], kerfMm: 2 });
    // Three of 2.5 m and one of 3 m; three of 3 m, and one of 2.5 m for the last half metre, would be a metre more.
    expect([boughtMm, splices]).toEqual([10500, 2]);
    expect(cutSticks({ piecesMm: [3000], soldMm: [3000], kerfMm: 2 }).splices).toBe(0);
  });

  it('in feet: corners of eleven to sixteen feet are two of eight, or eight and ten', () => {
    const [eight, ten] = [2438.4, 3048];
    for (const [feet, bought] of [
      [11, 2 * eight],
      [16, 2 * eight],
      [17, eight + ten],
      [20, 2 * ten],
      [25, ten + 2 * eight],
    ] as const) {
      const made = cutSticks({ piecesMm: [feet * 304.8], soldMm: [eight, ten], kerfMm: 0 });
      expect(made).toMatchObject({ boughtMm: bought, boundMm: bought, proved: true });
    }
  });

  it('of a corner that is a little longer than a stick has no part too short to hold', () => {
    const { sticks, boughtMm } = cutSticks({ piecesMm: [3008], soldMm: [2500, 3000], kerfMm: 2 });
    expect(boughtMm).toBe(5000);
    expect(Math.min(...sticks.flatMap(({ parts }) => parts.map(({ mm }) => mm)))).toBeGreaterThanOrEqual(150);
  });

  it('that are on hand and longer than any that is sold are not spliced', () => {
    const hand = { soldMm: [2500, 3000], onHand: [{ lengthMm: 3600, count: 1 }], kerfMm: 2 };
    expect(cutSticks({ ...hand, piecesMm: [3200] })).toMatchObject({ boughtMm: 0, splices: 0, proved: true });
    // The second of them takes two sticks that are bought; with one of them the first would be spliced as well.
    expect(cutSticks({ ...hand, piecesMm: [3200, 3400] })).toMatchObject({ boughtMm: 5000, splices: 1 });
    // What is on hand and a rest, rather than two that are bought.
    expect(cutSticks({ ...hand, piecesMm: [5900] })).toMatchObject({ boughtMm: 2500, splices: 1 });
  });

  it('are spliced where exhaustive search over every place of every splice buys as little', () => {
    const short = fc.integer({ min: 2, max: 12 });
    const any = fc.record({
      // In units of 200 mm, so that every place of a splice can be tried.
      short: fc.array(short, { maxLength: 3 }),
      long: fc.array(fc.integer({ min: 16, max: 29 }), { minLength: 1, maxLength: 2 }),
      sold: fc.constantFrom([12, 15], [15], [10, 15]),
      hand: fc.array(fc.integer({ min: 3, max: 18 }), { maxLength: 1 }),
    });
    fc.assert(
      fc.property(any, ({ short, long, sold, hand }) => {
        const toCut = (pieces: readonly number[]): ToCut => ({
          piecesMm: pieces.map((n) => n * 200),
          soldMm: sold.map((n) => n * 200),
          onHand: hand.map((n) => ({ lengthMm: n * 200, count: 1 })),
          kerfMm: 0,
        });
        const widest = Math.max(...sold, ...hand);
        const waysOf = (length: number): number[][] => [
          ...(hand.some((n) => n >= length) ? [[length]] : []),
          ...Array.from({ length: length - 1 }, (_, i) => [i + 1, length - i - 1]).filter((parts) =>
            parts.every((n) => n <= widest),
          ),
        ];
        const partings = long.reduce<number[][]>(
          (all, length) => all.flatMap((before) => waysOf(length).map((parts) => [...before, ...parts])),
          [[]],
        );
        const least = Math.min(...partings.map((parts) => byTrying(toCut([...short, ...parts]))[0]));
        const made = cutSticks(toCut([...short, ...long]), 20000);
        expect(broken(toCut([...short, ...long]), made)).toEqual([]);
        expect(made.boughtMm).toBeCloseTo(least, 3);
        expect(made.boundMm).toBeLessThanOrEqual(least + 0.01);
        const atOnce = cutSticks(toCut([...short, ...long]));
        expect(atOnce.boundMm).toBeLessThanOrEqual(least + 0.01);
        expect(atOnce.boughtMm).toBeGreaterThanOrEqual(least - 0.01);
      }),
      { numRuns: trials(60) },
    );
  });

  it('leave nothing where corners of 2.7 m and of 0.3 m share them and a snip loses nothing', () => {
    const piecesMm = [...Array<number>(16).fill(2700), ...Array<number>(16).fill(300)];
    expect(cutSticks({ piecesMm, soldMm: [2500, 3000], kerfMm: 0 })).toMatchObject({
      boughtMm: 48000,
      proved: true,
    });
    // A saw takes 2 mm, and none of the short ones fits any more.
    expect(cutSticks({ piecesMm, soldMm: [2500, 3000], kerfMm: 2 }).boughtMm).toBeGreaterThan(48000);
  });

  it('are none where nothing is to be cut', () => {
    expect(cutSticks({ piecesMm: [], soldMm: [3000], kerfMm: 2 })).toMatchObject({ sticks: [], boughtMm: 0 });
    expect(() => cutSticks({ piecesMm: [1], soldMm: [], kerfMm: 2 })).toThrow('sold');
  });
});
