import type { Days } from '../days';
import type { Job } from '../job';
import { say } from '../texts';
import { oneMoreHand } from './cell-cure';
import { inJob } from './change';
import type { Advice, JobRule } from './types';

/** A-LATE: all, or one room, is ready after the day it was promised. */
export const aLate: JobRule = ({ job, days }) => [...lateRooms(job, days), ...lateJob(job, days)];

function lateJob(job: Job, { finish }: Days): Advice[] {
  const by = job.calendar.deadline;
  if (!by || !finish || finish.slice(0, 10) <= by) return [];
  return [
    {
      code: 'A-LATE',
      severity: 'warn',
      place: {},
      reason: say('a-late', { ready: finish, by }),
      cures: curesOf(job),
    },
  ];
}

function lateRooms(job: Job, { rooms }: Days): Advice[] {
  const readyOf = new Map(rooms.map(({ room, ready }) => [room, ready]));
  return job.rooms.flatMap(({ id, deadline }): Advice[] => {
    const ready = readyOf.get(id);
    if (deadline === undefined || ready === undefined || ready.slice(0, 10) <= deadline) return [];
    return [
      {
        code: 'A-LATE',
        severity: 'warn',
        place: { room: id },
        reason: say('a-late.room', { ready, by: deadline }),
        cures: curesOf(job),
      },
    ];
  });
}

const curesOf = (job: Job): Advice['cures'] => [
  ...(job.climate.air === 'fan'
    ? []
    : [{ text: say('cure.fan'), changes: [inJob(['climate', 'air'], 'fan')] }]),
  ...(job.way.compounds === 'drying' && job.way.tools !== 'machine'
    ? [
        {
          text: say('a-late.setting'),
          changes: [inJob(['way', 'compounds'], 'setting-below')],
        },
      ]
    : []),
  { text: say('a-late.hand'), changes: [oneMoreHand(job.calendar)] },
];
