import type { CompoundId, Consistency, Element, Log, LogEntry, Step } from '../job';
import { standing } from './log';

/** Mud that was mixed, and the moments it goes by, ms since 1970: they are right in every time zone. */
export interface Pot {
  id: string;
  room: string;
  step: Step;
  /** Rows it is for; all of the coat where it is not told. */
  rows?: Element[];
  compound: CompoundId;
  mix?: Consistency;
  litres: number;
  lot?: string;
  by: string;
  mixedMs: number;
  setMin?: number;
  /** Works until then, must be out of pan and tools by then, is hard on the wall by then; none where it dries. */
  workMs?: number;
  cleanMs?: number;
  hardMs?: number;
  /** How much longer it was reckoned to take than is typical. */
  sets: number;
  /** Told to be hard, and pan and tools to be clean. */
  hardToldMs?: number;
  cleanedMs?: number;
  spoiledL: number;
}

/** A pot while it is told of. */
type Made = { -readonly [K in keyof Pot]: Pot[K] };

/** Every pot that was mixed, the oldest first; what is told of one that never was counts for nothing. */
export function potsOf(log: Log): Pot[] {
  const entries = standing(log);
  const pots = new Map<string, Made>();
  for (const entry of entries) {
    const pot = potOf(entry);
    if (pot) pots.set(entry.id, pot);
  }
  for (const { kind, batch, at, amount = 0 } of entries) {
    const pot = batch === undefined ? undefined : pots.get(batch);
    if (!pot) continue;
    const ms = Date.parse(at);
    if (kind === 'hard') pot.hardToldMs ??= ms;
    else if (kind === 'cleaned') pot.cleanedMs ??= ms;
    else if (kind === 'spoiled') pot.spoiledL += amount;
  }
  return [...pots.values()];
}

function potOf({ kind, id, room, step, compound, ...entry }: LogEntry): Made | undefined {
  if (kind !== 'mixed' || room === undefined || step === undefined || compound === undefined)
    return undefined;
  const { at, by, rows, amount = 0, lot, mix, setMin, workMin, cleanMin, hardMin, sets = 1 } = entry;
  const mixedMs = Date.parse(at);
  const after = (min: number): number => mixedMs + min * 60000;
  return {
    id,
    room,
    step,
    compound,
    by,
    litres: amount,
    mixedMs,
    sets,
    spoiledL: 0,
    ...(rows === undefined ? {} : { rows }),
    ...(lot === undefined ? {} : { lot }),
    ...(mix === undefined ? {} : { mix }),
    ...(setMin === undefined ? {} : { setMin }),
    ...(workMin === undefined ? {} : { workMs: after(workMin) }),
    ...(cleanMin === undefined ? {} : { cleanMs: after(cleanMin) }),
    ...(hardMin === undefined ? {} : { hardMs: after(hardMin) }),
  };
}

/** What a pot asks for: nothing yet, to be used up, the pan to be cleaned, the chip to be looked at, or nothing more. */
export type PotStage = 'working' | 'stiff' | 'clean-now' | 'hardening' | 'look' | 'over';

/** A pot that nobody told more of is over so long after it should be hard, ms. */
const FORGOTTEN_MS = 12 * 3600000;

/** How far a pot has come at a moment. */
export function stageOf(pot: Pot, nowMs: number): PotStage {
  const { workMs, cleanMs, hardMs, hardToldMs, cleanedMs, spoiledL, litres } = pot;
  if (workMs === undefined || cleanMs === undefined || hardMs === undefined) return 'over';
  const gone = litres > 0 && spoiledL >= litres - 1e-9;
  const isClean = cleanedMs !== undefined;
  if (nowMs > Math.max(cleanMs, hardMs) + FORGOTTEN_MS) return 'over';
  if (isClean && (gone || hardToldMs !== undefined)) return 'over';
  // A pan that is not clean comes first, whatever is on the wall.
  if (!isClean) {
    if (nowMs < workMs && !gone && hardToldMs === undefined) return 'working';
    if (nowMs < cleanMs && !gone && hardToldMs === undefined) return 'stiff';
    return 'clean-now';
  }
  return nowMs < hardMs ? 'hardening' : 'look';
}

/** When a pot asks for something next, by how far it has come: what its clock runs to. */
export function nextMs(
  { workMs = 0, cleanMs = 0, hardMs = 0 }: Pick<Pot, 'workMs' | 'cleanMs' | 'hardMs'>,
  stage: PotStage,
): number {
  if (stage === 'working') return workMs;
  return stage === 'stiff' || stage === 'clean-now' ? cleanMs : hardMs;
}

/** What a clock of a pot rings for. */
export type AlarmKind = 'work' | 'clean' | 'hard';

export interface Alarm {
  pot: string;
  kind: AlarmKind;
  atMs: number;
}

/** What of the pots rings and when, but for what is seen to already. */
export function alarmsOf(pots: readonly Pot[], nowMs: number): Alarm[] {
  return pots
    .flatMap((pot): Alarm[] => {
      const { id, workMs, cleanMs, hardMs, hardToldMs, cleanedMs, spoiledL, litres } = pot;
      if (stageOf(pot, nowMs) === 'over') return [];
      const gone = spoiledL >= litres;
      const alarm = (kind: AlarmKind, atMs: number | undefined, seen: boolean): Alarm[] =>
        atMs === undefined || seen ? [] : [{ pot: id, kind, atMs }];
      return [
        ...alarm('work', workMs, gone || cleanedMs !== undefined || hardToldMs !== undefined),
        ...alarm('clean', cleanMs, cleanedMs !== undefined),
        ...alarm('hard', hardMs, gone || hardToldMs !== undefined),
      ];
    })
    .sort((a, b) => a.atMs - b.atMs);
}

/** Setting may be so much quicker or slower than the bag says; what was measured beyond is something else. */
const LEAST_SETS = 0.6;
const MOST_SETS = 1.5;

/**
 * How much longer mud of a class takes to set than is typical: the middle of what was measured and of the typical
 * itself, so that one odd batch moves the next clock half way and many move it all the way.
 * @returns the factor, and how many batches it rests on
 */
export function measuredSets(log: Log, compound: CompoundId): { factor: number; n: number } {
  const measured = potsOf(log).flatMap(({ compound: own, mixedMs, hardMs, hardToldMs, sets }) => {
    if (own !== compound || hardMs === undefined || hardToldMs === undefined || hardMs <= mixedMs) return [];
    const ratio = ((hardToldMs - mixedMs) / (hardMs - mixedMs)) * sets;
    return ratio > 0 ? [Math.min(MOST_SETS, Math.max(LEAST_SETS, ratio))] : [];
  });
  const all = [1, ...measured].sort((a, b) => a - b);
  const middle = all.length >> 1;
  const factor =
    all.length % 2 === 1
      ? (all[middle] as number)
      : ((all[middle - 1] as number) + (all[middle] as number)) / 2;
  return { factor, n: measured.length };
}
