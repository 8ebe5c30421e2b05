import { given, type Why } from '../book';
import type { Room } from '../job';
import { cutSheets, type Piece, type Sheets, type Survey } from '../survey';

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

/**
 * Board to buy for all rooms together: what one room leaves is hung in another that takes the same board. It is the
 * least found for the joints as they are chosen.
 */
export function boardLines(
  rooms: readonly Pick<Room, 'board' | 'damp'>[],
  surveys: readonly Pick<Survey, 'boards' | 'faces'>[],
): BoardLine[] {
  const sorts = new Map<string, { room: (typeof rooms)[number]; pieces: Piece[] }>();
  rooms.forEach((room, i) => {
    const { thicknessMm, lengthsMm } = room.board;
    const key = JSON.stringify([thicknessMm, room.damp ?? false, [...lengthsMm].sort((a, b) => a - b)]);
    const pieces = piecesOf(surveys[i] as Survey);
    const sort = sorts.get(key);
    if (sort) sort.pieces.push(...pieces);
    else if (pieces.length > 0) sorts.set(key, { room, pieces });
  });
  return [...sorts.values()].map(({ room, pieces }): BoardLine => {
    const { sources, ...sheets } = cutSheets(pieces, room.board.lengthsMm);
    const fromOffcuts = sources.filter((source) => source.offcut).length;
    return {
      thicknessMm: room.board.thicknessMm,
      damp: room.damp ?? false,
      ...sheets,
      pieces: pieces.length,
      fromOffcuts,
      why: {
        rule: 'Every piece of every room cut from sheets so that little is bought for these joints: full-width pieces from full-width board, ripped ones from what is left. Bought is hung and waste.',
        inputs: [
          given('bought', sheets.boughtM2, 'm2'),
          given('hung', sheets.hungM2, 'm2'),
          given('waste: offcuts, and what is cut out for openings and slopes', sheets.wasteM2, 'm2'),
          given('pieces', pieces.length, 'count'),
          given('of them from offcuts', fromOffcuts, 'count'),
        ],
      },
    };
  });
}
