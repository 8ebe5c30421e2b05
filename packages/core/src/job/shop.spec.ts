import Ajv from 'ajv';
import { demoJob, jobOf, plainRoom, said } from '../testing/samples';
import { writeJob } from './file';
import { checkJob, readJob } from './read';
import { JOB_SCHEMA } from './schema';
import type { Job, Room, Shop } from './types';

const problems = (job: unknown): string[] => {
  const read = checkJob(JSON.parse(JSON.stringify(job)));
  return read.ok ? [] : read.problems.map((p) => `${p.path}: ${said(p.message)}`);
};
const valid = new Ajv({ strict: false }).compile(JOB_SCHEMA);

const FULL: Shop = {
  kit: ['pan', 'knife-150', 'knife-300', 'blade-600'],
  products: [
    {
      id: 'p1',
      name: 'Mill bag',
      compound: 'setting-light',
      kind: 'bag',
      yieldsL: 11,
      massKg: 8,
      waterL: 5.5,
      shrink: 0.05,
      setMin: 45,
      price: 17.5,
      onHandL: 22,
      useBy: '2027-01-31',
      opened: '2026-11-01',
      inUse: true,
    },
  ],
  peels: [
    {
      id: 'q',
      compound: 'drying-light',
      tape: 'mat',
      days: 3,
      tornCm2: 20,
      cleanCm2: 80,
      date: '2026-11-02',
      note: 'n',
    },
  ],
  ways: [{ id: 'w', name: 'Mine', way: jobOf([]).way }],
  figures: { headL: 0.0009, 'fill-taper': 2.7 },
  liftKg: 23,
  money: '£',
};

const ROOM: Partial<Room> = {
  primer: 'high-build',
  lamps: [{ id: 'l1', at: [2400, 1800], heightMm: 2200 }],
  light: { kind: 'ordinary', from: 'l1' },
  garage: true,
  cells: { 'butts.finish': { bandMm: 900, camberMm: 0.15, compound: 'hybrid', consistency: 'C4' } },
  joints: {
    'wall-0.butt-1': { bead: 'plastic', cells: { fill: { coat: 'skip' }, finish: { bladeMm: 300 } } },
  },
  faces: {
    'wall-1': {
      finish: { scale: 'q', grade: 4 },
      decoration: 'gloss',
      light: { kind: 'critical' },
      primer: 'none',
    },
  },
};

describe('what a job may hold of finish and shop', () => {
  const job: Job = {
    ...jobOf([plainRoom(ROOM)]),
    shop: FULL,
    setAside: [{ key: 'A-LEVEL|plain|plain||', reason: 'agreed', date: '2026-11-30' }],
    agreement: { owner: 'O', finisher: 'F', note: 'n' },
  };
  job.way = { ...job.way, bead: 'bullnose', batchL: 3, cells: { 'flats.tape': { setMin: 30, waitMin: 90 } } };
  job.calendar = { ...job.calendar, deadline: '2026-12-20' };

  it('is read, fits the schema and comes back byte for byte', () => {
    expect(problems(job)).toEqual([]);
    expect(valid(JSON.parse(JSON.stringify(job))) || valid.errors).toBe(true);
    const text = writeJob(job);
    const read = readJob(text);
    expect(read.ok && writeJob(read.job)).toBe(text);
  });

  it.each<[string, (job: Job) => void, string]>([
    ['a tool nobody makes', (j) => (j.shop!.kit = ['broom' as 'pan']), 'shop.kit: must be one or more of'],
    ['a yield of nothing', (j) => (j.shop!.products![0]!.yieldsL = 0), 'yieldsL: must be a number from 0.1'],
    ['a shrink of all', (j) => (j.shop!.products![0]!.shrink = 1), 'shrink: must be a number from 0 to 0.6'],
    ['a date that is none', (j) => (j.shop!.products![0]!.useBy = '2026-02-30'), 'useBy: must be a date'],
    ['days before bedding', (j) => (j.shop!.peels![0]!.days = -1), 'days: must be a number from 0'],
    [
      'a tape unknown',
      (j) => (j.shop!.peels![0]!.tape = 'silk' as 'mat'),
      'tape: must be one of paper, mat, mesh',
    ],
    [
      'a photo that is a page',
      (j) => (j.shop!.peels![0]!.photo = 'data:text/html,x'),
      'photo: must be a JPEG',
    ],
    [
      'a kept way without tools',
      (j) => delete (j.shop!.ways![0]!.way as { tools?: string }).tools,
      'tools: is missing',
    ],
    [
      'a figure below nothing',
      (j) => (j.shop!.figures!['headL'] = -1),
      'figures.headL: must be a number from 0.00005',
    ],
    ['a batch of a tanker', (j) => (j.way.batchL = 900), 'way.batchL: must be a number from 0.5 to 60'],
    ['a bead unknown', (j) => (j.way.bead = 'gold' as 'plastic'), 'way.bead: must be one of nail-on'],
    [
      'a wait of months',
      (j) => (j.way.cells = { 'flats.tape': { waitMin: 1e6 } }),
      'waitMin: must be a number from 0',
    ],
    [
      'a lamp above the sky',
      (j) => (j.rooms[0]!.lamps![0]!.heightMm = 1e6),
      'lamps[0].heightMm: must be a number',
    ],
    [
      'a primer unknown',
      (j) => (j.rooms[0]!.primer = 'milk' as 'none'),
      'primer: must be one of none, primer',
    ],
    ['a light from a path', (j) => (j.rooms[0]!.light.from = '../x'), 'light.from: must be an id'],
    [
      'a grade on a face',
      (j) => (j.rooms[0]!.faces!['wall-1']!.finish = { scale: 'q', grade: 9 as 4 }),
      'finish.grade',
    ],
    ['a deadline in words', (j) => (j.calendar.deadline = 'soon'), 'calendar.deadline: must be a date'],
    [
      'a reason that is no text',
      (j) => (j.setAside![0]!.reason = 3 as unknown as string),
      'setAside[0].reason',
    ],
    [
      'an owner too long',
      (j) => (j.agreement!.owner = 'x'.repeat(300)),
      'agreement.owner: must be at most 200',
    ],
  ])('refuses %s, and says where', (_, spoil, told) => {
    const spoiled = structuredClone(job);
    spoil(spoiled);
    expect(problems(spoiled).join('\n')).toContain(told);
  });
});

describe('early files', () => {
  const early = (bands: unknown) => ({ ...jobOf([]), rooms: [{ ...plainRoom(), bands }] });
  const room = (bands: unknown, more: object = {}) => {
    const job = early(bands);
    Object.assign(job.rooms[0]!, more);
    const read = checkJob(JSON.parse(JSON.stringify(job)));
    return read.ok ? read.job.rooms[0] : undefined;
  };

  it('kept two widths by hand, which are cells now', () => {
    expect(room({ flatMm: 400, buttMm: 900 })?.cells).toEqual({
      'flats.finish': { bandMm: 400 },
      'butts.finish': { bandMm: 900 },
    });
    expect(room({ buttMm: 900 })?.cells).toEqual({ 'butts.finish': { bandMm: 900 } });
    expect(room({})).not.toHaveProperty('bands');
  });

  it('never override what stands in the new place', () => {
    const cells = { 'butts.finish': { bandMm: 700 } };
    expect(room({ buttMm: 900 }, { cells })?.cells).toEqual(cells);
  });

  it('are left as they are where nothing is to be carried over', () => {
    const job = demoJob('pier-house');
    const read = checkJob(job);
    expect(read.ok && read.job).toBe(job);
  });
});
