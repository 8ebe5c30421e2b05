import {
  apart,
  group,
  printArea,
  printBlade,
  printDate,
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
  trim,
  type Printed,
  type UnitSystem,
} from '../units';

/** What a quantity is said in. */
export interface Tongue {
  system: UnitSystem;
  language: string;
}

/** A quantity, two to be told apart, or words that are there already. */
export type Styled = string | number | { value: number; beside: number };

type Print = (value: Styled, tongue: Tongue) => string;

const plain =
  (print: (value: number, system: UnitSystem) => string): Print =>
  (value, { system }) =>
    typeof value === 'string' ? value : print(typeof value === 'number' ? value : value.value, system);

/** With as many digits as tell it from what it is held against. */
const telling =
  (printed: (system: UnitSystem) => Printed): Print =>
  (value, { system }) => {
    if (typeof value === 'string') return value;
    const print = printed(system);
    return typeof value === 'number' ? print(value, 0) : apart(value.value, value.beside, print)[0];
  };

const wordsIn =
  (make: (words: string, language: string) => string): Print =>
  (value, { language }) =>
    make(typeof value === 'object' ? String(value.value) : String(value), language);

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
  share: telling(() => shareTo),
  percent: plain((share) => `${trim(share * 100, 0)} %`),
  minutes: plain(printDuration),
  hours: plain(printHours),
  whole: plain((n) => group(Math.round(n))),
  tenth: plain((n) => trim(n, 1)),
  hundredth: plain((n) => n.toFixed(2)),
  /** Words at the start of a sentence. */
  start: wordsIn((words, language) => words.charAt(0).toLocaleUpperCase(language) + words.slice(1)),
  date: wordsIn((iso) => printDate(iso)),
} satisfies Record<string, Print>;

export type Style = keyof typeof STYLES;
