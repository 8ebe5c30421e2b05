import { say, type Message } from '../texts';
import { temperatureTo } from './apart';
import { withoutThousands, type Notation, type UnitSystem } from './length';

export const SQFT_PER_M2 = 10.7639;
export const L_PER_GAL = 3.785412;
/** Dehumidifiers are sold by the pints they take out in a day. */
export const L_PER_PINT = L_PER_GAL / 8;
/** Heat lost from a cubic foot at a degree Fahrenheit, BTU/h, for a watt from a cubic meter at a kelvin. */
export const BTU_PER_W_M3K = (3.412142 * 0.3048 ** 3) / 1.8;
const QT_PER_L = 1.056688;
export const LB_PER_KG = 2.204623;

/** `620 sq ft` or `57.6 m²`. */
export function printArea(m2: number, { system, locale }: Notation): string {
  if (!Number.isFinite(m2)) return '–';
  return system === 'metric' ? `${locale.number(m2, 1)} m²` : `${locale.number(m2 * SQFT_PER_M2)} sq ft`;
}

/** Wet compound: `6.1 gal`, `2.3 qt` under a gallon, `14.4 L`, `310 mL` under a litre. */
export function printVolume(litres: number, { system, locale }: Notation): string {
  if (!Number.isFinite(litres)) return '–';
  if (system === 'metric')
    return Math.abs(litres) < 1 ? `${locale.number(litres * 1000)} mL` : `${locale.number(litres, 1)} L`;
  const gallons = litres / L_PER_GAL;
  return Math.abs(gallons) < 1
    ? `${locale.number(litres * QT_PER_L, 1)} qt`
    : `${locale.number(gallons, 1)} gal`;
}

const FLOZ_PER_L = 33.814023;
const M_PER_100_FT = 30.48;

/** Mud along a meter of joint, or a hundred feet: `146 mL`; quarts, or fluid ounces where they are few. */
export function printOnRun(litresPerM: number, { system, locale }: Notation): string {
  if (!Number.isFinite(litresPerM)) return '–';
  if (system === 'metric') return `${locale.number(litresPerM * 1000, litresPerM < 0.01 ? 1 : 0)} mL`;
  const litres = litresPerM * M_PER_100_FT;
  const quarts = litres * QT_PER_L;
  return quarts < 1 ? `${locale.number(litres * FLOZ_PER_L, 1)} fl oz` : `${locale.number(quarts, 1)} qt`;
}

/** Mud on one head or spot: `0.7 mL`, `0.024 fl oz`. */
export function printDab(millilitres: number, { system, locale }: Notation): string {
  if (!Number.isFinite(millilitres)) return '–';
  return system === 'metric'
    ? `${locale.number(millilitres, 2)} mL`
    : `${locale.number((millilitres / 1000) * FLOZ_PER_L, 3)} fl oz`;
}

/** Mud of a small batch, as it is measured out: `160 mL`, `4.7 fl oz`. */
export function printBatch(litres: number, { system, locale }: Notation): string {
  if (!Number.isFinite(litres)) return '–';
  if (system === 'metric') return `${locale.number(Math.max(5, Math.round(litres * 200) * 5))} mL`;
  return `${locale.number(Math.max(0.1, litres * FLOZ_PER_L), 1)} fl oz`;
}

/** `62 lb` or `28 kg`. */
export function printMass(kg: number, { system, locale }: Notation): string {
  if (!Number.isFinite(kg)) return '–';
  const value = system === 'metric' ? kg : kg * LB_PER_KG;
  return `${locale.number(value, value < 10 ? 1 : 0)} ${system === 'metric' ? 'kg' : 'lb'}`;
}

/** `70 °F` or `21 °C`. */
export function printTemperature(c: number, notation: Notation): string {
  return Number.isFinite(c) ? temperatureTo(notation)(c, 0) : '–';
}

/** `40 min`, `17 h`, `2 days 3 h`; input in minutes. */
export function printDuration(minutes: number, { locale }: Pick<Notation, 'locale'>): string {
  if (!Number.isFinite(minutes)) return '–';
  if (minutes < 90) return `${Math.round(minutes)} min`;
  const hours = Math.round(minutes / 60);
  if (hours < 48) return `${minutes < 600 ? locale.number(minutes / 60, 1) : hours} h`;
  const rest = hours % 24;
  return `${locale.days(Math.floor(hours / 24))}${rest ? ` ${rest} h` : ''}`;
}

