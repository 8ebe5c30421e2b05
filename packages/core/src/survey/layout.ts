import type { Point } from '../job';
import {
  areaIn,
  boundsOf,
  EPS,
  runsBetween,
  seamAt,
  spansAt,
  turned,
  type Rect,
  type Shape,
  type Spans,
} from './geometry';
import { betterScore, cutRows, stockFor, type ButtPlace, type Row, type Score } from './rows';

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
  /** A joint nearer than this to the line of an opening's corner is in line with it. */
  inLineMm: number;
  /** Corners of openings, that no joint should be in line with. */
  corners: readonly Point[];
  /** Butts put by hand, by row in the order the rows are laid. */
  cuts?: Readonly<Record<string, readonly number[]>> | undefined;
}

export interface LaidBoard {
  rect: Rect;
  /** Stock length the piece is cut from; the longest stock when it is longer than any. */
  stockMm: number;
}

export interface LaidJoint {
  kind: 'tapered' | 'butt';
  line: Rect;
  /** The row a butt stands in, in the order the rows are laid. */
  row: number;
}

export interface Layout {
  along: 'u' | 'v';
  from: 'low' | 'high';
  boardWidthMm: number;
  boards: LaidBoard[];
  joints: LaidJoint[];
  score: Score;
}

/** Ends that land on no framing are cut where it suits, on a grid this fine, mm. */
const FREE_STEP_MM = 400;

/**
 * Boards a face in rows: no rule broken that can be kept, then the least length of butt, then fewest boards,
 * then least waste.
 */
export function layOut(input: LayoutInput): Layout {
  if (input.along === 'v')
    return turnedBack(
      layOut({
        ...input,
        shape: turned(input.shape),
        corners: input.corners.map(([u, v]) => [v, u] as const),
        along: 'u',
      }),
    );
  const { shape } = input;
  const bands = rowBands(input);
  const upright = turned(shape);
  // Neighbouring rows share their framing lines, so each line is cut once.
  const crossed = new Map<number, Spans>();
  const crossing = (u: number, v0: number, v1: number): Spans => {
    let spans = crossed.get(u);
    if (!spans) crossed.set(u, (spans = seamAt(upright, u)));
    return spans
      .map(([a, b]): [number, number] => [Math.max(a, v0), Math.min(b, v1)])
      .filter(([a, b]) => b - a > EPS);
  };
  const rows = bands.map(([v0, v1], k): Row => {
    const own = input.cuts?.[String(k)];
    const place = (u: number): ButtPlace => ({
      u,
      lengthMm: crossing(u, v0, v1).reduce((sum, [a, b]) => sum + b - a, 0),
      jamb: input.corners.some(
        ([cu, cv]) => Math.abs(cu - u) < input.inLineMm && cv > v0 - EPS && cv < v1 + EPS,
      ),
    });
    return {
      widthMm: v1 - v0,
      fixed: own !== undefined,
      runs: runsBetween(shape, v0, v1).map(([from, to]) => ({
        from,
        to,
        lines: buttLines(from, to, own, input).map(place),
      })),
    };
  });
  const { cuts, score } = cutRows(rows, input);
  const boards: LaidBoard[] = [];
  const joints: LaidJoint[] = [];
  bands.forEach(([v0, v1], k) => {
    if (k > 0) {
      const seam = input.from === 'low' ? v0 : v1;
      for (const [u0, u1] of seamAt(shape, seam))
        joints.push({ kind: 'tapered', line: [u0, seam, u1, seam], row: k });
      if (input.corners.some(([, cv]) => Math.abs(cv - seam) < input.inLineMm)) score.rules += 1e6;
    }
    for (const { from, to } of (rows[k] as Row).runs) {
      const own = (cuts[k] as number[]).filter((u) => u > from && u < to);
      const ends = [from, ...own, to];
      for (let i = 0; i + 1 < ends.length; i++) {
        const rect: Rect = [ends[i] as number, v0, ends[i + 1] as number, v1];
        if (areaIn(shape, rect) > 1)
          boards.push({ rect, stockMm: stockFor(rect[2] - rect[0], input.lengthsMm) });
      }
      for (const u of own)
        for (const [b0, b1] of crossing(u, v0, v1))
          joints.push({ kind: 'butt', line: [u, b0, u, b1], row: k });
    }
  });
  score.boards = boards.length;
  const { along, from, boardWidthMm } = input;
  return { along, from, boardWidthMm, boards, joints, score };
}

