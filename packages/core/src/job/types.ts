import type { UnitSystem } from '../units';
import type {
  Air,
  BeadKind,
  BoxKind,
  CHOICES,
  ChoiceKey,
  Coat,
  CompoundId,
  Consistency,
  DamageKind,
  Decoration,
  Element,
  JointKind,
  OPENING_KINDS,
  Primer,
  RETURNS,
  SILLS,
  Substrate,
  Tape,
  ToolId,
  WallBoards,
} from './vocabulary';

/** A point of a plan or a face, mm. */
export type Point = readonly [number, number];

/** A rectangle, any outline, or a room that is counted and not drawn. The height is that of the low side. */
export type FloorPlan =
  | { lengthMm: number; widthMm: number; heightMm: number }
  | { outline: Point[]; heightMm: number }
  | { counted: true; heightMm: number };

/**
 * A ceiling that is not level. A slope rises away from `wall`; a gable has its ridge parallel to `wall`, half
 * way across. `flatMm` cuts either off level.
 */
export interface Ceiling {
  kind: 'slope' | 'gable';
  wall: number;
  /** Above the floor, at the high side or the ridge. */
  highMm: number;
  flatMm?: number;
}

/** What stands in or hangs into the room: a block along a wall, or free of it. */
export interface Box {
  id: string;
  kind: BoxKind;
  wall: number;
  /** Along the wall from its left end, and how far off it. */
  leftMm: number;
  offMm: number;
  alongMm: number;
  outMm: number;
  bottomMm: number;
  /** To the ceiling where it is not given. */
  topMm?: number;
}

/** A small room behind a wall, with an opening into it. */
export interface Closet {
  id: string;
  wall: number;
  /** Its inside, from the left end of the wall. */
  leftMm: number;
  widthMm: number;
  depthMm: number;
  heightMm: number;
  /** The opening, from the closet's left end. */
  doorLeftMm: number;
  doorWidthMm: number;
  doorHeightMm: number;
  returns: 'boarded' | 'cased';
}

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
  returns: (typeof RETURNS)[number];
  /** How deep boarded returns reach; typical where it is not given. */
  depthMm?: number;
  sill?: (typeof SILLS)[number];
  /** Rise of an arched head, within the height. */
  archMm?: number;
}

export interface BoardChoice {
  widthMm: number;
  lengthsMm: number[];
  thicknessMm: number;
  walls: WallBoards;
  /** Other widths at hand; each face takes the one that leaves less butt, then fewer boards. */
  alsoWidthsMm?: number[];
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
  /** The opening or lamp it comes from; its place then gives the angle on each face. */
  from?: string;
}

/** A lamp by its place in the plan and its height above the floor. */
export interface Lamp {
  id: string;
  at: Point;
  heightMm: number;
}

/** What is to be finished how, and seen in what light. */
export interface Look {
  finish: Finish;
  decoration: Decoration;
  light: Light;
  /** As is usual under the decoration where it is not given. */
  primer?: Primer;
}

/** One cell of the coat board changed by hand. */
export interface CellEdit {
  /** Left out though the grade asks for it, or done though it does not. */
  coat?: 'skip' | 'add';
  compound?: CompoundId;
  consistency?: Consistency;
  bladeMm?: number;
  /** Full width of what is left on the wall. */
  bandMm?: number;
  /** Mud left at mid-blade. */
  camberMm?: number;
  /** Laid in so many layers, each hard before the next. */
  layers?: number;
  /** Floated: pulled with a straightedge that reaches over the whole band, not with a blade. */
  float?: boolean;
  /** Set time on the bag for this coat. */
  setMin?: number;
  /** Wait before the next coat, in place of what is reckoned. */
  waitMin?: number;
}

/** Edits by `element.coat`. */
export type CellEdits = Partial<Record<`${Element}.${Coat}`, CellEdit>>;

/** What was measured on one joint, by the joint's id. */
export interface JointNote {
  kind?: JointKind;
  gapMm?: number;
  /** Positive proud, negative a belly. */
  humpMm?: number;
  /** Half the width the hump spreads over. */
  spanMm?: number;
  lippageMm?: number;
  /** Butt ends trimmed back on a bevel, this deep at the joint. */
  notchMm?: number;
  lengthMm?: number;
  thicknessMm?: number;
  note?: string;
  /** A small JPEG as a data address. */
  photo?: string;
  bead?: BeadKind;
  /** Its own coats, by coat. */
  cells?: Partial<Record<Coat, CellEdit>>;
}

