import { bounds, type Point } from '../job';
import { boundsOf, type Rect } from './geometry';
import { inSpace, isOverhead, type BareFace, type Vec } from './space';

/** Where a face lies on the unfolded drawing: place = origin + u·right + v·up, y upwards, mm. */
export interface Placing {
  face: string;
  origin: Point;
  right: Point;
  up: Point;
}

export interface Unfolded {
  /** `cross`: walls folded out around the ceiling. `strip`: the walls in rows beside it. */
  kind: 'cross' | 'strip';
  placings: Placing[];
}

type Foldable = Pick<BareFace, 'id' | 'kind' | 'part' | 'rings' | 'frame'>;

/** Space between blocks of the drawing, mm. */
const GAP = 600;
/** Width to height the drawing is arranged for. */
const ASPECT = 1.1;

/**
 * Opens the room like a box, seen from inside and looking up: the ceiling in the middle, each wall hinged
 * on its ceiling edge, wall 0 at the foot and reading upright. Rooms with more corners than four would fold
 * over themselves, so their walls stand in rows beside their ceiling. Returns are folded into their opening;
 * boxes and closets are opened by themselves. Lengths are kept throughout.
 */
export function unfold(faces: readonly Foldable[]): Unfolded {
  const own = faces.filter(({ part }) => part.closet === undefined);
  const { kind, blocks } = openRoom(own);
  const all = [...blocks, ...boxesOf(own).map(openBox), ...closetBlocks(faces)];
  return { kind, placings: arranged(all, faces) };
}

type Block = Placing[];

/** Blocks in rows from the left, the rows as wide as makes the whole fit its frame best. */
function arranged(blocks: readonly Block[], faces: readonly Foldable[]): Placing[] {
  const sizes = blocks.map((block) => extent(block, faces));
  const widths = sizes.map(([x0, , x1]) => x1 - x0);
  const tries = blocks.map((_, i) => widths.slice(0, i + 1).reduce((sum, w) => sum + w + GAP, -GAP));
  let best: { placings: Placing[]; size: number } | undefined;
  for (const wide of new Set(tries.map((w) => Math.max(w, ...widths)))) {
    const placings: Placing[] = [];
    let [top, right] = [0, 0];
    for (const row of rowsOf(widths, wide)) {
      let at = 0;
      const deepest = Math.max(...row.map((i) => (sizes[i] as Rect)[3] - (sizes[i] as Rect)[1]));
      for (const i of row) {
        const [x0, y0, x1] = sizes[i] as Rect;
        // Walls of a row stand on one line.
        for (const p of blocks[i] as Block)
          placings.push({ ...p, origin: [p.origin[0] + at - x0, p.origin[1] + top - deepest - y0] });
        at += x1 - x0 + GAP;
      }
      right = Math.max(right, at - GAP);
      top -= deepest + GAP;
    }
    const size = Math.max(right, (-top - GAP) * ASPECT);
    if (!best || size < best.size - 1) best = { placings, size };
  }
  return best?.placings ?? [];
}

/** Which blocks stand in which row, none of them wider than told. */
function rowsOf(widths: readonly number[], wide: number): number[][] {
  const rows: number[][] = [];
  let at = Infinity;
  widths.forEach((width, i) => {
    if (at + width > wide + 1) {
      rows.push([]);
      at = 0;
    }
    rows.at(-1)?.push(i);
    at += width + GAP;
  });
  return rows;
}

const put = ({ origin, right, up }: Placing, [u, v]: Point): Point => [
  origin[0] + u * right[0] + v * up[0],
  origin[1] + u * right[1] + v * up[1],
];

function extent(placings: readonly Placing[], faces: readonly Foldable[]): Rect {
  const points = placings.flatMap((p) => {
    const face = faces.find((f) => f.id === p.face);
    return face && face.kind !== 'reveal' ? face.rings.flat().map((at) => put(p, at)) : [];
  });
  return points.length > 0 ? bounds(points) : [0, 0, 0, 0];
}

