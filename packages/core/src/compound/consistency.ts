import type { Consistency } from '../job';

/** Lisse's consistency scale: water added to a 17 L pail, and how the mud behaves on a knife. */

export const CONSISTENCY: Record<Consistency, { waterL: number; behaves: string }> = {
  C1: { waterL: 0, behaves: 'as delivered; stands on the knife turned over' },
  C2: { waterL: 0.25, behaves: 'stands, and spreads without tearing' },
  C3: { waterL: 0.5, behaves: 'hangs from the knife, then drops in one lump' },
  C4: { waterL: 0.9, behaves: 'slides off the knife slowly' },
  C5: { waterL: 1.4, behaves: 'runs off the knife and folds on itself' },
  C6: { waterL: 2, behaves: 'pours, and levels under a roller' },
};
