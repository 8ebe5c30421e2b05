import { EPS } from './geometry';

/** One row of boards: the stretches to cover, and the places a butt may stand in each. */
export interface Row {
  runs: { from: number; to: number; lines: ButtPlace[] }[];
  /** Across the boards, mm. */
  widthMm: number;
  /** Butts put by hand: the row is taken as it is. */
  fixed: boolean;
}

export interface ButtPlace {
  u: number;
  /** Length of the butt there, mm. */
  lengthMm: number;
  /** In line with the corner of an opening. */
  jamb: boolean;
}

export interface RowRules {
  lengthsMm: readonly number[];
  staggerMm: number;
  sliverMm: number;
}

/** What a layout costs, compared from the left: rules broken and butt length together, boards, waste. */
export interface Score {
  /** Rules broken, weighed so that no length of butt is worth one. */
  rules: number;
  buttMm: number;
  boards: number;
  wasteMm: number;
}

/** A rule broken, in mm of butt: a piece longer than stock, a sliver, no stagger, a butt at a jamb. */
const BROKEN = { overlong: 1e12, sliver: 1e10, stagger: 1e8, jamb: 1e6 };

/** More combinations of joint positions than this are not weighed at once; less on faces of many rows. */
const MOST_STATES = { ordinary: 40000, tall: 1500 };
/** With more than this, rows are first solved one by one to know what cannot be best. */
const WORTH_A_BOUND = 200;
/** An ordinary wall has this many rows at most, and they are always solved together. */
const ORDINARY_ROWS = 3;

export function betterScore(a: Score, b: Score): boolean {
  const d = a.rules + a.buttMm - b.rules - b.buttMm;
  if (Math.abs(d) > 0.5) return d < 0;
  if (a.boards !== b.boards) return a.boards < b.boards;
  return a.wasteMm < b.wasteMm - 0.5;
}

/** Shortest stock that a piece can be cut from; the longest there is when none reaches. */
export function stockFor(lengthMm: number, lengthsMm: readonly number[]): number {
  let fitting = Infinity;
  let longest = 0;
  for (const stock of lengthsMm) {
    if (stock >= lengthMm - EPS && stock < fitting) fitting = stock;
    if (stock > longest) longest = stock;
  }
  return fitting < Infinity ? fitting : longest;
}

/** A place a row has been boarded up to. */
interface Node {
  /** Where the next piece starts; infinite when the row is done. */
  u: number;
  /** Where the piece before it ends. */
  end: number;
  place: ButtPlace | undefined;
  /** The last butt near enough to matter to a neighbouring row. */
  butt: number;
  /** A stretch ends here; no piece passes it. */
  stop: boolean;
  /** The only node this one follows, or −1: the end of a stretch after a butt close to it. */
  after: number;
}

function nodesOf(row: Row, staggerMm: number): Node[] {
  const nodes: Node[] = [];
  row.runs.forEach((run, r) => {
    if (r === 0)
      nodes.push({ u: run.from, end: run.from, place: undefined, butt: -Infinity, stop: true, after: -1 });
    const first = nodes.length;
    for (const place of run.lines)
      nodes.push({ u: place.u, end: place.u, place, butt: place.u, stop: false, after: -1 });
    const next = row.runs[r + 1]?.from ?? Infinity;
    const ending = { u: next, end: run.to, place: undefined, stop: true };
    const lines = nodes.length;
    nodes.push({ ...ending, butt: -Infinity, after: -1 });
    for (let k = first; k < lines; k++) {
      const { u } = nodes[k] as Node;
      if (run.to - u < staggerMm) nodes.push({ ...ending, butt: u, after: k });
    }
  });
  return nodes;
}

/**
 * Where the butts of all rows stand. Neighbouring rows are solved together as long as their positions are few
 * (three rows of an ordinary wall): the result is the best there is. Of more rows, each is solved together with the ones
 * after it and under the one before it.
 * @returns the butts of each row, mm, and what the whole costs
 */
