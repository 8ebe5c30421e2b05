import type { Log, LogEntry } from '../job';
import { localOf, standing } from './log';

/** Goods received together. Amounts in the unit the ware is counted in: L, mm, pieces. */
export interface Lot {
  id: string;
  ware: string;
  /** When it came; none for what was on hand before the log began. */
  received?: string;
  /** In one package of it. */
  each: number;
  got: number;
  used: number;
  spoiled: number;
  /** What is left of it; never less than nothing, though more may have been told as used. */
  left: number;
  opened?: string;
  useBy?: string;
  code?: string;
  note?: string;
  /** Why it is used past its date. */
  allowed?: string;
}

/** A lot while it is told of; all that is told of one that never came counts for nothing. */
type Told = Omit<Lot, 'ware' | 'left'> & { ware?: string };

/** What a log tells of goods, the oldest first: by the date on them, then by when they were opened, then as they came. */
export function lotsOf(log: Log): Lot[] {
  const told = new Map<string, Told>();
  for (const entry of standing(log)) {
    if (entry.lot === undefined) continue;
    let lot = told.get(entry.lot);
    if (!lot) told.set(entry.lot, (lot = { id: entry.lot, each: 1, got: 0, used: 0, spoiled: 0 }));
    tell(lot, entry);
  }
  return [...told.values()].flatMap(arrived).sort(oldestFirst);
}

const arrived = ({ ware, ...lot }: Told): Lot[] =>
  ware === undefined ? [] : [{ ...lot, ware, left: Math.max(0, lot.got - lot.used - lot.spoiled) }];

function tell(lot: Told, entry: LogEntry): void {
  const { kind, ware, amount = 0, each, useBy, code, note } = entry;
  if (kind === 'used' || kind === 'mixed') lot.used += amount;
  else if (kind === 'spoiled') lot.spoiled += amount;
  else if (kind === 'opened') lot.opened ??= localOf(entry);
  else if (kind === 'allowed') lot.allowed = note ?? '';
  else if (kind === 'received' && ware !== undefined) {
    lot.ware ??= ware;
    lot.received ??= localOf(entry);
    lot.got += amount;
    if (each !== undefined) lot.each = each;
    if (useBy !== undefined) lot.useBy = useBy;
    if (code !== undefined) lot.code = code;
    if (note !== undefined) lot.note = note;
  }
}

/** Undated goods keep; they are used after those that do not. */
const LAST = '9999';

export const oldestFirst = (a: Lot, b: Lot): number =>
  compare(a.useBy ?? LAST, b.useBy ?? LAST) ||
  compare(a.opened ?? LAST, b.opened ?? LAST) ||
  compare(a.received ?? '', b.received ?? '') ||
  compare(a.id, b.id);

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** Whether a lot may go on the wall on a day: within its date, or answered for. */
export const mayBeUsed = ({ useBy, allowed }: Pick<Lot, 'useBy' | 'allowed'>, on: string): boolean =>
  useBy === undefined || allowed !== undefined || useBy >= on.slice(0, 10);

/** One piece of bead or trim that is cut. */
export const cutKey = (room: string, joint: string, part = 1): string => `${room}|${joint}|${part}`;

/** Pieces told as cut, by `cutKey`. */
export const cutPieces = (log: Log): ReadonlySet<string> =>
  new Set(
    standing(log).flatMap(({ kind, room, joint, part }) =>
      kind === 'cut' && room !== undefined && joint !== undefined ? [cutKey(room, joint, part)] : [],
    ),
  );
