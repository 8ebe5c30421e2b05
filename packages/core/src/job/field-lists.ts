import { say } from '../texts';
import { field, spelled, type Trouble } from './field';
import { numberSchema, numberTrouble } from './field-values';
import { DATES, isDay, NAME_LETTERS, REAL_DAY, type Limit } from './limits';
import { list, words } from './schema-parts';

/** How many entries a list has, and whether each may stand in it but once. */
interface Length {
  least?: number;
  most: number;
  once?: boolean;
}

/** What is wrong with a list: that it is none, too long, too short, has something twice, or with the first wrong entry. */
function listTrouble(
  value: unknown,
  { least = 0, most, once = true }: Length,
  wrong: (one: unknown) => Trouble,
): Trouble {
  if (!Array.isArray(value)) return say('door.must-list', { is: spelled(value) });
  if (value.length < least) return say('door.at-least', { least });
  if (value.length > most) return say('door.entries', { most, has: value.length });
  if (once && new Set(value).size < value.length) return say('door.twice');
  const at = value.findIndex((one) => wrong(one) !== undefined);
  const trouble = at < 0 ? undefined : wrong(value[at]);
  return trouble && say('door.nth', { n: at + 1, trouble });
}

/** Names in a list, each once. */
export const Names = (most: number): PropertyDecorator =>
  field({
    trouble: (value) =>
      listTrouble(value, { most }, (one) =>
        typeof one === 'string' && one.length <= NAME_LETTERS
          ? undefined
          : say('door.text', { is: spelled(one) }),
      ),
    schema: () => list({ type: 'string', maxLength: NAME_LETTERS }, { maxItems: most, uniqueItems: true }),
  });

/** Days in a list, each once. */
export const Dates = (most: number): PropertyDecorator =>
  field({
    trouble: (value) =>
      listTrouble(value, { most }, (day) =>
        typeof day === 'string' && isDay(day) ? undefined : say('door.date', { ...DATES, is: spelled(day) }),
      ),
    schema: () => list({ type: 'string', pattern: REAL_DAY }, { maxItems: most, uniqueItems: true }),
  });

/** Numbers in a list, each between limits. */
export const Numbers = (
  limit: Limit,
  { least = 0, most, once = false, whole = false }: Length & { whole?: boolean },
): PropertyDecorator =>
  field({
    trouble: (value) => listTrouble(value, { least, most, once }, (n) => numberTrouble(n, limit, whole)),
    schema: () =>
      list(numberSchema(limit, whole), {
        ...(least > 0 ? { minItems: least } : {}),
        maxItems: most,
        ...(once ? { uniqueItems: true } : {}),
      }),
  });

/** Words in a list, each once. */
export const WordList = (allowed: readonly string[], description?: string): PropertyDecorator =>
  field({
    trouble: (value) => {
      if (!Array.isArray(value)) return say('door.must-list', { is: spelled(value) });
      if (new Set(value).size < value.length) return say('door.twice');
      const wrong = value.find((one) => !allowed.includes(one as string));
      return wrong === undefined
        ? undefined
        : say('door.among', { allowed: allowed.join(', '), is: spelled(wrong) });
    },
    schema: () => list(words(allowed), { uniqueItems: true, ...(description ? { description } : {}) }),
    nearest: (value) =>
      Array.isArray(value) ? [...new Set(value)].filter((one) => allowed.includes(one as string)) : undefined,
  });

/** How many lists, and how many numbers in each. */
interface Sizes {
  lists: readonly [least: number, most: number];
  numbers: readonly [least: number, most: number];
}

/** Lists of numbers in a list: places, or strokes of a pen. */
export const NumberLists = (limit: Limit, { lists, numbers }: Sizes): PropertyDecorator =>
  field({
    trouble: (value) =>
      listTrouble(value, { least: lists[0], most: lists[1] }, (one) =>
        listTrouble(one, { least: numbers[0], most: numbers[1], once: false }, (n) =>
          numberTrouble(n, limit, false),
        ),
      ),
    schema: () =>
      list(list(numberSchema(limit, false), { minItems: numbers[0], maxItems: numbers[1] }), {
        minItems: lists[0],
        maxItems: lists[1],
      }),
  });
