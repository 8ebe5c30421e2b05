import type { FloorPlan, Point } from '../job';
import { say, type Message } from '../texts';

/** What is shot in a four-cornered room, in walking order. Diagonal 1 runs from the left end of wall 1. */
export const SHOTS = ['wall-1', 'wall-2', 'wall-3', 'wall-4', 'diagonal-1', 'diagonal-2', 'height'] as const;
export type Shot = (typeof SHOTS)[number];

export const SHOT_NAME: Record<Shot, Message> = {
  'wall-1': say('shot.wall', { n: 1 }),
  'wall-2': say('shot.wall', { n: 2 }),
  'wall-3': say('shot.wall', { n: 3 }),
  'wall-4': say('shot.wall', { n: 4 }),
  'diagonal-1': say('shot.diagonal-1'),
  'diagonal-2': say('shot.diagonal-2'),
  height: say('shot.height'),
};

export type Readings = Partial<Record<Shot, number>>;

/** A reading that does not agree with the others. */
export interface Disagreement {
  shots: Shot[];
  message: Message;
  /** How far apart, mm. */
  byMm: number;
}

export interface Closed {
  disagreements: Disagreement[];
  /** The corner between walls 1 and 2, degrees; once both and a diagonal are there. */
  cornerDeg: number | undefined;
  /** How far wall 2 leans over its own length, mm; positive opens the room. */
  outOfSquareMm: number | undefined;
  plan: FloorPlan | undefined;
}

/** Opposite walls of a room that is built as drawn differ by less than this; typical, mm. */
export const OPPOSITE_MM = 10;
/** A meter's own scatter in a closing check; typical, mm. */
const SCATTER_MM = 5;
/** A lean that the boards do not notice, mm. */
const SQUARE_MM = 6;

/**
 * Holds the readings of a four-cornered room against each other.
 * @param readings mm
 * @returns what does not close, how far out of square the room is, and its plan once there is enough
 */
export function closeRoom(readings: Readings): Closed {
  const disagreements: Disagreement[] = [];
  const { 'wall-1': a, 'wall-2': b, 'wall-3': c, 'wall-4': d, height } = readings;
  const [p, q] = [readings['diagonal-1'], readings['diagonal-2']];
  const opposite = (x: Shot, y: Shot) => {
    const [m, n] = [readings[x], readings[y]];
    if (m === undefined || n === undefined || Math.abs(m - n) <= OPPOSITE_MM) return;
    const byMm = Math.abs(m - n);
    disagreements.push({
      shots: [x, y],
      byMm,
      message: say('measure.opposite', { one: SHOT_NAME[x], other: SHOT_NAME[y] }),
    });
  };
  opposite('wall-1', 'wall-3');
  opposite('wall-2', 'wall-4');

  let cornerDeg: number | undefined;
  let outOfSquareMm: number | undefined;
  if (a && b && p) {
    const cos = (a * a + b * b - p * p) / (2 * a * b);
    if (Math.abs(cos) < 0.9) {
      cornerDeg = (Math.acos(cos) * 180) / Math.PI;
      outOfSquareMm = -b * cos;
    } else
      disagreements.push({
        shots: ['diagonal-1'],
        byMm: Math.abs(p - Math.hypot(a, b)),
        message: impossible(p, a, b),
      });
  }
  if (a && b && c && d && p && q && cornerDeg !== undefined) {
    // Both diagonals and four walls are one more than a room needs: the sixth says whether they close.
    const byMm = Math.abs(q - secondDiagonal(a, b, c, d, p));
    if (byMm > SCATTER_MM || Number.isNaN(byMm))
      disagreements.push({
        shots: ['diagonal-1', 'diagonal-2'],
        byMm: Number.isNaN(byMm) ? Math.abs(q - p) : byMm,
        message: say('measure.close'),
      });
  }
  return {
    disagreements,
    cornerDeg,
    outOfSquareMm,
    plan: planFrom({ a, b, c, d, p }, height, outOfSquareMm),
  };
}

const impossible = (p: number, a: number, b: number): Message =>
  say(p > a + b ? 'measure.longer' : 'measure.other');

/** Corners of the room: wall 1 along x, the diagonal to the far end of wall 2, then walls 3 and 4. */
function corners(a: number, b: number, c: number, d: number, p: number): Point[] {
  const x = (a * a + p * p - b * b) / (2 * a);
  const far: Point = [x, Math.sqrt(Math.max(0, p * p - x * x))];
  // The fourth corner is d from the origin and c from the far one, on the left of the diagonal.
  const along = (d * d - c * c + p * p) / (2 * p);
  const off = Math.sqrt(Math.max(0, d * d - along * along));
  const [ux, uy] = [far[0] / p, far[1] / p];
  return [[0, 0], [a, 0], far, [ux * along - uy * off, uy * along + ux * off]];
}

function secondDiagonal(a: number, b: number, c: number, d: number, p: number): number {
  const fourth = corners(a, b, c, d, p)[3] as Point;
  return Math.hypot(fourth[0] - a, fourth[1]);
}

function planFrom(
  {
    a,
    b,
    c,
    d,
    p,
  }: {
    a?: number | undefined;
    b?: number | undefined;
    c?: number | undefined;
    d?: number | undefined;
    p?: number | undefined;
  },
  height: number | undefined,
  lean: number | undefined,
): FloorPlan | undefined {
  if (!a || !b || !height) return undefined;
  const square = lean === undefined || Math.abs(lean) <= SQUARE_MM;
  const even = (!c || Math.abs(a - c) <= OPPOSITE_MM) && (!d || Math.abs(b - d) <= OPPOSITE_MM);
  const mean = (x: number, y: number | undefined) => Math.round(y ? (x + y) / 2 : x);
  if ((square && even) || !c || !d || !p)
    return { lengthMm: mean(a, c), widthMm: mean(b, d), heightMm: Math.round(height) };
  const outline = corners(a, b, c, d, p).map(([x, y]): Point => [Math.round(x), Math.round(y)]);
  return { outline, heightMm: Math.round(height) };
}
