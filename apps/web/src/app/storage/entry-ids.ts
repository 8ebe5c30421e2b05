import type { LogEntry } from '@lisse/core';
import { decodeTime, encodeTime, isValid, monotonicFactory, ulid } from 'ulid';

const nextId = monotonicFactory();
/** The last moment an id can hold. */
const LAST_MS = 2 ** 48 - 1;

/** The moment on site with its distance from the world's: `2026-11-30T07:00:00+02:00`. */
export function momentOf(date: Date): string {
  const ahead = -date.getTimezoneOffset();
  const local = new Date(date.getTime() + ahead * 60000).toISOString().slice(0, 19);
  const [hours, minutes] = [Math.floor(Math.abs(ahead) / 60), Math.abs(ahead) % 60];
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${local}${ahead < 0 ? '-' : '+'}${two(hours)}:${two(minutes)}`;
}

/** The id and the moment of an entry that is made now. */
export function entryNow(now: Date): Pick<LogEntry, 'id' | 'at'> {
  return { id: nextId(now.getTime()), at: momentOf(now) };
}

/** The same, with an id that sorts behind another, however wrong the clock was that made that one. */
export function laterThan(id: string, now: Date): Pick<LogEntry, 'id' | 'at'> {
  const made = entryNow(now);
  if (made.id > id) return made;
  // By itself: ids made after this one go by the clock again.
  if (isValid(id) && decodeTime(id) < LAST_MS) return { ...made, id: ulid(decodeTime(id) + 1) };
  return id.length <= 37 ? { ...made, id: `${id}.${made.id}` } : made;
}

/** Sorts before every id that was made at a moment or later, ms since 1970. */
export const idSince = (ms: number): string => encodeTime(Math.max(0, ms), 10);
