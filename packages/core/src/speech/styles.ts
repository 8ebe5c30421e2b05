import {
  apart,
  printArea,
  printBlade,
  printDuration,
  printFine,
  printHours,
  printLength,
  printMass,
  printRun,
  printVolume,
  shareTo,
  smallTo,
  temperatureTo,
  type Locale,
  type Notation,
  type Printed,
} from '../units';

/** A quantity, two to be told apart, or words that are there already. */
export type Styled = string | number | { value: number; beside: number };

type Print = (value: Styled, notation: Notation) => string;

const plain =
  (print: (value: number, notation: Notation) => string): Print =>
  (value, notation) =>
    typeof value === 'string' ? value : print(typeof value === 'number' ? value : value.value, notation);

/** With as many digits as tell it from what it is held against. */
const telling =
  (printed: (notation: Notation) => Printed): Print =>
  (value, notation) => {
    if (typeof value === 'string') return value;
    const print = printed(notation);
    return typeof value === 'number' ? print(value, 0) : apart(value.value, value.beside, print)[0];
  };

const wordsIn =
  (make: (words: string, locale: Locale) => string): Print =>
  (value, { locale }) =>
    make(typeof value === 'object' ? String(value.value) : String(value), locale);

/**
 * How the texts of the catalogue print what goes into them, in the units of the job. Quantities come in SI:
 * `{gap, number, small}` takes mm, `{least, number, temperature}` °C, `{wait, number, minutes}` min.
 */
export const STYLES = {
  length: plain(printLength),
  small: telling(smallTo),
  fine: plain(printFine),
  blade: plain(printBlade),
  run: plain(printRun),
  area: plain(printArea),
  volume: plain(printVolume),
  mass: plain(printMass),
  temperature: telling(temperatureTo),
  share: telling(shareTo),
  percent: plain((share, { locale }) => locale.percent(share)),
  minutes: plain(printDuration),
  hours: plain(printHours),
  whole: plain((n, { locale }) => locale.number(n)),
  tenth: plain((n, { locale }) => locale.number(n, 1)),
  hundredth: plain((n, { locale }) => locale.number(n, 2, 2)),
  /** Words at the start of a sentence. */
  start: wordsIn((words, { tag }) => words.charAt(0).toLocaleUpperCase(tag) + words.slice(1)),
  date: wordsIn((iso, locale) => locale.date(iso)),
} satisfies Record<string, Print>;

export type Style = keyof typeof STYLES;
