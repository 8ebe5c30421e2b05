import 'reflect-metadata';
import {
  Id,
  InRange,
  Maybe,
  Name,
  Numbers,
  oneOf,
  pair,
  Part,
  Parts,
  PartsByName,
  Photo,
  PointAt,
  SchemaToo,
  Special,
  WallNumber,
  Where,
  Whole,
  Words,
  YesNo,
} from './field';
import { LIMITS, MOST } from './limits';
import { outlineTrouble } from './outline';
import { list, range, words } from './schema-parts';
import {
  BEADS,
  BOXES,
  CEILINGS,
  COATS,
  COMPOUNDS,
  CONSISTENCIES,
  DAMAGES,
  DECORATIONS,
  ELEMENTS,
  JOINT_KINDS,
  LEVELS,
  OPENING_KINDS,
  PRIMERS,
  QUALITIES,
  RETURNS,
  SILLS,
  SUBSTRATES,
  WALL_BOARDS,
} from './vocabulary';

const isRectangle = ({ outline, counted }: Record<string, unknown>): boolean =>
  outline === undefined && counted === undefined;

const outlineSchema = list(pair(LIMITS.outline.corner), {
  minItems: LIMITS.outline.corners.least,
  maxItems: LIMITS.outline.corners.most,
});

/** Counted; drawn by its corners; or a rectangle, where neither is said. */
@SchemaToo(({ properties, ...rest }) => {
  const { lengthMm, widthMm, ...either } = properties as Record<string, object>;
  return {
    ...rest,
    required: ['heightMm'],
    properties: either,
    if: { anyOf: [{ required: ['outline'] }, { required: ['counted'] }] },
    else: { required: ['lengthMm', 'widthMm'], properties: { lengthMm, widthMm } },
  };
})
class RoomPlanDoc {
  @Where(isRectangle) @InRange(LIMITS.room.lengthMm) lengthMm!: number;
  @Where(isRectangle) @InRange(LIMITS.room.widthMm) widthMm!: number;
  @Maybe() @oneOf([true]) counted?: boolean;
  @Maybe() @Special(outlineTrouble, outlineSchema) outline?: unknown;
  @InRange(LIMITS.room.heightMm) heightMm!: number;
}

class OpeningDoc {
  @Id() id!: string;
  @WallNumber() wall!: number;
  @oneOf(OPENING_KINDS) kind!: string;
  @InRange(LIMITS.opening.leftMm, 'from the left end of the wall, seen from inside') leftMm!: number;
  @InRange(LIMITS.opening.bottomMm, 'above the floor') bottomMm!: number;
  @InRange(LIMITS.opening.widthMm) widthMm!: number;
  @InRange(LIMITS.opening.heightMm) heightMm!: number;
  @oneOf(RETURNS) returns!: string;
  @Maybe() @InRange(LIMITS.opening.depthMm, 'depth of boarded returns') depthMm?: number;
  @Maybe() @oneOf(SILLS) sill?: string;
  @Maybe() @InRange(LIMITS.opening.archMm, 'rise of an arched head, within the height') archMm?: number;
}

class CeilingDoc {
  @oneOf(CEILINGS.filter((kind) => kind !== 'flat')) kind!: string;
  @WallNumber('rises away from this wall, or has its ridge along it') wall!: number;
  @InRange(LIMITS.ceiling.highMm, 'at the high side or the ridge') highMm!: number;
  @Maybe() @InRange(LIMITS.ceiling.flatMm, 'cut off level at this height') flatMm?: number;
}

class BoxDoc {
  @Id() id!: string;
  @oneOf(BOXES) kind!: string;
  @WallNumber() wall!: number;
  @InRange(LIMITS.box.leftMm, 'along the wall from its left end') leftMm!: number;
  @InRange(LIMITS.box.offMm, 'off the wall') offMm!: number;
  @InRange(LIMITS.box.alongMm) alongMm!: number;
  @InRange(LIMITS.box.outMm) outMm!: number;
  @InRange(LIMITS.box.bottomMm) bottomMm!: number;
  @Maybe() @InRange(LIMITS.box.topMm, 'to the ceiling where it is not given') topMm?: number;
}

class ClosetDoc {
  @Id() id!: string;
  @WallNumber() wall!: number;
  @InRange(LIMITS.closet.leftMm) leftMm!: number;
  @InRange(LIMITS.closet.widthMm) widthMm!: number;
  @InRange(LIMITS.closet.depthMm) depthMm!: number;
  @InRange(LIMITS.closet.heightMm) heightMm!: number;
  @InRange(LIMITS.closet.doorLeftMm, 'from the left end of the closet') doorLeftMm!: number;
  @InRange(LIMITS.closet.doorWidthMm) doorWidthMm!: number;
  @InRange(LIMITS.closet.doorHeightMm) doorHeightMm!: number;
  @oneOf(['boarded', 'cased']) returns!: string;
}

