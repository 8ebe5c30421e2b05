import Papa from 'papaparse';
import { isDay, LIMITS, MOST, within, type WeatherHour } from '../job';
import { say, type Message } from '../texts';
import type { RowError } from './rooms-csv';

/** Weather as a table brings it, or what is wrong in it, row by row; nothing lands where anything is. */
export interface WeatherRead {
  hours: WeatherHour[];
  errors: RowError[];
}

type Column = 'at' | 'tempC' | 'tempF' | 'rhPct';

/** Column headings that are understood, without case and spaces. */
const HEADINGS: readonly [RegExp, Column][] = [
  [/^(time|date|at|hour|datetime|timestamp)/, 'at'],
  [/^(temp|temperature).*f\)?$/, 'tempF'],
  [/^(temp|temperature)/, 'tempC'],
  [/^(rh|humidity|relativehumidity)/, 'rhPct'],
];

const SHOWN = 20;

/**
 * Reads weather by the hour from a table with a heading row: a column of times (`2026-11-30 07:00`), one of
 * temperatures, in °C unless its heading ends in F, and one of humidity in %.
 */
export function readWeatherCsv(text: string): WeatherRead {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const errors: RowError[] = [];
  const wrong = (row: number, column: string, message: Message) => {
    if (errors.length < SHOWN) errors.push({ row, column, message });
  };
  const [heading = [], ...rows] = data;
  const columns = heading.map((title) => {
    const plain = title.toLowerCase().replace(/[\s_°(]/g, '');
    return HEADINGS.find(([form]) => form.test(plain))?.[1];
  });
  const at = (column: Column): number => columns.indexOf(column);
  const temp = at('tempC') >= 0 ? at('tempC') : at('tempF');
  for (const [index, name] of [
    [at('at'), 'time'],
    [temp, 'temperature'],
    [at('rhPct'), 'humidity'],
  ] as const)
    if (index < 0) wrong(1, name, say('weather.no-column'));
  if (errors.length > 0) return { hours: [], errors };
  if (rows.length === 0) wrong(1, 'time', say('weather.empty'));
  if (rows.length > MOST.weather)
    wrong(1, 'time', say('door.entries', { most: MOST.weather, has: rows.length }));
  const hours = rows.slice(0, MOST.weather).flatMap((cells, i): WeatherHour[] => {
    const row = i + 2;
    const time = momentIn(cells[at('at')] ?? '');
    const number = (index: number): number => Number((cells[index] ?? '').trim().replace(',', '.') || NaN);
    const read = number(temp);
    const tempC = temp === at('tempF') ? Math.round(((read - 32) / 1.8) * 100) / 100 : read;
    const rhPct = number(at('rhPct'));
    if (time === undefined) wrong(row, heading[at('at')] ?? 'time', say('weather.time'));
    if (!within(tempC, LIMITS.climate.outC)) wrong(row, heading[temp] ?? '', say('weather.temperature'));
    if (!within(rhPct, LIMITS.log.rhPct)) wrong(row, heading[at('rhPct')] ?? '', say('weather.humidity'));
    return time === undefined ? [] : [{ at: time, tempC, rhPct }];
  });
  return errors.length > 0 ? { hours: [], errors } : { hours, errors };
}

/** `2026-11-30 7:00`, with or without seconds and with a T or a space between. */
function momentIn(text: string): string | undefined {
  const found = /^(\d{4}-\d\d-\d\d)[T ](\d{1,2}):(\d\d)/.exec(text.trim());
  if (!found) return undefined;
  const [, day = '', hour = '', minute = ''] = found;
  if (!isDay(day) || Number(hour) > 23 || Number(minute) > 59) return undefined;
  return `${day}T${hour.padStart(2, '0')}:${minute}`;
}
