import { besideId, canonical, type Log, type LogEntry, type LogKind, type Step } from '../job';

/** Entries one after the other: by when it happened, then by their ids. */
const inOrder = (log: Log): LogEntry[] =>
  // A moment is read once, not at each comparison.
  log
    .map((entry) => ({ entry, ms: Date.parse(entry.at) }))
    .sort((a, b) => a.ms - b.ms || (a.entry.id < b.entry.id ? -1 : a.entry.id > b.entry.id ? 1 : 0))
    .map(({ entry }) => entry);

/**
 * Two logs as one, each entry once. An entry is never changed, so one id is one entry. Where another text comes under an id
 * that is here, the one that is here keeps it, and the other stands beside it, under an id that is the same on every
 * device, until somebody says which of them is right.
 */
export function mergeLogs(here: Log, coming: Log): LogEntry[] {
  const all = new Map<string, LogEntry>();
  for (const entry of [...here, ...coming]) {
    const known = all.get(entry.id);
    if (known === undefined) all.set(entry.id, entry);
    else if (known !== entry && canonical(known) !== canonical(entry)) {
      const other = { ...entry, id: besideId(entry), beside: entry.id };
      if (!all.has(other.id)) all.set(other.id, other);
    }
  }
  return inOrder([...all.values()]);
}

/** Two texts that came under one id. */
export interface TwoTexts {
  /** The one that counts. */
  here: LogEntry;
  /** The one that stands beside it. */
  other: LogEntry;
}

const textOf = ({ id: _, beside: __, ...text }: LogEntry): string => canonical(text);

/** Entries of which nobody has said yet which of two texts is right. */
export function twoTexts(log: Log): TwoTexts[] {
  const beside = log.filter(({ beside }) => beside !== undefined);
  if (beside.length === 0) return [];
  const all = new Map(log.map((entry) => [entry.id, entry]));
  const counts = new Set(withoutCorrected(log).map(({ id }) => id));
  return beside.flatMap((other) => {
    const here = all.get(other.beside ?? '');
    const asked = here && counts.has(other.id) && counts.has(here.id) && textOf(here) !== textOf(other);
    return asked ? [{ here, other }] : [];
  });
}

/** The time on site that an entry tells, `2026-11-30T07:00`. */
export const localOf = ({ at }: Pick<LogEntry, 'at'>): string => at.slice(0, 16);

/**
 * The entries that count, in order: one in whose place another stands, or that is taken back, does not. What is taken
 * back stands in nobody's place any more; what is only corrected still does. An entry whose device's clock was wrong stands
 * where it was said to belong.
 */
export function standing(log: Log): LogEntry[] {
  const once = log.some(({ corrects }) => corrects !== undefined) ? withoutCorrected(log) : log;
  const counted = once.filter(({ kind, beside }) => kind !== 'withdrawn' && beside === undefined);
  return inOrder(counted.some(({ kind }) => kind === 'timed') ? onTime(counted) : counted);
}

/** Entries at the times they were said to have happened, the last that was said of each. */
function onTime(log: Log): LogEntry[] {
  const times = new Map<string, LogEntry>();
  for (const timed of log) {
    if (timed.kind !== 'timed' || timed.entry === undefined) continue;
    const known = times.get(timed.entry);
    if (!known || known.id < timed.id) times.set(timed.entry, timed);
  }
  return log
    .filter(({ kind }) => kind !== 'timed')
    .map((entry) => {
      const timed = times.get(entry.id);
      return timed?.clock === undefined ? entry : { ...entry, at: timed.at, clock: timed.clock };
    });
}

/**
 * Whoever is corrected waits for whoever corrects it: that may be taken back itself. Entries that correct each other in a
 * ring correct nobody, nor does one that stands beside another. Ids and times do not count: a device's clock may be years ahead.
 */
function withoutCorrected(log: Log): LogEntry[] {
  const all = new Map(log.map((entry) => [entry.id, entry]));
  const waits = new Map<string, number>();
  for (const { corrects, beside } of log)
    if (corrects !== undefined && beside === undefined && all.has(corrects))
      waits.set(corrects, (waits.get(corrects) ?? 0) + 1);
  const takenBack = new Set<string>();
  const replaced = new Set<string>();
  const ready = log.filter(({ id }) => !waits.has(id));
  for (let entry = ready.pop(); entry; entry = ready.pop()) {
    const { id, kind, corrects, beside } = entry;
    const named = corrects === undefined || beside !== undefined ? undefined : all.get(corrects);
    if (!named) continue;
    if (!takenBack.has(id)) (kind === 'withdrawn' ? takenBack : replaced).add(named.id);
    const left = (waits.get(named.id) ?? 0) - 1;
    waits.set(named.id, left);
    if (left === 0) ready.push(named);
  }
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
