import type { Book, Figure } from '../book';
import type { HighWork } from '../survey';

/** What is worked from a platform or, where it is very high, from a tower, and what that costs to hire. */
export interface PlatformHire {
  kind: 'platform' | 'tower';
  topMm: number;
  rooms: string[];
  /** From the first to the last day it is worked from, weekends with them. */
  days: number;
  perDay: Figure;
  cost: number;
}

export interface HighRooms {
  rooms: readonly { id: string; high?: HighWork }[];
  tasks: readonly { room: string; start: string; end: string }[];
}

/** @returns nothing where all is in reach, or nothing is worked up there */
export function platformHireOf({ rooms, tasks }: HighRooms, book: Book): PlatformHire | undefined {
  const high = rooms.filter((room) => room.high);
  const ids = new Set(high.map(({ id }) => id));
  const own = tasks.filter(({ room }) => ids.has(room));
  if (own.length === 0) return undefined;
  const day = (iso: string): number => Date.parse(`${iso.slice(0, 10)}T00:00Z`) / 864e5;
  const days =
    Math.max(...own.map(({ end }) => day(end))) - Math.min(...own.map(({ start }) => day(start))) + 1;
  const kind = high.some((room) => (room.high?.veryHighM2 ?? 0) > 0) ? 'tower' : 'platform';
  const week = book.hireWeekDays.value;
  const perDay = book[`${kind}Day`];
  return {
    kind,
    topMm: Math.max(...high.map((room) => room.high?.topMm ?? 0)),
    rooms: [...ids],
    days,
    perDay,
    // A week of hire costs no more than a few of its days.
    cost: (Math.floor(days / 7) * week + Math.min(days % 7, week)) * perDay.value,
  };
}
