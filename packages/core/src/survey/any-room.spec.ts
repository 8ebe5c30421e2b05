import * as fc from 'fast-check';
import { TYPICAL } from '../book';
import type { Room } from '../job';
import { openingProblems, roomProblems } from '../job';
import { anyRoom, anyShape, plainRoom } from '../testing/samples';
import { areaIn, areaOf, boundsOf, EPS, spansAt, turned, type Rect, type Shape } from './geometry';
import type { Joint } from './joints';
import { surveyRoom, type Face, type Survey } from './survey';
import { dot, inSpace, plus, type Vec } from './space';
import { unfold } from './unfold';

/** So many made-up rooms of each sort a run; `npm run torture` makes ten thousand. */
const ROOMS = Number(process.env['LISSE_ROOMS'] ?? 120);
const PATIENCE_MS = 100 * ROOMS + 60000;

const fail = (what: string): never => {
  throw new Error(what);
};

/** Every face is covered by its boards exactly once, to a square millimetre and a strip too thin to be one. */
function tiles(s: Survey): void {
  for (const face of s.faces) {
    const [left, low, right, high] = boundsOf(face);
    const mostMm2 = 1 + EPS * Math.max(right - left, high - low);
    const own = s.boards.filter((b) => b.face === face.id);
    const covered = own.reduce((sum, b) => sum + areaIn(face, b.rect), 0);
    if (face.boarded && Math.abs(covered - areaOf(face)) > mostMm2) fail(`${face.id} is covered ${covered}`);
    own.forEach(({ rect: a }, i) => {
      for (const { rect: b } of own.slice(i + 1)) {
        const both: Rect = [
          Math.max(a[0], b[0]),
          Math.max(a[1], b[1]),
          Math.min(a[2], b[2]),
          Math.min(a[3], b[3]),
        ];
        const overlap = both[2] - both[0] > 0.01 && both[3] - both[1] > 0.01 ? areaIn(face, both) : 0;
        if (overlap > 1) fail(`${face.id} has board over board`);
      }
    });
  }
}

const holds = (shape: Shape, u: number, v: number): boolean =>
  spansAt(shape, v).some(([a, b]) => a < u && u < b);

const onLine = ([u0, v0, u1, v1]: Rect, u: number, v: number): boolean => {
  const length = Math.hypot(u1 - u0, v1 - v0);
  const along = ((u - u0) * (u1 - u0) + (v - v0) * (v1 - v0)) / length;
  const off = Math.abs((u - u0) * (v1 - v0) - (v - v0) * (u1 - u0)) / length;
  return off < 0.5 && along > -0.5 && along < length + 0.5;
};

/** Every edge between two boards is one joint: a taper along the board, a butt across it. */
function joins(s: Survey): void {
  for (const face of s.faces) {
    if (!face.laid) continue;
    const joints = s.joints.filter((j) => j.face === face.id && /\.(flat|butt)-\d+$/.test(j.id));
    const across = turned(face);
    for (const { rect } of s.boards.filter((b) => b.face === face.id)) {
      const [u0, v0, u1, v1] = rect;
      for (const t of [0.137, 0.5, 0.861]) {
        const edges: [number, number, 'level' | 'upright'][] = [
          [u0 + (u1 - u0) * t, v1, 'level'],
          [u1, v0 + (v1 - v0) * t, 'upright'],
        ];
        for (const [u, v, way] of edges) {
          // Only where there is board on both sides of the edge.
          const inside =
            way === 'level'
              ? holds(face, u, v - 1) && holds(face, u, v + 1)
              : holds(across, v, u - 1) && holds(across, v, u + 1);
          if (!inside) continue;
          const here = joints.filter((j) => onLine(j.line, u, v));
          const kind = (way === 'level') === (face.laid.along === 'u') ? 'tapered' : 'butt';
          // A butt ends on a seam; the point of the edge itself lies on one joint of its kind.
          if (here.filter((j) => j.kind === kind).length !== 1)
            fail(
              `${face.id} at ${u}, ${v} has ${here.map((j) => j.id).join() || 'no joint'}, not one ${kind}`,
            );
        }
      }
    }
  }
}

/** Nothing runs in an opening or off its face. */
function stays(s: Survey): void {
  for (const joint of s.joints) {
    const face = s.faces.find((f) => f.id === joint.face);
    if (!face || !/\.(flat|butt)-\d+$/.test(joint.id)) continue;
    const [u, v] = [(joint.line[0] + joint.line[2]) / 2, (joint.line[1] + joint.line[3]) / 2];
    const level = joint.line[1] === joint.line[3];
    const good = level ? holds(face, u, v - 0.02) && holds(face, u, v + 0.02) : holds(face, u, v);
    if (!good) fail(`${joint.id} runs where there is no board`);
  }
}

interface Line3 {
  from: Vec;
  along: Vec;
  length: number;
}
const line3 = (face: Face, { line: [u0, v0, u1, v1] }: Joint): Line3 => {
  const [from, to] = [inSpace(face.frame, [u0, v0]), inSpace(face.frame, [u1, v1])];
  const d = plus(to, from, -1);
  const length = Math.sqrt(dot(d, d)) || 1;
  return { from, along: plus([0, 0, 0], d, 1 / length), length };
};

