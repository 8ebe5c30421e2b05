import { say, type Message } from '@lisse/core';
import { UserError } from '../user-error';

/** What the database's own failures come to, by their names. */
const WHY: readonly [RegExp, Message][] = [
  [/Quota/, say('storage.quota')],
  [/MissingAPI|Security|InvalidAccess/, say('storage.off')],
  [/OpenFailed|Unknown|Version/, say('storage.open')],
  [/DatabaseClosed|InvalidState/, say('storage.closed')],
];

/** The names of an error and of the one it was made from. */
const namesOf = (error: unknown): string[] =>
  [error, (error as { inner?: unknown } | undefined)?.inner].map((e) =>
    e instanceof Error || e instanceof DOMException ? e.name : '',
  );

/** Whether the browser had no room for it. */
export const isFull = (error: unknown): boolean => namesOf(error).some((name) => /Quota/.test(name));

/** A sentence for what the browser's storage did not do. */
export function whyNotKept(error: unknown): Message {
  const names = namesOf(error);
  const found = WHY.find(([form]) => names.some((name) => form.test(name)));
  if (found) return found[1];
  return error instanceof UserError ? error.said : say('storage.silent');
}

/** A sentence for a write that failed. */
export const whyNotSaved = (error: unknown): Message => say('storage.not-saved', { why: whyNotKept(error) });
