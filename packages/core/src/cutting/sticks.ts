import { everySplit, likelyPartings, likelySplit, type Partings, type Splits, type Stock } from './splices';
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
export const TENTH = 10;
/** Many pieces: an answer at once. Few: every way is tried. */
const MANY: Effort = { nodes: 120, fills: 6, tried: 150 };
const FEW: Effort = { nodes: 20000, fills: 4096, tried: 100000 };
const FEW_PIECES = 12;
/** Pieces that are spliced, of which every way is tried. */
const FEW_LONG = 3;
/** Ways to splice that are tried at once, and where there is time. */
const AT_ONCE = 30;
export const WITH_TIME = 20000;
/** Of so few every way to cut one stick as little as can be is tried, for the longest offcut. */
const FEWEST_PIECES = 8;
/** Of more so many, and of very many none. */
const OFFCUT_TESTS = 12;
const MOST_FOR_OFFCUT = 60;

/** The bench, how many of each length are cut on it, and how many there are of each stick on hand. */
export interface OnBench {
  bench: Bench;
  counts: number[];
  free: number[];
}

/** What is to be cut, sorted for the bench. */
export interface Prepared extends OnBench {
  parts: Part[];
  splices: number;
  /** No way to cut buys less, in tenths of a millimetre, however long pieces are spliced. */
  bound: number;
}

/** Lengths that are sold and that are on hand, in tenths of a millimetre. */
const stockOf = ({ soldMm, onHand = [] }: ToCut) => {
  if (soldMm.length === 0) throw new Error('Sticks are cut from lengths that are sold.');
  const had = new Map<number, number>();
  for (const { lengthMm, count } of onHand) {
    const length = Math.floor(lengthMm * TENTH + 1e-6);
    if (count > 0) had.set(length, (had.get(length) ?? 0) + count);
  }
  return { sold: [...new Set(soldMm.map((mm) => Math.floor(mm * TENTH + 1e-6)))].sort((a, b) => a - b), had };
};

const benchOf = (
  { sold, had }: ReturnType<typeof stockOf>,
  parts: readonly Part[],
  kerfMm: number,
  shortest?: number,
): OnBench => {
  const lengths = [...new Set(parts.map(({ mm }) => tenths(mm)))].sort((a, b) => b - a);
  const least = shortest ?? lengths.at(-1) ?? 0;
  const hand = [...had.keys()].filter((length) => length >= least).sort((a, b) => a - b);
  return {
    bench: { lengths, sold, hand, kerf: Math.round(kerfMm * TENTH) },
    counts: lengths.map((length) => parts.filter(({ mm }) => tenths(mm) === length).length),
    free: hand.map((length) => had.get(length) as number),
  };
};

/**
 * What is to be cut, with its long pieces spliced in a certain way.
 * @param splits the parts of the pieces that are spliced, tenths of a millimetre
 * @throws where nothing is sold
 */
export function prepared(toCut: ToCut, splits: Splits = new Map()): Prepared {
  const stock = stockOf(toCut);
  const { piecesMm, kerfMm } = toCut;
  const parts = piecesMm.flatMap((mm, piece): Part[] => {
    const split = splits.get(piece);
    if (mm <= 0) return [];
    return split && split.length > 1
      ? split.map((part, n) => ({ piece, mm: part / TENTH, part: [n + 1, split.length] }))
      : [{ piece, mm }];
  });
  const splices = parts.length - piecesMm.filter((mm) => mm > 0).length;
  const { more, ...whole } = withoutSpliced(toCut, splits);
  const bound = soldSum(stock.sold, atLeast(whole.bench, whole.counts, whole.free, more));
  return { ...benchOf(stock, parts, kerfMm), parts, splices, bound };
}

const cutWhole = ({ piecesMm }: ToCut, splits: Splits): Part[] =>
  piecesMm.flatMap((mm, piece) => (mm > 0 && !splits.has(piece) ? [{ piece, mm }] : []));

/**
 * What is cut whole, and how much material, with its cuts, is spliced of parts of any length: what holds for it holds for
 * every way to splice.
 */
export function withoutSpliced(toCut: ToCut, splits: Splits): OnBench & { more: number } {
  const { piecesMm, kerfMm } = toCut;
  const whole = cutWhole(toCut, splits);
  // A part of a splice may come out of a stick that is too short for all else.
  const made = benchOf(stockOf(toCut), whole, kerfMm, splits.size > 0 ? 0 : undefined);
  const more = [...splits.keys()].reduce(
    (sum, piece) => sum + tenths(piecesMm[piece] as number) + made.bench.kerf,
    0,
  );
  return { ...made, more };
}

