import { fillsOf } from './fills';
import { overOf, type Bench, type Least, type Pattern } from './least';
import type { Partings, Splits } from './splices';
import {
  cutSticks,
  cuttingOf,
  prepared,
  TENTH,
  tenths,
  withoutSpliced,
  withPartings,
  WITH_TIME,
  type Cutting,
  type OnBench,
  type ToCut,
} from './sticks';

/** What a solver of integer programs makes of one: how often each pattern is cut; none where it found nothing. */
export type Solve = (program: string) => { times: readonly number[]; proved: boolean } | undefined;

/** Ways to part one piece that a program chooses among. */
const MOST_PARTINGS = 8;

/** More ways to fill a stick than this are not written down. */
const MOST_PATTERNS = 40000;

/**
 * The best way to cut any number of pieces: every way to fill a stick that leaves no room for another piece is a column of
 * an integer program, which says how often each is cut. Where pieces are spliced is chosen
 * among the likely places; that no other place buys less is proved by a program in which their parts may be of any length,
 * out of as many sticks as there are parts.
 * @returns none where there are too many such ways, or the solver found none
 */
export function bestCutting(toCut: ToCut, solve: Solve): Cutting | undefined {
  const known = cutSticks(toCut, WITH_TIME);
  const spliced = splitsIn(known);
  const cutBy = (splits: Splits): Cutting | undefined => {
    const all = prepared(toCut, splits);
    const made = solved(all, solve)?.least;
    return made && cuttingOf(all, made);
  };
  if (spliced.size === 0) return cutBy(spliced);
  if (known.proved) return known;
  const better = cutBy(betterSplits(toCut, spliced, solve) ?? spliced);
  if (!better) return undefined;
  const found = better.boughtMm < known.boughtMm ? better : known;
  const { more, ...whole } = withoutSpliced(toCut, spliced);
  const parts = [...spliced.values()].reduce((sum, split) => sum + split.length, 0);
  const anywhere = solved(whole, solve, { anywhere: { more, parts } })?.least;
  const boundMm = Math.max(known.boundMm, anywhere?.proved ? anywhere.bought / TENTH : 0);
  return { ...found, boundMm, proved: boundMm >= found.boughtMm };
}

/** Where pieces are spliced best, of the likely places: a program chooses among them as it fills the sticks. */
function betterSplits(toCut: ToCut, spliced: Splits, solve: Solve): Splits | undefined {
  const { bench, counts, free, partings } = withPartings(toCut, spliced, MOST_PARTINGS);
  const chosen = solved({ bench, counts, free }, solve, { partings })?.chosen;
  if (!chosen) return undefined;
  const splits = new Map<number, readonly number[]>();
  let next = 0;
  for (const { pieces, ways } of partings) {
    const parts = ways.flatMap((way) => Array<readonly number[]>(Math.round(chosen[next++] ?? 0)).fill(way));
    pieces.forEach((piece, i) => splits.set(piece, parts[i] ?? (ways[0] as readonly number[])));
  }
  return splits;
}

/** What a program is made of beside the pieces that are cut whole. */
interface Besides {
  /** So much material, with its cuts, in so many parts of any length, tenths of a millimetre. */
  anywhere?: { more: number; parts: number };
  /** Pieces that are spliced, by the ways they may be parted. */
  partings?: readonly Partings[];
}

function solved(
  { bench, counts, free }: OnBench,
  solve: Solve,
  { anywhere, partings = [] }: Besides = {},
): { least: Least; chosen: readonly number[] } | undefined {
  const most = counts.map((n, i) => n + partedInto(partings, bench.lengths[i] as number));
  const full = patternsOf(bench, most, free);
  if (!full) return undefined;
  const open = anywhere ? openPatterns(bench, counts, free) : [];
  if (!open) return undefined;
  const patterns = [...full, ...open];
  if (patterns.length === 0) return undefined;
  const program = programOf(bench, counts, free, { patterns, partings, anywhere, openFrom: full.length });
  const found = solve(program);
  if (!found) return undefined;
  const cut = patterns.flatMap((pattern, p) => Array<Pattern>(Math.round(found.times[p] ?? 0)).fill(pattern));
  const sticks = anywhere ? cut : withoutExtra(cut, counts);
  const bought = sticks.reduce((sum, { stock, onHand }) => sum + (onHand ? 0 : stock), 0);
  return {
    least: { sticks, bought, proved: found.proved },
    chosen: found.times.slice(patterns.length),
  };
}

/** As many parts of a length as there may be, however pieces are parted. */
const partedInto = (partings: readonly Partings[], length: number): number =>
  partings.reduce(
    (sum, { pieces, ways }) =>
      sum + pieces.length * Math.max(0, ...ways.map((way) => way.filter((part) => part === length).length)),
    0,
  );

/** How pieces are spliced in a way to cut. */
function splitsIn({ sticks }: Cutting): Splits {
  const splits = new Map<number, number[]>();
  for (const { piece, mm, part } of sticks.flatMap(({ parts }) => parts))
    if (part) splits.set(piece, [...(splits.get(piece) ?? []), tenths(mm)]);
  return splits;
}