/** All round every face there is an angle, a corner or a trim; only the floor and cased openings are free. */
function closes(room: Room, s: Survey): void {
  const byId = new Map(s.faces.map((f) => [f.id, f]));
  const part = (id: string) => /^closet-[^.]+\./.exec(id)?.[0] ?? '';
  const lines = s.joints
    .filter((j) => !/\.(flat|butt)-\d+$/.test(j.id))
    .map((j) => ({ part: part(j.face), ...line3(byId.get(j.face) as Face, j) }));
  for (const face of s.faces) {
    if (!face.boarded) continue;
    for (const ring of face.rings) {
      ring.forEach((a, i) => {
        const b = ring[(i + 1) % ring.length] as readonly [number, number];
        if (Math.hypot(b[0] - a[0], b[1] - a[1]) < 20) return;
        for (const t of [0.31, 0.77]) {
          const p = [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t] as const;
          const at = inSpace(face.frame, p);
          const opening = inOpening(room, byId, at) || hasCloset(room, face.id, p);
          if (at[2] < 1.5 || opening || face.kind === 'reveal') continue;
          const met = lines.some((line) => {
            if (line.part !== part(face.id)) return false;
            const d = plus(at, line.from, -1);
            const s = dot(d, line.along);
            const off = plus(d, line.along, -s);
            return dot(off, off) < 4 && s > -2 && s < line.length + 2;
          });
          if (!met) fail(`${face.id} ends at ${p.map(Math.round).join()} and nothing meets it`);
        }
      });
    }
  }
}

/** Whether a place lies in the plane of a wall and in, or at the edge of, an opening or a closet's door in it. */
function inOpening(room: Room, faces: ReadonlyMap<string, Face>, at: Vec): boolean {
  const doors = (room.closets ?? []).map((c) => ({
    wall: c.wall,
    leftMm: c.leftMm + c.doorLeftMm,
    bottomMm: 0,
    widthMm: c.doorWidthMm,
    heightMm: c.doorHeightMm,
  }));
  return [...room.openings, ...doors].some((o) => {
    const frame = faces.get(`wall-${o.wall}`)?.frame;
    if (!frame) return false;
    const d = plus(at, frame.origin, -1);
    const [u, v, off] = [dot(d, frame.right), dot(d, frame.up), dot(d, frame.inward)];
    const [right, top] = [o.leftMm + o.widthMm, o.bottomMm + o.heightMm];
    return (
      Math.abs(off) < 1.5 && u > o.leftMm - 1.5 && u < right + 1.5 && v > o.bottomMm - 1.5 && v < top + 1.5
    );
  });
}

const hasCloset = (room: Room, face: string, p: readonly [number, number]): boolean =>
  (room.closets ?? []).some((c) => {
    const [low, high] = [c.leftMm + c.doorLeftMm, c.leftMm + c.doorLeftMm + c.doorWidthMm];
    if (face === `wall-${c.wall}`) return p[0] > low - 1 && p[0] < high + 1 && p[1] < c.doorHeightMm + 1;
    return face === `closet-${c.id}.wall-0` && p[1] < c.doorHeightMm + 1;
  });

/** Unfolding turns and moves, and stretches nothing. */
function keepsLengths(s: Survey): void {
  for (const { right, up } of unfold(s.faces).placings) {
    if (Math.abs(Math.hypot(...right) - 1) > 1e-9 || Math.abs(Math.hypot(...up) - 1) > 1e-9)
      fail('stretched');
    if (Math.abs(right[0] * up[0] + right[1] * up[1]) > 1e-9) fail('sheared');
  }
}

function check(room: Room): boolean {
  if (roomProblems(room, 'room').length > 0) return true;
  const s = surveyRoom(room, TYPICAL);
  tiles(s);
  joins(s);
  stays(s);
  closes(room, s);
  keepsLengths(s);
  if (unfold(s.faces).placings.length !== s.faces.length) fail('a face is not drawn');
  return true;
}

it(
  'any rectangle or L, with openings anywhere, is boarded, jointed, closed and unfolded',
  () => {
    fc.assert(fc.property(anyRoom, check), { numRuns: ROOMS });
  },
  PATIENCE_MS,
);

it(
  'any ceiling, with boxes, closets and returns, is boarded, jointed, closed and unfolded',
  () => {
    // Slopes a thousandth of a millimetre longer than three boards.
    const [plan, ceiling] = [
      { lengthMm: 3995, widthMm: 3000, heightMm: 1500 },
      { kind: 'gable' as const, wall: 3, highMm: 4495 },
    ];
    fc.assert(fc.property(anyShape, check), {
      numRuns: ROOMS,
      examples: [[plainRoom({ plan, ceiling })]],
    });
  },
  PATIENCE_MS,
);

it('most rooms made up here fit', () => {
  const fits = fc.sample(anyShape, 300).filter((room) => roomProblems(room, 'room').length === 0);
  expect(fits.length).toBeGreaterThan(150);
  expect(fc.sample(anyRoom, 100).every((room) => openingProblems(room, '').length === 0)).toBe(true);
});
