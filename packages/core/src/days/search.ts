import { sequence } from '../units';
import { boundOf } from './bound';
import { AS_FREE, isBetter, rules, Scheduler, TOLD_APART_MIN, type Schedule, type Score } from './schedule';
import type { Sitework } from './tasks';

/** The order tasks are given out in, and to how many people each: a schedule can be made of it again. */
export interface Run {
  tasks: string[];
  people: number[];
}

export interface Found {
  schedule: Schedule;
  run: Run;
  /** No plan can be ready sooner, min; none where it lies before every plan. */
  boundMin: number;
  /** Nothing could be ready sooner: every order of every parting was held against it. */
  proved: boolean;
}

/** Jobs of so few tasks are gone through whole. */
export const FEW = 12;
/** Orders looked at before a small job is left to the search. */
const MOST_ORDERS = 300000;

/** A search is as long as the job is small; tasks given out in all. */
const GIVEN_OUT = 1e6;

const runOf = (scheduler: Scheduler, { order, team }: Schedule): Run => ({
  tasks: Array.from(order, (i) => scheduler.task(i).id),
  people: Array.from(order, (i) => team[i]?.length ?? 1),
});

/** The best of the rules, and what it goes by. */
export interface First {
  best: Schedule;
  rank: Float64Array;
  people: Uint8Array;
  /** Days are ended in their overtime. */
  fills: boolean;
}

/** The best of the rules, at once. */
export function first(scheduler: Scheduler): First {
  const { count, site } = scheduler;
  const crew = site.crew.length;
  // A large building is planned by one rule at once, each task by one person; the search finds the rest.
  const large = count > 600;
  const ranks = large ? rules(scheduler).slice(0, 1) : rules(scheduler);
  const sizes = crew === 1 ? [AS_FREE] : large ? [1] : [AS_FREE, 1, crew];
  const ends = large ? [true] : [false, true];
  let found: First | undefined;
  for (const rank of ranks)
    for (const size of sizes)
      for (const fills of ends) {
        const people = new Uint8Array(count).fill(size);
        const best = scheduler.run(rank, people, fills);
        if (!found || isBetter(best.score, found.best.score)) found = { best, rank, people, fills };
      }
  return found as First;
}

/**
 * A schedule made again from its run: what is done since is left out, and what is begun goes first. None where there is
 * work that the run does not know.
 */
export function again(scheduler: Scheduler, { tasks, people }: Run): Schedule | undefined {
  const { count, site } = scheduler;
  const places = new Map<string, number>();
  tasks.forEach((id, n) => {
    places.set(id, n);
    // Where some rows of a coat are done, the rest goes by another name.
    const coat = id.split(':', 2).join(':');
    if (!places.has(coat)) places.set(coat, n);
  });
  const at = new Float64Array(count);
  const sizes = new Uint8Array(count);
  for (let i = 0; i < count; i++) {
    const { id, begunMin } = scheduler.task(i);
    const place = places.get(id) ?? places.get(id.split(':', 2).join(':'));
    if (place === undefined) return undefined;
    at[i] = begunMin === undefined ? place : -1;
    sizes[i] = Math.max(1, people[place] ?? 1);
  }
  const order = Int32Array.from(at, (_, i) => i).sort(
    (a, b) => (at[a] as number) - (at[b] as number) || a - b,
  );
  const seen = new Uint8Array(count);
  for (const i of order) {
    if (site.tasks[i]?.after.some(({ before }) => seen[before] === 0)) return undefined;
    seen[i] = 1;
  }
  return scheduler.replay(order, sizes);
}

/** Whether a plan is worth turning the work on site round for: only one that is ready sooner, or less late. */
export const isWorth = (a: Score, b: Score): boolean => a[0] < b[0] - 1e-6 || (a[0] <= b[0] && a[1] < b[1]);

/** All is ready by then, to the half hour before. */
const readyBy = ({ score }: Schedule): number => (score[1] - 1) * TOLD_APART_MIN;

/**
 * The best plan that can be found: every order where there are few tasks, else from the best rule by small changes, of
 * which those are kept that do not make it worse. The same for the same job every time.
 * @yields the share of the search that is done, 0 to 1
 */
