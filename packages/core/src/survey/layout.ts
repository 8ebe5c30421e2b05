import {
  bounds,
  EPS,
  areaIn,
  runsBetween,
  seamAt,
  spansAt,
  turned,
  type Rect,
  type Shape,
  type Spans,
} from './geometry';

/** How one face is boarded. */
export interface LayoutInput {
  shape: Shape;
  /** Boards run along u (across upright framing) or along v. */
  along: 'u' | 'v';
  /** Rows start from the low or the high side across the boards. */
  from: 'low' | 'high';
  boardWidthMm: number;
  lengthsMm: readonly number[];
  /** Framing lines stand every so many mm along the boards; none when boards run with the framing. */
  framingMm: number | undefined;
  staggerMm: number;
  sliverMm: number;
}

export interface LaidBoard {
  rect: Rect;
  /** Stock length the piece is cut from; the longest stock when it is longer than any. */
  stockMm: number;
}

export interface LaidJoint {
  kind: 'tapered' | 'butt';
  line: Rect;
}

export interface Layout {
  boards: LaidBoard[];
  joints: LaidJoint[];
}

/** Costs of a row. The stagger is a rule, so it is worth two butts more; jambs and waste only choose between equals. */
const COST = { overlong: 1e13, sliver: 1e11, stagger: 2.5e9, butt: 1e9, jamb: 1e5 };

/**
 * Boards a face in rows. The stagger first, then fewest butts, then no butt in line with an opening's
 * jamb, then least waste. Each row is solved exactly over the framing lines it crosses.
 */
export function layOut(input: LayoutInput): Layout {
  if (input.along === 'v') return turnedBack(layOut({ ...input, shape: turned(input.shape), along: 'u' }));
  const { shape, boardWidthMm: width } = input;
  const [, low, , high] = bounds(shape.outline);
  const boards: LaidBoard[] = [];
  const joints: LaidJoint[] = [];
  let previous: number[] = [];
  for (let done = 0; done < high - low - EPS; done += width) {
    const [v0, v1] =
      input.from === 'low'
        ? [low + done, Math.min(high, low + done + width)]
        : [Math.max(low, high - done - width), high - done];
    if (done > 0) {
      const seam = input.from === 'low' ? v0 : v1;
      for (const [u0, u1] of seamAt(shape, seam))
        joints.push({ kind: 'tapered', line: [u0, seam, u1, seam] });
    }
    const butts: number[] = [];
    for (const run of runsBetween(shape, v0, v1)) {
      const cuts = cutRun(run, previous, input);
      butts.push(...cuts);
      const ends = [run[0], ...cuts, run[1]];
      for (let i = 0; i + 1 < ends.length; i++) {
        const rect: Rect = [ends[i] as number, v0, ends[i + 1] as number, v1];
        if (areaIn(shape, rect) > 1)
          boards.push({ rect, stockMm: stockFor(rect[2] - rect[0], input.lengthsMm) });
      }
    }
    for (const u of butts) {
      for (const [b0, b1] of crossings(shape, u, v0, v1)) joints.push({ kind: 'butt', line: [u, b0, u, b1] });
    }
    previous = butts;
  }
  return { boards, joints };
}

/** Where the upright line at u has board on both sides, between v0 and v1. */
function crossings(shape: Shape, u: number, v0: number, v1: number): Spans {
  return seamAt(turned(shape), u)
    .map(([a, b]): [number, number] => [Math.max(a, v0), Math.min(b, v1)])
    .filter(([a, b]) => b - a > EPS);
}

function turnedBack(layout: Layout): Layout {
  const back = ([a, b, c, d]: Rect): Rect => [b, a, d, c];
  return {
    boards: layout.boards.map((board) => ({ ...board, rect: back(board.rect) })),
    joints: layout.joints.map((joint) => ({ ...joint, line: back(joint.line) })),
  };
}

export function stockFor(lengthMm: number, lengthsMm: readonly number[]): number {
  let fitting = Infinity;
  let longest = 0;
  for (const stock of lengthsMm) {
    if (stock >= lengthMm - EPS && stock < fitting) fitting = stock;
    if (stock > longest) longest = stock;
  }
  return fitting < Infinity ? fitting : longest;
}

/** Butt positions of one run, by the cheapest chain of framing lines from its left end to its right. */
function cutRun([from, to]: [number, number], previous: readonly number[], input: LayoutInput): number[] {
  const longest = Math.max(...input.lengthsMm);
  if (to - from <= longest + EPS) return [];
  const step = input.framingMm ?? 50;
  const lines: number[] = [from];
  for (let k = Math.ceil((from + 1) / step); k * step < to - 1; k++) lines.push(k * step);
  lines.push(to);
  const jambs = input.shape.holes.flatMap(([u0, , u1]) => [u0, u1]);
  const best = new Float64Array(lines.length).fill(Infinity);
  const back = new Int32Array(lines.length);
  best[0] = 0;
  for (let j = 1; j < lines.length; j++) {
    const u = lines[j] as number;
    const here = j === lines.length - 1 ? 0 : buttCost(u, previous, jambs, input.staggerMm);
    for (let i = j - 1; i >= 0; i--) {
      const piece = u - (lines[i] as number);
      const over = piece - longest;
      let cost = (best[i] as number) + here + Math.max(0, stockFor(piece, input.lengthsMm) - piece);
      if (over > EPS) cost += COST.overlong + over;
      if (piece < input.sliverMm) cost += COST.sliver;
      if (cost < (best[j] as number)) {
        best[j] = cost;
        back[j] = i;
      }
      if (over > EPS) break;
    }
  }
  const cuts: number[] = [];
  for (let j = back[lines.length - 1] as number; j > 0; j = back[j] as number) cuts.push(lines[j] as number);
  return cuts.reverse();
}

function buttCost(
  u: number,
  previous: readonly number[],
  jambs: readonly number[],
  staggerMm: number,
): number {
  const stagger = previous.some((p) => Math.abs(p - u) < staggerMm - EPS) ? COST.stagger : 0;
  const jamb = jambs.some((j) => Math.abs(j - u) < 50) ? COST.jamb : 0;
  return COST.butt + stagger + jamb;
}

/**
 * Screw or nail heads in one face: along every framing line through a board, one at each end and the rest
 * at most `apartMm` from each other.
 */
export function headsIn(
  shape: Shape,
  boards: readonly LaidBoard[],
  along: 'u' | 'v',
  framingMm: number,
  apartMm: number,
): number {
  const [across, rects] =
    along === 'u'
      ? [turned(shape), boards.map((b) => b.rect)]
      : [shape, boards.map(({ rect: [u0, v0, u1, v1] }): Rect => [v0, u0, v1, u1])];
  let heads = 0;
  // Rows share their framing lines, so each line is cut once.
  const cuts = new Map<number, Spans>();
  for (const [a0, b0, a1, b1] of rects) {
    const lines = [a0 + EPS * 2, a1 - EPS * 2];
    for (let k = Math.ceil((a0 + 20) / framingMm); k * framingMm < a1 - 20; k++) lines.push(k * framingMm);
    for (const line of lines) {
      let spans = cuts.get(line);
      if (!spans) cuts.set(line, (spans = spansAt(across, line)));
      for (const [s0, s1] of spans) {
        const length = Math.min(s1, b1) - Math.max(s0, b0);
        if (length > 20) heads += Math.ceil(length / apartMm - EPS) + 1;
      }
    }
  }
  return heads;
}
