import type { Sheen } from '../finish';
import type { Primer, Substrate } from '../job';

/**
 * How much darker and duller paint dries over compound than over paper beside it, by sheen, where nothing evens
 * the two out; typical.
 */
export const FLASH: Record<Sheen, number> = {
  flat: 0.015,
  eggshell: 0.03,
  satin: 0.045,
  'semi-gloss': 0.06,
  gloss: 0.08,
};

/** What is left of it under a primer; typical. */
const LEFT: Record<Primer, number> = { none: 1, primer: 0.5, sealer: 0.5, 'high-build': 0.1 };

/** What is left of the difference between compound and paper under the paint, a share; none over a skim. */
export const flashLeft = (skimmed: boolean, primer: Primer, substrate: Substrate): number =>
  skimmed || substrate === 'painted' ? 0 : LEFT[primer];