class BoardDoc {
  @InRange(LIMITS.board.widthMm) widthMm!: number;
  @Numbers(LIMITS.board.lengthMm, { least: 1, most: MOST.lengths }) lengthsMm!: number[];
  @InRange(LIMITS.board.thicknessMm) thicknessMm!: number;
  @oneOf(WALL_BOARDS) walls!: string;
  @Maybe() @Numbers(LIMITS.board.widthMm, { most: MOST.widths }) alsoWidthsMm?: number[];
}

class FramingDoc {
  @InRange(LIMITS.framing.wallMm) wallMm!: number;
  @InRange(LIMITS.framing.ceilingMm) ceilingMm!: number;
  @oneOf(['length', 'width']) ceilingAlong!: string;
}

const gradesOf = (scale: unknown): readonly number[] => (scale === 'q' ? QUALITIES : LEVELS);

/** A grade of its own scale. */
@SchemaToo((fields) => ({
  ...fields,
  if: { properties: { scale: { const: 'q' } } },
  then: { properties: { grade: words(QUALITIES) } },
}))
class FinishDoc {
  @oneOf(['level', 'q']) scale!: string;
  @Special((value, owner) => {
    const grades = gradesOf((owner as FinishDoc).scale);
    if (grades.includes(value as number)) return undefined;
    return `must be one of ${grades.join(', ')}; it is ${JSON.stringify(value)?.slice(0, 40) ?? 'nothing'}`;
  }, words(LEVELS))
  grade!: number;
}

class LightDoc {
  @oneOf(['ordinary', 'critical']) kind!: string;
  @Maybe() @InRange(LIMITS.light.grazingDeg) grazingDeg?: number;
  /** The opening or lamp it comes from. */
  @Maybe() @Id() from?: string;
}

class LampDoc {
  @Id() id!: string;
  @PointAt(LIMITS.lamp.at) at!: unknown;
  @InRange(LIMITS.lamp.heightMm) heightMm!: number;
}

/** One cell of the coat board changed by hand. */
class CellDoc {
  @Maybe() @oneOf(['skip', 'add']) coat?: string;
  @Maybe() @oneOf(COMPOUNDS) compound?: string;
  @Maybe() @oneOf(CONSISTENCIES) consistency?: string;
  @Maybe() @InRange(LIMITS.cell.bladeMm) bladeMm?: number;
  @Maybe() @InRange(LIMITS.cell.bandMm, 'full width left on the wall') bandMm?: number;
  @Maybe() @InRange(LIMITS.cell.camberMm, 'mud left at mid-blade') camberMm?: number;
  @Maybe() @Whole(LIMITS.cell.layers, 'layers, each hard before the next') layers?: number;
  @Maybe() @YesNo('pulled with a straightedge over the whole band') float?: boolean;
  @Maybe() @InRange(LIMITS.cell.setMin) setMin?: number;
  @Maybe() @InRange(LIMITS.cell.waitMin) waitMin?: number;
}

const CELLS = ELEMENTS.flatMap((element) => COATS.map((coat) => `${element}.${coat}`));

/** Changed cells of the coat board, by element and coat. */
export const Cells = (): PropertyDecorator =>
  PartsByName(() => CellDoc, CELLS.length, { keys: CELLS, description: 'changed cells of the coat board' });

class JointNoteDoc {
  @Maybe() @oneOf(JOINT_KINDS) kind?: string;
  @Maybe() @InRange(LIMITS.joint.gapMm) gapMm?: number;
  @Maybe() @InRange(LIMITS.joint.humpMm) humpMm?: number;
  @Maybe() @InRange(LIMITS.joint.spanMm, 'half the width the hump spreads over') spanMm?: number;
  @Maybe() @InRange(LIMITS.joint.lippageMm) lippageMm?: number;
  @Maybe()
  @InRange(LIMITS.joint.notchMm, 'butt ends trimmed back on a bevel, depth at the joint')
  notchMm?: number;
  @Maybe() @InRange(LIMITS.joint.lengthMm) lengthMm?: number;
  @Maybe() @InRange(LIMITS.joint.thicknessMm) thicknessMm?: number;
  @Maybe() @Words() note?: string;
  @Maybe() @Photo() photo?: string;
  @Maybe() @oneOf(BEADS) bead?: string;
  @Maybe() @PartsByName(() => CellDoc, COATS.length, { keys: COATS }) cells?: unknown;
}

const CUTS = list(range(LIMITS.face.cut.least, LIMITS.face.cut.most), { maxItems: MOST.cuts });

