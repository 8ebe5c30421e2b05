import * as fc from 'fast-check';
import { TYPICAL } from '../book';
import { suppliedWith } from '../compound';
import { FAULTS, readJob, ROUND_STAGES, type Fault, type Job, type LogEntry, type LogKind } from '../job';
import { nextRing, pinsOf, standing, mergeLogs } from '../log';
import { plan } from '../plan';
import { demoJob, jobOf, plainRoom, said } from '../testing/samples';
import {
  bestLamp,
  cureOf,
  curedBy,
  edgeVerdict,
  FAULT,
  faultPicture,
  faultsFor,
  frozenOf,
  lampsFor,
  lampWalk,
  lowOf,
  mendTotals,
  offFor,
  punchList,
  ROUND,
  visitsOf,
} from './index';

const book = suppliedWith(TYPICAL, undefined);
let made = 0;
const entry = (kind: LogKind, more: Partial<LogEntry> = {}): LogEntry => ({
  id: `01E${String(++made).padStart(6, '0')}`,
  at: '2026-12-01T09:00:00Z',
  by: 'Ansa',
  device: 'a',
  kind,
  ...more,
});
const finding = (more: Partial<LogEntry> = {}): LogEntry =>
  entry('finding', { room: 'plain', face: 'wall-0', place: [1000, 900], fault: 'hollow', ...more });

describe('kinds of findings', () => {
  const pictures = new Map(FAULTS.map((fault) => [fault, faultPicture(fault)]));

  it.each(FAULTS)('%s has sign, cause, what now and what next, and a picture of its own', (fault) => {
    const { cause, now, next, sign } = FAULT[fault];
    for (const words of [cause, now, next, sign]) expect(said(words).length).toBeGreaterThan(8);
    const { cols, rows, pixels } = pictures.get(fault)!;
    expect(pixels).toHaveLength(cols * rows);
    const flat = pictures.get('other')!.pixels;
    // A picture of nothing shows nothing; every other differs from it, and from each other.
    const differs = pixels.reduce((sum, pixel, i) => sum + (pixel === flat[i] ? 0 : 1), 0);
    if (fault === 'other') expect(differs).toBe(0);
    else expect(differs / pixels.length).toBeGreaterThan(0.005);
  });

  it('no two pictures are alike', () => {
    const seen = new Set(
      [...pictures.values()].map(({ pixels }) => Buffer.from(pixels.buffer).toString('base64')),
    );
    expect(seen.size).toBe(FAULTS.length);
  });

  it.each(ROUND_STAGES)('a round %s looks for its own first', (stage) => {
    const looked = faultsFor(stage);
    expect(looked.length).toBeGreaterThan(4);
    for (const fault of looked) expect(FAULT[fault].stages).toContain(stage);
    expect(said(ROUND[stage].how).length).toBeGreaterThan(20);
  });
  it('flashing is not looked for before there is paint', () => {
    expect(faultsFor('between')).not.toContain('flashing');
    expect(faultsFor('after-primer')[0]).toBe('flashing');
  });
});

