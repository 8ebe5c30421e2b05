import 'reflect-metadata';
import type { UnitSystem } from '../units';
import { Later, Maybe, Part, Parts } from './field';
import { Dates, Names, Numbers, WordList } from './field-lists';
import {
  CalendarDate,
  ClockTime,
  Id,
  InRange,
  LocalTime,
  Name,
  Whole,
  Words,
  YesNo,
  oneOf,
} from './field-values';
import { LIMITS, MOST } from './limits';
import { LogEntry } from './log';
import { Room } from './room';
import { Shop, Way } from './shop';
import { Agreed, Bidding, Quote } from './trade';
import {
  AIRS,
  ELEMENTS,
  FORMAT,
  HANDS,
  EXCLUDED_WORK,
  STEPS,
  WEATHERS,
  type Air,
  type Element,
  type CrewPace,
  type ExcludedWork,
  type Step,
  type WeatherFrom,
} from './vocabulary';

/** Weather outside as it is every day. */
export class Outside {
  @InRange(LIMITS.climate.outC) lowC!: number;
  @InRange(LIMITS.climate.outC) highC!: number;
  @InRange(LIMITS.climate.rhPct) rhPct!: number;
}

/** Weather outside in one hour. */
export class WeatherHour {
  @LocalTime() at!: string;
  @InRange(LIMITS.climate.outC) tempC!: number;
  @InRange(LIMITS.log.rhPct) rhPct!: number;
}

/** What is done to the air, in one room or all, on some days or all; a later one goes before an earlier one. */
export class AirCare {
  @Id() id!: string;
  @Maybe() @Id() room?: string;
  @Maybe() @CalendarDate() from?: string;
  @Maybe() @CalendarDate() to?: string;
  @Maybe() @YesNo() fan?: boolean;
  /** Held at that temperature. */
  @Maybe() @InRange(LIMITS.climate.tempC) heatC?: number;
  @Maybe()
  @InRange(LIMITS.climate.changesPerH, 'air taken from outside, times the room an hour')
  changesPerH?: number;
  /** What a dehumidifier takes out in a day. */
  @Maybe() @InRange(LIMITS.climate.dryLPerDay) dryLPerDay?: number;
}

/** A door between two rooms. */
export class InnerDoor {
  @Id() id!: string;
  @Id() a!: string;
  @Id() b!: string;
  @YesNo() open!: boolean;
}

export class Climate {
  @InRange(LIMITS.climate.tempC) tempC!: number;
  @InRange(LIMITS.climate.rhPct) rhPct!: number;
  @oneOf(AIRS) air!: Air;
  /** The air is reckoned from the weather, the heating and the water in the mud, and not held as it is given. */
  @Maybe() @YesNo() reckoned?: boolean;
  @Maybe() @Part(() => Outside) outside?: Outside;
  /** Weather by the hour, in place of what it is every day. */
  @Maybe() @Parts(() => WeatherHour, MOST.weather) weather?: WeatherHour[];
  @Maybe() @oneOf(WEATHERS) weatherFrom?: WeatherFrom;
  @Maybe() @Parts(() => AirCare, MOST.care) care?: AirCare[];
  @Maybe() @Parts(() => InnerDoor, MOST.doors) doors?: InnerDoor[];
}

/** One of the crew. What is not said of them is as the calendar has it. */
export class Person {
  @Id() id!: string;
  @Name() name!: string;
  @Maybe() @ClockTime('07:00') from?: string;
  @Maybe() @Later('from') @ClockTime('15:30') to?: string;
  @Maybe()
  @Numbers({ least: 0, most: 6 }, { least: 1, most: 7, whole: true, once: true })
  weekdays?: number[];
  /** Days they are not there. */
  @Maybe() @Dates(MOST.off) off?: string[];
  /** What they leave to the others. */
  @Maybe() @WordList(EXCLUDED_WORK) leaves?: ExcludedWork[];
}

/** A task that is not begun before a moment set by hand. */
export class Pin {
  @Id() room!: string;
  @oneOf(STEPS) step!: Step;
  @Maybe() @WordList(ELEMENTS) rows?: Element[];
  @LocalTime() at!: string;
}

export class Calendar {
  /** The first working day. */
  @CalendarDate() startDate!: string;
  @ClockTime('07:00') from!: string;
  @Later('from') @ClockTime('15:30') to!: string;
  /** 0 Sunday to 6 Saturday. */
  @Numbers({ least: 0, most: 6 }, { least: 1, most: 7, whole: true, once: true }) weekdays!: number[];
  /** People, where they are not named one by one. */
  @Whole(LIMITS.calendar.crew) crew!: number;
  @Maybe() @Parts(() => Person, MOST.people) people?: Person[];
  /** How quick they are; steady where it is not said. */
  @Maybe() @oneOf(HANDS) hand?: CrewPace;
  /** By then all has to be ready for primer. */
  @Maybe() @CalendarDate() deadline?: string;
  /** Days nobody works. */
  @Maybe() @Dates(MOST.off) off?: string[];
  @Maybe() @Parts(() => Pin, MOST.pins) pins?: Pin[];
}

/** Advice set aside, and why. */
export class DismissedAdvice {
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

/** How a job went from one device to another: stands in the file only. */
export class Handoff {
  /** Of this handing over; a file is told apart by it. */
  @Id() id!: string;
  /** Handings over of this job that its sender knew, the oldest first. */
  @Names(MOST.handed) knows!: string[];
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
  @Maybe() @Parts(() => DismissedAdvice, MOST.setAside) setAside?: DismissedAdvice[];
  @Maybe() @Part(() => Agreement) agreement?: Agreement;
  /** What a supply house asks for the order. */
  @Maybe() @Part(() => Quote) quote?: Quote;
  @Maybe() @Part(() => Bidding) bidding?: Bidding;
  /** The bid as it was agreed. */
  @Maybe() @Part(() => Agreed) agreed?: Agreed;
  /** What happened on site. It travels with the job's file and is kept in a table of its own. */
  @Maybe() @Parts(() => LogEntry, MOST.log) log?: LogEntry[];
  @Maybe() @Part(() => Handoff) handed?: Handoff;
}
