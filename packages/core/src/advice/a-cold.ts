import { held, say } from '../texts';
import { inJob } from './change';
import type { JobRule } from './types';

/** Compound wants at least this from two days before until dry, °C. */
const COLD_BELOW_C = 10;
const HEATED_C = 15;

/** A-COLD: below 10 °C compound dries too slowly and bonds badly. */
export const aCold: JobRule = ({ job }) => {
  if (job.climate.tempC >= COLD_BELOW_C) return [];
  const [here, least] = held(job.climate.tempC, COLD_BELOW_C);
  return [
    {
      code: 'A-COLD',
      severity: 'stop',
      place: {},
      reason: say('a-cold', { here, least }),
      cures: [
        {
          text: say('a-cold.heat', { to: HEATED_C }),
          changes: [inJob(['climate', 'tempC'], HEATED_C)],
        },
      ],
    },
  ];
};
