import * as fc from 'fast-check';
import { plan } from '../plan';
import { anyRoom, demoJob, jobOf, plainRoom } from '../testing/samples';
import { WorkHours } from './calendar';

const calendar = { startDate: '2026-11-30', from: '07:00', to: '15:00', weekdays: [1, 2, 3, 4, 5], crew: 1 };

describe('working hours', () => {
  const hours = new WorkHours(calendar);

  it('starts at the opening of the first working day', () => {
    expect(hours.iso(hours.next(0))).toBe('2026-11-30T07:00');
    expect(new WorkHours({ ...calendar, startDate: '2026-11-28' }).next(0)).toBe(2 * 1440 + 420);
  });

  it('carries work over nights and weekends', () => {
    expect(hours.iso(hours.after(420, 480))).toBe('2026-11-30T15:00');
    expect(hours.iso(hours.after(420, 481))).toBe('2026-12-01T07:01');
    expect(hours.iso(hours.after(hours.next(4 * 1440 + 800), 200))).toBe('2026-12-07T08:40');
  });
});

describe('the day plan', () => {
  it('lets no coat start before the one under it is ready, nor the crew be in two rooms at once', () => {
    fc.assert(
      fc.property(fc.array(anyRoom, { minLength: 1, maxLength: 4 }), (rooms) => {
        const job = jobOf(rooms.map((room, i) => ({ ...room, id: `r${i}` })));
        const { tasks } = plan(job).days;
        const ready = new Map<string, string>();
        let free = '';
        for (const task of tasks) {
          if (
            task.start < free ||
            task.start < (ready.get(task.room) ?? '') ||
            task.end < task.start ||
            task.ready < task.end
          )
            return false;
          free = task.end;
          ready.set(task.room, task.ready);
        }
        return true;
      }),
      { numRuns: 60 },
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

  it('halves the hours on the clock, not the labour, for two people', () => {
    const one = plan(jobOf([plainRoom()])).days;
    const two = plan(jobOf([plainRoom()], { calendar: { ...calendar, to: '15:30', crew: 2 } })).days;
    expect(two.labourMin).toBeCloseTo(one.labourMin, 9);
    expect((two.finish as string) < (one.finish as string)).toBe(true);
  });

  it('reckons a tape coat by its paces: 32.4 m of flats and butts, 26.4 m of angles, 472 heads', () => {
    const tape = plan(jobOf([plainRoom()])).rooms[0]?.steps[0];
    expect(tape?.labourMin).toBeCloseTo((32.4 / 24 + 26.4 / 16 + 472 / 400) * 60 + 15, 6);
    expect(tape?.why.inputs.map((i) => i.from)).toContain('typical');
  });

  it('has setting coats ready the same day', () => {
    const job = demoJob('tarn-ferry');
    const nook = plan(job).rooms.find((r) => r.id === 'study-nook');
    expect(nook?.steps.find((s) => s.step === 'tape')).toMatchObject({ how: 'setting', hardenMin: 135 });
  });
});
