import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { checkJob, type Job } from '@lisse/core';
import { openJob, sampleJob, setUp, until, named, said } from '../../testing/app';
import type { LisseDb } from '../storage/db';
import { FETCH_DOOR } from '../storage/validation';
import { JobStorage, type StepBack } from '../storage/job-storage';
import { whyNotSaved } from '../storage/why-not';
import { JobStore } from './job.store';
import { PlanStore } from './plan.store';

let db: LisseDb;
beforeEach(() => (db = setUp()));
afterEach(() => db.delete());

type Store = InstanceType<typeof JobStore>;
const rename = (store: Store, name: string, key = '') =>
  store.edit(named(`Rename to ${name}`), (job) => void (job.name = name), key);

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

  it('leaves what it did not touch the very objects they were, through writing, undo and redo', async () => {
    const [room] = sampleJob().rooms;
    const store = await openJob(sampleJob({ rooms: [room!, { ...room!, id: 'other' }] }));
    const other = store.job()?.rooms[1];
    store.editRoom('hall', named('Gloss'), (r) => void (r.decoration = 'gloss'));
    const shown = store.job();
    await store.settled();
    expect(store.job()).toBe(shown);
    await store.undo();
    await store.redo();
    expect(store.job()?.rooms[1]).toBe(other);
    expect(store.job()).toEqual((await db.jobs.get('sample'))!.doc);
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
    await until(() => store.redoLabel() === undefined && said(store.undoLabel() ?? '') === 'Rename to C');
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
    store.edit(named('Add'), (job) => void job.rooms.push({ ...sampleJob().rooms[0]!, id: 'ours' }));
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
    expect(said(store.notSaved()!)).toContain('out of storage');
    expect(store.job()?.name).toBe('Kept');
    expect((await db.jobs.get('sample'))?.doc.name).toBe('Sample job');
    full.mockRestore();
    // The next edit writes what was left as well; nothing stays behind it.
    rename(store, 'And after');
    await store.settled();
    expect(store.saved()).toBe('saved');
    await store.undo();
    expect(store.job()?.name).toBe('Kept');
    expect((await db.jobs.get('sample'))?.doc.name).toBe('Kept');
  });

  it('writes what is left when it is tried again, and lets go of it when told to', async () => {
    const store = await openJob();
    const full = jest
      .spyOn(TestBed.inject(JobStorage), 'commit')
      .mockRejectedValue(new DOMException('full', 'QuotaExceededError'));
    for (const name of ['A', 'B']) rename(store, name);
    await store.settled();
    expect(store.pending()).toHaveLength(2);
    full.mockRestore();
    store.retry();
    await store.settled();
    expect([store.saved(), (await db.jobs.get('sample'))?.doc.name]).toEqual(['saved', 'B']);
    jest.spyOn(TestBed.inject(JobStorage), 'commit').mockRejectedValue(new Error('torn'));
    rename(store, 'C');
    await store.settled();
    store.drop();
    expect([store.saved(), store.job()?.name]).toEqual(['saved', 'B']);
  });

  it('leaves the step before when a write breaks off half way', async () => {
    const store = await openJob();
    jest.spyOn(db.steps, 'put').mockRejectedValueOnce(new Error('torn'));
    rename(store, 'Half');
    await store.settled();
    expect((await db.jobs.get('sample'))?.doc.name).toBe('Sample job');
    expect(await db.steps.count()).toBe(0);
    expect(said(whyNotSaved(new Error('torn')))).toContain('The change is not saved.');
  });
});

