import 'reflect-metadata';
import { say, type Message } from '../texts';
import { registerDecorator, ValidateIf, ValidateNested, type ValidationArguments } from 'class-validator';
import {
  clamped,
  cutShort,
  DATES,
  isDay,
  NAME_LETTERS,
  NOTE_LETTERS,
  REAL_DAY,
  within,
  type Limit,
} from './limits';
import { list, object, range, words, type Schema } from './schema-parts';

type Doc = new () => object;

type KeyOf<T> = T extends unknown ? keyof T : never;
/**
 * What a document class must name where its type is a union, which no class can be: every field of every one of
 * them, so that none reaches the core unchecked. Elsewhere the class is the type.
 */
export type Fields<T> = Record<KeyOf<T>, unknown>;

/**
 * What a field of a document may hold. Everything that reads documents goes by it: the check at the door, the
 * published schema, the mending of what an earlier version kept.
 */
export type Trouble = Message | undefined;

interface FieldRule {
  /** What is wrong, to stand behind the field's name; nothing where it is right. */
  trouble: (value: unknown, owner: object) => Trouble;
  schema: () => Schema;
  optional: boolean;
  /** The nearest value that is right, where there is one. */
  nearest?: (value: unknown) => unknown;
  part?: {
    type: () => Doc;
    holds: 'one' | 'list' | 'record';
    most: number;
    keys?: readonly string[] | undefined;
  };
  /** Whether it counts in this document; always where it is not given. */
  counts?: (owner: Record<string, unknown>) => boolean;
}

const RULES = new Map<object, Map<string, FieldRule>>();

/** The fields of a document that are known, with what each may hold. */
export const rulesOf = (type: Doc): ReadonlyMap<string, FieldRule> =>
  RULES.get(type.prototype as object) ?? new Map<string, FieldRule>();

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A value as a file spells it, cut short; what is no single value is not spelled out. */
export const spelled = (value: unknown): Message | string => {
  if (typeof value === 'object' && value !== null)
    return say(Array.isArray(value) ? 'door.list' : 'door.object');
  const text = JSON.stringify(value) as string | undefined;
  return text === undefined ? say('door.nothing') : cutShort(text, 60);
};

function field(what: Omit<FieldRule, 'optional'>): PropertyDecorator {
  return (target, key) => {
    const rule: FieldRule = { ...what, optional: false };
    const fields = RULES.get(target) ?? new Map<string, FieldRule>();
    RULES.set(target, fields.set(key as string, rule));
    registerDecorator({
      name: 'field',
      target: target.constructor,
      propertyName: key as string,
      validator: {
        validate: (value: unknown, args?: ValidationArguments) =>
          rule.trouble(value, args?.object ?? {}) === undefined,
      },
    });
    if (rule.part) ValidateNested({ message: 'must be an object' })(target, key as string);
  };
}

/** A field that may be left out. Stands before the decorator that says what it holds. */
export const Maybe = (): PropertyDecorator => (target, key) => {
  const rule = RULES.get(target)?.get(key as string);
  if (rule) rule.optional = true;
  ValidateIf((_, value) => value !== undefined)(target, key as string);
};

/** A field that counts only where something holds of its document. */
export const Where =
  (holds: (owner: Record<string, unknown>) => boolean): PropertyDecorator =>
  (target, key) => {
    const rule = RULES.get(target)?.get(key as string);
    if (rule) rule.counts = holds;
    ValidateIf((owner: Record<string, unknown>) => holds(owner))(target, key as string);
  };

/** A text that must come after another field's; a schema cannot say so. Stands before what the text is. */
export const Later =
  (than: string): PropertyDecorator =>
  (target, key) => {
    const rule = RULES.get(target)?.get(key as string);
    if (!rule) return;
    const alone = rule.trouble;
    rule.trouble = (value, owner) => {
      const first = (owner as Record<string, unknown>)[than];
      const wrong = alone(value, owner);
      return (
        wrong ??
        (typeof first === 'string' && (value as string) <= first ? say('door.later', { first }) : undefined)
      );
    };
  };

