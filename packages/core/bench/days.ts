import { plan, planDays, searched, siteworkOf, solved, suppliedWith, TYPICAL } from '../src';
import { building } from './building-job';

/** How long the days take to plan, and how far from the bound that ends, for buildings of several sizes. */
export interface DaysRow {
  rooms: number;
  tasks: number;
  firstMs: number;
  searchMs: number;
  /** Calendar time beyond what no plan can go under, as a share of it. */
  firstGap: number;
  gap: number;
}

export function daysRow(rooms: number): DaysRow {
  const job = building(rooms);
  const made = plan(job);
  const book = suppliedWith(TYPICAL, job);
  const timed = <T>(work: () => T): [T, number] => {
    const start = performance.now();
    const result = work();
    return [result, performance.now() - start];
  };
  for (let i = 0; i < 3; i++) planDays(job, made.rooms, book);
  const [, firstMs] = timed(() => planDays(job, made.rooms, book));
  const sitework = siteworkOf(job, made.rooms, book);
  const [found, searchMs] = timed(() => solved(searched(sitework)));
  const gapOf = (finish: number): number => (finish - found.boundMin) / (found.boundMin - 420);
  const finishOf = (iso: string | undefined): number => sitework.base.minuteOf(iso ?? '');
  return {
    rooms,
    tasks: sitework.tasks.length,
    firstMs,
    searchMs,
    firstGap: gapOf(finishOf(made.days.finish)),
    gap: gapOf(found.schedule.score[1] * 30),
  };
}
