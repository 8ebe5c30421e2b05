import * as fc from 'fast-check';
import { checkJob, FAULTS, LOG_KINDS, type LogEntry } from '../job';
import { jobOf, plainRoom } from '../testing/samples';
import { stateOf, mergeLogs } from './log';
import { alarmsOf, measuredSets, potsOf, stageOf, type Pot } from './pots';
import { pinsOf } from './pins';
import { completedJointsOf } from './completed-joints';
import { lotsOf } from './stock';

const n = fc.integer({ min: 0, max: 30 });
const id = (i: number): string => `e${String(i).padStart(2, '0')}`;

/** Any entry of any kind, naming entries that may not be there. */
const anyEntry: fc.Arbitrary<LogEntry> = fc
  .record({
    n,
    kind: fc.constantFrom(...LOG_KINDS),
    minute: fc.integer({ min: 0, max: 1439 }),
    zone: fc.constantFrom('Z', '+02:00', '-07:00'),
    of: n,
    amount: fc.integer({ min: 0, max: 12 }),
    fault: fc.constantFrom(...FAULTS),
    corrects: fc.option(n),
  })
  .map(({ n: own, kind, minute, zone, of, amount, fault, corrects }): LogEntry => ({
    id: id(own),
    at: `2026-12-01T${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}:00${zone}`,
    by: 'Ansa',
    device: 'phone',
    kind,
    room: 'hall',
    step: 'tape',
    compound: 'setting-light',
    amount,
    setMin: 45,
    workMin: 36,
    cleanMin: 45,
    hardMin: 67.5,
    fault,
    batch: id(of),
    finding: id(of),
    round: id(of),
    photo: id(of),
    note: 'x',
    lot: id(of),
    ware: 'mud/setting-light',
    each: 5,
    joints: [id(of)],
    check: 'rim',
    toldBy: 'chip',
    tempC: 12,
    ...(kind === 'timed' ? { entry: id(of), clock: '2099-01-01T00:00Z' } : {}),
    ...(kind === 'withdrawn' ? { corrects: id(of) } : corrects === null ? {} : { corrects: id(corrects) }),
  }));
const anyLog = fc.array(anyEntry, { maxLength: 40 });

const told = (log: readonly LogEntry[]) => ({
  state: stateOf(log),
  pots: potsOf(log),
  pins: pinsOf(log),
  lots: lotsOf(log),
  joints: [...completedJointsOf(log).joints('hall', 'tape')].sort(),
  checks: [...completedJointsOf(log).checks('hall', 'tape')],
  sets: measuredSets(log, 'setting-light'),
});

it('every kind comes to the same whatever the order of arrival, from however many devices, however often', () => {
  fc.assert(
    fc.property(anyLog, anyLog, fc.infiniteStream(fc.nat()), (a, more, order) => {
      // One id is one text: where it is two, the one that is here counts.
      const b = [...more.filter(({ id: own }) => !a.some((one) => one.id === own)), ...a.slice(0, 3)];
      const all = mergeLogs(a, b);
      const shuffled = all
        .map((entry) => ({ entry, by: order.next().value as number }))
        .sort((x, y) => x.by - y.by)
        .map(({ entry }) => entry);
      expect(told(shuffled)).toEqual(told(all));
      expect(told(mergeLogs(mergeLogs(b, a), b))).toEqual(told(all));
    }),
  );
});

it('a joint, a pot or a finding that was told is there until it is taken back, whatever clock told it', () => {
  fc.assert(
    fc.property(fc.uniqueArray(n, { maxLength: 20 }), fc.integer({ min: 1990, max: 2080 }), (ids, year) => {
      const log = ids.map((i): LogEntry => ({
        id: id(i),
        at: `${year}-01-01T00:00:00Z`,
        by: '',
        device: 'd',
        kind: 'finding',
        fault: 'dent',
      }));
      expect(pinsOf(log).findings).toHaveLength(ids.length);
    }),
  );
});

const mixed = (at: string, over: Partial<LogEntry> = {}): LogEntry => ({
  id: 'm',
  at,
  by: 'Ansa',
  device: 'd',
  kind: 'mixed',
  room: 'hall',
  step: 'tape',
  compound: 'setting-light',
  amount: 4,
  setMin: 45,
  workMin: 36,
  cleanMin: 45,
  hardMin: 67.5,
  sets: 1,
  ...over,
});
const later = (kind: LogEntry['kind'], at: string, over: Partial<LogEntry> = {}): LogEntry => ({
  id: `z${kind}`,
  at,
  by: 'Jori',
  device: 'd',
  kind,
  batch: 'm',
  ...over,
});
const pot = (log: readonly LogEntry[]): Pot => potsOf(log)[0]!;