/** The ceiling, its walls and the returns in them: one block round the ceiling, or a block a wall. */
function openRoom(faces: readonly Foldable[]): { kind: Unfolded['kind']; blocks: Block[] } {
  const overhead = faces.filter(isOverhead);
  const walls = faces.filter(({ kind }) => kind === 'wall');
  const reveals = faces.filter(({ kind }) => kind === 'reveal');
  const above = overhead.map(({ id }): Placing => ({ face: id, origin: [0, 0], right: [1, 0], up: [0, 1] }));
  if (squareRound(walls)) {
    const placings = [...above, ...walls.map((wall) => hinge(wall, overhead))];
    placings.push(...reveals.flatMap((face) => foldIn(face, walls, placings)));
    return { kind: 'cross', blocks: [levelled(placings, overhead)] };
  }
  const standing = walls.map((wall): Block => {
    const placing: Placing = { face: wall.id, origin: [0, 0], right: [1, 0], up: [0, 1] };
    return [placing, ...reveals.flatMap((face) => foldIn(face, [wall], [placing]))];
  });
  return { kind: 'strip', blocks: [levelled(above, overhead), ...standing] };
}

/** Turned so that the plan lies as it was drawn, whichever way the ceiling slopes. */
function levelled(placings: readonly Placing[], overhead: readonly Foldable[]): Placing[] {
  const frame = overhead[0]?.frame;
  if (!frame) return [...placings];
  const steep = Math.hypot(frame.up[0], frame.up[1]) || 1;
  const [c, s] = [frame.right[0], frame.up[0] / steep];
  const turn = ([x, y]: Point): Point => [x * c + y * s, -x * s + y * c];
  return placings.map(({ face, origin, right, up }) => ({
    face,
    origin: turn(origin),
    right: turn(right),
    up: turn(up),
  }));
}

function squareRound(walls: readonly Foldable[]): boolean {
  return (
    walls.length === 4 &&
    walls.every(({ frame }, i) => {
      const next = (walls[(i + 1) % 4] as Foldable).frame.right;
      return Math.abs(frame.right[0] * next[0] + frame.right[1] * next[1]) < 0.01;
    })
  );
}

/** A wall on the highest level stretch of its top, or hung from its peak where it has none. */
function hinge(wall: Foldable, overhead: readonly Foldable[]): Placing {
  const outline = wall.rings.reduce((a, b) =>
    boundsOf({ rings: [b] })[3] > boundsOf({ rings: [a] })[3] ? b : a,
  );
  const [, , , top] = bounds(outline);
  const edges = outline.map((a, i) => [a, outline[(i + 1) % outline.length] as Point] as const);
  // The top of a wall runs from right to left round its outline.
  const tops = edges.filter(([a, b]) => b[0] < a[0] - 1);
  const height = ([a, b]: readonly [Point, Point]) => (a[1] + b[1]) / 2;
  const best = tops.reduce((a, b) => (height(b) > height(a) + 0.5 ? b : a));
  const single = tops.length === 1 || Math.abs(best[0][1] - best[1][1]) < 0.5;
  const [p, q] = single ? [best[1], best[0]] : [peak(outline, top), peak(outline, top)];
  const [P, Q] = [p, q].map((at) => placeOverhead(inSpace(wall.frame, at), overhead)) as [Point, Point];
  const along = single ? Math.hypot(Q[0] - P[0], Q[1] - P[1]) : 1;
  const over = overhead[0]?.frame;
  const flat: Point = over
    ? [
        dot2(wall.frame.right, over.right),
        dot2(wall.frame.right, over.up) / Math.hypot(over.up[0], over.up[1]),
      ]
    : [1, 0];
  const turn: Point = single ? [(Q[0] - P[0]) / along, (Q[1] - P[1]) / along] : flat;
  // The wall's own direction from p to q, turned onto that of the ceiling's edge.
  const own: Point = single
    ? [
        (q[0] - p[0]) / Math.hypot(q[0] - p[0], q[1] - p[1]),
        (q[1] - p[1]) / Math.hypot(q[0] - p[0], q[1] - p[1]),
      ]
    : [1, 0];
  const cos = turn[0] * own[0] + turn[1] * own[1];
  const sin = turn[1] * own[0] - turn[0] * own[1];
  const right: Point = [cos, sin];
  const up: Point = [-sin, cos];
  return {
    face: wall.id,
    origin: [P[0] - p[0] * right[0] - p[1] * up[0], P[1] - p[0] * right[1] - p[1] * up[1]],
    right,
    up,
  };
}

const dot2 = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1];

const peak = (outline: readonly Point[], top: number): Point =>
  outline.find((p) => p[1] > top - 0.5) ?? (outline[0] as Point);