describe('a cure', () => {
  const cured = (fault: Fault, more: Partial<LogEntry> = {}, on?: 'painted') => {
    const [found] = pinsOf([finding({ fault, ...more })]).findings;
    const spot = cureOf(found!, 'c1', on);
    const room = plainRoom({ damage: spot ? [spot] : [] });
    return { spot, room: plan(jobOf([room])).rooms[0]! };
  };

  it.each(FAULTS.filter((fault) => fault !== 'other'))('of %s takes mud, minutes and days', (fault) => {
    const { spot, room } = cured(fault);
    expect(spot).toMatchObject({ face: 'wall-0', at: [1000, 900], apart: true });
    const [mend] = room.mends;
    expect(mend!.finding).toBe(spot!.finding);
    expect(mend!.layers.some(({ wetL }) => wetL > 0)).toBe(true);
    expect(mend!.takesMin).toBeGreaterThan(30);
    expect(mend!.takesMin).toBeLessThan(16 * 60);
    expect(room.steps.map(({ step }) => step)).toContain('mend-1');
  });

  it('goes by what was measured; a long strip of loose tape is no blister; on primer it lies on paint', () => {
    expect(cured('hollow', { sizeMm: 900, depthMm: 5 }).spot).toMatchObject({
      kind: 'low',
      sizeMm: 900,
      depthMm: 5,
    });
    expect(cured('loose-tape', { sizeMm: 900 }).spot!.kind).toBe('failed-tape');
    expect(cured('loose-tape', { sizeMm: 100 }).spot!.kind).toBe('blister');
    expect(cured('dent', {}, 'painted').room.mends[0]!.on).toBe('painted');
    expect(cured('other').spot).toBeUndefined();
  });

  it('is told with the last work on its spot, and not before', () => {
    const { room, spot } = cured('dent');
    const told = (step: 'mend-1' | 'mend-2' | 'mend-sand') => curedBy({ step, spots: ['c1'] }, room.mends);
    expect([told('mend-1'), told('mend-2'), told('mend-sand')]).toEqual([[], [], [spot!.finding]]);
    expect(curedBy({ step: 'mend-sand', spots: ['another'] }, room.mends)).toEqual([]);
  });
});

/** Everything two phones may tell of findings. */
const told: fc.Arbitrary<{ kind: LogKind; of: number; minute: number; device: 'a' | 'b'; ring?: number }> =
  fc.record({
    kind: fc.constantFrom<LogKind>('finding', 'cured', 'closed', 'reopened', 'note', 'photo'),
    of: fc.integer({ min: 0, max: 5 }),
    minute: fc.integer({ min: 0, max: 500 }),
    device: fc.constantFrom('a' as const, 'b' as const),
    ring: fc.integer({ min: 1, max: 4 }),
  });
const logs = fc.array(told, { maxLength: 30 }).map((all) => {
  const stamp = (minute: number): string =>
    new Date(Date.UTC(2026, 11, 1, 7, minute)).toISOString().slice(0, 19) + 'Z';
  const ids: string[] = [];
  return all.map(({ kind, of, minute, device, ring }, i): LogEntry => {
    const id = `01F${String(minute).padStart(4, '0')}${device}${i}`;
    if (kind === 'finding') ids.push(id);
    const finding = ids[of % Math.max(1, ids.length)] ?? 'none';
    return {
      id,
      at: stamp(minute),
      by: device,
      device,
      kind,
      ...(kind === 'finding'
        ? { fault: 'dent' as const, room: 'r', ...(ring === undefined ? {} : { ring }) }
        : { finding }),
      ...(kind === 'photo' ? { photo: `p${i}` } : {}),
      ...(kind === 'note' ? { note: `n${i}` } : {}),
    };
  });
});

describe('findings of two phones', () => {
  it('closing, reopening and uniting never lose one, whatever comes first', () => {
    fc.assert(
      fc.property(logs, fc.array(fc.boolean(), { minLength: 30, maxLength: 30 }), (log, mine) => {
        const a = log.filter((_, i) => mine[i]);
        const b = log.filter((_, i) => !mine[i]);
        const both = pinsOf(mergeLogs(a, b));
        expect(both).toEqual(pinsOf(mergeLogs(b, a)));
        expect(both).toEqual(pinsOf([...log].reverse()));
        expect(pinsOf(mergeLogs(mergeLogs(a, b), a))).toEqual(both);
        const ids = log.filter(({ kind }) => kind === 'finding').map(({ id }) => id);
        expect(both.findings.map(({ id }) => id).sort()).toEqual(ids.sort());
        // Every ring is one of a kind, and no photo or note is lost.
        expect(new Set(both.findings.map(({ ring }) => ring)).size).toBe(both.findings.length);
        const photos = [...both.findings.flatMap((one) => one.photos), ...both.photos];
        expect(photos).toHaveLength(log.filter(({ kind }) => kind === 'photo').length);
        expect(nextRing(both)).toBeGreaterThan(
          Math.max(0, ...both.findings.map(({ ring }) => parseInt(ring, 10))),
        );
      }),
      { numRuns: 300 },
    );
  });

  it('what is found to be there again is open, until it is closed again', () => {
    const found = finding();
    const at = (minute: number) => ({ at: `2026-12-01T10:${minute}:00Z`, finding: found.id });
    const log = [found, entry('cured', at(10)), entry('closed', { ...at(20), round: 'r1' })];
    expect(pinsOf(log).findings[0]).toMatchObject({
      state: 'closed',
      closedIn: 'r1',
      cured: '2026-12-01T10:10',
    });
    const again = [...log, entry('reopened', at(30))];
    const [open] = pinsOf(again).findings;
    expect(open).toMatchObject({ state: 'open', reopened: '2026-12-01T10:30' });
    expect(open!.closed ?? open!.cured ?? open!.closedIn).toBeUndefined();
    expect(pinsOf([...again, entry('closed', at(40))]).findings[0]!.state).toBe('closed');
  });

  it('two rings of one number are told apart by a letter, the earlier keeps it bare', () => {
    const rings = pinsOf([
      finding({ ring: 7, at: '2026-12-01T09:30:00Z', device: 'b' }),
      finding({ ring: 7, at: '2026-12-01T09:10:00Z' }),
      finding({ at: '2026-12-01T09:20:00Z' }),
      finding({ ring: 7, at: '2026-12-01T09:40:00Z', device: 'c' }),
    ]).findings.map(({ ring, at }) => `${at.slice(11)} ${ring}`);
    expect(rings).toEqual(['09:10 7', '09:20 1', '09:30 7b', '09:40 7c']);
  });
});

