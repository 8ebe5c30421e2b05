import type { UnitSystem } from '../units';
import type {
  Air,
  CHOICES,
  ChoiceKey,
  Coat,
  CompoundId,
  Decoration,
  JointKind,
  OPENING_KINDS,
  Substrate,
} from './vocabulary';

/** A point of a plan or a face, mm. */
export type Point = readonly [number, number];

export type FloorPlan =
  { lengthMm: number; widthMm: number; heightMm: number } | { outline: Point[]; heightMm: number };

export interface Opening {
  id: string;
  /** The wall it stands in, counted from 0 along the outline. */
  wall: number;
  kind: (typeof OPENING_KINDS)[number];
  /** From the wall's left end, seen from inside, and from the floor. */
  leftMm: number;
  bottomMm: number;
  widthMm: number;
  heightMm: number;
  returns: 'boarded' | 'cased';
}

export interface BoardChoice {
  widthMm: number;
  lengthsMm: number[];
  thicknessMm: number;
  walls: 'across' | 'upright';
}

export interface Framing {
  wallMm: number;
  ceilingMm: number;
  ceilingAlong: 'length' | 'width';
}

export type Finish = { scale: 'level'; grade: 0 | 1 | 2 | 3 | 4 | 5 } | { scale: 'q'; grade: 1 | 2 | 3 | 4 };

/** Critical light grazes the wall; its angle is from the wall plane. */
export interface Light {
  kind: 'ordinary' | 'critical';
  grazingDeg?: number;
}

/** What was measured on one joint, by the joint's id. */
export interface JointNote {
  kind?: JointKind;
  gapMm?: number;
  /** Positive proud, negative a belly. */
  humpMm?: number;
  lippageMm?: number;
}

export interface Room {
  id: string;
  name: string;
  plan: FloorPlan;
  openings: Opening[];
  board: BoardChoice;
  framing: Framing;
  finish: Finish;
  decoration: Decoration;
  light: Light;
  substrate: Substrate;
  /** Old texture, compound or paint is disturbed here. */
  oldWork?: boolean;
  /** A rated assembly bounds this room. */
  rated?: boolean;
  joints?: Record<string, JointNote>;
  /** Full width of the finish over joints where it was widened by hand. */
  bands?: { flatMm?: number; buttMm?: number };
}

export type Choices = { [K in ChoiceKey]: (typeof CHOICES)[K][number] };

export interface Way extends Choices {
  /** Gaps wider than this are prefilled when `prefillWhen` is over-threshold. */
  prefillOverMm: number;
  /** The set time on the bag. */
  setMin: number;
  /** A class chosen by hand for a coat, in place of the school's. */
  compoundFor?: Partial<Record<Coat, CompoundId>>;
}

export interface Climate {
  tempC: number;
  rhPct: number;
  air: Air;
}

export interface Calendar {
  /** ISO date of the first working day. */
  startDate: string;
  /** Clock times, 24 h. */
  from: string;
  to: string;
  /** Working days, 0 Sunday to 6 Saturday. */
  weekdays: number[];
  crew: number;
}

export interface Job {
  format: 'lisse-job/1';
  id: string;
  name: string;
  units: UnitSystem;
  place?: string;
  rooms: Room[];
  way: Way;
  climate: Climate;
  calendar: Calendar;
}
