import * as fc from 'fast-check';
import { TYPICAL } from '../book';
import { suppliedWith } from '../compound';
import {
  type COAT_STEPS,
  ELEMENT,
  type Calendar,
  type Element,
  type Job,
  type LogEntry,
  type Room,
  type Step,
} from '../job';
import { plan } from '../plan';
import { demoJob, jobOf, plainRoom } from '../testing/samples';
import { TWELVE } from '../testing/twelve';
import { boundOf } from './bound';
import { planDays, type Days } from './days';
import { movedBetween } from './moved';
import { isBetter, rules, Scheduler, type Schedule, type Score } from './schedule';
import { again, first, searched } from './search';
import { searchDays } from './settled';
import { siteworkOf, type RoomWorked } from './tasks';
import { GOES_OVER_ALL, LIES_ON, type RoomStep, type RowStep } from './work';
import { trials } from '../testing/trials';
import { solved } from '../units';

const book = suppliedWith(TYPICAL, undefined);
/** A part of the search shows what all of it would. */
const short = { effort: 0.1 };
const local = (iso: string, min: number): string =>
  new Date(Date.parse(`${iso}Z`) + Math.round(min) * 60000).toISOString().slice(0, 16);
const ms = (iso: string): number => Date.parse(`${iso}Z`) / 60000;

/** Written apart from the planner: what of a plan breaks a rule of the work. */
function broken(days: Days, job: Pick<Job, 'calendar' | 'rooms'>, rooms: readonly RoomWorked[]): string[] {
  const found: string[] = [];
  const { calendar } = job;
  const rowAt = new Map<string, { start: number; end: number; row: RowStep }>();
  for (const task of days.tasks) {
    const steps = rooms.find(({ id }) => id === task.room)!.steps;
    for (const name of task.rows) {
      const key = `${task.room} ${task.step} ${name}`;
      if (rowAt.has(key)) found.push(`${key} twice`);
      const row = steps.find(({ step }) => step === task.step)!.rows.find((one) => one.row === name)!;
      rowAt.set(key, { start: ms(task.start), end: ms(task.end), row });
    }
  }
  for (const { id, steps } of rooms)
    for (const { step, rows } of steps)
      for (const { row } of rows) {
        const at = rowAt.get(`${id} ${step} ${row}`);
        if (!at) {
          found.push(`${id} ${step} ${row} is missing`);
          continue;
        }
        const before: Partial<Record<Step, Step[]>> = {
          prefill: [],
          tape: ['prefill'],
          float: ['prefill', 'tape'],
          fill: ['prefill', 'tape'],
          finish: ['prefill', 'tape', 'fill'],
          cover: ['float'],
          skim: ['prefill', 'tape', 'float', 'fill', 'finish', 'cover'],
          sand: ['prefill', 'tape', 'float', 'fill', 'finish', 'cover', 'skim'],
        };
        const whole = step === 'skim' || step === 'sand';
        const isJoint = (name: Element): boolean => ELEMENT[name].unit === 'm' && !ELEMENT[name].aside;
        for (const earlier of before[step] ?? [])
          for (const under of steps.find((one) => one.step === earlier)?.rows ?? []) {
            const laid = rowAt.get(`${id} ${earlier} ${under.row}`)!;
            const own = whole || under.row === row;
            if (!own && !(isJoint(row) && isJoint(under.row))) continue;
            const from = laid.end + (own ? under.lateMin : under.stiffMin);
            if (at.start < from - 1) found.push(`${id} ${step} ${row} on wet ${earlier} ${under.row}`);
          }
      }
  const byPerson = new Map<string, [number, number][]>();
  for (const { people, start, end } of days.tasks)
    for (const one of people) byPerson.set(one, [...(byPerson.get(one) ?? []), [ms(start), ms(end)]]);
  for (const [one, times] of byPerson) {
    times.sort(([a], [b]) => a - b);
    times.forEach(([start], i) => {
      if (i > 0 && start < times[i - 1]![1] - 1) found.push(`${one} in two places`);
    });
  }
  for (const { room, start, end, people, id } of days.tasks) {
    const shut = job.rooms.find((one) => one.id === room)?.shut ?? [];
    for (const one of people) {
      const person = calendar.people?.find((p) => p.id === one);
      const weekdays = person?.weekdays ?? calendar.weekdays;
      const off = [...(calendar.off ?? []), ...(person?.off ?? [])];
      for (const iso of [start, end]) {
        const [day, clock] = [iso.slice(0, 10), iso.slice(11)];
        const out =
          !weekdays.includes(new Date(`${iso}Z`).getUTCDay()) ||
          off.includes(day) ||
          shut.some(({ from, to }) => day >= from && day <= to);
        if (out) found.push(`${id} on a day off, ${iso}`);
        // Cleaning is at the end of the day; a coat may run into it.
        if (clock < (person?.from ?? calendar.from) || clock > (person?.to ?? calendar.to))
          found.push(`${id} out of hours, ${iso}`);
      }
    }
  }
  if (days.bound && days.finish && days.bound > days.finish) found.push('sooner than the bound');
  return found;
}