const numberTrouble = (value: unknown, limit: Limit, whole: boolean): Trouble => {
  const right = typeof value === 'number' && within(value, limit) && (!whole || Number.isInteger(value));
  if (right) return undefined;
  const { least, most, unit = 'none' } = limit;
  return say(whole ? 'door.whole' : 'door.number', {
    least: String(least),
    most: String(most),
    unit,
    is: spelled(value),
  });
};

const numberSchema = ({ least, most, unit }: Limit, whole: boolean, description?: string): Schema => ({
  ...range(least, most),
  ...(whole ? { type: 'integer' } : {}),
  ...(description || unit ? { description: [description, unit].filter(Boolean).join(', ') } : {}),
});

/** A number between limits. */
export const InRange = (limit: Limit, description?: string, whole = false): PropertyDecorator =>
  field({
    trouble: (value) => numberTrouble(value, limit, whole),
    schema: () => numberSchema(limit, whole, description),
    nearest: (value) =>
      typeof value === 'number' && Number.isFinite(value)
        ? clamped(whole ? Math.round(value) : value, limit)
        : undefined,
  });

export const Whole = (limit: Limit, description?: string): PropertyDecorator =>
  InRange(limit, description, true);

/** A wall by its number, counted from 0 along the outline. */
export const WallNumber = (description = 'counted from 0 along the outline'): PropertyDecorator =>
  Whole({ least: 0, most: 199 }, description);

export const oneOf = (allowed: readonly (string | number | boolean)[]): PropertyDecorator =>
  field({
    trouble: (value) =>
      allowed.includes(value as string)
        ? undefined
        : allowed.length === 1
          ? say('door.only', { one: spelled(allowed[0]), is: spelled(value) })
          : say('door.one-of', { allowed: allowed.join(', '), is: spelled(value) }),
    schema: () => (allowed.length === 1 ? { const: allowed[0] } : { enum: [...allowed] }),
  });

export const YesNo = (description?: string): PropertyDecorator =>
  field({
    trouble: (value) => (typeof value === 'boolean' ? undefined : say('door.yes-no', { is: spelled(value) })),
    schema: () => ({ type: 'boolean', ...(description ? { description } : {}) }),
  });

function text(letters: number): PropertyDecorator {
  return field({
    trouble: (value) => {
      if (typeof value !== 'string') return say('door.text', { is: spelled(value) });
      // Letters are counted as a schema counts them, one for each however it is kept.
      return value.length > letters && [...value].length > letters
        ? say('door.letters', { most: letters, has: [...value].length })
        : undefined;
    },
    schema: () => ({ type: 'string', maxLength: letters }),
    nearest: (value) => (typeof value === 'string' ? cutShort(value, letters) : undefined),
  });
}

export const Name = (): PropertyDecorator => text(NAME_LETTERS);
export const Words = (): PropertyDecorator => text(NOTE_LETTERS);

function pattern(
  source: string,
  must: (is: Message | string) => Message,
  nearest?: FieldRule['nearest'],
): PropertyDecorator {
  const form = new RegExp(source);
  return field({
    trouble: (value) => (typeof value === 'string' && form.test(value) ? undefined : must(spelled(value))),
    schema: () => ({ type: 'string', pattern: source }),
    ...(nearest ? { nearest } : {}),
  });
}

export const Id = (): PropertyDecorator =>
  pattern('^[A-Za-z0-9][A-Za-z0-9_.-]{0,63}$', (is) => say('door.id', { is }));

/** A small picture kept in the document itself. */
export const Photo = (): PropertyDecorator =>
  pattern('^data:image/jpeg;base64,[A-Za-z0-9+/=]{1,400000}$', (is) => say('door.photo', { is }));

export const ClockTime = (such: string): PropertyDecorator =>
  pattern('^([01]\\d|2[0-3]):[0-5]\\d$', (is) => say('door.clock', { such, is }));

export const CalendarDate = (): PropertyDecorator =>
  pattern(
    REAL_DAY,
    (is) => say('door.date', { ...DATES, is }),
    (value) =>
      typeof value !== 'string' || !/^\d+-\d\d-\d\d$/.test(value)
        ? undefined
        : value.length > 10 || value > DATES.most
          ? DATES.most
          : value < DATES.least
            ? DATES.least
            : `${value.slice(0, 8)}28`,
  );

