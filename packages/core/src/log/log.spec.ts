import * as fc from 'fast-check';
import { checkJob, type LogEntry } from '../job';
import { jobOf, plainRoom } from '../testing/samples';
import { rowDone, standing, stateOf, united } from './log';

const entry = (id: string, over: Partial<LogEntry> = {}): LogEntry => ({
  id,
  at: '2026-12-01T08:00+01:00',
  by: 'Ansa',
  device: 'phone',
  kind: 'done',
  room: 'hall',
  step: 'tape',
  ...over,
});

/** Any log of up to 30 entries that correct each other as they like. */
const anyLog = fc
  .array(
    fc.record({
      n: fc.integer({ min: 0, max: 40 }),
      kind: fc.constantFrom('started', 'paused', 'done', 'ready', 'reading', 'withdrawn'),
      hour: fc.integer({ min: 0, max: 23 }),
      corrects: fc.option(fc.integer({ min: 0, max: 40 })),
      rows: fc.option(fc.constantFrom('heads', 'flats')),
    }),
    { maxLength: 30 },
  )
  .map((all) =>
    all.map(({ n, kind, hour, corrects, rows }) => {
      const id = `e${String(n).padStart(2, '0')}`;
      return entry(id, {
        at: `2026-12-01T${String(hour).padStart(2, '0')}:00Z`,
        kind: kind as LogEntry['kind'],
        tempC: hour,
        ...(rows ? { rows: [rows as 'heads'] } : {}),
        ...(corrects === null ? {} : { corrects: `e${String(corrects).padStart(2, '0')}` }),
      });
    }),
  );

describe('a log', () => {
  it('is united the same whoever is asked first, however often', () => {
    fc.assert(
      fc.property(anyLog, anyLog, anyLog, (a, b, c) => {
        expect(united(a, b)).toEqual(united(b, a));
        expect(united(united(a, b), c)).toEqual(united(a, united(b, c)));
        expect(united(united(a, b), b)).toEqual(united(a, b));
      }),
    );
  });

  it('comes to the same state whatever the order of arrival', () => {
    fc.assert(
      fc.property(anyLog, fc.infiniteStream(fc.nat()), (log, numbers) => {
        const once = united(log, []);
        const shuffled = once
          .map((e) => [numbers.next().value as number, e] as const)
          .sort(([a], [b]) => a - b)
          .map(([, e]) => e);
        expect(stateOf(shuffled)).toEqual(stateOf(once));
      }),
    );
  });

  it('takes back what a later entry names, and gives it again when that is taken back', () => {
    const done = entry('a');
    const back = entry('b', { kind: 'withdrawn', corrects: 'a' });
    const again = entry('c', { kind: 'withdrawn', corrects: 'b' });
    expect(standing([back, done])).toEqual([]);
    expect(standing([again, back, done])).toEqual([done]);
    const late = entry('d', { corrects: 'a', at: '2026-12-01T09:30+01:00', minutes: 40 });
    expect(rowDone(stateOf([late, done]), 'hall', 'tape', 'flats')).toEqual({
      done: '2026-12-01T09:30',
      minutes: 40,
    });
    // Corrected twice, only the last stands; taken back, the one before it stands again.
    const twice = entry('e', { corrects: 'd' });
    expect(standing([late, done, twice]).map(({ id }) => id)).toEqual(['e']);
    const undone = entry('f', { kind: 'withdrawn', corrects: 'e' });
    expect(standing([undone, late, done, twice]).map(({ id }) => id)).toEqual(['d']);
    // Two that name each other: only the later one corrects.
    const [x, y] = [entry('x', { corrects: 'y' }), entry('y', { corrects: 'x' })];
    expect(standing([x, y]).map(({ id }) => id)).toEqual(['y']);
  });

  it('tells a row by itself over its whole coat', () => {
    const state = stateOf([entry('a'), entry('b', { kind: 'ready', toldBy: 'chip', rows: ['heads'] })]);
    expect(rowDone(state, 'hall', 'tape', 'heads')).toMatchObject({
      done: '2026-12-01T08:00',
      ready: '2026-12-01T08:00',
    });
    expect(rowDone(state, 'hall', 'tape', 'flats').ready).toBeUndefined();
  });
});

describe('a log at the door', () => {
  const job = jobOf([plainRoom()]);
  const wrong = (over: object): string[] => {
    const read = checkJob({ ...job, log: [{ ...entry('a'), ...over }] });
    return read.ok ? [] : read.problems.map(({ path, message }) => `${path} ${message.key}`);
  };

  it('takes what is right, and says what is wrong where', () => {
    expect(wrong({})).toEqual([]);
    expect(wrong({ at: '2026-12-01T08:00' })).toEqual(['log[0].at door.moment']);
    expect(wrong({ kind: 'painted' })).toEqual(['log[0].kind door.one-of']);
    expect(wrong({ room: undefined })).toEqual(['log[0].room door.missing']);
    expect(wrong({ kind: 'withdrawn', room: undefined, step: undefined })).toEqual([
      'log[0].corrects door.missing',
    ]);
    expect(wrong({ kind: 'reading', room: undefined, step: undefined, tempC: 99 })).toEqual([
      'log[0].tempC door.number',
    ]);
  });
});
