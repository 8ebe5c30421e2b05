import { TestBed } from '@angular/core/testing';
import { openJob, sampleJob, setUp, until } from '../../testing/app';
import type { LisseDb } from '../storage/db';
import { JobStorage, whyNotSaved } from '../storage/job-storage';
import { JobStore } from './job.store';
import { PlanStore } from './plan.store';

let db: LisseDb;
beforeEach(() => (db = setUp()));
afterEach(() => db.delete());

type Store = InstanceType<typeof JobStore>;
const rename = (store: Store, name: string, key = '') =>
  store.edit(`Rename to ${name}`, (job) => void (job.name = name), key);

describe('editing', () => {
  it('shows an edit at once and writes it', async () => {
    const store = await openJob();
    rename(store, 'Annex');
    expect(store.job()?.name).toBe('Annex');
    expect(store.saved()).toBe('saving');
    await store.settled();
    expect(store.saved()).toBe('saved');
    expect((await db.jobs.get('sample'))?.doc.name).toBe('Annex');
  });

  it('undoes and redoes, step by step', async () => {
    const store = await openJob();
    rename(store, 'A');
    rename(store, 'B');
    await store.undo();
    expect(store.job()?.name).toBe('A');
    await store.undo();
    await store.undo();
    expect(store.job()?.name).toBe('Sample job');
    await store.redo();
    await store.redo();
    await store.redo();
    expect(store.job()?.name).toBe('B');
  });

  it('drops what was undone once something else is done', async () => {
    const store = await openJob();
    rename(store, 'A');
    await store.undo();
    rename(store, 'C');
    await store.redo();
    expect(store.job()?.name).toBe('C');
    await until(() => store.redoLabel() === undefined && store.undoLabel() === 'Rename to C');
  });

  it('takes typing in one field as one step', async () => {
    const store = await openJob();
    for (const name of ['H', 'Ha', 'Hall']) rename(store, name, 'name');
    await store.undo();
    expect(store.job()?.name).toBe('Sample job');
  });

  it('leaves no step for an edit that changes nothing', async () => {
    const store = await openJob();
    rename(store, 'Sample job');
    await store.settled();
    expect(await db.steps.count()).toBe(0);
  });

  it('keeps history for who opens the job again', async () => {
    const store = await openJob();
    rename(store, 'A');
    await store.settled();
    // Another page: stores of its own on the same database.
    const storage = TestBed.inject(JobStorage);
    expect((await storage.undo('sample')).doc.name).toBe('Sample job');
    expect((await storage.redo('sample')).doc.name).toBe('A');
  });
});

describe('two tabs', () => {
  it('loses neither edit when both write', async () => {
    const store = await openJob();
    const other = TestBed.inject(JobStorage);
    const theirs = other.commit('sample', {
      label: 'Add',
      key: '',
      recipe: (job) => void job.rooms.push({ ...sampleJob().rooms[0]!, id: 'theirs' }),
    });
    store.edit('Add', (job) => void job.rooms.push({ ...sampleJob().rooms[0]!, id: 'ours' }));
    await Promise.all([theirs, store.settled()]);
    const stored = (await db.jobs.get('sample'))?.doc.rooms.map((room) => room.id);
    expect(stored?.sort()).toEqual(['hall', 'ours', 'theirs']);
    await until(() => store.job()?.rooms.length === 3);
  });

  it('hears of a deletion elsewhere', async () => {
    const store = await openJob();
    await TestBed.inject(JobStorage).remove('sample');
    await until(() => store.status() === 'missing');
  });
});

describe('when the browser cannot keep it', () => {
  it('says so, keeps the edit on the page, and writes it when tried again', async () => {
    const store = await openJob();
    const full = jest
      .spyOn(TestBed.inject(JobStorage), 'commit')
      .mockRejectedValueOnce(new DOMException('full', 'QuotaExceededError'));
    rename(store, 'Kept');
    await store.settled();
    expect(store.saved()).toBe('failed');
    expect(store.notSaved()).toContain('no room left');
    expect(store.job()?.name).toBe('Kept');
    expect((await db.jobs.get('sample'))?.doc.name).toBe('Sample job');
    full.mockRestore();
    store.retry();
    await store.settled();
    expect(store.saved()).toBe('saved');
    expect((await db.jobs.get('sample'))?.doc.name).toBe('Kept');
  });

  it('leaves the step before when a write breaks off half way', async () => {
    const store = await openJob();
    jest.spyOn(db.steps, 'put').mockRejectedValueOnce(new Error('torn'));
    rename(store, 'Half');
    await store.settled();
    expect((await db.jobs.get('sample'))?.doc.name).toBe('Sample job');
    expect(await db.steps.count()).toBe(0);
    expect(whyNotSaved(new Error('torn'))).toContain('torn');
  });
});

describe('opening', () => {
  it('says when a job is not there', async () => {
    const store = TestBed.inject(JobStore);
    await store.open('nowhere');
    expect(store.status()).toBe('missing');
  });

  it('says what is wrong with a damaged job and changes nothing', async () => {
    const doc = { ...sampleJob(), climate: { tempC: 900, rhPct: 50, air: 'still' as const } };
    await db.jobs.put({ id: 'sample', name: 'x', doc, seq: 0, rev: 1, updatedAt: 0, deletedAt: 0 });
    const store = TestBed.inject(JobStore);
    await store.open('sample');
    expect(store.status()).toBe('damaged');
    expect(store.problems()[0]?.path).toBe('climate.tempC');
    rename(store, 'never');
    expect((await db.jobs.get('sample'))?.doc.name).toBe('Sample job');
  });
});

describe('the plan', () => {
  it('follows every edit', async () => {
    const store = await openJob();
    const plans = TestBed.inject(PlanStore);
    const before = plans.plan()?.totals.wetL ?? 0;
    store.edit('Raise', (job) => void (job.rooms[0]!.finish = { scale: 'level', grade: 5 }));
    await until(() => (plans.plan()?.totals.wetL ?? 0) > before + 10);
    await store.undo();
    await until(() => Math.abs((plans.plan()?.totals.wetL ?? 0) - before) < 1e-9);
  });
});
