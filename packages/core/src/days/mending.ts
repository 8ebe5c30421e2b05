import type { Supplied } from '../compound';
import { MENDINGS, type Mending } from '../job';
import type { Mend } from '../mend';
import { mendSteps } from './mends';
import { Scheduler } from './schedule';
import { first } from './search';
import { siteworkOf, type JobDays } from './tasks';

/** So many visits each way of mending takes. */
export interface MendVisits {
  mending: Mending;
  visits: number;
}

/**
 * Days on which anything is mended, by each way: all rooms together, so that the wait in one is work in another.
 * @param mendsBy what is mended in each room, by a way
 */
export function visitsBy(
  job: JobDays,
  mendsBy: (mending: Mending) => readonly { id: string; floorM2: number; mends: readonly Mend[] }[],
  book: Supplied,
): MendVisits[] {
  return MENDINGS.map((mending) => {
    const rooms = mendsBy(mending).flatMap(({ mends, ...room }) =>
      mends.length === 0
        ? []
        : [{ ...room, volumeM3: room.floorM2 * 2.4, steps: mendSteps(mends, job.way, book) }],
    );
    const site = siteworkOf(job, rooms, book);
    const { start, end } = first(new Scheduler(site)).best;
    const days = new Set<number>();
    site.tasks.forEach((_, i) => {
      const last = site.base.dayOf((end[i] as number) - 1e-6);
      for (let day = site.base.dayOf(start[i] as number); day <= last; day++)
        if (site.base.works(day)) days.add(day);
    });
    return { mending, visits: days.size };
  });
}

/** The way that takes fewer visits; where there are several all the same, last coats as usual: they cover and sand better. */
export const fewestVisits = (visits: readonly MendVisits[]): Mending => {
  const of = (mending: Mending): number => visits.find((one) => one.mending === mending)?.visits ?? 0;
  return of('one-visit') < of('overnight') || of('one-visit') === 1 ? 'one-visit' : 'overnight';
};
