import { sets } from '../compound';
import { compoundFor } from '../way';
import type { JobRule } from './types';

/** A-MESH: mesh lies in no bed that would hold it, unless the compound sets. */
export const aMesh: JobRule = (job) => {
  if (job.way.tape !== 'mesh' || sets(compoundFor(job.way, 'tape'))) return [];
  return [
    {
      code: 'A-MESH',
      severity: 'stop',
      place: { coat: 'tape' },
      reason:
        'Mesh tape under drying compound cracks: mesh stretches, and only setting compound is stiff enough to hold it.',
      cures: [
        { text: 'Tape with paper', changes: [{ path: ['way', 'tape'], value: 'paper' }] },
        {
          text: 'Tape with setting compound',
          changes: [
            { path: ['way', 'compoundFor', 'tape'], value: 'setting-light' },
            ...(job.way.tools === 'machine' ? [{ path: ['way', 'tools'], value: 'knives' }] : []),
          ],
        },
      ],
    },
  ];
};
