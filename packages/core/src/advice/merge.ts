import { alike } from '../texts';
import { adviceKey, type Advice, type AdvicePlace, type Change, type Cure } from './types';

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

/** The changes of the same cure in each place; none where one of them is only words. */
function changesOf(cures: readonly Cure[]): Change[] | undefined {
  const all = cures.map(({ changes }) => changes);
  return all.every((changes) => changes !== undefined) ? all.flat() : undefined;
}

/** The same trouble in several rooms, cured in all of them by one press. */
function overRooms(same: readonly Advice[]): Advice {
  const [first] = same as [Advice];
  const rooms = [...new Set(same.flatMap(({ place }) => place.room ?? []))];
  if (rooms.length < 2) return first;
  const { element, coat } = first.place;
  return {
    ...first,
    place: { rooms, ...(element ? { element } : {}), ...(coat ? { coat } : {}) },
    cures: first.cures.map((cure, i): Cure => {
      const changes = changesOf(same.map(({ cures }) => cures[i] as Cure));
      return { text: cure.text, ...(changes ? { changes } : {}) };
    }),
    each: same.map(({ place }) => place),
  };
}

/** One advice where several rooms have the same trouble. */
export function merged(advice: readonly Advice[]): Advice[] {
  const known = new Map<string, Advice>();
  const own = new Map<string, Advice[]>();
  for (const one of advice) {
    if (!isForJob(one)) {
      const { code, severity, place, reason, cures } = one;
      const words = cures.map(({ text }) => text);
      const key = alike(code, severity, reason, words, place.element ?? '', place.coat ?? '');
      const same = own.get(key);
      // One room may have it twice, in parts of it that are looked at by themselves.
      if (!same) own.set(key, [one]);
      else if (place.room !== undefined && !isOneRoom([...same, one])) same.push(one);
      else own.set(`${key} ${adviceKey(one)}`, [one]);
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
  return bySeverity([...known.values(), ...Array.from(own.values(), overRooms)]);
}

const isOneRoom = (advice: readonly Advice[]): boolean =>
  advice.every(({ place }) => place.room === advice[0]?.place.room);

/** The advice on one room, each said once however many of its areas share it. */
export function onRoom(advice: readonly Advice[]): Advice[] {
  const said = new Map<string, Advice>();
  for (const one of advice.map(withoutRepeats)) {
    const key = alike(one.code, one.reason, one.cures);
    if (!said.has(key)) said.set(key, one);
  }
  return bySeverity([...said.values()]);
}

/** What is said already by another advice on the same part of a room, whose cure cures it too. */
const SAID_BY: Partial<Record<string, string>> = { 'A-FLASH': 'A-LEVEL' };

/** Advice without what others on the same place say with it; it comes back where they are set aside. */
export function withoutSaid(advice: readonly Advice[]): Advice[] {
  const at = ({ room, area }: AdvicePlace): string => `${room} ${area}`;
  const said = new Set(advice.map(({ code, place }) => `${code} ${at(place)}`));
  return advice.filter(({ code, place }) => !said.has(`${SAID_BY[code]} ${at(place)}`));
}
