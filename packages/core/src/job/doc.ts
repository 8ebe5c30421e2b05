import 'reflect-metadata';
import {
  ArrayMinSize,
  ArrayUnique,
  Equals,
  IsArray,
  IsIn,
  IsInt,
  IsOptional,
  Matches,
} from 'class-validator';
import { IsCalendarDate, LaterThan } from './checks';
import { Id, InRange, Name, oneOf, Part, Parts, Words } from './doc-parts';
import { RoomDoc } from './doc-room';
import { ShopDoc, WayDoc } from './doc-shop';
import { AIRS, FORMAT } from './vocabulary';

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
  @IsOptional() @IsCalendarDate() deadline?: string;
}

class SetAsideDoc {
  @Name() key!: string;
  @Words() reason!: string;
  @IsCalendarDate() date!: string;
}

class AgreementDoc {
  @IsOptional() @Name() owner?: string;
  @IsOptional() @Name() finisher?: string;
  @IsOptional() @Words() note?: string;
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
  @IsOptional() @Part(() => ShopDoc) shop?: ShopDoc;
  @IsOptional() @Parts(() => SetAsideDoc, 1000) setAside?: SetAsideDoc[];
  @IsOptional() @Part(() => AgreementDoc) agreement?: AgreementDoc;
}
