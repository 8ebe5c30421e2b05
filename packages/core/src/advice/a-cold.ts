import { apart, printTemperature, temperatureTo } from '../units';
import type { JobRule } from './types';

/** Compound wants at least this from two days before until dry, °C. */
const COLD_BELOW_C = 10;

/** A-COLD: below 10 °C compound dries too slowly and bonds badly. */
export const aCold: JobRule = ({ job }) => {
  if (job.climate.tempC >= COLD_BELOW_C) return [];
  const [here, least] = apart(job.climate.tempC, COLD_BELOW_C, temperatureTo(job.units));
  return [
    {
      code: 'A-COLD',
      severity: 'stop',
      place: {},
      reason: `It is ${here} in the rooms. Keep ${least} or more from two days before taping until all is dry, with heaters that add no moisture.`,
      cures: [
        {
          text: `Heat the rooms and plan for ${printTemperature(15, job.units)}`,
          changes: [{ path: ['climate', 'tempC'], value: 15 }],
        },
      ],
    },
  ];
};
