import { alike } from '../texts';
import type { Advice } from './types';

/** The same value set in the same place once. */
const withoutRepeats = (advice: Advice): Advice => ({
  ...advice,
  cures: advice.cures.map((cure) => {
    if (!cure.changes) return cure;
    const once = new Map(cure.changes.map((change) => [JSON.stringify([change.room, change.path]), change]));
    return { ...cure, changes: [...once.values()] };
  }),
});

/** Cured for the whole job at once, wherever it was found. */
const isForJob = ({ cures }: Advice): boolean => {
  const changes = cures.flatMap((cure) => cure.changes ?? []);
  return changes.length > 0 && changes.every((change) => change.room === undefined);
};

/** Stops first, then warnings. */
const bySeverity = (advice: readonly Advice[]): Advice[] => {
  const rank = { stop: 0, warn: 1, note: 2 };
  return [...advice].sort((a, b) => rank[a.severity] - rank[b.severity]);
};

/** One advice where several rooms have the same trouble and one cure for all. */
export function merged(advice: readonly Advice[]): Advice[] {
  const known = new Map<string, Advice>();
  const own: Advice[] = [];
  for (const one of advice) {
    if (!isForJob(one)) {
      own.push(one);
      continue;
    }
    const key = alike(one.code, one.reason, one.cures);
    const same = known.get(key);
    if (!same) known.set(key, one);
    else if (same.place.room !== one.place.room) {
      const { coat } = one.place;
      known.set(key, { ...same, place: coat ? { coat } : {} });
    }
  }
  return bySeverity([...known.values(), ...own]);
}

/** The advice on one room, each said once however many of its areas share it. */
export function onRoom(advice: readonly Advice[]): Advice[] {
  const said = new Map<string, Advice>();
  for (const one of advice.map(withoutRepeats)) {
    const key = alike(one.code, one.reason, one.cures);
    if (!said.has(key)) said.set(key, one);
  }
  return bySeverity([...said.values()]);
}
