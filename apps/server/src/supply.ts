import { houseAnswer, isDay, LIMITS, MOST, suppliedWith, TYPICAL, type Wish } from '@lisse/core';
import { Hono } from 'hono';

/** `mud/drying-light#pail-17:3`. */
const WISH = /^([a-z0-9/-]{1,80}#[a-z0-9-]{1,40}):(\d{1,6})$/;

/**
 * A simulated supply house: what it has on a day, for how much and when the rest comes, and marked so. `day` is the day
 * it is wanted, `want` the packages with their counts, parted by commas.
 */
export function supply(): Hono {
  const app = new Hono();
  const book = suppliedWith(TYPICAL, undefined);
  app.get('/', (c) => {
    const day = c.req.query('day') ?? '';
    if (!isDay(day)) return c.json({ error: 'day must be a day such as 2026-11-30.' }, 400);
    const wanted = (c.req.query('want') ?? '').split(',').filter((one) => one !== '');
    if (wanted.length === 0 || wanted.length > MOST.quoteLines)
      return c.json({ error: `want must name 1 to ${MOST.quoteLines} packages.` }, 400);
    const wishes: Wish[] = [];
    for (const one of wanted) {
      const [, id, count] = WISH.exec(one) ?? [];
      if (id === undefined || Number(count) < 1 || Number(count) > LIMITS.quote.count.most)
        return c.json(
          { error: 'each of want must be a package and a count, such as tape/paper#roll:4.' },
          400,
        );
      wishes.push({ package: id, count: Number(count) });
    }
    return c.json(houseAnswer(wishes, day, book));
  });
  return app;
}
