import type { HouseAnswer } from '@lisse/core';
import { supply } from './supply';

const ask = (query: string) => supply().request(`/${query}`);
const quote = async (want: string, day = '2026-11-30'): Promise<HouseAnswer> =>
  (await (await ask(`?day=${day}&want=${encodeURIComponent(want)}`)).json()) as HouseAnswer;

it('answers with prices and stock, marked as simulated, the same on the same day', async () => {
  const answer = await quote('tape/paper#roll:4,mud/no-such#pail-1:2');
  expect(answer).toMatchObject({ simulated: true, unknown: ['mud/no-such#pail-1'] });
  expect(answer.house).toContain('simulated');
  expect(answer.offers).toMatchObject([{ package: 'tape/paper#roll', count: 4 }]);
  expect(await quote('tape/paper#roll:4,mud/no-such#pail-1:2')).toEqual(answer);
});

it('takes less for each of many, and says from how many on', async () => {
  const price = async (count: number) => (await quote(`tape/paper#roll:${count}`)).offers[0]!;
  const [few, many] = [await price(4), await price(12)];
  expect(many.price).toBeLessThan(few.price);
  expect(many.breaks.map(({ from }) => from)).toEqual([1, 5, 12]);
  expect(many.price).toBe(many.breaks[2]!.price);
});

it('is out of one class of compound every day, and says when the rest comes', async () => {
  const classes = ['setting-hard#bag-11', 'setting-light#bag-8', 'hybrid#bag-10'];
  const pails = ['taping', 'all-purpose', 'mid-weight', 'light', 'ultra-light', 'topping'];
  const all = [...classes, ...pails.map((id) => `drying-${id}#pail-17`)].map((id) => `mud/${id}:2`).join(',');
  let out = 0;
  for (let day = 1; day <= 30; day++) {
    const { offers } = await quote(all, `2026-11-${String(day).padStart(2, '0')}`);
    expect(offers).toHaveLength(9);
    for (const { inStock, count, leadDays } of offers) {
      expect(inStock).toBeLessThanOrEqual(count);
      expect(leadDays > 0).toBe(inStock < count);
      if (inStock === 0) out++;
    }
  }
  expect(out).toBeGreaterThan(10);
});

it.each([
  ['?want=tape/paper%23roll:1', 'day must be a day'],
  ['?day=2026-11-30', 'want must name'],
  ['?day=2026-11-30&want=tape', 'each of want'],
  ['?day=2026-11-30&want=tape/paper%23roll:0', 'each of want'],
  [`?day=2026-11-30&want=${'a/b%23c:1,'.repeat(501)}`, 'want must name'],
])('says what is wrong with %s', async (query, reason) => {
  const answer = await ask(query);
  expect(answer.status).toBe(400);
  expect(((await answer.json()) as { error: string }).error).toContain(reason);
});
