import * as fc from 'fast-check';
import { demoJob, demoText, jobOf, plainRoom, said } from '../testing/samples';
import { outlineOf, outlineTrouble } from './outline';
import { writeJob } from './file';
import { checkJob, readJob } from './read';
import type { Job } from './types';

const copy = (): Record<string, unknown> =>
  JSON.parse(writeJob(jobOf([plainRoom()]))) as Record<string, unknown>;

/** The job with one place set to something else, by path such as `rooms.0.plan.lengthMm`. */
function spoiled(path: string, value: unknown): unknown {
  const doc = copy();
  const keys = path.split('.');
  let at = doc;
  for (const key of keys.slice(0, -1)) at = at[key] as Record<string, unknown>;
  at[keys.at(-1) as string] = value;
  return doc;
}

const problems = (value: unknown) => {
  const read = checkJob(value);
  return read.ok ? [] : read.problems.map((p) => `${p.path}: ${said(p.message)}`);
};

describe('reading a job', () => {
  it.each(['tarn-ferry', 'pier-house'] as const)(
    'takes the demo job %s and writes it back byte for byte',
    (name) => {
      expect(writeJob(demoJob(name))).toBe(demoText(name));
    },
  );

  it('keeps fields it does not know', () => {
    const doc = { ...copy(), later: { kept: [1, 2] } };
    (doc as unknown as Job).rooms[0] = { ...plainRoom(), colour: 'chalk' } as never;
    const read = checkJob(doc);
    expect(read.ok && JSON.parse(writeJob(read.job))).toEqual(JSON.parse(JSON.stringify(doc)));
  });

  it.each<[string, unknown, string]>([
    ['rooms.0.plan.lengthMm', -5, 'rooms[0].plan.lengthMm: must be a number from 300 to 100000 mm; it is -5'],
    ['rooms.0.plan.lengthMm', 1e12, 'rooms[0].plan.lengthMm: must be a number from 300'],
    ['rooms.0.plan.lengthMm', NaN, 'rooms[0].plan.lengthMm: must be a number'],
    ['rooms.0.plan.lengthMm', '4800', 'rooms[0].plan.lengthMm: must be a number'],
    ['rooms.0.plan', null, 'rooms[0].plan: must be an object'],
    ['rooms.0.finish.grade', 7, 'rooms[0].finish.grade: must be one of 0, 1, 2, 3, 4, 5; it is 7'],
    ['rooms.0.decoration', '<img src=x onerror=alert(1)>', 'rooms[0].decoration: must be one of none, tile'],
    ['rooms.0.id', '../etc', 'rooms[0].id: must be an id'],
    ['rooms', undefined, 'rooms: is missing'],
    ['rooms', {}, 'rooms: must be a list'],
    ['rooms.0', 'a room', 'rooms[0]: must be an object'],
    ['way.tape', 'string', 'way.tape: must be one of paper, mat, mesh'],
    ['calendar.to', '06:00', 'calendar.to: must be later than 07:00'],
    ['calendar.startDate', '2026-02-31', 'calendar.startDate: must be a date'],
    ['calendar.weekdays', [9], 'calendar.weekdays: number 1 must be a whole number from 0 to 6; it is 9'],
    ['climate.rhPct', 140, 'climate.rhPct: must be a number from 5 to 98 %'],
    ['format', 'lisse-job/2', 'format: The file is “lisse-job/2”, written by a newer Lisse'],
    ['format', 'notes', 'format: must be "lisse-job/1"; it is "notes"'],
    [
      'rooms.0.joints',
      { 'wall-0.butt-1': { gapMm: 900 } },
      'rooms[0].joints[wall-0.butt-1].gapMm: must be a number from 0 to 100 mm; it is 900',
    ],
    [
      'rooms.0.bands',
      { buttMm: 9000 },
      'rooms[0].cells[butts.finish].bandMm: must be a number from 50 to 4000 mm',
    ],
    ['rooms.0.cells', { 'butts.polish': {} }, 'rooms[0].cells: contains "butts.polish"; keys look like'],
    ['rooms.0.cells', { 'butts.fill': { compound: 'plaster' } }, '[butts.fill].compound: must be one of'],
    ['rooms.0.joints', { j: { cells: { fill: { setMin: 1 } } } }, '[fill].setMin: must be a number from 5'],
    ['rooms.0.joints', { j: { cells: { fill: { layers: 1.5 } } } }, '[fill].layers: must be a whole number'],
    [
      'rooms.0.joints',
      { j: { cells: { fill: { layers: 9 } } } },
      '[fill].layers: must be a whole number from 1 to 8',
    ],
    ['rooms.0.joints', { j: { cells: { fill: { float: 'yes' } } } }, '[fill].float: must be true or false'],
    ['rooms.0.joints', { j: { notchMm: 9 } }, 'notchMm: must be a number from 0 to 6 mm'],
    [
      'rooms.0.faces',
      { 'wall-1': { finish: { scale: 'q', grade: 5 } } },
      '[wall-1].finish.grade: must be one of 1, 2, 3, 4',
    ],
    ['rooms.0.lamps', [{ id: 'l', at: [0], heightMm: 2000 }], 'rooms[0].lamps[0].at: must be two numbers'],
    ['shop', { kit: ['broom'] }, 'shop.kit: must be one or more of'],
    ['shop', { products: [{ id: 'p' }] }, 'shop.products[0].name: is missing'],
    ['shop', { figures: { headL: 'much' } }, 'shop.figures.headL: must be a number'],
    ['setAside', [{ key: 'A-LEVEL', reason: 3, date: '2026-11-30' }], 'setAside[0].reason: must be text'],
    ['way.compoundFor', { tape: 'glue' }, 'way.compoundFor.tape: must be one of'],
  ])('refuses %s = %j and says where', (path, value, expected) => {
    expect(problems(spoiled(path, value)).join('\n')).toContain(expected);
  });
});

