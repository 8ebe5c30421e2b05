import * as fc from 'fast-check';
import { ringOf, shapeOf, type Rect } from './geometry';
import { bestLayout, layOut, type LayoutInput } from './layout';
import { betterScore, cutRows, type Row, type Score } from './rows';
import { cutSheets } from './sheets';
import { trials } from '../testing/trials';

const rules = { lengthsMm: [2400, 3000, 3600], staggerMm: 400, sliverMm: 150, inLineMm: 50 };

const rowOf = (length: number, spacing: number, butt: (u: number) => number, jamb: number[] = []): Row => {
  const lines = [];
  for (let u = spacing; u < length - 1; u += spacing)
    lines.push({ u, lengthMm: butt(u), jamb: jamb.some((j) => Math.abs(j - u) < 50) });
  return { widthMm: 1200, fixed: false, runs: [{ from: 0, to: length, lines }] };
};

/** The cost of one choice of butts in every row, reckoned on its own. */
function costOf(rows: readonly Row[], cuts: readonly number[][]): Score {
  const score: Score = { rules: 0, buttMm: 0, boards: 0, wasteMm: 0 };
  rows.forEach((row, r) => {
    const run = row.runs[0]!;
    const ends = [run.from, ...cuts[r]!, run.to];
    ends.slice(1).forEach((end, i) => {
      const piece = end - ends[i]!;
      const stock = rules.lengthsMm.find((s) => s >= piece - 0.01);
      if (stock === undefined) score.rules += 1e12 + piece - 3600;
      else score.wasteMm += stock - piece;
      if (piece < rules.sliverMm - 0.01) score.rules += 1e10;
      score.boards++;
    });
    for (const u of cuts[r]!) {
      const line = run.lines.find((l) => l.u === u)!;
      score.buttMm += line.lengthMm;
      if (line.jamb) score.rules += 1e6;
      if (r > 0 && cuts[r - 1]!.some((p) => Math.abs(p - u) < 400 - 0.01)) score.rules += 1e8;
    }
  });
  return score;
}

/** Every choice of framing lines in every row. */
function bestOfAll(rows: readonly Row[]): Score {
  const choices = rows.map((row) => {
    const lines = row.runs[0]!.lines;
    return Array.from({ length: 1 << lines.length }, (_, mask) =>
      lines.filter((_, i) => mask & (1 << i)).map((l) => l.u),
    );
  });
  let best: Score | undefined;
  const walk = (cuts: number[][]) => {
    if (cuts.length === rows.length) {
      const score = costOf(rows, cuts);
      if (!best || betterScore(score, best)) best = score;
    } else for (const own of choices[cuts.length]!) walk([...cuts, own]);
  };
  walk([]);
  return best!;
}

const same = (a: Score, b: Score) => !betterScore(a, b) && !betterScore(b, a);