const rowsOf: Record<(typeof COAT_STEPS)[number], readonly Element[]> = {
  prefill: ['flats', 'butts'],
  tape: ['flats', 'butts', 'angles', 'corners', 'heads'],
  float: ['butts'],
  fill: ['flats', 'butts', 'angles', 'corners', 'heads'],
  finish: ['flats', 'angles', 'heads'],
  cover: ['butts'],
  skim: ['face'],
  sand: ['face'],
};

/** Rows without any mud. */
const DRY = { mud: [], waterG: 0, dryFactor: 0, setsMin: 0, byHand: false, machine: false };

/** A room's coats with any work and any waiting. */
const anyWorked = (id: string): fc.Arbitrary<RoomWorked> =>
  fc
    .record({
      steps: fc.subarray(Object.keys(rowsOf) as Step[], { minLength: 1 }),
      numbers: fc.infiniteStream(fc.integer({ min: 0, max: 999 })),
      floorM2: fc.constantFrom(4, 20),
    })
    .map(({ steps, numbers, floorM2 }) => {
      const next = (most: number): number => ((numbers.next().value as number) * most) / 999;
      return {
        id,
        floorM2,
        volumeM3: floorM2 * 2.5,
        boardAreaM2: 50,
        steps: steps.map((step): RoomStep => {
          const rows = rowsOf[step as keyof typeof rowsOf].map((row): RowStep => {
            const hardenMin = step === 'sand' ? 0 : next(3000);
            const wait = { earlyMin: hardenMin * 0.8, hardenMin, lateMin: hardenMin * 1.25 };
            const stiffMin = Math.min(40, wait.lateMin);
            return {
              row,
              labourMin: 1 + next(600),
              how: 'drying',
              ...wait,
              stiffMin,
              ...DRY,
            };
          });
          const why = { rule: { key: 'why.work' }, inputs: [] } as RoomStep['why'];
          return {
            step,
            labourMin: 0,
            mixMin: 0,
            how: 'drying',
            hardenMin: 0,
            earlyMin: 0,
            lateMin: 0,
            rows,
            why,
          };
        }),
      };
    });

const anyDay = fc
  .integer({ min: 0, max: 20 })
  .map((n) => new Date(Date.UTC(2026, 9, 20 + n)).toISOString().slice(0, 10));

/** Calendars over the end of daylight saving, with people of their own hours and days. */
const anyCalendar: fc.Arbitrary<Calendar> = fc.record({
  startDate: fc.constantFrom('2026-10-21', '2026-03-25', '2026-12-30'),
  from: fc.constant('07:00'),
  to: fc.constantFrom('12:00', '15:30'),
  weekdays: fc.subarray([0, 1, 2, 3, 4, 5, 6], { minLength: 1 }),
  crew: fc.integer({ min: 1, max: 3 }),
  off: fc.uniqueArray(anyDay, { maxLength: 3 }),
  people: fc.array(
    fc.record(
      {
        id: fc.constantFrom('a', 'b', 'c'),
        name: fc.constant('Somebody'),
        from: fc.constantFrom('06:00', '09:00'),
        weekdays: fc.subarray([1, 2, 3, 4, 5], { minLength: 1 }),
        off: fc.uniqueArray(anyDay, { maxLength: 2 }),
        leaves: fc.subarray(['sand', 'coat', 'tape'] as const),
      },
      { requiredKeys: ['id', 'name'] },
    ),
    { maxLength: 3 },
  ),
}) as fc.Arbitrary<Calendar>;

