import * as fc from 'fast-check';
import type { Calendar } from '../job';
import { plan } from '../plan';
import { anyRoom, jobOf, plainRoom } from '../testing/samples';
import { trials } from '../testing/trials';
import { PRESETS } from '../way';
import { WorkHours } from './calendar';
import { presentOn } from './presence';

const SETUP_MIN = { knives: 20, trowels: 20, machine: 35 } as const;
const ms = (iso: string): number => Date.parse(`${iso}Z`) / 60000;

const anyCrew = fc.record({
  crew: fc.integer({ min: 1, max: 3 }),
  to: fc.constantFrom('12:00', '15:30', '18:00'),
  named: fc.boolean(),
});

it('hours are coats, mixing and visits, and setting up for each person on each day they are there, and no other', () => {
  fc.assert(
    fc.property(
      fc.array(anyRoom, { minLength: 1, maxLength: 3 }),
      fc.constantFrom(...PRESETS),
      anyCrew,
      (rooms, { way }, { crew, to, named }) => {
        const people: Calendar['people'] = Array.from({ length: crew }, (_, i) => ({
          id: `p${i}`,
          name: `P${i}`,
          ...(i === 1 ? { weekdays: [1, 3, 5] } : {}),
        }));
        const job = jobOf(
          rooms.map((room, i) => ({ ...room, id: `r${i}` })),
          { way },
        );
        const { days, rooms: made } = plan({
          ...job,
          calendar: { ...job.calendar, to, crew, ...(named ? { people } : {}) },
        });
        // Who is there when, read off the tasks: on every day of their own that a task of theirs lies on.
        const present = new Set<string>();
        for (const task of days.tasks)
          for (const id of task.people) {
            const own = people.find((one) => one.id === id)?.weekdays ?? [1, 2, 3, 4, 5];
            const both = task.people.map(
              (p) => people.find((one) => one.id === p)?.weekdays ?? [1, 2, 3, 4, 5],
            );
            for (let at = ms(task.start.slice(0, 10) + 'T00:00'); at < ms(task.end); at += 1440) {
              const day = new Date(at * 60000);
              const works =
                own.includes(day.getUTCDay()) && both.every((one) => one.includes(day.getUTCDay()));
              if (works) present.add(`${id} ${day.toISOString().slice(0, 10)}`);
            }
          }
        const setupMin = present.size * SETUP_MIN[way.tools];
        const work = days.tasks.reduce((sum, { labourMin }) => sum + labourMin, 0);
        expect(days.setupMin).toBeCloseTo(setupMin, 6);
        expect(days.labourMin).toBeCloseTo(work + setupMin, 6);
        const told = days.people.flatMap(({ id, days: own }) => own.map((one) => ({ id, ...one })));
        expect(told.map(({ id, day }) => `${id} ${day}`).sort()).toEqual([...present].sort());
        expect(told.reduce((sum, { workMin }) => sum + workMin, 0)).toBeCloseTo(days.labourMin, 4);
        for (const { from, to: until, workMin, idleMin } of told)
          expect(Math.abs(ms(until) - ms(from) - workMin - idleMin)).toBeLessThan(1.01);
        // Every coat is its paces, its mixing and a visit for each task of it.
        for (const room of made)
          for (const step of room.steps) {
            const own = days.tasks.filter((task) => task.room === room.id && task.step === step.step);
            const laid = step.rows.reduce((sum, row) => sum + row.labourMin, 0);
            const all = own.reduce((sum, task) => sum + task.labourMin - task.mixMin, 0);
            expect(all).toBeCloseTo(laid + 8 * own.length, 6);
          }
      },
    ),
    { numRuns: trials(50) },
  );
});

it('waiting for a coat on one day is idle, and not work', () => {
  const job = jobOf([plainRoom()], { way: PRESETS[1]!.way });
  const [{ days: own = [] } = {}] = plan(job).days.people;
  const [first] = own;
  // Tape, then two hours and more until it is hard, then the fill.
  expect(first!.idleMin).toBeGreaterThan(60);
  expect(first!.workMin + first!.idleMin).toBeCloseTo(ms(first!.to) - ms(first!.from), -1);
});

