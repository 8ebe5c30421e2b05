import { group as groups, scaleUtc, utcDay } from 'd3';
import {
  clockMinutes,
  type AirAt,
  type Calendar,
  type Days,
  type DayTask,
  type Locale,
  type Room,
} from '@lisse/core';

export interface Bar {
  task: DayTask;
  x: number;
  /** Working, hardening as a rule, and until it is sure, px; each from where the one before ends. */
  work: number;
  harden: number;
  late: number;
  /** The hours of each day that are worked on it. */
  pieces: { x: number; width: number }[];
}

/** A row of the timeline: a room, one coat of a room that is opened, or a person. */
export interface Lane {
  kind: 'room' | 'task' | 'person';
  id: string;
  /** None for a coat: its step names it. */
  name: string | undefined;
  y: number;
  height: number;
  tasks: readonly DayTask[];
  ready: { x: number; at: string } | undefined;
  open: boolean;
}

export interface Timeline {
  width: number;
  height: number;
  left: number;
  lanes: Lane[];
  /** The bars of a row; most rows are off the screen, and have none made. */
  barsOf(lane: Lane): Bar[];
  /** Where the people begin; none where nobody works. */
  peopleY: number | undefined;
  names: { x: number; name: string }[];
  /** Outlines of all days, of those of rest, and of working hours, each as one path. */
  dayLines: string;
  rests: string;
  hours: string;
  nowX: number | undefined;
  /** Humidity of the rooms, each as a line, over the days. */
  air: { room: string; path: string; low: number; high: number }[];
  /** Temperature in the rooms as lines over the days; rooms as warm as each other share one. */
  warmth: { path: string; low: number; high: number }[];
  leaving: { x: number; width: number; height: number; date: string; litres: number }[];
  /** px of a minute. */
  perMin: number;
}

/** Heights of the rows, px. */
export const ROW = { room: 46, task: 30, person: 26 };
const TOP = 34;
const AIR = 54;

const ms = (iso: string): number => Date.parse(`${iso}Z`);

/** A local time so many minutes later. */
export const later = (iso: string, minutes: number): string =>
  new Date(ms(iso) + minutes * 60000).toISOString().slice(0, 16);

/** Every day has its name where there is room, else Mondays, else the first of each month. */
function dayName(day: Date, width: number, locale: Locale): string {
  const iso = day.toISOString();
  if (width > 38) return `${locale.datePart(iso, 'weekday')} ${day.getUTCDate()}`;
  if (width > 8) return day.getUTCDay() === 1 ? locale.dayOfMonth(iso) : '';
  if (day.getUTCDate() !== 1) return '';
  if (width > 1.6) return locale.datePart(iso, 'month');
  return day.getUTCMonth() === 0 ? locale.datePart(iso, 'year') : '';
}

const upright = (x: number, width: number, height: number): string =>
  `M${x.toFixed(1)} 30h${width.toFixed(2)}v${height - 30}h${(-width).toFixed(2)}z`;

/** What is laid out. */
export interface ToLay {
  days: Days;
  rooms: readonly Pick<Room, 'id' | 'name'>[];
  calendar: Calendar;
  /** As wide as there is room for, px. */
  width: number;
  /** Days seen at once; all where it is not given. */
  span: number | undefined;
  /** Rooms whose coats have rows of their own. */
  open: ReadonlySet<string>;
  /** The days are named in its words. */
  locale: Locale;
}

/**
 * Places the coats of every room, and what each person does, on one line of days. Nights and days of rest are shaded;
 * mud hardens through them.
 */
