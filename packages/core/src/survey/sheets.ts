import { EPS } from './geometry';

/** A piece of board as it hangs: along the board and across it, mm. */
export interface Piece {
  lengthMm: number;
  widthMm: number;
  boardWidthMm: number;
}

/** Where a piece is cut from. */
export interface Source {
  /** Sheet it is cut from, counted from 0 in the order they are opened. */
  sheet: number;
  stockMm: number;
  /** It is cut from what another piece left. */
  offcut: boolean;
}

export interface Sheets {
  sources: Source[];
  /** Sheets to buy, by width and length, mm. */
  bought: { widthMm: number; lengthMm: number; count: number }[];
  boughtM2: number;
  /** Bought and not hung. */
  wasteM2: number;
}

/** Offcuts smaller than this are not kept, mm. */
const KEEP_MM = 150;

interface Offcut {
  sheet: number;
  stockMm: number;
  length: number;
  width: number;
  /** Of the full width, with both tapered edges. */
  whole: boolean;
}

/**
 * Cuts pieces out of sheets, the large ones first, each from the smallest offcut that holds it or else from the
 * shortest sheet that does. Full-width pieces come only from full-width offcuts, so that seams keep their tapers.
 */
export function cutSheets(pieces: readonly Piece[], lengthsMm: readonly number[]): Sheets {
  const sources: Source[] = pieces.map(() => ({ sheet: -1, stockMm: 0, offcut: false }));
  const offcuts: Offcut[] = [];
  const opened: { widthMm: number; lengthMm: number }[] = [];
  const stock = [...lengthsMm].sort((a, b) => a - b);
  const order = pieces
    .map((_, i) => i)
    .sort((i, j) => {
      const [a, b] = [pieces[i] as Piece, pieces[j] as Piece];
      return b.widthMm - a.widthMm || b.lengthMm - a.lengthMm;
    });
  let used = 0;
  for (const i of order) {
    const piece = pieces[i] as Piece;
    const whole = piece.widthMm > piece.boardWidthMm - EPS;
    used += piece.lengthMm * piece.widthMm;
    let best = -1;
    offcuts.forEach((o, k) => {
      if (o.length < piece.lengthMm - EPS || o.width < piece.widthMm - EPS || (whole && !o.whole)) return;
      const held = offcuts[best];
      if (!held || o.length * o.width < held.length * held.width) best = k;
    });
    let from = offcuts[best];
    if (from) offcuts.splice(best, 1);
    else {
      const lengthMm = stock.find((s) => s >= piece.lengthMm - EPS) ?? stock.at(-1) ?? piece.lengthMm;
      opened.push({ widthMm: piece.boardWidthMm, lengthMm });
      from = {
        sheet: opened.length - 1,
        stockMm: lengthMm,
        length: lengthMm,
        width: piece.boardWidthMm,
        whole: true,
      };
    }
    sources[i] = { sheet: from.sheet, stockMm: from.stockMm, offcut: best >= 0 };
    const rest: Offcut[] = [
      { ...from, length: from.length - piece.lengthMm },
      { ...from, length: piece.lengthMm, width: from.width - piece.widthMm, whole: false },
    ];
    offcuts.push(...rest.filter((o) => o.length > KEEP_MM && o.width > KEEP_MM / 3));
  }
  const counts = new Map<string, Sheets['bought'][number]>();
  for (const { widthMm, lengthMm } of opened) {
    const key = `${widthMm}×${lengthMm}`;
    const line = counts.get(key) ?? { widthMm, lengthMm, count: 0 };
    line.count++;
    counts.set(key, line);
  }
  const area = opened.reduce((sum, s) => sum + s.widthMm * s.lengthMm, 0);
  return {
    sources,
    bought: [...counts.values()].sort((a, b) => a.widthMm - b.widthMm || a.lengthMm - b.lengthMm),
    boughtM2: area / 1e6,
    wasteM2: Math.max(0, area - used) / 1e6,
  };
}
