import * as fc from 'fast-check';
import { canonical, checkJob, type Log, type LogEntry } from '../job';
import { jobOf, plainRoom } from '../testing/samples';
import { trials } from '../testing/trials';
import { rowDone, standing, stateOf, twoTexts, mergeLogs } from './log';

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
  /** Every text by the id it came under, whether it counts or stands beside. */
  const texts = (log: Log): string[] =>
    [...new Set(log.map(({ beside, id, ...text }) => `${beside ?? id} ${canonical(text)}`))].sort();
  const ownIds = (log: LogEntry[], prefix: string): LogEntry[] =>
    mergeLogs(
      log.map((one) => ({ ...one, id: prefix + one.id })),
      [],
    ).filter(({ beside }) => beside === undefined);

  it('is united the same whoever is asked first, however often', () => {
    fc.assert(
      fc.property(anyLog, anyLog, anyLog, (x, y, z) => {
        // Three devices with entries of their own, and some that two of them have.
        const [a, b, c] = [ownIds(x, 'a'), [...ownIds(y, 'b'), ...ownIds(x, 'a')], ownIds(z, 'c')];
        expect(mergeLogs(a, b)).toEqual(mergeLogs(b, a));
        expect(mergeLogs(mergeLogs(a, b), c)).toEqual(mergeLogs(a, mergeLogs(b, c)));
        expect(mergeLogs(mergeLogs(a, b), b)).toEqual(mergeLogs(a, b));
        expect(twoTexts(mergeLogs(a, mergeLogs(b, c)))).toEqual([]);
      }),
      { numRuns: trials(100) },
    );
  });

  it('keeps every text that came under one id, whoever is asked first, and counts the one that was here', () => {
    fc.assert(
      fc.property(anyLog, anyLog, anyLog, (x, y, z) => {
        const [a, b, c] = [mergeLogs(x, []), mergeLogs(y, []), mergeLogs(z, [])];
        expect(texts(mergeLogs(a, b))).toEqual(texts(mergeLogs(b, a)));
        expect(texts(mergeLogs(mergeLogs(a, b), c))).toEqual(texts(mergeLogs(a, mergeLogs(b, c))));
        expect(mergeLogs(mergeLogs(a, b), b)).toEqual(mergeLogs(a, b));
        expect(standing(mergeLogs(a, b)).length).toBe(
          standing([...a, ...b.filter(({ id }) => !a.some((one) => one.id === id))]).length,
        );
      }),
      { numRuns: trials(200) },
    );
  });

  it('says which entries have two texts until one is chosen', () => {
    const [mine, theirs] = [entry('a', { minutes: 40 }), entry('a', { minutes: 90 })];
    const both = mergeLogs([mine], [theirs]);
    const [pair] = twoTexts(both);
    expect(pair).toMatchObject({ here: { minutes: 40 }, other: { minutes: 90, beside: 'a' } });
    expect(standing(both)).toEqual([mine]);
    // The other device keeps its own, beside it ours: the same two texts.
    expect(twoTexts(mergeLogs([theirs], [mine]))).toHaveLength(1);
    expect(twoTexts(mergeLogs(both, mergeLogs([theirs], [mine])))).toHaveLength(1);
    const kept = entry('k', { kind: 'withdrawn', corrects: pair!.other.id });
    expect(twoTexts([...both, kept])).toEqual([]);
  });

  it('comes to the same state whatever the order of arrival', () => {
    fc.assert(
      fc.property(anyLog, fc.infiniteStream(fc.nat()), (log, numbers) => {
        const once = mergeLogs(log, []);
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
    // Entries that name each other in a ring correct nobody.
    const [x, y] = [entry('x', { corrects: 'y' }), entry('y', { corrects: 'x' })];
    expect(standing([x, y]).map(({ id }) => id)).toEqual(['x', 'y']);
  });

  it('takes back what a phone told whose clock is ahead, however late its ids are', () => {
    const ahead = entry('7ZZZ', { at: '2099-03-03T10:00Z' });
    const back = entry('01AA', { kind: 'withdrawn', corrects: '7ZZZ' });
    expect(standing([ahead, back])).toEqual([]);
    const again = entry('00AA', { kind: 'withdrawn', corrects: '01AA' });
    expect(standing([again, back, ahead])).toEqual([ahead]);
  });

  it('has an entry happen when it was said to, with what the clock of its device said', () => {
    const ahead = entry('a', { at: '2099-03-03T10:00Z' });
    const timed = entry('b', { kind: 'timed', entry: 'a', at: '2026-12-01T10:00Z', clock: ahead.at });
    const expected = { ...ahead, at: timed.at, clock: ahead.at };
    expect(standing([ahead, timed])).toEqual([expected]);
    const later = { ...timed, id: 'c', at: '2026-12-01T09:00Z' };
    expect(standing([later, timed, ahead])).toEqual([{ ...expected, at: later.at }]);
    expect(standing([ahead, timed, entry('d', { kind: 'withdrawn', corrects: 'b' })])).toEqual([ahead]);
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
