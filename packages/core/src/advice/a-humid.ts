import type { Book } from '../book';
import { coatOf } from '../days';
import { airFactor, referenceHours } from '../drying';
import type { Climate } from '../job';
import { say, type Message } from '../texts';
import { fieldInJob } from './change';
import type { Cure, JobRule } from './types';

/** Longer than this and mud sours, grows mildew and holds everybody up, h. */
const TOO_LONG_H = 72;

/** Air that dries well enough and is had with what stands in a van: °C and % of humidity. */
const WARM_C = 20;
const DRY_PCT = 50;

/** A-HUMID: a coat forecast to dry for more than three days. */
export const aHumid: JobRule = ({ job, days, book }) => {
  const slow = days.tasks.flatMap(({ room, step, how, end, ready }) => {
    const hours = how === 'drying' ? (Date.parse(`${ready}Z`) - Date.parse(`${end}Z`)) / 36e5 : 0;
    return hours > TOO_LONG_H ? [{ room, step, hours }] : [];
  });
  const worst = slow.sort((a, b) => b.hours - a.hours)[0];
  if (!worst) return [];
  const coat = coatOf(worst.step);
  const { hours } = worst;
  return [
    {
      code: 'A-HUMID',
      severity: 'warn',
      place: { room: worst.room, ...(coat ? { coat } : {}) },
      reason: say('a-humid', { step: say(`step.${worst.step}`), hours, most: TOO_LONG_H }),
      cures: [...airCures(job.climate, hours, book), { text: say('a-humid.thinner') }],
    },
  ];
};

type Means = 'air' | 'rhPct' | 'tempC';

/** Better air, one means after the other until it is enough; each says what it leaves. */
function airCures(climate: Climate, hours: number, book: Book): Cure[] {
  const pace = (c: Climate): number => referenceHours(c.tempC, c.rhPct) * airFactor(c.air, book);
  const better: { means: Means; to: Partial<Climate>; text: Message }[] = [
    ...(climate.air === 'fan'
      ? []
      : [{ means: 'air' as const, to: { air: 'fan' as const }, text: say('a-humid.fan') }]),
    ...(climate.rhPct > DRY_PCT
      ? [
          {
            means: 'rhPct' as const,
            to: { rhPct: DRY_PCT },
            text: say('a-humid.dry', { to: DRY_PCT / 100 }),
          },
        ]
      : []),
    ...(climate.tempC < WARM_C
      ? [
          {
            means: 'tempC' as const,
            to: { tempC: WARM_C },
            text: say('a-humid.heat', { to: WARM_C }),
          },
        ]
      : []),
  ];
  // One alone if it is enough, else the fewest together.
  const sets = better
    .reduce<(typeof better)[]>((all, one) => [...all, ...all.map((some) => [...some, one])], [[]])
    .filter((some) => some.length > 0)
    .map((some) => {
      const then = Object.assign({ ...climate }, ...some.map(({ to }) => to)) as Climate;
      return { some, left: (hours * pace(then)) / pace(climate) };
    })
    .sort((a, b) => a.some.length - b.some.length || a.left - b.left);
  const enough = sets.filter(({ left }) => left <= TOO_LONG_H);
  const fewest = enough.filter(({ some }) => some.length === enough[0]?.some.length);
  const offered = fewest.length > 0 ? fewest : sets.slice(-1);
  return offered.map(({ some, left }) => {
    const means = some.map(({ text }) => text);
    return {
      text: say(left > TOO_LONG_H ? 'a-humid.still' : 'a-humid.enough', { means, left }),
      changes: some.map(({ means, to }) => fieldInJob(['climate'], means, to[means] ?? climate[means])),
    };
  });
}
