import type { CompoundId, PeelTest, Tape } from '../job';

/** What the user's own peel tests say of a compound under a tape. */
export interface Evidence {
  tests: number;
  /** Mean share of the strip where the paper itself tore. */
  torn: number;
  /** How far single tests lie from it: their standard deviation. */
  spread: number;
  /** Enough tests to go by. */
  enough: boolean;
}

/** Fewer tests than this say too little. */
export const ENOUGH_TESTS = 3;
/** A strip pulled sooner has not cured, days. */
export const CURED_DAYS = 2;

/** The torn share of one test: bond is good where the paper tears before the compound lets go. */
export const tornShare = ({ tornCm2, cleanCm2 }: Pick<PeelTest, 'tornCm2' | 'cleanCm2'>): number =>
  tornCm2 + cleanCm2 > 0 ? tornCm2 / (tornCm2 + cleanCm2) : 0;

/** The evidence for one compound; strips pulled too soon are left out. */
export function evidenceFor(
  peels: readonly PeelTest[] | undefined,
  compound: CompoundId,
  tape: Tape,
): Evidence | undefined {
  const shares = (peels ?? [])
    .filter((p) => p.compound === compound && p.tape === tape && p.days >= CURED_DAYS)
    .filter((p) => p.tornCm2 + p.cleanCm2 > 0)
    .map(tornShare);
  if (shares.length === 0) return undefined;
  const torn = shares.reduce((a, b) => a + b, 0) / shares.length;
  const squares = shares.reduce((sum, s) => sum + (s - torn) ** 2, 0);
  return {
    tests: shares.length,
    torn,
    spread: shares.length > 1 ? Math.sqrt(squares / (shares.length - 1)) : 0,
    enough: shares.length >= ENOUGH_TESTS,
  };
}

/** Tests it takes for evidence to count as much as the class's usual bond. */
const WEIGHT = 2;

/** Bond from 0 to 1: the class's usual, drawn toward the evidence the more tests there are. */
export function bondOf(usual: number | undefined, evidence: Evidence | undefined): number {
  const prior = (usual ?? 0) / 5;
  if (!evidence) return prior;
  return (prior * WEIGHT + evidence.torn * evidence.tests) / (WEIGHT + evidence.tests);
}
