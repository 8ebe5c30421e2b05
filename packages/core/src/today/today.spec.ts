import { suppliedWith } from '../compound';
import { TYPICAL } from '../book';
import { STEPS, ELEMENTS, type Job, type LogEntry } from '../job';
import { lotsOf, potsOf } from '../log';
import { plan as planOf } from '../plan';
import { demoJob, jobOf, plainRoom, said } from '../testing/samples';
import type { Cell } from '../coat';
import { coatOf, type DayTask } from '../days';
import {
  ACTS,
  bringFor,
  CARD_IDS,
  cardsFor,
  checksFor,
  endOfDayFor,
  mixedEntry,
  mixesFor,
  tasksOn,
  toLookAt,
  toolCard,
  turnOf,
  waitsOf,
} from '.';

const way = (over: Partial<Job['way']>): Job => {
  const job = jobOf([plainRoom()]);
  return { ...job, way: { ...job.way, ...over } };
};
const setting = way({ compounds: 'setting-below', setMin: 45, setChosen: false });

function cardsOf(job: Job, step: DayTask['step'], log: LogEntry[] = [], now = '2026-11-30T07:00') {
  const { days, rooms } = planOf(job);
  const task = days.tasks.find((one) => one.step === step)!;
  const [plan] = rooms;
  const cells: Cell[] = plan!.areas
    .flatMap(({ rows }) => rows.flatMap((row) => row.cells))
    .filter(({ coat, element }) => coat === coatOf(step) && task.rows.includes(element));
  const mixes = mixesFor({
    task,
    room: { substrate: 'paper', floorM2: plan!.floorM2, steps: plan!.steps, cells },
    job,
    book: suppliedWith(TYPICAL, job),
    log,
    lots: lotsOf(log),
    now,
  });
  return { task, cells, mixes, plan: plan! };
}

describe('the turn', () => {
  const task = (id: string, over: Partial<DayTask>): DayTask =>
    ({
      id,
      room: 'r',
      step: 'tape',
      rows: ['flats'],
      people: ['a'],
      start: '2026-11-30T07:00',
      state: 'planned',
      ...over,
    }) as DayTask;
  it('is what somebody has begun, then what rests, then what begins first', () => {
    const tasks = [
      task('later', { start: '2026-11-30T09:00' }),
      task('first', {}),
      task('other', { people: ['b'], start: '2026-11-30T06:00' }),
      task('done', { state: 'done', start: '2026-11-29T06:00' }),
    ];
    const ids = (person?: string, all = tasks) => {
      const turn = turnOf({ tasks: all }, person);
      return [turn.task?.id, ...turn.next.map(({ id }) => id)];
    };
    expect(ids('a')).toEqual(['first', 'later']);
    expect(ids()).toEqual(['other', 'first', 'later']);
    expect(ids('c')).toEqual([undefined]);
    const begun = tasks.map((one) => (one.id === 'later' ? { ...one, state: 'paused' as const } : one));
    expect(ids('a', begun)).toEqual(['later', 'first']);
  });

  it('knows what hardens, and what should be looked at', () => {
    const hardens = {
      state: 'done',
      how: 'drying',
      readyEarly: '2026-11-30T14:00',
      ready: '2026-11-30T16:00',
      readyLate: '2026-11-30T19:00',
    } as const;
    const tasks = [
      task('coat', hardens),
      task('told', { ...hardens, readyEarly: hardens.readyLate }),
      task('next', {}),
    ];
    expect(waitsOf({ tasks }, '2026-11-30T12:00').map(({ id }) => id)).toEqual(['coat', 'told']);
    expect(toLookAt({ tasks }, '2026-11-30T15:00')).toEqual([]);
    expect(toLookAt({ tasks }, '2026-11-30T17:00').map(({ id }) => id)).toEqual(['coat']);
    expect(waitsOf({ tasks }, '2026-11-30T19:00')).toEqual([]);
  });
});

