import { platformHireOf } from '../bid';
import { TYPICAL } from '../book';
import type { Job } from '../job';
import { plan } from '../plan';
import { jobOf, plainRoom, said } from '../testing/samples';
import { TWELVE } from '../testing/twelve';
import { highMinutes, highWorkIn } from './high';

const STAIR = TWELVE.find(({ name }) => name === 'Stairwell')!;
const codes = (job: Job) => plan(job).advice.map(({ code }) => code);

describe('what is out of reach', () => {
  it('of a stairwell, by pencil', () => {
    // 12 by 7 ft and 17.7 ft high: 11.582 m of wall, 5394.96 mm; a ceiling of 7.804 m².
    const high = highWorkIn(STAIR.rooms[0]!, TYPICAL);
    expect(high.topMm).toBeCloseTo(5394.96, 2);
    expect(high.highM2).toBeCloseTo(11.5824 * 2.29496 + 7.8039, 2);
    expect(high.veryHighM2).toBeCloseTo(11.5824 * 0.39496 + 7.8039, 2);
    expect(high.areaM2).toBeCloseTo(11.5824 * 5.39496 + 7.8039, 2);
  });

  it('is nothing under a ceiling of ten feet, and nothing of a face that is not boarded', () => {
    const ten = plainRoom({ plan: { lengthMm: 5000, widthMm: 4000, heightMm: 3048 } });
    expect(highWorkIn(ten, TYPICAL).highM2).toBe(0);
    expect(plan(jobOf([ten])).rooms[0]!.high).toBeUndefined();
    const [room] = STAIR.rooms;
    const open = { ...room!, faces: { ceiling: { unboarded: true }, 'wall-0': { unboarded: true } } };
    expect(highWorkIn(open, TYPICAL).highM2).toBeCloseTo((11.5824 - 3.6576) * 2.29496, 2);
  });

  it('under a lean-to is the part of walls and ceiling above the height', () => {
    // 4 by 4 m, from 2.4 m to 4 m: above 3.1 m lie 0.9 of 1.6 m of rise, 2.25 m of the run.
    const room = plainRoom({
      plan: { lengthMm: 4000, widthMm: 4000, heightMm: 2400 },
      ceiling: { kind: 'slope', wall: 0, highMm: 4000 },
    });
    const triangle = (2.25 * 0.9) / 2;
    expect(highWorkIn(room, TYPICAL).highM2).toBeCloseTo(4 * 0.9 + 2 * triangle + 2.25 * 4, 3);
  });
});

describe('work out of reach', () => {
  it('goes slower, and the platform is moved, by pencil', () => {
    const high = { topMm: 4000, areaM2: 100, highM2: 40, veryHighM2: 10 };
    // 30 of 100 at 1.3, 10 at 1.6: 15 % more of two hours; 40 m² from places of 6 m², 3 min each.
    const told = highMinutes(high, 120, TYPICAL);
    expect(told.slowerMin).toBeCloseTo(120 * 0.15, 9);
    expect(told.movesMin).toBeCloseTo(20, 9);
    // A few minutes of work are not worth as many moves.
    expect(highMinutes(high, 10, TYPICAL).movesMin).toBeCloseTo(4, 9);
    expect(highMinutes({ ...high, highM2: 0 }, 120, TYPICAL)).toEqual({ slowerMin: 0, movesMin: 0 });
  });

  it('is done by two where there are two', () => {
    const pair = { ...STAIR, calendar: { ...STAIR.calendar, crew: 2 } };
    for (const { people } of plan(pair).days.tasks) expect(people).toHaveLength(2);
    for (const { people } of plan(STAIR).days.tasks) expect(people).toHaveLength(1);
  });

  it('has its hire in the bid, by its days, and says what of the hours is the height', () => {
    const { bid, days, rooms } = plan(STAIR);
    const line = bid.lines.find(({ kind }) => kind === 'equipment')!;
    // Monday to Wednesday, a tower at 90 a day.
    expect(days.finish!.slice(0, 10)).toBe('2026-12-02');
    expect(line.amount).toBe(270);
    expect(line.why.inputs.map(({ label }) => said(label))).toContain('days with a tower');
    const why = rooms[0]!.steps
      .find(({ step }) => step === 'tape')!
      .why.inputs.map(({ label }) => said(label));
    expect(why).toContain('moving the platform');
    const long = (days: number) =>
      platformHireOf(
        {
          rooms: [{ id: 'a', high: rooms[0]!.high! }],
          tasks: [
            {
              room: 'a',
              start: '2026-11-30T07:00',
              end: `2026-12-${String(days - 1).padStart(2, '0')}T08:00`,
            },
          ],
        },
        TYPICAL,
      )!;
    // Nine days are a week, which costs four, and two.
    expect(long(9)).toMatchObject({ days: 9, cost: 6 * 90 });
    expect(long(6)).toMatchObject({ days: 6, cost: 4 * 90 });
    const low = { ...STAIR, shop: { ...STAIR.shop, figures: { highMm: 6000 } } };
    expect(plan(low).bid.lines.find(({ kind }) => kind === 'equipment')!.amount).toBe(0);
    expect(plan(low).days.labourMin).toBeLessThan(days.labourMin);
  });

  it('is advised against alone, told with its cost where it is very high, and cautioned', () => {
    const pair = { ...STAIR, calendar: { ...STAIR.calendar, crew: 2 } };
    const [alone] = plan(STAIR).advice.filter(({ code }) => code === 'A-HIGH');
    expect(alone).toMatchObject({ severity: 'warn' });
    expect(alone!.cures[0]!.changes).toEqual([{ path: ['calendar', 'crew'], value: 2 }]);
    const [two] = plan(pair).advice.filter(({ code }) => code === 'A-HIGH');
    expect(two).toMatchObject({ severity: 'note' });
    expect(said(two!.reason)).toContain('tower');
    const hall = plainRoom({ plan: { lengthMm: 6000, widthMm: 5000, heightMm: 3600 } });
    expect(codes(jobOf([hall], { calendar: pair.calendar }))).not.toContain('A-HIGH');
    expect(codes(jobOf([hall]))).toContain('A-HIGH');
    expect(plan(STAIR).cautions.map(({ id }) => id)).toContain('towers');
    expect(plan(jobOf([hall])).cautions.map(({ id }) => id)).not.toContain('towers');
  });
});
