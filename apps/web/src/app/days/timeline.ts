import { scaleUtc, utcDay } from 'd3';
import type { Calendar, Days, DayTask, Room } from '@lisse/core';

export interface Bar {
  task: DayTask;
  x: number;
  work: number;
  harden: number;
  label: string;
}

export interface Lane {
  room: Room;
  y: number;
  bars: Bar[];
  ready: { x: number; text: string } | undefined;
}

export interface Timeline {
  width: number;
  height: number;
  left: number;
  lanes: Lane[];
  days: { x: number; width: number; name: string; rest: boolean }[];
  hours: { x: number; width: number }[];
}

export const LANE = 62;
const TOP = 40;

const ms = (iso: string): number => Date.parse(`${iso}Z`);

/** Every day has its name where there is room, else Mondays, else the first of each month. */
function dayName(day: Date, width: number): string {
  const print = (options: Intl.DateTimeFormatOptions) =>
    day.toLocaleDateString('en-GB', { ...options, timeZone: 'UTC' });
  if (width > 38) return print({ weekday: 'short', day: 'numeric' });
  if (width > 8) return day.getUTCDay() === 1 ? print({ day: 'numeric', month: 'short' }) : '';
  if (day.getUTCDate() !== 1) return '';
  if (width > 1.6) return print({ month: 'short' });
  return day.getUTCMonth() === 0 ? print({ year: 'numeric' }) : '';
}

/**
 * Places the coats of every room on one line of days. Nights and days of rest are shaded; mud hardens
 * through them.
 */
export function layTimeline(
  days: Days,
  rooms: readonly Room[],
  calendar: Calendar,
  width: number,
  label: (task: DayTask) => string,
  readyText: (iso: string) => string,
): Timeline {
  const left = Math.min(140, width * 0.22);
  const ends = days.tasks.map((task) => ms(task.ready));
  const start = utcDay.floor(new Date(ms(days.tasks[0]?.start ?? `${calendar.startDate}T00:00`)));
  const end = utcDay.ceil(new Date(Math.max(start.getTime() + 2 * 864e5, ...ends) + 6 * 36e5));
  const x = scaleUtc([start, end], [left, width - 12]);
  const clock = (text: string): number => (Number(text.slice(0, 2)) + Number(text.slice(3)) / 60) * 36e5;
  const columns = utcDay.range(start, end);
  const dayWidth = x(utcDay.offset(start, 1)) - x(start);
  const worked = columns.filter((day) => calendar.weekdays.includes(day.getUTCDay()));
  return {
    width,
    height: TOP + rooms.length * LANE + 8,
    left,
    days: columns.map((day) => ({
      x: x(day),
      width: x(utcDay.offset(day, 1)) - x(day),
      name: dayName(day, dayWidth),
      rest: !calendar.weekdays.includes(day.getUTCDay()),
    })),
    hours: worked.map((day) => {
      const from = x(new Date(day.getTime() + clock(calendar.from)));
      return { x: from, width: x(new Date(day.getTime() + clock(calendar.to))) - from };
    }),
    lanes: rooms.map((room, i) => {
      const own = days.tasks.filter((task) => task.room === room.id);
      const last = days.rooms.find((r) => r.room === room.id);
      return {
        room,
        y: TOP + i * LANE,
        bars: own.map((task) => {
          const from = x(ms(task.start));
          const worked = x(ms(task.end));
          return {
            task,
            x: from,
            work: Math.max(3, worked - from),
            harden: Math.max(0, x(ms(task.ready)) - worked),
            label: label(task),
          };
        }),
        ready: last && { x: x(ms(last.ready)), text: readyText(last.ready) },
      };
    }),
  };
}
