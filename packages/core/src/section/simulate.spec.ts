import * as fc from 'fast-check';
import type { Blade } from '../coat';
import { strongestContrast } from '../light';
import { simulate, type SectionCoat } from './simulate';
import { areaUnder, bareSurface, HALF, type BareJoint } from './surface';

const SHRINK = 0.18;
const bed = { bedMm: 0.6, rampMm: 50, tapeWidthMm: 52, tapeMm: 0.23 };
const bare = (edge: BareJoint['edge'], humpMm = 0, lippageMm = 0): BareJoint => ({
  edge,
  taperDepthMm: 1.6,
  taperWidthMm: 60,
  humpMm,
  humpSpanMm: 400,
  lippageMm,
});
const b = (offsetMm: number, widthMm: number, camberMm: number): Blade => ({ offsetMm, widthMm, camberMm });
const coats = (...pulls: Blade[][]): SectionCoat[] => [
  { bed, pulls: [], shrink: SHRINK },
  ...pulls.map((p) => ({ pulls: p, shrink: SHRINK })),
];

describe('worked cases, to one per cent', () => {
  it.each<[string, BareJoint, Blade[], Blade[], number[], number, number]>([
    ['tapered', bare('taper'), [b(0, 250, 0.5)], [b(0, 300, 0.3)], [61.2, 146.1, 74.5], 0.73, 0.092],
    [
      'butt, flat framing',
      bare('butt'),
      [b(-125, 250, 0.4), b(125, 250, 0.4)],
      [b(-200, 400, 0.3), b(200, 400, 0.3), b(0, 300, 0.1)],
      [61.2, 270.2, 272.5],
      0.99,
      0.047,
    ],
    [
      'butt, hump 1 mm',
      bare('butt', 1),
      [b(-125, 250, 0.4), b(125, 250, 0.4)],
      [b(-300, 600, 0.3), b(300, 600, 0.3), b(0, 300, 0.1)],
      [61.2, 245.2, 745.8],
      1.95,
      0.047,
    ],
  ])('%s', (_, joint, fill, finish, volumes, crown, contrast) => {
    const results = simulate(joint, coats(fill, finish));
    results.forEach((r, i) =>
      expect(Math.abs((r.wetLPerM * 1000) / (volumes[i] as number) - 1)).toBeLessThan(0.01),
    );
    const last = results[2] as (typeof results)[number];
    // Crowns are given to a hundredth; half a digit more than one per cent.
    expect(Math.abs(last.crownMm - crown)).toBeLessThan(0.01 * crown + 0.005);
    expect(Math.abs(strongestContrast(last.surface, 5) / contrast - 1)).toBeLessThan(0.01);
  });
});

describe('one pull', () => {
  it('leaves the camber under a blade on a flat face: two thirds of c·B', () => {
    const [r] = simulate(bare('butt'), [{ pulls: [b(0, 300, 0.3)], shrink: 0 }]);
    expect(r?.wetLPerM).toBeCloseTo(((2 / 3) * 0.3 * 300) / 1000, 4);
  });

  it('leaves nothing on the crest of a hump that a straight blade is centred on', () => {
    const [r] = simulate(bare('butt', 2), [{ pulls: [b(0, 300, 0)], shrink: 0 }]);
    expect(r?.wetLPerM).toBeCloseTo(0, 6);
  });

  it('bridges a belly', () => {
    const [r] = simulate(bare('butt', -2), [{ pulls: [b(0, 1000, 0)], shrink: 0 }]);
    expect(r?.wetLPerM).toBeCloseTo((2 * 400) / 1000, 2);
  });

  it('fills a taper, one side of a mixed joint (48 mm² less the step at the middle), and a recess', () => {
    const volume = (edge: BareJoint['edge']) =>
      simulate(bare(edge), [{ pulls: [b(0, 600, 0)], shrink: 0 }])[0]?.wetLPerM ?? 0;
    expect(volume('taper') * 1000).toBeCloseTo(96, 0);
    expect(volume('mixed') * 1000).toBeCloseTo(47.2, 1);
    expect(volume('recessed') * 1000).toBeCloseTo(240, 0);
  });
});

describe('any joint', () => {
  const anyPull = fc.record({
    offsetMm: fc.integer({ min: -300, max: 300 }),
    widthMm: fc.integer({ min: 75, max: 600 }),
    camberMm: fc.double({ min: 0, max: 0.6, noNaN: true }),
  });
  const anyBare = fc.record({
    edge: fc.constantFrom('taper' as const, 'butt' as const, 'mixed' as const, 'recessed' as const),
    hump: fc.double({ min: -3, max: 3, noNaN: true }),
    lip: fc.double({ min: 0, max: 2, noNaN: true }),
  });
  const anyCoats = fc.array(fc.array(anyPull, { minLength: 1, maxLength: 3 }), {
    minLength: 1,
    maxLength: 3,
  });

  it('conserves mud: what was added, less what shrank, is there at the end', () => {
    fc.assert(
      fc.property(anyBare, anyCoats, ({ edge, hump, lip }, pulls) => {
        const joint = bare(edge, hump, lip);
        const results = simulate(joint, coats(...pulls));
        const last = results.at(-1) as (typeof results)[number];
        const solid = areaUnder(last.surface) - areaUnder(bareSurface(joint)) - bed.tapeMm * 53;
        expect(solid / 1000).toBeCloseTo(
          results.reduce((sum, r) => sum + r.dryLPerM, 0),
          6,
        );
        expect(results.every((r) => r.wetLPerM >= -1e-12)).toBe(true);
      }),
      { numRuns: 60 },
    );
  });

  it('is symmetric when the joint and the pulls are', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 75, max: 600 }),
        fc.double({ min: -2, max: 2, noNaN: true }),
        (width, hump) => {
          const last = simulate(bare('taper', hump), coats([b(0, width, 0.3)])).at(-1);
          for (let x = 1; x < HALF; x += 37) {
            expect(last?.surface[HALF + x]).toBeCloseTo(last?.surface[HALF - x] as number, 6);
          }
        },
      ),
      { numRuns: 40 },
    );
  });

  it('never shows more on a bare butt for a wider blade, and shows less as the light lifts', () => {
    const shown = (width: number, angle: number) =>
      strongestContrast(
        (
          simulate(bare('butt'), coats([b(-width / 2, width, 0), b(width / 2, width, 0)])).at(-1) as {
            surface: Float64Array;
          }
        ).surface,
        angle,
      );
    const widths = [150, 200, 300, 400, 600].map((w) => shown(w, 5));
    widths.slice(1).forEach((c, i) => expect(c).toBeLessThanOrEqual((widths[i] as number) + 1e-9));
    const angles = [3, 5, 10, 25, 60].map((a) => shown(300, a));
    angles.slice(1).forEach((c, i) => expect(c).toBeLessThan(angles[i] as number));
  });
});
