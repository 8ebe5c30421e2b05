import { TestBed } from '@angular/core/testing';
import { readArchive, standing, type Job, type LogEntry } from '@lisse/core';
import { openJob, said, sampleJob, setUp, until } from '../../testing/app';
import { Leaving } from '../shell/leaving';
import type { LisseDb } from '../storage/db';
import { JobFiles } from '../storage/job-files';
import { JobStorage } from '../storage/job-storage';
import { JobStore } from './job.store';
import { LogStore, type Told } from './log.store';
import { PlanStore } from './plan.store';
import { PotsStore } from './pots.store';

let db: LisseDb;
let full: jest.SpyInstance;
let jobs: InstanceType<typeof JobStore>;
let logs: InstanceType<typeof LogStore>;

const mixed: Told = {
  kind: 'mixed',
  room: 'hall',
  step: 'tape',
  compound: 'setting-light',
  amount: 3,
  setMin: 45,
  workMin: 30,
  cleanMin: 40,
  hardMin: 45,
};
const kept = async (): Promise<string[]> => (await db.log.toArray()).map(({ entry }) => entry.kind);
const out = async (): Promise<ReturnType<typeof readArchive>> =>
  readArchive(await (await TestBed.inject(JobFiles).fileOf(jobs.job() as Job)).arrayBuffer());

beforeEach(async () => {
  db = setUp();
  jobs = await openJob();
  logs = TestBed.inject(LogStore);
  await until(() => logs.of() === 'sample');
  full = jest.spyOn(db.log, 'bulkAdd').mockRejectedValue(new DOMException('full', 'QuotaExceededError'));
});
afterEach(() => {
  full.mockRestore();
  return db.delete();
});

describe('what is told on site with the browser full', () => {
  it('is not said to be saved, counts, runs its clock and goes out with the job', async () => {
    TestBed.inject(PotsStore);
    expect(await logs.tell('undo.log-mixed', mixed)).toBe(true);
    await logs.tell('undo.log-note', { kind: 'note', note: 'after it' });
    expect(jobs.saved()).toBe('failed');
    expect(said(jobs.notSaved()!)).toContain('out of storage');
    expect(logs.entries().map(({ kind }) => kind)).toEqual(['mixed', 'note']);
    await until(() => TestBed.inject(PotsStore).running().length === 1);
    const read = await out();
    expect(read.ok && read.job.log?.map(({ kind }) => kind)).toEqual(['mixed', 'note']);
    expect(await kept()).toEqual([]);
  });

  it('is written when it is tried again, each entry once, and stays told meanwhile', async () => {
    await logs.tell('undo.log-mixed', mixed);
    jobs.edit('undo.rename-job', (job) => void (job.name = 'Later'));
    full.mockRestore();
    jobs.retry();
    const lengths = new Set<number>();
    await until(() => {
      lengths.add(logs.entries().length);
      return jobs.saved() === 'saved' && logs.written().length === 1;
    });
    expect([...lengths]).toEqual([1]);
    expect(await kept()).toEqual(['mixed']);
    expect((await db.jobs.get('sample'))?.doc.name).toBe('Later');
    // The last of the two is undone first, as they were done.
    await jobs.undo();
    await jobs.undo();
    expect(await kept()).toEqual(['mixed', 'withdrawn']);
  });

  it('is taken back by undo as if it had never been, and nothing is left to save', async () => {
    await logs.tell('undo.log-mixed', mixed);
    expect(jobs.undoLabel()).toEqual({ key: 'undo.log-mixed' });
    await jobs.undo();
    expect([logs.entries(), jobs.saved()]).toEqual([[], 'saved']);
  });

  it('is asked for before the job is left, and let go of only then', async () => {
    await logs.tell('undo.log-mixed', mixed);
    const leaving = TestBed.inject(Leaving);
    const stays = leaving.allows();
    await until(() => leaving.asking() !== undefined);
    leaving.asking()!(false);
    expect(await stays).toBe(false);
    expect(logs.entries()).toHaveLength(1);
    const goes = leaving.allows();
    await until(() => leaving.asking() !== undefined);
    leaving.asking()!(true);
    expect(await goes).toBe(true);
    expect([logs.entries(), jobs.saved()]).toEqual([[], 'saved']);
  });

  it('goes out with its photos and signatures, and they are there when there is room', async () => {
    const picture = new Uint8Array([0xff, 0xd8, 0xff, 0xd9]);
    expect(await logs.photograph(picture, { room: 'hall' })).toBe(true);
    await logs.tell('undo.log-round', { kind: 'round', stage: 'handover' });
    const round = logs.entries().at(-1)!.id;
    const strokes = [[0.1, 0.2, 0.3, 0.4]];
    expect(await logs.tellAs('M. Hale', 'undo.log-signed', { kind: 'signed', round, strokes })).toBe(true);
    const read = await out();
    if (!read.ok) throw new Error('It cannot be read.');
    expect([...(read.photos?.values() ?? [])]).toEqual([picture]);
    expect(read.job.log?.at(-1)).toMatchObject({ kind: 'signed', by: 'M. Hale', strokes });
    full.mockRestore();
    jobs.retry();
    await jobs.settled();
    expect(await db.photos.count()).toBe(1);
    expect(await kept()).toEqual(['photo', 'round', 'signed']);
  });

  it('of another job waits for room too, and keeps no other from being written', async () => {
    await TestBed.inject(JobStorage).add({ ...sampleJob(), id: 'other', name: 'Other' });
    await logs.tellOf('other', 'undo.log-cleaned', { kind: 'cleaned', batch: 'b1' });
    jobs.edit('undo.rename-job', (job) => void (job.name = 'This device'));
    await jobs.settled();
    expect((await db.jobs.get('sample'))?.doc.name).toBe('This device');
    expect(jobs.saved()).toBe('failed');
    // This job may be left for the other; what was told of that is still there.
    expect(await TestBed.inject(Leaving).allows()).toBe(true);
    await jobs.open('other');
    await until(() => logs.of() === 'other');
    expect(logs.entries().map(({ kind }) => kind)).toEqual(['cleaned']);
    full.mockRestore();
    jobs.retry();
    await until(() => jobs.saved() === 'saved');
    expect(await kept()).toEqual(['cleaned']);
  });
});

