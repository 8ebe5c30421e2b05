import * as fc from 'fast-check';
import { madeUpWeather } from '../measure';
import { sequence } from '../units';
import { LIMITS, within } from '../job';
import { said } from '../testing/samples';
import { readWeatherCsv } from './weather-csv';

const wrong = (text: string): string[] =>
  readWeatherCsv(text).errors.map(({ row, column, message }) => `${row} ${column}: ${said(message)}`);

it('reads hours from a table, in °C or °F, with commas or points', () => {
  const celsius = 'time;temp (°C);RH %\n2026-11-30 07:00;3,5;81\n2026-11-30T8:00:00;4;79\n';
  expect(readWeatherCsv(celsius)).toEqual({
    hours: [
      { at: '2026-11-30T07:00', tempC: 3.5, rhPct: 81 },
      { at: '2026-11-30T08:00', tempC: 4, rhPct: 79 },
    ],
    errors: [],
  });
  expect(readWeatherCsv('Date,Temperature F,Humidity\n2026-11-30 07:00,41,81').hours[0]?.tempC).toBe(5);
});

it('says what is wrong where, and takes nothing then', () => {
  expect(wrong('time,rh\n2026-11-30 07:00,80')).toEqual([
    '1 temperature: The heading row has no such column.',
  ]);
  expect(wrong('time,temp,rh\n')).toEqual(['1 time: There are no rows under the heading row.']);
  const bad = 'time,temp,rh\n2026-11-30 07:00,3,80\n30 Nov,99,180\n';
  expect(wrong(bad)).toEqual([
    '3 time: Not a date and time such as 2026-11-30 07:00.',
    '3 temp: Not an outdoor temperature.',
    '3 rh: Not a humidity from 0 to 100 %.',
  ]);
  expect(readWeatherCsv(bad).hours).toEqual([]);
});

it('never throws, whatever the text', () => {
  fc.assert(fc.property(fc.string(), (text) => readWeatherCsv(text).hours.length >= 0));
});

it('makes weather up the same way twice, within what a job takes', () => {
  const made = (place: number) => madeUpWeather('2026-11-30', 24 * 60, sequence(place));
  expect(made(3)).toEqual(made(3));
  expect(made(3)).not.toEqual(made(4));
  for (const { tempC, rhPct } of made(3))
    expect(within(tempC, LIMITS.climate.outC) && within(rhPct, LIMITS.log.rhPct)).toBe(true);
  const day = made(3).slice(24, 48);
  expect(
    Math.max(...day.map(({ tempC }) => tempC)) - Math.min(...day.map(({ tempC }) => tempC)),
  ).toBeGreaterThan(2);
});
