import type { Fault, Log, LogEntry } from '../job';
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
}

export interface Note extends Pinned {
  note: string;
  finding?: string;
}

/** Something wrong that was found, and how far it has come. */
export interface Finding extends Pinned {
  fault: Fault;
  state: 'open' | 'cured' | 'closed';
  /** When it was cured, and closed. */
  cured?: string;
  closed?: string;
  photos: Photo[];
  notes: Note[];
}

/** A round of looking: open until somebody signs it. */
export interface Round {
  id: string;
  at: string;
  by: string;
  room?: string;
  note?: string;
  signed?: { at: string; by: string };
}

/** What a log tells of what was seen, the oldest first. */
export interface Pins {
  findings: Finding[];
  /** Those that belong to no finding. */
  notes: Note[];
  photos: Photo[];
  rounds: Round[];
}

/** What was found, noted, photographed and signed. What is told of a finding or a round that never was counts for nothing. */
export function pinsOf(log: Log): Pins {
  const entries = standing(log);
  const findings = new Map<string, Finding>();
  const rounds = new Map<string, Round>();
  for (const entry of entries) {
    const { kind, id, by, room, note, fault } = entry;
    if (kind === 'finding' && fault !== undefined)
      findings.set(id, { ...pinned(entry), fault, state: 'open', photos: [], notes: [] });
    else if (kind === 'round')
      rounds.set(id, {
        id,
        at: localOf(entry),
        by,
        ...(room === undefined ? {} : { room }),
        ...(note === undefined ? {} : { note }),
      });
  }
  const loose: Pick<Pins, 'notes' | 'photos'> = { notes: [], photos: [] };
  for (const entry of entries) {
    const found = entry.finding === undefined ? undefined : findings.get(entry.finding);
    const about = entry.finding === undefined ? {} : { finding: entry.finding };
    if (entry.kind === 'photo' && entry.photo !== undefined)
      (found ?? loose).photos.push({ ...pinned(entry), photo: entry.photo, ...about });
    else if (entry.kind === 'note') {
      (found ?? loose).notes.push({ ...pinned(entry), note: entry.note ?? '', ...about });
    } else if (found && (entry.kind === 'cured' || entry.kind === 'closed')) {
      found[entry.kind] ??= localOf(entry);
      if (found.state !== 'closed') found.state = entry.kind;
    } else if (entry.kind === 'signed') {
      const round = rounds.get(entry.round ?? '');
      if (round) round.signed ??= { at: localOf(entry), by: entry.by };
    }
  }
  return { findings: [...findings.values()], rounds: [...rounds.values()], ...loose };
}

const pinned = (entry: LogEntry): Pinned => {
  const { id, by, room, face, place, note } = entry;
  return {
    id,
    at: localOf(entry),
    by,
    ...(room === undefined ? {} : { room }),
    ...(face === undefined ? {} : { face }),
    ...(place === undefined ? {} : { place }),
    ...(note === undefined ? {} : { note }),
  };
};
