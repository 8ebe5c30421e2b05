import { say, type Message } from '../texts';
import { US, type Locale } from './locale';

/** How lengths are typed and printed in a job: feet, inches and sixteenths, or millimetres. */
export type UnitSystem = 'feet' | 'metric';

/** How figures are written for who reads them: the units of the job, and a locale, which goes by the reader alone. */
export interface Notation {
  readonly system: UnitSystem;
  readonly locale: Locale;
}

/** The units of a job in the locale of the base language. */
export const FEET: Notation = { system: 'feet', locale: US };
export const METRIC: Notation = { system: 'metric', locale: US };

/** The unit a bare number stands for; a field says which (rooms in feet, openings in inches). */
export type BareUnit = 'mm' | 'm' | 'in' | 'ft';

export type Parsed = { ok: true; mm: number } | { ok: false; reason: Message };

export const MM_PER_IN = 25.4;
export const MM_PER_FT = 304.8;

const MM_PER: Record<string, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_IN,
  inch: MM_PER_IN,
  inches: MM_PER_IN,
  '"': MM_PER_IN,
  ft: MM_PER_FT,
  foot: MM_PER_FT,
  feet: MM_PER_FT,
  "'": MM_PER_FT,
};

const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** Whole, decimal, fraction, or whole and fraction: `6`, `6.5`, `1/2`, `6 1/2`, `6-1/2`. */
const NUMBER = String.raw`\d+(?:\.\d+)?(?:[\s-]+\d+\/\d+)?|\.\d+|\d+\/\d+`;
const NUMBER_RE = new RegExp(`^(?:${NUMBER})$`);
const FEET_RE = new RegExp(`^(${NUMBER})\\s*(?:'|ft|foot|feet)\\s*-?\\s*(.*)$`);
const UNIT_RE = new RegExp(`^(${NUMBER})\\s*([a-z"']+)$`);
const DASH_RE = /^(\d+)\s*-\s*(\d+(?:\.\d+)?(?:[\s-]+\d+\/\d+)?|\d+\/\d+)$/;

/** Value of `6 1/2`, `0.5`, `1/2`; NaN for a zero denominator. */
function numberOf(text: string): number {
  let value = 0;
  for (const part of text.trim().split(/[\s-]+/)) {
    const [top, bottom] = part.split('/');
    if (bottom === undefined) value += Number(top);
    else value += Number(bottom) === 0 ? NaN : Number(top) / Number(bottom);
  }
  return value;
}

/**
 * Digits without what parts their thousands: spaces, and commas before three digits unless a zero stands before them:
 * `2,400`, but `0,125`. Three digits with a stroke behind them are the top of a fraction.
 */
export const withoutThousands = (text: string): string =>
  text
    .replace(/(\d)[\s\u00a0\u202f](?=\d{3}(?:\D|$))(?!\d{3}\/)/g, '$1')
    .replace(/(?<=[1-9]\d{0,2}(?:,\d{3})*),(?=\d{3}(?!\d))/g, '');

