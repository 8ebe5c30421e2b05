import { TestBed } from '@angular/core/testing';
import { writeJob } from '@lisse/core';
import { sampleJob, setUp, said } from '../../testing/app';
import type { LisseDb } from './db';
import { fileName, JobFiles } from './job-files';
import { JobStorage, type JobLine } from './job-storage';
import { whyNotKept } from './why-not';

let db: LisseDb;
beforeEach(() => (db = setUp()));
afterEach(() => db.delete());

const file = (text: string, name = 'job.json') => new File([text], name);

it('imports a job under its own id, and a second copy under a new one', async () => {
  const files = TestBed.inject(JobFiles);
  const text = writeJob(sampleJob());
  expect(await files.importFile(file(text))).toEqual({ ok: true, id: 'sample', notes: [], changed: [] });
  const again = await files.importFile(file(text));
  expect(again.ok && again.id).not.toBe('sample');
  expect(await db.jobs.count()).toBe(2);
  expect(writeJob((await db.jobs.get('sample'))!.doc)).toBe(text);
});

it('changes nothing for a bad file, and says what is wrong', async () => {
  const files = TestBed.inject(JobFiles);
  const bad = await files.importFile(file('{"format":"lisse-job/1"}', 'bad.json'));
  expect(bad).toMatchObject({ ok: false, file: 'bad.json' });
  expect(!bad.ok && bad.problems.map((p) => p.path)).toContain('rooms');
  const huge = {
    name: 'huge.json',
    size: 41 * 1024 * 1024,
    text: () => Promise.reject(new Error('never read')),
    slice: () => new Blob(['{"f']),
  } as unknown as File;
  const refused = await files.importFile(huge);
  expect(!refused.ok && said(refused.problems[0]!.message)).toContain(
    'is 41 MB. A job file can be at most 40 MB',
  );
  expect(await db.jobs.count()).toBe(0);
});

it('takes a file that only has to be mended once somebody says so', async () => {
  const files = TestBed.inject(JobFiles);
  const long = await files.importFile(file(writeJob(sampleJob({ name: 'x'.repeat(206) }))));
  expect(await db.jobs.count()).toBe(0);
  if (long.ok || !long.mended) throw new Error('it could be mended');
  expect(said(long.mended.notes[0]!.message)).toContain('at most 200 characters; it has 206');
  expect(await files.take(long.mended)).toMatchObject({ ok: true, id: 'sample' });
  expect((await db.jobs.get('sample'))?.doc.name).toHaveLength(200);
});

it('lists a job that is damaged beside the others', async () => {
  const storage = TestBed.inject(JobStorage);
  await storage.add(sampleJob());
  for (const [id, doc] of Object.entries({ a: undefined, b: 7, c: { rooms: 'none' }, d: { rooms: [null] } }))
    await db.jobs.put({ id, doc, seq: 0, rev: 1, updatedAt: 1, deletedAt: 0 } as never);
  const lines = await new Promise<JobLine[]>((resolve) => storage.list().subscribe(resolve));
  expect(lines.map(({ id, rooms }) => `${id} ${rooms.length}`)).toEqual([
    'sample 1',
    'd 0',
    'c 0',
    'b 0',
    'a 0',
  ]);
});

it.each([
  ['QuotaExceededError', 'out of storage'],
  ['MissingAPIError', 'storage is off for this page'],
  ['OpenFailedError', 'did not open'],
  ['DatabaseClosedError', 'was closed'],
  ['TypeError', 'did not answer'],
])('says %s in words of its own', (name, told) => {
  expect(said(whyNotKept(Object.assign(new Error('IDBFactory: [object Object]'), { name })))).toContain(told);
});

it('names files so that any system takes them', () => {
  expect(fileName('Tarn Ferry: reading room / 2')).toBe('tarn-ferry-reading-room-2');
  expect(fileName('Bücher <b>')).toBe('bu-cher-b');
  expect(fileName('  ***  ')).toBe('job');
});

it('puts jobs away, back, and away for good with their history', async () => {
  const storage = TestBed.inject(JobStorage);
  await storage.add(sampleJob());
  await storage.commit('sample', { label: 'x', key: '', recipe: (job) => void (job.name = 'Y') });
  await storage.remove('sample');
  expect((await db.jobs.get('sample'))?.deletedAt).toBeGreaterThan(0);
  await storage.restore('sample');
  expect((await db.jobs.get('sample'))?.deletedAt).toBe(0);
  await storage.discard('sample');
  expect([await db.jobs.count(), await db.steps.count()]).toEqual([0, 0]);
});

it('adds the examples once, however often it is asked', async () => {
  const storage = TestBed.inject(JobStorage);
  const done = await Promise.all([
    storage.addOnce('examples', [sampleJob()]),
    storage.addOnce('examples', [sampleJob()]),
  ]);
  expect(done.sort()).toEqual([false, true]);
  expect(await db.jobs.count()).toBe(1);
});
