/** A place on a picture or a face. */
type Place = readonly [number, number];

/** Maps places of one plane to another as a camera sees it: a matrix, row by row. */
export type Homography = readonly [
  a: number,
  b: number,
  c: number,
  d: number,
  e: number,
  f: number,
  g: number,
  h: number,
  i: number,
];

/** Four places in their order about. */
export type Four = readonly [Place, Place, Place, Place];

/**
 * How a camera maps four places to four others. A flat wall that is photographed from aside is no rectangle any more;
 * four places that are known on both are enough to know every other.
 * @returns nothing where three of them lie on a line, or nearly so
 */
export function homographyOf(from: Four, to: Four): Homography | undefined {
  const [there, back] = [ofSquare(to), ofSquare(from)];
  const undone = back && inverse(back);
  return there && undone && times(there, undone);
}

/** How the unit square, from its origin about, is mapped to four places: P. Heckbert's closed form. */
function ofSquare([[x0, y0], [x1, y1], [x2, y2], [x3, y3]]: Four): Homography | undefined {
  const [dx1, dx2, dx3] = [x1 - x2, x3 - x2, x0 - x1 + x2 - x3];
  const [dy1, dy2, dy3] = [y1 - y2, y3 - y2, y0 - y1 + y2 - y3];
  const det = dx1 * dy2 - dx2 * dy1;
  const size = Math.hypot(dx1, dy1) * Math.hypot(dx2, dy2);
  if (!(Math.abs(det) > LEAST_SINE * size)) return undefined;
  const g = (dx3 * dy2 - dx2 * dy3) / det;
  const h = (dx1 * dy3 - dx3 * dy1) / det;
  return [x1 - x0 + g * x1, x3 - x0 + h * x3, x0, y1 - y0 + g * y1, y3 - y0 + h * y3, y0, g, h, 1];
}

/** Corners flatter than this are on a line. */
const LEAST_SINE = 1e-6;

/** The matrix that undoes another, but for a factor, which changes no place. */
function inverse([a, b, c, d, e, f, g, h, i]: Homography): Homography | undefined {
  const made: Homography = [
    e * i - f * h,
    c * h - b * i,
    b * f - c * e,
    f * g - d * i,
    a * i - c * g,
    c * d - a * f,
    d * h - e * g,
    b * g - a * h,
    a * e - b * d,
  ];
  const det = a * made[0] + b * made[3] + c * made[6];
  return Number.isFinite(det) && det !== 0 ? made : undefined;
}

const times = (
  [a, b, c, d, e, f, g, h, i]: Homography,
  [p, q, r, s, t, u, v, w, x]: Homography,
): Homography => [
  a * p + b * s + c * v,
  a * q + b * t + c * w,
  a * r + b * u + c * x,
  d * p + e * s + f * v,
  d * q + e * t + f * w,
  d * r + e * u + f * x,
  g * p + h * s + i * v,
  g * q + h * t + i * w,
  g * r + h * u + i * x,
];

/** Where a place comes to lie. */
export function mapped([a, b, c, d, e, f, g, h, i]: Homography, [x, y]: Place): [number, number] {
  const w = g * x + h * y + i;
  return [(a * x + b * y + c) / w, (d * x + e * y + f) / w];
}

/**
 * Whether four corners, in the order low left, low right, high right, high left as they lie in a picture whose y runs
 * down, can be those of a wall: a quadrangle that bulges nowhere inward and is not seen from behind.
 */
export function isFaceSeen(corners: Four): boolean {
  return corners.every((at, i) => {
    const next = corners[(i + 1) % 4] as Place;
    const after = corners[(i + 2) % 4] as Place;
    return (next[0] - at[0]) * (after[1] - next[1]) - (next[1] - at[1]) * (after[0] - next[0]) < -1e-6;
  });
}

/** A picture, four bytes a pixel, the top row first. */
export interface Pixels {
  width: number;
  height: number;
  data: Uint8ClampedArray;
}

/**
 * A picture of a wall seen straight on.
 * @param corners of the wall in the picture, as shares of its width and its height from its top left
 * @param size of the picture that is made, px
 */
export function rectified(
  picture: Pixels,
  [low, right, high, left]: Four,
  { width, height }: { width: number; height: number },
): Pixels | undefined {
  const inPixels = ([x, y]: Place): Place => [x * picture.width, y * picture.height];
  const h = homographyOf(
    [
      [0, height],
      [width, height],
      [width, 0],
      [0, 0],
    ],
    [inPixels(low), inPixels(right), inPixels(high), inPixels(left)],
  );
  if (!h) return undefined;
  const data = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [u, v] = mapped(h, [x + 0.5, y + 0.5]);
      blend(picture, u - 0.5, v - 0.5, data, 4 * (y * width + x));
    }
  return { width, height, data };
}

/** The colour between four pixels; nothing outside the picture. */
function blend(
  { width, height, data }: Pixels,
  u: number,
  v: number,
  out: Uint8ClampedArray,
  at: number,
): void {
  if (!(u >= -0.5 && v >= -0.5 && u <= width - 0.5 && v <= height - 0.5)) return;
  const x0 = Math.min(width - 1, Math.max(0, Math.floor(u)));
  const y0 = Math.min(height - 1, Math.max(0, Math.floor(v)));
  const x1 = Math.min(width - 1, x0 + 1);
  const y1 = Math.min(height - 1, y0 + 1);
  const fx = Math.min(1, Math.max(0, u - x0));
  const fy = Math.min(1, Math.max(0, v - y0));
  for (let k = 0; k < 4; k++) {
    const of = (x: number, y: number): number => data[4 * (y * width + x) + k] as number;
    const top = of(x0, y0) * (1 - fx) + of(x1, y0) * fx;
    const low = of(x0, y1) * (1 - fx) + of(x1, y1) * fx;
    out[at + k] = top * (1 - fy) + low * fy;
  }
}
