import type { Book } from '../book';
import { coatOf } from '../days';
import { airFactor, referenceHours } from '../drying';
import type { Climate } from '../job';
import { say, type Message } from '../texts';
import { fieldInJob } from './change';
import type { Cure, JobRule } from './types';

/** A-HUMID: a coat forecast to dry so long that mud sours, grows mildew and holds everybody up. */
export const aHumid: JobRule = ({ job, days, book }) => {
  const most = book.tooLongH.value;
  const slow = days.tasks.flatMap(({ room, step, how, end, ready }) => {
    const hours = how === 'drying' ? (Date.parse(`${ready}Z`) - Date.parse(`${end}Z`)) / 36e5 : 0;
    return hours > most ? [{ room, step, hours }] : [];
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
      reason: say('a-humid', { step: say(`step.${worst.step}`), hours, most }),
      cures: [...airCures(job.climate, hours, book), { text: say('a-humid.thinner') }],
    },
  ];
};

type Means = 'air' | 'rhPct' | 'tempC';

/** Better air, one means after the other until it is enough; each says what it leaves. */
function airCures(climate: Climate, hours: number, book: Book): Cure[] {
  // Had with what stands in a van.
  const [most, warm, dry] = [book.tooLongH.value, book.warmC.value, Math.round(100 * book.drierAir.value)];
  const pace = (c: Climate): number => referenceHours(c.tempC, c.rhPct) * airFactor(c.air, book);
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
  // One alone if it is enough, else the fewest together.
  const sets = better
    .reduce<(typeof better)[]>((all, one) => [...all, ...all.map((some) => [...some, one])], [[]])
    .filter((some) => some.length > 0)
    .map((some) => {
      const then = Object.assign({ ...climate }, ...some.map(({ to }) => to)) as Climate;
      return { some, left: (hours * pace(then)) / pace(climate) };
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
