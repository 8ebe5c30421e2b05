import { isDay, madeUpWeather, MOST, sequence } from '@lisse/core';
import { Hono } from 'hono';

/**
 * A simulated climate logger: made-up weather by the hour, and marked so. `from` is its first day, `hours` how many of
 * them, `place` chooses the weather, 1 to 1 000 000 000.
 */
export function climate(): Hono {
  const app = new Hono();
  app.get('/', (c) => {
    const from = c.req.query('from') ?? '';
    const hours = Number(c.req.query('hours') ?? '240');
    const place = Number(c.req.query('place') ?? '1');
    if (!isDay(from)) return c.json({ error: 'from must be a day such as 2026-11-30.' }, 400);
    if (!Number.isInteger(hours) || hours < 1 || hours > MOST.weather)
      return c.json({ error: `hours must be a whole number from 1 to ${MOST.weather}.` }, 400);
    if (!Number.isInteger(place) || place < 1 || place > 1e9)
      return c.json({ error: 'place must be a whole number from 1 to 1000000000.' }, 400);
    return c.json({
      simulated: true,
      hours: madeUpWeather(from, hours, sequence(place)),
    });
  });
  return app;
}
