import { clockMinutes } from '../units';

export const DAY = 1440;

/** How a working day ends, min. */
export interface DayShape {
  setupMin: number;
  overtimeMin: number;
  leastStartMin: number;
}

/** When somebody works, or a room is open: hours, days of the week, and days that are out. */
export interface WorkTimes {
  from: string;
  to: string;
  /** 0 Sunday to 6 Saturday. */
  weekdays: readonly number[];
  /** Days that are out, as dates. */
  off?: readonly string[];
}

/** Days a room is shut, from the first to the last. */
export interface Closures {
  from: string;
  to: string;
}

/**
 * Working hours as arithmetic on minutes from midnight of the first day. No clock and no time zone: a
 * plan is in the local time of the job, as the clock on its wall shows it.
 */
export class WorkHours {
  private readonly from: number;
  private readonly to: number;
  private readonly startMs: number;
  private readonly weekdays: readonly number[];
  private readonly firstWeekday: number;
  private readonly out: ReadonlySet<number>;
  private readonly shut: readonly (readonly [first: number, last: number])[];
  private readonly dates = new Map<number, string>();

  /**
   * @param startDate minutes are counted from its midnight
   * @param all who work together: they do when all of them work
   * @param day mixing and cleaning that end a day, what is worked past its end to finish a coat, and what is too
   *   little left of it to begin one in, min
   * @param shut days nobody may be there
   */
  constructor(
    startDate: string,
    all: readonly WorkTimes[],
    private readonly day: DayShape,
    shut: readonly Closures[] = [],
  ) {
    this.startMs = Date.parse(`${startDate}T00:00Z`);
    this.from = Math.max(...all.map(({ from }) => clockMinutes(from)));
    const to = Math.min(...all.map(({ to }) => clockMinutes(to)));
    const meet = to > this.from;
    this.to = Math.max(this.from + 30, to - day.setupMin);
    this.weekdays = [0, 1, 2, 3, 4, 5, 6].filter(
      (d) => meet && all.every(({ weekdays }) => weekdays.includes(d)),
    );
    this.firstWeekday = new Date(this.startMs).getUTCDay();
    this.out = new Set(all.flatMap(({ off = [] }) => off.map((date) => this.dayOfDate(date))));
    this.shut = shut.map(({ from, to: last }) => [this.dayOfDate(from), this.dayOfDate(last)]);
  }

  /** Whether there is any time at all. */
  get some(): boolean {
    return this.weekdays.length > 0;
  }

  get overtimeMin(): number {
    return this.day.overtimeMin;
  }

  get minutesADay(): number {
    return this.to - this.from;
  }

  /** Whether a day, counted from the first, is worked. */
  works(day: number): boolean {
    return (
      this.weekdays.includes((((this.firstWeekday + day) % 7) + 7) % 7) &&
      !this.out.has(day) &&
      !this.shut.some(([first, last]) => day >= first && day <= last)
    );
  }

  /** The first working minute at or after t. */
  next(t: number): number {
    let day = Math.floor(t / DAY);
    const minute = t - day * DAY;
    if (this.works(day) && minute < this.to - 1e-6) return day * DAY + Math.max(minute, this.from);
    do day++;
    while (!this.works(day));
    return day * DAY + this.from;
  }

  /** When work that takes so many minutes is begun: not in the last of a day that it would not be done in. */
  begins(t: number, minutes: number): number {
    const at = this.next(t);
    const today = this.leftOf(at);
    const done = minutes <= today + this.day.overtimeMin;
    return done || today >= this.day.leastStartMin ? at : this.next(at + today);
  }

  /** When work that starts at t and takes so many minutes ends; a coat is finished rather than left for a morning. */
  after(t: number, minutes: number): number {
    let at = this.next(t);
    let left = minutes;
    for (;;) {
      const today = this.leftOf(at);
      if (left <= today + this.day.overtimeMin) return at + left;
      left -= today;
      at = this.next(at + today);
    }
  }

  /** The same, day by day: when work goes on, and for how many minutes. */
  pieces(t: number, minutes: number): { at: number; minutes: number }[] {
    const found: { at: number; minutes: number }[] = [];
    let at = this.next(t);
    let left = minutes;
    for (;;) {
      const today = this.leftOf(at);
      if (left <= today + this.day.overtimeMin) return [...found, { at, minutes: left }];
      found.push({ at, minutes: today });
      left -= today;
      at = this.next(at + today);
    }
  }

  /** Working minutes between two moments. */
  between(from: number, to: number): number {
    let sum = 0;
    for (let at = this.next(from); at < to; at = this.next(at + this.leftOf(at)))
      sum += Math.min(this.leftOf(at), to - at);
    return sum;
  }

  /** Working minutes that are left of the day at one of them. */
  leftOf(at: number): number {
    return Math.floor(at / DAY) * DAY + this.to - at;
  }

  /** The day a minute falls on, counted from the first. */
  dayOf(t: number): number {
    return Math.floor(t / DAY);
  }

  /** The day of a date, counted from the first. */
  dayOfDate(date: string): number {
    return Math.round((Date.parse(`${date}T00:00Z`) - this.startMs) / (DAY * 60000));
  }

  /** The minute of a local time. */
  minuteOf(iso: string): number {
    return this.dayOfDate(iso.slice(0, 10)) * DAY + clockMinutes(iso.slice(11, 16));
  }

  /** Local time as `2026-11-30T07:00`. */
  iso(t: number): string {
    const minutes = Math.round(t);
    const day = Math.floor(minutes / DAY);
    let date = this.dates.get(day);
    // Making a date text is slow beside the arithmetic, and a day has many tasks.
    if (date === undefined)
      this.dates.set(day, (date = new Date(this.startMs + day * DAY * 60000).toISOString().slice(0, 10)));
    const rest = minutes - day * DAY;
    return `${date}T${two(Math.floor(rest / 60))}:${two(rest % 60)}`;
  }
}

const two = (n: number): string => (n < 10 ? `0${n}` : String(n));
