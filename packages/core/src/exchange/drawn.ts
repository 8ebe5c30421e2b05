import { wallId, type JointKind, type Opening, type Point, type Room } from '../job';
import { openingRing, ringOf, unfold, type Board, type Face, type Joint, type Placing } from '../survey';
import type { Message } from '../texts';

/** What a drawing of a room is made from. */
export interface Surveyed {
  faces: readonly Face[];
  boards: readonly Board[];
  joints: readonly Joint[];
}

/** The unfolded room as lines, mm, y upwards. */
export interface Drawn {
  faces: { id: string; name: Message; rings: Point[][] }[];
  boards: { face: string; ring: Point[] }[];
  openings: { id: string; kind: Opening['kind']; ring: Point[] }[];
  joints: { id: string; kind: JointKind; points: Point[] }[];
}

/** A place of a face on the unfolded drawing. */
export const onDrawing = ({ origin, right, up }: Placing, [u, v]: Point): Point => [
  origin[0] + u * right[0] + v * up[0],
  origin[1] + u * right[1] + v * up[1],
];

/** Faces, boards, openings and joints laid out as the room unfolds. */
export function drawn(room: Room, { faces, boards, joints }: Surveyed): Drawn {
  const placed = new Map(unfold(faces).placings.map((p) => [p.face, p]));
  const put = (face: string, points: readonly Point[]): Point[] => {
    const placing = placed.get(face);
    return placing ? points.map((p) => onDrawing(placing, p)) : [];
  };
  return {
    faces: faces.map(({ id, name, rings }) => ({ id, name, rings: rings.map((ring) => put(id, ring)) })),
    boards: boards.map(({ face, rect }) => ({ face, ring: put(face, ringOf(rect)) })),
    openings: room.openings.map((o) => ({
      id: o.id,
      kind: o.kind,
      ring: put(wallId(o.wall), openingRing(o)),
    })),
    joints: joints
      .filter(({ face }) => placed.has(face))
      .map(({ id, kind, face, line, path }) => ({
        id,
        kind,
        points: put(
          face,
          path ?? [
            [line[0], line[1]],
            [line[2], line[3]],
          ],
        ),
      })),
  };
}