describe('the clock of a pot', () => {
  const start = '2026-12-01T08:00:00+01:00';
  const at = (minutes: number): number => Date.parse(start) + minutes * 60000;

  it('works, stiffens, wants cleaning, and is looked at when it should be hard', () => {
    const one = pot([mixed(start)]);
    expect([0, 35, 36, 44, 45, 300].map((min) => stageOf(one, at(min)))).toEqual([
      'working',
      'working',
      'stiff',
      'stiff',
      'clean-now',
      'clean-now',
    ]);
    const clean = pot([mixed(start), later('cleaned', '2026-12-01T08:40:00+01:00')]);
    expect([41, 67, 68].map((min) => stageOf(clean, at(min)))).toEqual(['hardening', 'hardening', 'look']);
    // Nobody told more of it: half a day later it is over.
    expect(stageOf(one, at(60 * 14))).toBe('over');
  });

  it('is over once it is hard and clean, or spoiled and clean', () => {
    const hard = later('hard', '2026-12-01T09:10:00+01:00');
    const cleaned = later('cleaned', '2026-12-01T08:40:00+01:00');
    const spoiled = later('spoiled', '2026-12-01T08:30:00+01:00', { amount: 4 });
    expect(stageOf(pot([mixed(start), hard]), at(71))).toBe('clean-now');
    expect(stageOf(pot([mixed(start), hard, cleaned]), at(71))).toBe('over');
    expect(stageOf(pot([mixed(start), spoiled]), at(31))).toBe('clean-now');
    expect(stageOf(pot([mixed(start), spoiled, cleaned]), at(41))).toBe('over');
  });

  it('keeps right over midnight, a night of daylight saving and another time zone', () => {
    // Mixed five to three on the night the clocks go back an hour: 2:55 comes twice.
    const night = pot([mixed('2026-10-25T02:55:00+02:00')]);
    const ms = Date.parse('2026-10-25T02:55:00+02:00');
    expect(night.cleanMs! - ms).toBe(45 * 60000);
    expect(stageOf(night, Date.parse('2026-10-25T02:30:00+01:00'))).toBe('working');
    expect(stageOf(night, Date.parse('2026-10-25T02:41:00+01:00'))).toBe('clean-now');
    const late = pot([mixed('2026-12-31T23:50:00+01:00')]);
    expect(stageOf(late, Date.parse('2026-12-31T23:10:00Z'))).toBe('working');
    expect(stageOf(late, Date.parse('2027-01-01T00:30:00+01:00'))).toBe('stiff');
  });

  it('rings for what is not seen to', () => {
    const kinds = (log: LogEntry[], min: number) => alarmsOf(potsOf(log), at(min)).map(({ kind }) => kind);
    expect(kinds([mixed(start)], 0)).toEqual(['work', 'clean', 'hard']);
    expect(kinds([mixed(start), later('cleaned', '2026-12-01T08:20:00+01:00')], 21)).toEqual(['hard']);
    expect(kinds([mixed(start), later('hard', '2026-12-01T08:30:00+01:00')], 31)).toEqual(['clean']);
    expect(kinds([mixed(start, { workMin: undefined, cleanMin: undefined, hardMin: undefined })], 0)).toEqual(
      [],
    );
  });
});

it('what was measured moves the next clock: half way by one batch, by the middle of many', () => {
  const batch = (i: number, hardAfter: number, sets = 1): LogEntry[] => {
    const start = Date.parse(`2026-12-0${i}T08:00:00Z`);
    return [
      mixed(new Date(start).toISOString(), { id: `m${i}`, hardMin: 60 * sets, sets }),
      later('hard', new Date(start + hardAfter * 60000).toISOString(), { id: `z${i}`, batch: `m${i}` }),
    ];
  };
  expect(measuredSets([], 'setting-light')).toEqual({ factor: 1, n: 0 });
  expect(measuredSets(batch(1, 48), 'setting-light')).toEqual({ factor: 0.9, n: 1 });
  // The second was reckoned with 0.9 already: 48 of its 54 min are 0.8 of what is typical.
  const many = [...batch(1, 48), ...batch(2, 48, 0.9), ...batch(3, 47, 0.85)];
  expect(measuredSets(many, 'setting-light').factor).toBeCloseTo(0.8, 2);
  // Told hours late is no measure of how it sets.
  expect(measuredSets(batch(1, 600), 'setting-light').factor).toBe(1.25);
  expect(measuredSets(many, 'setting-hard').n).toBe(0);
});