/** A place of the room on the unfolded ceiling: on the plane it lies in. */
function placeOverhead(at: Vec, overhead: readonly Foldable[]): Point {
  let best: Point = [at[0], at[1]];
  let least = Infinity;
  for (const { frame } of overhead) {
    const d: Vec = [at[0] - frame.origin[0], at[1] - frame.origin[1], at[2] - frame.origin[2]];
    const off = Math.abs(d[0] * frame.inward[0] + d[1] * frame.inward[1] + d[2] * frame.inward[2]);
    if (off < least - 0.01) {
      least = off;
      const on = (axis: Vec) => d[0] * axis[0] + d[1] * axis[1] + d[2] * axis[2];
      best = [on(frame.right), on(frame.up)];
    }
  }
  return best;
}

/** A return hinged on its edge and laid into the opening, where there is nothing else. */
function foldIn(face: Foldable, walls: readonly Foldable[], placings: readonly Placing[]): Placing[] {
  const wall = walls.find((w) => {
    const { origin, inward } = w.frame;
    const d = [0, 1, 2].map(
      (k) => (face.frame.origin[k] as number) - (origin[k] as number),
    ) as unknown as Vec;
    const off = d[0] * inward[0] + d[1] * inward[1];
    const along = dot2(d, w.frame.right);
    // A return leads out of the room through its own wall.
    const leads = Math.min(dot2(face.frame.right, inward), dot2(face.frame.up, inward)) < -0.99;
    return leads && Math.abs(off) < 1 && along > -1 && along < boundsOf(w)[2] + 1;
  });
  const placed = wall && placings.find((p) => p.face === wall.id);
  if (!placed) return [];
  const d = [0, 1, 2].map(
    (k) => (face.frame.origin[k] as number) - (wall.frame.origin[k] as number),
  ) as unknown as Vec;
  const origin = put(placed, [dot2(d, wall.frame.right), d[2]]);
  const { right, up } = placed;
  const back = (p: Point): Point => [-p[0], -p[1]];
  const side = face.part.is === 'reveal' && face.part.side;
  if (side === 'left') return [{ face: face.id, origin, right, up }];
  if (side === 'right') return [{ face: face.id, origin, right: back(right), up }];
  return [{ face: face.id, origin, right, up: side === 'head' ? back(up) : up }];
}

/** The faces of each box. */
function boxesOf(faces: readonly Foldable[]): Foldable[][] {
  const boxes = new Map<string, Foldable[]>();
  for (const face of faces) {
    if (face.part.is !== 'box') continue;
    const own = boxes.get(face.part.box);
    if (own) own.push(face);
    else boxes.set(face.part.box, [face]);
  }
  return [...boxes.values()];
}

const sideOf = ({ part }: Foldable) => (part.is === 'box' ? part.side : undefined);

/** A box opened around its underside or its top; a column's sides in a row. */
function openBox(own: readonly Foldable[]): Placing[] {
  const level = own.find((f) => sideOf(f) === 'under') ?? own.find((f) => sideOf(f) === 'top');
  const sides = own.filter((f) => typeof sideOf(f) === 'number');
  if (!level) {
    let at = 0;
    return sides.map((side): Placing => {
      const [u0, v0, u1] = boundsOf(side);
      at += u1 - u0;
      const placing: Placing = { face: side.id, origin: [at + u0, -v0], right: [-1, 0], up: [0, 1] };
      return placing;
    });
  }
  // Turned so that the wall it stands on lies level.
  const first = sides[0];
  const k = first ? Number(sideOf(first)) : 0;
  const [cx, cy] = first ? [first.frame.right[0], first.frame.right[1]] : [1, 0];
  const [dx, dy] = [
    [cx, cy],
    [cy, -cx],
    [-cx, -cy],
    [-cy, cx],
  ][k] as [number, number];
  const turn = ([x, y]: Point): Point => [x * dx + y * dy, -x * dy + y * dx];
  const hangs = sideOf(level) === 'under';
  return [
    { face: level.id, origin: [0, 0], right: turn([1, 0]), up: turn([0, 1]) },
    ...own
      .filter((f) => f !== level)
      .map((side): Placing => {
        const right = turn([side.frame.right[0], side.frame.right[1]]);
        const [x, y] = turn([side.frame.origin[0], side.frame.origin[1]]);
        const up: Point = hangs ? [right[1], -right[0]] : [-right[1], right[0]];
        const [, v0, , v1] = boundsOf(side);
        const edge = hangs ? v0 : v1;
        return { face: side.id, origin: [x - up[0] * edge, y - up[1] * edge], right, up };
      }),
  ];
}

function closetBlocks(faces: readonly Foldable[]): Block[] {
  const closets = new Set(faces.flatMap(({ part }) => part.closet ?? []));
  return [...closets].flatMap(
    (closet) => openRoom(faces.filter(({ part }) => part.closet === closet)).blocks,
  );
}
