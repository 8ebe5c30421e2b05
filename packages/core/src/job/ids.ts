/**
 * Names of faces and joints. They stand in saved jobs (notes, seams, findings, joints by hand) and in published
 * plans, so they are made here alone and never change; what a face is, it says itself in its part.
 */
import type { JointKind } from './vocabulary';

export type OpeningSide = 'left' | 'right' | 'head' | 'sill';

/** Which part of a room a face is. Walls, slopes and sides are numbered from 0. */
export type FacePart = (
  | { is: 'ceiling' }
  | { is: 'slope'; slope: number }
  | { is: 'wall'; wall: number }
  | { is: 'box'; box: string; side: number | 'under' | 'top' }
  | { is: 'reveal'; opening: string; side: OpeningSide }
) & {
  /** The closet it stands in; its own parts are named as a room's. */
  closet?: string;
};

export const wallId = (wall: number): string => `wall-${wall}`;

/** `ceiling`, `slope-0`, `wall-0`, `box-a.side-1`, `reveal-w1-head`, `closet-c.wall-2` … */
export const faceId = (part: FacePart): string =>
  part.closet === undefined ? ownId(part) : `closet-${part.closet}.${ownId(part)}`;

function ownId(part: FacePart): string {
  switch (part.is) {
    case 'ceiling':
      return 'ceiling';
    case 'slope':
      return `slope-${part.slope}`;
    case 'wall':
      return wallId(part.wall);
    case 'box':
      return `box-${part.box}.${typeof part.side === 'number' ? `side-${part.side}` : part.side}`;
    case 'reveal':
      return `reveal-${part.opening}-${part.side}`;
  }
}

/** The wall of a room that a name in a saved job is about; none where it is about anything else. */
export function wallOfId(id: string): number | undefined {
  const wall = Number(id.slice(wallId(0).length - 1));
  return Number.isInteger(wall) && wallId(wall) === id ? wall : undefined;
}

/**
 * The name of the joint between two parts of a room or of a closet, and where it stands among the others: angles of
 * the ceiling first, then corners of walls, then returns.
 * @param corners how many walls there are
 */
export function meetingId(p: FacePart, q: FacePart, corners: number): { id: string; rank: number } {
  const { name, rank } = meetingName(p, q, corners);
  return { id: p.closet === undefined ? name : `closet-${p.closet}.${name}`, rank };
}

function meetingName(p: FacePart, q: FacePart, corners: number): { name: string; rank: number } {
  if (p.is === 'ceiling' && q.is === 'wall') return { name: `angle-top-${q.wall}`, rank: 0 };
  if (p.is === 'wall' && q.is === 'wall') {
    // Walls meet at the right-hand end of the one before.
    const first = (p.wall + 1) % corners === q.wall ? p.wall : q.wall;
    return { name: `corner-${first}`, rank: 1 };
  }
  if (p.is === 'wall' && q.is === 'reveal') return { name: returnId(q.opening, q.side), rank: 2 };
  return { name: `${ownId(p)}~${ownId(q)}`, rank: 3 };
}

export const returnId = (opening: string, side: OpeningSide): string => `return-${opening}-${side}`;
export const seamId = (seam: string, k: number): string => `seam-${seam}${k ? `-${k}` : ''}`;
export const buttId = (face: string, n: number): string => `${face}.butt-${n}`;
export const flatId = (face: string, n: number): string => `${face}.flat-${n}`;
export const countedId = (kind: JointKind): string => `counted-${kind}`;