function cutsTrouble(value: unknown): string | undefined {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return 'must be an object of rows';
  const rows = Object.entries(value);
  if (rows.length > MOST.cutRows) return `must have at most ${MOST.cutRows} rows; it has ${rows.length}`;
  for (const [row, cuts] of rows as [string, unknown][]) {
    if (!/^\d{1,3}$/.test(row)) return `“${row.slice(0, 20)}” must be a row number`;
    const { least, most } = LIMITS.face.cut;
    const right =
      Array.isArray(cuts) &&
      cuts.length <= MOST.cuts &&
      cuts.every((at) => typeof at === 'number' && at >= least && at <= most);
    if (!right) return `row ${row} must be a list of at most ${MOST.cuts} places from ${least} to ${most} mm`;
  }
  return undefined;
}

class FaceNoteDoc {
  @Maybe() @oneOf(['across', 'upright']) along?: string;
  @Maybe() @oneOf(['high', 'low']) from?: string;
  @Maybe() @InRange(LIMITS.face.framingMm) framingMm?: number;
  @Maybe() @oneOf(['up', 'along']) framing?: string;
  @Maybe() @oneOf(SUBSTRATES) substrate?: string;
  @Maybe() @YesNo() rated?: boolean;
  @Maybe() @YesNo() unboarded?: boolean;
  @Maybe()
  @Special(cutsTrouble, {
    type: 'object',
    description: 'butts put by hand, by row',
    maxProperties: MOST.cutRows,
    propertyNames: { pattern: '^\\d{1,3}$' },
    additionalProperties: CUTS,
  })
  cuts?: unknown;
  @Maybe() @Part(() => FinishDoc) finish?: FinishDoc;
  @Maybe() @oneOf(DECORATIONS) decoration?: string;
  @Maybe() @Part(() => LightDoc) light?: LightDoc;
  @Maybe() @oneOf(PRIMERS) primer?: string;
}

class SeamDoc {
  @Id() id!: string;
  @Name() face!: string;
  @oneOf(['up', 'along']) runs!: string;
  @InRange(LIMITS.seam.atMm) atMm!: number;
  @oneOf(['low', 'high']) old!: string;
  @InRange(LIMITS.seam.stepMm) stepMm!: number;
}

class DamageDoc {
  @Id() id!: string;
  @Name() face!: string;
  @PointAt(LIMITS.damage.at) at!: unknown;
  @oneOf(DAMAGES) kind!: string;
  @InRange(LIMITS.damage.sizeMm) sizeMm!: number;
  @Maybe() @Name() note?: string;
}

/** Lengths by joint kind. */
class JointLengthsDoc {}
for (const kind of JOINT_KINDS) {
  InRange(LIMITS.counts.mm)(JointLengthsDoc.prototype, kind);
  Maybe()(JointLengthsDoc.prototype, kind);
}

class CountsDoc {
  @Part(() => JointLengthsDoc) mm!: unknown;
  @Maybe() @Whole(LIMITS.counts.corners) corners?: number;
  @Maybe() @Whole(LIMITS.counts.heads) heads?: number;
  @Maybe() @InRange(LIMITS.counts.areaM2) areaM2?: number;
}

export class RoomDoc {
  @Id() id!: string;
  @Name() name!: string;
  @Part(() => RoomPlanDoc) plan!: RoomPlanDoc;
  @Maybe() @Part(() => CeilingDoc) ceiling?: CeilingDoc;
  @Parts(() => OpeningDoc, MOST.openings) openings!: OpeningDoc[];
  @Maybe() @Parts(() => BoxDoc, MOST.boxes) boxes?: BoxDoc[];
  @Maybe() @Parts(() => ClosetDoc, MOST.closets) closets?: ClosetDoc[];
  @Part(() => BoardDoc) board!: BoardDoc;
  @Part(() => FramingDoc) framing!: FramingDoc;
  @Part(() => FinishDoc) finish!: FinishDoc;
  @oneOf(DECORATIONS) decoration!: string;
  @Part(() => LightDoc) light!: LightDoc;
  @Maybe() @oneOf(PRIMERS) primer?: string;
  @Maybe() @Parts(() => LampDoc, MOST.lamps) lamps?: LampDoc[];
  @oneOf(SUBSTRATES) substrate!: string;
  @Maybe() @YesNo() oldWork?: boolean;
  @Maybe() @YesNo() rated?: boolean;
  @Maybe() @YesNo() damp?: boolean;
  @Maybe() @YesNo('a garage, or a wall between a garage and living space') garage?: boolean;
  @Maybe()
  @PartsByName(() => JointNoteDoc, MOST.joints, { description: 'what was measured on a joint, by its id' })
  joints?: unknown;
  @Maybe()
  @PartsByName(() => FaceNoteDoc, MOST.faces, { description: 'what is known of one face, by its id' })
  faces?: unknown;
  @Maybe() @Parts(() => SeamDoc, MOST.seams) seams?: SeamDoc[];
  @Maybe() @Parts(() => DamageDoc, MOST.damage) damage?: DamageDoc[];
  @Maybe() @Part(() => CountsDoc) counts?: CountsDoc;
  @Maybe() @Cells() cells?: unknown;
}
