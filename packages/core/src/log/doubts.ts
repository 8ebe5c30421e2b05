import type { Log, LogEntry } from '../job';
import { standing } from './log';

/** Clocks of phones agree to a second or two: one that is farther ahead is set wrong, ms. */
export const AHEAD_MS = 10 * 60000;
/** Work on one job lies nearer together than that, ms. */
const FAR_MS = 366 * 86400000;

/** An entry that cannot have happened when it says. */
export interface Doubt {
  entry: LogEntry;
  /** It lies in the future, or years off from everything else of the job. */
  why: 'ahead' | 'far';
}

/** What an entry's time is held against. */
export interface When {
  nowMs: number;
  /** The first day of the job, where it is known. */
  startDate?: string;
}

/**
 * Entries whose times cannot be right, the oldest first: later than now, or more than a year off from the job's first day
 * and from the middle one of all its entries. One that somebody has answered for is right.
 */
export function doubtsOf(log: Log, { nowMs, startDate }: When): Doubt[] {
  if (!mayBeDoubted(log, nowMs, startDate)) return [];
  const timed = standing(log).map((entry) => ({ entry, ms: Date.parse(entry.at) }));
  const middleMs = timed[timed.length >> 1]?.ms ?? nowMs;
  const startMs = startDate === undefined ? undefined : Date.parse(`${startDate}T12:00Z`);
  const isFar = (ms: number): boolean =>
    startMs !== undefined && Math.abs(ms - startMs) > FAR_MS && Math.abs(ms - middleMs) > FAR_MS;
  return timed.flatMap(({ entry, ms }): Doubt[] => {
    if (entry.clock !== undefined) return [];
    if (ms > nowMs + AHEAD_MS) return [{ entry, why: 'ahead' }];
    return isFar(ms) ? [{ entry, why: 'far' }] : [];
  });
}

/** Told by the letters of the moments alone, for it is asked with every entry: no clock is 15 hours from the world's. */
function mayBeDoubted(log: Log, nowMs: number, startDate: string | undefined): boolean {
  const day = (ms: number): string => new Date(ms).toISOString().slice(0, 16);
  const latest = day(nowMs - 15 * 3600000);
  const startMs = startDate === undefined ? undefined : Date.parse(`${startDate}T12:00Z`);
  const [from, to] = startMs === undefined ? ['', '~'] : [day(startMs - FAR_MS), day(startMs + FAR_MS)];
  return log.some(({ at }) => at > latest || at < from || at > to);
}

/** A log without what is in doubt; the very log where nothing is. */
export function undoubted(log: Log, doubts: readonly Doubt[]): Log {
  if (doubts.length === 0) return log;
  const out = new Set(doubts.map(({ entry }) => entry.id));
  return log.filter(({ id }) => !out.has(id));
}
