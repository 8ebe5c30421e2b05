import * as fc from 'fast-check';
import Ajv from 'ajv';
import { bookWith, TYPICAL } from './book';
import { PLAN_SCHEMA, type Job, type Room } from './job';
import { plan, Reuse } from './plan';
import { anyRoom, demoJob, jobOf, plainRoom } from './testing/samples';

it('plans both demo jobs in the shape it publishes', () => {
  const valid = new Ajv({ strict: false }).compile(PLAN_SCHEMA);
  for (const name of ['tarn-ferry', 'pier-house'] as const) {
    const made = JSON.parse(JSON.stringify(plan(demoJob(name)))) as unknown;
    expect(valid(made) || valid.errors).toBe(true);
  }
});

it('depends on nothing but the job and the book', () => {
  expect(plan(demoJob('tarn-ferry'))).toEqual(plan(demoJob('tarn-ferry')));
});

it('takes the figures of the book, and says they were entered', () => {
  const book = bookWith({ headL: 0.001 });
  const [usual, own] = [plan(jobOf([plainRoom()])), plan(jobOf([plainRoom()]), book)];
  expect(own.totals.wetL - usual.totals.wetL).toBeCloseTo(472 * 3 * 0.0003, 9);
  expect(book.headL.from).toBe('entered');
  expect(book.bedMm).toBe(TYPICAL.bedMm);
});

describe('reuse', () => {
  it('keeps rooms that have not changed and recomputes the one that has', () => {
    const reuse = new Reuse();
    const job = demoJob('tarn-ferry');
    const before = plan(job, TYPICAL, reuse);
    const edited = structuredClone(job);
    (edited.rooms[1] as Room).decoration = 'eggshell';
    const after = plan(edited, TYPICAL, reuse);
    expect(after.rooms.map((room, i) => room === before.rooms[i])).toEqual([true, false, true, true, true]);
    expect(after).toEqual(plan(edited));
  });

  it('recomputes every room when the way of working changes', () => {
    const reuse = new Reuse();
    const job = demoJob('tarn-ferry');
    plan(job, TYPICAL, reuse);
    const edited: Job = { ...job, way: { ...job.way, tape: 'mat' } };
    expect(plan(edited, TYPICAL, reuse)).toEqual(plan(edited));
  });
});

it('costs one simulation for a thousand equal joints', () => {
  const reuse = new Reuse();
  const spy = jest.spyOn(Float64Array.prototype, 'slice');
  const rooms = Array.from({ length: 50 }, (_, i) => plainRoom({ id: `r${i}` }));
  plan(jobOf(rooms), TYPICAL, reuse);
  // One slice a coat: three coats for flats, three for butts.
  expect(spy).toHaveBeenCalledTimes(6);
  spy.mockRestore();
});

it('does not throw for odd rooms, and every amount is a finite number', () => {
  const odd = fc.record({
    grade: fc.constantFrom(0, 1, 2, 3, 4, 5),
    hump: fc.double({ min: -50, max: 50, noNaN: true }),
    gap: fc.double({ min: 0, max: 100, noNaN: true }),
    tempC: fc.integer({ min: -20, max: 45 }),
    rhPct: fc.integer({ min: 5, max: 98 }),
  });
  fc.assert(
    fc.property(anyRoom, odd, (room, { grade, hump, gap, tempC, rhPct }) => {
      const joints = { 'wall-0.butt-1': { humpMm: hump, gapMm: gap }, 'no-such-joint': { gapMm: 3 } };
      const job = jobOf([{ ...room, finish: { scale: 'level', grade } as Room['finish'], joints }], {
        climate: { tempC, rhPct, air: 'sealed' },
      });
      const made = plan(job);
      const text = JSON.stringify(made);
      return !/null|NaN/.test(text.replace(/"[^"]*"/g, '')) && made.totals.wetL >= 0;
    }),
    { numRuns: 60 },
  );
});