/** The best of several ways to board the same face; the first of equals. */
export function bestLayout(inputs: readonly LayoutInput[]): Layout {
  let best: Layout | undefined;
  for (const input of inputs) {
    // Where nothing is butted, starting from the other side changes nothing that counts.
    const same = best && best.along === input.along && best.boardWidthMm === input.boardWidthMm;
    if (same && best && best.score.rules + best.score.buttMm === 0) continue;
    const layout = layOut(input);
    if (!best || betterScore(layout.score, best.score)) best = layout;
  }
  return best as Layout;
}

/** Layouts kept between plans: an edit of one face lays that face only. */
export class LayoutMemo {
  private readonly kept = new Map<string, Layout>();

  best(inputs: readonly LayoutInput[]): Layout {
    // The ways differ in how the face is boarded, never in the face.
    const key = JSON.stringify(
      inputs.map(({ shape, corners, ...way }, i) => (i === 0 ? [shape.rings, corners, way] : way)),
    );
    let found = this.kept.get(key);
    if (!found) {
      if (this.kept.size > 2000) this.kept.clear();
      found = bestLayout(inputs);
      this.kept.set(key, found);
    }
    return found;
  }
}

/** Low and high side of each row in the order laid. A last row too narrow to hang is shared with the first. */
function rowBands({ shape, from, boardWidthMm: width, sliverMm }: LayoutInput): [number, number][] {
  const [, low, , high] = boundsOf(shape);
  const tall = high - low;
  const full = Math.floor((tall + EPS) / width);
  const last = tall - full * width;
  const widths = Array.from({ length: full }, () => width);
  if (last > EPS) {
    if (last < sliverMm && full > 0) {
      widths[0] = (width + last) / 2;
      widths.push((width + last) / 2);
    } else widths.push(last);
  }
  let done = 0;
  return widths.map((w): [number, number] => {
    const start = done;
    done += w;
    return from === 'low'
      ? [low + start, Math.min(high, low + done)]
      : [Math.max(low, high - done), high - start];
  });
}

/** Where a butt may stand in a stretch: on framing, or where it was put by hand. */
function buttLines(
  from: number,
  to: number,
  own: readonly number[] | undefined,
  { framingMm, lengthsMm }: LayoutInput,
): number[] {
  if (own) return own.filter((u) => u > from + 1 && u < to - 1).sort((a, b) => a - b);
  if (to - from <= Math.max(...lengthsMm) + EPS) return [];
  const step = framingMm ?? FREE_STEP_MM;
  const lines: number[] = [];
  for (let k = Math.ceil((from + 1) / step); k * step < to - 1; k++) lines.push(k * step);
  return lines;
}

function turnedBack(layout: Layout): Layout {
  const back = ([a, b, c, d]: Rect): Rect => [b, a, d, c];
  return {
    ...layout,
    along: 'v',
    boards: layout.boards.map((board) => ({ ...board, rect: back(board.rect) })),
    joints: layout.joints.map((joint) => ({ ...joint, line: back(joint.line) })),
  };
}

/**
 * Screw or nail heads in one face: along every framing line through a board, one at each end and the rest
 * at most `apartMm` from each other.
 */
export function headsIn(
  shape: Shape,
  boards: readonly Pick<LaidBoard, 'rect'>[],
  along: 'u' | 'v',
  framingMm: number,
  apartMm: number,
  found?: (line: number, from: number, to: number, heads: number) => void,
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
        if (length <= 20) continue;
        const row = Math.ceil(length / apartMm - EPS) + 1;
        heads += row;
        found?.(line, Math.max(s0, b0), Math.min(s1, b1), row);
      }
    }
  }
  return heads;
}

/** Fixings are kept this far from the edges of a board, mm. */
const EDGE_MM = 12;

/** Where the heads of a boarded face lie, mm on the face. */
export function headPlaces(
  face: Shape,
  boards: readonly Pick<LaidBoard, 'rect'>[],
  framing: 'up' | 'along',
  framingMm: number,
  apartMm: number,
): [u: number, v: number][] {
  const places: [number, number][] = [];
  const along = framing === 'up' ? 'u' : 'v';
  headsIn(face, boards, along, framingMm, apartMm, (line, from, to, heads) => {
    const step = (to - from - 2 * EDGE_MM) / (heads - 1);
    for (let k = 0; k < heads; k++) {
      const at = from + EDGE_MM + k * step;
      places.push(along === 'u' ? [line, at] : [at, line]);
    }
  });
  return places;
}
