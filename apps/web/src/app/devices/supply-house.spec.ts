import { TestBed } from '@angular/core/testing';
import { SupplyHouse } from './supply-house';

const house = () => TestBed.inject(SupplyHouse);
const wishes = [
  { package: 'mud/drying-light#pail-17', count: 7 },
  { package: 'tape/paper#roll', count: 4 },
];
const asked: string[] = [];
const answers = (status: number, body: unknown) => {
  asked.length = 0;
  globalThis.fetch = jest.fn((url: string) => {
    asked.push(url);
    return Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(body) });
  }) as unknown as typeof fetch;
};

it('asks for the packages of a day past what is kept offline, spelled so that nothing is lost', async () => {
  const answer = { simulated: true, house: 'A house', offers: [], unknown: [] };
  answers(200, answer);
  expect(await house().ask('2026-11-30', wishes)).toEqual(answer);
  const { searchParams } = new URL(asked[0]!, 'http://here/');
  expect(searchParams.get('want')).toBe('mud/drying-light#pail-17:7,tape/paper#roll:4');
  expect(searchParams.get('day')).toBe('2026-11-30');
  expect(searchParams.has('ngsw-bypass')).toBe(true);
});

it.each([
  [500, {}, 'answered 500'],
  [200, { simulated: true }, 'without offers'],
  // A house that does not say that it is made up is not this one.
  [200, { offers: [] }, 'without offers'],
])('does not take %d %j for an answer', async (status, body, why) => {
  answers(status, body);
  await expect(house().ask('2026-11-30', wishes)).rejects.toThrow(why);
});
