import { coatOf } from '../days';
import { airFactor, referenceHours } from '../drying';
import type { Climate } from '../job';
import { printShare, printTemperature } from '../units';
import type { Cure, JobContext, JobRule } from './types';

/** Longer than this and mud sours, grows mildew and holds everybody up, h. */
const TOO_LONG_H = 72;

/** Air that dries well enough and is had with what stands in a van: °C and % of humidity. */
const WARM_C = 20;
const DRY_PCT = 50;

/** A-HUMID: a coat forecast to dry for more than three days. */
export const aHumid: JobRule = ({ job, rooms }) => {
  const slow = rooms.flatMap((room) =>
    room.steps
      .filter((step) => step.how === 'drying' && step.hardenMin > TOO_LONG_H * 60)
      .map((step) => ({ room, step })),
  );
  const worst = slow.sort((a, b) => b.step.hardenMin - a.step.hardenMin)[0];
  if (!worst) return [];
  const coat = coatOf(worst.step.step);
  const hours = worst.step.hardenMin / 60;
  return [
    {
      code: 'A-HUMID',
      severity: 'warn',
      place: { room: worst.room.id, ...(coat ? { coat } : {}) },
      reason: `The ${coat ?? worst.step.step} would dry for ${Math.round(hours)} h in this air; over ${TOO_LONG_H} h mud sours and joints crack.`,
      cures: [...airCures(job, hours), { text: 'Thinner coats, or setting compound below' }],
    },
  ];
};

type Means = 'air' | 'rhPct' | 'tempC';

/** Better air, one means after the other until it is enough; each says what it leaves. */
function airCures({ climate, units }: Pick<JobContext['job'], 'climate' | 'units'>, hours: number): Cure[] {
  const pace = (c: Climate): number => referenceHours(c.tempC, c.rhPct) * airFactor(c.air);
  const better: { means: Means; to: Partial<Climate>; text: string }[] = [
    ...(climate.air === 'fan'
      ? []
      : [{ means: 'air' as const, to: { air: 'fan' as const }, text: 'run a fan' }]),
    ...(climate.rhPct > DRY_PCT
      ? [
          {
            means: 'rhPct' as const,
            to: { rhPct: DRY_PCT },
            text: `dehumidify to ${printShare(DRY_PCT / 100)}`,
          },
        ]
      : []),
    ...(climate.tempC < WARM_C
      ? [
          {
            means: 'tempC' as const,
            to: { tempC: WARM_C },
            text: `heat to ${printTemperature(WARM_C, units)}`,
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
    const words = some.map(({ text }) => text).join(', ');
    const not =
      left > TOO_LONG_H ? `; ${Math.round(left)} h are left, still too long` : ` (${Math.round(left)} h)`;
    return {
      text: `${words.replace(/^./, (c) => c.toUpperCase())}${not}`,
      changes: some.map(({ means, to }) => ({ path: ['climate', means], value: to[means] })),
    };
  });
}