/** Names in a list, each once. */
export const Names = (most: number): PropertyDecorator =>
  field({
    trouble: (value) => {
      if (!Array.isArray(value)) return say('door.must-list', { is: spelled(value) });
      if (value.length > most) return say('door.entries', { most, has: value.length });
      if (new Set(value).size < value.length) return say('door.twice');
      const wrong = value.findIndex((one) => typeof one !== 'string' || one.length > NAME_LETTERS);
      return wrong < 0
        ? undefined
        : say('door.nth', { n: wrong + 1, trouble: say('door.text', { is: spelled(value[wrong]) }) });
    },
    schema: () => list({ type: 'string', maxLength: NAME_LETTERS }, { maxItems: most, uniqueItems: true }),
  });

const MOMENT = '([01]\\d|2[0-3]):[0-5]\\d';

/** A moment on site by the clock on its wall, `2026-11-30T07:00`. */
export const LocalTime = (): PropertyDecorator =>
  pattern(`^${REAL_DAY.slice(1, -1)}T${MOMENT}$`, (is) => say('door.local-time', { is }));

/** A moment anywhere: the site's own clock and how far it is from the world's, `2026-11-30T07:00:00-05:00`. */
export const Moment = (): PropertyDecorator =>
  pattern(`^${REAL_DAY.slice(1, -1)}T${MOMENT}(:[0-5]\\d(\\.\\d{1,3})?)?(Z|[+-]${MOMENT})$`, (is) =>
    say('door.moment', { is }),
  );

/** Days in a list, each once. */
export const Dates = (most: number): PropertyDecorator =>
  field({
    trouble: (value) => {
      if (!Array.isArray(value)) return say('door.must-list', { is: spelled(value) });
      if (value.length > most) return say('door.entries', { most, has: value.length });
      if (new Set(value).size < value.length) return say('door.twice');
      const wrong = value.findIndex((day) => typeof day !== 'string' || !isDay(day));
      return wrong < 0
        ? undefined
        : say('door.nth', {
            n: wrong + 1,
            trouble: say('door.date', { ...DATES, is: spelled(value[wrong]) }),
          });
    },
    schema: () => list({ type: 'string', pattern: REAL_DAY }, { maxItems: most, uniqueItems: true }),
  });

/** Numbers in a list, each between limits. */
export const Numbers = (
  limit: Limit,
  {
    least = 0,
    most,
    whole = false,
    once = false,
  }: { least?: number; most: number; whole?: boolean; once?: boolean },
): PropertyDecorator =>
  field({
    trouble: (value) => numbersTrouble(value, limit, { least, most, whole, once }),
    schema: () =>
      list(numberSchema(limit, whole), {
        ...(least > 0 ? { minItems: least } : {}),
        maxItems: most,
        ...(once ? { uniqueItems: true } : {}),
      }),
  });

function numbersTrouble(
  value: unknown,
  limit: Limit,
  { least, most, whole, once }: { least: number; most: number; whole: boolean; once: boolean },
): Trouble {
  if (!Array.isArray(value)) return say('door.must-list', { is: spelled(value) });
  if (value.length < least) return say('door.at-least', { least });
  if (value.length > most) return say('door.entries', { most, has: value.length });
  if (once && new Set(value).size < value.length) return say('door.twice');
  const at = value.findIndex((n) => numberTrouble(n, limit, whole) !== undefined);
  const trouble = at < 0 ? undefined : numberTrouble(value[at], limit, whole);
  return trouble && say('door.nth', { n: at + 1, trouble });
}

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

/** A place on a plan or a face: two numbers. */
export const PointAt = (limit: Limit): PropertyDecorator =>
  field({
    trouble: (value) =>
      Array.isArray(value) &&
      value.length === 2 &&
      value.every((n) => numberTrouble(n, limit, false) === undefined)
        ? undefined
        : say('door.point', { least: String(limit.least), most: String(limit.most), is: spelled(value) }),
    schema: () => pair(limit),
  });

