import * as fc from 'fast-check';
import Ajv from 'ajv';
import { spoken } from './speech';
import { bookWith, TYPICAL } from './book';
import { LAYOUT_VARIANTS, PLAN_SCHEMA, withBoards, type Job, type Room } from './job';
import { layoutSummary, plan, planning, Reuse, type Plan } from './plan';
import type { BoardLine } from './takeoff';
import { PRESETS, type Preset } from './way';
import { anyRoom, demoJob, jobOf, plainRoom, said } from './testing/samples';
import { trials } from './testing/trials';

it('plans both demo jobs in the shape it publishes', () => {
  const valid = new Ajv({ strict: false }).compile(PLAN_SCHEMA);
  for (const name of ['tarn-ferry', 'pier-house'] as const) {
    const made = JSON.parse(JSON.stringify(spoken(plan(demoJob(name)), said))) as unknown;
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

  it('comes with the rooms first, then the goods, while days and bid stand as they were', () => {
    const reuse = new Reuse();
    const job = demoJob('tarn-ferry');
    const last = plan(job, TYPICAL, reuse);
    const edited = {
      ...job,
      rooms: job.rooms
        .slice(1)
        .map((room, i) =>
          i === 0 ? { ...room, finish: { scale: 'level' as const, grade: 5 as const } } : room,
        ),
    };
    const told: Plan[] = [];
    const steps = planning(edited, TYPICAL, reuse, { last });
    for (;;) {
      const next = steps.next();
      if (next.value) told.push(next.value);
      if (next.done) break;
    }
    const [rooms, goods, whole] = told;
    expect(told).toHaveLength(3);
    expect(whole).toEqual(plan(edited));
    for (const near of [rooms!, goods!]) {
      expect(near.totals).toEqual(whole!.totals);
      // Nothing is told of the room that is gone.
      expect(near.days.tasks.some(({ room }) => room === job.rooms[0]!.id)).toBe(false);
      expect(near.days.tasks).toEqual(last.days.tasks.filter(({ room }) => room !== job.rooms[0]!.id));
    }
    expect(rooms!.order).toBe(last.order);
    expect(goods!.order.compounds).toEqual(whole!.order.compounds);
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
  const rooms = Array.from({ length: 50 }, (_, i) => plainRoom({ id: `r${i}` }));
  const { rooms: made } = plan(jobOf(rooms), TYPICAL, reuse);
  expect(made.flatMap((room) => room.joints).length).toBeGreaterThan(900);
  // One for the flats, one for the butts, one for the angles and one for the heads.
  expect(reuse.memo.simulated).toBe(4);
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
    { numRuns: trials(30) },
  );
});

describe('faces of their own', () => {
  it('take the film their surface asks for, face by face', () => {
    const skimmed = (over: Partial<Room>) =>
      plan(jobOf([plainRoom({ finish: { scale: 'level', grade: 5 }, ...over })])).totals.wetLByCoat.skim ?? 0;
    // A glass-mat wall of 4.8 × 2.4 m takes 0.7 mm instead of 0.4.
    expect(skimmed({ faces: { 'wall-0': { substrate: 'glass-mat' } } }) - skimmed({})).toBeCloseTo(
      11.52 * 0.3,
      6,
    );
  });

  it('one painted face holds up a setting coat in the whole room', () => {
    const way = { ...(PRESETS[1] as Preset).way };
    const tape = (over: Partial<Room>) =>
      plan(jobOf([plainRoom(over)], { way })).rooms[0]!.steps.find((s) => s.step === 'tape')!.hardenMin;
    expect(tape({ faces: { 'wall-0': { substrate: 'painted' } } })).toBeCloseTo(2 * tape({}), 6);
  });
});

describe('ways to board, summed up', () => {
  it('are the plan in a few figures', () => {
    const job = jobOf([plainRoom()]);
    const made = plan(job);
    const summary = layoutSummary(job);
    expect(summary).toMatchObject({ buttMm: 4800, taperedMm: 27600, wetL: made.totals.wetL });
    const { bought, hungM2, boughtM2 } = made.order.boards[0]!;
    const area = bought.reduce((sum, s) => sum + (s.count * s.widthMm * s.lengthMm) / 1e6, 0);
    expect(boughtM2).toBeCloseTo(area, 9);
    expect(hungM2).toBeCloseTo(made.totals.boardAreaM2, 9);
    expect(summary.waste).toBeCloseTo(1 - made.totals.boardAreaM2 / area, 6);
    expect(summary.boards).toBe(15);
  });

  it('hang in one room what another leaves: together they never buy more, and waste counts what is cut out', () => {
    fc.assert(
      fc.property(fc.array(anyRoom, { minLength: 2, maxLength: 3 }), (rooms) => {
        const made = plan(jobOf(rooms.map((room, i) => ({ ...room, id: `r${i}` }))));
        const total = (of: (line: BoardLine) => number) =>
          made.order.boards.reduce((all, line) => all + of(line), 0);
        const alone = made.rooms.reduce((sum, room) => sum + room.sheets.boughtM2, 0);
        expect(total((line) => line.boughtM2)).toBeLessThanOrEqual(alone + 1e-6);
        expect(total((line) => line.hungM2)).toBeCloseTo(made.totals.boardAreaM2, 6);
        expect(total((line) => line.boughtM2 - line.hungM2 - line.wasteM2)).toBeCloseTo(0, 9);
      }),
      { numRuns: trials(15) },
    );
  });

  it('upright boards of a room as high as stock leave no butt; the shortest boards leave the most', () => {
    const job = jobOf([plainRoom()]);
    const butt = (id: string) => {
      const variant = LAYOUT_VARIANTS.find((v) => v.id === id)!;
      return layoutSummary({ ...job, rooms: job.rooms.map((room) => withBoards(room, variant, 'metric')) })
        .buttMm;
    };
    expect(butt('upright')).toBe(0);
    expect(butt('least-butt')).toBe(0);
    for (const { id } of LAYOUT_VARIANTS) expect(butt(id)).toBeLessThanOrEqual(butt('short'));
  });
});
