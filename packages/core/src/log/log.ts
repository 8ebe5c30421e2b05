import type { Log, LogEntry, LogKind, Step } from '../job';

/** Entries one after the other: by when it happened, then by their ids. */
const inOrder = (log: Log): LogEntry[] =>
  // A moment is read once, not at each comparison.
  log
    .map((entry) => ({ entry, ms: Date.parse(entry.at) }))
    .sort((a, b) => a.ms - b.ms || (a.entry.id < b.entry.id ? -1 : a.entry.id > b.entry.id ? 1 : 0))
    .map(({ entry }) => entry);

/**
 * Two logs as one, each entry once. An entry is never changed, so one id is one entry; where two devices disagree all
 * the same, both keep the same one of them.
 */
export function united(a: Log, b: Log): LogEntry[] {
  const all = new Map<string, LogEntry>();
  for (const entry of [...a, ...b]) {
    const known = all.get(entry.id);
    if (known === undefined || (known !== entry && spelled(entry) > spelled(known))) all.set(entry.id, entry);
  }
  return inOrder([...all.values()]);
}

const spelled = (entry: LogEntry): string => JSON.stringify(Object.entries(entry).sort());

/** The time on site that an entry tells, `2026-11-30T07:00`. */
export const localOf = ({ at }: Pick<LogEntry, 'at'>): string => at.slice(0, 16);

/**
 * The entries that count, in order: one in whose place a later one stands, or that is taken back, does not. What is taken
 * back stands in nobody's place any more; what is only corrected still does. Only an entry made later, as its id tells,
 * can correct another, so that none correct each other.
 */
export function standing(log: Log): LogEntry[] {
  const once = log.some(({ corrects }) => corrects !== undefined) ? withoutCorrected(log) : log;
  return inOrder(once.filter(({ kind }) => kind !== 'withdrawn'));
}

function withoutCorrected(log: Log): LogEntry[] {
  const takenBack = new Set<string>();
  const replaced = new Set<string>();
  const latestFirst = log
    .filter(({ corrects }) => corrects !== undefined)
    .sort((x, y) => (x.id < y.id ? 1 : x.id > y.id ? -1 : 0));
  for (const { id, corrects, kind } of latestFirst)
    if (corrects !== undefined && corrects < id && !takenBack.has(id))
      (kind === 'withdrawn' ? takenBack : replaced).add(corrects);
  return log.filter(({ id }) => !takenBack.has(id) && !replaced.has(id));
}

/** One coat of one row in one room, or one pass over a spot that is mended by itself. */
export const rowKey = (room: string, step: Step, row: string): string => `${room}|${step}|${row}`;

/** How far a row has come, by the clock on site. */
export interface RowDone {
  started?: string;
  /** Who began it, or went on with it last. */
  by?: string;
  /** Work on it rests. */
  paused?: string;
  done?: string;
  ready?: string;
  /** A meter still found it wet then. */
  wet?: string;
  /** Work in it so far, min, of those rows that were told together. */
  minutes?: number;
  /** When it was worked on; to its end, its rest, or still. */
  spells?: readonly Spell[];
}

/** Work without a rest; none to its end where it goes on. */
export interface Spell {
  from: string;
  to?: string;
  /** People on it. */
  crew: number;
}

export type SiteReading = Pick<LogEntry, 'tempC' | 'rhPct' | 'moisturePct' | 'where' | 'from'> & {
  at: string;
};

/** What a log comes to. */
export interface SiteState {
  /** By `rowKey`; a coat told without its rows stands under `*`. */
  rows: ReadonlyMap<string, RowDone>;
  /** The oldest first. */
  readings: readonly SiteReading[];
  /** Any work was begun, and on which day. */
  begun: boolean;
  since?: string;
}

/** What tells how far a coat has come; a reading does where it was taken of one. */
const TELLS_ROWS: ReadonlySet<LogKind> = new Set(['started', 'paused', 'done', 'ready', 'reading']);

/** What all entries of a log come to, whatever the order they arrived in. */
export function stateOf(log: Log): SiteState {
  const rows = new Map<string, Made<RowDone>>();
  const readings: SiteReading[] = [];
  for (const entry of standing(log)) {
    const at = localOf(entry);
    const { kind, room, step, minutes } = entry;
    if (kind === 'reading') {
      const { tempC, rhPct, moisturePct, where, from } = entry;
      readings.push({
        at,
        ...(tempC === undefined ? {} : { tempC }),
        ...(rhPct === undefined ? {} : { rhPct }),
        ...(moisturePct === undefined ? {} : { moisturePct }),
        ...(where === undefined ? {} : { where }),
        ...(from === undefined ? {} : { from }),
      });
    }
    if (room !== undefined && step !== undefined && TELLS_ROWS.has(kind))
      for (const row of entry.spots ?? entry.rows ?? ['*']) {
        const key = rowKey(room, step, row);
        let told = rows.get(key);
        if (!told) rows.set(key, (told = {}));
        tell(told, entry, at);
        if (minutes !== undefined) told.minutes = minutes;
      }
  }
  const moments = [...rows.values()]
    .flatMap(({ started, done, ready }) => started ?? done ?? ready ?? [])
    .sort();
  const since = moments[0]?.slice(0, 10);
  return { rows, readings, begun: since !== undefined, ...(since === undefined ? {} : { since }) };
}

/** Tells a row, which is made here and nobody else's yet, one thing more: work after a rest was begun before. */
function tell(row: Made<RowDone>, { kind, by, crew = 1 }: LogEntry, at: string): void {
  const last = row.spells?.at(-1);
  const open = last?.to === undefined ? last : undefined;
  if (kind === 'started') {
    row.started ??= at;
    row.by = by;
    delete row.paused;
    if (!open) (row.spells ??= []).push({ from: at, crew });
    return;
  }
  if (kind === 'ready') row.ready = at;
  else if (kind === 'reading') row.wet = at;
  else {
    if (open) open.to = at;
    if (kind === 'paused') row.paused = at;
    else {
      row.done = at;
      delete row.paused;
    }
  }
}

/** While it is made. */
type Made<T> = { -readonly [K in keyof T]: K extends 'spells' ? Spell[] : T[K] };

/** How far one row has come: what is told of it, over what is told of its whole coat. */
export function rowDone({ rows }: SiteState, room: string, step: Step, row: string): RowDone {
  return { ...rows.get(rowKey(room, step, '*')), ...rows.get(rowKey(room, step, row)) };
}