export function cutRows(rows: readonly Row[], rules: RowRules): { cuts: number[][]; score: Score } {
  const cuts: number[][] = [];
  const score: Score = { rules: 0, buttMm: 0, boards: 0, wasteMm: 0 };
  const most = rows.length <= ORDINARY_ROWS ? MOST_STATES.ordinary : MOST_STATES.tall;
  const known: Through[] = [];
  const wayThrough = (r: number): Through => (known[r] ??= through(rows[r] as Row, rules));
  let at = 0;
  while (at < rows.length) {
    let count = 0;
    let states = 1;
    while (at + count < rows.length) {
      const { length } = wayThrough(at + count).nodes;
      if (count > 0 && states * length > most) break;
      states *= Math.max(1, length);
      count++;
    }
    const ways = rows.slice(at, at + count).map((_, r) => wayThrough(at + r));
    const found = solve(ways, cuts.at(-1) ?? [], rules);
    // Rows that still have a neighbour to come are weighed again with it.
    const keep = at + count < rows.length && count > 1 ? count - 1 : count;
    for (let r = 0; r < keep; r++) {
      const row = rows[at + r] as Row;
      const own = found[r] as number[];
      addScore(score, row, own, cuts.at(-1) ?? [], rules);
      cuts.push(own);
    }
    at += keep;
  }
  return { cuts, score };
}

function addScore(
  score: Score,
  row: Row,
  cuts: readonly number[],
  before: readonly number[],
  rules: RowRules,
): void {
  for (const run of row.runs) {
    let from = run.from;
    for (const end of [...cuts.filter((u) => u > run.from && u < run.to), run.to]) {
      const piece = pieceCost(end - from, rules);
      score.rules += piece.broken;
      score.boards++;
      score.wasteMm += piece.waste;
      const place = run.lines.find((line) => line.u === end);
      if (place) {
        score.buttMm += place.lengthMm;
        if (place.jamb) score.rules += BROKEN.jamb;
        if (before.some((p) => Math.abs(p - end) < rules.staggerMm - EPS)) score.rules += BROKEN.stagger;
      }
      from = end;
    }
  }
}

function pieceCost(length: number, rules: RowRules): { broken: number; waste: number } {
  const stock = stockFor(length, rules.lengthsMm);
  const over = length - stock;
  return {
    broken: (over > EPS ? BROKEN.overlong + over : 0) + (length < rules.sliverMm - EPS ? BROKEN.sliver : 0),
    waste: Math.max(0, -over),
  };
}

/** Room for the costs of every state, used again and again: asking for it anew costs more than the search. */
const held = { first: new Float64Array(0), second: new Float64Array(0), back: new Int32Array(0) };

function scratch(total: number): typeof held {
  if (held.first.length < total) {
    held.first = new Float64Array(total);
    held.second = new Float64Array(total);
    held.back = new Int32Array(total);
  }
  held.first.fill(Infinity, 0, total);
  return held;
}

/** A board more counts as much waste as no layout can save. */
const BOARD = 1e7;

/**
 * The cheapest way through all rows at once. The row that is least far along is always carried on, so only
 * the last butt of its neighbours can be near the next one.
 */
