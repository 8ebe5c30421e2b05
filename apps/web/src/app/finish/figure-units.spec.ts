import { FIGURE_KEYS, TYPICAL, type FigureKey } from '@lisse/core';
import { said } from '../../testing/app';
import { shownUnit } from './figure-units';

const shown = (key: FigureKey, system: 'metric' | 'feet'): [number, string] => {
  const { per, name } = shownUnit(TYPICAL[key], system);
  return [TYPICAL[key].value / per, name === '' ? '' : said(name)];
};

// By pencil: 25.4 mm an inch, 0.3048 m a foot, 3.785 L a gallon, 10.764 sq ft a square metre, 0.4536 kg a pound.
it.each<[key: FigureKey, metric: number, feet: number]>([
  ['tapeWidthMm', 52, 52 / 25.4],
  ['paceTapeFlat', 40, 131.2336],
  ['paceSkim', 25, 269.0978],
  ['angleTapeL', 45, 1.4494],
  ['usualLowL', 35, 8.5899],
  ['usualTapeLowM', 120, 365.76],
  ['usualHoursLow', 8, 7.4322],
  ['headL', 0.7, 0.02367],
  ['panL', 2.5, 2.6417],
  ['carryKg', 23, 50.7063],
  ['discM2', 20, 215.278],
  ['roll-paper-feet', 152.4, 500],
  ['stick-long-feet', 3048, 120],
  ['doorM3H', 150, 5297.2],
  ['wasteDrying', 10, 10],
  ['shows-satin', 4.5, 4.5],
  ['paceHead', 1500, 1500],
  ['mixMin', 8, 8],
])('%s is %d where one counts in metres, %d in feet', (key, metric, feet) => {
  expect(shown(key, 'metric')[0]).toBeCloseTo(metric, 3);
  expect(shown(key, 'feet')[0] / feet).toBeCloseTo(1, 3);
});

it('has a name for the unit of every figure that has one, the same for figures alike', () => {
  for (const system of ['metric', 'feet'] as const) {
    const names = new Map<string, Set<string>>();
    for (const key of FIGURE_KEYS) {
      const { unit, value } = TYPICAL[key];
      const [, name] = shown(key, system);
      const kind = unit === 'L' && value < 0.01 ? 'a dab' : unit;
      names.set(kind, (names.get(kind) ?? new Set()).add(name));
      if (!['C', 'money', 'count', ''].includes(unit)) expect([key, name]).not.toEqual([key, '']);
    }
    for (const [unit, all] of names) expect([unit, all.size]).toEqual([unit, 1]);
  }
});

it('shows no figure so small or so large that nobody would type it', () => {
  for (const system of ['metric', 'feet'] as const)
    for (const key of FIGURE_KEYS) {
      const [value] = shown(key, system);
      if (TYPICAL[key].value === 0) continue;
      expect([key, Math.abs(value) >= 0.003 && Math.abs(value) < 20000]).toEqual([key, true]);
    }
});
