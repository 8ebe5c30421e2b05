/**
 * How many made-up cases a property is tried with: so many a run, other ones each time, and `npm run torture` tries
 * many times as many.
 */
export const trials = (count: number): number => count * Number(process.env['LISSE_TRIALS'] ?? 1);
