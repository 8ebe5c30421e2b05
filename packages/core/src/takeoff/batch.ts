import type { Book } from '../book';

/** Of the set time on the bag, the part mud can still be worked in. */
export const WORKED = 0.8;

/**
 * Litres of setting compound that are used up before they stiffen: the pace, over four fifths of the set time less
 * mixing and loading.
 */
export const mixable = (setMin: number, crew: number, book: Book): number =>
  Math.max(0, (crew * book.paceBatch.value * (setMin * WORKED - book.mixMin.value)) / 60);