const anySite = fc
  .tuple(
    anyCalendar,
    fc.tuple(anyWorked('r0'), anyWorked('r1'), anyWorked('r2')),
    fc.integer({ min: 1, max: 3 }),
    fc.array(fc.tuple(anyDay, anyDay), { maxLength: 2 }),
  )
  .map(([calendar, all, n, shut]) => {
    const people = (calendar.people ?? []).filter((p, i, list) => list.findIndex((q) => q.id === p.id) === i);
    const rooms = all.slice(0, n);
    const closed = shut.map(([a, b]) => ({ from: a < b ? a : b, to: a < b ? b : a }));
    const job = jobOf(
      rooms.map(({ id }, i): Room => ({ ...plainRoom(), id, ...(i === 0 ? { shut: closed } : {}) })),
    );
    return { job: { ...job, calendar: { ...calendar, people } }, rooms };
  });

describe('a plan of the days', () => {
  it('keeps every rule of the work, whoever works and whenever', () => {
    fc.assert(
      fc.property(anySite, ({ job, rooms }) => {
        const days = planDays(job, rooms, book);
        expect(broken(days, job, rooms)).toEqual([]);
        expect(days.critical.at(0)).toBeDefined();
      }),
      { numRuns: trials(600) },
    );
  });

  it('keeps them as it is searched, and is never worse than a rule', () => {
    fc.assert(
      fc.property(anySite, ({ job, rooms }) => {
        const ruled = planDays(job, rooms, book);
        const { run, proved } = solved(searchDays(job, rooms, book, { log: [] }, short));
        const days = planDays(job, rooms, book, { log: [] }, { run, proved });
        expect(broken(days, job, rooms)).toEqual([]);
        // Later on the same day it may be, for less time paid.
        const [day, ruledDay] = [days, ruled].map(({ finish }) => finish!.slice(0, 10)) as [string, string];
        expect(day <= ruledDay || ms(days.finish!) < ms(ruled.finish!) + 30).toBe(true);
      }),
      { numRuns: trials(8) },
    );
  });

  it('is the best there is where there are few tasks', () => {
    fc.assert(
      fc.property(anySite, ({ job, rooms }) => {
        const small = rooms.slice(0, 2).map((room) => ({ ...room, steps: room.steps.slice(0, 2) }));
        const site = siteworkOf(job, small, book);
        const scheduler = new Scheduler(site);
        fc.pre(scheduler.count <= 5);
        const found = solved(searched(site));
        expect(found.schedule.score).toEqual(bestOfAll(scheduler));
        expect(again(scheduler, found.run)?.score).toEqual(found.schedule.score);
      }),
      { numRuns: trials(30) },
    );
  });

  it('is never under its bound, however rows are parted', () => {
    fc.assert(
      fc.property(anySite, fc.array(fc.nat(3), { minLength: 8, maxLength: 8 }), ({ job, rooms }, dice) => {
        const plain = siteworkOf(job, rooms.slice(0, 2), book);
        const bound = boundOf(new Scheduler(plain));
        const parts = new Map(
          plain.tasks.map((task, i): [string, string[][]] => {
            const names = task.rows.map(({ row }) => row as string);
            const group = (n: number) => names.filter((_, k) => (dice[(i + k) % 8] as number) % 3 === n);
            return [`${plain.rooms[task.room]!.id}:${task.step}`, [group(0), group(1), group(2)]];
          }),
        );
        for (const parted of ['along', 'heads', 'rows', parts] as const) {
          const site = siteworkOf(job, rooms.slice(0, 2), book, { log: [] }, parted);
          const scheduler = new Scheduler(site);
          const all = site.tasks.flatMap(({ room, step, rows }) =>
            rows.map(({ row }) => `${room} ${step} ${row}`),
          );
          expect(new Set(all).size).toBe(all.length);
          expect(boundOf(scheduler)).toBeCloseTo(bound, 6);
          for (const { end } of [first(scheduler).best, solved(searched(site, { effort: 0.02 })).schedule]) {
            const ready = Math.max(...site.tasks.map(({ lateMin }, i) => (end[i] as number) + lateMin));
            expect(ready).toBeGreaterThanOrEqual(bound - 1e-6);
          }
        }
      }),
      { numRuns: trials(10) },
    );
  });

  it('ends days in their overtime: thirty rooms are near what no plan can beat', () => {
    const rooms = Array.from({ length: 30 }, (_, i) =>
      plainRoom({
        id: `r${i}`,
        plan: { lengthMm: 2600 + (i % 7) * 700, widthMm: 2400 + (i % 5) * 500, heightMm: 2500 },
      }),
    );
    const job = jobOf(rooms);
    const made = plan(job);
    const site = siteworkOf(job, made.rooms, book);
    const scheduler = new Scheduler(site);
    const { hours } = site;
    const base = hours.of([0]);
    const readyOf = ({ end }: { end: Float64Array }): number =>
      Math.max(...site.tasks.map(({ lateMin }, i) => (end[i] as number) + lateMin));
    const [rank] = rules(scheduler) as [Float64Array];
    const alone = new Uint8Array(scheduler.count).fill(1);
    const [filled, plain] = [true, false].map((fills) => readyOf(scheduler.run(rank, alone, fills))) as [
      number,
      number,
    ];
    expect(base.between(0, filled)).toBeLessThan(base.between(0, plain));
    const bound = boundOf(scheduler);
    const ready = readyOf(first(scheduler).best);
    expect(base.between(bound, ready) / base.between(0, ready)).toBeLessThan(0.06);
    expect(broken(made.days, job, withAir(made.rooms, made.days))).toEqual([]);
  });

  it('parts coats where all is ready a day sooner by it, and not where somebody would only wait', () => {
    const searchedOf = (job: Job) => {
      const { rooms } = plan(job);
      const run = solved(searchDays(job, rooms, book, { log: [] }, short));
      const days = planDays(job, rooms, book, { log: [] }, run);
      expect(broken(days, job, rooms)).toEqual([]);
      return [plan(job).days, days] as const;
    };
    const corridor = plainRoom({ plan: { lengthMm: 60000, widthMm: 1800, heightMm: 2700 } });
    const [along, apart] = searchedOf(jobOf([corridor], { calendar: { ...jobOf([]).calendar, crew: 3 } }));
    expect(apart.tasks.length).toBeGreaterThan(along.tasks.length);
    expect(apart.finish!.slice(0, 10) < along.finish!.slice(0, 10)).toBe(true);
    const paid = ({ people }: Days): number =>
      people.flatMap(({ days: own }) => own).reduce((sum, { from, to }) => sum + ms(to) - ms(from), 0);
    const [room, same] = searchedOf(jobOf([plainRoom()]));
    expect(same.finish! <= room.finish!).toBe(true);
    expect(paid(same)).toBeLessThanOrEqual(paid(room) + 1);
    const [bedroom, alone] = searchedOf(TWELVE[1]!);
    expect(alone.tasks).toHaveLength(bedroom.tasks.length);
  });

  it('is the same every time', () => {
    const job = demoJob('tarn-ferry');
    const { rooms } = plan(job);
    const run = () => solved(searchDays(job, rooms, book, { log: [] }, short)).run;
    expect(run()).toEqual(run());
  });

  it('has the example ready on the first Friday, within half a day of its bound', () => {
    const job = demoJob('tarn-ferry');
    const { rooms, days } = plan(job);
    const { run, proved } = solved(searchDays(job, rooms, book));
    const found = plan(job, TYPICAL, undefined, { days: { run, proved } }).days;
    expect(found.finish!.slice(0, 10)).toBe('2026-12-04');
    expect(ms(found.finish!) - ms(found.bound!)).toBeLessThan(240);
    expect(broken({ ...found, bound: undefined }, job, withAir(rooms, found))).toEqual([]);
    expect(days.finish! >= found.finish!).toBe(true);
    // A room is ready when it is, not when the job is.
    expect(new Set(found.rooms.map(({ ready }) => ready.slice(0, 10))).size).toBeGreaterThan(1);
  });
});

