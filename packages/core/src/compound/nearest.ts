import { COMPOUNDS, type Coat, type CompoundId } from '../job';
import type { Catalogue } from './catalogue';
import type { Compound, Fit } from './classes';

/** What a coat asks of a compound. */
const ASKS: Record<Coat, (compound: Compound) => readonly Fit[] | boolean> = {
  prefill: ({ hardens }) => hardens !== 'drying',
  tape: ({ bed }) => [bed],
  fill: ({ fill }) => [fill],
  finish: ({ finish }) => [finish],
  skim: ({ skim }) => [skim],
};
const FITS: readonly Fit[] = ['yes', 'contested', 'covered', 'thinned'];

/** Whether a class does for a coat, with what it may want besides. */
export function doesFor(compound: Compound, coat: Coat): boolean {
  const asked = ASKS[coat](compound);
  return typeof asked === 'boolean' ? asked : asked.every((fit) => FITS.includes(fit));
}

/** How unlike two classes are on the wall: how they harden, hold tape and sand, and how heavy they are. */
const unlike = (a: Compound, b: Compound): number =>
  (a.hardens === b.hardens ? 0 : 3) +
  Math.abs((a.bond ?? 0) - (b.bond ?? 0)) +
  Math.abs(a.sands - b.sands) / 2 +
  Math.abs(a.densityKgL - b.densityKgL) * 2;

/** The classes that do for all these coats in place of another, the most like it first. */
export function nearestTo(of: CompoundId, coats: readonly Coat[], compounds: Catalogue): CompoundId[] {
  return COMPOUNDS.filter((id) => id !== of && coats.every((coat) => doesFor(compounds[id], coat))).sort(
    (a, b) => unlike(compounds[of], compounds[a]) - unlike(compounds[of], compounds[b]),
  );
}
