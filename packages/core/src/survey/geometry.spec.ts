import * as fc from 'fast-check';
import {
  areaIn,
  areaOf,
  boundsOf,
  intersect,
  ringOf,
  runsBetween,
  seamAt,
  shapeOf,
  spansAt,
  turned,
  unite,
  without,
  type Shape,
  type Spans,
} from './geometry';

/** A wall 4800 × 2400 with a door at 1000–1900 and a window at 3000–4000. */
const wall: Shape = shapeOf(
  [ringOf([0, 0, 4800, 2400])],
  [ringOf([1000, 0, 1900, 2100]), ringOf([3000, 900, 4000, 2100])],
);
const ell: Shape = shapeOf([
  [
    [0, 0],
    [6000, 0],
    [6000, 2000],
    [3000, 2000],
    [3000, 5000],
    [0, 5000],
  ],
]);

describe('spans', () => {
  it('leave openings out', () => {
    expect(spansAt(wall, 500)).toEqual([
      [0, 1000],
      [1900, 4800],
    ]);
    expect(spansAt(wall, 1500)).toEqual([
      [0, 1000],
      [1900, 3000],
      [4000, 4800],
    ]);
    expect(spansAt(wall, 2300)).toEqual([[0, 4800]]);
  });

  it('follow the outline, slanted or notched', () => {
    expect(spansAt(ell, 3000)).toEqual([[0, 3000]]);
    expect(
      spansAt(
        shapeOf([
          [
            [0, 0],
            [4000, 0],
            [0, 4000],
          ],
        ]),
        1000,
      ),
    ).toEqual([[0, 3000]]);
  });

  it('are empty outside', () => {
    expect(spansAt(wall, -1)).toEqual([]);
    expect(spansAt(wall, 2401)).toEqual([]);
  });

  it('of a seam lie only where there is board on both sides', () => {
    // The head of both openings is at 2100: above it all is board, under it the openings are not.
    expect(seamAt(wall, 2100)).toEqual([
      [0, 1000],
      [1900, 3000],
      [4000, 4800],
    ]);
    expect(seamAt(ell, 2000)).toEqual([[0, 3000]]);
  });

  it('between two heights hold every stretch with some board', () => {
    expect(runsBetween(wall, 0, 1200)).toEqual([
      [0, 1000],
      [1900, 4800],
    ]);
    expect(runsBetween(wall, 1200, 2400)).toEqual([[0, 4800]]);
    expect(runsBetween(ell, 1200, 2400)).toEqual([[0, 6000]]);
  });
});

describe('sets of spans', () => {
  const sets: fc.Arbitrary<Spans> = fc
    .array(fc.tuple(fc.integer({ min: 0, max: 100 }), fc.integer({ min: 1, max: 30 })), { maxLength: 5 })
    .map((all) => unite(all.map(([a, n]): [number, number] => [a, a + n])));
  const has = (spans: Spans, x: number) => spans.some(([a, b]) => a < x && x < b);

  it('unite, intersect and take away as sets do', () => {
    fc.assert(
      fc.property(sets, sets, fc.integer({ min: 0, max: 140 }), (a, b, n) => {
        const x = n + 0.5;
        const gone = a.flatMap((span) => without(span, b));
        return (
          has(unite([...a, ...b]), x) === (has(a, x) || has(b, x)) &&
          has(intersect(a, b), x) === (has(a, x) && has(b, x)) &&
          has(gone, x) === (has(a, x) && !has(b, x))
        );
      }),
    );
  });
});

describe('areas', () => {
  it('leave openings out and follow notches', () => {
    expect(areaOf(wall)).toBe(4800 * 2400 - 900 * 2100 - 1000 * 1200);
    expect(areaOf(ell)).toBe(6000 * 2000 + 3000 * 3000);
    expect(areaIn(ell, [2000, 1000, 4000, 3000])).toBe(2000 * 1000 + 1000 * 1000);
    expect(areaIn(wall, [1000, 0, 1900, 2000])).toBe(0);
  });

  it('are the same turned, and add up over any cut', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4799 }), fc.integer({ min: 1, max: 2399 }), (u, v) => {
        const parts = [
          [0, 0, u, v],
          [u, 0, 4800, v],
          [0, v, u, 2400],
          [u, v, 4800, 2400],
        ] as const;
        const sum = parts.reduce((total, part) => total + areaIn(wall, [...part]), 0);
        return Math.abs(sum - areaOf(wall)) < 1e-6 && Math.abs(areaOf(turned(wall)) - areaOf(wall)) < 1e-6;
      }),
    );
  });

  it('lie in their bounds', () => {
    expect(boundsOf(ell)).toEqual([0, 0, 6000, 5000]);
  });
});
