import { given, type Why } from '../book';
import type { Room } from '../job';
import { cutSheets, type Piece, type Sheets, type Survey } from '../survey';
import { say } from '../texts';

/** Board of one sort to buy for the whole job. */
export interface BoardLine extends Omit<Sheets, 'sources'> {
  thicknessMm: number;
  /** For rooms that bear water. */
  damp: boolean;
  pieces: number;
  /** Pieces cut from what others left. */
  fromOffcuts: number;
  why: Why;
}

/** The pieces a room's board is cut into. */
function piecesOf({ boards, faces }: Pick<Survey, 'boards' | 'faces'>): Piece[] {
  const laid = new Map(faces.map((face) => [face.id, face.laid]));
  return boards.flatMap(({ face, rect: [u0, v0, u1, v1], hungMm2 }): Piece[] => {
    const how = laid.get(face);
    if (!how) return [];
    const [lengthMm, widthMm] = how.along === 'u' ? [u1 - u0, v1 - v0] : [v1 - v0, u1 - u0];
    return [{ lengthMm, widthMm, boardWidthMm: how.boardWidthMm, hungMm2 }];
  });
}

/** Leftovers are carried on through so many rooms, in their order; nobody carries them across a building. */
const ROOMS_TOGETHER = 20;

type Surveyed = Pick<Survey, 'boards' | 'faces' | 'sheets'>;

/** Rooms cut together, kept between plans: an edit of one room cuts only those it is cut with. */
export class BoardMemo {
  private readonly kept = new WeakMap<Surveyed, { rooms: readonly Surveyed[]; cut: CutLine }>();

  cut(rooms: readonly Surveyed[], lengthsMm: readonly number[]): CutLine {
    const first = rooms[0] as Surveyed;
    const known = this.kept.get(first);
    if (known?.rooms.length === rooms.length && known.rooms.every((room, i) => room === rooms[i]))
      return known.cut;
    const pieces = rooms.flatMap(piecesOf);
    const { sources, ...sheets } = cutSheets(pieces, lengthsMm);
    const together = { ...sheets, ...tally(sources) };
    // Both are good and neither the least there is: now and then each room by itself comes out lower.
    const apart = summed(rooms.map((room) => ({ ...room.sheets, ...tally(room.boards) })));
    const cut = apart.boughtM2 < together.boughtM2 - 1e-9 ? apart : together;
    this.kept.set(first, { rooms, cut });
    return cut;
  }
}

const tally = (pieces: readonly { offcut: boolean }[]): Pick<CutLine, 'pieces' | 'fromOffcuts'> => ({
  pieces: pieces.length,
  fromOffcuts: pieces.filter((piece) => piece.offcut).length,
});

type CutLine = Omit<BoardLine, 'thicknessMm' | 'damp' | 'why'>;

/** What several lots of rooms come to. */
function summed(cuts: readonly CutLine[]): CutLine {
  const counts = new Map<string, Sheets['bought'][number]>();
  for (const { widthMm, lengthMm, count } of cuts.flatMap((cut) => cut.bought)) {
    const key = `${widthMm} ${lengthMm}`;
    counts.set(key, { widthMm, lengthMm, count: (counts.get(key)?.count ?? 0) + count });
  }
  const sum = (of: (cut: CutLine) => number): number => cuts.reduce((all, cut) => all + of(cut), 0);
  return {
    bought: [...counts.values()].sort((a, b) => a.widthMm - b.widthMm || a.lengthMm - b.lengthMm),
    boughtM2: sum((cut) => cut.boughtM2),
    hungM2: sum((cut) => cut.hungM2),
    wasteM2: sum((cut) => cut.wasteM2),
    pieces: sum((cut) => cut.pieces),
    fromOffcuts: sum((cut) => cut.fromOffcuts),
  };
}

/**
 * Board to buy for all rooms together: what one room leaves is hung in the next ones that take the same board. It is
 * the least found for the joints as they are chosen.
 */
export function boardLines(
  rooms: readonly Pick<Room, 'board' | 'damp'>[],
  surveys: readonly Surveyed[],
  memo = new BoardMemo(),
): BoardLine[] {
  const sorts = new Map<string, { room: (typeof rooms)[number]; surveyed: Surveyed[] }>();
  rooms.forEach((room, i) => {
    const survey = surveys[i] as Surveyed;
    if (survey.boards.length === 0) return;
    const { thicknessMm, lengthsMm } = room.board;
    const key = JSON.stringify([thicknessMm, room.damp ?? false, [...lengthsMm].sort((a, b) => a - b)]);
    const sort = sorts.get(key);
    if (sort) sort.surveyed.push(survey);
    else sorts.set(key, { room, surveyed: [survey] });
  });
  return [...sorts.values()].map(({ room, surveyed }): BoardLine => {
    const lots = Array.from({ length: Math.ceil(surveyed.length / ROOMS_TOGETHER) }, (_, i) =>
      surveyed.slice(i * ROOMS_TOGETHER, (i + 1) * ROOMS_TOGETHER),
    );
    const line = summed(lots.map((lot) => memo.cut(lot, room.board.lengthsMm)));
    return {
      thicknessMm: room.board.thicknessMm,
      damp: room.damp ?? false,
      ...line,
      why: {
        rule: say('why.boards'),
        inputs: [
          given(say('why.boards.bought'), line.boughtM2, 'm2'),
          given(say('why.boards.hung'), line.hungM2, 'm2'),
          given(say('why.boards.waste'), line.wasteM2, 'm2'),
          given(say('why.boards.pieces'), line.pieces, 'count'),
          given(say('why.boards.offcuts'), line.fromOffcuts, 'count'),
        ],
      },
    };
  });
}
