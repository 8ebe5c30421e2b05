import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import { IntlMessageFormat } from 'intl-messageformat';
import { isMessage, type Compared, type Sayable, type Value } from '../texts';
import type { Notation } from '../units';
import { STYLES, type Style } from './styles';

/** The texts of one language, by their keys. */
export type Wording = Readonly<Record<string, string>>;

/** Says a text in one language and the units of one job; what somebody wrote is said as it is. */
export type Say = (what: Sayable) => string;

interface Compiled {
  format: IntlMessageFormat;
  /** Arguments printed by a style of ours, under the names they are given to the format. */
  styled: { as: string; from: string; style: Style }[];
  /** What the text cannot be said without. */
  takes: string[];
}

const isStyle = (name: unknown): name is Style => typeof name === 'string' && name in STYLES;

/** Takes the styles that are ours out of a text: `{gap, number, small}` becomes a plain argument. */
function withoutStyles(parts: MessageFormatElement[], styled: Compiled['styled']): void {
  for (const part of parts) {
    if (part.type === TYPE.number && isStyle(part.style)) {
      const as = `${part.value}:${part.style}`;
      styled.push({ as, from: part.value, style: part.style });
      Object.assign(part, { type: TYPE.argument, value: as });
      delete (part as { style?: unknown }).style;
    }
    if (part.type === TYPE.select || part.type === TYPE.plural)
      for (const option of Object.values(part.options)) withoutStyles(option.value, styled);
  }
}

/** The arguments of a text, those of its options too. */
function namesIn(parts: readonly MessageFormatElement[], found = new Set<string>()): Set<string> {
  for (const part of parts) {
    if (part.type !== TYPE.literal && part.type !== TYPE.pound) found.add(part.value);
    if (part.type === TYPE.select || part.type === TYPE.plural)
      for (const option of Object.values(part.options)) namesIn(option.value, found);
  }
  return found;
}

function compiled(text: string, tag: string): Compiled {
  const parts = parse(text, { ignoreTag: true });
  const styled: Compiled['styled'] = [];
  const takes = [...namesIn(parts)];
  withoutStyles(parts, styled);
  return { format: new IntlMessageFormat(parts, tag), styled, takes };
}

const isBeside = (value: Value): value is Compared =>
  typeof value === 'object' && 'value' in value && 'beside' in value;

/**
 * A speaker of one language.
 * @param catalogue its texts in ICU MessageFormat, with the styles of `styles.ts` for quantities
 * @param notation the units of the job, and the locale for plurals, lists, numbers and dates
 */
export function speech(catalogue: Wording, notation: Notation): Say {
  const { tag } = notation.locale;
  const texts = new Map<string, Compiled>();
  const and = new Intl.ListFormat(tag, { type: 'conjunction' });

  // Numbers stay numbers: plurals and styles go by them.
  const words = (value: Sayable): string | number => (typeof value === 'number' ? value : speak(value));

  function speak(what: Sayable): string {
    if (typeof what !== 'object') return String(what);
    if (!isMessage(what)) return and.format(what.map(speak));
    const text = catalogue[what.key];
    // A text of a later version, kept in a step or a file: its key tells more than nothing.
    if (text === undefined) return what.key;
    if (!text.includes('{')) return text;
    let made = texts.get(what.key);
    if (!made) texts.set(what.key, (made = compiled(text, tag)));
    // What a step of an earlier version kept may lack what the text takes now.
    if (made.takes.some((name) => what.with?.[name] === undefined)) return what.key;
    const given: Record<string, string | number> = {};
    for (const [name, value] of Object.entries(what.with ?? {}))
      given[name] = isBeside(value) ? value.value : words(value);
    for (const { as, from, style } of made.styled) {
      const value = what.with?.[from] ?? '';
      given[as] = STYLES[style](isBeside(value) ? value : words(value), notation);
    }
    return String(made.format.format(given));
  }
  return speak;
}
