import { computed, inject, Injectable } from '@angular/core';
import {
  BTU_PER_W_M3K,
  L_PER_PINT,
  L_PER_GAL,
  printArea,
  printBlade,
  printBatch,
  printDab,
  printDuration,
  printFine,
  printHours,
  printLength,
  printMass,
  printOnRun,
  printRun,
  printSmall,
  printTemperature,
  printVolume,
  SQFT_PER_M2,
  type OrderItem,
  type UnitSystem,
  type WhyInput,
} from '@lisse/core';
import { momentOf } from '../storage/entry-ids';
import { Texts } from './texts';
import { JobStore } from './job.store';

const QT_PER_L = 4 / L_PER_GAL;

/** Mud of less than this is told as it is measured out, L. */
const SMALL_L = 0.2;

/** What leans less is told as level. */
const LEVEL_MM_PER_M = 0.1;

/** Layers, gaps and tapes are told finer than sizes, mm. */
const FINE_BELOW_MM = 6;

/** Prints figures in the units of the open job. */
@Injectable({ providedIn: 'root' })
export class Format {
  private readonly jobs = inject(JobStore);
  private readonly texts = inject(Texts);
  readonly notation = this.texts.notation;
  readonly units = computed<UnitSystem>(() => this.notation().system);
  /** A plain number: at most so many decimals, and at least so many. */
  number = (value: number, most = 0, least = 0): string => this.texts.locale().number(value, most, least);

  length = (mm: number): string => printLength(mm, this.notation());
  small = (mm: number): string => printSmall(mm, this.notation());
  /** A layer, a crown, a bow: as fine as it is measured. */
  fine = (mm: number): string => printFine(mm, this.notation());
  perRun = (litresPerM: number): string =>
    this.texts.t(this.units() === 'metric' ? 'unit.per-meter' : 'unit.per-100-ft', {
      amount: this.onRun(litresPerM),
    });
  onRun = (litresPerM: number): string => printOnRun(litresPerM, this.notation());
  /** The run of joint that mud is told for. */
  runName = (): string => this.texts.t(this.units() === 'metric' ? 'unit.run-meter' : 'unit.run-100-ft');
  dab = (millilitres: number): string => printDab(millilitres, this.notation());
  batch = (litres: number): string => printBatch(litres, this.notation());
  /** What is mixed at once, however little. */
  pot = (litres: number): string => (litres < SMALL_L ? this.batch(litres) : this.volume(litres));
  /** How steep a face is: so much in a metre, or an inch in so many feet. */
  slope = (mmPerM: number): string => {
    if (!Number.isFinite(mmPerM)) return '–';
    if (this.units() === 'metric') return this.texts.t('slope.metric', { fall: mmPerM });
    const feet = 1000 / mmPerM / 12;
    if (mmPerM < LEVEL_MM_PER_M) return this.texts.t('slope.level');
    return this.texts.t('slope.feet', { feet: this.number(feet, feet < 10 ? 1 : 0) });
  };
  blade = (mm: number): string => printBlade(mm, this.notation());
  run = (mm: number): string => printRun(mm, this.notation());
  area = (m2: number): string => printArea(m2, this.notation());
  volume = (litres: number): string => printVolume(litres, this.notation());
  /** What one mixes, in what one measures it with: `3.3 qt`, `3.1 L`; beside it in the other. */
  mixed = (litres: number, beside = false): string => {
    const metric = (this.units() === 'metric') !== beside;
    if (litres < SMALL_L)
      return printBatch(litres, { ...this.notation(), system: metric ? 'metric' : 'feet' });
    return metric
      ? `${this.number(litres, litres < 1 ? 2 : 1)} L`
      : `${this.number(litres * QT_PER_L, 1)} qt`;
  };
  mass = (kg: number): string => printMass(kg, this.notation());
  temperature = (c: number): string => printTemperature(c, this.notation());
  /** What a round area takes, 100 m² or 1,000 sq ft: `45.2 L`, `11.1 gal`. */
  perArea = (perM2: number, what: 'mud' | 'tape'): string => {
    const each = this.units() === 'metric' ? 100 : 1000 / SQFT_PER_M2;
    return what === 'mud'
      ? printVolume(perM2 * each, this.notation())
      : printRun(perM2 * each * 1000, this.notation());
  };
  areaName = (): string => (this.units() === 'metric' ? '100 m²' : `${this.number(1000)} sq ft`);
  /** Labour, always in hours: `102 h`, `4.5 h`. */
  hours = (minutes: number): string => printHours(minutes, this.notation());
  /** Work on a round area of board: `13.6 h`. */
  hoursPerArea = (hPerM2: number): string =>
    printHours(hPerM2 * 60 * (this.units() === 'metric' ? 100 : 1000 / SQFT_PER_M2), this.notation());
  duration = (minutes: number): string => printDuration(minutes, this.notation());
  /** An amount in the job's money: `$1,240`. */
  money = (amount: number): string => this.sum(amount, 0);
  /** A sum to its last coin: `$1,240.50`. */
  sum = (amount: number, digits: number): string => {
    const sign = this.jobs.job()?.shop?.money ?? (this.units() === 'metric' ? '€' : '$');
    return this.texts.locale().money(amount, sign, digits);
  };
  /** So much of a ware, by what it is counted in. */
  goods = (amount: number, unit: OrderItem['unit']): string => {
    switch (unit) {
      case 'L':
        return this.volume(amount);
      case 'mm':
        return this.run(amount);
      case 'm2':
        return this.area(amount);
      case 'count':
        return this.number(Math.ceil(amount - 1e-9));
    }
  };
  percent = (share: number, most = 0, least = 0): string => this.texts.locale().percent(share, most, least);

