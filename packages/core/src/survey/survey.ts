import type { Book } from '../book';
import { outlineOf, type JointKind, type Point, type Room } from '../job';
import { areaOf, without, type Rect, type Shape, type Spans } from './geometry';
import { headsIn, layOut } from './layout';

export interface Face extends Shape {
  /** `ceiling`, `wall-0`, `wall-1` … */
  id: string;
  kind: 'ceiling' | 'wall';
  /** Width and height of the box around the face, mm. */
  widthMm: number;
  heightMm: number;
  areaM2: number;
}

export interface Board {
  face: string;
  rect: Rect;
  stockMm: number;
}

export interface Joint {
  id: string;
  kind: JointKind;
  face: string;
  /** From and to on its face, mm. */
  line: Rect;
  lengthMm: number;
  gapMm: number;
  humpMm: number;
  lippageMm: number;
  /** What was measured rather than taken as typical. */
  measured: boolean;
}

export interface Survey {
  faces: Face[];
  boards: Board[];
  joints: Joint[];
  fasteners: number;
  boardAreaM2: number;
}

/** Interior angles within this of 90° count as square, degrees. */
const SQUARE_WITHIN = 2;

/**
 * Turns a room into faces, boards and joints. Every interior board edge is one joint; every line where
 * two faces meet is one angle or corner; nothing runs through an opening.
 */
export function surveyRoom(room: Room, book: Book): Survey {
  const faces = facesOf(room);
  const boards: Board[] = [];
  const drafts: Draft[] = [];
  let fasteners = 0;
  for (const face of faces) {
    const wall = face.kind === 'wall';
    const framingAlong = wall ? 'v' : room.framing.ceilingAlong === 'length' ? 'u' : 'v';
    const acrossFraming = framingAlong === 'u' ? 'v' : 'u';
    const along = wall && room.board.walls === 'upright' ? framingAlong : acrossFraming;
    const spacing = wall ? room.framing.wallMm : room.framing.ceilingMm;
    const layout = layOut({
      shape: face,
      along,
      from: wall && along === 'u' ? 'high' : 'low',
      boardWidthMm: room.board.widthMm,
      lengthsMm: room.board.lengthsMm,
      framingMm: along === framingAlong ? undefined : spacing,
      staggerMm: book.staggerMm.value,
      sliverMm: book.sliverMm.value,
    });
    for (const { rect, stockMm } of layout.boards) boards.push({ face: face.id, rect, stockMm });
    let seams = 0;
    let butts = 0;
    for (const { kind, line } of layout.joints) {
      const id = kind === 'butt' ? `${face.id}.butt-${++butts}` : `${face.id}.flat-${++seams}`;
      drafts.push({ id, kind, face: face.id, line });
    }
    const apart = wall ? book.screwWallMm.value : book.screwCeilingMm.value;
    fasteners += headsIn(face, layout.boards, acrossFraming, spacing, apart);
  }
  drafts.push(...ceilingAngles(room), ...cornerJoints(room), ...returnCorners(room));
  return {
    faces,
    boards,
    joints: drafts.map((draft) => measured(draft, room, book)),
    fasteners,
    boardAreaM2: faces.reduce((sum, face) => sum + face.areaM2, 0),
  };
}

interface Draft {
  id: string;
  kind: JointKind;
  face: string;
  line: Rect;
}

function measured(draft: Draft, room: Room, book: Book): Joint {
  const note = room.joints?.[draft.id];
  const { id, face, line } = draft;
  return {
    id,
    kind: note?.kind ?? draft.kind,
    face,
    line,
    lengthMm: Math.sqrt((line[2] - line[0]) ** 2 + (line[3] - line[1]) ** 2),
    gapMm: note?.gapMm ?? book.gapMm.value,
    humpMm: note?.humpMm ?? 0,
    lippageMm: note?.lippageMm ?? 0,
    measured: note !== undefined,
  };
}

function facesOf(room: Room): Face[] {
  const ring = outlineOf(room.plan);
  const height = room.plan.heightMm;
  const [u0, v0, u1, v1] = [Math.min, Math.min, Math.max, Math.max].map((f, i) =>
    f(...ring.map((p) => p[i % 2] as number)),
  ) as Rect;
  const faces: Face[] = [face('ceiling', 'ceiling', ring, [], u1 - u0, v1 - v0)];
  walls(ring).forEach(({ lengthMm }, i) => {
    const outline: Point[] = [
      [0, 0],
      [lengthMm, 0],
      [lengthMm, height],
      [0, height],
    ];
    const holes = room.openings
      .filter((o) => o.wall === i)
      .map((o): Rect => [
        o.leftMm,
        o.bottomMm,
        Math.min(o.leftMm + o.widthMm, lengthMm),
        Math.min(o.bottomMm + o.heightMm, height),
      ]);
    faces.push(face(`wall-${i}`, 'wall', outline, holes, lengthMm, height));
  });
  return faces;
}

