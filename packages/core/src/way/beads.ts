import type { BeadKind, JointKind, Way } from '../job';
import { say, type Message } from '../texts';

export interface Bead {
  /** How far its nose stands above the board, as a share of the usual nose. */
  nose: number;
  /** Faces that are coated. */
  faces: 1 | 2;
  /** Mud to bed it, L a metre; fixed dry where none. */
  bedL: number;
}

/** Bead kinds of the trade; figures typical. */
export const BEAD: Record<BeadKind, Bead> = {
  'nail-on': {
    nose: 1,
    faces: 2,
    bedL: 0,
  },
  'paper-faced': {
    nose: 0.7,
    faces: 2,
    bedL: 0.06,
  },
  plastic: {
    nose: 0.9,
    faces: 2,
    bedL: 0,
  },
  bullnose: {
    nose: 1.4,
    faces: 2,
    bedL: 0,
  },
  flexible: {
    nose: 0.5,
    faces: 2,
    bedL: 0.06,
  },
  'l-trim': {
    nose: 0.8,
    faces: 1,
    bedL: 0,
  },
};

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
