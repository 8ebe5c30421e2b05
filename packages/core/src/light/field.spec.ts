import * as fc from 'fast-check';
import { HALF, type Surface } from '../section';
import {
  COVERS_MM,
  CROSSING,
  emptyField,
  layAlong,
  layRound,
  MUD_SHADES,
  reachOf,
  type Laid,
  type Profile,
} from './field';
import { leaningOf, paletteOf, seenOn, shade, TONES, type FaceLight } from './shade';

/** A mound so high and so wide to each side, rounded off. */
const mound = (high: number, wide: number): Surface =>
  Float64Array.from({ length: 2 * HALF + 1 }, (_, i) => {
    const x = Math.abs(i - HALF);
    return x < wide ? (high * (1 + Math.cos((Math.PI * x) / wide))) / 2 : 0;
  });
const flat: Surface = new Float64Array(2 * HALF + 1);
const profile = (high: number, wide: number): Profile => ({ surface: mound(high, wide), bare: flat });
const upright = (u: number, over: Partial<Laid> = {}): Laid => ({
  line: [u, 0, u, 1000],
  across: [1, 0],
  fadeMm: 0,
  feature: 1,
  ...over,
});
const level = (v: number, feature = 2): Laid => ({
  line: [0, v, 1000, v],
  across: [0, 1],
  fadeMm: 0,
  feature,
});
const field = (cellMm = 4) => emptyField([0, 0, 1000, 1000], cellMm);
const at = (f: ReturnType<typeof field>, u: number, v: number) =>
  f.heights[Math.floor(v / f.cellMm) * f.cols + Math.floor(u / f.cellMm)]!;

it('has square cells as asked, larger ones where there would be too many', () => {
  expect(emptyField([0, 0, 1000, 500], 4)).toMatchObject({ cols: 250, rows: 125, cellMm: 4 });
  const capped = emptyField([0, 0, 10000, 10000], 1, 10000);
  expect(capped.cols * capped.rows).toBeLessThanOrEqual(10000);
  expect(capped.cellMm).toBeCloseTo(100, 6);
});

it('reaches no farther than its shape', () => {
  expect(reachOf(profile(1, 150))).toBeGreaterThan(140);
  expect(reachOf(profile(1, 150))).toBeLessThan(152);
  expect(reachOf({ surface: flat, bare: flat })).toBe(0);
});

describe('a section laid along a line', () => {
  it('lies the same everywhere along it, and as high as it is', () => {
    const f = field(2);
    layAlong(f, profile(1, 200), upright(500));
    const middle = at(f, 500, 500);
    expect(middle).toBeCloseTo(1, 3);
    for (const v of [20, 300, 700, 980]) expect(at(f, 500, v)).toBeCloseTo(middle, 9);
    expect(at(f, 500, 500)).toBeGreaterThan(at(f, 580, 500));
    expect(at(f, 705, 500)).toBe(0);
  });

  it('is the same laid from either end, or mirrored with its side', () => {
    const [one, other] = [field(), field()];
    const skew = Float64Array.from(mound(1, 200), (y, i) => (i > HALF ? y / 2 : y));
    layAlong(one, { surface: skew, bare: flat }, upright(500));
    layAlong(other, { surface: skew, bare: flat }, upright(500, { line: [500, 1000, 500, 0] }));
    expect(other.heights).toEqual(one.heights);
    const mirrored = field();
    layAlong(
      mirrored,
      { surface: Float64Array.from(skew).reverse(), bare: flat },
      upright(500, { across: [-1, 0] }),
    );
    expect(one.heights.every((y, i) => Math.abs(y - mirrored.heights[i]!) < 1e-5)).toBe(true);
  });

  it('runs out beyond its ends without a step', () => {
    const f = field();
    layAlong(f, profile(1, 200), upright(500, { line: [500, 300, 500, 700], fadeMm: 150 }));
    const along = Array.from({ length: 240 }, (_, i) => at(f, 500, 20 + 4 * i));
    along.slice(1).forEach((y, i) => expect(Math.abs(y - along[i]!)).toBeLessThan(0.05));
    expect(at(f, 500, 100)).toBe(0);
  });

  it('covers paper with mud where it is thick enough', () => {
    const f = field();
    layAlong(f, profile(1, 200), upright(500));
    const ground = (u: number) => f.ground[125 * f.cols + Math.floor(u / 4)]!;
    expect(ground(500)).toBe(MUD_SHADES);
    expect(ground(100)).toBe(0);
    const thin = field();
    layAlong(thin, profile(COVERS_MM / 2, 200), upright(500));
    expect(thin.ground[125 * thin.cols + 125]).toBeCloseTo(MUD_SHADES / 2, -1);
  });
});