describe('rounds', () => {
  const nook = () => {
    const job = demoJob('tarn-ferry');
    const room = job.rooms.find(({ id }) => id === 'study-nook') ?? job.rooms[1]!;
    return { job, room, planned: plan({ ...job, rooms: [room] }).rooms[0]! };
  };

  it('walk the ceiling, then the walls round from the door, and every face once', () => {
    const { room, planned } = nook();
    const walk = lampWalk(planned.faces, room);
    const shown = planned.faces.filter(({ kind, boarded }) => kind !== 'reveal' && boarded);
    expect(new Set(walk)).toEqual(new Set(shown));
    expect(walk[0]!.kind).toMatch(/ceiling|slope/);
    const door = room.openings.find(({ kind }) => kind === 'door');
    const firstWall = walk.find(({ id }) => /^wall-\d+$/.test(id));
    if (door) expect(firstWall!.id).toBe(`wall-${door.wall}`);
  });

  it('walk a room that stands as one that is boarded', () => {
    const room = plainRoom({ standing: true });
    expect(lampWalk(plan(jobOf([room])).rooms[0]!.faces, room).map(({ id }) => id)).toEqual([
      'ceiling',
      'wall-0',
      'wall-1',
      'wall-2',
      'wall-3',
    ]);
  });

  it('hold the lamp where it shows most, farther off a long face', () => {
    const face = { box: [0, 0, 6000, 2400] as [number, number, number, number] };
    expect(
      lampsFor(face, 120).map(({ side, light }) => [side, Math.round(light.u), Math.round(light.v)]),
    ).toEqual([
      ['left', -150, 1200],
      ['right', 6150, 1200],
      ['low', 3000, -150],
      ['high', 3000, 2550],
    ]);
    expect(offFor(face, 'left', 120)).toBe(360);
    expect(offFor(face, 'low', 120)).toBe(140);
    expect(bestLamp([[{ contrast: 0.1 }], [{ contrast: -0.4 }], [], [{ contrast: 0.2 }]], 0.1)).toBe(1);
    // What blinds counts no more than what shows well: two joints before one.
    expect(bestLamp([[{ contrast: 9 }], [{ contrast: 0.3 }, { contrast: 0.3 }]], 0.1)).toBe(1);
  });

  it('keep what was looked at, and are signed once', () => {
    const round = entry('round', { stage: 'before-primer' });
    const looked = entry('looked', { round: round.id, room: 'plain', face: 'wall-0' });
    const signed = entry('signed', { round: round.id, by: 'Owner', strokes: [[0, 0, 1, 1]] });
    const twice = entry('signed', { round: round.id, by: 'Other', at: '2026-12-02T09:00:00Z' });
    const [one] = pinsOf([round, looked, looked, signed, twice]).rounds;
    expect(one).toMatchObject({ stage: 'before-primer', looked: ['plain|wall-0'], signed: { by: 'Owner' } });
    expect(pinsOf([entry('looked', { round: 'none', room: 'r', face: 'f' })]).rounds).toEqual([]);
  });
});

