import { compare, say } from '../texts';
import { inJob } from './change';
import type { JobRule } from './types';

/** A-COLD: in the cold, from two days before until it is dry, compound dries too slowly and bonds badly. */
export const aCold: JobRule = ({ job, book: { coldC, heatC } }) => {
  if (job.climate.tempC >= coldC.value) return [];
  const [here, least] = compare(job.climate.tempC, coldC.value);
  const to = Math.max(heatC.value, coldC.value);
  return [
    {
      code: 'A-COLD',
      severity: 'stop',
      place: {},
      reason: say('a-cold', { here, least }),
      cures: [
        {
          text: say('a-cold.heat', { to }),
          changes: [inJob(['climate', 'tempC'], to)],
        },
      ],
    },
  ];
};
