import * as fc from 'fast-check';
import { COMPOUND } from '../compound';
import type { Climate } from '../job';
import { dryingHours, hardening, referenceHours, thinningFactor } from './drying';

const room: Climate = { tempC: 21.1, rhPct: 50, air: 'still' };

it('dries the reference coat as measured', () => {
  expect(referenceHours(21.1, 50)).toBeCloseTo(17.4, 1);
  expect(referenceHours(15.6, 50)).toBeCloseTo(24.6, 1);
  expect(referenceHours(26.7, 20)).toBeCloseTo(8.2, 1);
  expect(dryingHours(COMPOUND['drying-all-purpose'], 1, room)).toBeCloseTo(17.4, 1);
});

it('goes by thickness, class, air and thinning', () => {
  expect(
    dryingHours(COMPOUND['drying-all-purpose'], 2, room) /
      dryingHours(COMPOUND['drying-all-purpose'], 1, room),
  ).toBeCloseTo(3, 9);
  expect(
    dryingHours(COMPOUND['drying-light'], 1, room) / dryingHours(COMPOUND['drying-all-purpose'], 1, room),
  ).toBeCloseTo(0.85, 9);
  expect(
    dryingHours(COMPOUND['drying-light'], 1, { ...room, air: 'fan' }) /
      dryingHours(COMPOUND['drying-light'], 1, room),
  ).toBeCloseTo(0.65, 9);
  // 0.38 × 1.6 kg/L × 17 L = 10.336 L of water; 0.5 L more is 4.84 %.
  expect(thinningFactor(COMPOUND['drying-all-purpose'], 'C3')).toBeCloseTo(1.0484, 4);
});

it('takes longer the damper, the colder and the thicker', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 40 }),
      fc.integer({ min: 5, max: 94 }),
      fc.double({ min: 0.1, max: 3, noNaN: true }),
      (tempC, rhPct, h) => {
        const at = (t: number, rh: number, layer: number) =>
          dryingHours(COMPOUND['drying-all-purpose'], layer, { tempC: t, rhPct: rh, air: 'still' });
        const t = at(tempC, rhPct, h);
        return (
          Number.isFinite(t) &&
          at(tempC, rhPct + 3, h) > t &&
          at(tempC - 1, rhPct, h) > t &&
          at(tempC, rhPct, h + 0.1) > t
        );
      },
    ),
  );
});

it('sets by the clock, slower on paint, and a hybrid is ready only when dry', () => {
  expect(hardening(COMPOUND['setting-light'], 2, 'C3', room, 90, 'paper')).toEqual({
    how: 'setting',
    hours: 2.25,
  });
  expect(hardening(COMPOUND['setting-light'], 2, 'C3', room, 90, 'painted').hours).toBe(4.5);
  expect(hardening(COMPOUND.hybrid, 1, 'C3', room, 60, 'paper')).toMatchObject({ how: 'drying' });
  expect(hardening(COMPOUND.hybrid, 0.1, 'C3', room, 120, 'paper').hours).toBe(3);
});
