import { say, type Message } from '../texts';
import { rulesOf } from './field';
import type { Problem } from './problems';
import { isRight } from './right';

type Doc = Record<string, unknown>;
type Class = new () => object;

const isDoc = (value: unknown): value is Doc =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Entries that are not left out for one thing wrong in them: a room is too much to lose. */
const KEPT = new Set(['rooms']);

/**
 * A document with what is wrong in it made right where that can be done with little lost: a number outside its
 * limits becomes the nearest inside, a text too long is cut, what may be missing is left out, and so is an
 * entry of a list that cannot be read. None where a part that must be there cannot be read.
 * @returns the document, changed only where it had to be, and what was changed
 */
export function mended(
  type: Class,
  value: unknown,
  path = '',
): { value: unknown; notes: Problem[] } | undefined {
  if (!isDoc(value)) return undefined;
  const notes: Problem[] = [];
  const whole: Doc = { ...value };
  for (const [key, rule] of rulesOf(type)) {
    const given = whole[key];
    const at = path === '' ? key : `${path}.${key}`;
    if (given === undefined && rule.optional) continue;
    if (rule.counts && !rule.counts(whole)) continue;
    const leaveOut = (message: Message): boolean => {
      if (!rule.optional) return false;
      notes.push({ path: at, message });
      Reflect.deleteProperty(whole, key);
      return true;
    };
    if (rule.part && given !== undefined) {
      const made =
        rule.part.holds === 'one'
          ? mended(rule.part.type(), given, at)
          : entries(rule.part, given, at, KEPT.has(key));
      if (made) {
        whole[key] = made.value;
        notes.push(...made.notes);
      } else if (!leaveOut(say('mend.left-out'))) return undefined;
      continue;
    }
    const wrong = rule.trouble(given, whole);
    if (wrong === undefined) continue;
    const nearest = rule.nearest?.(given);
    if (nearest !== undefined && rule.trouble(nearest, whole) === undefined) {
      notes.push({ path: at, message: say('mend.taken', { trouble: wrong, as: briefly(nearest) }) });
      whole[key] = nearest;
    } else if (!leaveOut(say('mend.out', { trouble: wrong }))) return undefined;
  }
  return { value: whole, notes };
}

const briefly = (value: unknown): Message | string => {
  const text = typeof value === 'string' ? value : JSON.stringify(value);
  return text.length > 40 ? say('mend.letters') : text;
};

/** A list, or things by name, without those that cannot be read. */
function entries(
  { type, most, keys }: { type: () => Class; most: number; keys?: readonly string[] | undefined },
  given: unknown,
  path: string,
  keep: boolean,
): { value: unknown; notes: Problem[] } | undefined {
  if (typeof given !== 'object' || given === null) return undefined;
  const all = Object.entries(given);
  if (all.length > most) return undefined;
  const notes: Problem[] = [];
  const good: [string, unknown][] = [];
  for (const [name, one] of all) {
    // A log is long, and nearly all of it is right.
    if (keys === undefined && isRight(type(), one)) {
      good.push([name, one]);
      continue;
    }
    const made = keys?.includes(name) === false ? undefined : mended(type(), one, `${path}[${name}]`);
    if (made) {
      good.push([name, made.value]);
      notes.push(...made.notes);
    } else if (keep) return undefined;
    else notes.push({ path: `${path}[${name}]`, message: say('mend.left-out') });
  }
  return { value: Array.isArray(given) ? good.map(([, one]) => one) : Object.fromEntries(good), notes };
}
