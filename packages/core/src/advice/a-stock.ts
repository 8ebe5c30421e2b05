import { say } from '../texts';
import type { JobRule } from './types';

/** A-STOCK: the plan takes more than is on hand. */
export const aStock: JobRule = ({ order }) =>
  order.items
    .filter(({ kind, onHand, buy }) => kind === 'compound' && onHand > 0 && buy > 0)
    .map(({ product, name, need, used, onHand }) => ({
      code: 'A-STOCK',
      severity: 'note' as const,
      place: { cause: product },
      reason: say('a-stock', { goods: name, planned: need.likely - used, hand: onHand }),
      cures: [{ text: say('a-stock.buy', { more: need.likely - used - onHand }) }],
    }));
