import { faceId, type FacePart, type Instead, type Point } from '../job';
import type { Message } from '../texts';
import type { Rect, Shape } from './geometry';

/** A place or a direction in the room: x and y of the plan, z up, mm. */
export type Vec = readonly [x: number, y: number, z: number];

export const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const plus = (a: Vec, b: Vec, k = 1): Vec => [a[0] + k * b[0], a[1] + k * b[1], a[2] + k * b[2]];
export const minus = (a: Vec): Vec => [-a[0], -a[1], -a[2]];

/** Where a face stands: place = origin + u·right + v·up; `inward` points into the room. */
export interface Frame {
  origin: Vec;
  right: Vec;
  up: Vec;
  inward: Vec;
}

export type FaceKind = FacePart['is'];

/** Worked with raised arms: closer screws, other framing, light from below. */
export const isOverhead = ({ kind }: { kind: FaceKind }): boolean => kind === 'ceiling' || kind === 'slope';

/** A surface of a room before it is boarded. */
export interface BareFace extends Shape {
  /** As its part is named. */
  id: string;
  kind: FaceKind;
  part: FacePart;
  /** In words: `ceiling`, `wall 1`, `soffit 1, underside`. */
  name: Message;
  /** The same where there is little room for it. */
  short?: Message;
  frame: Frame;
  boarded: boolean;
  /** What stands there instead of board, where it was left out: nobody may have said. */
  instead?: Instead | 'unsaid';
  /** Openings in it, for the rule about their corners. */
  openings: Rect[];
  /** The strip over an arched head, laid out flat: it meets its neighbours without an angle. */
  bent?: boolean;
}

/** A surface under the name and the kind of its part. */
export const faced = (part: FacePart, rest: Omit<BareFace, 'id' | 'kind' | 'part'>): BareFace => ({
  id: faceId(part),
  kind: part.is,
  part,
  ...rest,
});

/** The place of a face nearest to a place in the room, mm. */
export const onFace = ({ origin, right, up }: Frame, at: Vec): Point => {
  const apart = plus(at, minus(origin));
  return [dot(apart, right), dot(apart, up)];
};

export const inSpace = ({ origin, right, up }: Frame, [u, v]: Point): Vec =>
  plus(plus(origin, right, u), up, v);
