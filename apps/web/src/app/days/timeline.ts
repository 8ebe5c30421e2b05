import { group as groups, scaleUtc, utcDay } from 'd3';
import { clockMinutes, type Calendar, type Days, type DayTask, type Room } from '@lisse/core';

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
  /** Where days begin that have a name. */
  names: { x: number; name: string }[];
  /** Outlines of all days, of those of rest, and of working hours, each as one path. */
  dayLines: string;
  rests: string;
  hours: string;
}

export const LANE = 62;
const TOP = 40;

const ms = (iso: string): number => Date.parse(`${iso}Z`);

/** Every day has its name where there is room, else Mondays, else the first of each month. */
function dayName(day: Date, width: number): string {
  if (width > 38) return NAMES.weekday.format(day);
  if (width > 8) return day.getUTCDay() === 1 ? NAMES.monday.format(day) : '';
  if (day.getUTCDate() !== 1) return '';
  if (width > 1.6) return NAMES.month.format(day);
  return day.getUTCMonth() === 0 ? NAMES.year.format(day) : '';
}

const named = (options: Intl.DateTimeFormatOptions) =>
  new Intl.DateTimeFormat('en-GB', { ...options, timeZone: 'UTC' });
const NAMES = {
  weekday: named({ weekday: 'short', day: 'numeric' }),
  monday: named({ day: 'numeric', month: 'short' }),
  month: named({ month: 'short' }),
  year: named({ year: 'numeric' }),
};

const upright = (x: number, width: number, height: number): string =>
  `M${x.toFixed(1)} 30h${width.toFixed(2)}v${height - 30}h${(-width).toFixed(2)}z`;

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
  const clock = (text: string): number => clockMinutes(text) * 60e3;
  const columns = utcDay.range(start, end);
  const dayWidth = x(utcDay.offset(start, 1)) - x(start);
  const worked = columns.filter((day) => calendar.weekdays.includes(day.getUTCDay()));
  const height = TOP + rooms.length * LANE + 8;
  const wholeDay = (day: Date): string => upright(x(day), x(utcDay.offset(day, 1)) - x(day), height);
  const tasksOf = groups(days.tasks, (task) => task.room);
  const readyOf = new Map(days.rooms.map((room) => [room.room, room]));
  return {
    width,
    height,
    left,
    names: columns.flatMap((day) => {
      const name = dayName(day, dayWidth);
      return name === '' ? [] : [{ x: x(day), name }];
    }),
    dayLines: columns.map(wholeDay).join(''),
    rests: columns
      .filter((day) => !calendar.weekdays.includes(day.getUTCDay()))
      .map(wholeDay)
      .join(''),
    hours: worked
      .map((day) => {
        const from = x(new Date(day.getTime() + clock(calendar.from)));
        return upright(from, x(new Date(day.getTime() + clock(calendar.to))) - from, height);
      })
      .join(''),
    lanes: rooms.map((room, i) => {
      const own = tasksOf.get(room.id) ?? [];
      const last = readyOf.get(room.id);
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
