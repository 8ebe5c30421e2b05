import { say } from '../texts';
import type { JobRule } from './types';

/** A-LATE: the last room is ready after the day it was promised. */
export const aLate: JobRule = ({ job, days }) => {
  const by = job.calendar.deadline;
  if (!by || !days.finish || days.finish.slice(0, 10) <= by) return [];
  return [
    {
      code: 'A-LATE',
      severity: 'warn',
      place: {},
      reason: say('a-late', { ready: days.finish, by }),
      cures: [
        ...(job.climate.air === 'fan'
          ? []
          : [{ text: say('cure.fan'), changes: [{ path: ['climate', 'air'], value: 'fan' }] }]),
        ...(job.way.compounds === 'drying' && job.way.tools !== 'machine'
          ? [
              {
                text: say('a-late.setting'),
                changes: [{ path: ['way', 'compounds'], value: 'setting-below' }],
              },
            ]
          : []),
        {
          text: say('a-late.hand'),
          changes: [{ path: ['calendar', 'crew'], value: job.calendar.crew + 1 }],
        },
      ],
    },
  ];
};
