import * as fc from 'fast-check';
import { TYPICAL } from '../book';
import { rowCells, type Blade } from '../coat';
import { suppliedWith } from '../compound';
import { needsOf } from '../finish';
import { strongestContrast } from '../light';
import { sectionInput } from '../takeoff';
import { jobOf, plainRoom } from '../testing/samples';
import { layersWithin, simulate, type SectionCoat } from './simulate';
import { areaUnder, bareSurface, middleOf, surfaceAt, type BareJoint } from './surface';

const SHRINK = 0.18;
const bed = { bedMm: 0.6, rampMm: 50, tapeWidthMm: 52, tapeMm: 0.23 };
const b = (offsetMm: number, widthMm: number, camberMm = 0): Blade => ({ offsetMm, widthMm, camberMm });
const joint = (over: Partial<BareJoint> = {}): BareJoint => ({
  edge: 'butt',
  taperDepthMm: 1.6,
  taperWidthMm: 60,
  humpMm: 0,
  humpSpanMm: 400,
  lippageMm: 0,
  ...over,
});
const coat = (pulls: Blade[], over: Partial<SectionCoat> = {}): SectionCoat => ({
  pulls,
  shrink: SHRINK,
  ...over,
});
const mL = (bare: BareJoint, ...coats: SectionCoat[]) =>
  simulate(bare, coats).map((r) => Math.round(r.wetLPerM * 1e5) / 100);

describe('kinds of joint, on paper', () => {
  it('a notched butt takes its groove more: ½ · 80 · 1 mm² under a bridging blade', () => {
    const plain = mL(joint(), coat([b(0, 300)]))[0] as number;
    const notched = mL(joint({ notchMm: 1, notchWidthMm: 40 }), coat([b(0, 300)]))[0] as number;
    expect(notched - plain).toBeCloseTo(40, 1);
  });

  it('a bead takes the wedge from its nose to the edge of the band: ½ · 1.6 · 125 mm² a face', () => {
    const square = joint({ edge: 'bead', noseMm: 1.6, noseHalfMm: 1.5 });
    // Less the strip of the nose itself, 1.5 mm of 1.6 a face.
    expect(mL(square, coat([b(-62.5, 125), b(62.5, 125)]))[0]).toBeCloseTo(2 * (100 - 1.2), -0.5);
    const round = joint({ edge: 'bead', noseMm: 2.24, noseHalfMm: 15 });
    const one = simulate(round, [coat([b(76, 125)])])[0];
    expect((one?.wetLPerM ?? 0) * 1000).toBeCloseTo((2.24 * 123) / 2, -0.5);
    expect(surfaceAt(one?.surface ?? new Float64Array(1), -60)).toBe(0);
  });

  it('a head takes what its dimple holds, and shows less with each coat', () => {
    const head = joint({ edge: 'head', dimpleMm: 1, dimpleRadiusMm: 12 });
    // A cosine bowl 24 wide and 1 deep is 12 mm² across its middle.
    const coats = [coat([b(0, 75)]), coat([b(0, 100)]), coat([b(0, 125)])];
    expect(mL(head, ...coats)[0]).toBeCloseTo(12, 0);
    const seen = simulate(head, coats).map((r) => strongestContrast(r.surface, 5));
    expect(seen[1]).toBeLessThan(seen[0] as number);
    expect(seen[2]).toBeLessThan(seen[1] as number);
  });

  it('a box rides on its runners: over a hump it leaves less than a blade that bridges from the crest', () => {
    const hump = joint({ humpMm: 2 });
    const boxed = simulate(hump, [coat([{ ...b(0, 300, 0.5), boxed: true }])])[0];
    const bladed = simulate(hump, [coat([b(0, 300, 0.5)])])[0];
    expect(boxed?.wetLPerM).toBeLessThan(bladed?.wetLPerM ?? 0);
    const flat = [{ ...b(0, 300, 0.5), boxed: true }, b(0, 300, 0.5)].map((p) => mL(joint(), coat([p]))[0]);
    expect(flat[0]).toBe(flat[1]);
  });

  it('a float over a step of 4 mm: a ramp half its band long', () => {
    const step = joint({ lippageMm: 4 });
    // ½ · 4 · 994 mm² less nothing: the blade rides 6 mm over the edge of the higher board.
    const [r] = simulate(step, [coat([b(-494, 1000), b(506, 1000)], { shrink: 0 })]);
    expect((r?.wetLPerM ?? 0) * 1000).toBeCloseTo((4 * 995) / 2, -1.5);
    expect(strongestContrast(r?.surface as Float64Array, 5)).toBeCloseTo(4 / 995 / Math.tan(Math.PI / 36), 2);
  });

  it('a hump wider than the usual section is cut across whole', () => {
    const wide = joint({ humpMm: 3, humpSpanMm: 2000 });
    const [r] = simulate(wide, [coat([b(0, 300)])]);
    expect(middleOf(r?.surface as Float64Array)).toBeGreaterThanOrEqual(2000);
    expect(areaUnder(bareSurface(wide, 2050))).toBeCloseTo(3 * 2000, 0);
  });
});