function face(
  id: string,
  kind: Face['kind'],
  outline: Point[],
  holes: Rect[],
  widthMm: number,
  heightMm: number,
): Face {
  return { id, kind, outline, holes, widthMm, heightMm, areaM2: areaOf({ outline, holes }) / 1e6 };
}

interface Wall {
  from: Point;
  to: Point;
  lengthMm: number;
}

function walls(ring: readonly Point[]): Wall[] {
  return ring.map((from, i) => {
    const to = ring[(i + 1) % ring.length] as Point;
    return { from, to, lengthMm: Math.hypot(to[0] - from[0], to[1] - from[1]) };
  });
}

/** One angle a wall under the ceiling, broken where an opening reaches up to it. */
function ceilingAngles(room: Room): Draft[] {
  const height = room.plan.heightMm;
  return walls(outlineOf(room.plan)).flatMap(({ from, to, lengthMm }, i) => {
    const gaps: Spans = room.openings
      .filter((o) => o.wall === i && o.bottomMm + o.heightMm > height - 1)
      .map((o) => [o.leftMm, o.leftMm + o.widthMm]);
    const at = (s: number): Point => [
      from[0] + ((to[0] - from[0]) * s) / lengthMm,
      from[1] + ((to[1] - from[1]) * s) / lengthMm,
    ];
    return without([0, lengthMm], gaps).map(([a, b], k): Draft => {
      const line: Rect = [...at(a), ...at(b)];
      return { id: `angle-top-${i}${k ? `-${k}` : ''}`, kind: 'inside-angle', face: 'ceiling', line };
    });
  });
}

/** The upright joint at each corner of the plan; on the right-hand end of the wall before it. */
function cornerJoints(room: Room): Draft[] {
  const ring = outlineOf(room.plan);
  const all = walls(ring);
  const height = room.plan.heightMm;
  return all.flatMap((wall, i) => {
    const next = all[(i + 1) % all.length] as Wall;
    const kind = cornerKind(wall, next);
    if (!kind) return [];
    const gaps: Spans = room.openings
      .filter((o) =>
        o.wall === i
          ? o.leftMm + o.widthMm > wall.lengthMm - 1
          : o.wall === (i + 1) % all.length && o.leftMm < 1,
      )
      .map((o) => [o.bottomMm, o.bottomMm + o.heightMm]);
    return without([0, height], gaps).map(([a, b], k): Draft => {
      const line: Rect = [wall.lengthMm, a, wall.lengthMm, b];
      return { id: `corner-${i}${k ? `-${k}` : ''}`, kind, face: `wall-${i}`, line };
    });
  });
}

/** Kind of the corner between two walls; none where they run on in one plane. */
function cornerKind(a: Wall, b: Wall): JointKind | undefined {
  const [ax, ay] = [a.to[0] - a.from[0], a.to[1] - a.from[1]];
  const [bx, by] = [b.to[0] - b.from[0], b.to[1] - b.from[1]];
  const turn = (Math.atan2(ax * by - ay * bx, ax * bx + ay * by) * 180) / Math.PI;
  if (Math.abs(turn) < SQUARE_WITHIN) return undefined;
  const square = Math.abs(Math.abs(turn) - 90) <= SQUARE_WITHIN;
  if (turn > 0) return square ? 'inside-angle' : 'off-angle-inside';
  return square ? 'outside-corner' : 'off-angle-outside';
}

/** A beaded corner along each edge of an opening whose returns are boarded, but not at the floor or the ceiling. */
function returnCorners(room: Room): Draft[] {
  const lengths = walls(outlineOf(room.plan));
  const height = room.plan.heightMm;
  return room.openings
    .filter((o) => o.returns === 'boarded')
    .flatMap((o) => {
      const [u0, v0, u1, v1] = [o.leftMm, o.bottomMm, o.leftMm + o.widthMm, o.bottomMm + o.heightMm];
      const length = lengths[o.wall]?.lengthMm ?? 0;
      const edges: [string, boolean, Rect][] = [
        ['left', u0 > 1, [u0, v0, u0, v1]],
        ['right', u1 < length - 1, [u1, v0, u1, v1]],
        ['head', v1 < height - 1, [u0, v1, u1, v1]],
        ['sill', v0 > 1, [u0, v0, u1, v0]],
      ];
      return edges
        .filter(([, there]) => there)
        .map(([side, , line]): Draft => ({
          id: `return-${o.id}-${side}`,
          kind: 'outside-corner',
          face: `wall-${o.wall}`,
          line,
        }));
    });
}
