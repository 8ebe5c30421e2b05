import Ajv from 'ajv';
import * as fc from 'fast-check';
import { plan } from '../plan';
import { demoJob, jobOf, plainRoom, said } from '../testing/samples';
import { LIMITS, MOST, nameWith } from './limits';
import { outlineTrouble } from './outline';
import { placeInWords } from './places';
import { MAX_FILE_BYTES, writeJob } from './file';
import { checkJob, readJob, readJobBytes, troubleAfter } from './read';
import { JOB_SCHEMA } from './schema';
import type { Job, LogEntry, Opening, Room } from './types';
import { trials } from '../testing/trials';

type Doc = Record<string, unknown>;
const file = (job: unknown): Doc => JSON.parse(JSON.stringify(job)) as Doc;
const opens = (job: unknown): boolean => checkJob(file(job)).ok;

const window: Opening = {
  id: 'w',
  wall: 0,
  kind: 'window',
  leftMm: 3000,
  bottomMm: 900,
  widthMm: 1200,
  heightMm: 900,
  returns: 'cased',
};
const soffit = {
  id: 'b',
  kind: 'column' as const,
  wall: 0,
  leftMm: 500,
  offMm: 900,
  alongMm: 300,
  outMm: 300,
  bottomMm: 0,
};

describe('what ordinary edits leave can be opened again, and is planned with advice', () => {
  const misfits: [string, Partial<Room>][] = [
    [
      'a room shortened below its window',
      { plan: { lengthMm: 2000, widthMm: 3600, heightMm: 2400 }, openings: [window] },
    ],
    [
      'the first figure of a new length',
      { plan: { lengthMm: 609.6, widthMm: 3600, heightMm: 2400 }, openings: [window] },
    ],
    ['an opening past its wall', { openings: [{ ...window, leftMm: 4500 }] }],
    ['an opening on a wall that is not there', { openings: [{ ...window, wall: 7 }] }],
    ['an opening over another', { openings: [window, { ...window, id: 'v', leftMm: 3200 }] }],
    ['an opening above the ceiling', { openings: [{ ...window, bottomMm: 2000 }] }],
    ['a column outside the room', { boxes: [{ ...soffit, offMm: 9000 }] }],
    ['a low side over the high side', { ceiling: { kind: 'slope', wall: 0, highMm: 2300 } }],
    ['a flat under the low side', { ceiling: { kind: 'gable', wall: 0, highMm: 3000, flatMm: 2000 } }],
  ];
  it.each(misfits)('%s', (_, over) => {
    const job = jobOf([plainRoom(over)]);
    const read = readJob(writeJob(job));
    expect(read).toMatchObject({ ok: true, notes: [] });
    const told = plan(job).advice.filter((a) => ['A-OPENING', 'A-SHAPE'].includes(a.code));
    expect(told.length).toBeGreaterThan(0);
    expect(told.every((a) => a.cures.some((cure) => cure.changes))).toBe(true);
  });

  it('names of 200 letters, doubled', () => {
    const name = nameWith('x'.repeat(200), ', copy');
    expect(name).toHaveLength(200);
    expect(name.endsWith('x, copy')).toBe(true);
    expect(opens(jobOf([plainRoom({ name })], { name }))).toBe(true);
    // A letter kept as two is not cut in half.
    expect(nameWith(`${'x'.repeat(193)}😀`, ', copy')).toBe(`${'x'.repeat(193)}, copy`);
  });
});

