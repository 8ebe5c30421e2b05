import * as fc from 'fast-check';
import type { LogEntry } from '../job';
import { plan } from '../plan';
import { jobOf, plainRoom } from '../testing/samples';
import { trials } from '../testing/trials';
import { doubtsOf, undoubted } from './doubts';

const entry = (id: string, at: string, over: Partial<LogEntry> = {}): LogEntry => ({
  id,
  at,
  by: 'Ansa',
  device: 'phone',
  kind: 'done',
  room: 'plain',
  step: 'tape',
  ...over,
});
const now = { nowMs: Date.parse('2026-12-01T10:00:00Z'), startDate: '2026-11-30' };
const doubted = (...log: LogEntry[]): string[] =>
  doubtsOf(log, now).map(({ entry: { id }, why }) => `${id} ${why}`);

it.each([
  ['2026-12-01T09:59:00Z', []],
  // Ten minutes are let pass: clocks differ.
  ['2026-12-01T10:10:00Z', []],
  ['2026-12-01T10:11:00Z', ['a ahead']],
  // The same moment in another zone is no later.
  ['2026-12-01T22:05:00+12:00', []],
  ['2026-12-01T04:30:00-06:00', ['a ahead']],
  ['2099-03-03T10:00:00Z', ['a ahead']],
  ['1970-01-01T00:10:00Z', ['a far']],
  ['2025-11-29T10:00:00Z', ['a far']],
  ['2025-12-01T10:00:00Z', []],
])('an entry of %s is in doubt: %j', (at, expected) => {
  const others = ['b', 'c', 'd'].map((id) => entry(id, '2026-12-01T08:00:00Z'));
  expect(doubted(entry('a', at), ...others)).toEqual(expected);
});

it('a job that was really worked on years after its first day is in no doubt', () => {
  const log = ['a', 'b', 'c'].map((id, i) => entry(id, `2023-05-0${i + 1}T08:00:00Z`));
  expect(doubted(...log)).toEqual([]);
});

it('what was answered for is in none: its time was set, or is right as it is', () => {
  const ahead = entry('a', '2099-03-03T10:00:00Z');
  const timed = (at: string) => entry('b', at, { kind: 'timed', entry: 'a', clock: ahead.at });
  expect(doubted(ahead, timed('2026-12-01T09:00:00Z'))).toEqual([]);
  expect(doubted(ahead, timed(ahead.at))).toEqual([]);
  expect(doubted(ahead, entry('c', ahead.at, { kind: 'withdrawn', corrects: 'a' }))).toEqual([]);
});

it('a coat done in 2099 moves no date of the plan', () => {
  const job = jobOf([plainRoom()]);
  const sound = [entry('s', '2026-11-30T07:00:00Z', { kind: 'started' })];
  const log = [...sound, entry('a', '2099-03-03T10:00:00Z')];
  const at = '2026-12-01T10:00';
  const planned = (of: readonly LogEntry[]) =>
    plan(job, undefined, undefined, { site: { log: of, now: at } }).days.finish;
  expect(planned(log)).toContain('2099');
  expect(planned(undoubted(log, doubtsOf(log, now)))).toBe(planned(sound));
  expect(undoubted(sound, doubtsOf(sound, now))).toBe(sound);
});

/** Minutes by which a clock is wrong: ahead of the ten that are let pass, to a thousand years. */
const wrong = fc.integer({ min: 11, max: 1000 * 366 * 1440 });

it('no clock that is ahead moves the plan or takes the place of what was told by a right one', () => {
  const right = ['s', 't', 'u'].map((id, i) => entry(id, `2026-11-30T0${7 + i}:00:00Z`, { kind: 'started' }));
  fc.assert(
    fc.property(fc.array(wrong, { maxLength: 6 }), fc.nat(99), (ahead, seed) => {
      const odd = ahead.map((minutes, i) =>
        entry(`${(seed * 7 + i * 13) % 100}-${i}`, new Date(now.nowMs + minutes * 60000).toISOString()),
      );
      const log = [...odd, ...right].sort((a, b) => (a.id < b.id ? -1 : 1));
      const doubts = doubtsOf(log, now);
      expect(doubts.map(({ entry: { id }, why }) => `${id} ${why}`).sort()).toEqual(
        odd.map(({ id }) => `${id} ahead`).sort(),
      );
      expect(undoubted(log, doubts)).toEqual(right);
    }),
    { numRuns: trials(100) },
  );
});
