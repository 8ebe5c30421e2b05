import { fillsOf } from './fills';
import { overOf, type Bench, type Least, type Pattern } from './least';
import { cuttingOf, prepared, type Cutting, type ToCut } from './sticks';

/** What a solver of integer programs makes of one: how often each pattern is cut; none where it found nothing. */
export type Solve = (program: string) => { times: readonly number[]; proved: boolean } | undefined;

/** More ways to fill a stick than this are not written down. */
const MOST_PATTERNS = 40000;

/**
 * The best way to cut any number of pieces: every way to fill a stick that leaves no room for another piece is a column of
 * an integer program, which says how often each is cut.
 * @returns none where there are too many such ways, or the solver found none
 */
export function bestCutting(toCut: ToCut, solve: Solve): Cutting | undefined {
  const all = prepared(toCut);
  const { bench, counts, free } = all;
  const patterns = patternsOf(bench, counts, free);
  if (!patterns || patterns.length === 0) return undefined;
  const solved = solve(programOf(bench, counts, free, patterns));
  if (!solved) return undefined;
  const sticks = withoutExtra(
    patterns.flatMap((pattern, p) => Array<Pattern>(Math.round(solved.times[p] ?? 0)).fill(pattern)),
    counts,
  );
  const bought = sticks.reduce((sum, { stock, onHand }) => sum + (onHand ? 0 : stock), 0);
  const found: Least = { sticks, bought, proved: solved.proved };
  return cuttingOf(all, found);
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

/** The program in the plain text that solvers read: least stock bought, every piece cut, no more on hand than there is. */
function programOf(
  { hand }: Bench,
  counts: readonly number[],
  free: readonly number[],
  patterns: readonly Pattern[],
): string {
  const sum = (of: (pattern: Pattern) => number): string =>
    patterns
      .flatMap((pattern, p) => {
        const n = of(pattern);
        return n > 0 ? [`${n} x${p}`] : [];
      })
      .join(' + ');
  const cost = sum(({ onHand, stock }) => (onHand ? 0 : stock));
  const pieces = counts.map((n, i) => ` p${i}: ${sum((pattern) => pattern.counts[i] as number)} >= ${n}`);
  const limits = hand.flatMap((stock, h) => {
    const used = sum((pattern) => (pattern.onHand && pattern.stock === stock ? 1 : 0));
    return used === '' ? [] : [` h${h}: ${used} <= ${free[h]}`];
  });
  return [
    'Minimize',
    ` bought: ${cost === '' ? '0 x0' : cost}`,
    'Subject To',
    ...pieces,
    ...limits,
    'General',
    ` ${patterns.map((_, p) => `x${p}`).join(' ')}`,
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
