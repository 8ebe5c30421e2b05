import { atLeast, least, soldSum, type Bench, type Effort, type Least, type Pattern } from './least';

/** Sticks of one length on hand. */
export interface OnHand {
  lengthMm: number;
  count: number;
}

/** What is to be cut. */
export interface ToCut {
  piecesMm: readonly number[];
  /** Lengths that are sold, mm. */
  soldMm: readonly number[];
  onHand?: readonly OnHand[];
  /** Lost with every cut, mm. */
  kerfMm: number;
}

/** A piece, or a part of one that is longer than any stick. */
export interface Part {
  /** Index of the piece. */
  piece: number;
  mm: number;
  /** It is spliced: the how manieth part of how many. */
  part?: [n: number, of: number];
}

/** One stick and what is cut from it, the longest first. */
export interface CutStick {
  stockMm: number;
  onHand: boolean;
  parts: Part[];
  /** What is left when all is cut, mm. */
  offcutMm: number;
}

export interface Cutting {
  sticks: CutStick[];
  boughtMm: number;
  /** No way to cut buys less, mm. */
  boundMm: number;
  /** Nothing less can be bought. */
  proved: boolean;
  /** Pieces put together of parts, each joint of two counted. */
  splices: number;
}

/** Tenths of a millimetre, so that what fits to the hair fits. */
const TENTH = 10;
/** Many pieces: an answer at once. Few: every way is tried. */
const MANY: Effort = { nodes: 120, fills: 6, tried: 150 };
const FEW: Effort = { nodes: 20000, fills: 4096, tried: 100000 };
const FEW_PIECES = 12;
/** Of so few every way to cut one stick as little as can be is tried, for the longest offcut. */
const FEWEST_PIECES = 8;
/** Of more so many, and of very many none. */
const OFFCUT_TESTS = 12;
const MOST_FOR_OFFCUT = 60;

/** What is to be cut, sorted for the bench. */
export interface Prepared {
  bench: Bench;
  parts: Part[];
  /** How many of each length, and how many of each stick on hand. */
  counts: number[];
  free: number[];
  splices: number;
  /** No way to cut buys less, in tenths of a millimetre. */
  bound: number;
}

/** @throws where nothing is sold */
export function prepared({ piecesMm, soldMm, onHand = [], kerfMm }: ToCut): Prepared {
  if (soldMm.length === 0) throw new Error('Sticks are cut from lengths that are sold.');
  const sold = [...new Set(soldMm.map((mm) => Math.floor(mm * TENTH + 1e-6)))].sort((a, b) => a - b);
  const longest = sold.at(-1) as number;
  const parts = piecesMm.flatMap((mm, piece) => spliced(mm, piece, longest / TENTH));
  const lengths = [...new Set(parts.map(({ mm }) => tenths(mm)))].sort((a, b) => b - a);
  const counts = lengths.map((length) => parts.filter(({ mm }) => tenths(mm) === length).length);
  const shortest = lengths.at(-1) ?? 0;
  const had = new Map<number, number>();
  for (const { lengthMm, count } of onHand) {
    const length = Math.floor(lengthMm * TENTH + 1e-6);
    if (length >= shortest && count > 0) had.set(length, (had.get(length) ?? 0) + count);
  }
  const hand = [...had.keys()].sort((a, b) => a - b);
  const free = hand.map((length) => had.get(length) as number);
  const bench: Bench = { lengths, sold, hand, kerf: Math.round(kerfMm * TENTH) };
  const splices = parts.length - piecesMm.filter((mm) => mm > 0).length;
  return { bench, parts, counts, free, splices, bound: soldSum(sold, atLeast(bench, counts, free)) };
}

/**
 * Sticks to buy and how to cut them: what is on hand is used up first, then least stock length is bought, and of ways that
 * buy as little the one that leaves the longest offcut. A piece longer than any stick is spliced, of whole sticks and a rest.
 * Of a dozen pieces every way is tried; of more it is an answer at once, and `bestCutting` finds the rest.
 */
export function cutSticks(toCut: ToCut): Cutting {
  const all = prepared(toCut);
  const { bench, parts, counts, free, bound } = all;
  if (parts.length === 0) return { sticks: [], boughtMm: 0, boundMm: 0, proved: true, splices: 0 };
  const effort = parts.length <= FEW_PIECES ? FEW : MANY;
  const found = least(bench, counts, free, effort, { enough: bound }) as Least;
  return cuttingOf(all, found, effort);
}

/** A way to cut, told in millimetres and pieces. */
export function cuttingOf(all: Prepared, found: Least, effort = MANY): Cutting {
  const { bench, parts, counts, free, splices } = all;
  const bound = found.proved ? found.bought : all.bound;
  return {
    sticks: laidOut(withLongestOffcut(bench, counts, free, found, effort), bench, parts),
    boughtMm: found.bought / TENTH,
    boundMm: bound / TENTH,
    proved: bound >= found.bought,
    splices,
  };
}

