import { COATS, SET_CLASSES, type Coat } from '../job';
import { printVolume } from '../units';
import { mixable } from '../takeoff';
import type { Advice, JobRule } from './types';

/** A-POT: a batch that hardens in the pan before it is used up. */
export const aPot: JobRule = ({ job, rooms, book }) => {
  const batch = job.way.batchL ?? book.panL.value;
  const usable = mixable(job.way.setMin, job.calendar.crew, book);
  if (batch <= usable + 1e-9) return [];
  const takes: Partial<Record<Coat, number>> = {};
  for (const room of rooms)
    for (const u of room.use.uses)
      if (u.wetL > 0 && book.compounds[u.compound].hardens !== 'drying')
        takes[u.coat] = (takes[u.coat] ?? 0) + u.wetL;
  // A batch is never larger than what the coat takes.
  const coat = COATS.find((c) => Math.min(batch, takes[c] ?? 0) > usable + 1e-9);
  if (!coat) return [];
  const longer = SET_CLASSES.find(
    (min) => min > job.way.setMin && mixable(min, job.calendar.crew, book) >= batch,
  );
  const cures: Advice['cures'] = [];
  if (usable >= 0.5)
    cures.push({
      text: `Mix ${printVolume(usable, job.units)} at once`,
      changes: [{ path: ['way', 'batchL'], value: Math.floor(usable * 10) / 10 }],
    });
  if (longer)
    cures.push({ text: `Use a ${longer} min class`, changes: [{ path: ['way', 'setMin'], value: longer }] });
  return [
    {
      code: 'A-POT',
      severity: 'warn',
      place: { coat },
      reason: `A batch of ${printVolume(batch, job.units)} is more than is used up before a ${job.way.setMin} min compound stiffens (${printVolume(usable, job.units)} at a usual pace).`,
      cures: cures.length > 0 ? cures : [{ text: 'Use a slower class' }],
    },
  ];
};
