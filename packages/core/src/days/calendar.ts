import type { Calendar } from '../job';
import { clockMinutes } from '../units';

const DAY = 1440;

/** How a working day ends, min. */
export interface DayShape {
  setupMin: number;
  overtimeMin: number;
  leastStartMin: number;
}

/**
 * Working hours as arithmetic on minutes from midnight of the first day. No clock and no time zone: a
 * plan is in the local time of the job.
 */
export class WorkHours {
  private readonly from: number;
  private readonly to: number;
  private readonly startMs: number;
  private readonly firstWeekday: number;
  private readonly dates = new Map<number, string>();

  /**
   * @param day mixing and cleaning that end a day, what is worked past its end to finish a coat, and what is too
   *   little left of it to begin one in, min
   */
  constructor(
    private readonly calendar: Calendar,
    private readonly day: DayShape,
  ) {
    this.from = clockMinutes(calendar.from);
    this.to = Math.max(this.from + 30, clockMinutes(calendar.to) - day.setupMin);
    this.startMs = Date.parse(`${calendar.startDate}T00:00:00Z`);
    this.firstWeekday = new Date(this.startMs).getUTCDay();
  }

  get minutesADay(): number {
    return this.to - this.from;
  }

  /** Whether a day, counted from the first, is worked. */
  works(day: number): boolean {
    return this.calendar.weekdays.includes((this.firstWeekday + day) % 7);
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

  private leftOf(at: number): number {
    return Math.floor(at / DAY) * DAY + this.to - at;
  }

  /** The day a minute falls on, counted from the first. */
  dayOf(t: number): number {
    return Math.floor(t / DAY);
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
