import FlatQueue from 'flatqueue';
import { STEPS } from '../job';
import type { WorkHours } from './calendar';
import type { Sitework, Task } from './tasks';

/** Who works when: for each task its start, end and people, min. */
export interface Schedule {
  start: Float64Array;
  end: Float64Array;
  /** When it could have begun, for all that it lies on. */
  open: Float64Array;
  team: (readonly number[])[];
  /** Tasks as they were given out. */
  order: Int32Array;
  score: Score;
}

/**
 * What a plan is judged by, the first that differs: minutes late, all ready in half hours, days that people come to
 * the site, changes of room, and how early the rooms are ready, min.
 */
export type Score = readonly [late: number, finish: number, visits: number, changes: number, ready: number];

export function isBetter(a: Score, b: Score): boolean {
  for (let i = 0; i < a.length; i++) {
    const [x, y] = [a[i] as number, b[i] as number];
    if (Math.abs(x - y) > 1e-6) return x < y;
  }
  return false;
}

/** Finishes are told apart by half hours: nobody comes another day for less. */
export const TOLD_APART_MIN = 30;

/** People who are free so much later are waited for, min. */
const WAIT_FOR_MIN = 20;

/** As many are looked at for what ends a day in its overtime. */
const LOOK_FOR_END = 400;

/** So many of what can be begun are looked at where the first would not fit into the day. */
const LOOK = 6;

/** How many people a task is given: as many as are free, or a number that is waited for. */
export const AS_FREE = 0;

/** Gives out the tasks of a job in an order; made once and run often, so that all it needs lies side by side. */
export class Scheduler {
  readonly count: number;
  /** Tasks that wait for a task, with the lag. */
  private readonly next: { to: number; lagMin: number }[][];
  /** From the start of a task until its room is ready, were there nothing else to do, min. */
  readonly tailMin: Float64Array;
  readonly rankOfStep: Float64Array;
  private readonly waits: Int32Array;
  private readonly everybody: readonly number[];

  constructor(readonly site: Sitework) {
    const { tasks, crew } = site;
    this.count = tasks.length;
    this.next = tasks.map(() => []);
    this.waits = new Int32Array(this.count);
    this.everybody = crew.map((_, i) => i);
    tasks.forEach((task, i) => {
      for (const { before, lagMin } of task.after) this.next[before]?.push({ to: i, lagMin });
      this.waits[i] = task.after.length;
    });
    this.tailMin = new Float64Array(this.count);
    // Within a room a task stands behind all it waits for.
    for (let i = this.count - 1; i >= 0; i--) {
      const task = this.task(i);
      const behind = (this.next[i] ?? []).reduce(
        (most, { to, lagMin }) => Math.max(most, lagMin + (this.tailMin[to] as number)),
        task.lateMin,
      );
      this.tailMin[i] = behind + this.takes(i, crew.length);
    }
    this.rankOfStep = Float64Array.from(tasks, ({ step }) => STEPS.indexOf(step));
  }

  task(i: number): Task {
    return this.site.tasks[i] as Task;
  }

  /** Work on a task for so many people, with its mixing, min of one person. */
  labourOf(i: number, people: number): number {
    const { labourMin, mixMin } = this.task(i);
    return labourMin + (mixMin[people - 1] ?? 0);
  }

  /** Clock minutes of work on a task for so many people. */
  takes(i: number, people: number): number {
    return this.labourOf(i, people) / this.site.handsIn(this.task(i).room, people);
  }

  /**
   * Whoever is free first takes, of what can be begun, what ranks first.
   * @param rank the least goes first
   * @param people how many each task is given, or `AS_FREE`
   * @param fills a day is ended with what can be finished in its overtime, rather than left with something begun
   */
  run(rank: Float64Array, people: Uint8Array, fills = false): Schedule {
    const made = this.begin();
    const later = new FlatQueue(this.count + 1);
    const now = new FlatQueue(this.count + 1);
    const waits = this.waits.slice();
    const open = made.open;
    const free = made.free;
    for (let i = 0; i < this.count; i++) if (waits[i] === 0) later.push(i, open[i] as number);
    const put: number[] = [];
    while (made.given < this.count) {
      let by = Math.max(Math.min(...free), now.length > 0 ? -Infinity : (later.peekValue() ?? 0));
      let best: number;
      let bestAt: number;
      for (;;) {
        while (later.length > 0 && (later.peekValue() as number) <= by + 1e-6) {
          const i = later.pop() as number;
          now.push(i, rank[i] as number);
        }
        best = -1;
        bestAt = Infinity;
        put.length = 0;
        for (let look = 0; look < LOOK && now.length > 0; look++) {
          const i = now.pop() as number;
          put.push(i);
          const at = this.startOf(i, this.teamFor(i, people[i] as number, made), made);
          if (at < bestAt - 1e-6) {
            best = i;
            bestAt = at;
          }
          if (at <= by + WAIT_FOR_MIN) break;
        }
        if (fills && best >= 0) best = this.endOfDay(best, bestAt, { now, put, people, made });
        for (const i of put) now.push(i, rank[i] as number);
        // What opens before it could begin, over a night or a weekend, is weighed with it.
        if ((later.peekValue() ?? Infinity) > bestAt) break;
        by = bestAt;
      }
      take(now, best);
      this.give(best, this.teamFor(best, people[best] as number, made), made);
      for (const { to } of this.next[best] ?? []) {
        waits[to] = (waits[to] as number) - 1;
        if (waits[to] === 0) later.push(to, open[to] as number);
      }
    }
    return this.judged(made);
  }

