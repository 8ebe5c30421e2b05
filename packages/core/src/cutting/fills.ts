/** One way to fill a stick: how many of each length, and what they take with their cuts. */
export interface Fill {
  taken: number;
  counts: number[];
}

/** A stick to be filled; lengths are whole tenths of a millimetre. */
export interface ToFill {
  stock: number;
  /** Fills that take no more than this are left to a shorter stick. */
  over: number;
  /** A piece of this length is in it. */
  holds?: number;
}

/**
 * Ways to fill a stick that leave no room for another piece.
 * @param lengths the longest first
 * @param left how many of each there are
 * @param most ends after so many fills, and so many steps to find them
 * @returns the fills, and whether they are all there are
 */
export function fillsOf(
  { lengths, kerf }: { lengths: readonly number[]; kerf: number },
  left: readonly number[],
  { stock, over, holds }: ToFill,
  most: { found: number; steps: number },
): { fills: Fill[]; all: boolean } {
  const room = stock + kerf;
  const eachOf = (i: number): number => (lengths[i] as number) + kerf;
  const fills: Fill[] = [];
  const counts = lengths.map(() => 0);
  let steps = 0;
  const fill = (from: number, taken: number, passed: number): void => {
    if (++steps > most.steps || fills.length > most.found) return;
    let i = from;
    // What is used up, or too long for what is left, is not looked at.
    while (i < lengths.length && ((left[i] as number) <= (counts[i] as number) || eachOf(i) > room - taken))
      i++;
    if (i === lengths.length) {
      // A shorter piece that was passed over would still fit.
      if (taken > over && room - taken < passed) fills.push({ taken, counts: counts.slice() });
      return;
    }
    const each = eachOf(i);
    const had = counts[i] as number;
    const fits = Math.min((left[i] as number) - had, Math.floor((room - taken) / each));
    for (let n = fits; n >= 0; n--) {
      counts[i] = had + n;
      fill(i + 1, taken + n * each, had + n < (left[i] as number) ? Math.min(passed, each) : passed);
    }
    counts[i] = had;
  };
  if (holds === undefined) fill(0, 0, Infinity);
  else {
    counts[holds] = 1;
    fill(holds, eachOf(holds), Infinity);
  }
  return { fills, all: steps <= most.steps && fills.length <= most.found };
}
