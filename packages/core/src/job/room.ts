import 'reflect-metadata';
import { say } from '../texts';
import {
  type Fields,
  Maybe,
  Part,
  Parts,
  PartsByName,
  SchemaToo,
  Special,
  type Trouble,
  spelled,
} from './field';
import { Names, Numbers } from './field-lists';
import { CalendarDate, Id, InRange, Name, Photo, PointAt, Whole, Words, YesNo, oneOf } from './field-values';
import { AnyFloorPlan, Opening, Ceiling, Box, Closet, type FloorPlan, type Point } from './floor';
import { LIMITS, MOST } from './limits';
import { list, range, words } from './schema-parts';
import {
  BARES,
  BEADS,
  COATS,
  COMPOUNDS,
  CONSISTENCIES,
  DAMAGES,
  DECORATIONS,
  ELEMENTS,
  UNBOARDED_REASONS,
  JOINT_KINDS,
  LEVELS,
  PRIMERS,
  QUALITIES,
  SUBSTRATES,
  WALL_BOARDS,
  type Bare,
  type BeadKind,
  type Coat,
  type CompoundId,
  type Consistency,
  type DamageKind,
  type Decoration,
  type Element,
  type Instead,
  type JointKind,
  type Primer,
  type Substrate,
  type WallBoards,
} from './vocabulary';

export class BoardChoice {
  @InRange(LIMITS.board.widthMm) widthMm!: number;
  @Numbers(LIMITS.board.lengthMm, { least: 1, most: MOST.lengths }) lengthsMm!: number[];
  @InRange(LIMITS.board.thicknessMm) thicknessMm!: number;
  @oneOf(WALL_BOARDS) walls!: WallBoards;
  /** Other widths at hand; each face takes the one that leaves less butt, then fewer boards. */
  @Maybe() @Numbers(LIMITS.board.widthMm, { most: MOST.widths }) alsoWidthsMm?: number[];
}

export class Framing {
  @InRange(LIMITS.framing.wallMm) wallMm!: number;
  @InRange(LIMITS.framing.ceilingMm) ceilingMm!: number;
  @oneOf(['length', 'width']) ceilingAlong!: 'length' | 'width';
}

export type Finish =
  | { scale: 'level'; grade: (typeof LEVELS)[number] }
  | { scale: 'q'; grade: (typeof QUALITIES)[number] };

const gradesOf = (scale: unknown): readonly number[] => (scale === 'q' ? QUALITIES : LEVELS);

/** A grade of its own scale. */
@SchemaToo((fields) => ({
  ...fields,
  if: { properties: { scale: { const: 'q' } } },
  then: { properties: { grade: words(QUALITIES) } },
}))
export class AnyFinish implements Fields<Finish> {
  @oneOf(['level', 'q']) scale!: unknown;
  @Special((value, owner) => {
    const grades = gradesOf((owner as AnyFinish).scale);
    if (grades.includes(value as number)) return undefined;
    return say('door.one-of', { allowed: grades.join(', '), is: spelled(value) });
  }, words(LEVELS))
  grade!: unknown;
}

/** Critical light grazes the wall; its angle is from the wall plane. */
export class Light {
  @oneOf(['ordinary', 'critical']) kind!: 'ordinary' | 'critical';
  @Maybe() @InRange(LIMITS.light.grazingDeg) grazingDeg?: number;
  /** The opening or lamp it comes from; its place then gives the angle on each face. */
  @Maybe() @Id() from?: string;
}

/** A lamp by its place in the plan and its height above the floor. */
export class Lamp {
  @Id() id!: string;
  @PointAt(LIMITS.lamp.at) at!: Point;
  @InRange(LIMITS.lamp.heightMm) heightMm!: number;
}

/** What is to be finished how, and seen in what light. */
export interface FinishSpec {
  finish: Finish;
  decoration: Decoration;
  light: Light;
  /** As is usual under the decoration where it is not given. */
  primer?: Primer;
}

/** One cell of the coat board changed by hand. */
export class CellEdit {
  /** Left out though the grade asks for it, or done though it does not. */
  @Maybe() @oneOf(['skip', 'add']) coat?: 'skip' | 'add';
  @Maybe() @oneOf(COMPOUNDS) compound?: CompoundId;
  @Maybe() @oneOf(CONSISTENCIES) consistency?: Consistency;
  @Maybe() @InRange(LIMITS.cell.bladeMm) bladeMm?: number;
  @Maybe() @InRange(LIMITS.cell.bandMm, 'full width left on the wall') bandMm?: number;
  @Maybe() @InRange(LIMITS.cell.camberMm, 'mud left at mid-blade') camberMm?: number;
  @Maybe() @Whole(LIMITS.cell.layers, 'layers, each hard before the next') layers?: number;
  /** Pulled with a straightedge that reaches over the whole band, not with a blade. */
  @Maybe() @YesNo('pulled with a straightedge over the whole band') float?: boolean;
  /** Set time on the bag for this coat. */
  @Maybe() @InRange(LIMITS.cell.setMin) setMin?: number;
  /** Wait before the next coat, in place of what is reckoned. */
  @Maybe() @InRange(LIMITS.cell.waitMin) waitMin?: number;
}

