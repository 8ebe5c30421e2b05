import type { Book } from '../book';
import {
  outlineOf,
  JOINT_KINDS,
  type BeadKind,
  type FaceNote,
  type JointKind,
  type Point,
  type Room,
  type Seam,
} from '../job';
import type { Message } from '../texts';
import { closetSurfaces } from './closets';
import { sideOf } from './clip';
import { meetings, type Meeting } from './edges';
import { areaIn, areaOf, boundsOf, ringOf, seamAt, turned, type Rect, type Shape } from './geometry';
import { headsIn, LayoutMemo, type LayoutInput } from './layout';
import { archOf } from './reveals';
import { cutSheets, type Piece, type Sheets } from './sheets';
import { solidOf } from './solid';
import type { FaceKind, Frame, BareFace } from './space';

export interface Face extends Shape {
  /** `ceiling`, `slope-0`, `wall-0`, `box-a.under`, `reveal-w1-head`, `closet-c.wall-2` … */
  id: string;
  kind: FaceKind;
  /** In words: `wall 1`, `soffit 1, underside`. */
  name: Message;
  /** The same where there is little room for it. */
  short?: Message;
  /** Left, low, right and high of the face, mm. */
  box: Rect;
  areaM2: number;
  boarded: boolean;
  /** How its boards run and what they hang on; none where it is not boarded. */
  laid: FaceLayout | undefined;
  frame: Frame;
}

export interface FaceLayout {
  along: 'u' | 'v';
  from: 'low' | 'high';
  boardWidthMm: number;
  /** Framing runs up the face or along it, this far apart, mm. */
  framing: 'up' | 'along';
  framingMm: number;
  fasteners: number;
}

export interface Board {
  face: string;
  rect: Rect;
  stockMm: number;
  /** What of it hangs, mm². */
  hungMm2: number;
  /** The sheet it is cut from, and whether another piece had left it. */
  sheet: number;
  offcut: boolean;
}

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

export interface Survey {
  faces: Face[];
  boards: Board[];
  joints: Joint[];
  sheets: Omit<Sheets, 'sources'>;
  fasteners: number;
  boardAreaM2: number;
}

