import { rulesOf, type FieldRule } from './field';

/** Whether a document is right, by its rules alone: class-validator takes many times as long, and a log is long. */
export function isRight(type: new () => object, doc: unknown): boolean {
  if (typeof doc !== 'object' || doc === null || Array.isArray(doc)) return false;
  const fields = doc as Record<string, unknown>;
  for (const [key, rule] of rulesOf(type)) {
    const value = fields[key];
    if (rule.counts?.(fields) === false) continue;
    if (value === undefined ? !rule.optional : !isField(rule, value, fields)) return false;
  }
  return true;
}

function isField({ part, trouble }: FieldRule, value: unknown, owner: object): boolean {
  if (!part) return trouble(value, owner) === undefined;
  const type = part.type();
  if (part.holds === 'one') return isRight(type, value);
  // What is kept by name is left to the whole check.
  return (
    part.holds === 'list' &&
    Array.isArray(value) &&
    value.length <= part.most &&
    value.every((one) => isRight(type, one))
  );
}
