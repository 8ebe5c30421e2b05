import * as fc from 'fast-check';
import { checkJob, type Box, type Climate, type Job, type Opening, type Room, type Way } from '../job';
import { plan } from '../plan';
import { PRESETS } from '../way';
import { anyRoom, demoJob, jobOf, plainRoom } from '../testing/samples';
import { applyChanges } from './cure';

const way = (over: Partial<Way> = {}): Partial<Job> => ({
  way: { ...(PRESETS[0] as (typeof PRESETS)[number]).way, ...over },
});
const climate = (over: Partial<Climate>): Partial<Job> => ({
  climate: { tempC: 20, rhPct: 50, air: 'still', ...over },
});
const advice = (room: Partial<Room>, job: Partial<Job> = {}) => plan(jobOf([plainRoom(room)], job)).advice;
const codes = (...args: Parameters<typeof advice>) => advice(...args).map((a) => a.code);

const door = (leftMm: number): Opening => ({
  id: 'd',
  wall: 0,
  kind: 'door',
  leftMm,
  bottomMm: 0,
  widthMm: 900,
  heightMm: 2000,
  returns: 'cased',
});
const besideDoor = (butt: number): Partial<Room> => ({
  openings: [door(1800)],
  faces: { 'wall-0': { cuts: { '0': [butt] } } },
});
const soffit = (bottomMm: number): Box => ({
  id: 's',
  kind: 'soffit',
  wall: 0,
  leftMm: 0,
  offMm: 0,
  alongMm: 4800,
  outMm: 300,
  bottomMm,
});

describe('each rule fires, and does not fire on the near case', () => {
  const hump = {
    joints: { 'wall-0.butt-1': { humpMm: 3 } },
    light: { kind: 'critical' as const, grazingDeg: 5 },
    finish: { scale: 'level' as const, grade: 5 as const },
  };
  it.each<[string, Parameters<typeof advice>, Parameters<typeof advice>]>([
    ['A-LEVEL', [{ decoration: 'gloss' }], [{ decoration: 'eggshell' }]],
    ['A-DAMP', [{ damp: true }], [{ damp: false }]],
    ['A-FIRE', [{ faces: { 'wall-1': { rated: true } } }], [{ faces: { 'wall-1': { framingMm: 400 } } }]],
    // A butt put by hand in line with the jamb, and one a stud further.
    ['A-JAMB', [besideDoor(1800)], [besideDoor(2400)]],
    ['A-SHAPE', [{ boxes: [soffit(2400)] }], [{ boxes: [soffit(2300)] }]],
    ['A-OPENING', [{ openings: [door(4200)] }], [{ openings: [door(3800)] }]],
    [
      'A-LEVEL',
      [{ light: { kind: 'ordinary', grazingDeg: 9 } }],
      [{ light: { kind: 'ordinary', grazingDeg: 11 } }],
    ],
    ['A-MESH', [{}, way({ tape: 'mesh' })], [{}, way({ tape: 'mesh', compounds: 'setting-below' })]],
    [
      'A-TOOL',
      [{}, way({ tools: 'machine', compounds: 'setting-below' })],
      [{}, way({ tools: 'machine', compounds: 'drying' })],
    ],
    [
      'A-TOOL',
      [{}, way({ tools: 'machine', compounds: 'hybrid' })],
      [{}, way({ tools: 'knives', compounds: 'hybrid' })],
    ],
    [
      'A-THIN',
      [
        {},
        {
          ...way({ compounds: 'setting-below', setMin: 210 }),
          ...climate({ tempC: 40, rhPct: 10, air: 'fan' }),
        },
      ],
      [
        {},
        {
          ...way({ compounds: 'setting-below', setMin: 20 }),
          ...climate({ tempC: 40, rhPct: 10, air: 'fan' }),
        },
      ],
    ],
    [
      'A-THICK',
      [{ joints: { 'wall-0.butt-1': { humpMm: -8 } } }, way({ compoundFor: { fill: 'drying-topping' } })],
      [
        { joints: { 'wall-0.butt-1': { humpMm: -8 } } },
        way({ compoundFor: { fill: 'setting-hard', finish: 'setting-light' } }),
      ],
    ],
    [
      'A-TOP',
      [{}, way({ compoundFor: { finish: 'setting-light' } })],
      [{}, way({ compoundFor: { finish: 'drying-topping' } })],
    ],
    [
      'A-BED',
      [{}, way({ compoundFor: { tape: 'drying-topping' } })],
      [{}, way({ compoundFor: { tape: 'drying-taping' } })],
    ],
    ['A-COLD', [{}, climate({ tempC: 9.5 })], [{}, climate({ tempC: 10 })]],
    ['A-WIDTH', [{ bands: { buttMm: 450 } }], [{ bands: { buttMm: 500 } }]],
    [
      'A-WIDTH',
      [{ ...hump, decoration: 'gloss' }],
      [{ ...hump, decoration: 'gloss', light: { kind: 'critical', grazingDeg: 60 } }],
    ],
    ['A-OLD', [{ oldWork: true }], [{ oldWork: false }]],
    ['A-FIRE', [{ rated: true }], [{}]],
  ])('%s', (code, fires, near) => {
    expect(codes(...fires)).toContain(code);
    expect(codes(...near)).not.toContain(code);
  });

  it('leaves an opening that does not fit out of the plan, and says so', () => {
    const found = advice({
      openings: [
        {
          id: 'x',
          wall: 0,
          kind: 'door',
          leftMm: 4500,
          bottomMm: 0,
          widthMm: 900,
          heightMm: 2000,
          returns: 'cased',
        },
      ],
    });
    expect(found).toMatchObject([
      { code: 'A-OPENING', reason: expect.stringContaining('past the end of its wall') },
    ]);
  });

  it('only notes a light compound under tape, but stops topping', () => {
    expect(advice({}, way({ compoundFor: { tape: 'drying-light' } }))).toMatchObject([
      { code: 'A-BED', severity: 'note' },
    ]);
    expect(advice({}, way({ compoundFor: { tape: 'drying-topping' } }))).toMatchObject([
      { code: 'A-BED', severity: 'stop' },
    ]);
  });
});

