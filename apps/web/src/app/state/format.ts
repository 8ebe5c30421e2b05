import { computed, inject, Injectable } from '@angular/core';
import {
  BTU_PER_W_M3K,
  L_PER_PINT,
  group,
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
  printPerRun,
  printRun,
  printSlope,
  printSmall,
  printTemperature,
  printVolume,
  runName,
  SQFT_PER_M2,
  trim,
  type OrderItem,
  type UnitSystem,
  type WhyInput,
} from '@lisse/core';
import { momentOf } from '../storage/entry-ids';
import { Texts } from './texts';
import { JobStore } from './job.store';

// Made once: making one takes a thousand times as long as using it, and a page of days uses hundreds.
const WRITTEN = { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' } as const;
const DAY = new Intl.DateTimeFormat('en-GB', WRITTEN);
const DAY_OF_YEAR = new Intl.DateTimeFormat('en-GB', { ...WRITTEN, year: 'numeric' });

const QT_PER_L = 4 / L_PER_GAL;

/** Mud of less than this is told as it is measured out, L. */
const SMALL_L = 0.2;

/** Layers, gaps and tapes are told finer than sizes, mm. */
const FINE_BELOW_MM = 6;

/** Prints figures in the units of the open job. */
@Injectable({ providedIn: 'root' })
export class Format {
  private readonly jobs = inject(JobStore);
  private readonly texts = inject(Texts);
  private readonly daysWritten = new Map<string, string>();
  readonly units = computed<UnitSystem>(() => this.jobs.job()?.units ?? 'feet');

  length = (mm: number): string => printLength(mm, this.units());
  small = (mm: number): string => printSmall(mm, this.units());
  /** A layer, a crown, a bow: as fine as it is measured. */
  fine = (mm: number): string => printFine(mm, this.units());
  perRun = (litresPerM: number): string => printPerRun(litresPerM, this.units());
  onRun = (litresPerM: number): string => printOnRun(litresPerM, this.units());
  runName = (): string => runName(this.units());
  dab = (millilitres: number): string => printDab(millilitres, this.units());
  batch = (litres: number): string => printBatch(litres, this.units());
  /** What is mixed at once, however little. */
  pot = (litres: number): string => (litres < SMALL_L ? this.batch(litres) : this.volume(litres));
  slope = (mmPerM: number): string => printSlope(mmPerM, this.units());
  blade = (mm: number): string => printBlade(mm, this.units());
  run = (mm: number): string => printRun(mm, this.units());
  area = (m2: number): string => printArea(m2, this.units());
  volume = (litres: number): string => printVolume(litres, this.units());
  /** What one mixes, in what one measures it with: `3.3 qt`, `3.1 L`; beside it in the other. */
  mixed = (litres: number, beside = false): string =>
    litres < SMALL_L
      ? printBatch(litres, (this.units() === 'metric') !== beside ? 'metric' : 'feet')
      : (this.units() === 'metric') !== beside
        ? `${trim(litres, litres < 1 ? 2 : 1)} L`
        : `${trim(litres * QT_PER_L, 1)} qt`;
  mass = (kg: number): string => printMass(kg, this.units());
  temperature = (c: number): string => printTemperature(c, this.units());
  /** What a round area takes, 100 m² or 1 000 sq ft: `45.2 L`, `11.1 gal`. */
  perArea = (perM2: number, what: 'mud' | 'tape'): string => {
    const each = this.units() === 'metric' ? 100 : 1000 / SQFT_PER_M2;
    return what === 'mud'
      ? printVolume(perM2 * each, this.units())
      : printRun(perM2 * each * 1000, this.units());
  };
  areaName = (): string => (this.units() === 'metric' ? '100 m²' : '1\u202f000 sq ft');
  /** Labour, always in hours: `102 h`, `4.5 h`. */
  hours = (minutes: number): string => printHours(minutes);
  /** Work on a round area of board: `13.6 h`. */
  hoursPerArea = (hPerM2: number): string =>
    printHours(hPerM2 * 60 * (this.units() === 'metric' ? 100 : 1000 / SQFT_PER_M2));
  duration = (minutes: number): string => printDuration(minutes);
  /** An amount in the job's money: `$1 240`. */
  money = (amount: number): string => {
    const { shop, units } = this.jobs.job() ?? { units: 'feet' as const, shop: undefined };
    return `${shop?.money ?? (units === 'metric' ? '€' : '$')}${group(Math.round(amount))}`;
  };
  /** A sum to its last coin: `$1 240.50`. */
  sum = (amount: number, digits: number): string => {
    const [whole = '0', part] = Math.abs(amount).toFixed(digits).split('.');
    const { shop, units } = this.jobs.job() ?? { units: 'feet' as const, shop: undefined };
    const money = shop?.money ?? (units === 'metric' ? '€' : '$');
    const sign = amount < 0 ? '−' : '';
    return `${sign}${money}${group(Number(whole))}${part === undefined ? '' : `.${part}`}`;
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
        return group(Math.ceil(amount - 1e-9));
    }
  };
  percent = (share: number): string => `${trim(share * 100, 0)} %`;

  /** `Mon 30 Nov` of a local time such as `2026-11-30T07:00`; with the year where it is not the job's first. */
  day = (iso: string): string => {
    const year = iso.slice(0, 4) === this.jobs.job()?.calendar.startDate.slice(0, 4) ? undefined : 'numeric';
    const key = `${iso.slice(0, 10)}${year ?? ''}`;
    let text = this.daysWritten.get(key);
    if (text === undefined) {
      const format = year === undefined ? DAY : DAY_OF_YEAR;
      text = format.format(new Date(`${iso.slice(0, 10)}T00:00Z`)).replace(',', '');
      this.daysWritten.set(key, text);
    }
    return text;
  };

  /** `07:00` of a moment, ms since 1970, by the clock of this device. */
  clockOf = (ms: number): string => momentOf(new Date(ms)).slice(11, 16);

  /** `Mon 30 Nov, 07:00`. */
  time = (iso: string): string => `${this.day(iso)}, ${iso.slice(11, 16)}`;

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
        return this.texts.t('unit.each-hour', { amount: trim(value, 1) });
      case 'm/h':
        return this.texts.t('unit.each-hour', { amount: this.run(value * 1000) });
      case 'm2/h':
        return this.texts.t('unit.each-hour', { amount: this.area(value) });
      case '1/h':
        return this.texts.t('unit.times-an-hour', { n: value });
      case 'm3/h':
        return this.texts.t('unit.each-hour', { amount: this.volume(value * 1000) });
      case 'kW':
        return `${trim(value, 2)} kW`;
      case 'kWh/L':
        return this.units() === 'metric'
          ? this.texts.t('unit.kwh-litre', { kwh: value })
          : this.texts.t('unit.kwh-pint', { kwh: value * L_PER_PINT });
      case 'W/m3K':
        return this.units() === 'metric'
          ? `${trim(value, 2)} W/m³K`
          : `${trim(value * BTU_PER_W_M3K, 3)} BTU/h·ft³·°F`;
      case 'factor':
        return `× ${trim(value, 2)}`;
      case 'count':
      case '':
        return trim(value, 1);
    }
  };
}
