import * as fc from 'fast-check';
import { crownOf, deepestUnder, steepest, STRAIGHTEDGES } from './readings';
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
