import * as fc from 'fast-check';
import { TYPICAL } from '../book';
import { COMPOUND } from '../compound';
import type { Climate } from '../job';
import { dryingHours, hardening, referenceHours, thinningFactor, type Drying } from './drying';

const room: Climate = { tempC: 21.1, rhPct: 50, air: 'still' };
const open: Drying = {
  compound: COMPOUND['drying-all-purpose'],
  consistency: 'C1',
  climate: room,
  tape: undefined,
  book: TYPICAL,
};

it('dries the reference coat as measured', () => {
  expect(referenceHours(21.1, 50)).toBeCloseTo(17.4, 1);
  expect(referenceHours(15.6, 50)).toBeCloseTo(24.6, 1);
  expect(referenceHours(26.7, 20)).toBeCloseTo(8.2, 1);
  expect(dryingHours(1.8, { ...open, tape: 'paper' })).toBeCloseTo(17.4, 1);
});

it('dries a fill over night and a thick layer in more than a day', () => {
  // u = 1.4 / 1.8 = 7/9; 0.85 · (0.65 · 7/9 + 0.35 · 49/81) = 0.6097.
  expect(dryingHours(1.4, open) / referenceHours(21.1, 50)).toBeCloseTo(0.6097, 4);
  expect(dryingHours(1.4, open)).toBeGreaterThan(10);
  expect(dryingHours(1.4, open)).toBeLessThan(11);
  expect(dryingHours(3, open)).toBeCloseTo(30, 0);
});

it('dries a coat under paper as the reference however thin its bed, an open tape sooner, a thick bed later', () => {
  const under = (tape: 'paper' | 'mat' | 'mesh', mm: number) =>
    dryingHours(mm, { ...open, tape }) / referenceHours(21.1, 50);
  for (const mm of [0.2, 0.6, 0.95, 1.8]) expect(under('paper', mm)).toBeCloseTo(1, 9);
  // u = 0.8: 0.65 · 0.8 + 0.35 · 0.64 = 0.744.
  for (const tape of ['mat', 'mesh'] as const) expect(under(tape, 0.5)).toBeCloseTo(0.744, 9);
  expect(under('paper', 3.6)).toBeCloseTo(2.7, 9);
  // The guide: at 12 °C and 80 % about 68 h, and the same air dries nothing over night.
  const basement = { tempC: 12, rhPct: 80, air: 'still' } as const;
  expect(dryingHours(0.95, { ...open, climate: basement, tape: 'paper' })).toBeGreaterThan(65);
  expect(dryingHours(0.95, { ...open, climate: basement, tape: 'paper' })).toBeLessThan(75);
});

it('goes by thickness, class, air and thinning', () => {
  const light = { ...open, compound: COMPOUND['drying-light'] };
  expect(dryingHours(3.6, open) / dryingHours(1.8, open)).toBeCloseTo(2.7, 9);
  expect(dryingHours(1, light) / dryingHours(1, open)).toBeCloseTo(0.85, 9);
  const fanned = { ...light, climate: { ...room, air: 'fan' as const } };
  expect(dryingHours(1, fanned) / dryingHours(1, light)).toBeCloseTo(0.65, 9);
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
          dryingHours(layer, { ...open, climate: { tempC: t, rhPct: rh, air: 'still' } });
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

it('sets by the clock, slower on paint; a hybrid sets, then dries; every layer waits for itself', () => {
  const setting = { ...open, compound: COMPOUND['setting-light'], setMin: 90, substrate: 'paper' as const };
  expect(hardening([2], setting)).toEqual({ how: 'setting', hours: 2.25 });
  expect(hardening([2], { ...setting, substrate: 'painted' }).hours).toBe(4.5);
  expect(hardening([7, 3], setting).hours).toBe(4.5);
  const hybrid = { ...setting, compound: COMPOUND.hybrid, setMin: 60 };
  expect(hardening([1], hybrid)).toEqual({ how: 'drying', hours: 1.5 + dryingHours(1, hybrid) });
  const dries = (...mm: number[]) =>
    hardening(mm, { ...setting, compound: COMPOUND['drying-all-purpose'] }).hours;
  expect(dries(2, 1)).toBeCloseTo(dries(2) + dries(1), 9);
  expect(dries(2, 1)).toBeLessThan(dries(3));
});
