import type { Blade } from '../coat';
import { strongestContrast } from '../light';
import { simulate, type SectionCoat } from './simulate';
import { areaUnder, bareSurface, HALF, type BareJoint } from './surface';

/**
 * The section model written a second time, as plainly as it can be: the chord over every pair of points instead of
 * a hull, sums instead of typed loops. Slow, and independent of the one that plans.
 */
function plainly(bare: BareJoint, coats: readonly SectionCoat[]) {
  const xs = Array.from({ length: 2 * HALF + 1 }, (_, i) => i - HALF);
  const cosine = (x: number) =>
    Math.abs(x) < bare.humpSpanMm ? (bare.humpMm * (1 + Math.cos((Math.PI * x) / bare.humpSpanMm))) / 2 : 0;
  const edge = (x: number) => {
    const width = bare.edge === 'recessed' ? 150 : bare.taperWidthMm;
    const cut = bare.edge === 'butt' || (bare.edge === 'mixed' && x >= 0) || Math.abs(x) >= width;
    return cut ? 0 : -bare.taperDepthMm * (1 - Math.abs(x) / width);
  };
  let f = xs.map((x) => edge(x) + cosine(x) + (x > 0 ? bare.lippageMm : 0));
  const litres: number[] = [];
  for (const coat of coats) {
    const tape = xs.map((x) => (coat.bed && Math.abs(x) <= coat.bed.tapeWidthMm / 2 ? coat.bed.tapeMm : 0));
    let wet = f.map((y, i) => {
      if (!coat.bed) return y;
      const { bedMm, rampMm, tapeWidthMm } = coat.bed;
      const beyond = Math.abs(xs[i]!) - tapeWidthMm / 2;
      const bed = beyond <= 0 ? bedMm : beyond < rampMm ? bedMm * (1 - beyond / rampMm) : 0;
      return y + bed + tape[i]!;
    });
    for (const { offsetMm, widthMm, camberMm } of coat.pulls) {
      const under = xs.flatMap((x, i) => (Math.abs(x - offsetMm) <= widthMm / 2 ? [i] : []));
      // The blade lies on the line over the highest points: step from each to the one it sees least steeply down to.
      const touch = [under[0]!];
      while (touch.at(-1)! < under.at(-1)!) {
        const a = touch.at(-1)!;
        let best = a + 1;
        for (let b = a + 1; b <= under.at(-1)!; b++)
          if ((wet[b]! - wet[a]!) / (b - a) >= (wet[best]! - wet[a]!) / (best - a)) best = b;
        touch.push(best);
      }
      const left = wet.slice();
      touch.slice(1).forEach((b, k) => {
        const a = touch[k]!;
        for (let i = a; i <= b; i++) {
          const u = (xs[i]! - offsetMm) / (widthMm / 2);
          const chord = wet[a]! + ((wet[b]! - wet[a]!) * (i - a)) / (b - a);
          left[i] = Math.max(wet[i]!, left[i]!, chord + camberMm * Math.max(0, 1 - u * u));
        }
      });
      wet = left;
    }
    const mud = wet.map((y, i) => y - f[i]! - tape[i]!);
    litres.push(mud.reduce((a, b) => a + b, 0) / 1000);
    f = f.map((y, i) => y + tape[i]! + mud[i]! * (1 - coat.shrink));
  }
  return { litres, surface: Float64Array.from(f) };
}

const b = (offsetMm: number, widthMm: number, camberMm: number): Blade => ({ offsetMm, widthMm, camberMm });
const bed = { bedMm: 0.6, rampMm: 50, tapeWidthMm: 52, tapeMm: 0.23 };
const joint = (over: Partial<BareJoint>): BareJoint => ({
  edge: 'butt',
  taperDepthMm: 1.6,
  taperWidthMm: 60,
  humpMm: 0,
  humpSpanMm: 400,
  lippageMm: 0,
  ...over,
});
const lanes = (mm: number, camber: number) => [b(-mm / 2, mm, camber), b(mm / 2, mm, camber)];

/** Two compounds: what beds and fills shrinks more than what finishes. */
const coats = (fill: Blade[], finish: Blade[], cover: Blade[] = []): SectionCoat[] => [
  { bed, pulls: cover, shrink: 0.18 },
  { pulls: fill, shrink: 0.15 },
  { pulls: finish, shrink: 0.12 },
];

