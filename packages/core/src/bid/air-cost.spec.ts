import { TYPICAL } from '../book';
import { airCost } from './air-cost';

const cold = { tempC: 12, rhPct: 80, air: 'still' } as const;
const basement = { floorM2: 35, volumeM3: 85, waterL: 15, days: 5 };

it('is hire and power of what is brought: by pencil', () => {
  // A heater for 5 + 2 days: 7 × 20 = 140; 7 × 24 h × 8 K × 85 m³ × 1.2 W = 137.1 kWh, at 0.20 27.4.
  expect(airCost(cold, { ...cold, tempC: 20 }, basement, TYPICAL)).toBeCloseTo(140 + 27.42, 1);
  // A dehumidifier for five days at 30, and 15 L × 0.8 kWh at 0.20.
  expect(airCost(cold, { ...cold, rhPct: 50 }, basement, TYPICAL)).toBeCloseTo(150 + 2.4, 6);
  // A fan at 8 and 24 h × 0.12 kW at 0.20 a day.
  expect(airCost(cold, { ...cold, air: 'fan' }, basement, TYPICAL)).toBeCloseTo(5 * (8 + 0.576), 6);
  // Two of each over 60 m².
  const both = airCost(
    cold,
    { ...cold, tempC: 20, rhPct: 50 },
    { ...basement, floorM2: 80, volumeM3: 200 },
    TYPICAL,
  );
  expect(both).toBeCloseTo(280 + (7 * 24 * 8 * 200 * 1.2 * 0.2) / 1000 + 300 + 2.4, 6);
});

it('is nothing in the air a job has, in worse, and where the air is planned', () => {
  expect(airCost(cold, cold, basement, TYPICAL)).toBe(0);
  expect(airCost(cold, { ...cold, tempC: 10, rhPct: 90 }, basement, TYPICAL)).toBe(0);
  expect(airCost(cold, { ...cold, tempC: 20, reckoned: true }, basement, TYPICAL)).toBe(0);
});
