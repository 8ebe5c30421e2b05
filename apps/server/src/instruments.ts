import { isDay, madeUpAir, madeUpMoisture, sequence } from '@lisse/core';
import { Hono } from 'hono';

/** A local time to the minute. */
const MOMENT = /^(\d{4}-\d{2}-\d{2})T([01]\d|2[0-3]):[0-5]\d$/;
/** Longest that a coat is asked about, h. */
const MOST_H = 2000;

/**
 * A simulated hygrometer and a simulated moisture meter: made-up readings, and marked so. `at` is the local time of a
 * reading, `spot` where it is taken, any whole number from 1; of a coat `hours` is how long ago it was laid and `dry` how
 * long it takes.
 */
export function instruments(): Hono {
  const app = new Hono();
  app.get('/air', (c) => {
    const at = c.req.query('at') ?? '';
    const spot = Number(c.req.query('spot') ?? '1');
    const day = MOMENT.exec(at)?.[1];
    if (day === undefined || !isDay(day))
      return c.json({ error: 'at must be a local time such as 2026-11-30T07:00.' }, 400);
    if (!isSpot(spot)) return c.json({ error: SPOT }, 400);
    c.header('Cache-Control', 'no-store');
    return c.json({ simulated: true, at, ...madeUpAir(at, sequence(spot)) });
  });
  app.get('/moisture', (c) => {
    const [hours, dry, spot] = ['hours', 'dry', 'spot'].map((key) => Number(c.req.query(key) ?? '1')) as [
      number,
      number,
      number,
    ];
    if (!(hours >= 0 && hours <= MOST_H)) return c.json({ error: `hours must be from 0 to ${MOST_H}.` }, 400);
    if (!(dry > 0 && dry <= MOST_H))
      return c.json({ error: `dry must be from 0.1 to ${MOST_H} hours.` }, 400);
    if (!isSpot(spot)) return c.json({ error: SPOT }, 400);
    c.header('Cache-Control', 'no-store');
    return c.json({ simulated: true, moisturePct: madeUpMoisture(hours / dry, sequence(spot)) });
  });
  return app;
}

const SPOT = 'spot must be a whole number from 1 to 1000000000.';
const isSpot = (n: number): boolean => Number.isInteger(n) && n >= 1 && n <= 1e9;