describe('the straightedge', () => {
  const level = (grade: 0 | 3 | 4 | 5) => ({ scale: 'level', grade }) as const;
  it.each([
    [4, 1200, 3, true, 3],
    [4, 1200, 3.1, false, 3],
    [5, 1200, 2.5, false, 2],
    [3, 1200, 4.9, true, 5],
    // Half as long an edge finds a quarter of the gap under a bow: 0.75 mm under 600 is 3 mm under 1200.
    [4, 600, 0.75, true, 0.75],
    [4, 600, 1, false, 0.75],
    [4, 2400, 11, true, 12],
  ] as const)('level %s, %s mm long, %s mm', (grade, edgeMm, gapMm, within, limitMm) => {
    const verdict = edgeVerdict({ edgeMm, gapMm }, level(grade), book);
    expect(verdict.within).toBe(within);
    expect(verdict.limitMm).toBeCloseTo(limitMm, 9);
  });
  it('sets no limit where looks do not count', () =>
    expect(edgeVerdict({ edgeMm: 1200, gapMm: 20 }, level(0), book)).toMatchObject({
      within: true,
      limitMm: undefined,
    }));

  it('a low becomes a float as wide as the edge, that leaves less than the limit', () => {
    const spot = lowOf({ face: 'wall-0', place: [900, 900], edgeMm: 1200, gapMm: 6 }, 'low');
    const [mend] = plan(jobOf([plainRoom({ damage: [spot] })])).rooms[0]!.mends;
    expect(mend!.float!.widthMm).toBeGreaterThanOrEqual(1200);
    expect(edgeVerdict({ edgeMm: 1200, gapMm: mend!.float!.hollowMm }, level(4), book).within).toBe(true);
  });
});

describe('sign-off', () => {
  const job: Job = jobOf([plainRoom(), plainRoom({ id: 'b', name: 'Back room' })], {
    agreement: { owner: 'M. Hale', finisher: 'Ansa' },
  });
  const round = entry('round', { stage: 'handover' });
  const log = [
    round,
    entry('looked', { round: round.id, room: 'plain', face: 'wall-0' }),
    finding({ ring: 1, note: 'by the door' }),
    finding({ ring: 2, room: 'b', fault: 'dent' }),
    entry('straightedge', { room: 'plain', face: 'wall-0', edgeMm: 1200, gapMm: 2 }),
  ];
  const at = { at: '2026-12-10T15:00', light: 'one hard lamp', book };
  const freeze = (entries: LogEntry[]) => {
    const pins = pinsOf(entries);
    const walk = ['ceiling', 'wall-0', 'wall-1', 'wall-2', 'wall-3'];
    return frozenOf(
      pins.rounds[0]!,
      pins,
      job,
      [
        { id: 'plain', walk },
        { id: 'b', walk },
      ],
      at,
    );
  };

  it('freezes what was agreed, looked at and open', () => {
    const frozen = freeze(log);
    expect(frozen).toMatchObject({ job: 'Job', owner: 'M. Hale', light: 'one hard lamp' });
    expect(frozen.rooms).toMatchObject([
      { name: 'Plain room', looked: 1, faces: 5, finish: { scale: 'level', grade: 4 } },
      { name: 'Back room', looked: 0, faces: 5 },
    ]);
    expect(frozen.findings.map(({ ring, room, state }) => `${ring} ${room} ${state}`)).toEqual([
      '1 Plain room open',
      '2 Back room open',
    ]);
    expect(frozen.edges).toEqual([{ room: 'Plain room', edgeMm: 1200, gapMm: 2, limitMm: 3 }]);
  });

  it('goes through the door of a file as it is, and stays so whatever comes later', () => {
    const signed = entry('signed', {
      round: round.id,
      by: 'M. Hale',
      frozen: freeze(log),
      strokes: [[0.1, 0.5, 0.4, 0.2]],
    });
    const text = JSON.stringify({ ...job, log: [...log, signed] });
    const read = readJob(text);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const later = pinsOf([...read.job.log!, finding({ ring: 3 })]);
    expect(later.rounds[0]!.signed!.frozen).toEqual(freeze(log));
    expect(later.findings).toHaveLength(3);
  });

  it.each([
    ['no round', { kind: 'signed' }],
    ['a stroke of one number', { kind: 'signed', round: 'r', strokes: [[0.5]] }],
    ['a stroke off the pad', { kind: 'signed', round: 'r', strokes: [[0.5, 1.5]] }],
    ['no face', { kind: 'looked', round: 'r', room: 'plain' }],
    ['no gap', { kind: 'straightedge', room: 'plain', face: 'wall-0', edgeMm: 1200 }],
    [
      'three corners',
      {
        kind: 'photo',
        photo: 'p',
        corners: [
          [0, 0],
          [1, 0],
          [1, 1],
        ],
      },
    ],
    ['no such stage', { kind: 'round', stage: 'someday' }],
    ['a ring of nothing', { kind: 'finding', fault: 'dent', ring: 0 }],
    ['reopened of nothing', { kind: 'reopened' }],
  ])('the door refuses %s, and says where', (_, wrong) => {
    const read = readJob(JSON.stringify({ ...job, log: [{ ...entry('note'), note: undefined, ...wrong }] }));
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.problems[0]!.path).toMatch(/^log\[0\]/);
  });

  it('lists what is to be mended, open ones first', () => {
    const closed = entry('closed', { finding: log[2]!.id });
    const lines = punchList(pinsOf([...log, closed]), job);
    expect(lines.map(({ ring, state, room }) => `${ring} ${state} ${room}`)).toEqual([
      '2 open Back room',
      '1 closed Plain room',
    ]);
    expect(lines[1]).toMatchObject({ note: 'by the door', closed: '2026-12-01T09:00' });
  });
});

