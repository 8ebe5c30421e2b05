import { say } from '../texts';
import type { JobRule } from './types';

/** A-STOCK: the plan takes more than is on hand. */
export const aStock: JobRule = ({ order }) =>
  order.compounds
    .filter((line) => line.onHandL !== undefined && line.withWasteL > line.onHandL)
    .map((line) => ({
      code: 'A-STOCK',
      severity: 'note' as const,
      place: {},
      reason: say('a-stock', { compound: line.name, planned: line.withWasteL, hand: line.onHandL ?? 0 }),
      cures: [
        {
          text: say('a-stock.buy', { more: line.withWasteL - (line.onHandL ?? 0) }),
        },
      ],
    }));