describe('where two cross', () => {
  it('is at least as high as the higher, at most a fifth more, whichever comes first', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        (a, b) => {
          const [one, other] = [field(8), field(8)];
          layAlong(one, profile(a, 200), upright(500));
          layAlong(one, profile(b, 200), level(500));
          layAlong(other, profile(b, 200), level(500));
          layAlong(other, profile(a, 200), upright(500));
          const high = Math.max(a, b);
          return (
            at(one, 500, 500) >= high * 0.995 &&
            at(one, 500, 500) <= high * 1.2 &&
            one.heights.every((y, i) => Math.abs(y - other.heights[i]!) < 1e-5)
          );
        },
      ),
      { numRuns: 20 },
    );
  });

  it('stands in a hollow without an edge: a band of mud through a belly', () => {
    const f = field();
    layAlong(f, profile(-2, 300), upright(500));
    layAlong(f, profile(1, 200), level(500));
    expect(at(f, 500, 500)).toBeCloseTo(-1, 1);
    for (let u = 240; u < 760; u += 4) {
      const step = Math.abs(at(f, u + 4, 500) - at(f, u, 500));
      expect(step).toBeLessThan(0.06);
    }
  });

  it('blames neither, and each where it lies alone', () => {
    const f = field();
    layAlong(f, profile(1, 200), upright(500));
    layAlong(f, profile(1, 200), level(500));
    const made = (u: number, v: number) => f.made[Math.floor(v / 4) * f.cols + Math.floor(u / 4)];
    expect([made(500, 500), made(500, 100), made(100, 500), made(100, 100)]).toEqual([CROSSING, 1, 2, 0]);
  });
});

it('a round spot is as high at the same distance all round', () => {
  const f = field(2);
  layRound(f, profile(-1, 100), [500, 500], 3);
  const heights = Array.from({ length: 24 }, (_, k) => {
    const turn = (k * Math.PI) / 12;
    return at(f, 500 + 50 * Math.cos(turn), 500 + 50 * Math.sin(turn));
  });
  for (const y of heights) expect(y).toBeCloseTo(-0.5, 1);
  expect(at(f, 620, 500)).toBe(0);
});

describe('light', () => {
  const roof = () => {
    const f = field();
    layAlong(f, profile(1, 250), upright(500));
    return leaningOf(f);
  };

  it('is the flat wall’s own colour where nothing leans, and in light from straight before it', () => {
    const { words } = paletteOf([100, 100, 100], [100, 100, 100]);
    expect(words[TONES / 2]! & 255).toBe(100);
    const leaning = roof();
    const out = new Uint32Array(leaning.cols * leaning.rows);
    shade(leaning, { u: 500, v: 500, offMm: 1e9 }, { words }, out);
    expect([...new Set(out)].map((word) => word & 255)).toEqual([100]);
  });

  it('doubles with the distance along the wall and halves with the distance off it', () => {
    const leaning = roof();
    const strongest = (light: FaceLight) => Math.abs(seenOn(leaning, light)[0]!.contrast);
    const far = { u: -100000, v: 500, offMm: 5000 };
    expect(strongest({ ...far, offMm: 10000 }) / strongest(far)).toBeCloseTo(0.5, 9);
    expect(strongest({ ...far, u: -200000 }) / strongest(far)).toBeCloseTo(2, 1);
  });

  it('does not show a joint that runs toward it', () => {
    const leaning = roof();
    const from = (light: FaceLight) => Math.abs(seenOn(leaning, light)[0]!.contrast);
    expect(from({ u: 500, v: -5000, offMm: 300 })).toBeLessThan(0.1 * from({ u: -5000, v: 500, offMm: 300 }));
  });

  it('leans alike along the wall and up it, and the other way round from the other end', () => {
    const [across, up] = [field(), field()];
    layAlong(across, profile(1, 250), upright(300));
    layAlong(up, profile(1, 250), level(300));
    const [a, b] = [leaningOf(across), leaningOf(up)];
    const n = a.cols;
    expect(Math.max(...a.du)).toBeGreaterThan(0.005);
    for (let r = 0; r < n; r += 7)
      for (let c = 0; c < n; c += 7) {
        expect(b.dv[c * n + r]).toBeCloseTo(a.du[r * n + c]!, 6);
        expect(b.du[c * n + r]).toBeCloseTo(a.dv[r * n + c]!, 6);
      }
    const back = field();
    layAlong(back, profile(1, 250), upright(700));
    const { du } = leaningOf(back);
    for (let c = 0; c < n; c++) expect(du[60 * n + n - 1 - c]).toBeCloseTo(-a.du[60 * n + c]!, 6);
  });

  it('leans by its slope where it is even, and less over a ridge the farther off one stands', () => {
    const ramp = field();
    for (let i = 0; i < ramp.heights.length; i++) ramp.heights[i] = (i % ramp.cols) * ramp.cellMm * 0.01;
    const { du, cols } = leaningOf(ramp);
    expect(du[100 * cols + 100]).toBeCloseTo(0.01, 5);
    const ridge = field();
    layAlong(ridge, profile(1, 12), upright(500));
    const steepest = (eyeMm: number) => Math.max(...leaningOf(ridge, eyeMm).du);
    expect(steepest(4000)).toBeLessThan(steepest(2000));
    expect(steepest(8000)).toBeLessThan(0.6 * steepest(4000));
  });

  it('tells where a feature shows most: on its slopes, not on its crest', () => {
    const [seen] = seenOn(roof(), { u: -3000, v: 500, offMm: 300 });
    expect(Math.abs(Math.abs(seen!.at[0] - 500) - 125)).toBeLessThan(30);
  });
});
