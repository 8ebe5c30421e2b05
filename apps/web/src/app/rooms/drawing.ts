import {
  closetOpening,
  openingRing,
  ringOf,
  wallId,
  type Damage,
  type Face,
  type Joint,
  type Opening,
  type Point,
  type Room,
  type RoomPlan,
  type Message,
  type Say,
} from '@lisse/core';
import { damageName } from '../ui/words';
import { FITTED, Paper, type PaperFrame, type View } from '../ui/paper';

/** The unfolded room in the pixels of its frame. */
export interface Drawing {
  faces: { id: string; name: string; path: string; kind: Face['kind']; boarded: boolean }[];
  openings: {
    id: string;
    name: string;
    /** A closet's opening moves with its closet only. */
    moves: boolean;
    wall: number;
    path: string;
    label: string;
    x: number;
    y: number;
    strong: boolean;
  }[];
  joints: DrawnJoint[];
  labels: { text: string; x: number; y: number; turn: number; onFace: boolean }[];
  damage: { id: string; x: number; y: number; label: string }[];
  framing: string;
  boards: { path: string; label: string; x: number; y: number; offcut: boolean }[];
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

/** What the drawing is to show beside the joints. */
export interface Shown {
  framing: boolean;
  boards: boolean;
}

const path = (points: readonly Point[]): string =>
  points.length === 0 ? '' : `M${points.map(([x, y]) => `${round(x)} ${round(y)}`).join('L')}Z`;
const round = (n: number): number => Math.round(n * 10) / 10;

/**
 * Lays the unfolded room into a frame.
 * @param flag the words for a joint's trouble, or none
 * @param length prints a length
 * @param say says the names of faces and spots
 */
export function drawRoom(
  room: Room,
  plan: RoomPlan,
  frame: PaperFrame,
  flag: (joint: Joint) => string | undefined,
  length: (mm: number) => string,
  say: Say,
  view: View = FITTED,
  shown: Shown = { framing: false, boards: false },
): Drawing {
  const paper = new Paper(plan.faces, frame, view);
  return {
    faces: plan.faces
      .filter((face) => paper.has(face.id))
      .map(({ id, name, kind, boarded, rings }) => ({
        id,
        name: say(name),
        kind,
        boarded,
        path: rings.map((ring) => path(ring.map((p) => paper.at(id, p)))).join(''),
      })),
    openings: [
      ...room.openings.map((o) => ({ o, name: say(openingName(o.kind)), moves: true })),
      ...(room.closets ?? []).map((closet) => ({
        o: closetOpening(closet),
        name: say({ key: 'part.closets' }),
        moves: false,
      })),
    ]
      .filter(({ o }) => paper.has(wallId(o.wall)))
      .map(({ o, name, moves }) => drawOpening(o, name, moves, paper)),
    joints: plan.joints
      .filter((joint) => paper.has(joint.face))
      .map((joint) => drawJoint(joint, paper, flag(joint))),
    // Boards are named on themselves, so the faces are not.
    labels: plan.faces
      .flatMap((face) => drawLabels(face, paper, length, say))
      .filter((label) => !shown.boards || !label.onFace),
    damage: (room.damage ?? []).flatMap((d) => drawDamage(d, paper, say)),
    framing: shown.framing ? plan.faces.map((face) => framingLines(face, paper)).join('') : '',
    boards: shown.boards ? drawBoards(plan, paper, length) : [],
  };
}

const openingName = (kind: Opening['kind']): Message => ({
  key: kind === 'opening' ? 'reveal.doorway' : `opening.${kind}`,
});

function drawOpening(o: Opening, name: string, moves: boolean, paper: Paper): Drawing['openings'][number] {
  const ring = openingRing(o).map((p) => paper.at(wallId(o.wall), p));
  const xs = ring.map((p) => p[0]);
  const ys = ring.map((p) => p[1]);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  return {
    id: o.id,
    wall: o.wall,
    path: path(ring),
    name,
    moves,
    label: Math.min(x1 - x0, 2.4 * (y1 - y0)) > 44 ? name : '',
    x: (x0 + x1) / 2,
    y: (y0 + y1) / 2,
    strong: o.returns === 'boarded',
  };
}

function drawJoint(joint: Joint, paper: Paper, flag: string | undefined): DrawnJoint {
  const [u0, v0, u1, v1] = joint.line;
  const from = paper.at(joint.face, [u0, v0]);
  const to = paper.at(joint.face, [u1, v1]);
  const bend = joint.path?.map((p) => paper.at(joint.face, p));
  const middle: Point = bend?.[Math.floor(bend.length / 2)] ?? [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  const drawn = bend ? path(bend).slice(0, -1) : joinPath(joint, from, to);
  return { joint, from, to, middle, path: drawn, flag };
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

/** A wall's name and length beyond its foot, its height beside it; other faces are named on themselves. */
function drawLabels(face: Face, paper: Paper, length: (mm: number) => string, say: Say): Drawing['labels'] {
  if (!paper.has(face.id) || face.kind === 'reveal') return [];
  const [u0, v0, u1, v1] = face.box;
  const put = (u: number, v: number) => paper.at(face.id, [u, v]);
  const { part } = face;
  if (part.is !== 'wall' || part.closet !== undefined) {
    const [x, y] = put((u0 + u1) / 2, (v0 + v1) / 2);
    const [a, b, c] = [put(u0, v0), put(u1, v0), put(u0, v1)];
    const room = Math.min(apart(a, b), apart(a, c));
    const wide = Math.max(apart(a, b), apart(a, c));
    const name = say(face.short ?? face.name);
    const fits = room > 13 && wide > name.length * 6;
    const turn = apart(a, c) > apart(a, b) ? angle(a, c) : angle(a, b);
    return fits ? [{ text: name, x, y, turn: upright(turn), onFace: true }] : [];
  }
  const [a, b] = [put(u0, v0), put(u1, v0)];
  const [p, q] = [put((u0 + u1) / 2, v0), put((u0 + u1) / 2, v1)];
  const tall = apart(p, q) || 1;
  // Beyond the floor edge, where there is nothing else to read.
  const out = -13;
  const beside = (from: Point, d: number): Point => [
    from[0] + ((q[0] - p[0]) / tall) * d,
    from[1] + ((q[1] - p[1]) / tall) * d,
  ];
  const [x, y] = beside(p, out);
  const wide = apart(a, b);
  const text =
    wide > 90
      ? `${say(face.name)} · ${length(u1 - u0)}`
      : wide > 40
        ? length(u1 - u0)
        : wide > 12
          ? String(part.wall + 1)
          : '';
  const labels = [{ text, x, y, turn: upright(angle(a, b)), onFace: false }];
  if (part.wall === 0 && tall > 70) {
    const [m, n] = [put(u0, (v0 + v1) / 2), put(u1, (v0 + v1) / 2)];
    const across = apart(m, n) || 1;
    const [hx, hy] = [m[0] - ((n[0] - m[0]) / across) * 11, m[1] - ((n[1] - m[1]) / across) * 11];
    labels.push({ text: length(v1 - v0), x: hx, y: hy, turn: upright(angle(p, q)), onFace: false });
  }
  return labels;
}

const apart = (a: Point, b: Point): number => Math.hypot(b[0] - a[0], b[1] - a[1]);
const angle = (a: Point, b: Point): number => (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI;
/** An angle text is read at without turning one's head over. */
const upright = (turn: number): number => (turn > 91 ? turn - 180 : turn < -91 ? turn + 180 : turn);

/** A spot where it is; what was only counted has no place on the drawing. */
function drawDamage({ id, kind, face, at }: Damage, paper: Paper, say: Say): Drawing['damage'] {
  if (face === undefined || at === undefined || !paper.has(face)) return [];
  const [x, y] = paper.at(face, at);
  return [{ id, x, y, label: say(damageName(kind)) }];
}

/** The framing behind a face, one line a member. */
function framingLines(face: Face, paper: Paper): string {
  if (!face.laid || !paper.has(face.id)) return '';
  const [u0, v0, u1, v1] = face.box;
  const { framing, framingMm } = face.laid;
  const [low, high] = framing === 'up' ? [u0, u1] : [v0, v1];
  let lines = '';
  for (let k = Math.ceil((low + 20) / framingMm); k * framingMm < high - 20; k++) {
    const s = k * framingMm;
    const [a, b] =
      framing === 'up'
        ? [paper.at(face.id, [s, v0]), paper.at(face.id, [s, v1])]
        : [paper.at(face.id, [u0, s]), paper.at(face.id, [u1, s])];
    lines += `M${round(a[0])} ${round(a[1])}L${round(b[0])} ${round(b[1])}`;
  }
  return lines;
}

function drawBoards(plan: RoomPlan, paper: Paper, length: (mm: number) => string): Drawing['boards'] {
  return plan.boards
    .filter((board) => paper.has(board.face))
    .map(({ face, rect, offcut, sheet, stockMm }) => {
      const ring = ringOf(rect).map((p) => paper.at(face, p));
      const [a, b, c] = ring as [Point, Point, Point];
      const middle: Point = [(a[0] + c[0]) / 2, (a[1] + c[1]) / 2];
      const told = offcut ? `offcut of ${sheet + 1}` : `${sheet + 1} · ${length(stockMm)}`;
      const fits = apart(a, b) > told.length * 6 && apart(b, c) > 14;
      return { path: path(ring), label: fits ? told : '', x: middle[0], y: middle[1], offcut };
    });
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

/** Joints whose middle lies in a frame drawn on the screen. */
export function swept(joints: readonly DrawnJoint[], a: Point, b: Point): DrawnJoint[] {
  const within = (n: number, p: number, q: number) => n >= Math.min(p, q) && n <= Math.max(p, q);
  return joints.filter(({ middle: [x, y] }) => within(x, a[0], b[0]) && within(y, a[1], b[1]));
}