/** One spelling for quotes, fractions, decimal commas and spaces between thousands. */
function tidy(text: string): string {
  const spelled = text
    .trim()
    .toLowerCase()
    .replace(/[’′‘`´]/g, "'")
    .replace(/[”″“]|''/g, '"')
    .replace(/[−–—]/g, '-')
    .replace(/\u2044/g, '/')
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (c) => ` ${VULGAR[c] ?? ''}`);
  return withoutThousands(spelled)
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/\s+/g, ' ')
    .trim();
}

/**
 * Reads a length as people write it: `12' 6 1/2"`, `12-6`, `12ft 6`, `150in`, `3.81 m`, `381 cm`,
 * `3810`, `3,81 m`. A bare number is in `bare`.
 * @param signed whether it may be less than nothing, as a hollow is beside a hump
 * @returns mm, or the reason it was not understood; never throws
 */
export function parseLength(text: string, bare: BareUnit, signed = false): Parsed {
  const t = tidy(text);
  if (signed && t.startsWith('-')) {
    const read = parseLength(t.slice(1), bare);
    return read.ok ? { ok: true, mm: -read.mm } : read;
  }
  if (t === '') return { ok: false, reason: say('read.length-empty', { units: systemOf(bare) }) };
  if (t.startsWith('-')) return { ok: false, reason: say('read.length-negative', { typed: text.trim() }) };
  const mm = millimetres(t, bare);
  if (mm === undefined || !Number.isFinite(mm)) {
    return {
      ok: false,
      reason: say('read.length', { typed: text.trim(), units: systemOf(bare) }),
    };
  }
  return { ok: true, mm };
}

/**
 * The nearest size that is round where it is typed: to 2 inches, or to 50 mm.
 * @param mm a usual size, not a measured one
 * @example usualSize(200, 'feet') // 203.2, which is 8"
 */
export function usualSize(mm: number, system: UnitSystem): number {
  const round = system === 'feet' ? 2 * MM_PER_IN : 50;
  return Math.round(mm / round) * round;
}

/** Examples are given in the system that is typed in. */
const systemOf = (bare: BareUnit): UnitSystem => (bare === 'in' || bare === 'ft' ? 'feet' : 'metric');

function millimetres(t: string, bare: BareUnit): number | undefined {
  if (NUMBER_RE.test(t) && !DASH_RE.test(t)) return numberOf(t) * (MM_PER[bare] ?? NaN);
  const dash = DASH_RE.exec(t);
  if (dash) return numberOf(dash[1] ?? '') * MM_PER_FT + numberOf(dash[2] ?? '') * MM_PER_IN;
  const feet = FEET_RE.exec(t);
  if (feet) {
    const rest = (feet[2] ?? '').replace(/\s*(?:"|inches|inch|in)$/, '');
    if (rest !== '' && !NUMBER_RE.test(rest)) return undefined;
    return numberOf(feet[1] ?? '') * MM_PER_FT + (rest === '' ? 0 : numberOf(rest) * MM_PER_IN);
  }
  const unit = UNIT_RE.exec(t);
  const per = unit ? MM_PER[unit[2] ?? ''] : undefined;
  return unit && per ? numberOf(unit[1] ?? '') * per : undefined;
}

/** Whole inches and parts of one, sixteenths where nothing else is said, as `6 1/2`, without the mark. */
export function inchesText(parts: number, per = 16): string {
  const whole = Math.floor(parts / per);
  let top = parts % per;
  let bottom = per;
  while (top > 0 && top % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  if (top === 0) return String(whole);
  return whole === 0 ? `${top}/${bottom}` : `${whole} ${top}/${bottom}`;
}

/** A measured length: `14' 0"`, `12' 6 1/2"`, or `3,810 mm`. */
export function printLength(mm: number, { system, locale }: Notation): string {
  if (!Number.isFinite(mm)) return '–';
  if (system === 'metric') return `${locale.number(mm)} mm`;
  const sign = mm < 0 ? '−' : '';
  const sixteenths = Math.round((Math.abs(mm) / MM_PER_IN) * 16);
  const feet = Math.floor(sixteenths / (12 * 16));
  return `${sign}${feet}' ${inchesText(sixteenths - feet * 12 * 16)}"`;
}

/** A small length, such as a gap or a blade: `1/16"`, `12"`, `1.6 mm`. */
export function printSmall(mm: number, { system, locale }: Notation): string {
  if (!Number.isFinite(mm)) return '–';
  if (system === 'metric') return `${locale.number(mm, Math.abs(mm) < 20 ? 1 : 0)} mm`;
  const sign = mm < 0 ? '−' : '';
  return `${sign}${inchesText(Math.round((Math.abs(mm) / MM_PER_IN) * 16))}"`;
}

/**
 * A blade or a band in the size it is sold or spoken of: `12"` for 300 mm, `8"` for 200 mm.
 * Rounded to the half inch, since a 300 mm knife and a 12 inch knife are the same tool class.
 */
export function printBlade(mm: number, { system, locale }: Notation): string {
  if (system === 'metric') return `${locale.number(mm)} mm`;
  const halves = Math.round(mm / 12.5);
  return mm >= 100 ? `${Math.round(mm / 25)}"` : `${inchesText(halves * 8)}"`;
}

/** A run of joints or tape, for totals: `168 ft`, `51.2 m`. */
export function printRun(mm: number, { system, locale }: Notation): string {
  if (!Number.isFinite(mm)) return '–';
  return system === 'metric' ? `${locale.number(mm / 1000, 1)} m` : `${locale.number(mm / MM_PER_FT)} ft`;
}
