import type { JobRule } from './types';

/** A-DATE: a product past its date does not go on a wall unless somebody answers for it. */
export const aDate: JobRule = ({ job, order }) =>
  (job.shop?.products ?? [])
    .filter((p) => p.inUse && p.useBy !== undefined && p.useBy < job.calendar.startDate)
    .filter((p) => order.compounds.some((line) => line.compound === p.compound))
    .map((p) => ({
      code: 'A-DATE',
      severity: 'stop' as const,
      place: { row: p.id },
      reason: `${p.name} is out of date (${p.useBy}): old powder sets too fast or not at all, old mud sours and loses its bond.`,
      cures: [
        {
          text: 'Leave it out and buy fresh',
          changes: [
            {
              path: ['shop', 'products'],
              value: job.shop?.products?.map((q) => (q.id === p.id ? { ...q, inUse: false } : q)),
            },
          ],
        },
      ],
    }));
