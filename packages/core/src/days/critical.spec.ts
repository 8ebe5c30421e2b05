import { TYPICAL } from '../book';
import { suppliedWith } from '../compound';
import { plan } from '../plan';
import { demoJob, jobOf, plainRoom } from '../testing/samples';
import { chainOf, type Link } from './critical';
import { Scheduler, type Schedule } from './schedule';
import { first, searched } from './search';
import { siteworkOf } from './tasks';

const book = suppliedWith(TYPICAL, undefined);
const jobs = [
  demoJob('tarn-ferry'),
  demoJob('pier-house'),
  jobOf(
    ['a', 'b', 'c'].map((id) => plainRoom({ id })),
    { calendar: { ...jobOf([]).calendar, crew: 2 } },
  ),
  jobOf([plainRoom()]),
];
const planned = jobs.map((job) => {
  const scheduler = new Scheduler(siteworkOf(job, plan(job).rooms, book));
  const { best } = first(scheduler);
  return [job.name, scheduler, best, chainOf(scheduler, best)] as const;
});

const finishOf = (scheduler: Scheduler, { end }: Schedule): number =>
  Math.max(...scheduler.site.tasks.map(({ lateMin }, i) => (end[i] as number) + lateMin));

describe.each(planned)('the chain that decides %s', (_, scheduler, schedule, chain) => {
  const { start, end, team } = schedule;
  const pairs = chain.slice(1).map((link, n) => [chain[n] as Link, link] as const);

  it('ends with what is ready last, and begins where nothing was waited for', () => {
    const last = chain.at(-1)!.task;
    expect(end[last]! + scheduler.task(last).lateMin).toBeCloseTo(finishOf(scheduler, schedule), 6);
    expect(chain[0]!.by).toBe('start');
  });

  it('is held together link by link: by a coat that hardens, or by people who were elsewhere', () => {
    expect(pairs.length).toBeGreaterThan(0);
    for (const [before, { task, by, waitMin }] of pairs) {
      if (by === 'wait') {
        const arc = scheduler.task(task).after.find((one) => one.before === before.task)!;
        expect(waitMin).toBeGreaterThanOrEqual(arc.lagMin - 1);
        expect(waitMin).toBeCloseTo(start[task]! - end[before.task]!, 6);
      } else {
        expect(by).toBe('people');
        expect(team[task]!.some((person) => team[before.task]!.includes(person))).toBe(true);
        expect(start[task]!).toBeGreaterThanOrEqual(end[before.task]! - 1e-6);
      }
    }
  });

  it('is not made shorter by what dries sooner elsewhere', () => {
    const links = new Set(chain.map(({ task }) => task));
    const { site } = scheduler;
    const tasks = site.tasks.map((task, i) =>
      links.has(i) ? task : { ...task, lateMin: task.lateMin / 2, hardenMin: task.hardenMin / 2 },
    );
    const drier = new Scheduler({ ...site, tasks });
    const again = drier.replay(
      schedule.order,
      schedule.team.map((people) => people.length),
    );
    expect(finishOf(drier, again)).toBeGreaterThanOrEqual(finishOf(scheduler, schedule) - 1);
  });
});

it('is searched step by step to a plan no worse than the rule, the longer the better', () => {
  const [, scheduler, ruled] = planned[0]!;
  const made = [0.02, 0.1].map((effort) => {
    const search = searched(scheduler.site, { effort });
    const shares: number[] = [];
    for (;;) {
      const next = search.next();
      if (next.done) return { shares, score: next.value.schedule.score };
      shares.push(next.value);
    }
  });
  for (const { shares, score } of made) {
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(shares.every((share) => share >= 0 && share < 1)).toBe(true);
    expect(score[1]).toBeLessThanOrEqual(ruled.score[1]);
  }
  expect(made[1]!.score[1]).toBeLessThanOrEqual(made[0]!.score[1]);
});
