import type { Book } from '../book';
import { airFactor, referenceHours } from '../drying';
import type { Climate } from '../job';
import { say, type Message } from '../texts';
import { fieldInJob } from './change';
import type { Cure } from './types';

type Means = 'air' | 'rhPct' | 'tempC';

/** How much longer mud dries in one air than in another. */
export const slowerBy = (climate: Climate, than: Climate, book: Book): number =>
  pace(climate, book) / pace(than, book);

const pace = (climate: Climate, book: Book): number =>
  referenceHours(climate.tempC, climate.rhPct) * airFactor(climate.air, book);

/** What a van brings for the air: a heater and a dehumidifier, together. */
export const betterAir = (climate: Climate, book: Book): Climate => ({
  ...climate,
  tempC: Math.max(climate.tempC, book.warmC.value),
  rhPct: Math.min(climate.rhPct, Math.round(100 * book.drierAir.value)),
});

/**
 * Better air, one means alone where it is enough, else the fewest together; each says how long the coat then dries.
 * @param hours it dries now
 * @param most it may dry, h
 */
export function airCures(climate: Climate, hours: number, most: number, book: Book): Cure[] {
  const [warm, dry] = [book.warmC.value, Math.round(100 * book.drierAir.value)];
  const better: { means: Means; to: Partial<Climate>; text: Message }[] = [
    ...(climate.air === 'fan'
      ? []
      : [{ means: 'air' as const, to: { air: 'fan' as const }, text: say('a-humid.fan') }]),
    ...(climate.rhPct > dry
      ? [
          {
            means: 'rhPct' as const,
            to: { rhPct: dry },
            text: say('a-humid.dry', { to: dry / 100 }),
          },
        ]
      : []),
    ...(climate.tempC < warm
      ? [
          {
            means: 'tempC' as const,
            to: { tempC: warm },
            text: say('a-humid.heat', { to: warm }),
          },
        ]
      : []),
  ];
  const sets = better
    .reduce<(typeof better)[]>((all, one) => [...all, ...all.map((some) => [...some, one])], [[]])
    .filter((some) => some.length > 0)
    .map((some) => {
      const then = Object.assign({ ...climate }, ...some.map(({ to }) => to)) as Climate;
      return { some, left: hours * slowerBy(then, climate, book) };
    })
    .sort((a, b) => a.some.length - b.some.length || a.left - b.left);
  const enough = sets.filter(({ left }) => left <= most);
  const fewest = enough.filter(({ some }) => some.length === enough[0]?.some.length);
  const offered = fewest.length > 0 ? fewest : sets.slice(-1);
  return offered.map(({ some, left }) => {
    const means = some.map(({ text }) => text);
    return {
      text: say(left > most ? 'a-humid.still' : 'a-humid.enough', { means, left }),
      changes: some.map(({ means, to }) => fieldInJob(['climate'], means, to[means] ?? climate[means])),
    };
  });
}
