import { SHOTS, type Reading } from '@lisse/core';
import { meter } from './meter';

const app = meter(0);

async function events(path: string): Promise<{ event: string; data: unknown }[]> {
  const answer = await app.request(path);
  expect(answer.headers.get('Content-Type')).toContain('text/event-stream');
  return (await answer.text())
    .trim()
    .split('\n\n')
    .map((block) => ({
      event: /^event: (.*)$/m.exec(block)?.[1] ?? '',
      data: JSON.parse(/^data: (.*)$/m.exec(block)?.[1] ?? 'null') as unknown,
    }));
}
const readings = async (path: string) =>
  (await events(path)).filter((e) => e.event === 'reading').map((e) => e.data as Reading);

it('sends every shot of a made-up room in order, each marked simulated, and says when it is done', async () => {
  const all = await events('/?room=7&ngsw-bypass=true');
  const sent = all.filter((e) => e.event === 'reading').map((e) => e.data as Reading);
  expect(sent.filter((r) => r.mm !== undefined).map((r) => r.shot)).toEqual([...SHOTS]);
  expect(sent.every((r) => r.simulated)).toBe(true);
  expect(all.at(-1)?.event).toBe('done');
});

it('sends the same room again for the same number, from the shot that is asked for', async () => {
  const whole = await readings('/?room=7');
  const rest = await readings('/?room=7&from=diagonal-1');
  expect(rest).toEqual(whole.filter((r) => SHOTS.indexOf(r.shot) >= SHOTS.indexOf('diagonal-1')));
  expect(await readings('/?room=8')).not.toEqual(whole);
});

it.each(['room=0', 'room=x', 'room=1.5', 'room=99999999999', 'from=roof'])(
  'refuses %s with a reason',
  async (query) => {
    const answer = await app.request(`/?${query}`);
    expect(answer.status).toBe(400);
    expect(((await answer.json()) as { error: string }).error).toMatch(/must be/);
  },
);

it('is never kept by a cache', async () => {
  expect((await app.request('/?room=7')).headers.get('Cache-Control')).toBe('no-cache');
});
