import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  Equals,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateIf,
  ValidateNested,
  type ValidationOptions,
} from 'class-validator';
import {
  IsBandWidths,
  IsCalendarDate,
  IsCompoundByCoat,
  IsGrade,
  IsJointNotes,
  IsOutline,
  LaterThan,
} from './checks';
import { AIRS, CHOICES, DECORATIONS, FORMAT, OPENING_KINDS, SUBSTRATES, type ChoiceKey } from './vocabulary';

/** A finite number in a range; the sentence names the range and the unit. */
export function InRange(min: number, max: number, unit = ''): PropertyDecorator {
  const message = `must be a number from ${min} to ${max}${unit ? ` ${unit}` : ''}; it is $value`;
  return (target, key) => {
    Min(min, { message })(target, key as string);
    Max(max, { message })(target, key as string);
  };
}

const oneOf = (words: readonly (string | number)[], more: ValidationOptions = {}): PropertyDecorator =>
  IsIn([...words], { message: `must be one of ${words.join(', ')}; it is $value`, ...more });

const Id = (): PropertyDecorator =>
  Matches(/^[A-Za-z0-9][A-Za-z0-9_.-]{0,63}$/, {
    message: 'must be an id of 1 to 64 letters, digits, dots, dashes or underscores; it is $value',
  });

const Name = (): PropertyDecorator => (target, key) => {
  IsString({ message: 'must be text; it is $value' })(target, key as string);
  MaxLength(200, { message: 'must be at most 200 characters' })(target, key as string);
};

/** A nested document that must be there and be an object. */
const Part =
  (type: () => new () => object): PropertyDecorator =>
  (target, key) => {
    IsObject({ message: 'must be an object; it is $value' })(target, key as string);
    ValidateNested()(target, key as string);
    Type(type)(target, key as string);
  };

const Parts =
  (type: () => new () => object, most: number): PropertyDecorator =>
  (target, key) => {
    IsArray({ message: 'must be a list; it is $value' })(target, key as string);
    ArrayMaxSize(most, { message: `must have at most ${most} entries` })(target, key as string);
    ValidateNested({ each: true, message: 'must be an object' })(target, key as string);
    Type(type)(target, key as string);
  };

class RoomPlanDoc {
  @ValidateIf((o: RoomPlanDoc) => o.outline === undefined)
  @InRange(300, 100000, 'mm')
  lengthMm!: number;

  @ValidateIf((o: RoomPlanDoc) => o.outline === undefined)
  @InRange(300, 100000, 'mm')
  widthMm!: number;

  @ValidateIf((o: RoomPlanDoc) => o.outline !== undefined)
  @IsOutline()
  outline?: unknown;

  @InRange(300, 30000, 'mm') heightMm!: number;
}

class OpeningDoc {
  @Id() id!: string;
  @IsInt({ message: 'must be a whole wall number; it is $value' }) @InRange(0, 199) wall!: number;
  @oneOf(OPENING_KINDS) kind!: string;
  @InRange(0, 100000, 'mm') leftMm!: number;
  @InRange(0, 30000, 'mm') bottomMm!: number;
  @InRange(50, 100000, 'mm') widthMm!: number;
  @InRange(50, 30000, 'mm') heightMm!: number;
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
  @oneOf(['across', 'upright']) walls!: string;
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
}

class RoomDoc {
  @Id() id!: string;
  @Name() name!: string;
  @Part(() => RoomPlanDoc) plan!: RoomPlanDoc;
  @Parts(() => OpeningDoc, 200) openings!: OpeningDoc[];
  @Part(() => BoardDoc) board!: BoardDoc;
  @Part(() => FramingDoc) framing!: FramingDoc;
  @Part(() => FinishDoc) finish!: FinishDoc;
  @oneOf(DECORATIONS) decoration!: string;
  @Part(() => LightDoc) light!: LightDoc;
  @oneOf(SUBSTRATES) substrate!: string;
  @IsOptional() @IsBoolean({ message: 'must be true or false' }) oldWork?: boolean;
  @IsOptional() @IsBoolean({ message: 'must be true or false' }) rated?: boolean;
  @IsOptional() @IsJointNotes() joints?: unknown;
  @IsOptional() @IsBandWidths() bands?: unknown;
}

class WayDoc implements Record<ChoiceKey, string> {
  @oneOf(CHOICES.tools) tools!: string;
  @oneOf(CHOICES.compounds) compounds!: string;
  @oneOf(CHOICES.tape) tape!: string;
  @oneOf(CHOICES.prefill) prefill!: string;
  @oneOf(CHOICES.prefillWhen) prefillWhen!: string;
  @oneOf(CHOICES.overTape) overTape!: string;
  @oneOf(CHOICES.tapeOrder) tapeOrder!: string;
  @oneOf(CHOICES.coatOrder) coatOrder!: string;
  @oneOf(CHOICES.angles) angles!: string;
  @oneOf(CHOICES.between) between!: string;
  @oneOf(CHOICES.heads) heads!: string;
  @InRange(0, 50, 'mm') prefillOverMm!: number;
  @InRange(5, 210, 'min') setMin!: number;
  @IsOptional() @IsCompoundByCoat() compoundFor?: unknown;
}

class ClimateDoc {
  @InRange(-20, 45, '°C') tempC!: number;
  @InRange(5, 98, '%') rhPct!: number;
  @oneOf(AIRS) air!: string;
}

class CalendarDoc {
  @IsCalendarDate() startDate!: string;
  @Matches(/^([01]\d|2[0-3]):[0-5]\d$/, { message: 'must be a clock time such as 07:00; it is $value' })
  from!: string;
  @Matches(/^([01]\d|2[0-3]):[0-5]\d$/, { message: 'must be a clock time such as 15:30; it is $value' })
  @LaterThan('from')
  to!: string;
  @IsArray({ message: 'must be a list; it is $value' })
  @ArrayMinSize(1, { message: 'must name at least one working day' })
  @ArrayUnique({ message: 'must not name a day twice' })
  @IsIn([0, 1, 2, 3, 4, 5, 6], { each: true, message: 'must be days from 0 (Sunday) to 6 (Saturday)' })
  weekdays!: number[];
  @IsInt({ message: 'must be a whole number of people; it is $value' })
  @InRange(1, 50, 'people')
  crew!: number;
}

/** The shape every job file is held against at the door. */
export class JobDoc {
  @Equals(FORMAT, { message: `must be “${FORMAT}”; it is $value` }) format!: string;
  @Id() id!: string;
  @Name() name!: string;
  @oneOf(['feet', 'metric']) units!: string;
  @IsOptional() @Name() place?: string;
  @Parts(() => RoomDoc, 2000)
  @ArrayUnique((room: RoomDoc | null) => room?.id, { message: 'must not use a room id twice' })
  rooms!: RoomDoc[];
  @Part(() => WayDoc) way!: WayDoc;
  @Part(() => ClimateDoc) climate!: ClimateDoc;
  @Part(() => CalendarDoc) calendar!: CalendarDoc;
}