describe('pins', () => {
  const entry = (own: string, kind: LogEntry['kind'], over: Partial<LogEntry> = {}): LogEntry => ({
    id: own,
    at: `2026-12-01T08:0${own.length}:00Z`,
    by: 'Ansa',
    device: 'd',
    kind,
    ...over,
  });
  it('keep a finding with its place, its photos and notes, until it is closed', () => {
    const log = [
      entry('a', 'finding', { fault: 'ridge', room: 'hall', face: 'wall-1', place: [400, 1200] }),
      entry('bb', 'photo', { photo: 'p1', finding: 'a' }),
      entry('ccc', 'note', { note: 'scrape it', finding: 'a' }),
      entry('dddd', 'note', { note: 'loose' }),
      entry('eeeee', 'cured', { finding: 'a' }),
    ];
    const { findings, notes } = pinsOf(log);
    expect(findings).toMatchObject([
      {
        fault: 'ridge',
        place: [400, 1200],
        state: 'cured',
        photos: [{ photo: 'p1' }],
        notes: [{ note: 'scrape it' }],
      },
    ]);
    expect(notes.map(({ note }) => note)).toEqual(['loose']);
    const closed = pinsOf([...log, entry('ffffff', 'closed', { finding: 'a' })]);
    expect(closed.findings[0]).toMatchObject({ state: 'closed', cured: '2026-12-01T08:05' });
    // Taken back, its photo is of nothing in particular.
    const gone = pinsOf([...log, entry('z', 'withdrawn', { corrects: 'a' })]);
    expect([gone.findings.length, gone.photos.length]).toEqual([0, 1]);
  });

  it('sign a round once', () => {
    const log = [
      entry('a', 'round', { room: 'hall' }),
      entry('bb', 'signed', { round: 'a', by: 'Jori' }),
      entry('ccc', 'signed', { round: 'a' }),
      entry('d', 'signed', { round: 'none' }),
    ];
    expect(pinsOf(log).rounds).toMatchObject([{ room: 'hall', signed: { by: 'Jori' } }]);
  });
});

it('the door takes every kind with what it needs, and says what is missing', () => {
  const job = jobOf([plainRoom()]);
  const wrong = (entry: Partial<LogEntry>): string[] => {
    const base = { id: 'a', at: '2026-12-01T08:00:00Z', by: '', device: 'd' };
    const read = checkJob({ ...job, log: [{ ...base, ...entry }] });
    return read.ok ? [] : read.problems.map(({ path, message }) => `${path} ${message.key}`);
  };
  const { id: _, at: __, by: ___, device: ____, ...batch } = mixed('2026-12-01T08:00:00Z');
  expect(wrong(batch)).toEqual([]);
  expect(wrong({ ...batch, compound: undefined })).toEqual(['log[0].compound door.missing']);
  expect(wrong({ kind: 'hard' })).toEqual(['log[0].batch door.missing']);
  expect(wrong({ kind: 'spoiled', amount: 2 })).toEqual(['log[0].lot door.missing']);
  expect(wrong({ kind: 'spoiled', amount: 2, batch: 'm' })).toEqual([]);
  expect(wrong({ kind: 'ran', room: 'r', step: 'tape' })).toEqual(['log[0].joints door.missing']);
  expect(wrong({ kind: 'checked', room: 'r', step: 'tape', check: 'hope' as 'rim' })).toEqual([
    'log[0].check door.one-of',
  ]);
  expect(wrong({ kind: 'finding' })).toEqual(['log[0].fault door.missing']);
  expect(wrong({ kind: 'finding', fault: 'dent', place: [1] as unknown as [number, number] })).toEqual([
    'log[0].place door.point',
  ]);
  expect(wrong({ kind: 'photo' })).toEqual(['log[0].photo door.missing']);
  expect(wrong({ kind: 'signed' })).toEqual(['log[0].round door.missing']);
  expect(wrong({ kind: 'round' })).toEqual([]);
  expect(wrong({ kind: 'closed' })).toEqual(['log[0].finding door.missing']);
  expect(wrong({ kind: 'reading', room: 'a b' })).toEqual(['log[0].room door.id']);
});