describe('the same joints computed a second way agree to one per cent', () => {
  it.each<[string, BareJoint, SectionCoat[]]>([
    ['a flat by knives', joint({ edge: 'taper' }), coats([b(0, 200, 0.4)], [b(0, 300, 0.3)])],
    [
      'a flat, tape covered at once',
      joint({ edge: 'taper' }),
      coats([b(0, 200, 0.4)], [b(0, 300, 0.3)], [b(0, 150, 0.2)]),
    ],
    ['a flat by straight blades', joint({ edge: 'taper' }), coats([b(0, 250, 0)], [b(0, 350, 0)])],
    ['a mixed joint', joint({ edge: 'mixed' }), coats([b(0, 250, 0.4)], [b(0, 350, 0.3)])],
    [
      'a mixed joint with a step',
      joint({ edge: 'mixed', lippageMm: 0.8 }),
      coats([b(0, 250, 0.4)], [b(0, 350, 0.3)]),
    ],
    ['a recessed butt', joint({ edge: 'recessed' }), coats([b(0, 300, 0.3)], lanes(200, 0.3))],
    ['a deep recess', joint({ edge: 'recessed', taperDepthMm: 3 }), coats([b(0, 355, 0.5)], lanes(250, 0.3))],
    ['a butt', joint({}), coats(lanes(200, 0.4), [...lanes(300, 0.3), b(0, 300, 0.1)])],
    ['a butt, hump 2 mm', joint({ humpMm: 2 }), coats(lanes(250, 0.4), [...lanes(600, 0.3), b(0, 300, 0.1)])],
    ['a butt, narrow hump', joint({ humpMm: 1.5, humpSpanMm: 150 }), coats(lanes(200, 0.4), lanes(400, 0.3))],
    ['a butt in a belly', joint({ humpMm: -3 }), coats(lanes(250, 0.4), lanes(500, 0.2))],
    [
      'a butt with a step',
      joint({ lippageMm: 1.5 }),
      coats(lanes(200, 0.4), [...lanes(400, 0.3), b(0, 300, 0.1)]),
    ],
    ['a butt, hump and step', joint({ humpMm: 1, lippageMm: -0.7 }), coats(lanes(250, 0.3), lanes(450, 0.2))],
    [
      'a finish off to one side',
      joint({ humpMm: 0.5 }),
      coats([b(60, 250, 0.5)], [b(-80, 400, 0.4), b(120, 355, 0.2)]),
    ],
    [
      'four lanes of a narrow knife',
      joint({ humpMm: 1 }),
      coats(lanes(150, 0.2), [b(-225, 150, 0.2), b(-75, 150, 0.2), b(75, 150, 0.2), b(225, 150, 0.2)]),
    ],
  ])('%s', (_, bare, laid) => {
    const second = plainly(bare, laid);
    const first = simulate(bare, laid);
    first.forEach((r, i) => expect(r.wetLPerM).toBeCloseTo(second.litres[i]!, 3));
    const last = first.at(-1)!.surface;
    const crown = Math.max(...second.surface);
    expect(Math.abs(Math.max(...last) / crown - 1)).toBeLessThan(0.01);
    const contrast = strongestContrast(second.surface, 5);
    expect(Math.abs(strongestContrast(last, 5) / contrast - 1)).toBeLessThan(0.01);
    expect(areaUnder(last) - areaUnder(second.surface)).toBeCloseTo(0, 1);
  });
});

it('mirrors: a joint and its pulls turned over leave the surface turned over', () => {
  const turned = (pulls: readonly Blade[]) => pulls.map((p) => ({ ...p, offsetMm: -p.offsetMm }));
  const laid = coats([b(60, 250, 0.5)], [b(-80, 400, 0.4), b(120, 355, 0.2)]);
  const back = laid.map((coat) => ({ ...coat, pulls: turned(coat.pulls) }));
  const [one, other] = [simulate(joint({ humpMm: 1 }), laid), simulate(joint({ humpMm: 1 }), back)];
  const [x, y] = [one.at(-1)!.surface, Float64Array.from(other.at(-1)!.surface).reverse()];
  x.forEach((height, i) => expect(Math.abs(height - y[i]!)).toBeLessThan(1e-9));
});

it('more hump never shows less, and leaves a crown at least as high', () => {
  const laid = coats(lanes(200, 0.4), [...lanes(300, 0.3), b(0, 300, 0.1)]);
  const reads = [0, 0.5, 1, 2, 3, 5].map((humpMm) => {
    const { surface } = simulate(joint({ humpMm }), laid).at(-1)!;
    return { contrast: strongestContrast(surface, 5), crown: Math.max(...surface) };
  });
  reads.slice(1).forEach((r, i) => {
    expect(r.contrast).toBeGreaterThanOrEqual(reads[i]!.contrast - 1e-9);
    expect(r.crown).toBeGreaterThanOrEqual(reads[i]!.crown);
  });
});

it('the wet surface stands above the hardened one by what shrank', () => {
  const laid = coats(lanes(200, 0.4), lanes(300, 0.3));
  let before = bareSurface(joint({}));
  for (const [i, r] of simulate(joint({}), laid).entries()) {
    const shrunk = areaUnder(r.wet) - areaUnder(r.surface);
    expect(shrunk).toBeCloseTo(r.wetLPerM * 1000 * laid[i]!.shrink, 6);
    expect(r.wet.every((y, k) => y >= before[k]! - 1e-9)).toBe(true);
    before = r.surface;
  }
});
