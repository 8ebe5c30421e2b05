import type { Book } from '../book';
import { buttId, flatId, type FacePart, type Room } from '../job';
import type { Message } from '../texts';
import { closetSurfaces } from './closets';
import { sideOf } from './clip';
import { areaIn, areaOf, boundsOf, type Rect, type Shape } from './geometry';
import { boardLayoutOptions } from './board-layouts';
import { countedJoints, measured, meetingJoints, seamJoints, type JointDraft, type Joint } from './joints';
import { headsIn, LayoutMemo } from './layout';
import { cutSheets, type Piece, type Sheets, type Source } from './sheets';
import { solidOf } from './solid';
import { isOverhead, type BareFace, type FaceKind, type Frame } from './space';

export interface Face extends Shape {
  /** As its part is named. */
  id: string;
  kind: FaceKind;
  part: FacePart;
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

export interface Survey {
  faces: Face[];
  boards: Board[];
  joints: Joint[];
  sheets: Omit<Sheets, 'sources'>;
  fasteners: number;
  boardAreaM2: number;
}

/**
 * Turns a room into faces, boards and joints. Every interior board edge is one joint; every line where
 * two faces meet is one angle or corner; nothing runs through an opening.
 */
export function surveyRoom(room: Room, book: Book, memo = new LayoutMemo()): Survey {
  const depth = book.revealMm.value;
  const own = solidOf(room, depth);
  const closets = (room.closets ?? []).map((closet, i) => closetSurfaces(closet, i, depth));
  const all = [...own, ...closets.flatMap(({ surfaces }) => surfaces)];
  const hung = all.map((surface) => hang(surface, room, book, memo));
  const faces = hung.map(({ face }) => face);
  const cut = hung.flatMap(({ face, pieces }) => pieces.map((one) => ({ face: face.id, ...one })));
  const { sources, ...sheets } = cutSheets(
    cut.map(({ piece }) => piece),
    room.board.lengthsMm,
  );
  const boards = cut.map(({ face, rect, piece: { hungMm2 } }, i): Board => ({
    face,
    rect,
    hungMm2,
    ...(sources[i] as Source),
  }));
  const drafts = [
    ...hung.flatMap((one) => one.drafts),
    ...meetingJoints(
      room,
      own,
      closets.map(({ meeting }) => meeting),
    ),
    ...countedJoints(room),
  ];
  return {
    faces,
    boards,
    joints: drafts.map((draft) => measured(draft, room, book)),
    sheets,
    fasteners: faces.reduce((sum, { laid }) => sum + (laid?.fasteners ?? 0), room.counts?.heads ?? 0),
    boardAreaM2: faces.reduce((sum, face) => sum + face.areaM2, room.counts?.areaM2 ?? 0),
  };
}

/** How far apart its screws stand along the framing, mm. */
export const screwsApartMm = (face: Pick<Face, 'kind'>, book: Book): number =>
  (isOverhead(face) ? book.screwCeilingMm : book.screwWallMm).value;

/** A face with what hangs on it, and the joints within it. */
interface Hung {
  face: Face;
  pieces: { rect: Rect; piece: Piece }[];
  drafts: JointDraft[];
}

function hang(surface: BareFace, room: Room, book: Book, memo: LayoutMemo): Hung {
  const { id, kind, part, name, short, rings, frame } = surface;
  const seams = (room.seams ?? []).filter((seam) => seam.face === id);
  const boarded = surface.boarded && !room.standing && room.faces?.[id]?.unboarded !== true;
  // Where old work stays, no new board hangs.
  const shape = seams.reduce<Shape>(
    (left, seam) => sideOf(left, seam.runs, seam.atMm, seam.old === 'low' ? 'high' : 'low'),
    { rings },
  );
  const box = boundsOf(surface);
  const areaM2 = boarded ? areaOf(shape) / 1e6 : 0;
  const face: Face = {
    id,
    kind,
    part,
    name,
    ...(short ? { short } : {}),
    rings,
    box,
    areaM2,
    boarded,
    laid: undefined,
    frame,
  };
  const drafts = seams.flatMap((seam) => seamJoints(seam, surface));
  if (!boarded || shape.rings.length === 0) return { face, pieces: [], drafts };

  const { inputs, framing, framingMm } = boardLayoutOptions(room, surface, shape, book);
  const { along, from, boardWidthMm, boards, joints } = memo.best(inputs);
  const apart = screwsApartMm(surface, book);
  const fasteners = headsIn(shape, boards, framing === 'up' ? 'u' : 'v', framingMm, apart);
  const pieces = boards.map(({ rect }) => {
    const [wide, tall] = [rect[2] - rect[0], rect[3] - rect[1]];
    const [lengthMm, widthMm] = along === 'u' ? [wide, tall] : [tall, wide];
    return { rect, piece: { lengthMm, widthMm, boardWidthMm, hungMm2: areaIn(shape, rect) } };
  });
  let [flats, butts] = [0, 0];
  for (const { kind: joint, line, row } of joints)
    drafts.push(
      joint === 'butt'
        ? { id: buttId(id, ++butts), kind: joint, face: id, line, row }
        : { id: flatId(id, ++flats), kind: joint, face: id, line },
    );
  return {
    face: { ...face, laid: { along, from, boardWidthMm, framing, framingMm, fasteners } },
    pieces,
    drafts,
  };
}
