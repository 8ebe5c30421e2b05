import * as fc from 'fast-check';
import { TYPICAL } from '../book';
import type { LogEntry } from '../job';
import { plan } from '../plan';
import { jobOf, plainRoom } from '../testing/samples';
import { inReadAir, readFactor } from './readings';

const base = jobOf([plainRoom(), { ...plainRoom(), id: 'other' }]);
const job = { ...base, way: { ...base.way, compounds: 'drying' as const } };
const own = { by: 'Ansa', device: 'd' };
const rows = plan(job).days.tasks.find(({ step, room }) => step === 'tape' && room === 'plain')!.rows;
const done: LogEntry = {
  ...own,
  id: 'a',
  at: '2026-11-30T10:00:00Z',
  kind: 'done',
  room: 'plain',
  step: 'tape',
  rows,
};
const read = (at: string, over: Partial<LogEntry>): LogEntry => ({
  ...own,
  id: `r${at}`,
  at,
  kind: 'reading',
  ...over,
});
const ready = (log: LogEntry[], room = 'plain', now = '2026-11-30T14:00') =>
  plan(job, TYPICAL, undefined, { site: { log, now } }).days.tasks.find(
    (task) => task.room === room && task.step === 'tape' && task.state === 'done',
  )!;
const hours = (a: string, b: string): number => (Date.parse(`${b}Z`) - Date.parse(`${a}Z`)) / 36e5;

it('a coat dries as long as it does in the air that was read, from then on', () => {
  const before = ready([done]);
  const cold = read('2026-11-30T12:00:00Z', { where: 'plain', tempC: 12, rhPct: 70 });
  const after = ready([done, cold]);
  const factor = readFactor({ tempC: 12, rhPct: 70 }, job.climate);
  const took = hours(before.end, before.ready);
  // Two hours were as planned, the rest goes as slowly as was read.
  expect(hours(after.end, after.ready)).toBeCloseTo(2 + (took - 2) * factor, 1);
  expect(factor).toBeGreaterThan(1.5);
  // Of another room it says nothing, and warm dry air is quicker.
  expect(ready([done, { ...cold, where: 'other' }]).ready).toBe(before.ready);
  expect(ready([done, { ...cold, where: undefined, tempC: 27, rhPct: 25 }]).ready < before.ready).toBe(true);
});

it('coats that come later go by it too', () => {
  const start = (log: LogEntry[]): string =>
    plan(job, TYPICAL, undefined, { site: { log, now: '2026-11-30T14:00' } }).days.finish!;
  expect(start([done, read('2026-11-30T12:00:00Z', { tempC: 12, rhPct: 75 })]) > start([done])).toBe(true);
});

it('what a meter finds wet is not ready before it was looked at again', () => {
  const late = ready([done]).readyLate;
  const wet = read(`${late}:00Z`, { room: 'plain', step: 'tape', rows, moisturePct: 3 });
  const after = ready([done, wet], 'plain', late);
  expect(hours(late, after.readyLate)).toBeCloseTo(1, 5);
  expect(after.ready <= after.readyLate).toBe(true);
  // A meter early on says nothing new.
  expect(ready([done, { ...wet, at: '2026-11-30T11:00:00Z' }]).readyLate).toBe(late);
});

it('never takes less than nothing, and as long as ever in the air of the job', () => {
  const rates = fc.array(
    fc.record({
      atMin: fc.integer({ min: 0, max: 3000 }),
      factor: fc.double({ min: 0.2, max: 5, noNaN: true }),
    }),
    { maxLength: 6 },
  );
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 2000 }),
      fc.integer({ min: 0, max: 2000 }),
      rates,
      (wait, from, all) => {
        const sorted = [...all].sort((a, b) => a.atMin - b.atMin);
        const took = inReadAir(wait, from, sorted);
        const factors = [1, ...sorted.map(({ factor }) => factor)];
        expect(took).toBeGreaterThanOrEqual(wait * Math.min(...factors) - 1e-6);
        expect(took).toBeLessThanOrEqual(wait * Math.max(...factors) + 1e-6);
        expect(
          inReadAir(
            wait,
            from,
            sorted.map(({ atMin }) => ({ atMin, factor: 1 })),
          ),
        ).toBeCloseTo(wait, 6);
      },
    ),
  );
});

it('whoever begins goes on with it, and begins before the planned day where they like', () => {
  const people = [
    { id: 'ansa', name: 'Ansa' },
    { id: 'jori', name: 'Jori' },
  ];
  const crewed = { ...job, calendar: { ...job.calendar, crew: 2, people } };
  for (const by of ['Ansa', 'Jori']) {
    const begun: LogEntry = {
      ...own,
      by,
      id: 'b',
      at: '2026-11-26T09:00:00Z',
      kind: 'started',
      room: 'plain',
      step: 'tape',
      rows,
    };
    const { tasks } = plan(crewed, TYPICAL, undefined, {
      site: { log: [begun], now: '2026-11-26T09:30' },
    }).days;
    const task = tasks.find(({ state }) => state === 'begun')!;
    expect([task.people, task.start, task.end.slice(0, 10)]).toEqual([
      [by.toLowerCase()],
      '2026-11-26T09:00',
      '2026-11-26',
    ]);
  }
});
