import { TestBed } from '@angular/core/testing';
import { plan, say, type Job, type Plan } from '@lisse/core';
import { signal } from '@angular/core';
import { sampleJob, setUp, until, named, said } from '../../testing/app';
import type { LisseDb } from '../storage/db';
import { JobStorage } from '../storage/job-storage';
import { CoreClient } from '../worker/core-client';
import { DaysClient } from '../worker/days-client';
import { WorkerFailed } from '../worker/worker-link';
import { JobStore } from './job.store';
import { LogStore } from './log.store';
import { PlanStore } from './plan.store';

let db: LisseDb;
let answer: ((made: Plan | Error) => void) | undefined;
let near: ((plan: Plan) => void) | undefined;
afterEach(() => db.delete());

/** A planner that answers when it is told to. */
async function show(looked = true) {
  answer = undefined;
  let searches = 0;
  const core: Partial<CoreClient> = {
    plan: (_, __, ___, sooner) =>
      new Promise<Plan>((resolve, reject) => {
        near = sooner;
        answer = (made) => (made instanceof Error ? reject(made) : resolve(made));
      }),
    check: (value) => Promise.resolve({ ok: true, job: value as Job, notes: [] }),
    room: signal('Hall'),
    giveUp: () => answer?.(new WorkerFailed('stopped', say('plan.stopped'))),
  };
  // A search that found something would have the planner asked once more.
  const search = () => (searches++, new Promise(() => undefined));
  const days = { search, share: signal(0), giveUp: () => undefined };
  db = setUp([
    { provide: CoreClient, useValue: core },
    { provide: DaysClient, useValue: days },
  ]);
  await TestBed.inject(JobStorage).add(sampleJob());
  const plans = TestBed.inject(PlanStore);
  const jobs = TestBed.inject(JobStore);
  plans.lookAtDays(looked);
  await jobs.open('sample');
  await until(() => answer !== undefined);
  answer!(plan(sampleJob()));
  await until(() => plans.plan() !== undefined);
  answer = undefined;
  return { plans, jobs, searches: () => searches };
}

it('figures are old once an edit has not been reckoned for a while, and not before', async () => {
  const { plans, jobs } = await show();
  expect(plans.old()).toBe(false);
  jobs.edit(named('Gloss'), (job) => void (job.rooms[0]!.decoration = 'gloss'));
  await until(() => answer !== undefined);
  expect(plans.old()).toBe(false);
  await until(() => plans.late());
  expect([plans.old(), plans.at()]).toEqual([true, 'Hall']);
  answer!(plan(jobs.job()!));
  await until(() => !plans.busy());
  expect([plans.old(), plans.late()]).toEqual([false, false]);
});

it('rooms are shown before their days, which are old until they come, and another edit waits for neither', async () => {
  const { plans, jobs } = await show();
  const before = plans.plan()!;
  jobs.edit(named('Gloss'), (job) => void (job.rooms[0]!.decoration = 'gloss'));
  await until(() => answer !== undefined);
  const gloss = plan(jobs.job()!);
  near!({ ...gloss, days: before.days });
  await until(() => plans.shown() === jobs.job());
  expect(plans.plan()!.rooms[0]!.areas[0]!.decoration).toBe('gloss');
  await until(() => plans.late());
  expect([plans.old(), plans.oldDays(), plans.busy()]).toEqual([false, true, true]);
  const wholeOfGloss = answer!;
  answer = undefined;
  jobs.edit(named('Flat'), (job) => void (job.rooms[0]!.decoration = 'flat-paint'));
  await until(() => answer !== undefined);
  wholeOfGloss(gloss);
  await new Promise((resolve) => setTimeout(resolve, 20));
  expect(plans.planned()).not.toBe(jobs.job());
  answer!(plan(jobs.job()!));
  await until(() => !plans.busy());
  expect([plans.planned() === jobs.job(), plans.oldDays()]).toEqual([true, false]);
});

it('a plan that is ended leaves the last one, says why, and the next edit is planned', async () => {
  const { plans, jobs } = await show();
  const before = plans.plan();
  jobs.edit(named('Gloss'), (job) => void (job.rooms[0]!.decoration = 'gloss'));
  await until(() => answer !== undefined);
  plans.giveUp();
  await until(() => !plans.busy());
  expect(plans.failed()).toEqual(say('plan.stopped'));
  expect(plans.plan()).toBe(before);
  expect(plans.old()).toBe(true);
  answer = undefined;
  jobs.edit(named('Flat'), (job) => void (job.rooms[0]!.decoration = 'flat-paint'));
  await until(() => answer !== undefined);
  answer!(plan(jobs.job()!));
  await until(() => plans.failed() === undefined && !plans.old());
});

it('what the core throws is not shown to people', async () => {
  const { plans, jobs } = await show();
  jobs.edit(named('x'), (job) => void (job.name = 'x'));
  await until(() => answer !== undefined);
  answer!(new TypeError('Cannot read properties of undefined'));
  await until(() => plans.failed() !== undefined);
  expect(said(plans.failed()!)).not.toContain('undefined');
});

it('days are searched once somebody looks at what rests on them, and not for every edit before', async () => {
  const { plans, jobs, searches } = await show(false);
  expect(plans.search()).toBe('none');
  jobs.edit(named('Gloss'), (job) => void (job.rooms[0]!.decoration = 'gloss'));
  await until(() => answer !== undefined);
  answer!(plan(jobs.job()!));
  await until(() => !plans.busy() && plans.planned() === jobs.job());
  expect([plans.search(), searches()]).toEqual(['none', 0]);
  plans.lookAtDays(true);
  await until(() => searches() === 1);
  expect(plans.search()).toBe('running');
  // Going away ends nothing that is under way, and coming back begins nothing anew.
  plans.lookAtDays(false);
  plans.lookAtDays(true);
  await until(() => plans.search() === 'running');
  expect(searches()).toBe(1);
});

it('what a first search gains is not moved by what was told meanwhile', async () => {
  const { plans, jobs } = await show();
  const logs = TestBed.inject(LogStore);
  void logs.tell('undo.log-started', { kind: 'started', room: 'hall', step: 'tape', crew: 1 });
  await until(() => answer !== undefined);
  const job = jobs.job()!;
  answer!(plan({ ...job, calendar: { ...job.calendar, crew: 3 } }));
  await until(() => !plans.busy());
  expect(plans.moved()).toBeUndefined();
});