export function* searched(site: Sitework, { effort = 1, kept }: Searching = {}): Generator<number, Found> {
  const scheduler = new Scheduler(site);
  const boundMin = boundOf(scheduler);
  const start = first(scheduler);
  const found = (schedule: Schedule, proved: boolean): Found => ({
    schedule,
    run: runOf(scheduler, schedule),
    boundMin,
    proved,
  });
  const before = kept && site.nowMin !== undefined ? again(scheduler, kept) : undefined;
  const better = (best: Schedule): Schedule => (before && !isWorth(best.score, before.score) ? before : best);
  if (scheduler.count === 0) return found(start.best, true);
  if (scheduler.count <= FEW) {
    const all = everyOrder(scheduler, start.best, MOST_ORDERS * effort);
    // Every order of these tasks, and there are no others to part the work into.
    const proved = all.proved && site.byRows().tasks.length === scheduler.count;
    if (all.proved) return found(better(all.best), proved);
  }
  return found(better(yield* improved(scheduler, { start, boundMin, effort })), false);
}

export interface Searching {
  /** Against the usual length of the search. */
  effort?: number;
  /** The run that people on site work by; kept where nothing is ready sooner by another. */
  kept?: Run | undefined;
}

interface Begin {
  start: First;
  boundMin: number;
  effort: number;
}

function* improved(scheduler: Scheduler, { start, boundMin, effort }: Begin): Generator<number, Schedule> {
  const { count, site } = scheduler;
  const crew = site.crew.length;
  const rounds = Math.max(200, Math.min(8000, Math.round(GIVEN_OUT / count))) * effort;
  // Numbers that only look like chance, so that one job has one plan.
  const chance = sequence(count * 7919 + crew);
  let { best } = start;
  let held = best;
  let [ranks, sizes] = [start.rank, start.people];
  const pick = (): number => Math.floor(chance() * count);
  for (let round = 0; round < rounds; round++) {
    if (round % 50 === 0) yield round / rounds;
    const [r, s] = [ranks.slice(), sizes.slice()];
    for (let change = 0; change < 1 + Math.floor(chance() * 3); change++) {
      const i = pick();
      const what = chance();
      if (crew > 1 && what < 0.4) s[i] = Math.floor(chance() * Math.min(crew + 1, 5));
      else if (what < 0.7) {
        const j = pick();
        [r[i], r[j]] = [r[j] as number, r[i] as number];
      } else {
        // A whole room goes earlier or later.
        const { room } = scheduler.task(i);
        const by = (chance() - 0.5) * 2 * (scheduler.tailMin[i] as number);
        for (let k = 0; k < count; k++) if (scheduler.task(k).room === room) r[k] = (r[k] as number) + by;
      }
    }
    const made = scheduler.run(r, s, start.fills);
    // As soon as it can be at all: what is left is fewer visits, which need not be looked for as long.
    if (round > rounds / 4 && readyBy(best) <= boundMin) break;
    if (isBetter(held.score, made.score)) continue;
    held = made;
    [ranks, sizes] = [r, s];
    if (isBetter(made.score, best.score)) best = made;
  }
  return best;
}

/**
 * Every order in which the tasks can be given out, and every number of people for each, but for those that can no
 * longer be better than what is found.
 */
function everyOrder(
  scheduler: Scheduler,
  start: Schedule,
  mostOrders: number,
): { best: Schedule; proved: boolean } {
  const { count, site } = scheduler;
  const order: number[] = [];
  const sizes = new Uint8Array(count).fill(1);
  const seen = new Uint8Array(count);
  let best = start;
  let looked = 0;
  const go = (): boolean => {
    if (order.length === count) {
      const made = scheduler.replay(order, sizes);
      if (isBetter(made.score, best.score)) best = made;
      return ++looked < mostOrders;
    }
    for (let i = 0; i < count; i++) {
      const task = scheduler.task(i);
      if (seen[i] === 1 || task.after.some(({ before }) => seen[before] === 0)) continue;
      seen[i] = 1;
      order.push(i);
      for (let n = 1; n <= Math.min(site.crew.length, task.who.length); n++) {
        sizes[i] = n;
        if (!scheduler.canBeat(order, sizes, best.score)) {
          if (++looked >= mostOrders) return false;
          continue;
        }
        if (!go()) return false;
      }
      order.pop();
      seen[i] = 0;
    }
    return true;
  };
  return { proved: go(), best };
}
