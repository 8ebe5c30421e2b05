import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import EN from './en.json';
import GB from './en-GB.json';

const base: Record<string, string> = EN;
const overlay = Object.entries<string>(GB);

/** What a text takes, and what it chooses by. */
function argumentsOf(parts: MessageFormatElement[], found = new Set<string>()): Set<string> {
  for (const part of parts) {
    if (part.type === TYPE.argument || part.type === TYPE.number) found.add(part.value);
    if (part.type === TYPE.select || part.type === TYPE.plural) {
      found.add(`${part.value}: ${Object.keys(part.options).sort().join(' ')}`);
      for (const option of Object.values(part.options)) argumentsOf(option.value, found);
    }
  }
  return found;
}

it('holds texts of the base language only, each with what that takes and in other words', () => {
  for (const [key, text] of overlay) {
    expect([key, base[key]]).toEqual([key, expect.any(String)]);
    expect([key, text]).not.toEqual([key, base[key]]);
    const takes = (words: string) => [...argumentsOf(parse(words, { ignoreTag: true }))].sort();
    expect([key, takes(text)]).toEqual([key, takes(base[key] as string)]);
  }
});

/** The words of a text, without the names of what it takes. */
const wordsOf = (parts: MessageFormatElement[]): string =>
  parts
    .map((part) => {
      if (part.type === TYPE.literal) return part.value;
      if (part.type !== TYPE.select && part.type !== TYPE.plural) return '';
      return Object.values(part.options)
        .map((option) => wordsOf(option.value))
        .join(' ');
    })
    .join(' ');

/** Words of one country; a new text that has one wants a line in the overlay. */
const AMERICAN =
  /\b(colors?|gray|liters?|(?:milli)?meters? and|per meter|millimeters?|labor|fibers?|center(?:ed)?|mud|fasteners?|closets?|soffits?|punch list|bids?|drywall|toward|trash|grazing|outside corners?|inside angles?|test dabs?|walk-through|set times?|judgment)\b/i;

it('leaves no word of the other side of the Atlantic', () => {
  const said = Object.entries({ ...base, ...GB }).map(
    ([key, text]) => [key, wordsOf(parse(text, { ignoreTag: true }))] as const,
  );
  expect(said.filter(([, words]) => AMERICAN.test(words))).toEqual([]);
});
