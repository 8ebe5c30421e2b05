import type { Joint, Survey, Vec } from '../survey';
import { inSpace } from '../survey';

/** A joint as it runs through the room, mm. */
export interface Line {
  joint: Joint;
  from: Vec;
  to: Vec;
}

/** A place where coated angles meet that share a face. */
export interface Corner {
  id: string;
  at: Vec;
  /** The angles that meet there. */
  joints: string[];
  /** Two angles with a face between them: in one coat only one of them may be coated on it. */
  pairs: { a: string; b: string; face: string }[];
}

/** Ends nearer than this are one place, mm. */
const NEAR_MM = 6;

export const isAngle = ({ kind }: Joint): boolean => kind === 'inside-angle' || kind === 'off-angle-inside';

/** The joints of a room as lines in space; counted ones are nowhere. */
export function linesOf({ faces, joints }: Pick<Survey, 'faces' | 'joints'>): Line[] {
  const frames = new Map(faces.map(({ id, frame }) => [id, frame]));
  return joints.flatMap((joint): Line[] => {
    const frame = frames.get(joint.face);
    if (!frame || joint.pieces !== undefined) return [];
    const [x0, y0, x1, y1] = joint.line;
    return [{ joint, from: inSpace(frame, [x0, y0]), to: inSpace(frame, [x1, y1]) }];
  });
}

const between = (a: Vec, b: Vec): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

/** How far a place lies from a line, mm. */
export function offLine(at: Vec, { from, to }: Pick<Line, 'from' | 'to'>): number {
  const along: Vec = [to[0] - from[0], to[1] - from[1], to[2] - from[2]];
  const square = along[0] ** 2 + along[1] ** 2 + along[2] ** 2;
  if (square < 1e-9) return between(at, from);
  const t =
    ((at[0] - from[0]) * along[0] + (at[1] - from[1]) * along[1] + (at[2] - from[2]) * along[2]) / square;
  const s = Math.max(0, Math.min(1, t));
  return between(at, [from[0] + s * along[0], from[1] + s * along[1], from[2] + s * along[2]]);
}

/**
 * Where the inside angles of a room meet: at their ends, and where one ends on the way of another. Two of them that
 * have a face in common cannot both be coated on it in one coat: the second blade would cut the first one's mud.
 */
export function cornersOf(survey: Pick<Survey, 'faces' | 'joints'>): Corner[] {
  const lines = linesOf(survey).filter(({ joint }) => isAngle(joint) && joint.other !== undefined);
  const places: Vec[] = [];
  for (const { from, to } of lines)
    for (const end of [from, to]) if (!places.some((at) => between(at, end) < NEAR_MM)) places.push(end);
  const names = new Map(survey.faces.map((face, i) => [face.id, i]));
  return places.flatMap((at): Corner[] => {
    const here = lines.filter((line) => offLine(at, line) < NEAR_MM);
    const pairs = here.flatMap(({ joint: a }, i) =>
      here.slice(i + 1).flatMap(({ joint: b }) => {
        const face = [a.face, a.other].find((id) => id === b.face || id === b.other);
        // Two lengths of one angle are coated as one.
        const same = [a.face, a.other].every((id) => id === b.face || id === b.other);
        return face === undefined || same ? [] : [{ a: a.id, b: b.id, face }];
      }),
    );
    if (pairs.length === 0) return [];
    const faces = [...new Set(here.flatMap(({ joint }) => [joint.face, joint.other as string]))];
    faces.sort((a, b) => (names.get(a) ?? 0) - (names.get(b) ?? 0));
    return [{ id: faces.join('+'), at, joints: here.map(({ joint }) => joint.id), pairs }];
  });
}
