import * as fc from 'fast-check';
import { vapourOf } from './air';
import { balance, type AiredRoom, type Airing, type Balanced, type RoomAir, type WetCoat } from './balance';
import { referenceHours } from './drying';

/** When within a step a coat gets dry is read off a straight line, h. */
const WITHIN_A_STEP = 0.05;

const care = (over: Partial<Airing> = {}): Airing => ({
  changesPerH: 1,
  heatC: undefined,
  dryGPerH: 0,
  dryTo: 0.5,
  speed: 1,
  ...over,
});
const room = (coats: WetCoat[], over: Partial<Airing> = {}, volumeM3 = 40): AiredRoom => ({
  volumeM3,
  coats,
  care: () => care(over),
});
const outside = (tempC: number, rh: number) => () => ({ tempC, vapour: vapourOf(tempC, rh) });
const one = ({ air }: Balanced): RoomAir => air[0]!;

describe('the air of a room while mud dries', () => {
  it.each([
    [21.1, 0.5, 17],
    [15.6, 0.5, 24.6],
    [26.7, 0.2, 8],
  ])('dries the reference coat in a large aired room at %d °C and %d in about %d h', (tempC, rh, hours) => {
    const made = one(
      balance(
        [room([{ atH: 0, waterG: 500, factor: 1 }], { changesPerH: 50 }, 20000)],
        outside(tempC, rh),
        48,
      ),
    );
    expect(made.dryAtH[0]).toBeCloseTo(referenceHours(tempC, rh * 100), 1);
    expect(made.dryAtH[0]! / hours).toBeCloseTo(1, 1);
  });

  it('comes to the analytic solution for one coat at constant exchange', () => {
    // Dry enough that the law is linear: C settles at (n·Co + κ·Cs) / (n + κ), and the coat gives κ·(Cs − C).
    const [tempC, rh, n, waterG, factor, volume] = [21, 0.06, 0.5, 4000, 12, 200];
    const full = vapourOf(tempC, 1);
    const perKPa = (tempC + 273.15) / 2166.79;
    const k = (waterG * perKPa) / 23.2 / factor / volume;
    const settle = (n * rh * full + k * full) / (n + k);
    const givenBy = (t: number): number => {
      const decay = (1 - Math.exp(-(n + k) * t)) / (n + k);
      return k * volume * ((full - settle) * t - (rh * full - settle) * decay);
    };
    const made = one(
      balance([room([{ atH: 0, waterG, factor }], { changesPerH: n }, volume)], outside(tempC, rh), 72),
    );
    for (const hour of [6, 24, 48])
      expect((waterG - made.waterG[hour - 1]!) / givenBy(hour)).toBeCloseTo(1, 2);
  });

  const anyRoom = fc
    .record({
      volume: fc.integer({ min: 10, max: 300 }),
      coats: fc.array(
        fc.record({
          atH: fc.integer({ min: 0, max: 40 }),
          waterG: fc.integer({ min: 50, max: 9000 }),
          factor: fc.integer({ min: 1, max: 30 }).map((n) => n / 10),
        }),
        { minLength: 1, maxLength: 4 },
      ),
      changesPerH: fc.constantFrom(0, 0.3, 2, 6),
      dryGPerH: fc.constantFrom(0, 300, 1200),
      tempC: fc.integer({ min: 5, max: 28 }),
      rh: fc.integer({ min: 10, max: 90 }).map((n) => n / 100),
    })
    .map((r) => ({
      ...r,
      made: room(r.coats, { changesPerH: r.changesPerH, dryGPerH: r.dryGPerH }, r.volume),
    }));

  it('loses no water, to one part in a million', () => {
    fc.assert(
      fc.property(anyRoom, anyRoom, (a, b) => {
        const out = outside(a.tempC, a.rh);
        const doors = [{ between: [0, 1] as const, m3PerH: 80, open: (hour: number) => hour % 24 > 8 }];
        const hours = 100;
        const { air: made } = balance([a.made, b.made], out, hours, { doors });
        const full = vapourOf(a.tempC, 1);
        let [had, has] = [0, 0];
        [a, b].forEach(({ volume, coats }, i) => {
          const air = made[i]!;
          had += volume * a.rh * full + coats.reduce((sum, { waterG }) => sum + waterG, 0);
          has += volume * air.rh.at(-1)! * full + air.waterG.at(-1)!;
          has += air.ventedG + air.driedG + air.condensedG;
        });
        expect(Math.abs(has / had - 1)).toBeLessThan(1e-6);
      }),
    );
  });

  it('never dries faster in damper air', () => {
    fc.assert(
      fc.property(anyRoom, fc.integer({ min: 1, max: 9 }), ({ made, tempC, rh }, more) => {
        const dryAt = (outRh: number) =>
          one(balance([made], outside(tempC, outRh), 300, { stepH: 1 / 16 })).dryAtH;
        const damp = dryAt(Math.min(0.98, rh + more / 100));
        dryAt(rh).forEach((at = Infinity, i) => {
          expect(damp[i] ?? Infinity).toBeGreaterThanOrEqual(at * 0.999 - WITHIN_A_STEP);
        });
      }),
      { numRuns: 60 },
    );
  });

  it('is the same within a hundredth whether steps are long or short', () => {
    fc.assert(
      fc.property(anyRoom, ({ made, tempC, rh }) => {
        const [long, short] = [0.125, 0.0625].map((stepH) =>
          one(balance([made], outside(tempC, rh), 300, { stepH })),
        );
        long!.dryAtH.forEach((at, i) => {
          const other = short!.dryAtH[i];
          if (at === undefined || other === undefined) return;
          const { atH } = made.coats[i]!;
          expect(Math.abs((at - atH) / (other - atH) - 1)).toBeLessThan(0.01 + 0.25 / (at - atH));
        });
      }),
    );
  });

  it('takes no more water out where a coat gets dry within a step than holds the air', () => {
    const coats = [
      { atH: 0, waterG: 196, factor: 0.1 },
      { atH: 0, waterG: 50, factor: 2.9 },
    ];
    const made = one(
      balance([room(coats, { changesPerH: 0, dryGPerH: 1200 }, 10)], outside(19, 0.71), 60, { stepH: 1 / 2 }),
    );
    expect(made.dryAtH[0]!).toBeLessThan(3);
    expect(Math.min(...made.rh)).toBeGreaterThan(0.4999);
  });

  it('dries sooner with a dehumidifier, which takes no more than it takes and no lower than it is set', () => {
    const coats = [{ atH: 0, waterG: 6000, factor: 0.7 }];
    const [without, withIt] = [0, 600].map((dryGPerH) =>
      one(balance([room(coats, { changesPerH: 0.3, dryGPerH, dryTo: 0.4 })], outside(18, 0.55), 120)),
    );
    expect(withIt!.dryAtH[0]!).toBeLessThan(without!.dryAtH[0]! * 0.75);
    expect(Math.max(...without!.rh)).toBeGreaterThan(0.8);
    expect(withIt!.driedG).toBeLessThanOrEqual(600 * 120);
    expect(Math.min(...withIt!.rh.slice(24))).toBeGreaterThan(0.399);
  });
});
