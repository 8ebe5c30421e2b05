import { TestBed } from '@angular/core/testing';
import { DEVICE_MS } from './answers';
import { SupplyHouse } from './supply-house';

const house = () => TestBed.inject(SupplyHouse);
const wishes = [
  { package: 'mud/drying-light#pail-17', count: 7 },
  { package: 'tape/paper#roll', count: 4 },
];
const offer = {
  package: 'tape/paper#roll',
  count: 4,
  price: 5,
  inStock: 4,
  leadDays: 0,
  breaks: [{ from: 1, price: 5 }],
};
const whole = { simulated: true, house: 'A house', offers: [offer], unknown: [] };
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
  [200, { offers: [] }, 'does not say that it is made up'],
  [200, null, 'does not say that it is made up'],
  [
    200,
    { simulated: true, house: 'A house', offers: [{ package: 'a', count: 1 }], unknown: [] },
    'without offers',
  ],
  [200, { ...whole, offers: [{ ...offer, price: 'dear' }] }, 'without offers'],
  [200, { ...whole, offers: [{ ...offer, inStock: -1 }] }, 'without offers'],
  [200, { ...whole, offers: [{ ...offer, breaks: [{ from: 1 }] }] }, 'without offers'],
])('does not take %d %j for an answer', async (status, body, why) => {
  answers(status, body);
  await expect(house().ask('2026-11-30', wishes)).rejects.toThrow(why);
});

it('is asked no longer than it may take', async () => {
  globalThis.fetch = jest.fn(
    (_: string, { signal }: RequestInit) =>
      new Promise((__, reject) =>
        signal!.addEventListener('abort', () => reject(new Error('took too long'))),
      ),
  ) as unknown as typeof fetch;
  jest.spyOn(AbortSignal, 'timeout').mockImplementation((ms) => {
    expect(ms).toBe(DEVICE_MS);
    const control = new AbortController();
    setTimeout(() => control.abort(), 20);
    return control.signal;
  });
  await expect(house().ask('2026-11-30', wishes)).rejects.toThrow('too long');
  jest.restoreAllMocks();
});