it('two people in a small room do less than twice the work, and the rest is theirs to wait', () => {
  const bath = plainRoom({ plan: { lengthMm: 2400, widthMm: 1500, heightMm: 2400 } });
  const { calendar, way } = jobOf([]);
  const job = jobOf([bath], { calendar: { ...calendar, crew: 2 }, way: { ...way, oneCompound: false } });
  const { people, tasks } = plan(job).days;
  expect(tasks[0]!.people).toHaveLength(2);
  expect(people[0]!.days[0]!.idleMin).toBeGreaterThan(0);
});

describe('who was there', () => {
  const hours = new WorkHours('2026-11-30', [{ from: '07:00', to: '15:30', weekdays: [1, 2, 3, 4, 5] }], {
    setupMin: 20,
    overtimeMin: 45,
    leastStartMin: 60,
  });
  const at = (day: number, hour: number) => day * 1440 + hour * 60;

  it('is as many as worked at one time: one after the other are the same people', () => {
    const spells = [
      { coat: 'a', from: at(0, 7), to: at(0, 9), crew: 2 },
      { coat: 'b', from: at(0, 9), to: at(0, 11), crew: 2 },
      // A row of the same coat is worked by the same people.
      { coat: 'b', from: at(0, 9), to: at(0, 12), crew: 2 },
      { coat: 'c', from: at(0, 10), to: at(0, 12), crew: 1 },
    ];
    expect([...presentOn(spells, hours)]).toEqual([[0, 3]]);
  });

  it('is on a Saturday too, and not on the nights and the Sunday between', () => {
    expect([...presentOn([{ coat: 'a', from: at(5, 8), to: at(5, 10), crew: 1 }], hours)]).toEqual([[5, 1]]);
    const long = [{ coat: 'a', from: at(4, 14), to: at(7, 8), crew: 1 }];
    expect([...presentOn(long, hours).keys()]).toEqual([4, 7]);
  });
});

it('counts nobody twice who was there this morning and goes on', () => {
  const job = jobOf([plainRoom()], { calendar: { ...jobOf([]).calendar, crew: 2 } });
  const { days } = plan(job);
  const entry = { by: 'Ansa', device: 'phone', room: 'plain', step: 'tape' } as const;
  const log = [{ ...entry, id: '1', at: '2026-11-30T07:00+01:00', kind: 'started' as const, crew: 2 }];
  const begun = plan(job, undefined, undefined, { site: { log, now: '2026-11-30T07:30' } }).days;
  expect(begun.setupMin).toBe(days.setupMin);
  expect(begun.labourMin).toBeCloseTo(days.labourMin - 60, 6);
});

it('says where each idle hour lies, and what is waited for', () => {
  const { people, idle, tasks } = plan(jobOf([plainRoom()], { way: PRESETS[1]!.way })).days;
  const [tape, fill] = tasks;
  expect(idle[0]).toMatchObject({
    person: '1',
    from: tape!.end,
    to: fill!.start,
    before: 'plain:fill',
    waitsFor: 'plain:tape',
  });
  // Of one person in a room that is not small, idle time is nothing else.
  const all = people[0]!.days.reduce((sum, { idleMin }) => sum + idleMin, 0);
  expect(idle.reduce((sum, { minutes }) => sum + minutes, 0)).toBeCloseTo(all, 6);
});

it('critical is what cannot be a minute later, and waiting decides where most of the day is waited for', () => {
  fc.assert(
    fc.property(
      fc.array(anyRoom, { minLength: 1, maxLength: 3 }),
      fc.constantFrom(...PRESETS),
      (rooms, { way }) => {
        const { critical, tasks, finish } = plan(
          jobOf(
            rooms.map((room, i) => ({ ...room, id: `r${i}` })),
            { way },
          ),
        ).days;
        expect(critical.length).toBeGreaterThan(0);
        for (const id of critical) expect(tasks.find((task) => task.id === id)!.slackMin).toBeLessThan(1);
        const last = tasks.find(({ id }) => id === critical.at(-1))!;
        expect(last.readyLate).toBe(finish);
      },
    ),
    { numRuns: trials(30) },
  );
  // 51 minutes of work in five and a half hours are no work that decides.
  const hole = plainRoom({
    standing: true,
    damage: [{ id: 'd', kind: 'small-hole', sizeMm: 100, on: 'painted', apart: true }],
  });
  expect(plan(jobOf([hole])).days.decides?.how).not.toBe('people');
});