  /** What ends the day best: where the first would go on over the night, what is done in the longest overtime. */
  private endOfDay(
    first: number,
    at: number,
    { now, put, people, made }: { now: FlatQueue; put: number[]; people: Uint8Array; made: Making },
  ): number {
    /** Past the end of the day, min; none where it begins later or goes on over the night. */
    const overtimeOf = (i: number): number | undefined => {
      const team = this.teamFor(i, people[i] as number, made);
      const from = this.startOf(i, team, made);
      if (from > at + WAIT_FOR_MIN) return undefined;
      const hours = this.hoursOf(i, team);
      const over = this.takes(i, team.length) - hours.leftOf(from);
      return over <= hours.overtimeMin ? Math.max(0, over) : undefined;
    };
    const { begunMin, pinMin } = this.task(first);
    if (begunMin !== undefined || pinMin !== undefined || overtimeOf(first) !== undefined) return first;
    // The last few minutes of it are not looked for.
    const enough = this.hoursOf(first, [0]).overtimeMin * 0.85;
    let [best, longest] = [first, 0];
    for (let look = put.length; look < LOOK_FOR_END && now.length > 0; look++) {
      const i = now.pop() as number;
      put.push(i);
      const over = overtimeOf(i) ?? 0;
      if (over > longest) [best, longest] = [i, over];
      if (longest > enough) break;
    }
    return best;
  }

  /**
   * The tasks one after the other as they stand, each as soon as its people are free.
   * @param order every task, none before one it waits for
   * @param people how many each task is given
   */
  replay(order: Iterable<number>, people: ArrayLike<number>): Schedule {
    const made = this.begin();
    for (const i of order) this.give(i, this.teamFor(i, people[i] as number, made), made);
    return this.judged(made);
  }

  /** Whether tasks given out so far could still end in a plan better than one with that score. */
  canBeat(order: readonly number[], people: ArrayLike<number>, than: Score): boolean {
    const made = this.begin();
    for (const i of order) this.give(i, this.teamFor(i, people[i] as number, made), made);
    const free = Math.min(...made.free);
    const ready = this.pastReady();
    const given = new Uint8Array(this.count);
    for (const i of order) {
      given[i] = 1;
      const { room, lateMin } = this.task(i);
      ready[room] = Math.max(ready[room] as number, (made.end[i] as number) + lateMin);
    }
    for (let i = 0; i < this.count; i++) {
      if (given[i] === 1) continue;
      const { room } = this.task(i);
      const at = Math.max(free, made.open[i] as number) + (this.tailMin[i] as number);
      ready[room] = Math.max(ready[room] as number, at);
    }
    return isBetter(this.scoreOf(ready, made), than);
  }

  private begin(): Making {
    const { count } = this;
    return {
      start: new Float64Array(count),
      end: new Float64Array(count),
      open: Float64Array.from(this.site.tasks, ({ releaseMin }) => releaseMin),
      team: Array.from<readonly number[]>({ length: count }),
      order: new Int32Array(count),
      free: this.everybody.map(() => 0),
      given: 0,
      lastDay: this.everybody.map(() => -1),
      lastRoom: this.everybody.map(() => -1),
      visits: 0,
      changes: 0,
    };
  }

  /** Who would take a task: of those who do such work, the ones who could begin first. */
  private teamFor(i: number, people: number, { free, open }: Making): readonly number[] {
    const { who, least } = this.task(i);
    if (who.length === 1) return who;
    const opens = open[i] as number;
    // Who has been free for longer could begin no sooner: the same people come again, and not others.
    const from = this.site.hours.alike
      ? free.map((at) => Math.max(at, opens))
      : this.beginsOf(i, free, opens);
    const byFree = [...who].sort((a, b) => (from[a] as number) - (from[b] as number) || a - b);
    const first = from[byFree[0] as number] as number;
    const size =
      people === AS_FREE
        ? byFree.filter((p) => (from[p] as number) <= first + WAIT_FOR_MIN).length
        : Math.min(people, who.length);
    const team = byFree.slice(0, this.needed(i, Math.max(least, size))).sort((a, b) => a - b);
    return this.site.hours.of(team, this.task(i).room).some ? team : byFree.slice(0, 1);
  }

