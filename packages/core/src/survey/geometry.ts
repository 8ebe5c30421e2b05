import { bounds, signedArea2, type Point } from '../job';

/** Closed spans of a line, mm, sorted and apart. */
export type Spans = [number, number][];

/**
 * A surface in its own plane: u to the right seen from inside, v up (ceilings: plan x and y), mm.
 * What lies inside an odd number of rings is board: outlines run from u towards v, holes the other way.
 */
export interface Shape {
  rings: Point[][];
}

/** Left, low, right, high, mm. */
export type Rect = [u0: number, v0: number, u1: number, v1: number];

/** Two edges closer than this are the same edge, mm. */
export const EPS = 0.01;

/** The ring of a rectangle, as an outline runs. */
export const ringOf = ([u0, v0, u1, v1]: Rect): Point[] => [
  [u0, v0],
  [u1, v0],
  [u1, v1],
  [u0, v1],
];

/** A shape from outlines and holes, each ring turned the way it has to run. */
export function shapeOf(
  outlines: readonly (readonly Point[])[],
  holes: readonly (readonly Point[])[] = [],
): Shape {
  const turn = (ring: readonly Point[], sign: number): Point[] =>
    signedArea2(ring) * sign < 0 ? [...ring].reverse() : [...ring];
  return { rings: [...outlines.map((ring) => turn(ring, 1)), ...holes.map((ring) => turn(ring, -1))] };
}

/** A shape with u and v exchanged, so that one layout routine serves both board directions. */
export function turned(shape: Shape): Shape {
  return { rings: shape.rings.map((ring) => ring.map(([u, v]) => [v, u] as const).reverse()) };
}

export const boundsOf = (shape: Shape): Rect => bounds(shape.rings.flat());

/** Spans of the shape on the horizontal line at v, by even-odd crossing; v must not lie on an edge. */
export function spansAt(shape: Shape, v: number): Spans {
  const cuts: number[] = [];
  for (const ring of shape.rings) {
    let [au, av] = ring[ring.length - 1] as Point;
    for (const [bu, bv] of ring) {
      if (av > v !== bv > v) insert(cuts, au + ((v - av) / (bv - av)) * (bu - au));
      au = bu;
      av = bv;
    }
  }
  const spans: Spans = [];
  for (let i = 0; i + 1 < cuts.length; i += 2) {
    const lo = cuts[i] as number;
    const hi = cuts[i + 1] as number;
    if (hi - lo > EPS) spans.push([lo, hi]);
  }
  return spans;
}

/** Keeps a short list sorted; far cheaper than sorting it with a comparison each time. */
function insert(sorted: number[], value: number): void {
  let i = sorted.length;
  sorted.push(value);
  for (; i > 0 && (sorted[i - 1] as number) > value; i--) sorted[i] = sorted[i - 1] as number;
  sorted[i] = value;
}

export function intersect(a: Spans, b: Spans): Spans {
  const out: Spans = [];
  for (const [a0, a1] of a) {
    for (const [b0, b1] of b) {
      const lo = Math.max(a0, b0);
      const hi = Math.min(a1, b1);
      if (hi - lo > EPS) out.push([lo, hi]);
    }
  }
  return out;
}

export function unite(spans: Spans): Spans {
  const sorted = [...spans].sort((a, b) => a[0] - b[0]);
  const out: Spans = [];
  for (const [lo, hi] of sorted) {
    const last = out[out.length - 1];
    if (last && lo <= last[1] + EPS) last[1] = Math.max(last[1], hi);
    else out.push([lo, hi]);
  }
  return out;
}

/** `span` without `gaps`. */
export function without(span: [number, number], gaps: Spans): Spans {
  let left: Spans = [span];
  for (const [g0, g1] of gaps) {
    left = left.flatMap(([a, b]): Spans => {
      if (g1 <= a || g0 >= b) return [[a, b]];
      const parts: Spans = [
        [a, g0],
        [g1, b],
      ];
      return parts.filter(([p, q]) => q - p > EPS);
    });
  }
  return left;
}

/** Spans where both sides of the line at v are board: a joint can only be there. */
export function seamAt(shape: Shape, v: number): Spans {
  return intersect(spansAt(shape, v - EPS), spansAt(shape, v + EPS));
}

/** Every stretch of u that holds some board between v0 and v1. */
export function runsBetween(shape: Shape, v0: number, v1: number): Spans {
  const levels = [v0, v1];
  for (const ring of shape.rings) for (const [, v] of ring) if (v > v0 && v < v1) levels.push(v);
  const spans = levels.flatMap((v) => [
    ...(v > v0 ? spansAt(shape, v - EPS) : []),
    ...(v < v1 ? spansAt(shape, v + EPS) : []),
  ]);
  return unite(spans);
}

/** Clips a ring to a rectangle, one side after the other; the area is right even where the ring is not convex. */
function clip(ring: readonly Point[], [u0, v0, u1, v1]: Rect): Point[] {
  const sides: { in: (p: Point) => boolean; at: (p: Point, q: Point) => Point }[] = [
    { in: (p) => p[0] >= u0, at: (p, q) => [u0, p[1] + ((u0 - p[0]) / (q[0] - p[0])) * (q[1] - p[1])] },
    { in: (p) => p[0] <= u1, at: (p, q) => [u1, p[1] + ((u1 - p[0]) / (q[0] - p[0])) * (q[1] - p[1])] },
    { in: (p) => p[1] >= v0, at: (p, q) => [p[0] + ((v0 - p[1]) / (q[1] - p[1])) * (q[0] - p[0]), v0] },
    { in: (p) => p[1] <= v1, at: (p, q) => [p[0] + ((v1 - p[1]) / (q[1] - p[1])) * (q[0] - p[0]), v1] },
  ];
  let out = [...ring];
  for (const side of sides) {
    const from = out;
    out = [];
    from.forEach((q, i) => {
      const p = from[(i + from.length - 1) % from.length] as Point;
      if (side.in(q) !== side.in(p)) out.push(side.at(p, q));
      if (side.in(q)) out.push(q);
    });
  }
  return out;
}

/** Area of the shape inside a rectangle, mm². */
export function areaIn(shape: Shape, rect: Rect): number {
  let area = 0;
  for (const ring of shape.rings) area += signedArea2(clip(ring, rect)) / 2;
  return Math.max(0, area);
}

/** Area of the whole shape, mm². */
export function areaOf(shape: Shape): number {
  return shape.rings.reduce((sum, ring) => sum + signedArea2(ring), 0) / 2;
}