/** Labour, always in hours, for a working day is not a day: `102 h`, `4.5 h`, `45 min`. */
export const printHours = (minutes: number, notation: Pick<Notation, 'locale'>): string =>
  minutes < 90
    ? printDuration(minutes, notation)
    : `${notation.locale.number(minutes / 60, minutes < 600 ? 1 : 0)} h`;

export type Measured = { ok: true; value: number } | { ok: false; reason: Message };

const AMOUNT = /^(-?\d+(?:[.,]\d+)?)\s*([a-z°²%/ ]*)$/i;

/** What was typed, with one spelling of minus, thousands and spaces. */
const tidy = (text: string): string => withoutThousands(text.trim().replace('−', '-'));

/** Reads an amount with an optional unit out of `per` (unit → factor to SI). */
function parseAmount(
  text: string,
  what: 'area' | 'volume' | 'mass',
  bare: string,
  per: Record<string, number>,
): Measured {
  const m = AMOUNT.exec(tidy(text));
  const unit = (m?.[2] ?? '').trim().toLowerCase() || bare;
  const factor = per[unit];
  if (!m || factor === undefined) {
    return {
      ok: false,
      reason: say(`read.${what}`, { typed: text.trim(), units: Object.keys(per).join(', ') }),
    };
  }
  return { ok: true, value: Number((m[1] ?? '').replace(',', '.')) * factor };
}

/** Reads an area into m²: `620 sq ft`, `57.6 m2`; a bare number is in the job's units. */
export function parseArea(text: string, system: UnitSystem): Measured {
  const per = {
    m2: 1,
    'm²': 1,
    sqm: 1,
    'sq m': 1,
    sqft: 1 / SQFT_PER_M2,
    'sq ft': 1 / SQFT_PER_M2,
    ft2: 1 / SQFT_PER_M2,
    'ft²': 1 / SQFT_PER_M2,
  };
  return parseAmount(text.replace(/([mt])2\b/i, '$1²'), 'area', system === 'metric' ? 'm²' : 'sq ft', per);
}

/** Reads a volume into litres: `4.5 gal`, `6 qt`, `17 L`, `900 ml`. */
export function parseVolume(text: string, system: UnitSystem): Measured {
  const per = { l: 1, ml: 0.001, gal: L_PER_GAL, qt: 1 / QT_PER_L };
  return parseAmount(text, 'volume', system === 'metric' ? 'l' : 'gal', per);
}

/** Reads a mass into kg: `62 lb`, `28 kg`, `900 g`. */
export function parseMass(text: string, system: UnitSystem): Measured {
  const per = { kg: 1, g: 0.001, lb: 1 / LB_PER_KG, lbs: 1 / LB_PER_KG };
  return parseAmount(text, 'mass', system === 'metric' ? 'kg' : 'lb', per);
}

/** Reads a temperature into °C: `70 F`, `21 °C`; a bare number is in the job's units. */
export function parseTemperature(text: string, system: UnitSystem): Measured {
  const m = AMOUNT.exec(tidy(text));
  const unit = (m?.[2] ?? '').replace('°', '').trim().toLowerCase() || (system === 'metric' ? 'c' : 'f');
  if (!m || (unit !== 'c' && unit !== 'f')) {
    return { ok: false, reason: say('read.temperature', { typed: text.trim(), units: system }) };
  }
  const value = Number((m[1] ?? '').replace(',', '.'));
  return { ok: true, value: unit === 'c' ? value : (value - 32) / 1.8 };
}

const MINUTES: Record<string, number> = { d: 1440, h: 60, m: 1 };

/** Reads a duration as people write it: `17 h`, `90 min`, `1.5 h`, `2 days 3 h`; a bare number is hours. */
export function parseDuration(text: string): Measured {
  const plain = tidy(text).toLowerCase().replace(/,/g, '.');
  if (/^\d+(?:\.\d+)?$/.test(plain)) return { ok: true, value: Number(plain) * 60 };
  // `1 h 30`: what follows hours without a unit is minutes.
  const spelled = plain.replace(/(h[a-z]*\s*)(\d+)$/, '$1$2 m');
  const part = /(\d+(?:\.\d+)?)\s*(d|h|m)(?:ays?|ours?|rs?|in|inutes?)?(?![a-z])\s*/g;
  const parts = [...spelled.matchAll(part)];
  if (parts.length === 0 || spelled.replace(part, '') !== '')
    return { ok: false, reason: say('read.duration', { typed: text.slice(0, 30) }) };
  return {
    ok: true,
    value: parts.reduce((sum, [, n, unit]) => sum + Number(n) * (MINUTES[unit ?? 'h'] ?? 0), 0),
  };
}