function solve(rows: readonly Through[], before: readonly number[], rules: RowRules): number[][] {
  const sizes = rows.map(({ nodes }) => nodes.length);
  if (sizes.some((n) => n === 0)) {
    // Nothing to board in a row: its neighbours do not meet.
    return rows.map((row, r) =>
      (sizes[r] as number) === 0 ? [] : (solve([row], r === 0 ? before : [], rules)[0] ?? []),
    );
  }
  const total = sizes.reduce((a, b) => a * b, 1);
  const bound = rows.length > 1 && total > WORTH_A_BOUND ? oneByOne(rows, before, rules) : Infinity;
  const stride = sizes.map((_, r) => sizes.slice(r + 1).reduce((a, b) => a * b, 1));
  const { first, second, back } = scratch(total);
  first[0] = 0;
  second[0] = 0;
  const at = new Int32Array(rows.length);
  const steps = rows.map((row, r) => (r === 0 ? under(before, row.steps, rules) : row.steps));
  const toGo = bound < Infinity ? steps.map(leastToGo) : [];
  // Plain arrays of numbers for the loop that runs once a state and step.
  const reached = rows.map(({ nodes }) => Float64Array.from(nodes, (node) => node.u));
  const butts = rows.map(({ nodes }) => Float64Array.from(nodes, (node) => node.butt));
  const near = rules.staggerMm - EPS;
  const count = rows.length;
  const unreached = Infinity;
  const staggered = BROKEN.stagger;
  let end = -1;
  for (let state = 0; state < total; state++) {
    if (state > 0) {
      // Counts the positions on like an odometer, which is cheaper than dividing the state up.
      for (let r = count - 1; r >= 0; r--) {
        const i = (at[r] as number) + 1;
        if (i < (sizes[r] as number)) {
          at[r] = i;
          break;
        }
        at[r] = 0;
      }
    }
    const cost = first[state] as number;
    if (cost === unreached) continue;
    let behind = -1;
    let least = unreached;
    for (let r = 0; r < count; r++) {
      const u = (reached[r] as Float64Array)[at[r] as number] as number;
      if (u < least) {
        least = u;
        behind = r;
      }
    }
    const spent = second[state] as number;
    if (behind < 0) {
      // Every row is done; the last pieces may have ended in several ways.
      if (end < 0 || less(cost, spent, first[end] as number, second[end] as number)) end = state;
      continue;
    }
    const below =
      behind > 0 ? ((butts[behind - 1] as Float64Array)[at[behind - 1] as number] as number) : -unreached;
    const over =
      behind + 1 < count
        ? ((butts[behind + 1] as Float64Array)[at[behind + 1] as number] as number)
        : -unreached;
    // What the other rows still cost at the least, were there no neighbours.
    let others = 0;
    if (bound < unreached)
      for (let r = 0; r < count; r++)
        if (r !== behind) others += (toGo[r] as Float64Array)[at[r] as number] as number;
    const own = toGo[behind];
    const i = at[behind] as number;
    const stretch = stride[behind] as number;
    const { starts, ways } = steps[behind] as FlatSteps;
    const last = starts[i + 1] as number;
    for (let k = starts[i] as number; k < last; k += 4) {
      const u = ways[k + 1] as number;
      let next = cost + (ways[k + 2] as number);
      if (below - u < near && u - below < near) next += staggered;
      if (over - u < near && u - over < near) next += staggered;
      const to = ways[k] as number;
      if (own !== undefined && next + others + (own[to] as number) > bound) continue;
      const then = state + (to - i) * stretch;
      const known = first[then] as number;
      if (next > known + 0.5) continue;
      const waste = spent + (ways[k + 3] as number);
      if (next < known - 0.5 || waste < (second[then] as number) - 0.01) {
        first[then] = next;
        second[then] = waste;
        back[then] = state;
      }
    }
  }
  const cuts: number[][] = rows.map(() => []);
  for (let state = end; state > 0; state = back[state] as number) {
    const previous = back[state] as number;
    for (let r = 0; r < rows.length; r++) {
      const size = sizes[r] as number;
      const i = Math.floor(state / (stride[r] as number)) % size;
      const j = Math.floor(previous / (stride[r] as number)) % size;
      const { place } = (rows[r] as Through).nodes[i] as Node;
      if (i !== j && place) (cuts[r] as number[]).unshift(place.u);
    }
  }
  return cuts;
}

/**
 * What the rows cost when each is solved under the one before: no better way costs more, so the search
 * together may leave out whatever does. Of no use where a rule is broken, for those are counted by row there.
 */