/** What is cut, with the likely ways to part what is spliced. */
export function withPartings(toCut: ToCut, splits: Splits, most: number): OnBench & { partings: Partings[] } {
  const stock = stockOf(toCut);
  const pieces = toCut.piecesMm.map(tenths);
  const long = [...splits.keys()];
  const ways = likelyPartings(splicingOf(toCut), pieces, long, most);
  const whole = cutWhole(toCut, splits);
  const parts = [...ways.values()].flat(2).map((part) => ({ piece: -1, mm: part / TENTH }));
  const { bench, free } = benchOf(stock, [...whole, ...parts], toCut.kerfMm);
  return {
    bench,
    free,
    counts: bench.lengths.map((length) => whole.filter(({ mm }) => tenths(mm) === length).length),
    partings: Array.from(ways, ([length, own]) => ({
      pieces: long.filter((i) => pieces[i] === length),
      ways: own,
    })),
  };
}

/** What pieces may be spliced of. */
function splicingOf(toCut: ToCut): Stock {
  const { sold, had } = stockOf(toCut);
  return {
    sold,
    hand: [...had.keys()],
    kerf: Math.round(toCut.kerfMm * TENTH),
    onHand: (over) => [...had].reduce((sum, [length, count]) => sum + (length > over ? count : 0), 0),
  };
}

/**
 * Sticks to buy and how to cut them: what is on hand is used up first, then least stock length is bought, then fewest
 * splices are made, and of ways that buy as little the one that leaves the longest offcut. Only a piece longer than any
 * stick that is sold is spliced, where it serves best. Of a dozen pieces every way is tried; of more it is an answer at
 * once, and `bestCutting` finds the rest.
 * @param tries ways to splice that are tried at most
 */
export function cutSticks(toCut: ToCut, tries = AT_ONCE): Cutting {
  const longest = Math.max(0, ...toCut.soldMm);
  const long = toCut.piecesMm.flatMap((mm, piece) => (mm > longest + 1 / TENTH ? [piece] : []));
  return long.length === 0 ? cutAs(toCut) : spliced(toCut, long, tries);
}

/** Pieces that are spliced, if any, in one certain way. */
function cutAs(toCut: ToCut): Cutting {
  const all = prepared(toCut);
  const { bench, parts, counts, free, bound } = all;
  if (parts.length === 0) return { sticks: [], boughtMm: 0, boundMm: 0, proved: true, splices: 0 };
  const effort = parts.length <= FEW_PIECES ? FEW : MANY;
  const { found } = least(bench, counts, free, effort, { enough: bound });
  return cuttingOf(all, found as Least, effort);
}

/** The best of the ways to splice what is longer than any stick. */
function spliced(toCut: ToCut, long: readonly number[], tries: number): Cutting {
  const stock = splicingOf(toCut);
  const pieces = toCut.piecesMm.map(tenths);
  const isFew = pieces.length <= FEW_PIECES && long.length <= FEW_LONG;
  const effort = isFew ? FEW : MANY;
  let best: { all: Prepared; found: Least } | undefined;
  let proved = true;
  const judge = (splits: Splits): boolean => {
    const all = prepared(toCut, splits);
    // As little as can be is bought already, with as few splices.
    if (best && best.found.bought <= all.bound && all.splices >= best.all.splices) return false;
    const under = best ? best.found.bought + (all.splices < best.all.splices ? 1 : 0) : Infinity;
    const { found, whole } = least(all.bench, all.counts, all.free, effort, { under, enough: all.bound });
    proved &&= whole;
    if (!found) return false;
    best = { all, found };
    return true;
  };
  const whole = isFew
    ? everySplit(stock, pieces, long, { tries, judge })
    : likelySplit(stock, pieces, long, { tries, judge });
  const { all, found } = best as unknown as { all: Prepared; found: Least };
  return cuttingOf(all, { ...found, proved: isFew && whole && proved }, effort);
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

export const tenths = (mm: number): number => Math.ceil(mm * TENTH - 1e-6);

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
    const { found } = least(bench, rest, spare, effort, { under: bought - cost + 1, enough: bought - cost });
    if (found) return [...found.sticks, stick];
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
