import type { Book } from '../book';
import type { Sheen } from '../finish';
import type { Primer, Substrate } from '../job';

/** How much duller paint dries over compound than over paper beside it, where nothing evens the two out, a share. */
export const flashOf = (sheen: Sheen, book: Book): number => book[`flash-${sheen}`].value;

/** What is left of the difference between compound and paper under the paint, a share; none over a skim. */
export const flashLeft = (skimmed: boolean, primer: Primer, substrate: Substrate, book: Book): number =>
  skimmed || substrate === 'painted' ? 0 : primer === 'none' ? 1 : book[`left-${primer}`].value;