describe('opening', () => {
  it('says when a job is not there', async () => {
    const store = TestBed.inject(JobStore);
    await store.open('nowhere');
    expect(store.status()).toBe('missing');
  });

  const keep = (doc: unknown) =>
    db.jobs.put({ id: 'sample', name: 'x', doc: doc as Job, seq: 0, rev: 1, updatedAt: 0, deletedAt: 0 });

  it('says what is wrong with a damaged job and changes nothing', async () => {
    await keep({ ...sampleJob(), way: 'by hand' });
    const store = TestBed.inject(JobStore);
    await store.open('sample');
    expect(store.status()).toBe('damaged');
    expect(store.problems()[0]?.path).toBe('way');
    rename(store, 'never');
    expect((await db.jobs.get('sample'))?.doc.name).toBe('Sample job');
  });

  it('mends what an earlier version kept and this one does not take, as a step, and says so', async () => {
    const room = { ...sampleJob().rooms[0]!, plan: { lengthMm: 299.6, widthMm: 3600, heightMm: 2400 } };
    await keep({
      ...sampleJob({ rooms: [room] }),
      calendar: { ...sampleJob().calendar, startDate: '20266-11-30' },
    });
    const store = TestBed.inject(JobStore);
    await store.open('sample');
    expect(store.status()).toBe('ready');
    expect(store.mended().map((p) => said(p.where!))).toEqual(['Hall, length', 'first day']);
    const kept = (await db.jobs.get('sample'))!.doc;
    expect(kept.rooms[0]!.plan).toMatchObject({ lengthMm: 300 });
    expect(kept.calendar.startDate).toBe('2199-12-31');
    await until(() => said(store.undoLabel() ?? '') === 'Repair a damaged job');
    // What stood there before cannot be opened, so undo does not bring it back.
    await store.undo();
    expect(store.refused().length).toBeGreaterThan(0);
    expect(store.job()?.rooms[0]!.plan).toMatchObject({ lengthMm: 300 });
    store.heard();
    expect([store.refused(), store.mended()]).toEqual([[], []]);
  });

  it('tells two things of one id apart before either can be edited', async () => {
    const [room] = sampleJob().rooms;
    await keep(sampleJob({ rooms: [room!, { ...room!, name: 'Second' }] }));
    const store = TestBed.inject(JobStore);
    await store.open('sample');
    expect(store.job()?.rooms.map((r) => r.id)).toEqual(['hall', 'hall-2']);
    store.editRoom('hall-2', named('Name'), (r) => void (r.name = 'Nook'));
    await store.settled();
    expect((await db.jobs.get('sample'))?.doc.rooms.map((r) => r.name)).toEqual(['Hall', 'Nook']);
  });

  it('goes back to the last step of a damaged job that can be read', async () => {
    const store = await openJob();
    for (const name of ['A', 'B', 'C']) rename(store, name);
    await store.settled();
    // Something outside of Lisse spoils the row, and a step of it.
    const row = (await db.jobs.get('sample'))!;
    await db.jobs.put({ ...row, doc: { ...row.doc, way: 7 as never } });
    const last = (await db.steps.get(['sample', 3]))!;
    await db.steps.put({ ...last, inverse: [...last.inverse, { op: 'replace', path: ['way'], value: 8 }] });
    const second = (await db.steps.get(['sample', 2]))!;
    const way = sampleJob().way;
    await db.steps.put({
      ...second,
      inverse: [...second.inverse, { op: 'replace', path: ['way'], value: way }],
    });
    const storage = TestBed.inject(JobStorage);
    let found: StepBack | undefined;
    for await (const step of storage.back('sample')) {
      if (!checkJob(step.doc).ok) continue;
      found = step;
      break;
    }
    expect(found?.seq).toBe(1);
    expect(found?.undone.map(said)).toEqual(['Rename to C', 'Rename to B']);
    await storage.returnTo('sample', found!);
    await TestBed.inject(JobStore).open('sample');
    expect((await db.jobs.get('sample'))?.doc.name).toBe('A');
  });

  it('says so when the browser does not store anything, and never waits for ever', async () => {
    jest
      .spyOn(TestBed.inject(JobStorage), 'get')
      .mockRejectedValue(Object.assign(new Error('IndexedDB API missing'), { name: 'MissingAPIError' }));
    const store = TestBed.inject(JobStore);
    await store.open('sample');
    expect(store.status()).toBe('failed');
    expect(said(store.failed()!)).toContain('does not store anything');
  });

  it('shows a job again that another tab puts back', async () => {
    const store = await openJob();
    const storage = TestBed.inject(JobStorage);
    await storage.remove('sample');
    await until(() => store.status() === 'missing');
    await storage.restore('sample');
    await until(() => store.status() === 'ready');
  });
});

describe('an edit that could not be opened again', () => {
  const shorten = (job: Job) =>
    void (job.rooms[0]!.plan = { lengthMm: 299.6, widthMm: 3600, heightMm: 2400 });

  it('is not kept, is let go of and said, and holds up nothing after it', async () => {
    const store = await openJob();
    store.edit(named('Shorten'), shorten);
    rename(store, 'After');
    await store.settled();
    expect(store.refused().map((p) => said(p.where!))).toEqual(['Hall, length']);
    const kept = (await db.jobs.get('sample'))!.doc;
    expect([kept.name, kept.rooms[0]!.plan]).toEqual(['After', sampleJob().rooms[0]!.plan]);
    expect(store.job()).toEqual(kept);
    expect([store.saved(), store.pending()]).toEqual(['saved', []]);
  });

  it('is kept all the same where the check cannot be fetched, and mended when it is opened', async () => {
    TestBed.resetTestingModule();
    db = setUp([{ provide: FETCH_DOOR, useValue: () => Promise.reject(new Error('offline')) }]);
    const store = await openJob();
    store.edit(named('Shorten'), shorten);
    await store.settled();
    expect((await db.jobs.get('sample'))!.doc.rooms[0]!.plan).toMatchObject({ lengthMm: 299.6 });
  });
});

describe('the plan', () => {
  it('follows every edit', async () => {
    const store = await openJob();
    const plans = TestBed.inject(PlanStore);
    const before = plans.plan()?.totals.wetL ?? 0;
    store.edit(named('Raise'), (job) => void (job.rooms[0]!.finish = { scale: 'level', grade: 5 }));
    await until(() => (plans.plan()?.totals.wetL ?? 0) > before + 10);
    await store.undo();
    await until(() => Math.abs((plans.plan()?.totals.wetL ?? 0) - before) < 1e-9);
  });
});

it('a change that looks at something else is not made again when that turns: the plan is made of the job', async () => {
  const store = await openJob();
  const seen = signal(1);
  store.edit(named('By what is seen'), (job) => void (job.name = `Seen ${seen()}`));
  const made = store.job();
  seen.set(2);
  expect(store.job()).toBe(made);
  await store.settled();
});
