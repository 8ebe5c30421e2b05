import { isWhole, type Fault, type Frozen, type Log, type LogEntry, type RoundStage } from '../job';
import { localOf, standing } from './log';

/** Something pinned on a room: where it is, who told of it and when. */
interface Pinned {
  id: string;
  at: string;
  by: string;
  room?: string;
  face?: string;
  /** On its face, mm. */
  place?: [number, number];
  note?: string;
}

/** A picture that was taken. */
export interface Photo extends Pinned {
  /** Under which the picture itself is kept. */
  photo: string;
  finding?: string;
  /** Where the corners of its face lie in it, and the lamp it was taken under. */
  corners?: [number, number][];
  lamp?: { at: [number, number]; offMm: number };
}

export interface Note extends Pinned {
  note: string;
  finding?: string;
}

/** Something wrong that was found, and how far it has come. */
export interface Finding extends Pinned {
  fault: Fault;
  /** The number in its ring on the wall; a letter behind it tells two apart that two devices gave one number. */
  ring: string;
  sizeMm?: number;
  depthMm?: number;
  /** The round it was found in, and that in which it was closed. */
  round?: string;
  closedIn?: string;
  state: 'open' | 'cured' | 'closed';
  /** When it was cured, closed, and found to be there again, the last time. */
  cured?: string;
  closed?: string;
  reopened?: string;
  photos: Photo[];
  notes: Note[];
}

/** A straightedge laid on a face, and the widest gap under it. */
export interface EdgeReading extends Pinned {
  room: string;
  face: string;
  edgeMm: number;
  gapMm: number;
  round?: string;
}

/** A round of looking: open until somebody signs it. */
export interface Round {
  id: string;
  at: string;
  by: string;
  room?: string;
  note?: string;
  stage?: RoundStage;
  /** Faces that were looked at, by `room|face`. */
  looked: string[];
  signed?: Signature;
  /** Others that were put under it: it can be signed but once. */
  alsoSigned: Signature[];
}

/** A round as somebody signed it. */
export interface Signature {
  id: string;
  at: string;
  by: string;
  strokes?: number[][];
  frozen?: Frozen;
  seal?: string;
  /** What was signed is as it was; false where it was changed, none where it was signed before there were seals. */
  whole?: boolean;
}

/** A face of a room, among those a round has looked at. */
export const lookedKey = (room: string, face: string): string => `${room}|${face}`;

/** What a log tells of what was seen, the oldest first. */
export interface Pins {
  findings: Finding[];
  /** Those that belong to no finding. */
  notes: Note[];
  photos: Photo[];
  rounds: Round[];
  edges: EdgeReading[];
}

/** What was found, noted, photographed and signed. What is told of a finding or a round that never was counts for nothing. */
export function pinsOf(log: Log): Pins {
  const entries = standing(log);
  const findings = new Map<string, Finding>();
  const rounds = new Map<string, Round>();
  for (const entry of entries) {
    const { kind, id, by, fault } = entry;
    if (kind === 'finding' && fault !== undefined)
      findings.set(id, {
        ...pinned(entry),
        ...told(entry, ['sizeMm', 'depthMm', 'round']),
        fault,
        ring: '',
        state: 'open',
        photos: [],
        notes: [],
      });
    else if (kind === 'round')
      rounds.set(id, {
        id,
        at: localOf(entry),
        by,
        ...told(entry, ['room', 'note', 'stage']),
        looked: [],
        alsoSigned: [],
      });
  }
  ringed(entries, findings);
  const loose: Pick<Pins, 'notes' | 'photos'> = { notes: [], photos: [] };
  const edges: EdgeReading[] = [];
  for (const entry of entries) {
    const { kind, room, face } = entry;
    const found = entry.finding === undefined ? undefined : findings.get(entry.finding);
    const round = entry.round === undefined ? undefined : rounds.get(entry.round);
    if (kind === 'photo' && entry.photo !== undefined)
      (found ?? loose).photos.push({ ...pinned(entry), photo: entry.photo, ...of(entry), ...laid(entry) });
    else if (kind === 'note')
      (found ?? loose).notes.push({ ...pinned(entry), note: entry.note ?? '', ...of(entry) });
    else if (found && (kind === 'cured' || kind === 'closed' || kind === 'reopened'))
      moveOn(found, kind, entry);
    else if (kind === 'looked' && round && room !== undefined && face !== undefined) {
      const key = lookedKey(room, face);
      if (!round.looked.includes(key)) round.looked.push(key);
    } else if (kind === 'straightedge' && room !== undefined && face !== undefined) {
      const { edgeMm = 0, gapMm = 0 } = entry;
      edges.push({ ...pinned(entry), ...told(entry, ['round']), room, face, edgeMm, gapMm });
    } else if (kind === 'signed' && round) sign(round, entry);
  }
  return { findings: [...findings.values()], rounds: [...rounds.values()], edges, ...loose };
}

