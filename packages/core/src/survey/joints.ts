import type { Book } from '../book';
import {
  countedId,
  JOINT_KINDS,
  meetingId,
  outlineOf,
  returnId,
  seamId,
  wallId,
  type BeadKind,
  type JointKind,
  type Point,
  type Room,
  type Seam,
} from '../job';
import { meetings, type EdgeJunction } from './edges';
import { seamAt, turned, type Rect } from './geometry';
import { archOf } from './reveals';
import type { BareFace } from './space';

export interface Joint {
  id: string;
  kind: JointKind;
  face: string;
  /** From and to on its face, mm. */
  line: Rect;
  /** Where it is not straight: the places it runs through, mm. */
  path?: Point[];
  lengthMm: number;
  gapMm: number;
  humpMm: number;
  /** Half the width the hump spreads over. */
  spanMm: number;
  lippageMm: number;
  /** Butt ends trimmed back on a bevel, this deep at the joint. */
  notchMm?: number;
  thicknessMm: number;
  /** What was measured rather than taken as typical. */
  measured: boolean;
  /** Its lower end stands on the floor. */
  onFloor: boolean;
  /** For a butt: its row, counted from where the rows start. */
  row?: number;
  /** Counted and not drawn: how many pieces it stands for. */
  pieces?: number;
  /** The other face of an angle or a corner. */
  other?: string;
  bead?: BeadKind;
}

/** A joint before anything was measured of it. */
export interface JointDraft {
  id: string;
  kind: JointKind;
  face: string;
  line: Rect;
  lengthMm?: number;
  path?: Point[];
  onFloor?: boolean;
  row?: number;
  pieces?: number;
  stepMm?: number;
  other?: string;
}

/**
 * The joints where the faces of a room meet, and those of its closets.
 * @param closets the surfaces of each
 */
export function meetingJoints(
  room: Room,
  own: readonly BareFace[],
  closets: readonly (readonly BareFace[])[],
): JointDraft[] {
  const bare = (surfaces: readonly BareFace[]): BareFace[] =>
    surfaces.map((s) => {
      if (room.standing) return { ...s, boarded: false, instead: 'old' };
      const note = room.faces?.[s.id];
      return note?.unboarded ? { ...s, boarded: false, instead: note.instead ?? 'unsaid' } : s;
    });
  return [
    ...named(meetings(bare(own)), outlineOf(room.plan).length),
    ...archBeads(room),
    // Angles between the returns of a closet themselves belong to the room's side.
    ...closets.flatMap((surfaces) =>
      named(
        meetings(bare(surfaces)).filter(({ a }) => a.kind !== 'reveal'),
        4,
      ),
    ),
  ];
}

/** Joints of meetings, named after the faces that meet; the names stay while the faces do. */
function named(found: readonly EdgeJunction[], corners: number): JointDraft[] {
  const seen = new Map<string, number>();
  const drafts = found.map(({ a, b, kind, line, onFloor }): JointDraft & { rank: number } => {
    const { id, rank } = meetingId(a.part, b.part, corners);
    const n = seen.get(id) ?? 0;
    seen.set(id, n + 1);
    return { id: n > 0 ? `${id}-${n}` : id, kind, face: a.id, other: b.id, line, onFloor, rank };
  });
  return drafts.sort((a, b) => a.rank - b.rank).map(({ rank: _, ...draft }) => draft);
}

/** One bead along each arched head, in one bent piece. */
function archBeads(room: Room): JointDraft[] {
  return room.openings.flatMap((o): JointDraft[] => {
    const arch = archOf(o);
    if (!arch || o.returns === 'cased') return [];
    const path = [...arch.points].reverse();
    const [from, to] = [path[0] as Point, path.at(-1) as Point];
    return [
      {
        id: returnId(o.id, 'head'),
        kind: o.returns === 'boarded' ? 'outside-corner' : 'trim',
        face: wallId(o.wall),
        line: [from[0], from[1], to[0], to[1]],
        lengthMm: arch.lengthMm,
        path,
      },
    ];
  });
}

/** Where new board meets old work: a cut edge against what was there, with its step. */
export function seamJoints(seam: Seam, surface: BareFace): JointDraft[] {
  const up = seam.runs === 'up';
  return seamAt(up ? turned(surface) : surface, seam.atMm).map(([a, b], k) => ({
    id: seamId(seam.id, k),
    kind: 'butt' as const,
    face: surface.id,
    line: up ? [seam.atMm, a, seam.atMm, b] : [a, seam.atMm, b, seam.atMm],
    stepMm: seam.stepMm,
  }));
}

export function countedJoints(room: Room): JointDraft[] {
  const counts = room.counts;
  if (!counts) return [];
  return JOINT_KINDS.flatMap((kind): JointDraft[] => {
    const mm = counts.mm[kind] ?? 0;
    if (mm <= 0) return [];
    const pieces = kind === 'outside-corner' ? (counts.corners ?? 1) : 1;
    return [{ id: countedId(kind), kind, face: 'counted', line: [0, 0, mm, 0], pieces }];
  });
}

/** A joint as it was measured, or as it is by the book. */
export function measured(draft: JointDraft, room: Room, book: Book): Joint {
  const note = room.joints?.[draft.id];
  const { id, face, line } = draft;
  return {
    id,
    kind: note?.kind ?? draft.kind,
    face,
    line,
    lengthMm: note?.lengthMm ?? draft.lengthMm ?? Math.hypot(line[2] - line[0], line[3] - line[1]),
    gapMm: note?.gapMm ?? book.gapMm.value,
    humpMm: note?.humpMm ?? 0,
    spanMm: note?.spanMm ?? book.humpSpanMm.value,
    lippageMm: note?.lippageMm ?? draft.stepMm ?? 0,
    thicknessMm: note?.thicknessMm ?? room.board.thicknessMm,
    measured: Object.keys(note ?? {}).some((key) => key !== 'cells' && key !== 'bead'),
    onFloor: draft.onFloor ?? false,
    ...(draft.path ? { path: draft.path } : {}),
    ...(draft.row === undefined ? {} : { row: draft.row }),
    ...(draft.pieces === undefined ? {} : { pieces: draft.pieces }),
    ...(draft.other === undefined ? {} : { other: draft.other }),
    ...(note?.notchMm ? { notchMm: note.notchMm } : {}),
    ...(note?.bead === undefined ? {} : { bead: note.bead }),
  };
}