describe('rows laid together', () => {
  it('are never beaten by any other choice of butts: two rows', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2500, max: 5200 }),
        fc.constantFrom(600, 610),
        fc.integer({ min: 0, max: 5200 }),
        fc.integer({ min: 0, max: 900 }),
        (length, spacing, jamb, short) => {
          const rows = [
            rowOf(length, spacing, () => 1200),
            // Over an opening there is less of a butt.
            rowOf(length, spacing, (u) => (u > jamb && u < jamb + 1000 ? 1200 - short : 1200), [
              jamb,
              jamb + 1000,
            ]),
          ];
          const { cuts, score } = cutRows(rows, rules);
          return same(costOf(rows, cuts), score) && same(score, bestOfAll(rows));
        },
      ),
      { numRuns: trials(30) },
    );
  });

  it('are never beaten by any other choice of butts: three rows', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3700, max: 4700 }),
        fc.integer({ min: 300, max: 1200 }),
        (length, third) => {
          const rows = [
            rowOf(length, 800, () => 1200),
            rowOf(length, 800, () => 1200),
            rowOf(length, 800, () => third, [1600]),
          ];
          return same(cutRows(rows, rules).score, bestOfAll(rows));
        },
      ),
      { numRuns: trials(15) },
    );
  });

  it('are found where one row alone has many places, as in a hall', () => {
    const long = [rowOf(120000, 400, () => 1200)];
    const { cuts, score } = cutRows(long, rules);
    expect(same(costOf(long, cuts), score)).toBe(true);
    // Nothing longer than the longest stock, and no butt more than that takes.
    expect(cuts[0]!.length).toBe(Math.ceil(120000 / Math.max(...rules.lengthsMm)) - 1);
  });

  it('keep their stagger even when it costs a butt more', () => {
    // Two boards of 3600 fill 7200 exactly; the second row cannot do the same.
    const rows = [rowOf(7200, 600, () => 1200), rowOf(7200, 600, () => 1200)];
    const { cuts, score } = cutRows(rows, rules);
    expect(score).toMatchObject({ rules: 0, buttMm: 3 * 1200, boards: 5 });
    expect(cuts.map((own) => own.length).sort()).toEqual([1, 2]);
  });

  it('remember a butt close to the end of a stretch', () => {
    const stretch = (from: number, to: number, us: number[]) => ({
      from,
      to,
      lines: us.map((u) => ({ u, lengthMm: 1200, jamb: false })),
    });
    const rows: Row[] = [
      { widthMm: 1200, fixed: false, runs: [stretch(0, 3800, [200, 3600]), stretch(4000, 6000, [])] },
      {
        widthMm: 1200,
        fixed: false,
        runs: [stretch(0, 6000, [2400, 3500, 3000])].map((r) => ({
          ...r,
          lines: r.lines.sort((a, b) => a.u - b.u),
        })),
      },
    ];
    const { cuts } = cutRows(rows, rules);
    for (const u of cuts[0]!) for (const v of cuts[1]!) expect(Math.abs(u - v)).toBeGreaterThanOrEqual(400);
  });
});

describe('a face', () => {
  const face = (
    length: number,
    height: number,
    holes: Rect[] = [],
    over: Partial<LayoutInput> = {},
  ): LayoutInput => ({
    shape: shapeOf([ringOf([0, 0, length, height])], holes.map(ringOf)),
    corners: holes.flatMap(ringOf),
    along: 'u',
    from: 'high',
    boardWidthMm: 1200,
    framingMm: 600,
    ...rules,
    ...over,
  });

  it('shares a last row that would be a sliver with the first', () => {
    const rows = layOut(face(3000, 2500)).boards.map((b) => b.rect[3] - b.rect[1]);
    expect(rows).toEqual([650, 1200, 650]);
  });

  it('takes the wider board where it saves a row', () => {
    const two = face(3000, 2700);
    const wide = { ...two, boardWidthMm: 1370 };
    expect(bestLayout([two, wide]).boardWidthMm).toBe(1370);
  });

  it('stands upright where that leaves no butt', () => {
    const across = face(7000, 2400);
    expect(bestLayout([across, { ...across, along: 'v', from: 'low', framingMm: undefined }])).toMatchObject({
      along: 'v',
      score: { buttMm: 0 },
    });
  });

  it('butts over a door rather than beside it, for there is less of it', () => {
    const wide = layOut(face(5400, 1200, [[2000, 0, 3800, 900]], { lengthsMm: [3000] }));
    const butts = wide.joints.filter((j) => j.kind === 'butt');
    expect(butts.map((j) => [j.line[1], j.line[3]])).toEqual([[900, 1200]]);
  });

  it('takes a row with cuts put by hand as it is', () => {
    const laid = layOut(face(4800, 2400, [], { cuts: { '0': [1234] } }));
    expect(laid.joints.filter((j) => j.kind === 'butt' && j.row === 0).map((j) => j.line[0])).toEqual([1234]);
  });
});