describe('hostile files', () => {
  const reasons = (text: string) => {
    const read = readJob(text);
    return read.ok ? 'read' : said(read.problems[0]?.message ?? '');
  };

  it.each([
    ['', 'not readable JSON'],
    ['{"format":"lisse-job/1","rooms":[{"id":', 'looks cut off'],
    ['[1,2]', 'must be one object'],
    ['{"a":NaN}', 'not readable JSON'],
    ['{"__proto__":{"polluted":true}}', '“__proto__” is not allowed'],
    ['{"rooms":[{"constructor":{}}]}', '“constructor” is not allowed'],
    [`${'{"a":'.repeat(1000)}1${'}'.repeat(1000)}`, 'nested more than 40 levels'],
    [`${'['.repeat(1000)}${']'.repeat(1000)}`, 'must be one object'],
    ['x'.repeat(40 * 1024 * 1024 + 1), 'is 40.1 MB. A job file can be at most 40 MB'],
  ])('%#: says why', (text, reason) => {
    expect(reasons(text)).toContain(reason);
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
  });

  it('never throws, whatever it is given', () => {
    fc.assert(fc.property(fc.jsonValue(), (value) => checkJob(value).ok === false));
    fc.assert(
      fc.property(
        fc.jsonValue(),
        (value) => typeof checkJob(spoiled('rooms.0.plan', value)).ok === 'boolean',
      ),
    );
    fc.assert(
      fc.property(fc.jsonValue(), (value) => typeof checkJob(spoiled('way', value)).ok === 'boolean'),
    );
  });
});

describe('outlines', () => {
  it.each<[unknown, string | undefined]>([
    [
      [
        [0, 0],
        [4000, 0],
        [4000, 3000],
      ],
      undefined,
    ],
    [
      [
        [0, 0],
        [4000, 3000],
        [4000, 0],
        [0, 3000],
      ],
      'walls 0 and 2 cross',
    ],
    [
      [
        [0, 0],
        [4000, 0],
        [4000, 3000],
        [4000, 3000],
      ],
      'are the same place',
    ],
    [
      [
        [0, 0],
        [4000, 0],
        ['x', 3000],
      ],
      'corner 2 must be two numbers',
    ],
    [
      [
        [0, 0],
        [100, 0],
        [100, 100],
      ],
      'at least 0.09 m²',
    ],
    ['round', 'must be a list of 3 to 200 corners'],
  ])('%j: %s', (ring, trouble) => {
    if (trouble === undefined) expect(outlineTrouble(ring)).toBeUndefined();
    else expect(said(outlineTrouble(ring)!)).toContain(trouble);
  });

  it('turns every outline the same way round', () => {
    const clockwise: [number, number][] = [
      [0, 0],
      [0, 3000],
      [4000, 3000],
      [4000, 0],
    ];
    expect(outlineOf({ outline: clockwise, heightMm: 2400 })).toEqual([...clockwise].reverse());
  });
});
