import { platformHireOf } from '../bid';
import { say } from '../texts';
import { inJob } from './change';
import type { Cure, JobRule } from './types';

/**
 * A-HIGH: work out of reach from a bench or stilts wants two people; what is very high wants a tower, and costs more than
 * a day's hire.
 */
export const aHigh: JobRule = ({ job: { calendar }, rooms, days, book }) => {
  const hire = platformHireOf({ rooms, tasks: days.tasks }, book);
  if (!hire) return [];
  const alone = calendar.crew < 2;
  if (hire.kind === 'platform' && !alone) return [];
  const [only] = hire.rooms;
  const two: Cure[] = alone ? [{ text: say('a-high.two'), changes: [inJob(['calendar', 'crew'], 2)] }] : [];
  return [
    {
      code: 'A-HIGH',
      severity: alone ? 'warn' : 'note',
      place: hire.rooms.length === 1 && only !== undefined ? { room: only } : {},
      reason: say('a-high', {
        top: hire.topMm,
        alone: alone ? 'yes' : 'no',
        days: hire.days,
      }),
      cures: [...two, { text: say('a-high.stand', { kind: hire.kind }) }],
    },
  ];
};