/** What is known of one face, by the face's id; the room's own stands where nothing is said. */
export interface FaceNote extends Partial<Look> {
  along?: 'across' | 'upright';
  from?: 'high' | 'low';
  framingMm?: number;
  /** Framing runs up the face or along it. */
  framing?: 'up' | 'along';
  substrate?: Substrate;
  rated?: boolean;
  unboarded?: boolean;
  /** Butts put by hand, by row counted from where the rows start, mm along the row. */
  cuts?: Record<string, number[]>;
}

/** A line where new board meets old work; the old side is not boarded. */
export interface Seam {
  id: string;
  face: string;
  /** Runs up the face at a distance from its left, or along it at a height. */
  runs: 'up' | 'along';
  atMm: number;
  old: 'low' | 'high';
  /** How much higher the new board stands. */
  stepMm: number;
}

/** A damaged spot on a face, to be repaired. */
export interface Damage {
  id: string;
  face: string;
  /** On its face, mm. */
  at: Point;
  kind: DamageKind;
  sizeMm: number;
  note?: string;
}

/** Joints counted and not drawn. */
export interface Counts {
  mm: Partial<Record<JointKind, number>>;
  /** Pieces the outside corners come in. */
  corners?: number;
  heads?: number;
  areaM2?: number;
}

export interface Room extends Look {
  id: string;
  name: string;
  plan: FloorPlan;
  ceiling?: Ceiling;
  openings: Opening[];
  boxes?: Box[];
  closets?: Closet[];
  board: BoardChoice;
  framing: Framing;
  substrate: Substrate;
  lamps?: Lamp[];
  /** Old texture, compound or paint is disturbed here. */
  oldWork?: boolean;
  /** A rated assembly bounds this room. */
  rated?: boolean;
  damp?: boolean;
  /** A garage, or a wall between a garage and living space. */
  garage?: boolean;
  joints?: Record<string, JointNote>;
  faces?: Record<string, FaceNote>;
  seams?: Seam[];
  damage?: Damage[];
  counts?: Counts;
  /** The coat board as changed in this room. */
  cells?: CellEdits;
}

export type Choices = { [K in ChoiceKey]: (typeof CHOICES)[K][number] };

export interface Way extends Choices {
  /** Gaps wider than this are prefilled when `prefillWhen` is over-threshold. */
  prefillOverMm: number;
  /** The set time on the bag. */
  setMin: number;
  /** A class chosen by hand for a coat, in place of the school's. */
  compoundFor?: Partial<Record<Coat, CompoundId>>;
  /** Bead on square outside corners; nail-on where it is not given. */
  bead?: BeadKind;
  /** What is mixed at once, L; as much as can be used up where it is not given. */
  batchL?: number;
  /** The coat board as changed for every room. */
  cells?: CellEdits;
}

/** A product of the user's own, of one of the classes. */
export interface Product {
  id: string;
  name: string;
  compound: CompoundId;
  /** What one package is, makes and weighs. */
  kind: 'pail' | 'box' | 'tub' | 'bag';
  yieldsL: number;
  massKg: number;
  waterL?: number;
  shrink?: number;
  setMin?: number;
  price?: number;
  onHandL?: number;
  /** ISO date on the package. */
  useBy?: string;
  opened?: string;
  /** Plans reckon with it in place of its class; one product of a class at a time. */
  inUse: boolean;
}

/** A strip of tape pulled off a cured sample. */
export interface PeelTest {
  id: string;
  compound: CompoundId;
  product?: string;
  tape: Tape;
  /** Days between bedding and pulling. */
  days: number;
  /** Where the paper itself tore, and where the strip let go clean, cm². */
  tornCm2: number;
  cleanCm2: number;
  date?: string;
  note?: string;
  /** A small JPEG as a data address. */
  photo?: string;
}

/** A way of working kept under a name. */
export interface OwnWay {
  id: string;
  name: string;
  way: Way;
}

/** What this finisher has: products, tools, evidence and figures. It travels with the job. */
export interface Shop {
  /** Tools owned; what is usual for the tools of the way where it is not given. */
  kit?: ToolId[];
  products?: Product[];
  peels?: PeelTest[];
  ways?: OwnWay[];
  /** Figures of the book in the user's own values. */
  figures?: Record<string, number>;
  /** Packages heavier than this are not bought where a lighter one is sold, kg. */
  liftKg?: number;
  /** What money is counted in. */
  money?: string;
}

/** Advice set aside, and why. */
export interface SetAside {
  /** Code and place of the advice. */
  key: string;
  reason: string;
  /** ISO date. */
  date: string;
}

/** What the finish agreement says beyond the rooms. */
export interface Agreement {
  owner?: string;
  finisher?: string;
  note?: string;
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
  /** ISO date by which all has to be ready for primer. */
  deadline?: string;
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
  shop?: Shop;
  setAside?: SetAside[];
  agreement?: Agreement;
}