function oneByOne(rows: readonly Through[], before: readonly number[], rules: RowRules): number {
  const score: Score = { rules: 0, buttMm: 0, boards: 0, wasteMm: 0 };
  let above = before;
  for (const through of rows) {
    const [own = []] = solve([through], above, rules);
    addScore(score, through.row, own, above, rules);
    above = own;
  }
  return score.rules > 0 ? Infinity : score.buttMm + 0.5;
}

const less = (a1: number, a2: number, b1: number, b2: number): boolean =>
  Math.abs(a1 - b1) > 0.5 ? a1 < b1 : a2 < b2 - 0.01;

/** A row, the places it may have been boarded up to, and the pieces that lead from one to another. */
interface Through {
  row: Row;
  nodes: readonly Node[];
  steps: FlatSteps;
}

/**
 * Steps end to end, and where those of each node start. Four numbers each: the node it leads to, where its butt stands
 * (infinite where the piece ends a stretch), rules broken and butt length together, boards and waste together.
 */
interface FlatSteps {
  starts: readonly number[];
  ways: readonly number[];
}

function through(row: Row, rules: RowRules): Through {
  const nodes = nodesOf(row, rules.staggerMm);
  return { row, nodes, steps: stepsOf(row, nodes, rules) };
}

/** The same steps under a row that is cut already. */
function under(before: readonly number[], steps: FlatSteps, rules: RowRules): FlatSteps {
  if (before.length === 0) return steps;
  const ways = [...steps.ways];
  for (let k = 0; k < ways.length; k += 4) {
    const u = ways[k + 1] as number;
    if (before.some((p) => Math.abs(p - u) < rules.staggerMm - EPS))
      ways[k + 2] = (ways[k + 2] as number) + BROKEN.stagger;
  }
  return { starts: steps.starts, ways };
}

/** What a row costs at the least from each of its nodes to its end, were there no neighbours. */
function leastToGo({ starts, ways }: FlatSteps): Float64Array {
  const least = new Float64Array(starts.length - 1);
  for (let i = least.length - 1; i >= 0; i--) {
    const last = starts[i + 1] as number;
    let found = last > (starts[i] as number) ? Infinity : 0;
    for (let k = starts[i] as number; k < last; k += 4)
      found = Math.min(found, (ways[k + 2] as number) + (least[ways[k] as number] as number));
    least[i] = found;
  }
  return least;
}

/** From each node of a row, the nodes one piece further and what that piece and its butt cost. */
function stepsOf(row: Row, nodes: readonly Node[], rules: RowRules): FlatSteps {
  const starts = [0];
  const ways: number[] = [];
  for (const [i, from] of nodes.entries()) {
    for (let j = i + 1; j < nodes.length && from.u < Infinity; j++) {
      const to = nodes[j] as Node;
      // Several nodes stand for one end: they are passed over from the ends themselves.
      if (to.end <= from.u && to.stop) continue;
      const mayEnd = to.after < 0 ? !endsAfterNear(nodes, i, j) : to.after === i;
      const { broken, waste } = pieceCost(to.end - from.u, rules);
      const { place } = to;
      if (mayEnd)
        ways.push(
          j,
          place ? place.u : Infinity,
          broken + (place ? place.lengthMm + (place.jamb ? BROKEN.jamb : 0) : 0),
          BOARD + waste,
        );
      if (row.fixed && !to.stop) break;
      // A stretch ends: its other ends may still follow, nothing beyond.
      if (to.stop && nodes[j + 1]?.end !== to.end) break;
      if (broken >= BROKEN.overlong && !to.stop) break;
    }
    starts.push(ways.length);
  }
  return { starts, ways };
}

/** Whether the end of a stretch has a node of its own for coming from this butt. */
const endsAfterNear = (nodes: readonly Node[], i: number, j: number): boolean => {
  if (!(nodes[j] as Node).stop) return false;
  for (let k = j + 1; k < nodes.length && (nodes[k] as Node).end === (nodes[j] as Node).end; k++)
    if ((nodes[k] as Node).after === i) return true;
  return false;
};
