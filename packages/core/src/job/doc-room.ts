import 'reflect-metadata';
import {
  ArrayMaxSize,
  ArrayMinSize,
  Equals,
  IsArray,
  IsInt,
  IsOptional,
  Max,
  Min,
  ValidateIf,
} from 'class-validator';
import { IsCells, IsCutRows, IsGrade, IsJointLengths, IsOutline, IsPoint, RecordOf } from './checks';
import { Id, InRange, Name, oneOf, Part, Parts, Photo, WallNumber, Words, YesNo } from './doc-parts';
import {
  BEADS,
  BOXES,
  CEILINGS,
  DAMAGES,
  DECORATIONS,
  JOINT_KINDS,
  OPENING_KINDS,
  PRIMERS,
  RETURNS,
  SILLS,
  SUBSTRATES,
  WALL_BOARDS,
} from './vocabulary';

const isRectangle = (o: RoomPlanDoc): boolean => o.outline === undefined && o.counted === undefined;

class RoomPlanDoc {
  @ValidateIf(isRectangle)
  @InRange(300, 100000, 'mm')
  lengthMm!: number;

  @ValidateIf(isRectangle)
  @InRange(300, 100000, 'mm')
  widthMm!: number;

  @IsOptional() @Equals(true, { message: 'must be true where it is given' }) counted?: boolean;

  @ValidateIf((o: RoomPlanDoc) => o.outline !== undefined)
  @IsOutline()
  outline?: unknown;

  @InRange(300, 30000, 'mm') heightMm!: number;
}

class OpeningDoc {
  @Id() id!: string;
  @WallNumber() wall!: number;
  @oneOf(OPENING_KINDS) kind!: string;
  @InRange(0, 100000, 'mm') leftMm!: number;
  @InRange(0, 30000, 'mm') bottomMm!: number;
  @InRange(50, 100000, 'mm') widthMm!: number;
  @InRange(50, 30000, 'mm') heightMm!: number;
  @oneOf(RETURNS) returns!: string;
  @IsOptional() @InRange(10, 2000, 'mm') depthMm?: number;
  @IsOptional() @oneOf(SILLS) sill?: string;
  @IsOptional() @InRange(0, 10000, 'mm') archMm?: number;
}

class CeilingDoc {
  @oneOf(CEILINGS.filter((kind) => kind !== 'flat')) kind!: string;
  @WallNumber() wall!: number;
  @InRange(300, 30000, 'mm') highMm!: number;
  @IsOptional() @InRange(300, 30000, 'mm') flatMm?: number;
}

class BoxDoc {
  @Id() id!: string;
  @oneOf(BOXES) kind!: string;
  @WallNumber() wall!: number;
  @InRange(0, 100000, 'mm') leftMm!: number;
  @InRange(0, 100000, 'mm') offMm!: number;
  @InRange(20, 100000, 'mm') alongMm!: number;
  @InRange(20, 100000, 'mm') outMm!: number;
  @InRange(0, 30000, 'mm') bottomMm!: number;
  @IsOptional() @InRange(20, 30000, 'mm') topMm?: number;
}

class ClosetDoc {
  @Id() id!: string;
  @WallNumber() wall!: number;
  @InRange(0, 100000, 'mm') leftMm!: number;
  @InRange(300, 20000, 'mm') widthMm!: number;
  @InRange(300, 20000, 'mm') depthMm!: number;
  @InRange(300, 30000, 'mm') heightMm!: number;
  @InRange(0, 20000, 'mm') doorLeftMm!: number;
  @InRange(50, 20000, 'mm') doorWidthMm!: number;
  @InRange(50, 30000, 'mm') doorHeightMm!: number;
  @oneOf(['boarded', 'cased']) returns!: string;
}

class BoardDoc {
  @InRange(300, 2000, 'mm') widthMm!: number;
  @IsArray({ message: 'must be a list; it is $value' })
  @ArrayMinSize(1, { message: 'must name at least one stock length' })
  @ArrayMaxSize(20, { message: 'must have at most 20 entries' })
  @Min(600, { each: true, message: 'must be lengths from 600 to 8000 mm' })
  @Max(8000, { each: true, message: 'must be lengths from 600 to 8000 mm' })
  lengthsMm!: number[];
  @InRange(6, 30, 'mm') thicknessMm!: number;
  @oneOf(WALL_BOARDS) walls!: string;
  @IsOptional()
  @IsArray({ message: 'must be a list; it is $value' })
  @ArrayMaxSize(5, { message: 'must have at most 5 entries' })
  @Min(300, { each: true, message: 'must be widths from 300 to 2000 mm' })
  @Max(2000, { each: true, message: 'must be widths from 300 to 2000 mm' })
  alsoWidthsMm?: number[];
}

class FramingDoc {
  @InRange(200, 1300, 'mm') wallMm!: number;
  @InRange(200, 1300, 'mm') ceilingMm!: number;
  @oneOf(['length', 'width']) ceilingAlong!: string;
}

class FinishDoc {
  @oneOf(['level', 'q']) scale!: string;
  @IsGrade() grade!: number;
}