describe('a mix card', () => {
  it('has water and powder by the package, in batches that are used up before they stiffen', () => {
    const { mixes, task } = cardsOf(setting, 'tape');
    const [card] = mixes;
    expect(mixes).toHaveLength(1);
    expect(card).toMatchObject({ compound: 'setting-light', setMin: 45, n: 1, mixedL: 0, restMin: 3 });
    // 5.7 L of water and 8.2 kg of powder make 11.6 L.
    expect(card!.waterLPerL).toBeCloseTo(5.7 / 11.6, 6);
    expect(card!.powderKgPerL).toBeCloseTo(8.2 / 11.6, 6);
    expect(card!.batchL * card!.of).toBeCloseTo(card!.allL, 6);
    // As the days have it.
    expect(card!.of).toBe(task.batches.length);
    expect(card!.times).toMatchObject({ workMin: 36, cleanMin: 45, hardMin: 67.5, sets: 1, n: 0 });
  });

  it('counts what is mixed, takes off what spoiled, and stops when it is enough', () => {
    const { mixes, task } = cardsOf(setting, 'tape');
    const entry = (id: string, litres: number): LogEntry => ({
      ...(mixedEntry(task, mixes[0]!, litres) as LogEntry),
      id,
      at: '2026-11-30T07:00:00Z',
      by: '',
      device: 'd',
    });
    const [first] = cardsOf(setting, 'tape', [entry('a', 2)]).mixes;
    expect(first).toMatchObject({ mixedL: 2, n: 2 });
    const spoiled: LogEntry = { ...entry('b', 0), kind: 'spoiled', batch: 'a', amount: 1.5 };
    expect(cardsOf(setting, 'tape', [entry('a', 2), spoiled]).mixes[0]!.mixedL).toBe(0.5);
    const [enough] = cardsOf(setting, 'tape', [entry('a', mixes[0]!.allL)]).mixes;
    expect(enough).toMatchObject({ n: 2, of: 2 });
    expect(enough!.batchL).toBeGreaterThan(0);
    expect(potsOf([entry('a', 2)])[0]).toMatchObject({ litres: 2, setMin: 45 });
  });

  it('takes the oldest lot that may be used, and names the older ones that may not', () => {
    const came = (id: string, useBy: string): LogEntry => ({
      id,
      at: '2026-11-20T08:00:00Z',
      by: '',
      device: 'd',
      kind: 'received',
      lot: id,
      ware: 'mud/setting-light',
      each: 11.6,
      amount: 11.6,
      useBy,
    });
    const log = [came('new', '2027-06-01'), came('old', '2026-11-29'), came('next', '2026-12-24')];
    const [card] = cardsOf(setting, 'tape', log).mixes;
    expect([card!.lot?.id, card!.old.map(({ id }) => id)]).toEqual(['next', ['old']]);
  });

  it('of mud that dries says how much it is thinned, and starts no clock', () => {
    const { mixes, task } = cardsOf(way({ compounds: 'drying' }), 'finish');
    expect(mixes[0]).toMatchObject({ mix: 'C4', restMin: 0 });
    expect(mixes[0]!.times).toBeUndefined();
    // C4: 0.9 L into a pail of 17 L.
    expect(mixes[0]!.waterLPerL).toBeCloseTo(0.9 / 17, 6);
    expect(mixedEntry(task, mixes[0]!, 3)).not.toHaveProperty('workMin');
  });

  it('goes by the batches that were measured', () => {
    const { mixes, task } = cardsOf(setting, 'tape');
    const own = { id: 'a', at: '2026-11-30T07:00:00Z', by: '', device: 'd' };
    const log = [
      { ...(mixedEntry(task, mixes[0]!, 2) as LogEntry), ...own },
      // Hard after 54 min in place of 67.5: four fifths.
      { ...own, id: 'b', kind: 'hard' as const, batch: 'a', at: '2026-11-30T07:54:00Z' },
    ];
    expect(cardsOf(setting, 'tape', log).mixes[0]!.times).toMatchObject({ n: 1, sets: 0.9, cleanMin: 40.5 });
  });
});

describe('checks', () => {
  it('are there for every coat, each said, before and after', () => {
    for (const step of STEPS)
      for (const { text } of checksFor(step, ELEMENTS)) expect(said(text)).toMatch(/\.$/);
    expect(checksFor('tape', ['flats']).map(({ check }) => check)).toEqual(['rim', 'tape-tight']);
    expect(checksFor('tape', ['heads', 'corners']).map(({ check }) => check)).toEqual([
      'dry-blade',
      'cut-edges',
      'rim',
      'bead-valley',
    ]);
    expect(checksFor('sand', ['face']).map(({ check }) => check)).toEqual(['chip', 'mask', 'lamp']);
  });
});