describe('layers', () => {
  const belly = joint({ humpMm: -6 });
  const float = coat([b(0, 1200)]);

  it('keep each under what the class takes, with as few of them as do', () => {
    const layers = layersWithin(belly, [float], 0, 2.5);
    const thick = (n: number) => simulate(belly, [{ ...float, layers: n }])[0]?.layerMm ?? 0;
    expect(thick(layers)).toBeLessThanOrEqual(2.5);
    expect(thick(layers - 1)).toBeGreaterThan(2.5);
  });

  it('take more mud than one that shrinks and leaves a hollow, and conserve it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 6 }),
        fc.double({ min: -8, max: 3, noNaN: true }),
        (n, humpMm) => {
          const bare = joint({ humpMm });
          const one = simulate(bare, [float])[0];
          const many = simulate(bare, [{ ...float, layers: n }])[0];
          const solid = areaUnder(many?.surface as Float64Array) - areaUnder(bareSurface(bare));
          expect(solid / 1000).toBeCloseTo(many?.dryLPerM ?? 0, 6);
          return (many?.wetLPerM ?? 0) >= (one?.wetLPerM ?? 0) - 1e-9;
        },
      ),
      { numRuns: 20 },
    );
  });
});

describe('a finer grid', () => {
  it('comes to the same within two per cent, 1 mm against a quarter', () => {
    const kinds = [
      joint({ edge: 'taper' }),
      joint(),
      joint({ humpMm: 1.5 }),
      joint({ edge: 'recessed' }),
      joint({ edge: 'mixed' }),
      joint({ notchMm: 1, notchWidthMm: 40 }),
    ];
    for (const bare of kinds) {
      const coats = [
        coat([], { bed }),
        coat([b(-125, 250, 0.4), b(125, 250, 0.4)]),
        coat([b(-200, 400, 0.3), b(200, 400, 0.3), b(0, 300, 0.1)]),
      ];
      const [coarse, fine] = [1, 0.25].map((step) => {
        const results = simulate(bare, coats, step);
        const last = results[2]?.surface as Float64Array;
        return { wet: results.map((r) => r.wetLPerM), seen: strongestContrast(last, 5, step) };
      });
      coarse?.wet.forEach((litres, i) =>
        expect(Math.abs(litres / (fine?.wet[i] as number) - 1)).toBeLessThan(0.02),
      );
      expect(Math.abs((coarse?.seen ?? 0) / (fine?.seen ?? 1) - 1)).toBeLessThan(0.02);
    }
  });
});

describe('cells as they are laid', () => {
  const job = jobOf([plainRoom()]);
  const book = suppliedWith(TYPICAL, undefined);
  const board = { needs: needsOf({ scale: 'level', grade: 4 }), way: job.way, book };
  const of = (kind: 'inside-angle' | 'outside-corner' | 'butt', lippageMm = 0) => ({
    kind,
    humpMm: 0,
    spanMm: 400,
    lippageMm,
  });

  it('an angle: 45 mL of bed, then one face a coat, near the 25 mL a metre it is reckoned at', () => {
    const { bare, coats } = sectionInput(of('inside-angle'), rowCells('angles', board), job.way, book);
    const results = simulate(bare, coats);
    expect((results[0]?.wetLPerM ?? 0) * 1000).toBeCloseTo(45.6, 0);
    expect(coats.slice(1).map((c) => c.pulls.map((p) => Math.sign(p.offsetMm)))).toEqual([[-1], [1]]);
    const faces = results.slice(1).map((r) => r.wetLPerM * 1000);
    expect(faces.reduce((sum, mL) => sum + mL, 0) / faces.length).toBeCloseTo(25, 0);
  });

  it('a corner: two faces of a nose, one of an L-trim', () => {
    const cells = rowCells('corners', board);
    const faces = (bead: 'nail-on' | 'l-trim') =>
      sectionInput(of('outside-corner'), cells, job.way, book, { bead }).coats[0]?.pulls.length;
    expect([faces('nail-on'), faces('l-trim')]).toEqual([2, 1]);
  });

  it('a step is ridden from the higher board: the low side is ramped as wide as the blade', () => {
    const cells = rowCells('butts', board);
    const shows = (stepMm: number, laidFor = stepMm) => {
      const { bare } = sectionInput(of('butt', stepMm), cells, job.way, book);
      const { coats } = sectionInput(of('butt', laidFor), cells, job.way, book);
      return strongestContrast(simulate(bare, coats).at(-1)?.surface as Float64Array, 5);
    };
    expect(shows(1.5)).toBeCloseTo(shows(-1.5), 2);
    expect(shows(1.5)).toBeLessThan(shows(1.5, 0));
  });
});
