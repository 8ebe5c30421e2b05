import type { Check, Room, RoundStage } from '../job';
import type { FaceLight } from '../light';
import { isOverhead, type Face } from '../survey';
import { say, type Message } from '../texts';

/** What a round is, and what is done in it on every face. */
export interface RoundFacts {
  name: Message;
  /** How one looks: with a dry blade, with a lamp. */
  how: Message;
  /** What is felt and seen beside findings. */
  checks: readonly Check[];
}

export const ROUND: Readonly<Record<RoundStage, RoundFacts>> = {
  between: {
    name: say('round.between'),
    how: say('round.between.how'),
    checks: ['dry-blade', 'rings-crumbs', 'heads-felt', 'tape-tight', 'edges-thin'],
  },
  'before-primer': {
    name: say('round.before-primer'),
    how: say('round.before-primer.how'),
    checks: ['lamp', 'heads-felt', 'edges-thin', 'angle-straight'],
  },
  'after-primer': {
    name: say('round.after-primer'),
    how: say('round.after-primer.how'),
    checks: ['lamp'],
  },
  handover: { name: say('round.handover'), how: say('round.handover.how'), checks: ['lamp'] },
};

/** Faces that are looked at: what is boarded, or stands; returns go with their wall. */
const isLookedAt = (face: Face, room: Pick<Room, 'standing'>): boolean =>
  face.kind !== 'reveal' && (face.boarded || (room.standing === true && !face.short));

/**
 * The faces of a room in the order one walks them with a lamp: the ceiling while the arm is fresh, then the walls round
 * from the door, what stands in the room after the wall it stands at.
 */
export function lampWalk(faces: readonly Face[], room: Pick<Room, 'openings' | 'standing'>): Face[] {
  const looked = faces.filter((face) => isLookedAt(face, room));
  const wallOf = ({ part }: Face) =>
    part.is === 'wall' && part.closet === undefined ? part.wall : undefined;
  const walls = looked.filter((face) => wallOf(face) !== undefined);
  const over = looked.filter(isOverhead);
  const others = looked.filter((face) => !walls.includes(face) && !over.includes(face));
  const door =
    room.openings.find(({ kind }) => kind === 'door') ?? room.openings.find(({ kind }) => kind === 'opening');
  const first = Math.max(
    0,
    walls.findIndex((face) => wallOf(face) === door?.wall),
  );
  return [...over, ...walls.slice(first), ...walls.slice(0, first), ...others];
}

export type LampSide = 'left' | 'right' | 'low' | 'high';
export const LAMP_SIDES: readonly LampSide[] = ['left', 'right', 'low', 'high'];

/** Where a hand holds a lamp before a face. */
export interface HandLamp {
  side: LampSide;
  light: FaceLight;
}

/** Held so far outside a face, mm: the near edge still takes light. */
const ASIDE_MM = 150;

/** Light runs at least so steep over the far end of a face: a lamp is held farther off a long one. */
const LEAST_SLOPE = 0.06;

/** How far off a face a lamp is held so that its light still reaches the other end, mm. */
export function offFor(
  { box: [u0, v0, u1, v1] }: Pick<Face, 'box'>,
  side: LampSide,
  leastMm: number,
): number {
  const run = side === 'left' || side === 'right' ? u1 - u0 : v1 - v0;
  return Math.max(leastMm, Math.round((LEAST_SLOPE * run) / 10) * 10);
}

/** The four places a hand lamp is held at: beside each edge of a face, close to its plane. */
export function lampsFor({ box: [u0, v0, u1, v1] }: Pick<Face, 'box'>, offMm: number): HandLamp[] {
  const [u, v] = [(u0 + u1) / 2, (v0 + v1) / 2];
  return [
    { side: 'left', light: { u: u0 - ASIDE_MM, v, offMm } },
    { side: 'right', light: { u: u1 + ASIDE_MM, v, offMm } },
    { side: 'low', light: { u, v: v0 - ASIDE_MM, offMm } },
    { side: 'high', light: { u, v: v1 + ASIDE_MM, offMm } },
  ];
}

/**
 * Of four lamps the one that shows most: which brings out the most of what can be brought out, and most strongly.
 * @param seen what shows under each, by how strongly
 */
export function bestLamp(seen: readonly (readonly { contrast: number }[])[], shows: number): number {
  const weight = (all: readonly { contrast: number }[]): number =>
    all.reduce((sum, { contrast }) => sum + Math.min(4, Math.abs(contrast) / shows), 0);
  return seen.reduce((best, one, i) => (weight(one) > weight(seen[best] ?? []) + 1e-9 ? i : best), 0);
}
