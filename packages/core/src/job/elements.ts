import type { Coat, Element } from './vocabulary';

/** What hangs on a row of the coat board. */
interface ElementFacts {
  /** Cut across and built up coat by coat; what is not is reckoned by the metre, the piece or the area. */
  cut: boolean;
  /** Worked with closed machine tools, which take no compound that sets. */
  closed: boolean;
  /** What it is counted in. */
  unit: 'm' | 'count' | 'm2';
  /** Coats that mean something on it. */
  coats: readonly Coat[];
  /** Its bands are measured on each face, from the corner. */
  perFace: boolean;
  /** It is taped. */
  taped: boolean;
  /** It crosses no joint, so that it fills the time others stiffen in. */
  aside: boolean;
}

const OVER: readonly Coat[] = ['tape', 'fill', 'finish'];
const FROM_GAP: readonly Coat[] = ['prefill', ...OVER];

const JOINTS: ElementFacts = {
  cut: true,
  closed: true,
  unit: 'm',
  coats: FROM_GAP,
  perFace: false,
  taped: true,
  aside: false,
};
const OTHER: ElementFacts = { ...JOINTS, cut: false, closed: false, taped: false };

/** Every row of the coat board, and all that follows from it: a new one is an entry here and what the compiler asks. */
export const ELEMENT = {
  flats: JOINTS,
  mixed: JOINTS,
  recessed: JOINTS,
  butts: JOINTS,
  angles: { ...JOINTS, cut: false, perFace: true },
  corners: { ...OTHER, coats: OVER, perFace: true, aside: true },
  heads: { ...OTHER, unit: 'count', coats: OVER, aside: true },
  repairs: { ...OTHER, unit: 'count' },
  face: { ...OTHER, unit: 'm2', coats: ['skim'] },
} as const satisfies Record<Element, ElementFacts>;

/** Rows that are cut across and simulated. */
export type CutElement = 'flats' | 'mixed' | 'recessed' | 'butts';
export const isCut = (element: Element): element is CutElement => ELEMENT[element].cut;
