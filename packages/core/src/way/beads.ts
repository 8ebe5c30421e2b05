import type { Book } from '../book';
import type { BeadKind, JointKind, Way } from '../job';
import { say, type Message } from '../texts';

export interface Bead {
  /** Faces that are coated. */
  faces: 1 | 2;
  /** Bedded in mud, or fixed dry. */
  bedded: boolean;
}

/** Bead kinds of the trade. */
export const BEAD: Record<BeadKind, Bead> = {
  'nail-on': {
    faces: 2,
    bedded: false,
  },
  'paper-faced': {
    faces: 2,
    bedded: true,
  },
  plastic: {
    faces: 2,
    bedded: false,
  },
  bullnose: {
    faces: 2,
    bedded: false,
  },
  flexible: {
    faces: 2,
    bedded: true,
  },
  'l-trim': {
    faces: 1,
    bedded: false,
  },
};

/** How far a bead's nose stands above the board, mm. */
export const noseMm = (kind: BeadKind, book: Book): number =>
  book.beadNoseMm.value * book[`nose-${kind}`].value;

/** Mud a bead is bedded in, L a metre; none where it is fixed dry. */
export const bedOf = (kind: BeadKind, book: Book): number => (BEAD[kind].bedded ? book.beadBedL.value : 0);

/** What a bead is called, how it is fixed, and what to mind at the first fill. */
export const beadText = (kind: BeadKind): { name: Message; fixing: Message; mind: Message } => ({
  name: say(`bead.${kind}`),
  fixing: say(`bead.${kind}.fixing`),
  mind: say(`bead.${kind}.mind`),
});

/** The bead on an outside corner: what was noted there, what its kind needs, or the way's. */
export function beadOf(joint: { kind: JointKind; bead?: BeadKind }, way: Pick<Way, 'bead'>): BeadKind {
  if (joint.bead) return joint.bead;
  if (joint.kind === 'trim') return 'l-trim';
  return joint.kind === 'off-angle-outside' ? 'flexible' : (way.bead ?? 'nail-on');
}
