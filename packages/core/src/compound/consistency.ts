import type { Consistency } from '../job';

/** Lisse's consistency scale: water added to a 17 L pail, L. */
export const WATER_L: Record<Consistency, number> = {
  C1: 0,
  C2: 0.25,
  C3: 0.5,
  C4: 0.9,
  C5: 1.4,
  C6: 2,
};