  /** Of so many people, those that do any of it: where a third only stands in the way, two. */
  private needed(i: number, people: number): number {
    const { room } = this.task(i);
    let needed = people;
    while (needed > 1 && this.site.handsIn(room, needed - 1) >= this.site.handsIn(room, needed)) needed--;
    return needed;
  }

  /** When each could begin a task: somebody who is away or comes later is not free before that. */
  private beginsOf(i: number, free: readonly number[], open: number): number[] {
    const { room } = this.task(i);
    return this.everybody.map((p) =>
      this.site.hours.of([p], room).begins(Math.max(free[p] as number, open), this.takes(i, 1)),
    );
  }

  private hoursOf(i: number, team: readonly number[]): WorkHours {
    return this.site.hours.of(team, this.task(i).room);
  }

  private startOf(i: number, team: readonly number[], { free, open }: Making): number {
    let least = open[i] as number;
    for (const p of team) least = Math.max(least, free[p] as number);
    return this.hoursOf(i, team).begins(least, this.takes(i, team.length));
  }

  private give(i: number, team: readonly number[], made: Making): void {
    const hours = this.hoursOf(i, team);
    const { room, begunMin } = this.task(i);
    const at = this.startOf(i, team, made);
    const end = hours.after(at, this.takes(i, team.length));
    made.start[i] = begunMin === undefined ? at : Math.min(at, begunMin);
    made.end[i] = end;
    made.team[i] = team;
    made.order[made.given++] = i;
    const [first, last] = [hours.dayOf(at), hours.dayOf(end - 1e-6)];
    for (const p of team) {
      made.free[p] = end;
      for (let day = Math.max(first, (made.lastDay[p] as number) + 1); day <= last; day++)
        if (hours.works(day)) made.visits++;
      made.lastDay[p] = last;
      if (made.lastRoom[p] !== room) made.changes++;
      made.lastRoom[p] = room;
    }
    for (const { to, lagMin } of this.next[i] ?? [])
      made.open[to] = Math.max(made.open[to] as number, end + lagMin);
  }

  private judged(made: Making): Schedule {
    const ready = this.pastReady();
    for (let i = 0; i < this.count; i++) {
      const { room, lateMin } = this.task(i);
      ready[room] = Math.max(ready[room] as number, (made.end[i] as number) + lateMin);
    }
    const { start, end, open, team, order } = made;
    return { start, end, open, team, order, score: this.scoreOf(ready, made) };
  }

  /** When what is done already is ready, by room. */
  private pastReady(): Float64Array {
    const ready = new Float64Array(this.site.rooms.length);
    for (const { room, endMin, lateMin, toldMin } of this.site.past)
      ready[room] = Math.max(ready[room] as number, Math.min(toldMin ?? Infinity, endMin + lateMin));
    return ready;
  }

  private scoreOf(ready: Float64Array, { visits, changes }: Making): Score {
    let [late, finish, sum] = [0, 0, 0];
    for (let r = 0; r < ready.length; r++) {
      const at = ready[r] as number;
      late += Math.max(0, at - (this.site.dueMin[r] as number));
      finish = Math.max(finish, at);
      sum += at;
    }
    return [late, Math.ceil(finish / TOLD_APART_MIN - 1e-9), visits, changes, sum];
  }
}

/** Takes one out of what can be begun; it is among the first. */
function take(queue: FlatQueue, one: number): void {
  const over: [id: number, rank: number][] = [];
  for (;;) {
    const value = queue.peekValue() as number;
    const id = queue.pop() as number;
    if (id === one) break;
    over.push([id, value]);
  }
  for (const [id, value] of over) queue.push(id, value);
}

/** A schedule while it is made. */
interface Making extends Omit<Schedule, 'score'> {
  free: number[];
  given: number;
  lastDay: number[];
  lastRoom: number[];
  visits: number;
  changes: number;
}

/**
 * Ranks of good rules: the earlier coat first and of one coat what has the longest way to go; or the longest way to
 * go whatever the coat; where days are wanted, what has the least time left. What is pinned or begun goes before all.
 */
export function rules(scheduler: Scheduler): Float64Array[] {
  const { site, count, tailMin, rankOfStep } = scheduler;
  const made = [
    (i: number) => (rankOfStep[i] as number) * 1e6 - (tailMin[i] as number),
    (i: number) => -(tailMin[i] as number),
    (i: number) => scheduler.task(i).room * 1e6 + (rankOfStep[i] as number),
  ];
  if (site.dueMin.some(Number.isFinite))
    made.unshift(
      (i) => Math.min(1e9, site.dueMin[scheduler.task(i).room] as number) - (tailMin[i] as number),
    );
  return made.map((rank) =>
    Float64Array.from({ length: count }, (_, i) => {
      const { begunMin, rests, pinMin } = scheduler.task(i);
      return (
        (begunMin !== undefined && rests !== true ? -2e12 : pinMin !== undefined ? -1e12 : rank(i)) + i * 1e-6
      );
    }),
  );
}
