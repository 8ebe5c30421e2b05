import { DAY, type WorkHours } from './calendar';
import { settingL, usedPerMin } from './pot';
import { Scheduler } from './schedule';

/**
 * No plan has all ready sooner than this, min, however rows are parted into tasks: no room sooner than its own rows one
 * on the other with everybody on each, and not before all the work is done that still has so much waiting behind it.
 * Rows that are worked together take no less than each of them alone.
 */
export function boundOf({ site }: Scheduler): number {
  const byRows = new Scheduler(site.byRows());
  return Math.max(longestRoom(byRows), workAndWait(byRows));
}

/** The room that takes longest were it the only one. */
function longestRoom(scheduler: Scheduler): number {
  const { count, site } = scheduler;
  const end = new Float64Array(count);
  let last = 0;
  for (const { endMin, lateMin, toldMin } of site.past)
    last = Math.max(last, Math.min(toldMin ?? Infinity, endMin + lateMin));
  for (let i = 0; i < count; i++) {
    const task = scheduler.task(i);
    let open = task.releaseMin;
    for (const { before, lagMin } of task.after) open = Math.max(open, (end[before] as number) + lagMin);
    const takes = scheduler.takes(i, task.who.length);
    end[i] = Math.min(
      // Whoever of them comes first and stays longest.
      ...task.who.map((p) => {
        const hours = site.hours.of([p], task.room);
        return hours.after(hours.begins(open, takes), takes);
      }),
    );
    last = Math.max(last, (end[i] as number) + task.lateMin);
  }
  return last;
}

/** For each wait: all work with at least as much behind it, done by everybody at once, and then that wait. */
function workAndWait(scheduler: Scheduler): number {
  const { site } = scheduler;
  const behind = scheduler.tailMin.map((min, i) => min - scheduler.takes(i, site.crew.length));
  const byBehind = Int32Array.from(behind, (_, i) => i).sort(
    (a, b) => (behind[b] as number) - (behind[a] as number),
  );
  let [labour, from, bound] = [0, Infinity, 0];
  const done = new WorkDone(scheduler);
  const visited = new Set<string>();
  const rates = fastestRates(scheduler);
  for (const i of byBehind) {
    const { room, step, rows, labourMin, visitMin, mixMin, releaseMin, left } = scheduler.task(i);
    // The rows of a coat may share one visit, and a batch.
    const coat = `${room} ${step}`;
    const rate = rates.get(coat);
    const mixed = rate === undefined ? (mixMin[0] ?? 0) : left * site.leastMixMin(rows, rate);
    labour += labourMin - (visited.has(coat) ? visitMin : 0) + mixed;
    visited.add(coat);
    from = Math.min(from, releaseMin);
    bound = Math.max(bound, done.after(from, labour) + (behind[i] as number));
  }
  return bound;
}

/**
 * How fast the mud of a coat that sets is used up at most, by all who are there, L a minute: rows that are worked together
 * use it up no faster than the fastest of them.
 */
function fastestRates({ site }: Scheduler): Map<string, number> {
  const rates = new Map<string, number>();
  for (const { room, step, rows } of site.tasks) {
    const coat = `${room} ${step}`;
    const hands = site.handsIn(room, site.crew.length);
    if (settingL({ rows }) > 0) rates.set(coat, Math.max(rates.get(coat) ?? 0, usedPerMin({ rows }, hands)));
  }
  return rates;
}

/** When so much work is done by everybody, each in their own hours and past their end as far as a coat may take them. */
class WorkDone {
  /** Work of everybody from the first day to the end of each, min. */
  private readonly byEndOf: number[] = [];
  private readonly hours: WorkHours[];

  constructor({ site }: Scheduler) {
    this.hours = site.crew.map((_, p) => site.hours.of([p]));
  }

  after(from: number, labourMin: number): number {
    const first = Math.max(0, Math.floor(from / DAY));
    const before = first === 0 ? 0 : this.by(first - 1);
    // The work asked for only grows, so that the day is looked for from where it was.
    let day = Math.max(first, this.at);
    while (this.by(day) - before < labourMin) day++;
    this.at = this.by(Math.max(first, day - 1)) - before < labourMin ? day : first;
    const left = labourMin - (day === 0 ? 0 : this.by(day - 1) - before);
    // The earliest anybody begins, with everybody there.
    const begins = Math.min(...this.hours.map((hours) => hours.next(day * DAY)));
    return Math.max(from, begins) + Math.max(0, left) / this.hours.length;
  }

  private at = 0;

  private by(day: number): number {
    for (let d = this.byEndOf.length; d <= day; d++) {
      const today = this.hours.reduce(
        (sum, hours) => sum + (hours.works(d) ? hours.minutesADay + hours.overtimeMin : 0),
        0,
      );
      this.byEndOf.push((this.byEndOf[d - 1] ?? 0) + today);
    }
    return this.byEndOf[day] as number;
  }
}
