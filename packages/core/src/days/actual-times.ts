import type { Book } from '../book';
import type { Past } from './tasks';

/** How long coats took that were told to be ready, against how long they were thought to. */
export interface ActualTimes {
  how: 'setting' | 'drying';
  /** So many were told. */
  n: number;
  /** The longest against its likely time. */
  late: number;
  /** What is planned with instead. */
  planned: number;
}

/** Fewer say nothing yet. */
const LEAST_TOLD = 4;

/**
 * What the coats of a job that were told ready say of how late its mud may harden: the longest of them, where it is
 * sooner than is planned for. Told is by chip, meter or touch; somebody who comes late to look tells too long a time, which
 * errs to the safe side.
 */
export function toldOf(past: readonly Past[], book: Book): ActualTimes[] {
  return (['setting', 'drying'] as const).flatMap((how) => {
    const shares = past.flatMap(({ how: own, endMin, toldMin, hardenMin }) =>
      own === how && toldMin !== undefined && hardenMin > 0 ? [(toldMin - endMin) / hardenMin] : [],
    );
    const planned = book[how === 'setting' ? 'setLate' : 'dryLate'].value;
    // Never sooner than as a rule: a coat looked at early does not make the next one dry early.
    const late = Math.max(1, Math.ceil(Math.max(0, ...shares) * 20 - 1e-9) / 20);
    return shares.length >= LEAST_TOLD && late < planned ? [{ how, n: shares.length, late, planned }] : [];
  });
}
