import { printDate } from '../units';
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
      reason: `All is ready for primer on ${printDate(days.finish)}, after ${printDate(by)}, the day it is wanted.`,
      cures: [
        ...(job.climate.air === 'fan'
          ? []
          : [{ text: 'Run a fan', changes: [{ path: ['climate', 'air'], value: 'fan' }] }]),
        ...(job.way.compounds === 'drying' && job.way.tools !== 'machine'
          ? [
              {
                text: 'Tape with setting compound, so that the fill goes on the same day',
                changes: [{ path: ['way', 'compounds'], value: 'setting-below' }],
              },
            ]
          : []),
        {
          text: 'Put one more person on it',
          changes: [{ path: ['calendar', 'crew'], value: job.calendar.crew + 1 }],
        },
      ],
    },
  ];
};
