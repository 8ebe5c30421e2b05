import type { BeadKind, JointKind, Way } from '../job';

export interface Bead {
  name: string;
  /** How it is fixed. */
  fixing: string;
  /** How far its nose stands above the board, as a share of the usual nose. */
  nose: number;
  /** Faces that are coated. */
  faces: 1 | 2;
  /** Mud to bed it, L a metre; fixed dry where none. */
  bedL: number;
  /** What to mind at the first fill. */
  mind: string;
}

/** Bead kinds of the trade; figures typical. */
export const BEAD: Record<BeadKind, Bead> = {
  'nail-on': {
    name: 'nail-on metal',
    fixing: 'nailed or crimped every hand and a half',
    nose: 1,
    faces: 2,
    bedL: 0,
    mind: 'A straightedge from nose to face must show light in the middle on both faces; if it rocks, shift the bead.',
  },
  'paper-faced': {
    name: 'paper-faced',
    fixing: 'bedded in compound and rolled tight',
    nose: 0.7,
    faces: 2,
    bedL: 0.06,
    mind: 'Press out the excess but never starve the paper; wet raw cut edges first.',
  },
  plastic: {
    name: 'plastic',
    fixing: 'glued and stapled',
    nose: 0.9,
    faces: 2,
    bedL: 0,
    mind: 'Check that both faces show a valley before the glue takes.',
  },
  bullnose: {
    name: 'bullnose',
    fixing: 'glued and stapled',
    nose: 1.4,
    faces: 2,
    bedL: 0,
    mind: 'Keep the first fill off the round, so that the nose stays clean.',
  },
  flexible: {
    name: 'flexible strip',
    fixing: 'bedded in compound, folded to the angle',
    nose: 0.5,
    faces: 2,
    bedL: 0.06,
    mind: 'Sight along it before it stiffens: a flexible strip shows every wave.',
  },
  'l-trim': {
    name: 'L-trim',
    fixing: 'stapled to the edge of the board',
    nose: 0.8,
    faces: 1,
    bedL: 0,
    mind: 'One face only: pull off the leg, not onto it.',
  },
};

/** The bead on an outside corner: what was noted there, what its kind needs, or the way's. */
export function beadOf(joint: { kind: JointKind; bead?: BeadKind }, way: Pick<Way, 'bead'>): BeadKind {
  if (joint.bead) return joint.bead;
  if (joint.kind === 'trim') return 'l-trim';
  return joint.kind === 'off-angle-outside' ? 'flexible' : (way.bead ?? 'nail-on');
}