  /** `Mon, Nov 30` of a local time such as `2026-11-30T07:00`; with the year where it is not the job's first. */
  day = (iso: string): string =>
    this.texts.locale().day(iso, iso.slice(0, 4) !== this.jobs.job()?.calendar.startDate.slice(0, 4));

  /** `7:00 AM` of a local time. */
  clock = (iso: string): string => this.texts.locale().clock(iso);

  /** The same of a moment, ms since 1970, by the clock of this device. */
  clockOf = (ms: number): string => this.clock(momentOf(new Date(ms)));

  /** `Mon, Nov 30, 7:00 AM`. */
  time = (iso: string): string => `${this.day(iso)}, ${this.clock(iso)}`;

  /** An input of a "why" in the job's units. */
  input = ({ value, unit }: WhyInput): string => {
    if (typeof value !== 'number') return this.texts.say(value);
    switch (unit) {
      case 'mm':
        return Math.abs(value) < FINE_BELOW_MM ? this.fine(value) : this.small(value);
      case 'mm2':
        return this.area(value / 1e6);
      case 'm2':
        return this.area(value);
      case 'L':
        return this.volume(value);
      case 'L/m':
        return this.perRun(value);
      case 'L/100m2':
        return this.texts.t('unit.per-area', {
          amount: this.perArea(value / 100, 'mud'),
          area: this.areaName(),
        });
      case 'm/100m2':
        return this.texts.t('unit.per-area', {
          amount: this.perArea(value / 100, 'tape'),
          area: this.areaName(),
        });
      case 'm':
        return this.run(value * 1000);
      case 'kg':
        return this.mass(value);
      case 'C':
        return this.temperature(value);
      case 'min':
        return this.duration(value);
      case 'h/m2':
        return this.texts.t('unit.per-area', { amount: this.hoursPerArea(value), area: this.areaName() });
      case 'h':
        return this.duration(value * 60);
      case 'share':
        return this.percent(value);
      case 'L/h':
        return this.texts.t('unit.each-hour', { amount: this.volume(value) });
      case 'money':
        return this.money(value);
      case 'per-h':
        return this.texts.t('unit.each-hour', { amount: this.number(value, 1) });
      case 'm/h':
        return this.texts.t('unit.each-hour', { amount: this.run(value * 1000) });
      case 'm2/h':
        return this.texts.t('unit.each-hour', { amount: this.area(value) });
      case '1/h':
        return this.texts.t('unit.times-an-hour', { n: value });
      case 'm3/h':
        return this.texts.t('unit.each-hour', { amount: this.volume(value * 1000) });
      case 'kW':
        return `${this.number(value, 2)} kW`;
      case 'kWh/L':
        return this.units() === 'metric'
          ? this.texts.t('unit.kwh-litre', { kwh: value })
          : this.texts.t('unit.kwh-pint', { kwh: value * L_PER_PINT });
      case 'W/m3K':
        return this.units() === 'metric'
          ? `${this.number(value, 2)} W/m³K`
          : `${this.number(value * BTU_PER_W_M3K, 3)} BTU/h·ft³·°F`;
      case 'factor':
        return `× ${this.number(value, 2)}`;
      case 'count':
      case '':
        return this.number(value, 1);
    }
  };
}
