import { EPS } from './geometry';

/** A piece of board as it is cut: along the board and across it, mm. */
export interface Piece {
  lengthMm: number;
  widthMm: number;
  boardWidthMm: number;
  /** What of it hangs, mm²: less than its rectangle where an opening or a slope is cut out of it. */
  hungMm2: number;
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
  hungM2: number;
  /** Bought and not hung: offcuts, and what is cut out for openings and slopes. */
  wasteM2: number;
}

/** Offcuts smaller than this are not kept, mm. */
const KEEP_MM = 150;

/** A sheet is filled with at most so many different lengths; more make a better fit only on paper. */
const DIFFERENT = 3;

/** A rest so short is as good as none, and after so many tries the best found is taken. */
const GOOD_MM = 5;
const MOST_TRIES = 300;

/** Equal pieces. */
interface Lot {
  lengthMm: number;
  widthMm: number;
  /** Their places in the list. */
  left: number[];
}

/**
 * Cuts pieces out of sheets so that little board is bought: each sheet is opened for the longest piece left and filled
 * with what leaves the least of it; pieces ripped narrower come out of what is left. Full-width pieces come only from
 * full-width board, so that seams keep their tapers. Tried with short sheets first, with long ones first, and with the
 * shortest for each piece; for each width of board the one that buys least is taken.
 */
export function cutSheets(pieces: readonly Piece[], lengthsMm: readonly number[]): Sheets {
  const stock = [...lengthsMm].sort((a, b) => a - b);
  const sources: Source[] = Array.from(pieces, () => ({ sheet: -1, stockMm: 0, offcut: false }));
  const opened: Sheet[] = [];
  for (const width of new Set(pieces.map((piece) => piece.boardWidthMm))) {
    const lots = lotsOf(pieces, width);
    const way = (['short', 'long', 'each'] as const)
      .map((fill) => new Cutting(width, lots, stock, fill))
      .reduce((best, one) => (one.boughtMm < best.boughtMm - EPS ? one : best));
    for (const [i, source] of way.sources) sources[i] = { ...source, sheet: opened.length + source.sheet };
    opened.push(...way.opened);
  }
  const counts = new Map<string, Sheets['bought'][number]>();
  for (const { widthMm, lengthMm } of opened) {
    const key = `${widthMm}×${lengthMm}`;
    const line = counts.get(key) ?? { widthMm, lengthMm, count: 0 };
    line.count++;
    counts.set(key, line);
  }
  const boughtM2 = opened.reduce((sum, s) => sum + s.widthMm * s.lengthMm, 0) / 1e6;
  const hungM2 = pieces.reduce((sum, p) => sum + p.hungMm2, 0) / 1e6;
  return {
    sources,
    bought: [...counts.values()].sort((a, b) => a.widthMm - b.widthMm || a.lengthMm - b.lengthMm),
    boughtM2,
    hungM2,
    wasteM2: Math.max(0, boughtM2 - hungM2),
  };
}

/** What pieces left of a sheet, all of one size. */
interface Offcuts {
  length: number;
  width: number;
  /** Of the full width, with both tapered edges. */
  whole: boolean;
  sheets: number[];
}

interface Sheet {
  widthMm: number;
  lengthMm: number;
}

/** One way of cutting all pieces of one width of board. */
class Cutting {
  /** Where each piece is cut from, by its place in the list. */
  readonly sources = new Map<number, Source>();
  readonly opened: Sheet[] = [];
  boughtMm = 0;
  private readonly offcuts = new Map<number, Offcuts>();

  constructor(
    private readonly width: number,
    lots: readonly Lot[],
    private readonly stock: readonly number[],
    private readonly fill: 'short' | 'long' | 'each',
  ) {
    const own = lots.map((lot) => ({ ...lot, left: [...lot.left] }));
    const whole = own.filter((lot) => this.isWhole(lot));
    if (fill !== 'each') this.fillSheets(whole);
    for (const lot of fill === 'each' ? own : own.filter((one) => !whole.includes(one))) this.cutLot(lot);
  }

  private isWhole({ widthMm }: Lot): boolean {
    return widthMm > this.width - EPS;
  }

  /** Opens sheets for the longest pieces left and fills each with what leaves least. */
  private fillSheets(lots: Lot[]): void {
    for (const lot of lots) {
      while (lot.left.length > 0) {
        const best = this.fullest(lot, lots);
        const uses = countsOf(best.with);
        const times = Math.min(...[...uses].map(([one, n]) => Math.floor(one.left.length / n)));
        for (let n = 0; n < times; n++) {
          const sheet = this.open(best.stockMm);
          let rest = best.stockMm;
          best.with.forEach((one, i) => {
            this.take(one, sheet, best.stockMm, i > 0);
            rest -= one.lengthMm;
          });
          this.keep(rest, this.width, true, sheet);
        }
      }
    }
  }

  /** The stock length, and what is cut from it beside the first piece, that leave the least share of it. */
  private fullest(first: Lot, lots: readonly Lot[]): { stockMm: number; with: Lot[] } {
    let best = { stockMm: Math.max(first.lengthMm, this.stock.at(-1) ?? 0), with: [first] };
    let least = Infinity;
    // Of two that leave as little the first tried is taken.
    for (const stockMm of this.fill === 'long' ? [...this.stock].reverse() : this.stock) {
      if (stockMm < first.lengthMm - EPS) continue;
      const found = filling(stockMm - first.lengthMm, lots, first);
      const share = found.restMm / stockMm;
      if (share < least - 1e-9) {
        least = share;
        best = { stockMm, with: [first, ...found.with] };
      }
    }
    return best;
  }