/** Applies the first cure that changes something, as one press does. */
function cured(job: Job, code: string): Job {
  const next = structuredClone(job);
  const found = plan(next).advice.find((a) => a.code === code);
  const cure = found?.cures.find((c) => c.changes);
  applyChanges(next, cure?.changes ?? []);
  return next;
}

describe('cures', () => {
  it.each<[string, Partial<Room>, Partial<Job>]>([
    ['A-LEVEL', { decoration: 'gloss' }, {}],
    ['A-MESH', {}, way({ tape: 'mesh' })],
    ['A-MESH', {}, way({ tape: 'mesh', tools: 'machine' })],
    [
      'A-TOOL',
      {},
      way({ tools: 'machine', compounds: 'setting-same-day', compoundFor: { fill: 'setting-hard' } }),
    ],
    ['A-TOP', {}, way({ compoundFor: { finish: 'setting-hard' } })],
    ['A-BED', {}, way({ compoundFor: { tape: 'drying-topping' } })],
    ['A-COLD', {}, climate({ tempC: 2 })],
    ['A-OLD', { oldWork: true }, {}],
    [
      'A-THICK',
      { joints: { 'wall-0.butt-1': { humpMm: -8 } } },
      way({ compoundFor: { fill: 'drying-topping' } }),
    ],
    [
      'A-WIDTH',
      {
        finish: { scale: 'level', grade: 5 },
        decoration: 'eggshell',
        light: { kind: 'critical', grazingDeg: 5 },
      },
      {},
    ],
  ])('one press takes %s away and leaves a sound job', (code, room, over) => {
    let job = jobOf([plainRoom(room)], over);
    expect(plan(job).advice.map((a) => a.code)).toContain(code);
    // Flats and butts each have a width of their own.
    for (let i = 0; i < 2; i++) job = cured(job, code);
    expect(plan(job).advice.map((a) => a.code)).not.toContain(code);
    expect(checkJob(JSON.parse(JSON.stringify(job)))).toMatchObject({ ok: true });
  });

  it('gives every stop a cure', () => {
    fc.assert(
      fc.property(
        anyRoom,
        fc.constantFrom(...PRESETS),
        fc.constantFrom('paper' as const, 'mesh' as const),
        fc.integer({ min: -5, max: 40 }),
        (room, preset, tape, tempC) => {
          const job = jobOf([{ ...room, oldWork: true }], {
            way: { ...preset.way, tape },
            ...climate({ tempC }),
          });
          return plan(job).advice.every((a) => a.cures.length > 0 && a.reason.length > 20);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('passes over a room that is gone', () => {
    const job = jobOf([plainRoom()]);
    applyChanges(job, [{ room: 'gone', path: ['finish'], value: null }]);
    expect(job).toEqual(jobOf([plainRoom()]));
  });
});

describe('cautions', () => {
  it('stand where they apply and defer to code and licence', () => {
    const cautions = plan(demoJob('tarn-ferry')).cautions;
    expect(cautions.map((c) => c.id)).toEqual(
      expect.arrayContaining(['old-work', 'ladders', 'mixing', 'sanding', 'lifting']),
    );
    expect(cautions.every((c) => c.text.endsWith('Local codes and licensed practice decide.'))).toBe(true);
    expect(plan(jobOf([plainRoom()])).cautions.map((c) => c.id)).not.toContain('old-work');
  });
});
