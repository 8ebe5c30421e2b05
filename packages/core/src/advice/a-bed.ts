import { COMPOUND } from '../compound';
import { compoundFor } from '../way';
import type { JobRule } from './types';

/** A-BED: tape is only as good as what it lies in. */
export const aBed: JobRule = (job) => {
  const id = compoundFor(job.way, 'tape');
  const { bed, name } = COMPOUND[id];
  if (bed === 'yes') return [];
  const light = bed === 'contested';
  return [
    {
      code: 'A-BED',
      severity: light ? 'note' : 'stop',
      place: { coat: 'tape' },
      reason: light
        ? `Whether ${name} compound may bed tape is contested: some never see it fail, others find tape lifting. A peel test on scrap settles it.`
        : `Tape does not hold in ${name}; it is not made to bed tape.`,
      cures: [
        {
          text: 'Bed in all-purpose',
          changes: [{ path: ['way', 'compoundFor', 'tape'], value: 'drying-all-purpose' }],
        },
      ],
    },
  ];
};
