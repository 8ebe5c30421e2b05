import { asBuilt, sequence, shootRoom, SHOTS, type Shot } from '@lisse/core';
import { Hono } from 'hono';
import { streamSSE } from 'hono/streaming';

/**
 * A simulated distance meter: streams the readings of a made-up room, shot by shot, and marks them simulated.
 * `room` chooses the room, 1 to 1 000 000 000; `from` the shot to start with.
 * @param shotMs time between two shots
 */
export function meter(shotMs: number): Hono {
  const app = new Hono();
  app.get('/', (c) => {
    const seed = Number(c.req.query('room') ?? '1');
    const from = c.req.query('from') ?? SHOTS[0];
    if (!Number.isInteger(seed) || seed < 1 || seed > 1e9)
      return c.json({ error: 'room must be a whole number from 1 to 1000000000.' }, 400);
    if (!(SHOTS as readonly string[]).includes(from))
      return c.json({ error: `from must be one of ${SHOTS.join(', ')}.` }, 400);
    const random = sequence(seed);
    const readings = [...shootRoom(asBuilt(random), random)];
    const start = SHOTS.indexOf(from as Shot);
    return streamSSE(c, async (stream) => {
      for (const reading of readings) {
        if (SHOTS.indexOf(reading.shot) < start) continue;
        await stream.sleep(shotMs);
        if (stream.aborted) return;
        await stream.writeSSE({ event: 'reading', id: String(reading.n), data: JSON.stringify(reading) });
      }
      await stream.writeSSE({ event: 'done', data: '{}' });
    });
  });
  return app;
}
