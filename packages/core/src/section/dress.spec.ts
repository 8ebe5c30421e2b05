import * as fc from 'fast-check';
import { TYPICAL } from '../book';
import { suppliedWith } from '../compound';
import { needsOf } from '../finish';
import { contrastAcross, strongestContrast } from '../light';
import { plan } from '../plan';
import { SectionMemo, widthReads, type HidingInput } from '../takeoff';
import { jobOf, plainRoom } from '../testing/samples';
import { sanded, scraped, USUAL_SANDING } from './dress';
import { areaUnder, HALF, type Surface } from './surface';

const flat = (): Surface => new Float64Array(2 * HALF + 1);
const hills: fc.Arbitrary<Surface> = fc
  .array(
    fc.record({ at: fc.integer({ min: 300, max: 1500 }), h: fc.double({ min: -2, max: 2, noNaN: true }) }),
    {
      minLength: 1,
      maxLength: 5,
    },
  )
  .map((list) =>
    Float64Array.from({ length: 2 * HALF + 1 }, (_, i) =>
      list.reduce((sum, { at, h }) => sum + h * Math.exp(-(((i - at) / 70) ** 2)), 0),
    ),
  );

describe('scraping', () => {
  it('cuts a ridge of three millimetres and leaves one of nine', () => {
    const surface = flat();
    for (let i = -1; i <= 1; i++) surface[HALF + i] = 1;
    for (let i = -4; i <= 4; i++) surface[HALF + 200 + i] = 1;
    const cut = scraped(surface);
    expect(Math.max(...cut.slice(HALF - 20, HALF + 20))).toBe(0);
    expect(cut[HALF + 200]).toBe(1);
  });

  it('never raises, and changes nothing the second time', () => {
    fc.assert(
      fc.property(hills, (surface) => {
        const once = scraped(surface);
        const twice = scraped(once);
        return once.every((y, i) => y <= surface[i]! + 1e-12 && Math.abs(twice[i]! - y) < 1e-12);
      }),
      { numRuns: 20 },
    );
  });
});

describe('sanding', () => {
  it('takes off its bite a pass at most, never goes below the mean, and says what came off', () => {
    fc.assert(
      fc.property(hills, fc.integer({ min: 1, max: 4 }), (surface, passes) => {
        const { surface: done, offMl } = sanded(surface, { ...USUAL_SANDING, passes });
        const bite = USUAL_SANDING.biteMm * passes + 1e-9;
        const lost = surface.reduce(
          (sum, y, i) => sum + (y - done[i]!) * (i % (2 * HALF) === 0 ? 0.5 : 1),
          0,
        );
        return (
          done.every((y, i) => y <= surface[i]! && surface[i]! - y <= bite) && Math.abs(lost - offMl) < 1e-6
        );
      }),
      { numRuns: 25 },
    );
  });

  it('leaves a plane alone, and a narrow mound a tenth of a millimetre lower after two passes', () => {
    expect(sanded(flat(), USUAL_SANDING).offMl).toBe(0);
    const mound = flat();
    for (let i = -30; i <= 30; i++) mound[HALF + i] = 0.5;
    const { surface, offMl } = sanded(mound, USUAL_SANDING);
    expect(surface[HALF]).toBeCloseTo(0.4, 9);
    // 61 samples of a millimetre, 0.1 mm each.
    expect(offMl).toBeCloseTo(6.1, 6);
  });

  it('conserves: what is left and what came off are what was there', () => {
    fc.assert(
      fc.property(hills, (surface) => {
        const { surface: done, offMl } = sanded(surface, USUAL_SANDING);
        return Math.abs(areaUnder(surface) - areaUnder(done) - offMl) < 1e-6;
      }),
      { numRuns: 20 },
    );
  });
});

describe('the wall over a joint', () => {
  it('is brighter where it leans to the light and darker where it leans away', () => {
    const slope = 0.002;
    const roof = Float64Array.from({ length: 2 * HALF + 1 }, (_, i) =>
      Math.max(0, 0.2 - slope * Math.abs(i - HALF)),
    );
    const seen = contrastAcross(roof, 5);
    // sin(5° + atan 0.002) / sin 5° − 1 = 0.0229.
    expect(seen[HALF - 50]).toBeCloseTo(0.0229, 3);
    expect(seen[HALF + 50]).toBeCloseTo(-0.0229, 3);
    expect(strongestContrast(roof, 5)).toBeCloseTo(Math.max(...seen.map(Math.abs)), 12);
  });

  it('shows less of any surface as the lamp moves off the wall', () => {
    fc.assert(
      fc.property(hills, fc.integer({ min: 2, max: 30 }), (surface, deg) => {
        return strongestContrast(surface, deg + 10) <= strongestContrast(surface, deg) + 1e-9;
      }),
      { numRuns: 30 },
    );
  });
});

describe('widths', () => {
  const job = jobOf([plainRoom()]);
  const room = plan(job).rooms[0]!;
  const row = room.areas[0]!.rows.find((r) => r.element === 'butts')!;
  const joint = room.joints.find((j) => j.id === row.joints[0])!;
  const book = suppliedWith(TYPICAL, undefined);
  const reads = (over: Partial<HidingInput & { grazingDeg: number }> = {}) =>
    widthReads(
      {
        joint,
        row,
        board: { needs: needsOf({ scale: 'level', grade: 4 }), way: job.way },
        own: {},
        grazingDeg: 5,
        limit: 0.1,
        way: job.way,
        skim: undefined,
        climate: job.climate,
        ...over,
      },
      book,
      new SectionMemo(),
    );

  it('begin where they reach past the fill, and take more mud the wider they are', () => {
    const all = reads();
    // The fill is 400 wide.
    expect(all[0]?.bandMm).toBe(500);
    // As planned at 600: what the order takes for a metre.
    const use = room.use.uses.filter((u) => u.row === row.id && u.coat !== 'prefill');
    const planned = use.reduce((sum, u) => sum + u.wetL, 0) / (use[0]!.amount / 1000);
    expect(all.find((w) => w.bandMm === 600)?.wetLPerM).toBeCloseTo(planned, 9);
  });

  it('hide less in flatter light and of a larger hump', () => {
    const worst = (over: Partial<HidingInput & { grazingDeg: number }>) =>
      Math.min(...reads(over).map((w) => w.contrast));
    expect(worst({ grazingDeg: 3 })).toBeGreaterThan(worst({ grazingDeg: 8 }));
    const humped = [0, 1, 2, 4].map((humpMm) => worst({ joint: { ...joint, humpMm } }));
    humped.slice(1).forEach((c, i) => expect(c).toBeGreaterThanOrEqual(humped[i]! - 1e-9));
  });

  it('say which hide it: those at or under the limit', () => {
    for (const { contrast, hides } of reads({ limit: 0.06 })) expect(hides).toBe(contrast <= 0.06);
  });
});
