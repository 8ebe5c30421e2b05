import { computed, provideZonelessChangeDetection, signal, type Signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { aFrameLater, afterwards, whenIdle, inTurn } from './idle-queue';

const make = <T>(what: () => T): T => TestBed.runInInjectionContext(what);
/** Until one more pause is over. */
const pause = async () => {
  TestBed.tick();
  await jest.advanceTimersByTimeAsync(30);
};

beforeEach(() => {
  jest.useFakeTimers();
  TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
});
afterEach(() => jest.useRealTimers());

it('gives the parts of a place their turn one after the other, and then rests', async () => {
  const turn = make(() => inTurn(2));
  const seen = [turn()];
  for (let i = 0; i < 4; i++) {
    await pause();
    seen.push(turn());
  }
  expect(seen).toEqual([0, 1, 2, 2, 2]);
  expect(jest.getTimerCount()).toBe(0);
});

it('draws a long list a few at a time, all of it for paper, and goes on where more comes', async () => {
  const list = signal(Array.from({ length: 5 }, (_, i) => i));
  const shown = make(() => whenIdle(list, 2));
  expect(shown()).toEqual([0, 1]);
  await pause();
  expect(shown()).toEqual([0, 1, 2, 3]);
  dispatchEvent(new Event('beforeprint'));
  expect(shown()).toEqual([0, 1, 2, 3, 4]);
  list.update((now) => [...now, 5]);
  expect(shown()).toHaveLength(6);
});

it('says what a signal says a pause later, and only the last of what came in between', async () => {
  const now = signal('a');
  const told: Signal<string | undefined> = make(() => afterwards(computed(() => now().toUpperCase())));
  expect(told()).toBeUndefined();
  await pause();
  expect(told()).toBe('A');
  now.set('b');
  TestBed.tick();
  await jest.advanceTimersByTimeAsync(20);
  now.set('c');
  TestBed.tick();
  await jest.advanceTimersByTimeAsync(20);
  expect(told()).toBe('A');
  await pause();
  expect(told()).toBe('C');
});

it('says what a signal says a frame later, however quickly it goes on', async () => {
  const now = signal(0);
  const told = make(() => aFrameLater(now));
  const seen = [told()];
  for (let i = 1; i <= 12; i++) {
    now.set(i);
    TestBed.tick();
    expect(told()).toBeLessThan(i);
    await jest.advanceTimersByTimeAsync(8);
    seen.push(told());
  }
  // Never more than a frame and a turn behind, though a new one comes every half frame.
  seen.forEach((was, i) => expect(i - was).toBeLessThanOrEqual(3));
  await jest.advanceTimersByTimeAsync(20);
  expect(told()).toBe(12);
  expect(jest.getTimerCount()).toBe(0);
});

it('leaves nothing behind where the place is left before its turns have come', () => {
  make(() => inTurn(3));
  TestBed.tick();
  expect(jest.getTimerCount()).toBe(1);
  TestBed.resetTestingModule();
  expect(jest.getTimerCount()).toBe(0);
  const { told, now } = make(() => {
    const now = signal(1);
    return { told: aFrameLater(now), now };
  });
  now.set(2);
  TestBed.tick();
  TestBed.resetTestingModule();
  expect(jest.getTimerCount()).toBe(0);
  expect(told()).toBe(1);
});
