import * as fc from 'fast-check';
import { plan } from '../plan';
import { anyRoom, demoJob, jobOf, plainRoom } from '../testing/samples';
import { TYPICAL } from '../book';
import { WorkHours } from './calendar';
import { handsIn } from './crew';
import { ELEMENTS, STEPS, type Step } from '../job';
import { LIES_ON } from './work';
import { trials } from '../testing/trials';

const calendar = { startDate: '2026-11-30', from: '07:00', to: '15:00', weekdays: [1, 2, 3, 4, 5], crew: 1 };

describe('working hours', () => {
  const plain = { setupMin: 0, overtimeMin: 0, leastStartMin: 0 };
  const hours = new WorkHours(calendar.startDate, [calendar], plain);

  it('starts at the opening of the first working day', () => {
    expect(hours.iso(hours.next(0))).toBe('2026-11-30T07:00');
    expect(new WorkHours('2026-11-28', [calendar], plain).next(0)).toBe(2 * 1440 + 420);
  });

  it('carries work over nights and weekends', () => {
    expect(hours.iso(hours.after(420, 480))).toBe('2026-11-30T15:00');
    expect(hours.iso(hours.after(420, 481))).toBe('2026-12-01T07:01');
    expect(hours.iso(hours.after(hours.next(4 * 1440 + 800), 200))).toBe('2026-12-07T08:40');
  });

  it('stays a few minutes to finish a coat, and begins none in the last of a day', () => {
    const people = new WorkHours(calendar.startDate, [calendar], {
      setupMin: 20,
      overtimeMin: 20,
      leastStartMin: 30,
    });
    // The day's work ends at 14:40, so that pans are clean by 15:00.
    const at = (t: number) => people.iso(t);
    expect(at(people.after(420, 480))).toBe('2026-11-30T15:00');
    expect(at(people.after(420, 481))).toBe('2026-12-01T07:21');
    const late = 14 * 60 + 15;
    expect(at(people.begins(late, 44))).toBe('2026-11-30T14:15');
    expect(at(people.begins(late, 46))).toBe('2026-12-01T07:00');
    expect(at(people.begins(late - 15, 400))).toBe('2026-11-30T14:00');
    // No eight minutes are left for another visit: they are done the same evening.
    expect(at(people.after(420, 460 + 8))).toBe('2026-11-30T14:48');
  });
});

