import * as fc from 'fast-check';
import { bookWith, TYPICAL } from '../book';
import { trials } from '../testing/trials';
import { contrastAcross, flashLeft, flashOf, showsAbove, staysUnder, strongestContrast } from '.';

const HALF = 400;
/** A section 800 mm across, one sample a millimetre. */
const section = (heightMm: (x: number) => number): Float64Array =>
  Float64Array.from({ length: 2 * HALF + 1 }, (_, i) => heightMm(i - HALF));
const tan = (deg: number) => Math.tan((deg * Math.PI) / 180);

/** Ridges, steps and waves as they come. */
const anySection = fc
  .array(
    fc.record({
      at: fc.integer({ min: -250, max: 250 }),
      width: fc.integer({ min: 4, max: 120 }),
      high: fc.double({ min: -2, max: 2, noNaN: true }),
    }),
    { maxLength: 4 },
  )
  .map((bumps) =>
    section((x) =>
      bumps.reduce((sum, { at, width, high }) => sum + high * Math.exp(-(((x - at) / width) ** 2)), 0),
    ),
  );
const anyAngle = fc.double({ min: 2, max: 60, noNaN: true });

describe('brightness across a section', () => {
  it('of a long even slope is its slope by the tangent of the light, a little less for its own lean', () => {
    // A millimetre in 200 at 5°: 0.005 / tan 5° = 5.7 %.
    const seen = contrastAcross(
      section((x) => x / 200),
      5,
    );
    expect(seen[HALF]).toBeCloseTo(0.005 / tan(5), 4);
    expect(seen[HALF]!).toBeLessThan(0.005 / tan(5));
    expect(
      contrastAcross(
        section((x) => -x / 200),
        5,
      )[HALF],
    ).toBeCloseTo(-0.005 / tan(5), 4);
  });

  it('halves where the light comes from twice as high, and is next to none from straight before it', () => {
    const slope = section((x) => x / 400);
    const at = (deg: number) => contrastAcross(slope, deg)[HALF]!;
    expect(at(5) / at(10)).toBeCloseTo(tan(10) / tan(5), 3);
    expect(Math.abs(at(90))).toBeLessThan(1e-5);
  });

  it('of a flat wall is nothing, wherever it stands', () => {
    expect(
      strongestContrast(
        section(() => 0),
        2,
      ),
    ).toBe(0);
    expect(
      strongestContrast(
        section(() => 3),
        2,
      ),
    ).toBe(0);
  });

  it('of a crest is bright to the light and dark behind it, as much one as the other', () => {
    const seen = contrastAcross(
      section((x) => 0.5 * Math.exp(-((x / 60) ** 2))),
      6,
    );
    const [brightest, darkest] = [Math.max(...seen), Math.min(...seen)];
    expect(brightest).toBeCloseTo(-darkest, 2);
    expect([...seen].indexOf(brightest)).toBeLessThan(HALF);
    expect([...seen].indexOf(darkest)).toBeGreaterThan(HALF);
  });

  it('blurs what is narrower than the eye tells apart', () => {
    const ridge = (width: number) =>
      section((x) => (Math.abs(x) < width ? 0.2 * (1 - Math.abs(x) / width) : 0));
    // The same slope twice, over 2 mm and over 60.
    const steep = (width: number) => strongestContrast(ridge(width), 8) / (0.2 / width / tan(8));
    expect(steep(2)).toBeLessThan(0.1);
    expect(steep(60)).toBeGreaterThan(0.9);
  });

  it('turns over with the section and mirrors with it', () => {
    fc.assert(
      fc.property(anySection, anyAngle, (surface, deg) => {
        const seen = contrastAcross(surface, deg);
        const mirrored = contrastAcross(Float64Array.from(surface).reverse(), -deg);
        for (let i = 0; i < seen.length; i += 37)
          expect(mirrored[seen.length - 1 - i]).toBeCloseTo(seen[i]!, 9);
      }),
      { numRuns: trials(20) },
    );
  });

  it('is the same from wider samples, as long as they are narrower than the eye', () => {
    const height = (x: number) => 0.6 * Math.exp(-((x / 80) ** 2));
    const fine = strongestContrast(section(height), 5);
    const wide = strongestContrast(
      Float64Array.from({ length: HALF + 1 }, (_, i) => height(2 * i - HALF)),
      5,
      2,
    );
    expect(wide / fine).toBeCloseTo(1, 2);
  });
});

it('stays under a limit if and only if its strongest contrast does', () => {
  const limit = fc.double({ min: 0.002, max: 0.5, noNaN: true });
  fc.assert(
    fc.property(anySection, anyAngle, limit, (surface, deg, most) => {
      expect(staysUnder(surface, deg, most)).toBe(strongestContrast(surface, deg) <= most);
    }),
    { numRuns: trials(60) },
  );
});

it('shows from less on the more the paint shines, as the book says', () => {
  const sheens = ['flat', 'eggshell', 'satin', 'semi-gloss', 'gloss'] as const;
  const shows = sheens.map((sheen) => showsAbove(sheen, TYPICAL));
  expect(shows).toEqual([...shows].sort((a, b) => b - a));
  const flashes = sheens.map((sheen) => flashOf(sheen, TYPICAL));
  expect(flashes).toEqual([...flashes].sort((a, b) => a - b));
  expect(showsAbove('satin', bookWith({ 'shows-satin': 0.07 }))).toBe(0.07);
});

it('flashes as much as primer leaves, and not over a skim or old paint', () => {
  const left = (
    skimmed: boolean,
    primer: Parameters<typeof flashLeft>[1],
    substrate: Parameters<typeof flashLeft>[2],
  ) => flashLeft(skimmed, primer, substrate, TYPICAL);
  expect(left(false, 'none', 'paper')).toBe(1);
  expect(left(false, 'primer', 'paper')).toBe(0.5);
  expect(left(false, 'high-build', 'paper')).toBe(0.1);
  expect(left(true, 'none', 'paper')).toBe(0);
  expect(left(false, 'none', 'painted')).toBe(0);
});
