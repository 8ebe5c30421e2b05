import 'reflect-metadata';
import type { UnitSystem } from '../units';
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
import { Room } from './room';
import { Shop, Way } from './shop';
import { AIRS, FORMAT, HANDS, type Air, type Hand } from './vocabulary';

export class Climate {
  @InRange(LIMITS.climate.tempC) tempC!: number;
  @InRange(LIMITS.climate.rhPct) rhPct!: number;
  @oneOf(AIRS) air!: Air;
}

export class Calendar {
  /** The first working day. */
  @CalendarDate() startDate!: string;
  @ClockTime('07:00') from!: string;
  @Later('from') @ClockTime('15:30') to!: string;
  /** 0 Sunday to 6 Saturday. */
  @Numbers({ least: 0, most: 6 }, { least: 1, most: 7, whole: true, once: true }) weekdays!: number[];
  @Whole(LIMITS.calendar.crew) crew!: number;
  /** How quick they are; steady where it is not said. */
  @Maybe() @oneOf(HANDS) hand?: Hand;
  /** By then all has to be ready for primer. */
  @Maybe() @CalendarDate() deadline?: string;
}

/** Advice set aside, and why. */
export class SetAside {
  /** Code and place of the advice. */
  @Name() key!: string;
  @Words() reason!: string;
  @CalendarDate() date!: string;
}

/** What the finish agreement says beyond the rooms. */
export class Agreement {
  @Maybe() @Name() owner?: string;
  @Maybe() @Name() finisher?: string;
  @Maybe() @Words() note?: string;
}

/** The shape every job file is held against at the door. */
export class Job {
  @oneOf([FORMAT]) format!: typeof FORMAT;
  @Id() id!: string;
  @Name() name!: string;
  @oneOf(['feet', 'metric']) units!: UnitSystem;
  @Maybe() @Name() place?: string;
  @Parts(() => Room, MOST.rooms) rooms!: Room[];
  @Part(() => Way) way!: Way;
  @Part(() => Climate) climate!: Climate;
  @Part(() => Calendar) calendar!: Calendar;
  @Maybe() @Part(() => Shop) shop?: Shop;
  @Maybe() @Parts(() => SetAside, MOST.setAside) setAside?: SetAside[];
  @Maybe() @Part(() => Agreement) agreement?: Agreement;
}