interface Draft {
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
 * Turns a room into faces, boards and joints. Every interior board edge is one joint; every line where
 * two faces meet is one angle or corner; nothing runs through an opening.
 */
export function surveyRoom(room: Room, book: Book, memo = new LayoutMemo()): Survey {
  const surfaces = allSurfaces(room, book);
  const faces: Face[] = [];
  const boards: Board[] = [];
  const pieces: Piece[] = [];
  const drafts: Draft[] = [];
  let fasteners = room.counts?.heads ?? 0;
  for (const surface of surfaces.all) {
    const seams = (room.seams ?? []).filter((seam) => seam.face === surface.id);
    const boarded = surface.boarded && !room.standing && room.faces?.[surface.id]?.unboarded !== true;
    const shape = seams.reduce<Shape>(
      (left, seam) => sideOf(left, seam.runs, seam.atMm, seam.old === 'low' ? 'high' : 'low'),
      { rings: surface.rings },
    );
    const face: Face = {
      id: surface.id,
      kind: surface.kind,
      name: surface.name,
      ...(surface.short ? { short: surface.short } : {}),
      rings: surface.rings,
      box: boundsOf(surface),
      areaM2: boarded ? areaOf(shape) / 1e6 : 0,
      boarded,
      laid: undefined,
      frame: surface.frame,
    };
    faces.push(face);
    drafts.push(...seams.flatMap((seam) => seamJoints(seam, surface)));
    if (!boarded || shape.rings.length === 0) continue;
    const { inputs, framing, framingMm } = layoutInputs(room, surface, shape, book);
    const layout = memo.best(inputs);
    const wall = surface.kind !== 'ceiling' && surface.kind !== 'slope';
    const apart = wall ? book.screwWallMm.value : book.screwCeilingMm.value;
    const heads = headsIn(shape, layout.boards, framing === 'up' ? 'u' : 'v', framingMm, apart);
    const { along, from, boardWidthMm } = layout;
    face.laid = { along, from, boardWidthMm, framing, framingMm, fasteners: heads };
    fasteners += heads;
    for (const { rect, stockMm } of layout.boards) {
      const [length, width] =
        along === 'u' ? [rect[2] - rect[0], rect[3] - rect[1]] : [rect[3] - rect[1], rect[2] - rect[0]];
      const hungMm2 = areaIn(shape, rect);
      boards.push({ face: face.id, rect, stockMm, hungMm2, sheet: -1, offcut: false });
      pieces.push({ lengthMm: length, widthMm: width, boardWidthMm, hungMm2 });
    }
    let seamNumber = 0;
    let butts = 0;
    for (const { kind, line, row } of layout.joints) {
      const id = kind === 'butt' ? `${face.id}.butt-${++butts}` : `${face.id}.flat-${++seamNumber}`;
      drafts.push({ id, kind, face: face.id, line, ...(kind === 'butt' ? { row } : {}) });
    }
  }
  const { sources, ...sheets } = cutSheets(pieces, room.board.lengthsMm);
  sources.forEach(({ sheet, stockMm, offcut }, i) =>
    Object.assign(boards[i] as Board, { sheet, stockMm, offcut }),
  );
  drafts.push(...surfaces.drafts((id) => room.faces?.[id]), ...countedJoints(room));
  return {
    faces,
    boards,
    joints: drafts.map((draft) => measured(draft, room, book)),
    sheets,
    fasteners,
    boardAreaM2: faces.reduce((sum, face) => sum + face.areaM2, 0) + (room.counts?.areaM2 ?? 0),
  };
}

/** The surfaces of a room and of its closets, and the joints between them. */
function allSurfaces(
  room: Room,
  book: Book,
): { all: BareFace[]; drafts: (noteOf: (id: string) => FaceNote | undefined) => Draft[] } {
  const depth = book.revealMm.value;
  const own = solidOf(room, depth);
  const closets = (room.closets ?? []).map((closet, i) => closetSurfaces(closet, i, depth));
  const all = [...own, ...closets.flatMap((part) => part.surfaces)];
  return {
    all,
    drafts: (noteOf) => {
      const bare = (surfaces: readonly BareFace[]): BareFace[] =>
        surfaces.map((s) => {
          if (room.standing) return { ...s, boarded: false, instead: 'old' };
          const note = noteOf(s.id);
          return note?.unboarded ? { ...s, boarded: false, instead: note.instead ?? 'unsaid' } : s;
        });
      const corners = outlineOf(room.plan).length;
      return [
        ...named(meetings(bare(own)), corners),
        ...archBeads(room),
        ...closets.flatMap((part) =>
          named(meetings(bare(part.meeting)), 4, `${part.prefix}.`).filter((d) => !part.drops(d)),
        ),
      ];
    },
  };
}

/** Joints of meetings, named after the faces that meet; the names stay while the faces do. */
function named(found: readonly Meeting[], corners: number, prefix = ''): Draft[] {
  const seen = new Map<string, number>();
  const drafts = found.map(({ a, b, kind, line, onFloor }): Draft & { rank: number } => {
    const [p, q] = [a.id.slice(prefix.length), b.id.slice(prefix.length)];
    const { id, rank } = nameOf(p, q, corners);
    const n = (seen.get(id) ?? 0) + 1;
    seen.set(id, n);
    return {
      id: `${prefix}${id}${n > 1 ? `-${n - 1}` : ''}`,
      kind,
      face: a.id,
      other: b.id,
      line,
      onFloor,
      rank,
    };
  });
  return drafts.sort((a, b) => a.rank - b.rank).map(({ rank: _, ...draft }) => draft);
}

function nameOf(p: string, q: string, corners: number): { id: string; rank: number } {
  const wall = (id: string): number => Number(/^wall-(\d+)$/.exec(id)?.[1] ?? NaN);
  const [i, j] = [wall(p), wall(q)];
  if (p === 'ceiling' && j >= 0) return { id: `angle-top-${j}`, rank: 0 };
  if (i >= 0 && j >= 0) {
    // Walls meet at the right-hand end of the one before.
    const first = (i + 1) % corners === j ? i : j;
    return { id: `corner-${first}`, rank: 1 };
  }
  const opening = /^reveal-(.+)-(left|right|head|sill)$/.exec(q);
  if (i >= 0 && opening) return { id: `return-${opening[1]}-${opening[2]}`, rank: 2 };
  return { id: `${p}~${q}`, rank: 3 };
}

/** One bead along each arched head, in one bent piece. */
function archBeads(room: Room): Draft[] {
  return room.openings.flatMap((o): Draft[] => {
    const arch = archOf(o);
    if (!arch || o.returns === 'cased') return [];
    const path = [...arch.points].reverse();
    const [from, to] = [path[0] as Point, path.at(-1) as Point];
    return [
      {
        id: `return-${o.id}-head`,
        kind: o.returns === 'boarded' ? 'outside-corner' : 'trim',
        face: `wall-${o.wall}`,
        line: [from[0], from[1], to[0], to[1]],
        lengthMm: arch.lengthMm,
        path,
      },
    ];
  });
}

/** Where new board meets old work: a cut edge against what was there, with its step. */
function seamJoints(seam: Seam, surface: BareFace): Draft[] {
  const up = seam.runs === 'up';
  return seamAt(up ? turned(surface) : surface, seam.atMm).map(([a, b], k) => ({
    id: `seam-${seam.id}${k ? `-${k}` : ''}`,
    kind: 'butt' as const,
    face: surface.id,
    line: up ? [seam.atMm, a, seam.atMm, b] : [a, seam.atMm, b, seam.atMm],
    stepMm: seam.stepMm,
  }));
}

function countedJoints(room: Room): Draft[] {
  const counts = room.counts;
  if (!counts) return [];
  return JOINT_KINDS.flatMap((kind): Draft[] => {
    const mm = counts.mm[kind] ?? 0;
    if (mm <= 0) return [];
    const pieces = kind === 'outside-corner' ? (counts.corners ?? 1) : 1;
    return [{ id: `counted-${kind}`, kind, face: 'counted', line: [0, 0, mm, 0], pieces }];
  });
}

/** The ways a face may be boarded, the usual one first. */
function layoutInputs(
  room: Room,
  surface: BareFace,
  shape: Shape,
  book: Book,
): { inputs: LayoutInput[]; framing: 'up' | 'along'; framingMm: number } {
  const note: FaceNote = room.faces?.[surface.id] ?? {};
  const overhead = surface.kind === 'ceiling' || surface.kind === 'slope';
  const framing = note.framing ?? usualFraming(room, surface);
  const framingMm = note.framingMm ?? (overhead ? room.framing.ceilingMm : room.framing.wallMm);
  const acrossFraming = framing === 'up' ? 'u' : 'v';
  const withFraming = framing === 'up' ? 'v' : 'u';
  const [u0, v0, u1, v1] = boundsOf(shape);
  const small = surface.kind === 'box' || surface.kind === 'reveal';
  let ways: ('u' | 'v')[];
  if (note.along) ways = [note.along === 'across' ? acrossFraming : withFraming];
  // A box or a return is boarded along its length, from strips.
  else if (small) ways = [u1 - u0 >= v1 - v0 ? 'u' : 'v'];
  else if (overhead || room.board.walls === 'across') ways = [acrossFraming];
  else if (room.board.walls === 'upright') ways = [withFraming];
  else ways = [acrossFraming, withFraming];
  const widths = [room.board.widthMm, ...(room.board.alsoWidthsMm ?? [])];
  const corners = surface.openings.flatMap((rect) => ringOf(rect));
  const inputs = ways.flatMap((along) =>
    widths.flatMap((boardWidthMm): LayoutInput[] => {
      const usual = !overhead && !small && along === 'u' ? 'high' : 'low';
      const tall = along === 'u' ? v1 - v0 : u1 - u0;
      const whole = Math.abs(tall / boardWidthMm - Math.round(tall / boardWidthMm)) < 1e-6;
      const froms: ('low' | 'high')[] = note.from
        ? [note.from]
        : whole || small
          ? [usual]
          : [usual, usual === 'high' ? 'low' : 'high'];
      return froms.map((from) => ({
        shape,
        along,
        from,
        boardWidthMm,
        lengthsMm: room.board.lengthsMm,
        framingMm: along === acrossFraming ? framingMm : undefined,
        staggerMm: book.staggerMm.value,
        sliverMm: book.sliverMm.value,
        corners,
        cuts: note.cuts,
      }));
    }),
  );
  return { inputs, framing, framingMm };
}

/** Studs stand, rafters run up their slope, and joists run as the room says. */
function usualFraming(room: Room, surface: BareFace): 'up' | 'along' {
  if (surface.kind !== 'ceiling') return 'up';
  if (room.ceiling) return 'up';
  return room.framing.ceilingAlong === 'length' ? 'along' : 'up';
}

function measured(draft: Draft, room: Room, book: Book): Joint {
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