it('an undo that could not be written is tried again, but takes back nothing that was done since, nor of another job', async () => {
  full.mockRestore();
  const rename = (name: string) => jobs.edit('undo.rename-job', (job) => void (job.name = name));
  rename('One');
  await jobs.settled();
  const torn = () =>
    jest
      .spyOn(TestBed.inject(JobStorage), 'undo')
      .mockRejectedValueOnce(new DOMException('full', 'QuotaExceededError'));
  torn();
  expect([await jobs.undo(), jobs.saved()]).toEqual([false, 'failed']);
  jobs.retry();
  await jobs.settled();
  await until(() => jobs.job()?.name === 'Sample job');
  expect(jobs.saved()).toBe('saved');

  rename('Two');
  await jobs.settled();
  torn();
  await jobs.undo();
  rename('Three');
  await jobs.settled();
  jobs.retry();
  await jobs.settled();
  expect(jobs.job()?.name).toBe('Three');

  torn();
  await jobs.undo();
  await TestBed.inject(JobStorage).add({ ...sampleJob(), id: 'other', name: 'Other' });
  await jobs.open('other');
  expect(jobs.saved()).toBe('saved');
  jobs.retry();
  await jobs.settled();
  expect(jobs.job()?.name).toBe('Other');
});

describe('what is told by a device whose clock is wrong', () => {
  const fromAhead: LogEntry = {
    id: '7ZZZZZZZZZZZZZZZZZZZZZZZZZ',
    at: '2099-03-03T10:00:00+00:00',
    by: 'Jori',
    device: 'other',
    kind: 'done',
    room: 'hall',
    step: 'tape',
  };
  beforeEach(async () => {
    full.mockRestore();
    await TestBed.inject(JobStorage).record('sample', 'x', [fromAhead]);
    await until(() => logs.told().length === 1);
  });

  it('is told and kept out of the plan until somebody says when it happened', async () => {
    const finish = () => TestBed.inject(PlanStore).plan()?.days.finish ?? '';
    await until(() => finish() !== '');
    expect(logs.doubts().map(({ why }) => why)).toEqual(['ahead']);
    expect([logs.entries(), finish().slice(0, 4)]).toEqual([[], '2026']);
    const happened = Date.parse('2026-11-29T08:00:00Z');
    expect(await logs.setTimes([fromAhead], happened - Date.parse(fromAhead.at))).toBe(true);
    await until(() => logs.site().begun);
    expect(logs.doubts()).toEqual([]);
    const [done] = standing(logs.entries());
    expect([Date.parse(done!.at), done!.clock]).toEqual([happened, fromAhead.at]);
    await jobs.undo();
    await until(() => logs.doubts().length === 1);
  });

  it('can be said to be right, and can be taken back, however late its id is', async () => {
    await logs.setTimes([fromAhead], 0);
    await until(() => logs.doubts().length === 0);
    expect(logs.site().since).toBe('2099-03-03');
    await jobs.undo();
    await logs.takeBack('undo.log-done', fromAhead.id);
    await until(() => standing(logs.told()).length === 0);
    // Ids made after it go by this device's clock again, and so does what they tell.
    await logs.tell('undo.log-note', { kind: 'note', note: 'later' });
    expect(logs.told().filter(({ kind }) => kind === 'note')[0]!.id < '7').toBe(true);
  });
});