export const pair = ({ least, most }: Limit): Schema =>
  list(range(least, most), { minItems: 2, maxItems: 2 });

/** A field with a rule of its own. */
export const Special = (
  trouble: (value: unknown, owner: object) => Trouble,
  schema: Schema,
): PropertyDecorator => field({ trouble, schema: () => schema });

/** A nested document. */
export const Part = (type: () => Doc): PropertyDecorator =>
  field({
    trouble: (value) => (isRecord(value) ? undefined : say('door.must-object', { is: spelled(value) })),
    schema: () => schemaOf(type()),
    part: { type, holds: 'one', most: 1 },
  });

/** A list of nested documents. */
export const Parts = (type: () => Doc, most: number): PropertyDecorator =>
  field({
    trouble: (value) => {
      if (value instanceof TooMany) return say('door.entries', { most, has: value.count });
      return Array.isArray(value) ? undefined : say('door.must-list', { is: spelled(value) });
    },
    schema: () => list(schemaOf(type()), { maxItems: most }),
    part: { type, holds: 'list', most },
  });

/**
 * Nested documents by name.
 * @param keys the names that are known; any where it is not given
 */
export const PartsByName = (
  type: () => Doc,
  most: number,
  { keys, description }: { keys?: readonly string[]; description?: string } = {},
): PropertyDecorator =>
  field({
    trouble: (value) => {
      if (value instanceof TooMany) return say('door.entries', { most, has: value.count });
      if (!(value instanceof Map)) return say('door.must-object', { is: spelled(value) });
      const wrong = keys && [...value.keys()].find((key) => !keys.includes(key as string));
      return wrong === undefined
        ? undefined
        : say('door.keys', { key: spelled(wrong), such: keys?.[0] ?? '' });
    },
    schema: () => ({
      type: 'object',
      ...(description ? { description } : {}),
      maxProperties: most,
      ...(keys ? { propertyNames: words(keys) } : {}),
      additionalProperties: schemaOf(type()),
    }),
    part: { type, holds: 'record', most, keys },
  });

/** Stands for a list too long to be gone through. */
class TooMany {
  constructor(readonly count: number) {}
}

/** A value as an instance of its document's class, with the fields that are known; nothing of it is checked. */
export function asDoc(type: Doc, value: unknown): unknown {
  if (!isRecord(value)) return value;
  const doc = new type() as Record<string, unknown>;
  for (const [key, rule] of rulesOf(type)) {
    const given = value[key];
    if (given !== undefined) doc[key] = rule.part ? asParts(rule, given) : given;
  }
  return doc;
}

function asParts(rule: FieldRule, given: unknown): unknown {
  if (!rule.part) return given;
  const { type, holds, most } = rule.part;
  if (holds === 'one') return asDoc(type(), given);
  if (holds === 'list') {
    if (!Array.isArray(given)) return given;
    if (given.length > most) return new TooMany(given.length);
    return given.map((one) => asEntry(type(), one));
  }
  if (!isRecord(given)) return given;
  const entries = Object.entries(given);
  if (entries.length > most) return new TooMany(entries.length);
  return new Map(entries.map(([name, one]) => [name, asEntry(type(), one)]));
}

/** An entry that is no object stands as a text, which the check of nested documents refuses; a list it would pass. */
const asEntry = (type: Doc, one: unknown): unknown => (isRecord(one) ? asDoc(type, one) : '');

/** Documents whose schema is more than their fields. */
const WHOLE = new Map<object, (fields: Schema) => Schema>();

/** What a schema says of a document beyond its fields one by one. */
export const SchemaToo =
  (make: (fields: Schema) => Schema): ClassDecorator =>
  (type) => {
    WHOLE.set(type, make);
  };

/** JSON Schema of a document. Fields that are not named are allowed and kept. */
export function schemaOf(type: Doc): Schema {
  const rules = [...rulesOf(type)];
  const made = object(
    Object.fromEntries(rules.map(([key, rule]) => [key, rule.schema()])),
    rules.filter(([, rule]) => rule.optional).map(([key]) => key),
  );
  return WHOLE.get(type)?.(made) ?? made;
}
