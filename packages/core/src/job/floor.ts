import 'reflect-metadata';
import { type Fields, Maybe, SchemaToo, Special, Where } from './field';
import { Id, InRange, WallNumber, oneOf, pair } from './field-values';
import { LIMITS } from './limits';
import { outlineTrouble } from './outline';
import { list } from './schema-parts';
import { BOXES, CEILINGS, OPENING_KINDS, RETURNS, SILLS, type BoxKind } from './vocabulary';

const isRectangle = ({ outline, counted }: Record<string, unknown>): boolean =>
  outline === undefined && counted === undefined;

const outlineSchema = list(pair(LIMITS.outline.corner), {
  minItems: LIMITS.outline.corners.least,
  maxItems: LIMITS.outline.corners.most,
});

/** A point of a plan or a face, mm. */
export type Point = readonly [number, number];

/** A rectangle, any outline, or a room that is counted and not drawn. The height is that of the low side. */
export type FloorPlan =
  | { lengthMm: number; widthMm: number; heightMm: number }
  | { outline: Point[]; heightMm: number }
  | { counted: true; heightMm: number };

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
export class AnyFloorPlan implements Fields<FloorPlan> {
  @Where(isRectangle) @InRange(LIMITS.room.lengthMm) lengthMm!: unknown;
  @Where(isRectangle) @InRange(LIMITS.room.widthMm) widthMm!: unknown;
  @Maybe() @oneOf([true]) counted!: unknown;
  @Maybe() @Special(outlineTrouble, outlineSchema) outline!: unknown;
  @InRange(LIMITS.room.heightMm) heightMm!: unknown;
}

export class Opening {
  @Id() id!: string;
  @WallNumber() wall!: number;
  @oneOf(OPENING_KINDS) kind!: (typeof OPENING_KINDS)[number];
  @InRange(LIMITS.opening.leftMm, 'from the left end of the wall, seen from inside') leftMm!: number;
  @InRange(LIMITS.opening.bottomMm, 'above the floor') bottomMm!: number;
  @InRange(LIMITS.opening.widthMm) widthMm!: number;
  @InRange(LIMITS.opening.heightMm) heightMm!: number;
  @oneOf(RETURNS) returns!: (typeof RETURNS)[number];
  /** How deep boarded returns reach; typical where it is not given. */
  @Maybe() @InRange(LIMITS.opening.depthMm, 'depth of boarded returns') depthMm?: number;
  @Maybe() @oneOf(SILLS) sill?: (typeof SILLS)[number];
  @Maybe() @InRange(LIMITS.opening.archMm, 'rise of an arched head, within the height') archMm?: number;
}

/**
 * A ceiling that is not level. A slope rises away from `wall`; a gable has its ridge parallel to `wall`, half
 * way across. `flatMm` cuts either off level.
 */
export class Ceiling {
  @oneOf(CEILINGS.filter((kind) => kind !== 'flat')) kind!: 'slope' | 'gable';
  @WallNumber('rises away from this wall, or has its ridge along it') wall!: number;
  @InRange(LIMITS.ceiling.highMm, 'at the high side or the ridge') highMm!: number;
  @Maybe() @InRange(LIMITS.ceiling.flatMm, 'cut off level at this height') flatMm?: number;
}

/** What stands in or hangs into the room: a block along a wall, or free of it. */
export class Box {
  @Id() id!: string;
  @oneOf(BOXES) kind!: BoxKind;
  @WallNumber() wall!: number;
  @InRange(LIMITS.box.leftMm, 'along the wall from its left end') leftMm!: number;
  @InRange(LIMITS.box.offMm, 'off the wall') offMm!: number;
  @InRange(LIMITS.box.alongMm) alongMm!: number;
  @InRange(LIMITS.box.outMm) outMm!: number;
  @InRange(LIMITS.box.bottomMm) bottomMm!: number;
  @Maybe() @InRange(LIMITS.box.topMm, 'to the ceiling where it is not given') topMm?: number;
}

/** A small room behind a wall, with an opening into it. */
export class Closet {
  @Id() id!: string;
  @WallNumber() wall!: number;
  /** Its inside, from the left end of the wall. */
  @InRange(LIMITS.closet.leftMm) leftMm!: number;
  @InRange(LIMITS.closet.widthMm) widthMm!: number;
  @InRange(LIMITS.closet.depthMm) depthMm!: number;
  @InRange(LIMITS.closet.heightMm) heightMm!: number;
  @InRange(LIMITS.closet.doorLeftMm, 'from the left end of the closet') doorLeftMm!: number;
  @InRange(LIMITS.closet.doorWidthMm) doorWidthMm!: number;
  @InRange(LIMITS.closet.doorHeightMm) doorHeightMm!: number;
  @oneOf(['boarded', 'cased']) returns!: 'boarded' | 'cased';
}
