import { coatOf } from '../days';
import type { CompoundId, Product } from '../job';
import { say } from '../texts';
import type { JobContext, JobRule } from './types';

/** The last day a compound goes on, `2026-12-03`; none where it is not used. */
function lastUse(
  { rooms, days }: Pick<JobContext, 'rooms' | 'days'>,
  compound: CompoundId,
): string | undefined {
  const used = new Set(
    rooms.flatMap(({ id, use }) =>
      use.uses.filter((u) => u.compound === compound && u.wetL > 0).map((u) => `${id} ${u.coat}`),
    ),
  );
  const ends = days.tasks
    .filter(({ room, step }) => used.has(`${room} ${coatOf(step) ?? ''}`))
    .map((task) => task.end.slice(0, 10));
  return ends.sort().at(-1);
}

/** A-DATE: a product past its date on the day it goes on is not used unless somebody answers for it. */
export const aDate: JobRule = ({ job, rooms, days }) =>
  (job.shop?.products ?? []).flatMap((p) => {
    const on = p.inUse && p.useBy !== undefined ? lastUse({ rooms, days }, p.compound) : undefined;
    if (on === undefined || p.useBy === undefined || p.useBy >= on) return [];
    return [
      {
        code: 'A-DATE',
        severity: 'stop' as const,
        place: { row: p.id },
        reason: say('a-date', { product: p.name, on, by: p.useBy }),
        cures: [
          {
            text: say('a-date.leave'),
            changes: [{ path: ['shop', 'products'], value: withoutUse(job.shop?.products ?? [], p.id) }],
          },
        ],
      },
    ];
  });

const withoutUse = (products: readonly Product[], id: string): Product[] =>
  products.map((q) => (q.id === id ? { ...q, inUse: false } : q));
