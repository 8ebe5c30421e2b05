import { errorFunction } from 'simple-statistics';
import type { Book } from '../book';
import { SURES, type Job, type Sure } from '../job';
import type { OrderItem, Spread } from './items';

/** How far out on a normal curve so many of a hundred lie, in its own measure. */
const OUT: Record<Sure, number> = { even: 0, good: 0.8416, high: 1.6449 };

/**
 * How much of what is likely one buys to be so sure: 1 with even chances, the high end for nineteen jobs of twenty.
 * A need is spread like two halves of normal curves that meet at what is likely; nineteen jobs of twenty stay under the
 * high end.
 * @param high the high end, as a factor of what is likely
 */
export const sureFactor = (sure: Sure, high: number): number => 1 + ((high - 1) * OUT[sure]) / OUT.high;

/** How sure one wants to be: as set by hand, else surer where the supply house is far. */
export const sureOf = ({ shop }: Pick<Job, 'shop'>, book: Book): Sure =>
  shop?.sure ?? (book.supplyMin.value >= book.supplyFarMin.value ? 'high' : 'good');

/** The chance that a need is over what is there, 0 to 1. */
export function shortChance({ likely, high }: Spread, there: number): number {
  if (high <= likely) return there < likely - 1e-9 ? 1 : 0;
  const out = ((there - likely) / (high - likely)) * OUT.high;
  return (1 - errorFunction(out / Math.SQRT2)) / 2;
}

/** What it costs to be so sure, and how often one drives for more all the same. */
export interface SureWay {
  sure: Sure;
  cost: number;
  /** The chance that the mud or tape that is nearest to its end does not do, 0 to 1. */
  short: number;
}

/**
 * The answers side by side: what is bought for each, and how often it falls short. Walls and hands are the same for
 * every ware, so a job is short of one where it is short of the scarcest.
 */
export const sureWays = (itemsFor: (sure: Sure) => readonly OrderItem[]): SureWay[] =>
  SURES.map((sure) => {
    const items = itemsFor(sure);
    return {
      sure,
      cost: items.reduce((sum, { cost }) => sum + cost, 0),
      short: Math.max(
        0,
        ...items
          .filter(({ kind }) => kind === 'compound' || kind === 'tape')
          .map(({ need, used, onHand, buy }) => shortChance(need, used + onHand + buy)),
      ),
    };
  });