describe('sheets', () => {
  const piece = fc.record({
    lengthMm: fc.integer({ min: 100, max: 3600 }),
    widthMm: fc.integer({ min: 60, max: 1200 }),
    boardWidthMm: fc.constant(1200),
    hungMm2: fc.integer({ min: 1, max: 6000 }),
  });

  it('hold every piece, use offcuts, and never hold more than they are', () => {
    fc.assert(
      fc.property(fc.array(piece, { minLength: 1, maxLength: 30 }), (pieces) => {
        const { sources, bought, boughtM2, hungM2, wasteM2 } = cutSheets(pieces, [2400, 3600]);
        const used = new Map<number, number>();
        sources.forEach(({ sheet }, i) =>
          used.set(sheet, (used.get(sheet) ?? 0) + pieces[i]!.lengthMm * pieces[i]!.widthMm),
        );
        const count = bought.reduce((n, s) => n + s.count, 0);
        expect(used.size).toBe(count);
        for (const [sheet, mm2] of used) {
          const stock = sources.find((s) => s.sheet === sheet)!.stockMm;
          expect(mm2).toBeLessThanOrEqual(stock * 1200 + 1);
        }
        const area = bought.reduce((sum, s) => sum + (s.count * s.lengthMm * s.widthMm) / 1e6, 0);
        expect(boughtM2).toBeCloseTo(area, 9);
        expect(boughtM2).toBeCloseTo(hungM2 + wasteM2, 9);
        // Each sheet is opened once; whatever else comes of it is an offcut.
        expect(sources.filter((s) => !s.offcut)).toHaveLength(count);
      }),
      { numRuns: trials(100) },
    );
  });

  it('cut four returns from the strip a ripped row leaves', () => {
    const strip = { lengthMm: 2000, widthMm: 100, boardWidthMm: 1200, hungMm2: 200_000 };
    const { bought, sources } = cutSheets([{ ...strip, widthMm: 700 }, strip, strip, strip, strip], [2400]);
    expect(bought).toEqual([{ widthMm: 1200, lengthMm: 2400, count: 1 }]);
    expect(sources.slice(1).every((s) => s.offcut)).toBe(true);
  });

  const whole = (...lengths: number[]) =>
    lengths.map((lengthMm) => ({
      lengthMm,
      widthMm: 1219.2,
      boardWidthMm: 1219.2,
      hungMm2: lengthMm * 1219.2,
    }));

  it('leaves nothing of seven sheets in a room of 5 × 8 ft', () => {
    const [five, eight] = [1524, 2438.4];
    const room = whole(eight, five, five, five, eight, eight, five, five, eight, five);
    const { bought, wasteM2 } = cutSheets(room, [2438.4, 3048, 3657.6]);
    expect(bought.map(({ lengthMm, count }) => [count, lengthMm])).toEqual([
      [4, 2438.4],
      [3, 3048],
    ]);
    expect(wasteM2).toBeCloseTo(0, 9);
  });

  it('buys the least there is for a few whole pieces, as trying every way shows', () => {
    const stock = [2400, 3000, 3600];
    /** Least length bought, by cutting the longest piece left from a new sheet with every choice of company. */
    const least = (left: readonly number[]): number => {
      const [first, ...rest] = left;
      if (first === undefined) return 0;
      let best = Infinity;
      for (let mask = 0; mask < 1 << rest.length; mask++) {
        const used = first + rest.reduce((sum, mm, i) => sum + (mask & (1 << i) ? mm : 0), 0);
        const sheet = stock.find((s) => s >= used);
        if (sheet !== undefined)
          best = Math.min(best, sheet + least(rest.filter((_, i) => !(mask & (1 << i)))));
      }
      return best;
    };
    const lengths = fc.array(fc.constantFrom(600, 800, 1200, 1500, 1800, 2400, 2700, 3600), {
      minLength: 1,
      maxLength: 6,
    });
    let [bought, best] = [0, 0];
    fc.assert(
      fc.property(lengths, (mm) => {
        const found = cutSheets(whole(...mm), stock).boughtM2 / 1.2192e-3;
        const exact = least([...mm].sort((a, b) => b - a));
        bought += found;
        best += exact;
        return found >= exact - 1e-6;
      }),
      { numRuns: trials(80) },
    );
    expect(bought / best).toBeLessThan(1.02);
  });
});
