import type { Book, FigureKey } from '../book';
import type { Cell } from '../coat';
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

/** How much longer a cell takes than its pace says: lanes beyond the usual ones, and a round for every layer. */
export const workOf = ({ moreWork, layers }: Pick<Cell, 'moreWork' | 'layers'>): number => moreWork * layers;

/** Work on a metre of a joint in one coat, min of one person. */
export const minutesPerMetre = (cell: Cell, book: Book): number =>
  (60 / book[paceOf(cell.element, cell.coat)[0]].value) * workOf(cell);
