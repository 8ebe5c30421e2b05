import { bareSurface } from '@lisse/core';
import * as fc from 'fast-check';
import { CutLines } from './cut-lines';

const frame = { reachMm: 300, widthPx: 600, zeroPx: 100, footPx: 240, magnify: 10, stepMm: 5 };
const lines = new CutLines(frame);
const butt = (humpMm: number) =>
  bareSurface({
    edge: 'butt',
    taperDepthMm: 1.6,
    taperWidthMm: 60,
    humpMm,
    humpSpanMm: 400,
    lippageMm: 0,
  });
/** The corners of a drawn shape. */
const corners = (path: string): [number, number][] =>
  [...path.matchAll(/[ML](-?[\d.]+),(-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)]);

it('draws widths as they are and heights so many times larger, from the true plane up', () => {
  // 600 px for 600 mm, heights ten times: a millimetre is 10 px.
  expect([lines.x(-300), lines.x(0), lines.x(300)]).toEqual([0, 300, 600]);
  expect(lines.y(0)).toBeCloseTo(100, 9);
  expect(lines.y(2)).toBeCloseTo(80, 9);
  expect(lines.y(-3)).toBeCloseTo(130, 9);
});

it('draws nothing over the edges of its drawing, whatever the surface', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -60, max: 60, noNaN: true }),
      fc.integer({ min: 1, max: 80 }),
      (hump, magnify) => {
        const drawn = corners(new CutLines({ ...frame, magnify }).over(butt(hump)));
        expect(drawn.filter(([x, y]) => !(x >= 0 && x <= 600 && y >= 0 && y <= 240))).toEqual([]);
        // There and back: over the surface from the left, along the foot from the right.
        expect(drawn).toHaveLength(2 * (600 / 5 + 1));
      },
    ),
  );
});

it('lays tape over a surface as thick as it is, and what is open under a straightedge beneath the chord', () => {
  const tape = corners(lines.strip(butt(0), 26, 0.5, 0.75));
  expect(tape[0]).toEqual([274, 92.5]);
  expect(Math.max(...tape.map(([, y]) => y))).toBe(95);
  expect(Math.max(...tape.map(([x]) => x))).toBe(326);
  const open = corners(lines.under(butt(-2), -200, 200));
  // 2 mm deep in the middle and half of that at 200 mm: the chord hangs at 1 mm below the plane.
  expect(open.find(([x]) => x === 300)![1]).toBeCloseTo(110, 0);
  expect(Math.max(...open.map(([, y]) => y))).toBeCloseTo(120, 0);
});
