import * as fc from 'fast-check';
import { hullOver } from './hull';
import { crownOf, deepestOnFaces, deepestUnder, steepest, STRAIGHTEDGES, turnedMl } from './readings';
import { bareSurface, HALF } from './surface';

const bare = (over: Partial<Parameters<typeof bareSurface>[0]>) =>
  bareSurface({
    edge: 'butt',
    taperDepthMm: 1.6,
    taperWidthMm: 60,
    humpMm: 0,
    humpSpanMm: 400,
    lippageMm: 0,
    ...over,
  });

it('a bare taper is as hollow as it is deep, in its middle', () => {
  const hollow = deepestUnder(bare({ edge: 'taper' }), STRAIGHTEDGES.blade);
  expect(hollow.depthMm).toBeCloseTo(1.6, 9);
  expect(hollow.atMm).toBe(0);
  // 1.6 mm over 60 is 26.7 mm a metre.
  expect(steepest(bare({ edge: 'taper' }))).toBeCloseTo(26.67, 1);
});

it('a hump has no hollow on its crest, but beside it: the blade rests on crest and plane', () => {
  const surface = bare({ humpMm: 2 });
  expect(crownOf(surface)).toBeCloseTo(2, 9);
  expect(deepestUnder(surface, STRAIGHTEDGES.level).depthMm).toBeGreaterThan(0);
  expect(Math.abs(deepestUnder(surface, STRAIGHTEDGES.level).atMm)).toBeGreaterThan(200);
  // Half a cosine of 2 mm over 400 is steepest half way: 1000 · π · 2 / 800.
  expect(steepest(surface)).toBeCloseTo((1000 * Math.PI * 2) / 800, 2);
});

it('a belly of 2 mm over 400 each side is seen whole by a level, in part by a blade', () => {
  const surface = bare({ humpMm: -2 });
  expect(deepestUnder(surface, STRAIGHTEDGES.level).depthMm).toBeCloseTo(2, 9);
  // Over ± 152 mm the cosine rises from −2 to −1.367.
  expect(deepestUnder(surface, STRAIGHTEDGES.blade).depthMm).toBeCloseTo(
    1 - Math.cos((Math.PI * 152) / 400),
    1,
  );
});

it('lies on one of two faces, never across the corner between them', () => {
  // A corner laid flat: both faces dished by 0.5 mm, and 3 mm of nose between them.
  const surface = Float64Array.from({ length: 2 * HALF + 1 }, (_, i) => {
    const x = Math.abs(i - HALF);
    return x < 2 ? 3 : x < 200 ? 3 - (3 * x) / 200 - 0.5 * Math.sin((Math.PI * x) / 200) : 0;
  });
  const { depthMm, atMm } = deepestOnFaces(surface, STRAIGHTEDGES.blade);
  expect(depthMm).toBeGreaterThan(0.5);
  expect(depthMm).toBeLessThan(deepestUnder(surface, 400).depthMm + 1e-9);
  expect(Math.abs(atMm)).toBeGreaterThan(20);
});

it('a dish filled flush holds what pencil says: a cone of 100 across and 3 deep', () => {
  const cone = Float64Array.from({ length: 2 * HALF + 1 }, (_, i) =>
    Math.min(0, -3 * (1 - Math.abs(i - HALF) / 50)),
  );
  // A third of the disc times the depth: π · 50² · 3 / 3 mm³, 7.85 mL.
  expect(turnedMl(new Float64Array(2 * HALF + 1), cone)).toBeCloseTo(7.85, 1);
});

it('a plane has neither, however it leans', () => {
  fc.assert(
    fc.property(fc.double({ min: -0.01, max: 0.01, noNaN: true }), (lean) => {
      const surface = Float64Array.from({ length: 2 * HALF + 1 }, (_, i) => lean * (i - HALF));
      return deepestUnder(surface, STRAIGHTEDGES.blade).depthMm < 1e-9;
    }),
  );
});

it('a longer straightedge never finds less, and a mirror image the same', () => {
  const heights = fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: 6, maxLength: 6 });
  fc.assert(
    fc.property(heights, (hs) => {
      // A smooth surface through a few heights.
      const surface = Float64Array.from({ length: 2 * HALF + 1 }, (_, i) =>
        hs.reduce((sum, h, k) => sum + h * Math.exp(-(((i - 250 - k * 260) / 120) ** 2)), 0),
      );
      const blade = deepestUnder(surface, STRAIGHTEDGES.blade).depthMm;
      const level = deepestUnder(surface, STRAIGHTEDGES.level).depthMm;
      const mirror = deepestUnder(Float64Array.from(surface).reverse(), STRAIGHTEDGES.level).depthMm;
      return level >= blade - 0.02 && Math.abs(mirror - level) < 0.02;
    }),
    { numRuns: 25 },
  );
});

it('finds what laying the straightedge down at every place finds, on any surface, rough or smooth', () => {
  /** Every 5 mm, resting on the upper hull of what lies under it. */
  const tried = (surface: Float64Array, reach: number): number => {
    const hull = new Int32Array(reach + 1);
    let deepest = 0;
    for (let from = 0; from + reach < surface.length; from += 5) {
      const top = hullOver(surface, from, from + reach, hull);
      for (let k = 0; k + 1 < top; k++) {
        const [a, b] = [hull[k]!, hull[k + 1]!];
        for (let i = a + 1; i < b; i++)
          deepest = Math.max(
            deepest,
            surface[a]! + ((surface[b]! - surface[a]!) * (i - a)) / (b - a) - surface[i]!,
          );
      }
    }
    return deepest;
  };
  const heights = fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: 2, maxLength: 60 });
  fc.assert(
    fc.property(
      heights,
      fc.integer({ min: 1, max: 40 }),
      fc.integer({ min: 1, max: 90 }),
      (hs, wide, length) => {
        // Straight from height to height; with one a millimetre it is as rough as can be.
        const surface = Float64Array.from({ length: (hs.length - 1) * wide + 1 }, (_, i) => {
          const k = Math.floor(i / wide);
          return hs[k]! + ((hs[k + 1] ?? 0) - hs[k]!) * ((i % wide) / wide);
        });
        const reach = Math.min(surface.length - 1, length);
        expect(deepestUnder(surface, length).depthMm).toBeCloseTo(tried(surface, reach), 9);
      },
    ),
    { numRuns: 400 },
  );
});
