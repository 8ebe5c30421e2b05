import * as fc from 'fast-check';
import type { LogEntry } from '../job';
import { mergeLogs } from './log';
import { cutPieces, cutKey, lotsOf, mayBeUsed } from './stock';

const kinds = ['received', 'opened', 'used', 'spoiled', 'allowed'] as const;
const anyLog: fc.Arbitrary<LogEntry[]> = fc
  .array(
    fc.record({
      kind: fc.constantFrom(...kinds),
      lot: fc.constantFrom('a', 'b', 'c'),
      amount: fc.integer({ min: 0, max: 40 }),
      minute: fc.integer({ min: 0, max: 59 }),
      back: fc.boolean(),
    }),
    { maxLength: 30 },
  )
  .map((list) =>
    list.map(({ kind, lot, amount, minute, back }, i): LogEntry => ({
      id: `e${String(i).padStart(4, '0')}`,
      at: `2026-11-27T08:${String(minute).padStart(2, '0')}:00+00:00`,
      by: 'Ansa',
      device: 'd',
      ...(back && i > 0
        ? { kind: 'withdrawn' as const, corrects: `e${String(i - 1).padStart(4, '0')}` }
        : { kind, lot, amount, ...(kind === 'received' ? { ware: 'tape/paper', each: 10 } : {}) }),
    })),
  );

describe('lots', () => {
  it('do not depend on the order entries arrive in, nor on how often', () => {
    fc.assert(
      fc.property(anyLog, fc.infiniteStream(fc.nat()), (log, order) => {
        const shuffled = log
          .map((entry) => ({ entry, by: order.next().value as number }))
          .sort((a, b) => a.by - b.by)
          .map(({ entry }) => entry);
        expect(lotsOf(shuffled)).toEqual(lotsOf(log));
        expect(lotsOf(mergeLogs(log, shuffled))).toEqual(lotsOf(log));
      }),
    );
  });

  it('hold what came less what was used and spoiled, and never less than nothing', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        for (const { got, used, spoiled, left } of lotsOf(log))
          expect(left).toBe(Math.max(0, got - used - spoiled));
      }),
    );
  });

  it('count for nothing where they never came', () => {
    const [entry] = fc.sample(
      anyLog.filter((log) => log.length > 0),
      1,
    ) as [LogEntry[]];
    expect(lotsOf(entry.filter(({ kind }) => kind !== 'received'))).toEqual([]);
  });

  it('come the oldest first: by date, then by when they were opened', () => {
    const came = (id: string, lot: string, useBy?: string): LogEntry => ({
      id,
      at: `2026-11-2${id.slice(-1)}T08:00:00+00:00`,
      by: '',
      device: 'd',
      kind: 'received',
      lot,
      ware: 'mud/hybrid',
      amount: 1,
      each: 1,
      ...(useBy === undefined ? {} : { useBy }),
    });
    const opened: LogEntry = { ...came('e9', 'late'), kind: 'opened' };
    const log = [came('e1', 'never'), came('e2', 'late'), came('e3', 'soon', '2027-01-01'), opened];
    expect(lotsOf(log).map(({ id }) => id)).toEqual(['soon', 'late', 'never']);
    expect(mayBeUsed({ useBy: '2027-01-01' }, '2027-01-01T16:00')).toBe(true);
    expect(mayBeUsed({ useBy: '2027-01-01' }, '2027-01-02T07:00')).toBe(false);
    expect(mayBeUsed({ useBy: '2027-01-01', allowed: '' }, '2027-01-02T07:00')).toBe(true);
  });
});

it('tells pieces as cut until that is taken back', () => {
  const cut = { at: '2026-11-27T08:00:00+00:00', by: '', device: 'd', kind: 'cut' as const };
  const log: LogEntry[] = [
    { id: 'a', ...cut, room: 'r', joint: 'c-1' },
    { id: 'b', ...cut, room: 'r', joint: 'c-1', part: 2 },
    { id: 'c', ...cut, kind: 'withdrawn', corrects: 'a' },
  ];
  expect([...cutPieces(log)]).toEqual([cutKey('r', 'c-1', 2)]);
});