  /** Cuts equal pieces from the smallest offcuts that hold them, or else from the sheets that buy least for them. */
  private cutLot(lot: Lot): void {
    const { lengthMm, widthMm, left } = lot;
    const whole = this.isWhole(lot);
    while (left.length > 0) {
      let from: Offcuts | undefined;
      for (const o of this.offcuts.values()) {
        if (o.length < lengthMm - EPS || o.width < widthMm - EPS || (whole && !o.whole)) continue;
        if (!from || o.length * o.width < from.length * from.width) from = o;
      }
      if (!from) {
        const stockMm = whole ? this.shortest(lengthMm) : this.cheapest(lot);
        const sheet = this.open(stockMm);
        this.take(lot, sheet, stockMm, false);
        this.split(stockMm, this.width, true, lot, sheet);
        continue;
      }
      const sheet = from.sheets.pop() as number;
      if (from.sheets.length === 0) this.offcuts.delete(keyOf(from));
      this.take(lot, sheet, (this.opened[sheet] as Sheet).lengthMm, true);
      this.split(from.length, from.width, from.whole, lot, sheet);
    }
  }

  private shortest(lengthMm: number): number {
    return this.stock.find((s) => s >= lengthMm - EPS) ?? Math.max(lengthMm, this.stock.at(-1) ?? 0);
  }

  /** The stock length that buys least board for all the equal pieces left; the shortest of equals. */
  private cheapest({ lengthMm, widthMm, left }: Lot): number {
    const side = Math.max(1, Math.floor((this.width + EPS) / widthMm));
    let best = this.shortest(lengthMm);
    const cost = (s: number): number =>
      s * Math.ceil(left.length / (side * Math.max(1, Math.floor((s + EPS) / lengthMm))));
    for (const s of this.stock) if (s >= lengthMm - EPS && cost(s) < cost(best) - EPS) best = s;
    return best;
  }

  private open(lengthMm: number): number {
    this.boughtMm += lengthMm;
    return this.opened.push({ widthMm: this.width, lengthMm }) - 1;
  }

  private take({ left }: Lot, sheet: number, stockMm: number, offcut: boolean): void {
    this.sources.set(left.pop() as number, { sheet, stockMm, offcut });
  }

  /** Crosscut first: what is left of the length keeps its width, and of the piece's own length a strip is left. */
  private split(length: number, width: number, whole: boolean, piece: Lot, sheet: number): void {
    this.keep(length - piece.lengthMm, width, whole, sheet);
    this.keep(Math.min(length, piece.lengthMm), width - piece.widthMm, false, sheet);
  }

  private keep(length: number, width: number, whole: boolean, sheet: number): void {
    if (length <= KEEP_MM || width <= KEEP_MM / 3) return;
    const offcut = { length, width, whole, sheets: [sheet] };
    const same = this.offcuts.get(keyOf(offcut));
    if (same) same.sheets.push(sheet);
    else this.offcuts.set(keyOf(offcut), offcut);
  }
}

/** To the tenth of a millimetre; a number, for a building has tens of thousands of pieces. */
const sizeOf = (lengthMm: number, widthMm: number): number =>
  Math.round(lengthMm * 10) * 1e6 + Math.round(widthMm * 10);

const keyOf = ({ length, width, whole }: Omit<Offcuts, 'sheets'>): number =>
  whole ? -sizeOf(length, width) : sizeOf(length, width);

/** Equal pieces of one board width together, the widest first and of those the longest. */
function lotsOf(pieces: readonly Piece[], boardWidthMm: number): Lot[] {
  const lots = new Map<number, Lot>();
  for (let i = pieces.length - 1; i >= 0; i--) {
    const { lengthMm, widthMm, boardWidthMm: width } = pieces[i] as Piece;
    if (width !== boardWidthMm) continue;
    const key = sizeOf(lengthMm, widthMm);
    const lot = lots.get(key);
    if (lot) lot.left.push(i);
    else lots.set(key, { lengthMm, widthMm, left: [i] });
  }
  return [...lots.values()].sort((a, b) => b.widthMm - a.widthMm || b.lengthMm - a.lengthMm);
}

const countsOf = (lots: readonly Lot[]): Map<Lot, number> => {
  const counts = new Map<Lot, number>();
  for (const lot of lots) counts.set(lot, (counts.get(lot) ?? 0) + 1);
  return counts;
};

/** The pieces that fill a length best, of at most a few different lengths, one of `taken` being gone already. */
function filling(roomMm: number, lots: readonly Lot[], taken: Lot): { restMm: number; with: Lot[] } {
  let best = { restMm: roomMm, with: [] as Lot[] };
  let tries = 0;
  const search = (from: number, rest: number, chosen: Lot[], kinds: number): void => {
    if (rest < best.restMm - EPS) best = { restMm: rest, with: chosen };
    if (kinds === 0 || best.restMm <= GOOD_MM || tries++ > MOST_TRIES) return;
    for (let k = from; k < lots.length; k++) {
      const lot = lots[k] as Lot;
      const there = lot.left.length - (lot === taken ? 1 : 0);
      const most = Math.min(there, Math.floor((rest + EPS) / lot.lengthMm));
      for (let n = most; n > 0; n--)
        search(
          k + 1,
          rest - n * lot.lengthMm,
          [...chosen, ...Array.from({ length: n }, () => lot)],
          kinds - 1,
        );
    }
  };
  search(0, roomMm, [], DIFFERENT);
  return best;
}