describe('the days of many rooms in the air they make', () => {
  it('lays nothing on a coat that is still wet in that air, to the ten minutes nobody can tell', () => {
    const rooms = Array.from({ length: 24 }, (_, i) =>
      plainRoom({
        id: `r${i}`,
        plan: { lengthMm: 2600 + 170 * i, widthMm: 3900 - 60 * (i % 7), heightMm: 2400 + 90 * (i % 5) },
      }),
    );
    for (const outside of [undefined, { lowC: 3, highC: 12, rhPct: 85 }]) {
      const job = jobOf(rooms);
      job.climate = { ...job.climate, rhPct: 65, reckoned: true, ...(outside ? { outside } : {}) };
      const { days } = plan(job);
      let held = 0;
      for (const under of days.tasks)
        for (const { room, step, rows, start } of days.tasks) {
          const lies = room === under.room && LIES_ON[step].includes(under.step);
          if (!lies || !(GOES_OVER_ALL.has(step) || under.rows.every((row) => rows.includes(row)))) continue;
          held++;
          expect(ms(start) - ms(under.readyLate)).toBeGreaterThan(-11);
        }
      expect(held).toBeGreaterThan(48);
    }
  });
});

/** Rooms with the waits that a plan in reckoned air was made with, as its tasks tell them. */
const withAir = (rooms: readonly RoomWorked[], days: Days): RoomWorked[] =>
  rooms.map((room) => ({
    ...room,
    steps: room.steps.map((one) => ({
      ...one,
      rows: one.rows.map((row) => {
        const task = days.tasks.find(
          ({ room: id, step, rows: names }) => id === room.id && step === one.step && names.includes(row.row),
        )!;
        const lateMin = Math.min(row.lateMin, ms(task.readyLate) - ms(task.end));
        return { ...row, lateMin, stiffMin: Math.min(row.stiffMin, lateMin) };
      }),
    })),
  }));

