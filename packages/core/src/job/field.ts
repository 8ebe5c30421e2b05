import 'reflect-metadata';
import { say, type Message } from '../texts';
import { registerDecorator, ValidateIf, ValidateNested, type ValidationArguments } from 'class-validator';
import { cutShort } from './limits';
import { list, object, words, type Schema } from './schema-parts';

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

export interface FieldRule {
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

/** A field by its rule; what the decorators of every kind of value are made of. */
export function field(what: Omit<FieldRule, 'optional'>): PropertyDecorator {
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