describe('what an earlier version kept', () => {
  const mended = (over: Partial<Job>) => {
    const read = checkJob(file(jobOf([plainRoom()], over)));
    if (read.ok) throw new Error('it was right');
    const { job, notes } = read.mended ?? { job: undefined, notes: [] };
    expect(job && opens(job)).toBe(true);
    return {
      job: job as Job,
      notes: notes.map((n) => `${said(n.where ?? '')} ${said(n.message)}`).join('\n'),
    };
  };
  const calendar = jobOf([]).calendar;

  it('outside its limits by a little is the nearest inside, and is said', () => {
    const { job, notes } = mended({
      rooms: [plainRoom({ plan: { lengthMm: 299.6, widthMm: 3600, heightMm: 2400 } })],
    });
    expect(job.rooms[0]?.plan).toEqual({ lengthMm: 300, widthMm: 3600, heightMm: 2400 });
    expect(notes).toBe(
      'Plain room, length must be a number from 300 to 100000 mm; it is 299.6; used instead: 300',
    );
  });

  it.each<[string, Partial<Job>, (job: Job) => unknown, unknown]>([
    ['a name too long', { name: 'x'.repeat(206) }, (job) => job.name.length, 200],
    [
      'a year too far',
      { calendar: { ...calendar, startDate: '20266-11-30' } },
      (job) => job.calendar.startDate,
      '2199-12-31',
    ],
    [
      'a figure no plan is made with',
      { shop: { figures: { screwWallMm: 0 } } },
      (job) => job.shop?.figures?.['screwWallMm'],
      50,
    ],
    ['nothing where nothing need be', { place: null as never }, (job) => 'place' in job, false],
    ['a product of no kind', { shop: { products: [{ id: 'p' } as never] } }, (job) => job.shop?.products, []],
  ])('%s', (_, over, of, expected) => {
    expect(of(mended(over).job)).toEqual(expected);
  });

  it('that lost its rooms is not made up', () => {
    for (const over of [{ rooms: 'gone' }, { rooms: [{ id: 'a' }] }, { way: [] }]) {
      const read = checkJob(file({ ...jobOf([]), ...over }));
      expect(read.ok ? 'read' : read.mended).toBeUndefined();
    }
  });

  it('opens at any figures the fields once took', () => {
    for (const value of [0, 1e-9, 1e6]) {
      const figures = Object.fromEntries(
        ['screwWallMm', 'paceHead', 'gapMm', 'skimMm'].map((key) => [key, value]),
      );
      const made = plan(jobOf([plainRoom()], { shop: { figures } }));
      expect(Number.isFinite(made.days.labourMin)).toBe(true);
      expect(made.rooms[0]?.fasteners).toBeLessThan(1e6);
    }
  });
});

describe('two things with one id', () => {
  it('are told apart, and it is said which was renamed', () => {
    const twice = plainRoom({
      openings: [window, { ...window, leftMm: 0 }],
      lamps: [{ id: 'w', at: [0, 0], heightMm: 1 }],
    });
    const read = checkJob(file(jobOf([twice, plainRoom()])));
    if (!read.ok) throw new Error('refused');
    const [first, second] = read.job.rooms;
    expect(first?.openings.map((o) => o.id)).toEqual(['w', 'w-2']);
    expect(first?.lamps?.[0]?.id).toBe('w-2');
    expect([first?.id, second?.id]).toEqual(['plain', 'plain-2']);
    expect(read.notes.map((n) => said(n.where!))).toEqual([
      'Plain room',
      'Plain room, window 2',
      'Plain room, lamp 1',
    ]);
  });

  it('a job whose ids are its own is returned as it came', () => {
    const doc = file(demoJob('tarn-ferry'));
    const read = checkJob(doc);
    expect(read.ok && read.job).toBe(doc);
  });
});

