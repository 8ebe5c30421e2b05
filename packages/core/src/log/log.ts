import type { Element, Log, LogEntry, Step } from '../job';

/** How the entries of a log stand one after the other: by when it happened, then by their ids. */
const instants = new WeakMap<LogEntry, number>();
const instantOf = (entry: LogEntry): number => {
  let ms = instants.get(entry);
  if (ms === undefined) instants.set(entry, (ms = Date.parse(entry.at)));
  return ms;
};
const byTime = (a: LogEntry, b: LogEntry): number =>
  instantOf(a) - instantOf(b) || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

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
  return [...all.values()].sort(byTime);
}

const spelled = (entry: LogEntry): string => JSON.stringify(Object.entries(entry).sort());

/** The time on site that an entry tells, `2026-11-30T07:00`. */
export const localOf = ({ at }: Pick<LogEntry, 'at'>): string => at.slice(0, 16);

/**
 * The entries that count, in order: one that a later one corrects or takes back does not, unless that one is taken
 * back in turn. Only an entry made later, as its id tells, can correct another, so that none correct each other.
 */
export function standing(log: Log): LogEntry[] {
  const once = log.some(({ corrects }) => corrects !== undefined) ? withoutCorrected(log) : log;
  return once.filter(({ kind }) => kind !== 'withdrawn').sort(byTime);
}

function withoutCorrected(log: Log): LogEntry[] {
  const gone = new Set<string>();
  const latestFirst = [...log].sort((a, b) => (a.id < b.id ? 1 : a.id > b.id ? -1 : 0));
  for (const { id, corrects } of latestFirst)
    if (corrects !== undefined && corrects < id && !gone.has(id)) gone.add(corrects);
  return log.filter(({ id }) => !gone.has(id));
}

/** One coat of one row in one room. */
export const rowKey = (room: string, step: Step, row: Element | '*'): string => `${room}|${step}|${row}`;

/** How far a row has come, by the clock on site. */
export interface RowDone {
  started?: string;
  /** Work on it rests. */
  paused?: string;
  done?: string;
  ready?: string;
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
  /** Any work was begun. */
  begun: boolean;
}

/** What all entries of a log come to, whatever the order they arrived in. */
export function stateOf(log: Log): SiteState {
  const rows = new Map<string, RowDone>();
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
    } else if (room !== undefined && step !== undefined && kind !== 'withdrawn')
      for (const row of entry.rows ?? (['*'] as const)) {
        const key = rowKey(room, step, row);
        const told = toldOf(rows.get(key) ?? {}, { kind, crew: entry.crew, at });
        rows.set(key, minutes === undefined ? told : { ...told, minutes });
      }
  }
  return { rows, readings, begun: rows.size > 0 };
}

/** A row after one thing more is told of it: work that goes on after a rest was begun before. */
function toldOf({ paused, ...before }: RowDone, { kind, crew = 1, at }: Happened): RowDone {
  const { spells = [], started } = before;
  const last = spells.at(-1);
  const open = last !== undefined && last.to === undefined;
  const ended = open ? { spells: [...spells.slice(0, -1), { ...last, to: at }] } : {};
  switch (kind) {
    case 'started':
      return { ...before, started: started ?? at, spells: open ? spells : [...spells, { from: at, crew }] };
    case 'paused':
      return { ...before, paused: at, ...ended };
    case 'done':
      return { ...before, done: at, ...ended };
    case 'ready':
      return { ...before, ...(paused === undefined ? {} : { paused }), ready: at };
  }
}

interface Happened {
  kind: 'started' | 'paused' | 'done' | 'ready';
  crew: number | undefined;
  at: string;
}

/** How far one row has come: what is told of it, over what is told of its whole coat. */
export function rowDone({ rows }: SiteState, room: string, step: Step, row: Element | '*'): RowDone {
  return { ...rows.get(rowKey(room, step, '*')), ...rows.get(rowKey(room, step, row)) };
}
