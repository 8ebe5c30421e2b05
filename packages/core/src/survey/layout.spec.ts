import * as fc from 'fast-check';
import { ringOf, shapeOf, type Rect } from './geometry';
import { headsIn, layOut, type LayoutInput } from './layout';
import { stockFor } from './rows';
import { trials } from '../testing/trials';

const face = (length: number, height: number, holes: Rect[] = []): LayoutInput => ({
  shape: shapeOf([ringOf([0, 0, length, height])], holes.map(ringOf)),
  corners: holes.flatMap(ringOf),
  along: 'u',
  from: 'high',
  boardWidthMm: 1200,
  lengthsMm: [2400, 3000, 3600],
  framingMm: 600,
  staggerMm: 400,
  sliverMm: 150,
  inLineMm: 50,
});

const cutsOf = (input: LayoutInput, v: number) =>
  layOut(input)
    .joints.filter(
      (j) => j.kind === 'butt' && Math.min(j.line[1], j.line[3]) <= v && v <= Math.max(j.line[1], j.line[3]),
    )
    .map((j) => j.line[0]);

/** Fewest butts on framing for one row, by trying every set of framing lines, the small ones first. */
function fewest(length: number, spacing: number, longest: number): number {
  const lines: number[] = [];
  for (let u = spacing; u < length; u += spacing) lines.push(u);
  const piece = (from: number, to: number) => to - from >= 150 && to - from <= longest;
  const fits = (from: number, cuts: number): boolean =>
    cuts === 0 ? piece(from, length) : lines.some((u) => piece(from, u) && fits(u, cuts - 1));
  return [...lines.keys(), lines.length].find((cuts) => fits(0, cuts)) ?? Infinity;
}

it('needs no more butts in a row than any other choice of framing lines', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1500, max: 8800 }), fc.constantFrom(400, 600), (length, framingMm) => {
      const least = fewest(length, framingMm, 3600);
      return least === Infinity || cutsOf({ ...face(length, 1200), framingMm }, 600).length === least;
    }),
    { numRuns: trials(100) },
  );
});

it('keeps neighbouring rows apart and leaves no sliver', () => {
  fc.assert(
    fc.property(fc.integer({ min: 4000, max: 12000 }), (length) => {
      const input = face(length, 3600);
      const rows = [3000, 1800, 600].map((v) => cutsOf(input, v));
      const apart = rows
        .slice(1)
        .every((row, i) => row.every((u) => (rows[i] ?? []).every((p) => Math.abs(p - u) >= 400 - 1e-6)));
      const pieces = rows.flatMap((row) =>
        [0, ...row, length].slice(1).map((u, i) => u - ([0, ...row][i] as number)),
      );
      return apart && pieces.every((p) => p >= 150 - 1e-6 || length % 600 < 150);
    }),
  );
});

it('does not cut in line with a jamb when the board can bridge it', () => {
  // Without the door the first cut of the upper row stands at 2400.
  expect(cutsOf(face(4800, 1200), 600)).toEqual([2400]);
  expect(cutsOf(face(4800, 1200, [[2400, 0, 3200, 800]]), 1000)).not.toContain(2400);
});

it('starts rows from the top of a wall and the low side of a ceiling', () => {
  const top = layOut(face(3000, 2700)).joints.map((j) => j.line[1]);
  expect(top).toEqual([1500, 300]);
  const low = layOut({ ...face(3000, 2700), from: 'low' }).joints.map((j) => j.line[1]);
  expect(low).toEqual([1200, 2400]);
});

it('boards each side of a full-height opening by itself', () => {
  const input = face(6000, 1200, [[2000, 0, 3000, 1200]]);
  expect(layOut(input).boards.map((b) => b.rect.map(Math.round))).toEqual([
    [0, 0, 2000, 1200],
    [3000, 0, 6000, 1200],
  ]);
  expect(layOut(input).joints).toEqual([]);
});

it('runs boards the other way when told', () => {
  const upright = layOut({ ...face(3000, 2400), along: 'v', from: 'low', framingMm: undefined });
  expect(upright.joints.map((j) => j.line)).toEqual([
    [1200, 0, 1200, 2400],
    [2400, 0, 2400, 2400],
  ]);
});

it('cuts from the shortest stock that reaches, or the longest there is', () => {
  expect([2000, 2400, 2401, 3600, 5000].map((mm) => stockFor(mm, [2400, 3000, 3600]))).toEqual([
    2400, 2400, 3000, 3600, 3600,
  ]);
});

it('puts heads at both ends of every framing line and no further apart than told', () => {
  // 1200 × 1200 on lines at 0, 600 and 1200: three lines of ceil(1200 / 400) + 1 heads.
  const input = { ...face(1200, 1200), framingMm: 600 };
  expect(headsIn(input.shape, layOut(input).boards, 'u', 600, 400)).toBe(3 * 4);
  const holed = face(1200, 1200, [[500, 400, 700, 800]]);
  // The middle line is cut in two pieces of 400, two heads each.
  expect(headsIn(holed.shape, layOut(holed).boards, 'u', 600, 400)).toBe(4 + 4 + 4);
});
