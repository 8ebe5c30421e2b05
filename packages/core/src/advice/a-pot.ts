import { COATS, SET_CLASSES } from '../job';
import { printVolume } from '../units';
import { mixable } from '../takeoff';
import type { Advice, JobRule } from './types';

/** A-POT: a batch that hardens in the pan before it is used up. */
export const aPot: JobRule = ({ job, rooms, book }) => {
  const batch = job.way.batchL ?? book.panL.value;
  const bound = rooms
    .flatMap((room) => room.use.uses)
    .filter((u) => u.wetL > 0 && book.compounds[u.compound].hardens !== 'drying');
  if (bound.length === 0) return [];
  // A batch is never larger than what the coat takes.
  const most = (coat: (typeof COATS)[number]): number =>
    bound.filter((u) => u.coat === coat).reduce((sum, u) => sum + u.wetL, 0);
  const coat = COATS.find(
    (c) => Math.min(batch, most(c)) > mixable(job.way.setMin, job.calendar.crew, book) + 1e-9,
  );
  if (!coat) return [];
  const usable = mixable(job.way.setMin, job.calendar.crew, book);
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
