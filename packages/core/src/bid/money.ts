/** Digits behind the point of money that has a code of three letters; two of any other. */
export function moneyDigits(money: string | undefined): number {
  if (money === undefined || !/^[A-Za-z]{3}$/.test(money)) return 2;
  try {
    return (
      new Intl.NumberFormat('en', { style: 'currency', currency: money }).resolvedOptions()
        .maximumFractionDigits ?? 2
    );
  } catch {
    return 2;
  }
}

/**
 * A whole sum in parts by their weights, each a whole number; what rounding leaves goes to those that lost most.
 * Parts of no weight at all share alike.
 */
export function shared(sum: number, weights: readonly number[]): number[] {
  if (weights.length === 0) return [];
  const all = weights.reduce((a, b) => a + b, 0);
  const exact = weights.map((weight) => (all > 0 ? (sum * weight) / all : sum / weights.length));
  const parts = exact.map(Math.floor);
  const rest = sum - parts.reduce((a, b) => a + b, 0);
  const most = exact
    .map((value, i) => ({ i, lost: value - Math.floor(value) }))
    .sort((a, b) => b.lost - a.lost || a.i - b.i);
  for (const { i } of most.slice(0, rest)) parts[i] = (parts[i] as number) + 1;
  return parts;
}
