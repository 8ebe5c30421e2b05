import type { FigureKey } from '../book';
import type { Element } from '../coat';
import type { Coat } from '../job';

export type PaceUnit = 'm' | 'count' | 'm2';

/** The pace an element goes at, and what it is counted in; some coats have one of their own. */
export const PACE: Record<
  Element,
  Partial<Record<Coat | 'sand', [FigureKey, PaceUnit]>> & { coat: [FigureKey, PaceUnit] }
> = {
  flats: { tape: ['paceTapeFlat', 'm'], coat: ['paceFlat', 'm'] },
  butts: { tape: ['paceTapeFlat', 'm'], coat: ['paceButt', 'm'] },
  angles: { tape: ['paceTapeAngle', 'm'], coat: ['paceAngle', 'm'] },
  corners: { tape: ['paceBead', 'm'], coat: ['paceCorner', 'm'] },
  heads: { coat: ['paceHead', 'count'] },
  face: { coat: ['paceSkim', 'm2'] },
};