describe('sizes', () => {
  const square = (mm: number, at = 0) => [
    [at, at],
    [at + mm, at],
    [at + mm, at + mm],
    [at, at + mm],
  ];
  it('a hall of 300 m is a room, wherever the drawing begins; one of 400 by 400 is not, and it is said why', () => {
    expect(outlineTrouble(square(300000))).toBeUndefined();
    expect(outlineTrouble(square(4000, 900000))).toBeUndefined();
    expect(said(outlineTrouble(square(400000))!)).toContain(
      'encloses 160,000 m². A room can be at most 100,000 m²',
    );
    expect(said(outlineTrouble(square(500000))!)).toContain('is 500 m across. A room can be at most 400 m');
  });

  it('a job holds so many rooms and no more', () => {
    const one = plainRoom();
    const rooms = Array.from({ length: MOST.rooms + 1 }, (_, i) => ({ ...one, id: `r${i}` }));
    const read = checkJob(jobOf(rooms));
    expect(read.ok ? '' : said(read.problems[0]!.message)).toBe(
      'must have at most 5000 entries; it has 5001',
    );
    const before = jobOf(rooms.slice(0, MOST.rooms));
    expect(troubleAfter(before, { ...before, rooms })).toHaveLength(1);
    expect(troubleAfter(before, { ...before, rooms: rooms.slice(1) })).toEqual([]);
  });
});

it('an edit that could not be opened again is told, and only what it changed is gone through', () => {
  const before = jobOf([plainRoom(), plainRoom({ id: 'bad', name: 7 as never })]);
  const shorter = { ...(before.rooms[0] as Room), plan: { lengthMm: 299.6, widthMm: 3600, heightMm: 2400 } };
  const after = { ...before, rooms: [shorter, before.rooms[1] as Room] };
  expect(troubleAfter(before, after).map((p) => said(p.where!))).toEqual(['Plain room, length']);
  expect(troubleAfter(before, { ...before, name: 'Annex' })).toEqual([]);
  expect(troubleAfter(before, { ...before, name: 'x'.repeat(201) })).toHaveLength(1);
});

it.each([
  ['rooms[0].openings[2].widthMm', 'Hall, window 2, width'],
  ['rooms[0].plan.lengthMm', 'Hall, length'],
  ['rooms[1].board.lengthsMm', 'room 2, board, stock lengths'],
  ['rooms[0].joints[wall-0.butt-1].gapMm', 'Hall, joint wall-0.butt-1, gap'],
  ['rooms[0].damage[0].at', 'Hall, damaged spot 1, position'],
  ['shop.products[0].price', 'product “Mill bag”, price'],
  ['calendar.startDate', 'first day'],
  ['format', 'format'],
])('%s reads %s', (path, told) => {
  const doc = {
    rooms: [
      {
        name: 'Hall',
        openings: [{ kind: 'window' }, { kind: 'door' }, { kind: 'window' }],
        joints: { 'wall-0.butt-1': {} },
        damage: [{ kind: 'dent' }],
      },
      {},
    ],
    shop: { products: [{ name: 'Mill bag' }] },
  };
  expect(said(placeInWords(doc, path))).toBe(told);
});

it('text that is not UTF-8 is refused and not guessed at', () => {
  const bytes = new TextEncoder().encode(writeJob(jobOf([])).replace('"Job"', '"Bücher"'));
  expect(readJobBytes(bytes).ok).toBe(true);
  const read = readJobBytes(bytes.map((byte) => (byte === 0xc3 ? 0xfc : byte)));
  expect(read.ok ? '' : said(read.problems[0]!.message)).toContain('not UTF-8 text');
});

