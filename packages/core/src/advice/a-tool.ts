import { COMPOUND } from '../compound';
import type { Coat } from '../job';
import { compoundFor } from '../way';
import type { JobRule } from './types';

/** A-TOOL: compound that sets inside a closed tool ruins it. */
export const aTool: JobRule = (job) => {
  if (job.way.tools !== 'machine') return [];
  const setting = (['tape', 'fill', 'finish'] satisfies Coat[]).filter(
    (coat) => COMPOUND[compoundFor(job.way, coat)].hardens !== 'drying',
  );
  const first = setting[0];
  if (!first) return [];
  return [
    {
      code: 'A-TOOL',
      severity: 'stop',
      place: { coat: first },
      reason:
        'Compound that sets would harden inside the taper and the boxes; closed tools take drying compound only.',
      cures: [
        {
          text: 'Use drying compound in the tools',
          changes: [
            { path: ['way', 'compounds'], value: 'drying' },
            { path: ['way', 'compoundFor'], value: undefined },
          ],
        },
        { text: 'Work with pan and knives', changes: [{ path: ['way', 'tools'], value: 'knives' }] },
      ],
    },
  ];
};
