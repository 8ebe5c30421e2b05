import type { JointKind, Point } from '../job';
import type { Rect } from './geometry';
import { dot, inSpace, plus, type BareFace, type Vec } from './space';

/** A line where two surfaces meet, on the first of them. */
export interface EdgeJunction {
  a: BareFace;
  b: BareFace;
  kind: JointKind;
  /** From and to on `a`, mm. */
  line: Rect;
  /** Its lower end stands on the floor. */
  onFloor: boolean;
}

/** Faces within this of square count as square, and of one plane as one plane, degrees. */
const SQUARE_WITHIN = 2;
/** Edges closer than this are the same line, mm. */
const SAME_MM = 1.5;
/** Shorter meetings are corners, not joints, mm. */
const LEAST_MM = 3;

interface Edge {
  surface: BareFace;
  a: Point;
  b: Point;
  from: Vec;
  to: Vec;
  along: Vec;
  length: number;
  /** From the edge into its own surface. */
  into: Vec;
}

function edgesOf(surface: BareFace): Edge[] {
  return surface.rings.flatMap((ring) =>
    ring.flatMap((a, i) => {
      const b = ring[(i + 1) % ring.length] as Point;
      const [du, dv] = [b[0] - a[0], b[1] - a[1]];
      const length = Math.hypot(du, dv);
      if (length < LEAST_MM) return [];
      const { right, up } = surface.frame;
      const across = (u: number, v: number): Vec => {
        const r = plus([0, 0, 0], right, u);
        return plus(r, up, v);
      };
      return [
        {
          surface,
          a,
          b,
          from: inSpace(surface.frame, a),
          to: inSpace(surface.frame, b),
          along: across(du / length, dv / length),
          length,
          into: across(-dv / length, du / length),
        },
      ];
    }),
  );
}

/** Every line where two of the surfaces meet, once. */
export function meetings(surfaces: readonly BareFace[]): EdgeJunction[] {
  const edges = surfaces.filter((s) => !s.bent).flatMap(edgesOf);
  const found: EdgeJunction[] = [];
  for (let i = 0; i < edges.length; i++) {
    for (let j = i + 1; j < edges.length; j++) {
      const meeting = meet(edges[i] as Edge, edges[j] as Edge);
      if (meeting) found.push(meeting);
    }
  }
  return found;
}

function meet(e: Edge, f: Edge): EdgeJunction | undefined {
  if (e.surface === f.surface || (!e.surface.boarded && !f.surface.boarded)) return undefined;
  if (Math.abs(dot(e.along, f.along)) < 0.9995) return undefined;
  const offset = plus(f.from, e.from, -1);
  const s0 = dot(offset, e.along);
  const away = plus(offset, e.along, -s0);
  if (dot(away, away) > SAME_MM * SAME_MM) return undefined;
  const s1 = dot(plus(f.to, e.from, -1), e.along);
  const [low, high] = [Math.max(0, Math.min(s0, s1)), Math.min(e.length, Math.max(s0, s1))];
  if (high - low < LEAST_MM) return undefined;
  const kind = kindOf(e, f);
  if (!kind) return undefined;
  const at = (s: number): Point => [
    e.a[0] + ((e.b[0] - e.a[0]) * s) / e.length,
    e.a[1] + ((e.b[1] - e.a[1]) * s) / e.length,
  ];
  const [p, q] = [at(low), at(high)];
  // Joints read from left to right and from the floor up.
  const back = q[0] < p[0] - 0.01 || (Math.abs(q[0] - p[0]) <= 0.01 && q[1] < p[1]);
  const [start, end] = back ? [q, p] : [p, q];
  const [z0, z1] = [inSpace(e.surface.frame, start)[2], inSpace(e.surface.frame, end)[2]];
  return {
    a: e.surface,
    b: f.surface,
    kind,
    line: [start[0], start[1], end[0], end[1]],
    onFloor: Math.min(z0, z1) < 1 && Math.abs(z1 - z0) > 10,
  };
}

/** Kind of the joint between two surfaces, by the angle the room has there. */
function kindOf(e: Edge, f: Edge): JointKind | undefined {
  const bare = [e.surface, f.surface].find((surface) => !surface.boarded);
  const cos = Math.max(-1, Math.min(1, dot(e.surface.frame.inward, f.surface.frame.inward)));
  const turn = (Math.acos(cos) * 180) / Math.PI;
  // Board ends in sight, or is taped to what stands there; a grid covers its edge, and nobody is guessed for.
  if (bare && bare.instead !== 'old')
    return bare.instead === undefined || bare.instead === 'edge' ? 'trim' : undefined;
  if (turn < SQUARE_WITHIN) return dot(e.into, f.into) < 0 ? 'butt' : undefined;
  const inside = dot(e.into, f.surface.frame.inward) > 0;
  const square = Math.abs(turn - 90) <= SQUARE_WITHIN;
  if (inside) return square ? 'inside-angle' : 'off-angle-inside';
  return square ? 'outside-corner' : 'off-angle-outside';
}