/** Edits by `element.coat`. */
export type CellEdits = Partial<Record<`${Element}.${Coat}`, CellEdit>>;

const CELLS = ELEMENTS.flatMap((element) => COATS.map((coat) => `${element}.${coat}`));

/** Changed cells of the coat board, by element and coat. */
export const Cells = (): PropertyDecorator =>
  PartsByName(() => CellEdit, CELLS.length, { keys: CELLS, description: 'changed cells of the coat board' });

/** What was measured on one joint. */
export class JointNote {
  @Maybe() @oneOf(JOINT_KINDS) kind?: JointKind;
  @Maybe() @InRange(LIMITS.joint.gapMm) gapMm?: number;
  /** Positive proud, negative a belly. */
  @Maybe() @InRange(LIMITS.joint.humpMm) humpMm?: number;
  @Maybe() @InRange(LIMITS.joint.spanMm, 'half the width the hump spreads over') spanMm?: number;
  @Maybe() @InRange(LIMITS.joint.lippageMm) lippageMm?: number;
  @Maybe()
  @InRange(LIMITS.joint.notchMm, 'butt ends trimmed back on a bevel, depth at the joint')
  notchMm?: number;
  @Maybe() @InRange(LIMITS.joint.lengthMm) lengthMm?: number;
  @Maybe() @InRange(LIMITS.joint.thicknessMm) thicknessMm?: number;
  @Maybe() @Words() note?: string;
  /** A small JPEG as a data address. */
  @Maybe() @Photo() photo?: string;
  @Maybe() @oneOf(BEADS) bead?: BeadKind;
  /** Its own coats, by coat. */
  @Maybe() @PartsByName(() => CellEdit, COATS.length, { keys: COATS }) cells?: Partial<
    Record<Coat, CellEdit>
  >;
}

const CUTS = list(range(LIMITS.face.cut.least, LIMITS.face.cut.most), { maxItems: MOST.cuts });

function cutsTrouble(value: unknown): Trouble {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return say('door.rows');
  const rows = Object.entries(value);
  if (rows.length > MOST.cutRows) return say('door.row-count', { most: MOST.cutRows, has: rows.length });
  for (const [row, cuts] of rows as [string, unknown][]) {
    if (!/^\d{1,3}$/.test(row)) return say('door.row-number', { row: row.slice(0, 20) });
    const { least, most } = LIMITS.face.cut;
    const right =
      Array.isArray(cuts) &&
      cuts.length <= MOST.cuts &&
      cuts.every((at) => typeof at === 'number' && at >= least && at <= most);
    if (!right) return say('door.row', { row, many: MOST.cuts, least, most });
  }
  return undefined;
}

/** What is known of one face; the room's own stands where nothing is said. */
export class FaceNote implements Partial<FinishSpec> {
  @Maybe() @oneOf(['across', 'upright']) along?: 'across' | 'upright';
  @Maybe() @oneOf(['high', 'low']) from?: 'high' | 'low';
  @Maybe() @InRange(LIMITS.face.framingMm) framingMm?: number;
  /** Framing runs up the face or along it. */
  @Maybe() @oneOf(['up', 'along']) framing?: 'up' | 'along';
  @Maybe() @oneOf(SUBSTRATES) substrate?: Substrate;
  @Maybe() @YesNo() rated?: boolean;
  @Maybe() @YesNo() unboarded?: boolean;
  /** What stands there where it is not boarded. */
  @Maybe() @oneOf(UNBOARDED_REASONS) instead?: Instead;
  /** Butts put by hand, by row counted from where the rows start, mm along the row. */
  @Maybe()
  @Special(cutsTrouble, {
    type: 'object',
    description: 'butts put by hand, by row',
    maxProperties: MOST.cutRows,
    propertyNames: { pattern: '^\\d{1,3}$' },
    additionalProperties: CUTS,
  })
  cuts?: Record<string, number[]>;
  @Maybe() @Part(() => AnyFinish) finish?: Finish;
  @Maybe() @oneOf(DECORATIONS) decoration?: Decoration;
  @Maybe() @Part(() => Light) light?: Light;
  @Maybe() @oneOf(PRIMERS) primer?: Primer;
}

/** A line where new board meets old work; the old side is not boarded. */
export class Seam {
  @Id() id!: string;
  @Name() face!: string;
  /** Runs up the face at a distance from its left, or along it at a height. */
  @oneOf(['up', 'along']) runs!: 'up' | 'along';
  @InRange(LIMITS.seam.atMm) atMm!: number;
  @oneOf(['low', 'high']) old!: 'low' | 'high';
  /** How much higher the new board stands. */
  @InRange(LIMITS.seam.stepMm) stepMm!: number;
}