/** The best score of every order and every number of people, tried one by one. */
function bestOfAll(scheduler: Scheduler): Score {
  const { count, site } = scheduler;
  let best: Schedule | undefined;
  const people = new Uint8Array(count);
  const orders = (given: number[]): void => {
    if (given.length === count) {
      const made = scheduler.replay(given, people);
      if (!best || isBetter(made.score, best.score)) best = made;
      return;
    }
    for (let i = 0; i < count; i++) {
      if (given.includes(i) || scheduler.task(i).after.some(({ before }) => !given.includes(before)))
        continue;
      for (let n = 1; n <= site.crew.length; n++) {
        people[i] = n;
        orders([...given, i]);
      }
    }
  };
  orders([]);
  return best!.score;
}

describe('a plan once work has begun', () => {
  const job = jobOf([plainRoom({ id: 'a' }), plainRoom({ id: 'b' })]);
  const entry = (id: string, over: Partial<LogEntry>): LogEntry => ({
    id,
    at: '2026-11-30T11:00+01:00',
    by: 'Ansa',
    device: 'phone',
    kind: 'done',
    room: 'a',
    step: 'tape',
    ...over,
  });
  const at = (log: LogEntry[], now: string) => plan(job, TYPICAL, undefined, { site: { log, now } }).days;
  const task = (days: Days, id: string) => days.tasks.find((one) => one.id === id)!;

  it('keeps what is done and plans the rest from now', () => {
    const days = at([entry('1', { minutes: 190 })], '2026-12-01T09:00');
    expect(task(days, 'a:tape')).toMatchObject({ state: 'done', end: '2026-11-30T11:00', labourMin: 190 });
    for (const { state, start } of days.tasks)
      if (state === 'planned') expect(start >= '2026-12-01T09:00').toBe(true);
    expect(days.now).toBe('2026-12-01T09:00');
  });

  it('waits for the late end of drying, and no longer than a chip told', () => {
    const late = at([entry('1', { at: '2026-11-30T15:00+01:00' })], '2026-11-30T20:00');
    const told = at(
      [
        entry('1', { at: '2026-11-30T15:00+01:00' }),
        entry('2', { kind: 'ready', toldBy: 'chip', at: '2026-11-30T19:50+01:00' }),
      ],
      '2026-11-30T20:00',
    );
    expect(task(told, 'a:fill').open).toBe('2026-11-30T20:00');
    expect(task(late, 'a:fill').open > '2026-11-30T20:00').toBe(true);
  });

  it('goes on with what is begun, for as long as is left of it', () => {
    const begun = [entry('1', { kind: 'started', at: '2026-11-30T07:00+01:00' })];
    const days = at(begun, '2026-11-30T08:00');
    const whole = task(plan(job).days, 'a:tape').labourMin;
    expect(task(days, 'a:tape')).toMatchObject({ state: 'begun', start: '2026-11-30T07:00' });
    expect(task(days, 'a:tape').labourMin).toBeCloseTo(whole - 60, 6);
  });

  it('keeps rows that were begun apart from the rest of their coat, though it would be worked in one go', () => {
    const begun = [entry('1', { kind: 'started', rows: ['angles'], at: '2026-11-30T07:00+01:00' })];
    const tape = at(begun, '2026-11-30T08:00').tasks.filter(
      ({ room, step }) => room === 'a' && step === 'tape',
    );
    expect(tape.map(({ state }) => state)).toEqual(['begun', 'planned']);
    expect(tape[0]).toMatchObject({ id: 'a:tape:angles', rows: ['angles'], start: '2026-11-30T07:00' });
    expect(tape[1]!.rows).not.toContain('angles');
  });

  it('counts everybody who is on it, and nothing while it rests', () => {
    const crew = 2;
    const rested = [
      entry('1', { kind: 'started', crew, at: '2026-11-30T07:00+01:00' }),
      entry('2', { kind: 'paused', at: '2026-11-30T07:20+01:00' }),
    ];
    const whole = task(plan(job).days, 'a:tape').labourMin;
    const days = at(rested, '2026-11-30T09:00');
    expect(task(days, 'a:tape')).toMatchObject({ state: 'paused', start: '2026-11-30T07:00' });
    expect(task(days, 'a:tape').labourMin).toBeCloseTo(whole - 40, 6);
    const on = [...rested, entry('3', { kind: 'started', crew: 1, at: '2026-11-30T08:50+01:00' })];
    const going = at(on, '2026-11-30T09:00');
    expect(task(going, 'a:tape')).toMatchObject({ state: 'begun', start: '2026-11-30T07:00' });
    expect(task(going, 'a:tape').labourMin).toBeCloseTo(whole - 50, 6);
    const done = at([...on, entry('4', { at: '2026-11-30T09:30+01:00' })], '2026-11-30T10:00');
    expect(task(done, 'a:tape').labourMin).toBeCloseTo(80, 6);
  });

  it('keeps to the order people work by, unless another is ready sooner', () => {
    const rooms = ['a', 'b', 'c', 'd', 'e'].map((id) => plainRoom({ id }));
    // One person, so that nothing else is begun by the time the first coat is done.
    const many = jobOf(rooms);
    const ruled = plan(many).rooms;
    const kept = solved(searchDays(many, ruled, book, { log: [] }, short)).run;
    const first = plan(many, TYPICAL, undefined, { days: { run: kept, proved: false } }).days.tasks;
    const [one] = first;
    // As planned, but for the pace: what was searched before still stands, but for what is done.
    const log = [entry('1', { room: one!.room, step: one!.step, at: `${one!.end}+01:00` })];
    const site = { log, now: one!.end };
    const found = solved(searchDays(many, ruled, book, site, { ...short, kept })).run;
    const left = kept.tasks.filter((id) => id !== one!.id);
    const after = plan(many, TYPICAL, undefined, { site, days: { run: found, proved: false } }).days;
    expect(movedBetween({ ...after, tasks: first }, after)).toBeUndefined();
    expect([...found.tasks].sort()).toEqual([...left].sort());
  });

  it('says what a late coat has moved', () => {
    const before = at([entry('1', {})], '2026-11-30T11:00');
    const after = at([entry('1', {}), entry('2', { room: 'b', kind: 'started' })], '2026-12-01T07:00');
    const moved = movedBetween(before, after)!;
    expect(moved.finishMin).toBeGreaterThanOrEqual(0);
    expect(moved.tasks.length).toBeGreaterThan(0);
    for (const { task: one, from } of moved.tasks)
      expect(Math.abs(ms(one.start) - ms(from))).toBeGreaterThanOrEqual(30);
    expect(movedBetween(before, before)).toBeUndefined();
  });

  it('offers to plan by how late its own coats were, once there are enough', () => {
    const rooms = ['a', 'b', 'c', 'd'].map((id) => plainRoom({ id }));
    const many = jobOf(rooms);
    const likely = plan(many).rooms[0]!.steps.find(({ step }) => step === 'tape')!.hardenMin;
    const log = rooms.flatMap(({ id }, n) => [
      entry(`1${id}`, { room: id, at: '2026-11-30T08:00+01:00' }),
      entry(`2${id}`, {
        room: id,
        kind: 'ready',
        toldBy: 'chip',
        at: `${local('2026-11-30T08:00', likely * (0.9 + n * 0.049))}+01:00`,
      }),
    ]);
    const told = (entries: LogEntry[]) =>
      plan(many, TYPICAL, undefined, { site: { log: entries, now: '2026-12-02T07:00' } }).days.told;
    // The slowest of four took 1.047 of its likely time.
    expect(told(log)).toEqual([{ how: 'drying', n: 4, late: 1.05, planned: 1.25 }]);
    expect(told(log.slice(0, -1))).toEqual([]);
  });

  it('is a plan from its first day while nothing has begun, whatever the time', () => {
    expect(at([], '2027-03-01T09:00').tasks[0]!.start).toBe('2026-11-30T07:00');
  });
});

