import { compoundIn, lastUses } from '../goods';
import type { Product } from '../job';
import { mayBeUsed } from '../log';
import { say } from '../texts';
import { inJob } from './change';
import type { Advice, JobContext, JobRule } from './types';

/** A-DATE: what is past its date on the day it goes on is not used unless somebody answers for it. */
export const aDate: JobRule = (context) => [...products(context), ...lots(context)];

/** Lots are blocked, and not counted as on hand, until somebody answers for them. */
const lots = ({ stock, rooms, days }: JobContext): Advice[] => {
  const dated = stock.filter(({ useBy, received, left }) => useBy !== undefined && received && left > 0);
  if (dated.length === 0) return [];
  const last = lastUses(rooms, days.tasks);
  return dated.flatMap((lot): Advice[] => {
    const compound = compoundIn(lot.ware);
    const on = compound && last.get(compound);
    if (on === undefined || compound === undefined || lot.useBy === undefined || mayBeUsed(lot, on))
      return [];
    return [
      {
        code: 'A-DATE',
        severity: 'warn',
        place: { cause: lot.id },
        reason: say('a-date.lot', {
          compound: say(`compound.${compound}`),
          left: lot.left,
          on,
          by: lot.useBy,
        }),
        cures: [{ text: say('a-date.answer') }],
      },
    ];
  });
};

const products = ({ job, rooms, days }: JobContext): Advice[] => {
  const dated = (job.shop?.products ?? []).filter(({ inUse, useBy }) => inUse && useBy !== undefined);
  if (dated.length === 0) return [];
  const last = lastUses(rooms, days.tasks);
  return dated.flatMap((p) => {
    const on = last.get(p.compound);
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
            changes: [inJob(['shop', 'products'], withoutUse(job.shop?.products ?? [], p.id))],
          },
        ],
      },
    ];
  });
};

const withoutUse = (products: readonly Product[], id: string): Product[] =>
  products.map((q) => (q.id === id ? { ...q, inUse: false } : q));
