import 'reflect-metadata';
import { ArrayMaxSize, IsArray, IsIn, IsOptional } from 'class-validator';
import { IsCalendarDate, IsCells, IsCompoundByCoat, IsFigures } from './checks';
import { Id, InRange, Name, oneOf, Part, Parts, Photo, Words, YesNo } from './doc-parts';
import { BEADS, CHOICES, COMPOUNDS, TAPES, TOOLS, type ChoiceKey } from './vocabulary';

export class WayDoc implements Record<ChoiceKey, string> {
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
  @IsOptional() @oneOf(BEADS) bead?: string;
  @IsOptional() @InRange(0.5, 60, 'L') batchL?: number;
  @IsOptional() @IsCells('element.coat') cells?: unknown;
}

class ProductDoc {
  @Id() id!: string;
  @Name() name!: string;
  @oneOf(COMPOUNDS) compound!: string;
  @oneOf(['pail', 'box', 'tub', 'bag']) kind!: string;
  @InRange(0.1, 1000, 'L') yieldsL!: number;
  @InRange(0.1, 1500, 'kg') massKg!: number;
  @IsOptional() @InRange(0, 1000, 'L') waterL?: number;
  @IsOptional() @InRange(0, 0.6) shrink?: number;
  @IsOptional() @InRange(5, 210, 'min') setMin?: number;
  @IsOptional() @InRange(0, 100000) price?: number;
  @IsOptional() @InRange(0, 100000, 'L') onHandL?: number;
  @IsOptional() @IsCalendarDate() useBy?: string;
  @IsOptional() @IsCalendarDate() opened?: string;
  @YesNo() inUse!: boolean;
}

class PeelTestDoc {
  @Id() id!: string;
  @oneOf(COMPOUNDS) compound!: string;
  @IsOptional() @Id() product?: string;
  @oneOf(TAPES) tape!: string;
  @InRange(0, 1000, 'days') days!: number;
  @InRange(0, 10000, 'cm²') tornCm2!: number;
  @InRange(0, 10000, 'cm²') cleanCm2!: number;
  @IsOptional() @IsCalendarDate() date?: string;
  @IsOptional() @Words() note?: string;
  @IsOptional() @Photo() photo?: string;
}

class OwnWayDoc {
  @Id() id!: string;
  @Name() name!: string;
  @Part(() => WayDoc) way!: WayDoc;
}

export class ShopDoc {
  @IsOptional()
  @IsArray({ message: 'must be a list; it is $value' })
  @IsIn([...TOOLS], { each: true, message: `must be tools among ${TOOLS.join(', ')}` })
  @ArrayMaxSize(TOOLS.length, { message: 'must not name a tool twice' })
  kit?: string[];
  @IsOptional() @Parts(() => ProductDoc, 500) products?: ProductDoc[];
  @IsOptional() @Parts(() => PeelTestDoc, 500) peels?: PeelTestDoc[];
  @IsOptional() @Parts(() => OwnWayDoc, 100) ways?: OwnWayDoc[];
  @IsOptional() @IsFigures() figures?: unknown;
  @IsOptional() @InRange(1, 200, 'kg') liftKg?: number;
  @IsOptional() @Name() money?: string;
}
