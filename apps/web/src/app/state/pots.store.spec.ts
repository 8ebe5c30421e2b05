import { TestBed } from '@angular/core/testing';
import { openJob, sampleJob, setUp, until } from '../../testing/app';
import { Awake } from '../devices/awake';
import { Bell } from '../devices/bell';
import type { LisseDb } from '../storage/db';
import { JobStorage } from '../storage/job-storage';
import { WHAT_TIME } from '../what-time';
import { LogStore } from './log.store';
import { PotsStore } from './pots.store';

let now = new Date('2026-11-30T08:00:00Z');
let db: LisseDb;
const bell = { ring: jest.fn(), notify: jest.fn(() => Promise.resolve()), ready: () => Promise.resolve() };
const awake = { want: jest.fn() };
const providers = [
  { provide: WHAT_TIME, useValue: () => now },
  { provide: Bell, useValue: bell },
  { provide: Awake, useValue: awake },
];
const pots = () => TestBed.inject(PotsStore);
const minutes = (n: number) => (now = new Date(now.getTime() + n * 60000));

/** A stopped clock, a job, and a pot that works 36 min, is cleaned by 45 and hard at 67. */
async function mixed(at = '2026-11-30T08:00:00Z'): Promise<void> {
  now = new Date(at);
  jest.clearAllMocks();
  db = setUp(providers);
  await openJob(sampleJob());
  await TestBed.inject(LogStore).tell('undo.log-mixed', {
    kind: 'mixed',
    room: 'hall',
    step: 'tape',
    compound: 'setting-light',
    amount: 4,
    setMin: 45,
    workMin: 36,
    cleanMin: 45,
    hardMin: 67.5,
  });
  await until(() => pots().running()[0]?.roomName === 'Hall');
}
afterEach(() => db.delete());

const stage = (): string | undefined => {
  pots().look();
  return pots().running()[0]?.stage;
};

it('follows a pot to its end by presses, and lets the screen go dark again', async () => {
  await mixed();
  expect(awake.want).toHaveBeenLastCalledWith(true);
  expect(stage()).toBe('working');
  minutes(37);
  expect(stage()).toBe('stiff');
  const [pot] = pots().running();
  expect(pot).toMatchObject({ jobName: 'Sample job', roomName: 'Hall', litres: 4 });
  await pots().cleaned(pot!);
  await until(() => stage() === 'hardening');
  minutes(30);
  await pots().hard(pots().running()[0]!);
  await until(() => pots().running().length === 0);
  TestBed.tick();
  expect(awake.want).toHaveBeenLastCalledWith(false);
});

it('rings, shakes and notifies once it is due, again while nobody hears, and not once it is heard', async () => {
  await mixed();
  pots().look();
  expect(bell.ring).not.toHaveBeenCalled();
  minutes(36);
  pots().look();
  pots().look();
  expect(bell.ring).toHaveBeenCalledTimes(1);
  expect(bell.notify).toHaveBeenCalledTimes(1);
  now = new Date(now.getTime() + 9000);
  pots().look();
  expect(bell.ring).toHaveBeenCalledTimes(2);
  expect(bell.notify).toHaveBeenCalledTimes(1);
  pots().hush();
  minutes(1);
  pots().look();
  expect([bell.ring.mock.calls.length, pots().due().length]).toEqual([2, 0]);
  // The next thing rings by itself.
  minutes(8);
  pots().look();
  expect(bell.notify).toHaveBeenLastCalledWith(
    'Clean pan and tools now',
    expect.stringContaining('Hall'),
    expect.stringContaining('clean'),
    '/job/sample/today',
  );
});

it('is right after sleep: whoever comes back sees what has passed, and it rings', async () => {
  await mixed();
  // No beat came for two hours.
  minutes(120);
  document.dispatchEvent(new Event('visibilitychange'));
  expect(stage()).toBe('clean-now');
  expect(bell.ring).toHaveBeenCalledTimes(1);
  expect(
    pots()
      .due()
      .map(({ kind }) => kind),
  ).toEqual(['work', 'clean', 'hard']);
});

it.each([
  ['a reload', '2026-11-30T08:00:00Z', 40, 'stiff'],
  ['a page that was killed, over midnight', '2026-11-30T23:40:00Z', 50, 'clean-now'],
  ['a night when the clocks go back', '2026-10-25T00:40:00Z', 41, 'stiff'],
  ['a night when the clocks go on', '2026-03-29T00:40:00Z', 20, 'working'],
])('is right after %s', async (_, at, after, expected) => {
  await mixed(at);
  const { name } = db;
  db.close();
  TestBed.resetTestingModule();
  minutes(after);
  // Another page on the same database, where no job is open.
  db = setUp(providers, name);
  await until(() => pots().running().length === 1);
  expect(stage()).toBe(expected);
  await until(() => pots().running()[0]?.roomName === 'Hall');
});

it('stays heard over a reload', async () => {
  await mixed();
  minutes(36);
  pots().look();
  pots().hush();
  await until(() => pots().heard().length === 1);
  await TestBed.inject(JobStorage).recall('heard alarms');
  const { name } = db;
  db.close();
  TestBed.resetTestingModule();
  bell.ring.mockClear();
  db = setUp(providers, name);
  await until(() => pots().running().length === 1 && pots().heard().length === 1);
  pots().look();
  expect(bell.ring).not.toHaveBeenCalled();
});

it('tells the job a pot was mixed for, not the one that is open', async () => {
  await mixed();
  await openJob({ ...sampleJob(), id: 'second', name: 'Second job' });
  const [pot] = pots().running();
  await pots().spoiled(pot!, 9);
  const log = await TestBed.inject(JobStorage).log('sample');
  // Never more than there was.
  expect(log.at(-1)).toMatchObject({ kind: 'spoiled', batch: pot!.id, amount: 4 });
  expect(await TestBed.inject(JobStorage).log('second')).toEqual([]);
});

it('has a coat ready whose last pot is hard, once it is done', async () => {
  await mixed();
  const logs = TestBed.inject(LogStore);
  const rows = ['flats' as const];
  const batch = logs.entries()[0]!;
  minutes(10);
  await logs.tell('undo.log-mixed', { ...batch, rows, amount: 2 });
  await until(() => pots().running().length === 2);
  await logs.tell('undo.log-done', { kind: 'done', room: 'hall', step: 'tape', rows });
  minutes(60);
  pots().look();
  const [first, second] = [...pots().running()].sort((a, b) => a.mixedMs - b.mixedMs);
  await pots().hard(first!);
  const told = async () => (await TestBed.inject(JobStorage).log('sample')).map(({ kind }) => kind);
  expect(await told()).not.toContain('ready');
  await pots().hard(second!);
  expect(await told()).toEqual(['mixed', 'mixed', 'done', 'hard', 'hard', 'ready']);
});

it('takes a batch back with undo, and its clock with it', async () => {
  await mixed();
  const { JobStore } = await import('./job.store');
  await TestBed.inject(JobStore).undo();
  await until(() => pots().running().length === 0);
  await TestBed.inject(JobStore).redo();
  await until(() => pots().running().length === 1);
});
