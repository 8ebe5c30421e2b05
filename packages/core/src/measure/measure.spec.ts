import * as fc from 'fast-check';
import { said } from '../testing/samples';
import { sequence } from '../units';
import { asBuilt, METER, shootRoom } from './as-built';
import { closeRoom, SHOTS, type Readings } from './measure';

const square: Readings = {
  'wall-1': 4000,
  'wall-2': 3000,
  'wall-3': 4001,
  'wall-4': 2999,
  'diagonal-1': 5000,
  'diagonal-2': 5001,
  height: 2400,
};

describe('closing a room', () => {
  it('3, 4, 5 is square', () => {
    const closed = closeRoom(square);
    expect(closed.disagreements).toEqual([]);
    expect(closed.cornerDeg).toBeCloseTo(90, 6);
    expect(closed.outOfSquareMm).toBeCloseTo(0, 6);
    expect(closed.plan).toEqual({ lengthMm: 4001, widthMm: 3000, heightMm: 2400 });
  });

  it('a wall read wrong disagrees with the one opposite', () => {
    const { disagreements } = closeRoom({ ...square, 'wall-3': 4050 });
    expect(disagreements[0]).toMatchObject({ shots: ['wall-1', 'wall-3'], byMm: 50 });
  });

  it('says how far out of square: the law of cosines by hand', () => {
    // 4000² + 3000² − 5024² = −240 576, over 2 · 4000 · 3000 is −0.010 024: 90.57°, and 3000 × that is 30.07 mm.
    const closed = closeRoom({ ...square, 'diagonal-1': 5024, 'diagonal-2': 4976 });
    expect(closed.cornerDeg).toBeCloseTo(90.574, 2);
    expect(closed.outOfSquareMm).toBeCloseTo(30.07, 1);
    expect(closed.plan).toHaveProperty('outline');
  });

  it('a diagonal longer than two walls is impossible', () => {
    expect(said(closeRoom({ ...square, 'diagonal-1': 9000 }).disagreements[0]!.message)).toContain(
      'longer than two walls',
    );
  });

  it('needs two walls and a height, and no more', () => {
    expect(closeRoom({ 'wall-1': 4000, 'wall-2': 3000 }).plan).toBeUndefined();
    expect(closeRoom({ 'wall-1': 4000, 'wall-2': 3000, height: 2400 }).plan).toEqual({
      lengthMm: 4000,
      widthMm: 3000,
      heightMm: 2400,
    });
    expect(closeRoom({}).disagreements).toEqual([]);
  });
});

describe('the simulated meter', () => {
  const shoot = (seed: number) => {
    const random = sequence(seed);
    const room = asBuilt(random);
    return { room, readings: [...shootRoom(room, random)] };
  };

  it('gives the same room and readings for the same seed', () => {
    expect(shoot(7)).toEqual(shoot(7));
    expect(shoot(7).room).not.toEqual(shoot(8).room);
  });

  it('reads every size in order within its scatter, and misses now and then', () => {
    let missed = 0;
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e6 }), (seed) => {
        const { room, readings } = shoot(seed);
        const good = readings.filter((r) => r.mm !== undefined);
        missed += readings.length - good.length;
        expect(good.map((r) => r.shot)).toEqual([...SHOTS]);
        for (const { shot, mm } of good)
          expect(Math.abs(mm! - room[shot])).toBeLessThanOrEqual(METER.scatterMm + 0.06);
        expect(readings.every((r) => r.simulated)).toBe(true);
      }),
    );
    expect(missed).toBeGreaterThan(10);
  });

  it('closes within its scatter, and its plan is the room that was shot', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e6 }), (seed) => {
        const { room, readings } = shoot(seed);
        const got = Object.fromEntries(readings.flatMap((r) => (r.mm === undefined ? [] : [[r.shot, r.mm]])));
        const { disagreements, plan } = closeRoom(got);
        expect(disagreements.filter((d) => d.shots[0] !== 'diagonal-1')).toEqual([]);
        expect(plan?.heightMm).toBe(Math.round(got['height'] as number));
        expect(Math.abs((got['wall-1'] as number) - room['wall-1'])).toBeLessThan(2);
      }),
    );
  });
});
