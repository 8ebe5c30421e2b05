import { inchesText, MM_PER_IN, printSmall, type Notation } from './length';

/** Prints a figure, with more digits where it is asked for them. */
export type Printed = (value: number, more: number) => string;

/** Digits beyond these tell nothing that anybody could see. */
const MOST = 4;

/** Two figures held against each other, with as many digits as it takes to tell them apart. */
export function apart(a: number, b: number, print: Printed): [string, string] {
  for (let more = 0; more < MOST; more++) {
    const texts: [string, string] = [print(a, more), print(b, more)];
    if (a === b || texts[0] !== texts[1]) return texts;
  }
  return [print(a, MOST), print(b, MOST)];
}

/** `8.4%`, `12%`; with more digits `10.3%`. */
export const shareTo =
  ({ locale }: Pick<Notation, 'locale'>): Printed =>
  (share, more) =>
    locale.percent(share, (share < 0.1 ? 1 : 0) + more);

/** A small length: sixteenths or tenths of a millimetre, then finer. */
export const smallTo =
  (notation: Notation): Printed =>
  (mm, more) =>
    more === 0 ? printSmall(mm, notation) : printFine(mm, notation, more);

/** `70 °F`, `9.6 °C`. */
export const temperatureTo =
  ({ system, locale }: Notation): Printed =>
  (c, more) =>
    system === 'metric' ? `${locale.number(c, more)} °C` : `${locale.number(c * 1.8 + 32, more)} °F`;

/**
 * A layer, a crown or a gap as it is measured: hundredths of a millimetre; inches to 1/64, or decimals of an inch where
 * it is smaller or more digits are wanted.
 */
export function printFine(mm: number, { system, locale }: Notation, more = 0): string {
  if (!Number.isFinite(mm)) return '–';
  if (system === 'metric') return `${locale.number(mm, 2 + Math.max(0, more - 1))} mm`;
  const inches = Math.abs(mm) / MM_PER_IN;
  const sign = mm < 0 ? '−' : '';
  const parts = Math.round(inches * 64);
  if (more > 1 || parts < 2) return `${sign}${locale.number(inches, 3 + Math.max(0, more - 2))}"`;
  return `${sign}${inchesText(parts, 64)}"`;
}
