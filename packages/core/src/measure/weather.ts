import type { WeatherHour } from '../job';

/** Days between two fronts, as a rule. */
const FRONT_DAYS = 3.5;

/**
 * Made-up weather by the hour: a swing from night to day, fronts that come every few days, mild and damp or clear and
 * cold, and the noise of a sensor.
 * @param from the first day, `2026-11-30`
 * @param random numbers from 0 to 1; the same numbers make the same weather
 */
export function madeUpWeather(from: string, hours: number, random: () => number): WeatherHour[] {
  const start = Date.parse(`${from}T00:00Z`);
  // The year's course: coldest in January.
  const dayOfYear = (start - Date.UTC(new Date(start).getUTCFullYear(), 0, 1)) / 864e5;
  const season = 9 - 9 * Math.cos(((dayOfYear - 15) / 365) * 2 * Math.PI);
  let front = random() * 2 - 1;
  let to = front;
  return Array.from({ length: hours }, (_, hour): WeatherHour => {
    if (random() < 1 / (FRONT_DAYS * 24)) to = random() * 2 - 1;
    front += (to - front) * 0.08;
    const swing = 4 * (1 - 0.4 * front) * Math.sin((((hour % 24) - 9) / 24) * 2 * Math.PI);
    const tempC = season + 5 * front + swing + (random() - 0.5) * 0.6;
    const rhPct = 74 + 16 * front - swing * 2.5 + (random() - 0.5) * 4;
    return {
      at: new Date(start + hour * 36e5).toISOString().slice(0, 16),
      tempC: Math.round(tempC * 10) / 10,
      rhPct: Math.round(Math.min(100, Math.max(15, rhPct))),
    };
  });
}
