import { EPS } from './geometry';
import type { Survey } from './survey';

/** A piece on the sheet it is cut from, mm from the sheet's corner: along it and across it. */
export interface SheetPiece {
  face: string;
  /** Its place in the list of boards. */
  board: number;
  x: number;
  y: number;
  lengthMm: number;
  widthMm: number;
}

export interface SheetDrawn {
  sheet: number;
  lengthMm: number;
  widthMm: number;
  pieces: SheetPiece[];
}

interface Free {
  x: number;
  y: number;
  length: number;
  width: number;
}

/**
 * Where each piece lies on its sheet: the widest and longest first, each in the least that holds it, cut across the
 * sheet before it is ripped, as the pieces were shared out.
 */
export function sheetsDrawn({ boards, faces }: Pick<Survey, 'boards' | 'faces'>): SheetDrawn[] {
  const laid = new Map(faces.map((face) => [face.id, face.laid]));
  const sheets = new Map<number, SheetDrawn>();
  boards.forEach(({ face, rect: [u0, v0, u1, v1], stockMm, sheet }, board) => {
    const how = laid.get(face);
    if (!how || sheet < 0) return;
    const [lengthMm, widthMm] = how.along === 'u' ? [u1 - u0, v1 - v0] : [v1 - v0, u1 - u0];
    let drawn = sheets.get(sheet);
    if (!drawn)
      sheets.set(sheet, (drawn = { sheet, lengthMm: stockMm, widthMm: how.boardWidthMm, pieces: [] }));
    drawn.pieces.push({ face, board, x: 0, y: 0, lengthMm, widthMm });
  });
  for (const drawn of sheets.values()) place(drawn);
  return [...sheets.values()].sort((a, b) => a.sheet - b.sheet);
}

function place({ lengthMm, widthMm, pieces }: SheetDrawn): void {
  const free: Free[] = [{ x: 0, y: 0, length: lengthMm, width: widthMm }];
  pieces.sort((a, b) => b.widthMm - a.widthMm || b.lengthMm - a.lengthMm);
  for (const piece of pieces) {
    const into = free
      .filter((one) => one.length >= piece.lengthMm - EPS && one.width >= piece.widthMm - EPS)
      .sort((a, b) => a.length * a.width - b.length * b.width)[0];
    if (!into) continue;
    [piece.x, piece.y] = [into.x, into.y];
    free.splice(
      free.indexOf(into),
      1,
      { ...into, x: into.x + piece.lengthMm, length: into.length - piece.lengthMm },
      {
        x: into.x,
        y: into.y + piece.widthMm,
        length: Math.min(into.length, piece.lengthMm),
        width: into.width - piece.widthMm,
      },
    );
  }
}
