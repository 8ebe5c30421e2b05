import { fillsOf, type Fill, type ToFill } from './fills';

/** What is cut: how many of each length, and the sticks they may be cut from; lengths are whole tenths of a millimetre. */
export interface Bench {
  /** The longest first, each once. */
  lengths: readonly number[];
  /** Sold in any number, the shortest first. */
  sold: readonly number[];
  /** On hand, the shortest first, each once. */
  hand: readonly number[];
  /** Lost with every cut. */
  kerf: number;
}

/** One stick: which length it is, whether it was on hand, and how many of each length come out of it. */
export interface Pattern {
  stock: number;
  onHand: boolean;
  counts: readonly number[];
}

export interface Least {
  sticks: Pattern[];
  bought: number;
  /** Nothing cheaper is left to be tried. */
  proved: boolean;
}

/** What was found, and whether every way was tried. */
export interface Tried {
  found: Least | undefined;
  whole: boolean;
}

/** What a shorter stick holds is never cut from a longer one that is bought. */
export const overOf = ({ sold, kerf }: Bench, s: number): number => (sold[s - 1] ?? 0) + kerf;

/** How far it is tried. */
export interface Effort {
  /** Sticks placed before it is left at the best that was found. */
  nodes: number;
  /** Ways to fill one stick that are looked at, the fullest first, and that are made to find them. */
  fills: number;
  tried: number;
}

/**
 * Least stock to buy for pieces, by trying: the longest piece that is left goes into some stick, which is filled up in every
 * way that leaves no room for another, the fullest first.
 * @param counts how many of each length
 * @param hand how many of each length on hand
 * @param under only what buys less than this is looked for
 * @param enough nothing can buy less: it ends where that is found
 */
export function least(
  bench: Bench,
  counts: readonly number[],
  hand: readonly number[],
  effort: Effort,
  { under = Infinity, enough = 0 }: { under?: number; enough?: number } = {},
): Tried {
  const { lengths, sold } = bench;
  // A first way is gone through to its end, however many sticks that takes.
  const nodes = effort.nodes + counts.reduce((sum, n) => sum + n, 0);
  const left = counts.slice();
  const free = hand.slice();
  const path: Pattern[] = [];
  /** The least bought so far at the same pieces left and sticks on hand. */
  const seen = new Map<string, number>();
  let best: Pattern[] | undefined;
  let bought = under;
  let placed = 0;
  let whole = true;

  const go = (spent: number): void => {
    const at = left.findIndex((n) => n > 0);
    if (at < 0) {
      if (spent < bought) [best, bought] = [path.slice(), spent];
      return;
    }
    if (bought <= enough || spent + atLeast(bench, left, free) >= bought) return;
    const key = `${left.join()}|${free.join()}`;
    if ((seen.get(key) ?? Infinity) <= spent) return;
    seen.set(key, spent);
    if (++placed > nodes) {
      whole = false;
      return;
    }
    const put = (stock: number, onHand: boolean, cost: number, fill: readonly number[]): void => {
      fill.forEach((n, i) => (left[i] = (left[i] as number) - n));
      path.push({ stock, onHand, counts: fill });
      go(spent + cost);
      path.pop();
      fill.forEach((n, i) => (left[i] = (left[i] as number) + n));
    };
    bench.hand.forEach((stock, h) => {
      if ((free[h] as number) === 0 || stock < (lengths[at] as number)) return;
      free[h] = (free[h] as number) - 1;
      const { fills, all } = fullest(bench, left, { stock, over: 0, holds: at }, effort);
      whole &&= all;
      for (const { counts: fill } of fills) if (placed <= nodes) put(stock, true, 0, fill);
      free[h] = (free[h] as number) + 1;
    });
    for (let s = sold.length - 1; s >= 0; s--) {
      const stock = sold[s] as number;
      if (stock < (lengths[at] as number)) break;
      const { fills, all } = fullest(bench, left, { stock, over: overOf(bench, s), holds: at }, effort);
      whole &&= all;
      for (const { counts: fill } of fills) if (placed <= nodes) put(stock, false, stock, fill);
    }
  };
  go(0);
  return { found: best && { sticks: best, bought, proved: whole }, whole };
}

/** The fullest ways to fill a stick with a piece of one length in it, and whether they are all there are. */
function fullest(
  bench: Bench,
  left: readonly number[],
  stick: ToFill,
  { fills: most, tried }: Effort,
): { fills: Fill[]; all: boolean } {
  const { fills, all } = fillsOf(bench, left, stick, { found: Infinity, steps: tried });
  fills.sort((a, b) => b.taken - a.taken);
  return { fills: fills.slice(0, most), all: all && fills.length <= most };
}

/**
 * No way to cut buys less: the material there is in the pieces, and a stick of its own for each piece that leaves no
 * room for another such.
 * @param more what is cut besides, in parts of any length, with its cuts
 */
export function atLeast(
  { lengths, sold, hand, kerf }: Bench,
  left: readonly number[],
  free: readonly number[],
  more = 0,
): number {
  const longest = sold.at(-1) ?? 0;
  const onHand = hand.reduce((sum, stock, h) => sum + (stock + kerf) * (free[h] as number), 0);
  const need = lengths.reduce((sum, mm, i) => sum + (mm + kerf) * (left[i] as number), more) - onHand;
  // A cut more is saved with each stick, and most of them with the shortest.
  const material =
    need <= 0 ? 0 : Math.ceil((need * (sold[0] as number)) / ((sold[0] as number) + kerf) - 1e-6);
  // The pieces too long for two in any stick; as many as there are sticks on hand may lie in those.
  let spare = free.reduce((sum, n) => sum + n, 0);
  let own = 0;
  const widest = Math.max(longest, hand.at(-1) ?? 0);
  for (let i = 0; i < lengths.length && 2 * ((lengths[i] as number) + kerf) > widest + kerf; i++) {
    const alone = Math.max(0, (left[i] as number) - spare);
    spare -= (left[i] as number) - alone;
    own += alone * (sold.find((stock) => stock >= (lengths[i] as number)) ?? longest);
  }
  return Math.max(material, own, need > 0 ? (sold[0] as number) : 0);
}

/** The least that sticks as they are sold come to, and no less than so much. */
export function soldSum(sold: readonly number[], need: number): number {
  if (need <= 0) return 0;
  const [longest = 0, ...rest] = [...sold].sort((a, b) => b - a);
  let best = Infinity;
  for (let n = Math.ceil(need / longest); n >= 0; n--) {
    const left = need - n * longest;
    if (left <= 0) best = Math.min(best, n * longest);
    else if (rest.length > 0) best = Math.min(best, n * longest + soldSum(rest, left));
  }
  return best;
}
