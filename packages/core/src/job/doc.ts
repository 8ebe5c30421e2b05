import 'reflect-metadata';
import { RoomDoc } from './doc-room';
import { ShopDoc, WayDoc } from './doc-shop';
import {
  CalendarDate,
  ClockTime,
  Id,
  InRange,
  Later,
  Maybe,
  Name,
  Numbers,
  oneOf,
  Part,
  Parts,
  Whole,
  Words,
} from './field';
import { LIMITS, MOST } from './limits';
import { AIRS, FORMAT } from './vocabulary';

class ClimateDoc {
  @InRange(LIMITS.climate.tempC) tempC!: number;
  @InRange(LIMITS.climate.rhPct) rhPct!: number;
  @oneOf(AIRS) air!: string;
}

class CalendarDoc {
  @CalendarDate() startDate!: string;
  @ClockTime('07:00') from!: string;
  @Later('from') @ClockTime('15:30') to!: string;
  /** 0 Sunday to 6 Saturday. */
  @Numbers({ least: 0, most: 6 }, { least: 1, most: 7, whole: true, once: true }) weekdays!: number[];
  @Whole(LIMITS.calendar.crew) crew!: number;
  @Maybe() @CalendarDate() deadline?: string;
}

class SetAsideDoc {
  @Name() key!: string;
  @Words() reason!: string;
  @CalendarDate() date!: string;
}

class AgreementDoc {
  @Maybe() @Name() owner?: string;
  @Maybe() @Name() finisher?: string;
  @Maybe() @Words() note?: string;
}

/** The shape every job file is held against at the door. */
export class JobDoc {
  @oneOf([FORMAT]) format!: string;
  @Id() id!: string;
  @Name() name!: string;
  @oneOf(['feet', 'metric']) units!: string;
  @Maybe() @Name() place?: string;
  @Parts(() => RoomDoc, MOST.rooms) rooms!: RoomDoc[];
  @Part(() => WayDoc) way!: WayDoc;
  @Part(() => ClimateDoc) climate!: ClimateDoc;
  @Part(() => CalendarDoc) calendar!: CalendarDoc;
  @Maybe() @Part(() => ShopDoc) shop?: ShopDoc;
  @Maybe() @Parts(() => SetAsideDoc, MOST.setAside) setAside?: SetAsideDoc[];
  @Maybe() @Part(() => AgreementDoc) agreement?: AgreementDoc;
}