const tenths = (mm: number): number => Math.ceil(mm * TENTH - 1e-6);

/** A piece, or the parts of one that is longer than the longest stick: whole sticks and a rest. */
function spliced(mm: number, piece: number, longestMm: number): Part[] {
  if (mm <= 0) return [];
  const of = Math.max(1, Math.ceil(mm / longestMm - 1e-6));
  if (of === 1) return [{ piece, mm: Math.min(mm, longestMm) }];
  return Array.from({ length: of }, (_, n): Part => {
    const last = mm - (of - 1) * longestMm;
    return { piece, mm: n < of - 1 ? longestMm : last, part: [n + 1, of] };
  });
}

const takenBy = ({ counts }: Pick<Pattern, 'counts'>, { lengths, kerf }: Bench): number =>
  counts.reduce((sum, n, i) => sum + n * ((lengths[i] as number) + kerf), 0);

/** What is left of a stick; nothing where the last cut takes it. */
const offcutOf = (pattern: Pattern, bench: Bench): number =>
  Math.max(0, pattern.stock - takenBy(pattern, bench));

/**
 * Of ways to cut that buy as little the one that leaves the longest offcut: one stick is cut as little as can be, as long
 * as the rest still comes out of what is bought.
 */
function withLongestOffcut(
  bench: Bench,
  counts: readonly number[],
  free: readonly number[],
  { sticks, bought }: Least,
  effort: Effort,
): Pattern[] {
  const pieces = counts.reduce((sum, n) => sum + n, 0);
  if (pieces > MOST_FOR_OFFCUT) return [...sticks];
  const longest = Math.max(...sticks.map((stick) => offcutOf(stick, bench)));
  const few = fewOf(bench, counts);
  const types = [
    ...bench.sold.map((stock) => ({ stock, onHand: false })),
    ...bench.hand.map((stock) => ({ stock, onHand: true })),
  ];
  const tests = types
    .flatMap(({ stock, onHand }) =>
      few
        .map((pattern) => ({ stock, onHand, counts: pattern }))
        .filter((one) => takenBy(one, bench) <= stock),
    )
    .map((stick) => ({ stick, offcut: offcutOf(stick, bench) }))
    .sort((a, b) => b.offcut - a.offcut)
    .slice(0, effort === FEW ? Infinity : OFFCUT_TESTS);
  for (const { stick, offcut } of tests) {
    if (offcut <= longest) break;
    const cost = stick.onHand ? 0 : stick.stock;
    const rest = counts.map((n, i) => n - (stick.counts[i] as number));
    const spare = free.map((n, h) => (stick.onHand && bench.hand[h] === stick.stock ? n - 1 : n));
    const made = least(bench, rest, spare, effort, { under: bought - cost + 1, enough: bought - cost });
    if (made) return [...made.sticks, stick];
  }
  return [...sticks];
}

/** Few pieces together, as little of length as can be first: every choice of a handful of pieces, else one, two or three. */
function fewOf({ lengths }: Bench, counts: readonly number[]): number[][] {
  const pieces = counts.reduce((sum, n) => sum + n, 0);
  const most =
    pieces <= FEWEST_PIECES ? FEWEST_PIECES : lengths.length <= 12 ? 3 : lengths.length <= 60 ? 2 : 1;
  const made: number[][] = [];
  const taken = counts.map(() => 0);
  const take = (i: number, spare: number): void => {
    if (i === counts.length) {
      if (spare < most) made.push(taken.slice());
      return;
    }
    for (let n = 0; n <= Math.min(spare, counts[i] as number); n++) {
      taken[i] = n;
      take(i + 1, spare - n);
    }
    taken[i] = 0;
  };
  take(0, most);
  const length = (one: readonly number[]): number =>
    one.reduce((sum, n, i) => sum + n * (lengths[i] as number), 0);
  return made.sort((a, b) => length(a) - length(b));
}

/** Which piece comes out of which stick: full sticks first, and in each the longest piece first. */
function laidOut(patterns: readonly Pattern[], bench: Bench, parts: readonly Part[]): CutStick[] {
  const waiting = bench.lengths.map((length) => parts.filter(({ mm }) => tenths(mm) === length));
  return [...patterns]
    .sort((a, b) => b.stock - a.stock || offcutOf(a, bench) - offcutOf(b, bench))
    .map((pattern) => ({
      stockMm: pattern.stock / TENTH,
      onHand: pattern.onHand,
      parts: pattern.counts.flatMap((n, i) => (waiting[i] as Part[]).splice(0, n)),
      offcutMm: offcutOf(pattern, bench) / TENTH,
    }));
}
