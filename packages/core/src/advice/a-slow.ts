import { say } from '../texts';
import { airCures, betterAir, slowerBy } from './air-cures';
import { inJob } from './change';
import { NEAR } from './near';
import { slowestCoat } from './slow-coat';
import type { Cure, JobRule } from './types';

/** From one morning to the next, h. */
const DAY_H = 24;

/**
 * A-SLOW: in this air a coat is not dry the next morning, so that every coat costs a day more: better air or setting
 * compound comes first. A coat that would not be dry in better air either is too thick, and not slow; one that takes
 * days on end is A-HUMID.
 */
export const aSlow: JobRule = ({ job: { climate, way }, days, book }) => {
  // In the cold that is what is said.
  if (climate.tempC < book.coldC.value) return [];
  const worst = slowestCoat(days);
  if (!worst || worst.hours <= DAY_H * NEAR || worst.hours > book.tooLongH.value) return [];
  const better = betterAir(climate, book);
  if (worst.hours * slowerBy(better, climate, book) > DAY_H) return [];
  const setting: Cure[] =
    way.compounds === 'drying' && way.tools !== 'machine'
      ? [{ text: say('a-late.setting'), changes: [inJob(['way', 'compounds'], 'setting-below')] }]
      : [];
  return [
    {
      code: 'A-SLOW',
      severity: 'warn',
      place: {},
      reason: say('a-slow', {
        step: say(`step.${worst.step}`),
        hours: worst.hours,
        temp: climate.tempC,
        rh: climate.rhPct / 100,
      }),
      cures: [...airCures(climate, worst.hours, DAY_H, book), ...setting],
    },
  ];
};
