import type { Calendar } from '../job';

const DAY = 1440;

const clock = (text: string): number => {
  const [h, m] = text.split(':');
  return Number(h) * 60 + Number(m);
};

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

  constructor(private readonly calendar: Calendar) {
    this.from = clock(calendar.from);
    this.to = Math.max(this.from + 30, clock(calendar.to));
    this.startMs = Date.parse(`${calendar.startDate}T00:00:00Z`);
    this.firstWeekday = new Date(this.startMs).getUTCDay();
  }

  get minutesADay(): number {
    return this.to - this.from;
  }

  private isWorkday(day: number): boolean {
    return this.calendar.weekdays.includes((this.firstWeekday + day) % 7);
  }

  /** The first working minute at or after t. */
  next(t: number): number {
    let day = Math.floor(t / DAY);
    const minute = t - day * DAY;
    if (this.isWorkday(day) && minute < this.to) return day * DAY + Math.max(minute, this.from);
    do day++;
    while (!this.isWorkday(day));
    return day * DAY + this.from;
  }

  /** When work that starts at t (a working minute) and takes so many minutes ends. */
  after(t: number, minutes: number): number {
    let at = this.next(t);
    let left = minutes;
    for (;;) {
      const today = Math.floor(at / DAY) * DAY + this.to - at;
      if (left <= today) return at + left;
      left -= today;
      at = this.next(at + today);
    }
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