/** Every way to fill a stick; none where there are too many. */
function patternsOf(bench: Bench, counts: readonly number[], free: readonly number[]): Pattern[] | undefined {
  const { sold, hand } = bench;
  const sticks = [
    ...sold.map((stock, s) => ({ stock, onHand: false, over: overOf(bench, s) })),
    ...hand.flatMap((stock, h) => ((free[h] as number) > 0 ? [{ stock, onHand: true, over: 0 }] : [])),
  ];
  const found: Pattern[] = [];
  for (const { stock, onHand, over } of sticks) {
    const most = { found: MOST_PATTERNS - found.length, steps: Infinity };
    const { fills, all } = fillsOf(bench, counts, { stock, over }, most);
    if (!all) return undefined;
    for (const fill of fills) found.push({ stock, onHand, counts: fill.counts });
  }
  return found;
}

/** Every way to cut whole pieces from a stick and leave something of it; none where there are too many. */
function openPatterns(
  { sold, hand, lengths, kerf }: Bench,
  counts: readonly number[],
  free: readonly number[],
): Pattern[] | undefined {
  const found: Pattern[] = [];
  const taken = lengths.map(() => 0);
  const fill = (i: number, room: number, stick: Omit<Pattern, 'counts'>): void => {
    if (found.length > MOST_PATTERNS) return;
    if (i === lengths.length) {
      found.push({ ...stick, counts: taken.slice() });
      return;
    }
    const each = (lengths[i] as number) + kerf;
    for (let n = 0; n <= (counts[i] as number) && n * each <= room; n++) {
      taken[i] = n;
      fill(i + 1, room - n * each, stick);
    }
    taken[i] = 0;
  };
  for (const stock of sold) fill(0, stock + kerf, { stock, onHand: false });
  hand.forEach((stock, h) => {
    if ((free[h] as number) > 0) fill(0, stock + kerf, { stock, onHand: true });
  });
  return found.length > MOST_PATTERNS ? undefined : found;
}

/** The program in the plain text that solvers read: least stock bought, every piece cut, no more on hand than there is. */
function programOf(
  { hand, lengths, kerf }: Bench,
  counts: readonly number[],
  free: readonly number[],
  {
    patterns,
    partings,
    anywhere,
    openFrom,
  }: Pick<Besides, 'anywhere'> & {
    partings: readonly Partings[];
    patterns: readonly Pattern[];
    /** From here on they leave something of their stick to parts of any length. */
    openFrom: number;
  },
): string {
  const sum = (of: (pattern: Pattern, p: number) => number): string =>
    patterns
      .flatMap((pattern, p) => {
        const n = of(pattern, p);
        return n > 0 ? [`${n} x${p}`] : [];
      })
      .join(' + ');
  const cost = sum(({ onHand, stock }) => (onHand ? 0 : stock));
  // The ways to part come after the patterns.
  const ways = partings.flatMap((parting, k) => parting.ways.map((way) => ({ way, k })));
  const parted = (length: number): string =>
    ways
      .flatMap(({ way }, w) => {
        const n = way.filter((part) => part === length).length;
        return n > 0 ? [` - ${n} x${patterns.length + w}`] : [];
      })
      .join('');
  const pieces = counts.map(
    (n, i) =>
      ` p${i}: ${sum((pattern) => pattern.counts[i] as number)}${parted(lengths[i] as number)} >= ${n}`,
  );
  const each = partings.map(
    (parting, k) =>
      ` s${k}: ${ways.flatMap((one, w) => (one.k === k ? [`x${patterns.length + w}`] : [])).join(' + ')} = ${parting.pieces.length}`,
  );
  const limits = hand.flatMap((stock, h) => {
    const used = sum((pattern) => (pattern.onHand && pattern.stock === stock ? 1 : 0));
    return used === '' ? [] : [` h${h}: ${used} <= ${free[h]}`];
  });
  const roomIn = ({ stock, counts: own }: Pattern): number =>
    own.reduce((room, n, i) => room - n * ((lengths[i] as number) + kerf), stock + kerf);
  const material = anywhere
    ? [
        ` m: ${sum((pattern, p) => (p >= openFrom ? roomIn(pattern) : 0))} >= ${anywhere.more}`,
        ` k: ${sum((_, p) => (p >= openFrom ? 1 : 0))} <= ${anywhere.parts}`,
      ]
    : [];
  return [
    'Minimize',
    ` bought: ${cost === '' ? '0 x0' : cost}`,
    'Subject To',
    ...pieces,
    ...limits,
    ...material,
    ...each,
    'General',
    ` ${[...patterns, ...ways].map((_, p) => `x${p}`).join(' ')}`,
    'End',
  ].join('\n');
}

/** Patterns may come to more pieces than are wanted; the rest stays on the stick, and a stick with nothing to cut is left out. */
function withoutExtra(sticks: readonly Pattern[], counts: readonly number[]): Pattern[] {
  const left = counts.slice();
  return sticks.flatMap((stick) => {
    const own = stick.counts.map((n, i) => Math.min(n, left[i] as number));
    own.forEach((n, i) => (left[i] = (left[i] as number) - n));
    return own.some((n) => n > 0) ? [{ ...stick, counts: own }] : [];
  });
}
