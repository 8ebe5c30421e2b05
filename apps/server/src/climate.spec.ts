import { climate } from './climate';

const ask = (query: string) => climate().request(`/${query}`);

it('answers with weather by the hour, marked as simulated', async () => {
  const answer = await ask('?from=2026-11-30&hours=48');
  const { simulated, hours } = (await answer.json()) as { simulated: boolean; hours: { at: string }[] };
  expect([answer.status, simulated, hours.length]).toEqual([200, true, 48]);
  expect(hours[0]?.at).toBe('2026-11-30T00:00');
  expect(await (await ask('?from=2026-11-30&hours=48')).json()).toEqual({ simulated, hours });
});

it.each([
  ['', 'from must be a day'],
  ['?from=2026-02-30', 'from must be a day'],
  ['?from=2026-11-30&hours=0', 'hours must be a whole number'],
  ['?from=2026-11-30&hours=1e9', 'hours must be a whole number'],
  ['?from=2026-11-30&place=x', 'place must be a whole number'],
])('says what is wrong with %s', async (query, reason) => {
  const answer = await ask(query);
  expect(answer.status).toBe(400);
  expect(((await answer.json()) as { error: string }).error).toContain(reason);
});
