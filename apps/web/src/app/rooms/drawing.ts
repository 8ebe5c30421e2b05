import {
  unfold,
  type Face,
  type Joint,
  type Opening,
  type Point,
  type Room,
  type RoomPlan,
} from '@lisse/core';
import { faceName } from '../ui/words';

/** The unfolded room in the pixels of its frame. */
export interface Drawing {
  width: number;
  height: number;
  faces: { id: string; path: string; kind: Face['kind'] }[];
  openings: { id: string; path: string; label: string; x: number; y: number; strong: boolean }[];
  joints: DrawnJoint[];
  labels: { text: string; x: number; y: number; turn: number; onFace: boolean }[];
}

export interface DrawnJoint {
  joint: Joint;
  from: Point;
  to: Point;
  middle: Point;
  /** Ticks across a butt, pairs of lines of a flat; the plain line for the rest. */
  path: string;
  flag: string | undefined;
}

interface Frame {
  width: number;
  height: number;
}

type Put = (u: number, v: number) => Point;

const PAD = 34;

const path = (points: readonly Point[]): string =>
  `M${points.map(([x, y]) => `${round(x)} ${round(y)}`).join('L')}Z`;
const round = (n: number): number => Math.round(n * 10) / 10;

/**
 * Lays the unfolded room into a frame.
 * @param flag the words for a joint's trouble, or none
 * @param length prints a length
 */
export function drawRoom(
  room: Room,
  plan: RoomPlan,
  frame: Frame,
  flag: (joint: Joint) => string | undefined,
  length: (mm: number) => string,
): Drawing {
  const { placings } = unfold(room);
  const corners = placings.flatMap(({ face, origin, right, up }) =>
    (plan.faces.find((f) => f.id === face)?.outline ?? []).map(([u, v]): Point => [
      origin[0] + u * right[0] + v * up[0],
      origin[1] + u * right[1] + v * up[1],
    ]),
  );
  if (corners.length === 0) return { ...frame, faces: [], openings: [], joints: [], labels: [] };
  const [left, low, rightEdge, high] = [
    Math.min(...corners.map((p) => p[0])),
    Math.min(...corners.map((p) => p[1])),
    Math.max(...corners.map((p) => p[0])),
    Math.max(...corners.map((p) => p[1])),
  ];
  const scale = Math.max(
    0.001,
    Math.min((frame.width - 2 * PAD) / (rightEdge - left), (frame.height - 2 * PAD) / (high - low)),
  );
  const dx = (frame.width - (rightEdge - left) * scale) / 2;
  const dy = (frame.height - (high - low) * scale) / 2;
  const putters = new Map<string, Put>(
    placings.map(({ face, origin, right, up }) => [
      face,
      (u, v) => [
        dx + (origin[0] + u * right[0] + v * up[0] - left) * scale,
        frame.height - dy - (origin[1] + u * right[1] + v * up[1] - low) * scale,
      ],
    ]),
  );
  const at = (face: string): Put => putters.get(face) ?? (() => [0, 0]);
  return {
    ...frame,
    faces: plan.faces.map((face) => ({
      id: face.id,
      kind: face.kind,
      path: path(face.outline.map(([u, v]) => at(face.id)(u, v))),
    })),
    openings: room.openings
      .filter((o) => putters.has(`wall-${o.wall}`))
      .map((o) => drawOpening(o, at(`wall-${o.wall}`))),
    joints: plan.joints.map((joint) => drawJoint(joint, at(joint.face), flag(joint))),
    labels: plan.faces.map((face) => drawLabel(face, at(face.id), length)),
  };
}