describe('the published schema', () => {
  const valid = new Ajv({ strict: false }).compile(JOB_SCHEMA);
  const demo = file(demoJob('tarn-ferry'));
  const text = JSON.stringify({ ...demo, rooms: (demo['rooms'] as Doc[]).slice(0, 3) });
  const sample = (): Doc => JSON.parse(text) as Doc;

  /** Every place of a document that holds a value, as keys to it. */
  const places = (value: unknown, at: string[] = []): string[][] =>
    typeof value === 'object' && value !== null
      ? Object.entries(value).flatMap(([key, inner]) => [[...at, key], ...places(inner, [...at, key])])
      : [];
  const spots = places(sample());
  /** What only reading can say: two fields of one thing held against each other, and the shape of an outline. */
  const beyond = (read: ReturnType<typeof checkJob>): boolean =>
    !read.ok &&
    read.problems.every((p) => /later than|cross|same place|enclose|across/.test(said(p.message)));

  it('takes what the reader takes', () => {
    expect(valid(file(demoJob('tarn-ferry'))) || valid.errors).toBe(true);
    expect(valid(file(demoJob('pier-house'))) || valid.errors).toBe(true);
  });

  it('agrees with the door on files with any one thing changed', () => {
    const bad = [
      null,
      -1,
      0,
      1e12,
      0.5,
      7,
      '',
      'x',
      'x'.repeat(201),
      true,
      [],
      {},
      [1, 2],
      '2026-02-29',
      '2028-02-29',
      '20266-01-01',
      'q',
    ];
    fc.assert(
      fc.property(fc.constantFrom(...spots), fc.constantFrom(...bad, undefined), (spot, value) => {
        const doc = sample();
        const owner = spot.slice(0, -1).reduce<Doc>((inner, key) => inner[key] as Doc, doc);
        const last = spot.at(-1) as string;
        if (value === undefined && !Array.isArray(owner)) Reflect.deleteProperty(owner, last);
        else owner[last] = value === undefined ? null : value;
        const read = checkJob(doc);
        if (beyond(read)) return;
        expect(`${spot.join('.')} ${valid(doc) ? 'taken' : 'refused'}`).toBe(
          `${spot.join('.')} ${read.ok ? 'taken' : 'refused'}`,
        );
        // Nothing of the workings of the check is ever shown, and every place has words.
        for (const { message, where } of read.ok ? [] : read.problems) {
          expect(said(message)).not.toMatch(/\$|undefined|\[object|value/);
          expect(said(where!)).toBeTruthy();
        }
      }),
      { numRuns: trials(400) },
    );
  });

  it('names the limits of every measure', () => {
    const { rooms } = JOB_SCHEMA['properties'] as { rooms: { items: { properties: Record<string, Doc> } } };
    const openings = rooms.items.properties['openings'] as { items: { properties: { widthMm: Doc } } };
    const { least, most } = LIMITS.opening.widthMm;
    expect(openings.items.properties.widthMm).toEqual({
      type: 'number',
      minimum: least,
      maximum: most,
      description: 'mm',
    });
  });
});

describe('a long log', () => {
  const job = jobOf([plainRoom()]);
  const note = (i: number): LogEntry => ({
    id: `e${String(i).padStart(6, '0')}`,
    at: '2026-12-01T08:00:00+01:00',
    by: 'Ansa',
    device: 'phone',
    kind: 'note',
    note: 'Stud is proud behind the door of this room, wall 2',
    room: 'plain',
  });
  const log = Array.from({ length: 3000 }, (_, i) => note(i));

  it('is written without indents and read back whole', () => {
    const text = writeJob({ ...job, log });
    expect(text.split('\n')).toHaveLength(2);
    const read = readJob(text);
    expect(read.ok && read.job.log).toEqual(log);
  });

  it('as long as a log may be is no larger than a file may be', () => {
    const each = writeJob({ ...job, log }).length / log.length;
    expect(each * MOST.log).toBeLessThan(MAX_FILE_BYTES);
  });

  it('says what is wrong with which of its entries, as if each had been gone through', () => {
    const signed = { ...note(2999), kind: 'signed', round: 'r', frozen: { at: 'some day' } };
    const wrong = log.map((entry, i) => (i === 1700 ? { ...entry, at: 'noon' } : i === 2500 ? 'x' : entry));
    const read = checkJob({ ...job, log: [...wrong, signed] });
    const paths = read.ok ? [] : read.problems.map(({ path }) => path);
    expect(paths.slice(0, 3)).toEqual(['log[1700].at', 'log[2500]', 'log[3000].frozen.at']);
    expect(checkJob({ ...job, log: [...log, ...Array.from({ length: MOST.log }, () => 0)] }).ok).toBe(false);
  });
});