export function layTimeline({ days, rooms, calendar, width: seen, span, open, locale }: ToLay): Timeline {
  const left = Math.min(132, seen * 0.22);
  const start = utcDay.floor(new Date(ms(days.tasks[0]?.start ?? `${calendar.startDate}T00:00`)));
  // Local times of one form: the later one is the greater text.
  const last = days.tasks.reduce((most, { readyLate }) => (readyLate > most ? readyLate : most), '');
  const least = start.getTime() + 2 * 864e5;
  const end = utcDay.ceil(new Date((last === '' ? least : Math.max(least, ms(last))) + 6 * 36e5));
  const count = utcDay.count(start, end);
  const width = span === undefined || span >= count ? seen : left + ((seen - left - 12) * count) / span + 12;
  const x = scaleUtc([start, end], [left, width - 12]);
  const places = new Map<string, number>();
  /** Where a moment stands; the rooms share their hours, so each is reckoned once. */
  const at = (iso: string): number => {
    const known = places.get(iso);
    if (known !== undefined) return known;
    const place = x(ms(iso));
    places.set(iso, place);
    return place;
  };
  const barOf = (task: DayTask): Bar => {
    const [from, worked, ready, late] = [task.start, task.end, task.ready, task.readyLate].map(at) as [
      number,
      number,
      number,
      number,
    ];
    return {
      task,
      x: from,
      work: Math.max(3, worked - from),
      harden: Math.max(0, ready - Math.max(worked, from + 3)),
      late: Math.max(0, late - ready),
      pieces: piecesOf(task, calendar).map(([a, b]) => ({ x: at(a), width: Math.max(3, at(b) - at(a)) })),
    };
  };
  const tasksOf = groups(days.tasks, (task) => task.room);
  const readyOf = new Map(days.rooms.map((room) => [room.room, room.ready]));
  const lanes: Lane[] = [];
  let y = TOP + AIR;
  const lay = (lane: Omit<Lane, 'y' | 'height'>) => {
    const height = ROW[lane.kind];
    lanes.push({ ...lane, y, height });
    y += height;
  };
  for (const room of rooms) {
    const own = tasksOf.get(room.id) ?? [];
    const ready = readyOf.get(room.id);
    const isOpen = open.has(room.id);
    lay({
      kind: 'room',
      id: room.id,
      name: room.name,
      tasks: isOpen ? [] : own,
      ready: ready === undefined ? undefined : { x: at(ready), at: ready },
      open: isOpen,
    });
    if (isOpen)
      for (const task of own)
        lay({
          kind: 'task',
          id: task.id,
          name: undefined,
          tasks: [task],
          ready: undefined,
          open: false,
        });
  }
  const working = days.people.filter(({ id }) => days.tasks.some(({ people }) => people.includes(id)));
  const peopleY = working.length > 0 ? y + 4 : undefined;
  y += working.length > 0 ? 24 : 0;
  for (const { id, name } of working)
    lay({
      kind: 'person',
      id,
      name,
      tasks: days.tasks.filter(({ people }) => people.includes(id)),
      ready: undefined,
      open: false,
    });
  const height = y + 8;
  const columns = utcDay.range(start, end);
  const dayWidth = x(utcDay.offset(start, 1)) - x(start);
  const worked = columns.filter((day) => calendar.weekdays.includes(day.getUTCDay()));
  const clock = (text: string): number => clockMinutes(text) * 60e3;
  const wholeDay = (day: Date): string => upright(x(day), x(utcDay.offset(day, 1)) - x(day), height);
  return {
    width,
    height,
    left,
    lanes,
    // People do not wait for mud.
    barsOf: ({ kind, tasks }) =>
      tasks.map((task) => (kind === 'person' ? { ...barOf(task), harden: 0, late: 0 } : barOf(task))),
    peopleY,
    names: columns.flatMap((day) => {
      const name = dayName(day, dayWidth, locale);
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
    nowX: days.now === undefined ? undefined : at(days.now),
    air: airLines(days.air ?? [], at, x(end)),
    warmth: warmthLines(days.air ?? [], at, x(end)),
    leaving: leavingBars(days, at, x(end)),
    perMin: dayWidth / 1440,
  };
}

/** From when to when a task is worked on each of its days: over a night nobody does. */
function piecesOf({ start, end }: DayTask, { from, to, weekdays }: Calendar): [string, string][] {
  const pieces: [string, string][] = [];
  for (
    let day = start.slice(0, 10);
    day <= end.slice(0, 10);
    day = later(`${day}T00:00`, 1440).slice(0, 10)
  ) {
    const first = day === start.slice(0, 10) ? start : `${day}T${from}`;
    const last = day === end.slice(0, 10) ? end : `${day}T${to}`;
    const worked =
      weekdays.includes(new Date(`${day}T00:00Z`).getUTCDay()) || first === start || last === end;
    if (worked && first < last) pieces.push([first, last]);
  }
  return pieces;
}

/** Where a humidity stands in the band over the days, px; 0 to 100 %. */
const airY = (rhPct: number): number => TOP + AIR - 8 - (rhPct / 100) * (AIR - 14);

/** Where a temperature stands in it, px; −10 to 35 °C. */
const warmthY = (tempC: number): number => airY(((Math.max(-10, Math.min(35, tempC)) + 10) / 45) * 100);

/** Values of the hours as a line, with the least and the most of them. */
function lineOf(
  hours: readonly AirAt[],
  of: (hour: AirAt) => number,
  x: (hour: AirAt) => number,
  y: (value: number) => number,
): { path: string; low: number; high: number } {
  const values = hours.map(of);
  return {
    low: values.reduce((least, value) => Math.min(least, value), Infinity),
    high: values.reduce((most, value) => Math.max(most, value), -Infinity),
    path: hours
      .map((hour, i) => `${i === 0 ? 'M' : 'L'}${x(hour).toFixed(1)} ${y(of(hour)).toFixed(1)}`)
      .join(''),
  };
}

const shown = (air: readonly AirAt[], at: (iso: string) => number, end: number) =>
  groups(
    air.filter((hour) => at(hour.at) <= end),
    ({ room }) => room,
  );

function airLines(air: readonly AirAt[], at: (iso: string) => number, end: number): Timeline['air'] {
  return [...shown(air, at, end)].map(([room, hours]) => ({
    room,
    ...lineOf(
      hours,
      ({ rhPct }) => rhPct,
      (hour) => at(hour.at),
      airY,
    ),
  }));
}

function warmthLines(air: readonly AirAt[], at: (iso: string) => number, end: number): Timeline['warmth'] {
  const lines = [...shown(air, at, end).values()]
    .sort((a, b) => b.length - a.length)
    .map((hours) =>
      lineOf(
        hours,
        ({ tempC }) => tempC,
        (hour) => at(hour.at),
        warmthY,
      ),
    );
  // A room that is left sooner and was as warm lies under the line of the one that is there longest.
  return lines.filter(
    ({ path }, i) =>
      !lines.slice(0, i).some((longer) => longer.path.startsWith(path) || longer.path === path),
  );
}

function leavingBars({ leaving = [] }: Days, at: (iso: string) => number, end: number): Timeline['leaving'] {
  const most = Math.max(1, ...leaving.map(({ litres }) => litres));
  return leaving.flatMap(({ date, litres }) => {
    const x = at(`${date}T00:00`);
    const width = at(later(`${date}T00:00`, 1440)) - x;
    if (litres < 0.05 || x >= end) return [];
    return [{ x, width, height: (litres / most) * (AIR - 16), date, litres }];
  });
}
