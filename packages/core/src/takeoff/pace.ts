import type { Book, FigureKey } from '../book';
import type { Cell } from '../coat';
import { ELEMENT, type Element } from '../job';

export type PaceUnit = 'm' | 'count' | 'm2';

/** SI amount of one unit of pace: mm, one, mm². */
export const PER_UNIT: Record<PaceUnit, number> = { m: 1000, count: 1, m2: 1e6 };

type Pace = readonly [hand: FigureKey, machine: FigureKey];

const FLAT: Pace = ['paceFlat', 'machineFlat'];
const COATING: Record<Element, Pace> = {
  flats: FLAT,
  mixed: FLAT,
  recessed: FLAT,
  butts: ['paceButt', 'machineButt'],
  angles: ['paceAngle', 'machineAngle'],
  corners: ['paceCorner', 'paceCorner'],
  heads: ['paceHead', 'machineHead'],
  repairs: ['paceRepair', 'paceRepair'],
  face: ['paceSkim', 'machineSkim'],
};

const TAPED: Pace = ['paceTapeFlat', 'machineTapeFlat'];
/** The first coat on joints beds the tape or the bead; on all else it is a coat like any other. */
const TAPING: Record<Element, Pace> = {
  ...COATING,
  flats: TAPED,
  mixed: TAPED,
  recessed: TAPED,
  butts: ['paceTapeButt', 'machineTapeButt'],
  angles: ['paceTapeAngle', 'machineTapeAngle'],
  corners: ['paceBead', 'machineBead'],
};

type Paced = Pick<Cell, 'element' | 'coat' | 'machine' | 'float'>;

/** The pace one cell goes at, by the tool that does it. */
export function paceOf({ element, coat, machine, float }: Paced): FigureKey {
  if (float) return 'paceFloat';
  if (coat === 'prefill' && element !== 'repairs') return 'pacePrefill';
  return (coat === 'tape' ? TAPING : COATING)[element][machine ? 1 : 0];
}

/**
 * Work in one cell, min of one person: at its pace, longer for lanes beyond the usual ones, and a round for every layer.
 * @param amount mm of joint, a count of heads or spots, mm² of face
 */
export function minutesOf(
  cell: Paced & Pick<Cell, 'moreWork' | 'layers' | 'bandMm'>,
  amount: number,
  book: Book,
): number {
  // A float is a face of its own, as wide as its band.
  const done = cell.float ? (amount * cell.bandMm) / 1e6 : amount / PER_UNIT[ELEMENT[cell.element].unit];
  return (done / book[paceOf(cell)].value) * 60 * cell.moreWork * cell.layers;
}

/** Work on a metre of a joint in one coat, min of one person. */
export const minutesPerMetre = (cell: Cell, book: Book): number => minutesOf(cell, 1000, book);
