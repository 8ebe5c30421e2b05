import { COMPOUNDS, type CompoundId } from '../job';
import { said, saidInFeet } from '../testing/samples';
import { COMPOUND, packageName } from './classes';

/** The trade's table: density kg/L, shrink, thinnest and thickest coat mm, bond, sanding. */
const TABLE: Record<CompoundId, [number, number, number, number, number | undefined, number]> = {
  'setting-hard': [1.65, 0.02, 1, 25, 5, 1],
  'setting-light': [1.25, 0.04, 1, 12, 4, 3],
  hybrid: [1.45, 0.08, 0.5, 5, 4, 3],
  'drying-taping': [1.65, 0.2, 0.2, 3, 5, 2],
  'drying-all-purpose': [1.6, 0.18, 0.2, 3, 4, 3],
  'drying-mid-weight': [1.38, 0.15, 0.2, 3, 4, 4],
  'drying-light': [1.2, 0.12, 0.2, 3, 3, 4],
  'drying-ultra-light': [1, 0.1, 0.2, 3, 3, 5],
  'drying-topping': [1.45, 0.15, 0.1, 2, 2, 5],
  'patch-filler': [0.6, 0.03, 0.2, 5, undefined, 5],
  surfacer: [1.55, 0.22, 0.2, 1, undefined, 4],
};

it.each(COMPOUNDS)('%s has the figures of its class', (id) => {
  const { densityKgL, shrink, minMm, maxMm, bond, sands } = COMPOUND[id];
  expect([densityKgL, shrink, minMm, maxMm, bond, sands]).toEqual(TABLE[id]);
});

it('beds tape only in what holds it', () => {
  const by = (fit: string) => COMPOUNDS.filter((id) => COMPOUND[id].bed === fit);
  expect(by('no')).toEqual(['drying-topping', 'patch-filler', 'surfacer']);
  expect(by('contested')).toEqual(['drying-light', 'drying-ultra-light']);
});

it('weighs packages by what is in them', () => {
  for (const id of COMPOUNDS) {
    for (const { yieldsL, massKg, waterL } of COMPOUND[id].packages) {
      // Powder and its water make the wet compound; a pail holds it already, and weighs a little itself.
      const wet = massKg + (waterL ?? 0);
      expect(wet / (yieldsL * COMPOUND[id].densityKgL)).toBeGreaterThan(0.9);
      expect(wet / (yieldsL * COMPOUND[id].densityKgL)).toBeLessThan(1.25);
    }
  }
});

it('names packages as they are sold in each system', () => {
  const [pail, , tub] = COMPOUND['drying-light'].packages;
  expect(pail && saidInFeet(packageName(pail, 'feet'))).toBe('4.5 gal pail');
  expect(tub && said(packageName(tub, 'metric'))).toBe('20 kg tub');
  const [bag] = COMPOUND['setting-hard'].packages;
  expect(bag && saidInFeet(packageName(bag, 'feet'))).toBe('25 lb bag');
});