/** A round is signed but once, by who was first; what was changed since comes after what is whole. */
function sign(round: Round, entry: LogEntry): void {
  const whole = isWhole(entry);
  const signature: Signature = {
    id: entry.id,
    at: localOf(entry),
    by: entry.by,
    ...told(entry, ['strokes', 'frozen', 'seal']),
    ...(whole === undefined ? {} : { whole }),
  };
  if (round.signed === undefined) round.signed = signature;
  else if (round.signed.whole === false && whole !== false) {
    round.alsoSigned.push(round.signed);
    round.signed = signature;
  } else round.alsoSigned.push(signature);
}

/** A finding as it is after one thing more: what is found to be there again is open, whatever was told before. */
function moveOn(found: Finding, kind: 'cured' | 'closed' | 'reopened', entry: LogEntry): void {
  found[kind] = localOf(entry);
  if (kind === 'reopened') {
    delete found.cured;
    delete found.closed;
    delete found.closedIn;
    found.state = 'open';
    return;
  }
  // What is closed was looked at: told later that it was cured, it stays closed.
  if (found.state !== 'closed') found.state = kind;
  if (kind !== 'closed') return;
  if (entry.round === undefined) delete found.closedIn;
  else found.closedIn = entry.round;
}

/**
 * Gives every finding the number in its ring: as it was told, the next one where none was. Of two that were given one
 * number by two devices the later has a letter behind it.
 */
function ringed(entries: readonly LogEntry[], findings: ReadonlyMap<string, Finding>): void {
  const taken = new Map<number, number>();
  const open: Finding[] = [];
  for (const { id, ring } of entries) {
    const found = findings.get(id);
    if (!found) continue;
    if (ring === undefined) {
      open.push(found);
      continue;
    }
    const before = taken.get(ring) ?? 0;
    taken.set(ring, before + 1);
    found.ring = before === 0 ? String(ring) : `${ring}${letters(before)}`;
  }
  let next = 1;
  for (const found of open) {
    while (taken.has(next)) next++;
    taken.set(next, 1);
    found.ring = String(next);
  }
}

/** `b` for the second, `c` for the third, past `z` with a number. */
const letters = (before: number): string =>
  before < 26 ? String.fromCharCode(97 + before) : `z${before - 24}`;

/** The number the next ring takes: one more than any given so far. */
export const nextRing = ({ findings }: Pick<Pins, 'findings'>): number =>
  findings.reduce((most, { ring }) => Math.max(most, parseInt(ring, 10)), 0) + 1;

const of = ({ finding }: LogEntry): { finding?: string } => (finding === undefined ? {} : { finding });

const laid = ({ corners, lamp, lampOffMm }: LogEntry): Pick<Photo, 'corners' | 'lamp'> => ({
  ...(corners === undefined ? {} : { corners }),
  ...(lamp === undefined || lampOffMm === undefined ? {} : { lamp: { at: lamp, offMm: lampOffMm } }),
});

/** Those of an entry's fields that were told. */
function told<K extends keyof LogEntry>(
  entry: LogEntry,
  keys: readonly K[],
): { [P in K]?: NonNullable<LogEntry[P]> } {
  const found: { [P in K]?: NonNullable<LogEntry[P]> } = {};
  for (const key of keys) {
    const value = entry[key];
    if (value !== undefined && value !== null) found[key] = value;
  }
  return found;
}

const pinned = (entry: LogEntry): Pinned => ({
  id: entry.id,
  at: localOf(entry),
  by: entry.by,
  ...told(entry, ['room', 'face', 'place', 'note']),
});