class LightDoc {
  @oneOf(['ordinary', 'critical']) kind!: string;
  @IsOptional() @InRange(0.5, 90, 'degrees') grazingDeg?: number;
  @IsOptional() @Id() from?: string;
}

class LampDoc {
  @Id() id!: string;
  @IsPoint() at!: unknown;
  @InRange(0, 30000, 'mm') heightMm!: number;
}

class JointNoteDoc {
  @IsOptional() @oneOf(JOINT_KINDS) kind?: string;
  @IsOptional() @InRange(0, 100, 'mm') gapMm?: number;
  @IsOptional() @InRange(-50, 50, 'mm') humpMm?: number;
  @IsOptional() @InRange(50, 3000, 'mm') spanMm?: number;
  @IsOptional() @InRange(-20, 20, 'mm') lippageMm?: number;
  @IsOptional() @InRange(0, 6, 'mm') notchMm?: number;
  @IsOptional() @InRange(1, 100000, 'mm') lengthMm?: number;
  @IsOptional() @InRange(6, 30, 'mm') thicknessMm?: number;
  @IsOptional() @Words() note?: string;
  @IsOptional() @Photo() photo?: string;
  @IsOptional() @oneOf(BEADS) bead?: string;
  @IsOptional() @IsCells('coat') cells?: unknown;
}

class FaceNoteDoc {
  @IsOptional() @oneOf(['across', 'upright']) along?: string;
  @IsOptional() @oneOf(['high', 'low']) from?: string;
  @IsOptional() @InRange(200, 1300, 'mm') framingMm?: number;
  @IsOptional() @oneOf(['up', 'along']) framing?: string;
  @IsOptional() @oneOf(SUBSTRATES) substrate?: string;
  @IsOptional() @YesNo() rated?: boolean;
  @IsOptional() @YesNo() unboarded?: boolean;
  @IsOptional() @IsCutRows() cuts?: unknown;
  @IsOptional() @Part(() => FinishDoc) finish?: FinishDoc;
  @IsOptional() @oneOf(DECORATIONS) decoration?: string;
  @IsOptional() @Part(() => LightDoc) light?: LightDoc;
  @IsOptional() @oneOf(PRIMERS) primer?: string;
}

class SeamDoc {
  @Id() id!: string;
  @Name() face!: string;
  @oneOf(['up', 'along']) runs!: string;
  @InRange(0, 100000, 'mm') atMm!: number;
  @oneOf(['low', 'high']) old!: string;
  @InRange(-20, 20, 'mm') stepMm!: number;
}

class DamageDoc {
  @Id() id!: string;
  @Name() face!: string;
  @IsPoint() at!: unknown;
  @oneOf(DAMAGES) kind!: string;
  @InRange(1, 10000, 'mm') sizeMm!: number;
  @IsOptional() @Name() note?: string;
}

class CountsDoc {
  @IsJointLengths() mm!: unknown;
  @IsOptional() @InRange(1, 10000) @IsInt({ message: 'must be a whole number' }) corners?: number;
  @IsOptional() @InRange(0, 1000000) @IsInt({ message: 'must be a whole number' }) heads?: number;
  @IsOptional() @InRange(0, 100000, 'm²') areaM2?: number;
}

export class RoomDoc {
  @Id() id!: string;
  @Name() name!: string;
  @Part(() => RoomPlanDoc) plan!: RoomPlanDoc;
  @IsOptional() @Part(() => CeilingDoc) ceiling?: CeilingDoc;
  @Parts(() => OpeningDoc, 200) openings!: OpeningDoc[];
  @IsOptional() @Parts(() => BoxDoc, 100) boxes?: BoxDoc[];
  @IsOptional() @Parts(() => ClosetDoc, 20) closets?: ClosetDoc[];
  @Part(() => BoardDoc) board!: BoardDoc;
  @Part(() => FramingDoc) framing!: FramingDoc;
  @Part(() => FinishDoc) finish!: FinishDoc;
  @oneOf(DECORATIONS) decoration!: string;
  @Part(() => LightDoc) light!: LightDoc;
  @IsOptional() @oneOf(PRIMERS) primer?: string;
  @IsOptional() @Parts(() => LampDoc, 50) lamps?: LampDoc[];
  @oneOf(SUBSTRATES) substrate!: string;
  @IsOptional() @YesNo() oldWork?: boolean;
  @IsOptional() @YesNo() rated?: boolean;
  @IsOptional() @YesNo() damp?: boolean;
  @IsOptional() @YesNo() garage?: boolean;
  @IsOptional() @RecordOf(() => JointNoteDoc, 'measured joints') joints?: unknown;
  @IsOptional() @RecordOf(() => FaceNoteDoc, 'faces') faces?: unknown;
  @IsOptional() @Parts(() => SeamDoc, 100) seams?: SeamDoc[];
  @IsOptional() @Parts(() => DamageDoc, 500) damage?: DamageDoc[];
  @IsOptional() @Part(() => CountsDoc) counts?: CountsDoc;
  @IsOptional() @IsCells('element.coat') cells?: unknown;
}
