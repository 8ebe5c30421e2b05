import { TestBed } from '@angular/core/testing';
import { Awake } from './awake';
import { Bell } from './bell';
import { Instruments } from './instruments';

const has = (name: string, value: unknown): void => {
  Object.defineProperty(globalThis, name, { value, configurable: true, writable: true });
};
const device = (over: Record<string, unknown>): void => {
  for (const [key, value] of Object.entries(over))
    Object.defineProperty(navigator, key, { value, configurable: true });
};

describe('the bell', () => {
  const tones: number[] = [];
  class Sound {
    state = 'suspended';
    currentTime = 0;
    destination = {};
    resume = () => ((this.state = 'running'), Promise.resolve());
    createGain = () => ({
      gain: { setValueAtTime: () => undefined, exponentialRampToValueAtTime: () => undefined },
      connect: (to: unknown) => to,
    });
    createOscillator = () => {
      const tone = {
        type: '',
        frequency: { value: 0 },
        connect: (to: unknown) => to,
        start: () => tones.push(tone.frequency.value),
        stop: () => undefined,
      };
      return tone;
    };
  }

  it('shakes and sounds once somebody has touched the page, and never before', async () => {
    const shaken: unknown[] = [];
    device({ vibrate: (pattern: unknown) => shaken.push(pattern) });
    has('AudioContext', Sound);
    has('Notification', undefined);
    const bell = TestBed.inject(Bell);
    bell.ring();
    expect([shaken.length, tones.length]).toEqual([1, 0]);
    await bell.ready();
    bell.ring();
    expect([shaken.length, tones.length]).toEqual([2, 3]);
  });

  it('notifies where that is allowed, by the worker where there is one, and leads back to the clocks', async () => {
    const shown: [string, NotificationOptions][] = [];
    const asked = jest.fn(() => Promise.resolve('granted'));
    has('Notification', Object.assign(jest.fn(), { permission: 'default', requestPermission: asked }));
    device({
      serviceWorker: {
        getRegistration: () =>
          Promise.resolve({
            showNotification: (title: string, options: NotificationOptions) => (
              shown.push([title, options]),
              Promise.resolve()
            ),
          }),
      },
    });
    const bell = TestBed.inject(Bell);
    await bell.ready();
    expect(asked).toHaveBeenCalledTimes(1);
    await bell.notify('Clean', '4 L', 'pot', '/job/a/today');
    expect(shown).toEqual([]);
    has('Notification', Object.assign(jest.fn(), { permission: 'granted' }));
    await bell.notify('Clean', '4 L', 'pot', '/job/a/today');
    expect(shown).toMatchObject([
      ['Clean', { body: '4 L', tag: 'pot', data: { onActionClick: { default: { url: '/job/a/today' } } } }],
    ]);
  });
});

it('keeps the screen awake while that is wanted and seen, and takes it again after it was hidden', async () => {
  const locks: { released: boolean; release: () => Promise<void> }[] = [];
  const request = jest.fn(() => {
    const lock = { released: false, release: () => ((lock.released = true), Promise.resolve()) };
    locks.push(lock);
    return Promise.resolve(lock);
  });
  device({ wakeLock: { request } });
  const awake = TestBed.inject(Awake);
  const settle = () => new Promise((resolve) => setTimeout(resolve, 1));
  awake.want(true);
  await settle();
  document.dispatchEvent(new Event('visibilitychange'));
  await settle();
  expect(request).toHaveBeenCalledTimes(1);
  // The device let it go while the page was hidden.
  locks[0]!.released = true;
  document.dispatchEvent(new Event('visibilitychange'));
  await settle();
  expect(request).toHaveBeenCalledTimes(2);
  awake.want(false);
  await settle();
  expect(locks[1]!.released).toBe(true);
  // A device that does not is no trouble.
  device({ wakeLock: { request: () => Promise.reject(new Error('low battery')) } });
  awake.want(true);
  await settle();
});

describe('the instruments', () => {
  const asked: string[] = [];
  const answers = (status: number, body: unknown) => {
    asked.length = 0;
    globalThis.fetch = jest.fn((url: string) => {
      asked.push(url);
      return Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(body) });
    }) as unknown as typeof fetch;
  };
  const meters = () => TestBed.inject(Instruments);

  it('are asked past what is kept offline', async () => {
    answers(200, { simulated: true, tempC: 18, rhPct: 55, moisturePct: 2 });
    expect(await meters().air('2026-11-30T07:00', 3)).toEqual({ tempC: 18, rhPct: 55 });
    expect(await meters().moisture(2, 12, 3)).toBe(2);
    for (const url of asked) expect(new URL(url, 'http://here/').searchParams.has('ngsw-bypass')).toBe(true);
    expect(new URL(asked[1]!, 'http://here/').searchParams.get('hours')).toBe('2.00');
  });

  it.each([
    [500, {}],
    [200, { simulated: true }],
    // One that does not say that it is made up is not ours.
    [200, { tempC: 18, rhPct: 55, moisturePct: 2 }],
  ])('show nothing for %d %j', async (status, body) => {
    answers(status, body);
    await expect(meters().air('2026-11-30T07:00', 1)).rejects.toThrow();
    await expect(meters().moisture(1, 2, 1)).rejects.toThrow();
  });
});
