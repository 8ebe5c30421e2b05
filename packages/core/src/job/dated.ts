import type { Calendar, Job } from './types';

const DAY_MS = 86400000;
/** A day, or a moment that begins with one, as documents keep them. */
const DATED = /^\d{4}-\d\d-\d\d(?=$|T\d\d:\d\d)/;

/** The day so many days after another. */
export const daysAfter = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);

/** The first working day after a day such as `2026-11-30`. */
export function comingWorkday(day: string, { weekdays }: Pick<Calendar, 'weekdays'>): string {
  for (let n = 1; n < 7; n++) {
    const next = daysAfter(day, n);
    if (weekdays.includes(new Date(`${next}T00:00Z`).getUTCDay())) return next;
  }
  return daysAfter(day, 7);
}

/**
 * A job moved in time as a whole: its first day becomes the one given, and every other day and moment in it (readings,
 * use-by dates, peel tests, deadlines) keeps its distance from that.
 */
export function startingOn<T extends Pick<Job, 'calendar'>>(job: T, day: string): T {
  const days = Math.round(
    (Date.parse(`${day}T00:00Z`) - Date.parse(`${job.calendar.startDate}T00:00Z`)) / DAY_MS,
  );
  const moved = (value: unknown): unknown => {
    if (typeof value === 'string') return value.replace(DATED, (date) => daysAfter(date, days));
    if (Array.isArray(value)) return value.map(moved);
    if (typeof value === 'object' && value !== null)
      return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, moved(one)]));
    return value;
  };
  return moved(job) as T;
}
