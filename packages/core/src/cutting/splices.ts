/** The parts of pieces that are spliced, by their index, tenths of a millimetre. */
export type Splits = ReadonlyMap<number, readonly number[]>;

/** What pieces are cut from, in tenths of a millimetre. */
export interface Stock {
  sold: readonly number[];
  hand: readonly number[];
  kerf: number;
  /** How many are on hand that are longer than so much. */
  onHand: (length: number) => number;
}

/** Pieces of one length, and the ways they may be parted. */
export interface Partings {
  pieces: readonly number[];
  ways: readonly (readonly number[])[];
}

interface Trying {
  /** Ways that are tried at most. */
  tries: number;
  /** Whether a way is the best so far. */
  judge: (splits: Splits) => boolean;
}

/** No part of a spliced corner is shorter: it would not hold, mm / 10. */
const SHORTEST = 1500;
/** Of so many pieces every handful is put beside a part, of more one or two. */
const EVERY_HANDFUL = 6;
/** Partings of one piece that are looked at where there are many pieces. */
const MOST_LIKELY = 24;

/**
 * Ways to part a piece. A splice can be shifted until one of the two parts fills its stick, with whatever pieces lie in
 * it, or the other is as short as may be: no other place for it buys less.
 * @param beside what may lie in the same stick, with its cuts, by sums
 */
function partsOf(length: number, { sold, hand }: Stock, beside: readonly number[]): number[][] {
  const sticks = [...new Set([...sold, ...hand])].sort((a, b) => a - b);
  const widest = sticks.at(-1) as number;
  const found = new Map<string, number[]>();
  const add = (parts: readonly number[]): void => {
    if (parts.some((part) => part < SHORTEST || part > widest)) return;
    const sorted = [...parts].sort((a, b) => b - a);
    found.set(sorted.join(), sorted);
  };
  if (hand.some((stick) => stick >= length)) found.set('', [length]);
  const part = (left: number, before: readonly number[], more: number): void => {
    if (more > 2) {
      // Of three and more all but two are whole sticks.
      for (const stick of sticks) if (left > stick) part(left - stick, [...before, stick], more - 1);
      return;
    }
    for (const stick of sticks) for (const sum of beside) add([...before, stick - sum, left - (stick - sum)]);
    add([...before, SHORTEST, left - SHORTEST]);
  };
  // A stick on hand may be longer than any that is sold, and save a splice.
  const fewest = Math.max(2, Math.ceil(length / widest - 1e-9));
  const most = Math.max(fewest, Math.ceil(length / (sold.at(-1) as number) - 1e-9));
  for (let n = fewest; n <= most; n++) part(length, [], n);
  // A piece that is hardly longer than sticks end to end has no part so short.
  for (let n = most + 1; found.size === 0; n++) part(length, [], n);
  return [...found.values()].sort((a, b) => a.length - b.length || costOf(a, sold) - costOf(b, sold));
}

/** Whole sticks of the longest that is sold and a rest, which can be cut whatever is on hand. */
function safely(length: number, { sold }: Stock): number[] {
  const longest = sold.at(-1) as number;
  const whole = Math.ceil(length / longest - 1e-9) - 1;
  const rest = length - whole * longest;
  const short = Math.max(0, Math.min(SHORTEST, longest / 2) - rest);
  return [...Array<number>(whole - 1).fill(longest), longest - short, rest + short];
}

/** What the parts cost, each from a stick of its own. */
const costOf = (parts: readonly number[], sold: readonly number[]): number =>
  parts.reduce((sum, part) => sum + (sold.find((stick) => stick >= part) ?? 0), 0);

/** Sums of every handful of lengths, each with its cut. */
function sumsOf(lengths: readonly number[], kerf: number): number[] {
  const sums = new Set([0]);
  if (lengths.length <= EVERY_HANDFUL) {
    for (const length of lengths) for (const sum of [...sums]) sums.add(sum + length + kerf);
  } else {
    for (const [i, one] of lengths.entries()) {
      sums.add(one + kerf);
      for (const other of lengths.slice(i + 1)) sums.add(one + other + 2 * kerf);
    }
  }
  return [...sums];
}

/** Every order of a few. */
const ordersOf = (few: readonly number[]): number[][] =>
  few.length <= 1
    ? [[...few]]
    : few.flatMap((one) => ordersOf(few.filter((other) => other !== one)).map((rest) => [one, ...rest]));

/**
 * Tries every way to splice a few long pieces: the place of a splice depends on what lies in its stick, the parts of
 * others among it, so that they are parted one after the other, in every order.
 * @returns whether all ways were tried
 */
export function everySplit(
  stock: Stock,
  pieces: readonly number[],
  long: readonly number[],
  { tries, judge }: Trying,
): boolean {
  const short = pieces.filter((length, i) => length > 0 && !long.includes(i));
  const seen = new Set<string>();
  let left = tries;
  judge(new Map(long.map((i) => [i, safely(pieces[i] as number, stock)])));
  const longer = stock.onHand(stock.sold.at(-1) as number);
  const go = (order: readonly number[], n: number, splits: Map<number, readonly number[]>): void => {
    const piece = order[n];
    if (piece === undefined) {
      const key = long.map((i) => splits.get(i)?.join()).join('|');
      if (seen.has(key) || left <= 0) return;
      seen.add(key);
      left--;
      judge(new Map(splits));
      return;
    }
    const whole = [...splits.values()].filter((parts) => parts.length === 1).length;
    const beside = sumsOf([...short, ...[...splits.values()].flat()], stock.kerf);
    for (const parts of partsOf(pieces[piece] as number, stock, beside)) {
      if (left <= 0) return;
      if (parts.length === 1 && whole >= longer) continue;
      splits.set(piece, parts);
      go(order, n + 1, splits);
    }
    splits.delete(piece);
  };
  for (const order of ordersOf(long)) go(order, 0, new Map());
  return left > 0 && short.length + 2 * (long.length - 1) <= EVERY_HANDFUL;
}

/** The likely ways to part long pieces, by their lengths: whole sticks, and what one other piece leaves of a stick. */
export function likelyPartings(
  stock: Stock,
  pieces: readonly number[],
  long: readonly number[],
  most: number,
): Map<number, number[][]> {
  const short = [...new Set(pieces.filter((length, i) => length > 0 && !long.includes(i)))];
  const beside = [0, ...short.map((length) => length + stock.kerf)];
  return new Map(
    long.map((i) => {
      const length = pieces[i] as number;
      return [length, partsOf(length, stock, beside).slice(0, most)];
    }),
  );
}

/** Tries the likely ways to splice many: all pieces of one length alike, one length after the other. */
export function likelySplit(
  stock: Stock,
  pieces: readonly number[],
  long: readonly number[],
  { tries, judge }: Trying,
): boolean {
  const options = likelyPartings(stock, pieces, long, MOST_LIKELY);
  const chosen = new Map(Array.from(options.keys(), (length) => [length, safely(length, stock)]));
  const splits = (): Splits => new Map(long.map((i) => [i, chosen.get(pieces[i] as number) as number[]]));
  judge(splits());
  let left = Math.min(tries, MOST_LIKELY * 4);
  for (const [length, ways] of options) {
    let held = chosen.get(length) as number[];
    for (const parts of ways) {
      if (left-- <= 0) break;
      chosen.set(length, parts);
      if (judge(splits())) held = parts;
    }
    chosen.set(length, held);
  }
  return false;
}