describe('what is set by hand', () => {
  it('begins a pinned task no sooner, and a room after it is open', () => {
    const job = jobOf([plainRoom({ id: 'a', shut: [{ from: '2026-12-01', to: '2026-12-02' }] })]);
    const pinned = {
      ...job,
      calendar: { ...job.calendar, pins: [{ room: 'a', step: 'tape' as const, at: '2026-11-30T10:00' }] },
    };
    const { tasks } = plan(pinned).days;
    expect(tasks[0]).toMatchObject({ step: 'tape', start: '2026-11-30T10:00', pinned: true });
    expect(tasks.find(({ step }) => step === 'fill')!.start.slice(0, 10)).toBe('2026-12-03');
  });

  it('gives nobody what they leave to others, and what all leave to all', () => {
    const people = [
      { id: 'ansa', name: 'Ansa', leaves: ['sand' as const] },
      { id: 'jori', name: 'Jori', leaves: ['tape' as const] },
    ];
    const job = jobOf([plainRoom()]);
    const { tasks } = plan({ ...job, calendar: { ...job.calendar, people } }).days;
    expect(tasks.find(({ step }) => step === 'tape')!.people).toEqual(['ansa']);
    expect(tasks.find(({ step }) => step === 'sand')!.people).toEqual(['jori']);
  });

  it('works first where a day is wanted', () => {
    const rooms = ['a', 'b', 'c'].map((id) => plainRoom({ id }));
    const wanted = rooms.map((room) => (room.id === 'c' ? { ...room, deadline: '2026-12-03' } : room));
    const readyOf = (job: Job): string => plan(job).days.rooms.find(({ room }) => room === 'c')!.ready;
    expect(readyOf(jobOf(wanted)).slice(0, 10) <= '2026-12-03').toBe(true);
    const soon = rooms.map((room) => (room.id === 'c' ? { ...room, deadline: '2026-11-30' } : room));
    expect(plan(jobOf(soon)).advice.find(({ code }) => code === 'A-LATE')?.place).toEqual({ room: 'c' });
  });
});