describe('the day plan', () => {
  it.each([
    [1, ['2026-12-01', '2026-12-02']],
    [2, ['2026-12-01']],
    [3, ['2026-12-01', '2026-12-02']],
    [8, ['2026-12-01', '2026-12-02']],
  ])('has %d rooms ready no later for a second hand who is away on %j', (n, off) => {
    const rooms = Array.from({ length: n }, (_, i) => plainRoom({ id: `r${i}` }));
    const days = (people: { id: string; name: string; off?: string[] }[]) =>
      plan(jobOf(rooms, { calendar: { ...calendar, to: '15:30', crew: people.length, people } })).days;
    const alone = days([{ id: 'a', name: 'Ansa' }]);
    const both = days([
      { id: 'a', name: 'Ansa' },
      { id: 'b', name: 'Jori', off },
    ]);
    expect(both.finish! <= alone.finish!).toBe(true);
    for (const { start, people } of both.tasks)
      if (off.includes(start.slice(0, 10))) expect(people).toEqual(['a']);
  });

  it('lets no coat start before the one under it is ready, nor the crew be in two rooms at once', () => {
    fc.assert(
      fc.property(fc.array(anyRoom, { minLength: 1, maxLength: 4 }), (rooms) => {
        const job = jobOf(rooms.map((room, i) => ({ ...room, id: `r${i}` })));
        const { tasks } = plan(job).days;
        const ready = new Map<string, string>();
        let free = '';
        for (const task of tasks) {
          const whole = task.step === 'skim' || task.step === 'sand';
          const under = LIES_ON[task.step].flatMap((step) =>
            (whole ? ELEMENTS : task.rows).map((row) => ready.get(`${task.room} ${step} ${row}`) ?? ''),
          );
          if (
            task.start < free ||
            under.some((at) => task.start < at) ||
            task.end < task.start ||
            task.ready < task.end
          )
            return false;
          free = task.end;
          for (const row of task.rows) ready.set(`${task.room} ${task.step} ${row}`, task.ready);
        }
        return true;
      }),
      { numRuns: trials(30) },
    );
  });

  it('works only in working hours', () => {
    for (const { start, end } of plan(demoJob('tarn-ferry')).days.tasks) {
      for (const time of [start, end]) {
        expect(time.slice(11) >= '07:00' && time.slice(11) <= '15:30').toBe(true);
        expect([1, 2, 3, 4, 5]).toContain(new Date(`${time}Z`).getUTCDay());
      }
    }
  });

  it('takes hours off the clock, not off the labour, for two people', () => {
    const one = plan(jobOf([plainRoom()])).days;
    const two = plan(jobOf([plainRoom()], { calendar: { ...calendar, to: '15:30', crew: 2 } })).days;
    expect(two.labourMin - two.setupMin).toBeCloseTo(one.labourMin - one.setupMin, 9);
    expect(two.tasks[0]!.end < one.tasks[0]!.end).toBe(true);
  });

  it('takes a second pair of hands for half in a small room, and a third for none', () => {
    const hands = (floorM2: number) => [1, 2, 3].map((crew) => handsIn(floorM2, crew, TYPICAL));
    expect(hands(7.9)).toEqual([1, 1.5, 1.5]);
    expect(hands(8)).toEqual([1, 2, 3]);
  });

  it('reckons a tape coat by its paces: 32.4 m of flats and butts, 26.4 m of angles, 472 heads', () => {
    const room = plan(jobOf([plainRoom()])).rooms[0]!;
    const { flats, butts } = room.use.amounts;
    expect(flats + butts).toBeCloseTo(32400, 6);
    const hours = flats / 40e3 + butts / 30e3 + 26.4 / 25 + 472 / 1500;
    // And 4.66 L out of pails of 17 L, five minutes to open and stir each.
    const mixMin = ((32.4 * 96.9 + 26.4 * 45 + 472 * 0.7) / 1000 / 17) * 5;
    expect(room.steps[0]?.mixMin).toBeCloseTo(mixMin, 6);
    expect(room.steps[0]?.labourMin).toBeCloseTo(hours * 60 + 8 + mixMin, 6);
    expect(room.steps[0]?.why.inputs.map((i) => i.from)).toContain('typical');
  });

  it('takes a learner twice as long and a quick hand three quarters, but whose own pace it is', () => {
    const minutes = (hand?: 'learner' | 'quick', figures?: Record<string, number>) => {
      const job = jobOf([plainRoom()], { calendar: { ...calendar, ...(hand ? { hand } : {}) } });
      const { labourMin } = plan({ ...job, shop: figures ? { figures } : {} }).rooms[0]!.steps.at(-1)!;
      return labourMin - 8;
    };
    expect(minutes('learner')).toBeCloseTo(2 * minutes(), 9);
    expect(minutes('quick')).toBeCloseTo(0.75 * minutes(), 9);
    expect(minutes('learner', { paceSand: 60 })).toBeCloseTo(minutes(), 9);
  });

  it('does a bedroom on three days running, level 4, and with setting compound below in two', () => {
    const days = (compounds: 'drying' | 'setting-below') => {
      const job = jobOf([plainRoom()]);
      const { tasks, sanity } = plan({ ...job, way: { ...job.way, compounds } }).days;
      expect(sanity?.verdict).toBe('usual');
      return [...new Set(tasks.map((task) => task.start.slice(0, 10)))];
    };
    expect(days('drying')).toEqual(['2026-11-30', '2026-12-01', '2026-12-02']);
    expect(days('setting-below')).toEqual(['2026-11-30', '2026-12-01']);
  });

  it('works with machines at least a third quicker on long runs, heads at most a fifth of the work', () => {
    const hall = plainRoom({ plan: { lengthMm: 14000, widthMm: 9000, heightMm: 2700 } });
    const coats = (tools: 'knives' | 'machine') => {
      const job = jobOf([hall]);
      const { rooms, days } = plan({ ...job, way: { ...job.way, tools, angles: 'both-faces' } });
      const heads = rooms[0]!.use.uses.filter((u) => u.element === 'heads');
      const share = heads.reduce((sum, u) => sum + u.minutes, 0) / days.labourMin;
      if (tools === 'knives') expect(share).toBeLessThan(0.2);
      return rooms[0]!.steps.reduce((sum, { step, labourMin }) => sum + (step === 'sand' ? 0 : labourMin), 0);
    };
    expect(coats('machine')).toBeLessThan((2 / 3) * coats('knives'));
  });

  it('holds up by a float only what lies on it', () => {
    const belly = { 'wall-0.butt-1': { humpMm: -12, cells: { fill: { float: true, bandMm: 800 } } } };
    const room = plainRoom({ joints: belly });
    const slow = structuredClone(belly);
    Object.assign(slow['wall-0.butt-1'].cells.fill, { compound: 'drying-all-purpose' });
    const at = (joints: typeof belly, step: Step) =>
      plan(jobOf([{ ...room, joints }])).days.tasks.find((task) => task.step === step)!.start;
    expect(at(slow, 'finish')).toBe(at(belly, 'finish'));
    expect(at(slow, 'cover') > at(belly, 'cover')).toBe(true);
    expect(STEPS.indexOf('cover')).toBeGreaterThan(STEPS.indexOf('float'));
  });

  it('has setting coats ready the same day', () => {
    const job = demoJob('tarn-ferry');
    const nook = plan(job).rooms.find((r) => r.id === 'study-nook');
    expect(nook?.steps.find((s) => s.step === 'tape')).toMatchObject({
      how: 'setting',
      hardenMin: 67.5,
      set: { setMin: 45 },
    });
  });
});
