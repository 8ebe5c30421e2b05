import type { Cell } from '../coat';
import type { Supplied } from '../compound';
import { dryingHours } from '../drying';
import type { Element, Job } from '../job';
import type { CellUse } from './room';

/** A setting coat must keep its water for this many set times, or it never gains strength. */
export const KEEPS_WATER = 1.2;

/**
 * How soon the thinnest layer of a setting coat dries, min. None where it does not matter: a hybrid hardens by drying
 * too, gaps are deep, and what a blade leaves over a head that is full bears nothing.
 */
export function driesMin(
  element: Element,
  { coat, compound: id, consistency, tape }: Cell,
  { wetL, waitsMm }: Pick<CellUse, 'wetL' | 'waitsMm'>,
  { climate, way }: Pick<Job, 'climate' | 'way'>,
  book: Supplied,
): number | undefined {
  const compound = book.compounds[id];
  if (wetL <= 0 || coat === 'prefill' || element === 'heads' || compound.hardens !== 'setting')
    return undefined;
  const dries = { compound, consistency, climate, tape: tape ? way.tape : undefined, book };
  return Math.min(...waitsMm.map((mm) => dryingHours(mm, dries))) * 60;
}
