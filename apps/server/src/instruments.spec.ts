import { instruments } from './instruments';

const ask = (path: string) => instruments().request(path);
const read = async (path: string) => (await (await ask(path)).json()) as Record<string, unknown>;

it('shows air and moisture, marked as simulated, the same for the same spot', async () => {
  const air = await read('/air?at=2026-11-30T07:00&spot=3');
  expect(air).toMatchObject({ simulated: true, at: '2026-11-30T07:00' });
  expect(air['tempC']).toBeGreaterThan(10);
  expect(air['rhPct']).toBeLessThan(90);
  expect(await read('/air?at=2026-11-30T07:00&spot=3')).toEqual(air);
  expect((await ask('/air?at=2026-11-30T07:00')).headers.get('Cache-Control')).toBe('no-store');
});

it('finds a coat wet at first and dry at the end', async () => {
  const at = async (hours: number) =>
    (await read(`/moisture?hours=${hours}&dry=12&spot=2`))['moisturePct'] as number;
  expect(await at(0)).toBeGreaterThan(4);
  expect(await at(6)).toBeLessThan(await at(2));
  expect(await at(13)).toBeLessThanOrEqual(0.6);
});

it.each([
  ['/air', 'at must be'],
  ['/air?at=2026-02-30T07:00', 'at must be'],
  ['/air?at=2026-11-30T25:00', 'at must be'],
  ['/air?at=2026-11-30T07:00&spot=0', 'spot must be'],
  ['/moisture?hours=-1&dry=3', 'hours must be'],
  ['/moisture?hours=1&dry=0', 'dry must be'],
  ['/moisture?hours=x&dry=3', 'hours must be'],
])('says what is wrong with %s', async (path, reason) => {
  const answer = await ask(path);
  expect(answer.status).toBe(400);
  expect(((await answer.json()) as { error: string }).error).toContain(reason);
});
