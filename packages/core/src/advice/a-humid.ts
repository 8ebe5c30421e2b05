import { coatOf } from '../days';
import { say } from '../texts';
import { airCures } from './air-cures';
import { slowestCoat } from './slow-coat';
import type { JobRule } from './types';

/** A-HUMID: a coat forecast to dry so long that mud sours, grows mildew and holds everybody up. */
export const aHumid: JobRule = ({ job, days, book }) => {
  const most = book.tooLongH.value;
  const worst = slowestCoat(days);
  if (!worst || worst.hours <= most) return [];
  const coat = coatOf(worst.step);
  const { hours } = worst;
  return [
    {
      code: 'A-HUMID',
      severity: 'warn',
      place: { room: worst.room, ...(coat ? { coat } : {}) },
      reason: say('a-humid', { step: say(`step.${worst.step}`), hours, most }),
      cures: [...airCures(job.climate, hours, most, book), { text: say('a-humid.thinner') }],
    },
  ];
};