function drawOpening(o: Opening, put: Put): Drawing['openings'][number] {
  const [u0, v0, u1, v1] = [o.leftMm, o.bottomMm, o.leftMm + o.widthMm, o.bottomMm + o.heightMm];
  const ring = [put(u0, v0), put(u1, v0), put(u1, v1), put(u0, v1)];
  const [a, , c] = ring as [Point, Point, Point, Point];
  const room = Math.min(Math.abs(a[0] - c[0]), 2.4 * Math.abs(a[1] - c[1]));
  return {
    id: o.id,
    path: path(ring),
    label: room > 44 ? (o.kind === 'opening' ? 'doorway' : o.kind) : '',
    x: (a[0] + c[0]) / 2,
    y: (a[1] + c[1]) / 2,
    strong: o.returns === 'boarded',
  };
}

function drawJoint(joint: Joint, put: Put, flag: string | undefined): DrawnJoint {
  const from = put(joint.line[0], joint.line[1]);
  const to = put(joint.line[2], joint.line[3]);
  const middle: Point = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  return { joint, from, to, middle, path: joinPath(joint, from, to), flag };
}

function joinPath(joint: Joint, a: Point, b: Point): string {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  const [tx, ty] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  const [nx, ny] = [-ty, tx];
  const line = (p: Point, q: Point) => `M${round(p[0])} ${round(p[1])}L${round(q[0])} ${round(q[1])}`;
  const aside = (p: Point, d: number): Point => [p[0] + nx * d, p[1] + ny * d];
  switch (joint.kind) {
    case 'tapered':
    case 'recessed-butt':
      return line(aside(a, 1.7), aside(b, 1.7)) + line(aside(a, -1.7), aside(b, -1.7));
    case 'mixed':
      return line(a, b) + line(aside(a, 3), aside(b, 3));
    case 'butt': {
      const count = Math.max(2, Math.round(length / 16));
      const ticks = Array.from({ length: count }, (_, i) => {
        const s = ((i + 0.5) / count) * length;
        const p: Point = [a[0] + tx * s, a[1] + ty * s];
        return line(aside(p, 4), aside(p, -4));
      });
      return line(a, b) + ticks.join('');
    }
    default:
      return line(a, b);
  }
}

function drawLabel(face: Face, put: Put, length: (mm: number) => string): Drawing['labels'][number] {
  if (face.kind === 'ceiling') {
    const [x, y] = put(
      (face.outline[0]?.[0] ?? 0) + face.widthMm / 2,
      (face.outline[0]?.[1] ?? 0) + face.heightMm / 2,
    );
    return { text: 'ceiling', x, y, turn: 0, onFace: true };
  }
  const [a, b] = [put(0, 0), put(face.widthMm, 0)];
  const [p, q] = [put(face.widthMm / 2, 0), put(face.widthMm / 2, face.heightMm)];
  const tall = Math.hypot(q[0] - p[0], q[1] - p[1]) || 1;
  // Beyond the floor edge, where there is nothing else to read.
  const out = -13;
  const x = p[0] + ((q[0] - p[0]) / tall) * out;
  const y = p[1] + ((q[1] - p[1]) / tall) * out;
  const angle = (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI;
  const turn = Math.abs(angle) > 91 ? angle + 180 : angle;
  const wide = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const name = faceName(face.id);
  return {
    text: wide > 90 ? `${name} · ${length(face.widthMm)}` : wide > 40 ? length(face.widthMm) : '',
    x,
    y,
    turn,
    onFace: false,
  };
}

/** The joint to go to from one with an arrow key: the nearest that lies that way. */
export function neighbour(
  joints: readonly DrawnJoint[],
  from: DrawnJoint | undefined,
  way: Point,
): DrawnJoint | undefined {
  if (!from) return joints[0];
  let best: DrawnJoint | undefined;
  let least = Infinity;
  for (const other of joints) {
    const d: Point = [other.middle[0] - from.middle[0], other.middle[1] - from.middle[1]];
    const ahead = d[0] * way[0] + d[1] * way[1];
    const aside = Math.abs(d[0] * way[1]) + Math.abs(d[1] * way[0]);
    if (other === from || ahead < 1) continue;
    const cost = ahead + 2.5 * aside;
    if (cost < least) {
      least = cost;
      best = other;
    }
  }
  return best;
}