describe('tool cards', () => {
  it('have every step said in words of their own', () => {
    const seen = new Set<string>();
    for (const id of CARD_IDS) {
      const { steps, name } = toolCard(id);
      expect(said(name)).not.toContain('card.');
      expect(steps).toHaveLength(ACTS[id].length);
      for (const step of steps) {
        const words = said(step.text);
        expect(words).toMatch(/\.$/);
        expect(seen.has(words)).toBe(false);
        seen.add(words);
        expect(said(step.name)).not.toContain('card');
      }
    }
  });

  it('are those of the task: by hand the pan and the angle, by machine what is filled', () => {
    const ids = (job: Job, step: DayTask['step']) => {
      const { cells } = cardsOf(job, step);
      return cardsFor(step, cells, job.way, suppliedWith(TYPICAL, job)).map(({ id }) => id);
    };
    expect(ids(way({ compounds: 'drying' }), 'tape')).toEqual(['paddle', 'knife', 'angle']);
    expect(ids(way({ compounds: 'drying' }), 'fill')).toEqual(['paddle', 'knife', 'corner', 'crossing']);
    const machine = way({ tools: 'machine', compounds: 'drying', angles: 'both-faces' });
    expect(ids(machine, 'tape')).toEqual(expect.arrayContaining(['taper', 'roller']));
    expect(ids(machine, 'fill')).toEqual(expect.arrayContaining(['tube', 'head', 'box']));
    const { cells } = cardsOf(machine, 'fill');
    const box = cardsFor('fill', cells, machine.way, TYPICAL).find(({ id }) => id === 'box');
    expect(box?.fill?.value).toBe(3);
    expect(ids(machine, 'sand')).toEqual(['pole']);
  });
});

describe('the day', () => {
  const job = demoJob('tarn-ferry');
  const plan = planOf(job);
  const room = (task: DayTask) => {
    const own = plan.rooms.find(({ id }) => id === task.room)!;
    const cells = own.areas.flatMap(({ rows }) => rows.flatMap((row) => row.cells));
    return {
      id: own.id,
      name: '',
      heightMm: 5000,
      steps: own.steps,
      cells,
      tapeMm: own.use.tapeMm,
      beads: 2,
    };
  };
  it('begins with what its tasks ask for', () => {
    const day = plan.days.tasks[0]!.start.slice(0, 10);
    const tasks = tasksOn(plan.days, day);
    const bring = bringFor(tasks, tasks.map(room), [], job.way, day);
    expect(bring.muds.length).toBeGreaterThan(0);
    expect(bring.tools.length).toBeGreaterThan(1);
    const more = bring.more.map(({ key }) => key);
    expect(more).toEqual(expect.arrayContaining(['bring.paddle', 'bring.two-waters', 'bring.platform']));
    expect(bringFor([], [], [], job.way, day)).toEqual({ muds: [], tools: [], more: [] });
    const sanding = plan.days.tasks.filter(({ step }) => step === 'sand');
    expect(bringFor(sanding, sanding.map(room), [], job.way, day).more.map(({ key }) => key)).toEqual(
      expect.arrayContaining(['bring.mask', 'bring.lamp']),
    );
    // Only what is whose own.
    expect(tasksOn(plan.days, day, 'ansa').every(({ people }) => people.includes('ansa'))).toBe(true);
  });

  it('ends with the pots first, and with what that day was worked with', () => {
    const pots = potsOf([
      {
        id: 'm',
        at: '2026-11-30T14:00:00Z',
        by: '',
        device: 'd',
        kind: 'mixed',
        room: 'r',
        step: 'tape',
        compound: 'setting-light',
        amount: 2,
        workMin: 36,
        cleanMin: 45,
        hardMin: 67,
      },
    ]);
    const now = Date.parse('2026-11-30T14:10:00Z');
    const none = { pots: [], set: false, dried: false, machine: false, sanded: false, coldC: 10 };
    const ids = (over: object) => endOfDayFor({ ...none, ...over }, now).map(({ id }) => id);
    expect(ids({})).toEqual(['air']);
    expect(ids({ pots, set: true })).toEqual(['pots', 'rest', 'wash', 'dry-steel', 'air']);
    expect(ids({ dried: true, machine: true, sanded: true })).toEqual([
      'cover',
      'rim',
      'wash',
      'dry-steel',
      'machine',
      'dust',
      'air',
    ]);
  });
});
