import { bidOf, cutSticks, orderOf, plan, sequence, suppliedWith, TYPICAL, type ToCut } from '../src';
import { building } from './building-job';
import { atMost, type BenchRow, type Median } from './row';

/** Pieces of so many lengths, as a house of many doors and windows has them. */
function pieces(count: number, lengths: number): ToCut {
  const random = sequence(7);
  const sizes = Array.from({ length: lengths }, () => 400 + Math.round(random() * 2600));
  return {
    piecesMm: Array.from({ length: count }, (_, i) => sizes[i % lengths] as number),
    soldMm: [2438.4, 3048, 3657.6],
    kerfMm: 2,
  };
}

/** What the goods of a large job cost to add up, and many pieces to cut at once. */
export function goodsRows(median: Median): BenchRow[] {
  const job = building(400);
  const { rooms, order: takeoff, days } = plan(job);
  const book = suppliedWith(TYPICAL, job);
  const context = { job, rooms, takeoff, tasks: days.tasks, lots: [], book, sure: 'good' as const };
  const { items } = orderOf(context);
  const goods = median(9, () => orderOf(context));
  const bid = median(9, () => bidOf({ job, items, rooms, days, book }));
  const many = pieces(400, 24);
  const cut = median(9, () => cutSticks(many));
  const { boughtMm, boundMm } = cutSticks(many);
  return [
    {
      what: 'goods of 400 rooms, ware by ware',
      took: `${goods.toFixed(0)} ms`,
      against: `${items.length} wares`,
    },
    {
      what: 'bid of 400 rooms',
      took: `${bid.toFixed(0)} ms`,
      against: `${(bid / goods).toFixed(2)} × their goods`,
    },
    {
      what: '400 pieces of 24 lengths from three stock lengths, first answer',
      took: `${cut.toFixed(0)} ms`,
      against: `${((boughtMm / boundMm - 1) * 100).toFixed(1)} % above the bound`,
      aim: atMost(cut, 20, 'ms'),
    },
  ];
}