describe('visits', () => {
  it('carry small batches in the pan, water and powder apart, the vacuum when it is sanded', () => {
    const room = plainRoom({
      standing: true,
      damage: [
        { id: 'h', kind: 'small-hole', sizeMm: 100, apart: true },
        { id: 't', kind: 'texture', sizeMm: 4000, widthMm: 3000, apart: true },
      ],
    });
    const { days, rooms } = plan(jobOf([room]));
    const mends = rooms[0]!.mends;
    const visits = visitsOf(days.tasks, mends, book);
    const first = visits[0]!;
    const setting = first.muds.find(({ compound }) => compound === 'setting-light')!;
    expect(setting.vessel).toBe('pan');
    // 8.2 kg of powder and 5.7 L of water make 11.6 L.
    expect(setting.powderKg).toBeCloseTo((setting.litres * 8.2) / 11.6, 9);
    expect(setting.waterL).toBeCloseTo((setting.litres * 5.7) / 11.6, 9);
    const drying = visits.flatMap(({ muds }) => muds).find(({ compound }) => compound === 'drying-light')!;
    expect(drying.vessel).toBe('pail');
    expect(first.washL).toBe(10);
    expect(first.sealer).toBe(true);
    expect(visits.at(-1)!.vacuum).toBe(true);
    const litres = visits.flatMap(({ muds }) => muds).reduce((sum, mud) => sum + mud.litres, 0);
    const totals = mendTotals(mends);
    expect(litres).toBeCloseTo(
      Object.values(totals.litres).reduce((a, b) => a + b, 0),
      9,
    );
    expect(totals.spots).toBe(2);
    expect(
      visitsOf(
        days.tasks.filter(({ step }) => !step.startsWith('mend')),
        mends,
        book,
      ),
    ).toEqual([]);
  });
});

it('what stands in the log stands there in the order it happened', () => {
  const log = [finding({ at: '2026-12-01T12:00:00Z' }), finding({ at: '2026-12-01T08:00:00Z' })];
  expect(standing(log).map(({ at }) => at.slice(11, 16))).toEqual(['08:00', '12:00']);
});