/** A damaged spot on a face, to be repaired. */
export class Damage {
  @Id() id!: string;
  /** The face it is on, and where on it, mm; spots that were only counted have no place. */
  @Maybe() @Name() face?: string;
  @Maybe() @PointAt(LIMITS.damage.at) at?: Point;
  @oneOf(DAMAGES) kind!: DamageKind;
  /** Across a round spot, along a line or the longer side of a field. */
  @InRange(LIMITS.damage.sizeMm) sizeMm!: number;
  /** The shorter side of a field; as long as the other where it is not given. */
  @Maybe() @InRange(LIMITS.damage.sizeMm) widthMm?: number;
  /** As is typical of its kind where it is not given. */
  @Maybe() @InRange(LIMITS.damage.depthMm) depthMm?: number;
  /** So many of them alike; one where it is not given. */
  @Maybe() @Whole(LIMITS.damage.count) count?: number;
  /** What it lies on; as its face is where it is not given. */
  @Maybe() @oneOf(BARES) on?: Bare;
  /** Mended by itself, and not with the coats of its room. */
  @Maybe() @YesNo() apart?: boolean;
  /** The entry of the log that told of it. */
  @Maybe() @Id() finding?: string;
  @Maybe() @Name() note?: string;
}

/** Lengths by joint kind. */
class JointLengths {}
for (const kind of JOINT_KINDS) {
  InRange(LIMITS.counts.mm)(JointLengths.prototype, kind);
  Maybe()(JointLengths.prototype, kind);
}

/** Joints counted and not drawn. */
export class Counts {
  @Part(() => JointLengths) mm!: Partial<Record<JointKind, number>>;
  /** Pieces the outside corners come in. */
  @Maybe() @Whole(LIMITS.counts.corners) corners?: number;
  @Maybe() @Whole(LIMITS.counts.heads) heads?: number;
  @Maybe() @InRange(LIMITS.counts.areaM2) areaM2?: number;
}

/** Days others work in a room, from the first to the last. */
export class BlockedPeriod {
  @CalendarDate() from!: string;
  @CalendarDate() to!: string;
  @Maybe() @Words() why?: string;
}

/** The order joints are run in, as set by hand: by their ids. */
class Runs {}
for (const coat of COATS) {
  Names(MOST.joints)(Runs.prototype, coat);
  Maybe()(Runs.prototype, coat);
}

export class Room implements FinishSpec {
  @Id() id!: string;
  @Name() name!: string;
  @Part(() => AnyFloorPlan) plan!: FloorPlan;
  @Maybe() @Part(() => Ceiling) ceiling?: Ceiling;
  @Parts(() => Opening, MOST.openings) openings!: Opening[];
  @Maybe() @Parts(() => Box, MOST.boxes) boxes?: Box[];
  @Maybe() @Parts(() => Closet, MOST.closets) closets?: Closet[];
  @Part(() => BoardChoice) board!: BoardChoice;
  @Part(() => Framing) framing!: Framing;
  @Part(() => AnyFinish) finish!: Finish;
  @oneOf(DECORATIONS) decoration!: Decoration;
  @Part(() => Light) light!: Light;
  @Maybe() @oneOf(PRIMERS) primer?: Primer;
  @Maybe() @Parts(() => Lamp, MOST.lamps) lamps?: Lamp[];
  @oneOf(SUBSTRATES) substrate!: Substrate;
  /** Old texture, compound or paint is disturbed here. */
  @Maybe() @YesNo() oldWork?: boolean;
  /** What is old here was tested by licensed people and found clear. */
  @Maybe() @YesNo() oldClear?: boolean;
  /** A rated assembly bounds this room. */
  @Maybe() @YesNo() rated?: boolean;
  @Maybe() @YesNo('boarded and finished already: only what is damaged in it is mended') standing?: boolean;
  @Maybe() @YesNo() damp?: boolean;
  @Maybe() @YesNo('a garage, or a wall between a garage and living space') garage?: boolean;
  @Maybe()
  @PartsByName(() => JointNote, MOST.joints, { description: 'what was measured on a joint, by its id' })
  joints?: Record<string, JointNote>;
  @Maybe()
  @PartsByName(() => FaceNote, MOST.faces, { description: 'what is known of one face, by its id' })
  faces?: Record<string, FaceNote>;
  @Maybe() @Parts(() => Seam, MOST.seams) seams?: Seam[];
  @Maybe() @Parts(() => Damage, MOST.damage) damage?: Damage[];
  @Maybe() @Part(() => Counts) counts?: Counts;
  /** The coat board as changed in this room. */
  @Maybe() @Cells() cells?: CellEdits;
  /** How many floors up it lies from where goods are carried in; at the door where it is not given. */
  @Maybe() @Whole(LIMITS.room.storey) storey?: number;
  /** By the end of that day it has to be ready for primer. */
  @Maybe() @CalendarDate() deadline?: string;
  @Maybe() @Parts(() => BlockedPeriod, MOST.shut) shut?: BlockedPeriod[];
  /** Orders of the joints set by hand, by coat. */
  @Maybe() @Part(() => Runs) runs?: Partial<Record<Coat, string[]>>;
}