describe('batches', () => {
  it('are as large as can be used up, and all of the mud', () => {
    const { rooms, days } = plan(demoJob('pier-house'));
    const task = days.tasks.find(({ id }) => id === 'gallery:tape')!;
    const mud = rooms[0]!.steps.find(({ step }) => step === 'tape')!.rows.flatMap((row) => row.mud);
    const wetL = mud.reduce((sum, { wetL: l, setMin }) => sum + (setMin === undefined ? 0 : l), 0);
    // Over a night nothing is kept: every batch of a day lies within the work of that day.
    expect(new Set(task.batches.map(({ at }) => at.slice(0, 10))).size).toBe(2);
    expect(task.batches.reduce((sum, { litres }) => sum + litres, 0)).toBeCloseTo(wetL, 9);
    const laysMin = (task.labourMin - task.mixMin - 8) / task.people.length;
    expect(task.mixMin).toBeGreaterThan(0);
    for (const { litres, setMin, at, potEnds, cleanBy } of task.batches) {
      // Used up at the pace of the task in four fifths of the set time, less the mixing in a pan or a pail.
      const mixMin = litres <= 2.5 ? 3 : 8;
      expect(litres).toBeLessThanOrEqual((wetL / laysMin) * (setMin * 0.8 - mixMin) + 1e-9);
      expect(litres).toBeLessThanOrEqual(12);
      expect(ms(potEnds) - ms(at)).toBeCloseTo(setMin * 0.8, 0);
      expect(ms(cleanBy) - ms(at)).toBeCloseTo(setMin, 0);
    }
  });
});
