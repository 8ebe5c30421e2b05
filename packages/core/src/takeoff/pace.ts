import type { FigureKey } from '../book';
import type { Coat, Element } from '../job';

export type PaceUnit = 'm' | 'count' | 'm2';

/** SI amount of one unit of pace: mm, one, mm². */
export const PER_UNIT: Record<PaceUnit, number> = { m: 1000, count: 1, m2: 1e6 };

type Pace = [FigureKey, PaceUnit];

const COATING: Record<Element, Pace> = {
  flats: ['paceFlat', 'm'],
  mixed: ['paceFlat', 'm'],
  recessed: ['paceFlat', 'm'],
  butts: ['paceButt', 'm'],
  angles: ['paceAngle', 'm'],
  corners: ['paceCorner', 'm'],
  heads: ['paceHead', 'count'],
  repairs: ['paceRepair', 'count'],
  face: ['paceSkim', 'm2'],
};

const TAPING: Partial<Record<Element, Pace>> = {
  flats: ['paceTapeFlat', 'm'],
  mixed: ['paceTapeFlat', 'm'],
  recessed: ['paceTapeFlat', 'm'],
  butts: ['paceTapeFlat', 'm'],
  angles: ['paceTapeAngle', 'm'],
  corners: ['paceBead', 'm'],
};

/** The pace one coat on one element goes at, and what it is counted in. */
export function paceOf(element: Element, coat: Coat): Pace {
  if (coat === 'prefill' && element !== 'repairs') return ['pacePrefill', 'm'];
  return (coat === 'tape' ? TAPING[element] : undefined) ?? COATING[element];
}
