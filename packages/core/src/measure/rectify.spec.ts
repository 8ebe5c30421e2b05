import * as fc from 'fast-check';
import { homographyOf, isFaceSeen, mapped, rectified, type Four, type Pixels } from './rectify';

/** A wall of 5 × 2.4 m as a camera sees it from aside, px of a picture of 1600 × 1200. */
const SEEN: Four = [
  [180, 1010],
  [1480, 860],
  [1420, 260],
  [240, 90],
];
const WALL: Four = [
  [0, 0],
  [5000, 0],
  [5000, 2400],
  [0, 2400],
];

const quads: fc.Arbitrary<Four> = fc
  .array(fc.tuple(fc.integer({ min: -180, max: 180 }), fc.integer({ min: -140, max: 140 })), {
    minLength: 4,
    maxLength: 4,
  })
  .map((by) => SEEN.map(([x, y], i) => [x + by[i]![0], y + by[i]![1]]) as unknown as Four);

describe('a wall in a photo', () => {
  it('every corner is where it is', () => {
    fc.assert(
      fc.property(quads, (seen) => {
        const h = homographyOf(WALL, seen)!;
        WALL.forEach((at, i) => {
          const [x, y] = mapped(h, at);
          expect(Math.hypot(x - seen[i]![0], y - seen[i]![1])).toBeLessThan(1e-6);
        });
      }),
    );
  });

  it('pins go to the photo and back within 2 mm on a wall of 5 m, though the photo is counted in whole px', () => {
    const place = fc.tuple(
      fc.double({ min: 0, max: 5000, noNaN: true }),
      fc.double({ min: 0, max: 2400, noNaN: true }),
    );
    fc.assert(
      fc.property(quads, place, (seen, at) => {
        const there = homographyOf(WALL, seen)!;
        const back = homographyOf(seen, WALL)!;
        const [x, y] = mapped(there, at);
        // Kept as a share of the picture, to five digits.
        const kept = [Math.round((x / 1600) * 1e5) / 1e5, Math.round((y / 1200) * 1e5) / 1e5] as const;
        const [u, v] = mapped(back, [kept[0] * 1600, kept[1] * 1200]);
        expect(Math.hypot(u - at[0], v - at[1])).toBeLessThan(2);
      }),
    );
  });

  it('a straight line stays straight', () => {
    const h = homographyOf(WALL, SEEN)!;
    const [a, b, c] = [0, 0.37, 1].map((t) => mapped(h, [5000 * t, 300 + 1700 * t])) as [
      [number, number],
      [number, number],
      [number, number],
    ];
    const off = (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
    expect(Math.abs(off) / Math.hypot(c[0] - a[0], c[1] - a[1])).toBeLessThan(1e-6);
  });

  it('knows four corners of a wall from four that are not', () => {
    expect(isFaceSeen(SEEN)).toBe(true);
    // From behind, on a line, crossed, bulging inward.
    expect(isFaceSeen([...SEEN].reverse() as unknown as Four)).toBe(false);
    expect(
      isFaceSeen([
        [0, 0],
        [1, 0],
        [2, 0],
        [3, 0],
      ]),
    ).toBe(false);
    expect(isFaceSeen([SEEN[0], SEEN[2], SEEN[1], SEEN[3]])).toBe(false);
    expect(isFaceSeen([SEEN[0], SEEN[1], [500, 700], SEEN[3]])).toBe(false);
    expect(
      homographyOf(WALL, [
        [0, 0],
        [1, 0],
        [2, 0],
        [3, 0],
      ]),
    ).toBeUndefined();
  });

  it('turns a picture straight: marks drawn on the seen wall come to lie where they are on the wall, to a pixel', () => {
    const [width, height] = [640, 480];
    const seen = SEEN.map(([x, y]) => [0.4 * x, 0.4 * y]) as unknown as Four;
    const picture: Pixels = { width, height, data: new Uint8ClampedArray(4 * width * height).fill(255) };
    const marks: [number, number][] = [
      [250, 300],
      [2500, 1200],
      [4700, 2100],
      [4300, 250],
      [600, 2000],
    ];
    const back = homographyOf(seen, WALL)!;
    // Every pixel that shows a place within 60 mm of a mark is dark.
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        const at = mapped(back, [x + 0.5, y + 0.5]);
        if (marks.some(([u, v]) => Math.hypot(at[0] - u, at[1] - v) < 60))
          picture.data.fill(0, 4 * (y * width + x), 4 * (y * width + x) + 3);
      }
    const shares = seen.map(([x, y]) => [x / width, y / height]) as unknown as Four;
    const size = { width: 500, height: 240 };
    const straight = rectified(picture, shares, size)!;
    for (const [u, v] of marks) {
      let [sx, sy, n] = [0, 0, 0];
      const [cx, cy] = [(u / 5000) * size.width, (1 - v / 2400) * size.height];
      for (let y = Math.floor(cy) - 20; y <= cy + 20; y++)
        for (let x = Math.floor(cx) - 20; x <= cx + 20; x++) {
          const dark = 255 - (straight.data[4 * (y * size.width + x)] ?? 255);
          sx += dark * (x + 0.5);
          sy += dark * (y + 0.5);
          n += dark;
        }
      expect(n).toBeGreaterThan(0);
      expect(Math.hypot(sx / n - cx, sy / n - cy)).toBeLessThan(1);
    }
  });

  it('leaves clear what the photo does not reach', () => {
    const picture: Pixels = { width: 10, height: 10, data: new Uint8ClampedArray(400).fill(200) };
    const made = rectified(
      picture,
      [
        [-1, 2],
        [1, 2],
        [1, 0],
        [-1, 0],
      ],
      { width: 8, height: 8 },
    )!;
    expect([...made.data.slice(0, 4)]).toEqual([0, 0, 0, 0]);
    expect(made.data[4 * (2 * 8 + 7)]).toBe(200);
    expect(
      rectified(
        picture,
        [
          [0, 0],
          [1, 0],
          [2, 0],
          [3, 0],
        ],
        { width: 8, height: 8 },
      ),
    ).toBeUndefined();
  });
});
