import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { Router } from '@angular/router';
import { writeJob } from '@lisse/core';
import { button, sampleJob, setUp, until, words } from '../../testing/app';
import type { LisseDb } from '../storage/db';
import { Examples } from '../storage/examples';
import { JobFiles } from '../storage/job-files';
import { JobStorage } from '../storage/job-storage';
import { JobsPage } from './jobs-page';

let db: LisseDb;
let fixture: ComponentFixture<JobsPage>;
let went: unknown[];
const page = () => fixture.nativeElement as HTMLElement;
const labelled = (name: string) => page().querySelector<HTMLButtonElement>(`[aria-label="${name}"]`)!;
const rows = () => page().querySelectorAll('ul[aria-label=Jobs] li').length;

async function show(jobs = [sampleJob()]) {
  db = setUp([{ provide: Examples, useValue: { addAgain: () => Promise.resolve('again') } }]);
  went = [];
  jest.spyOn(TestBed.inject(Router), 'navigate').mockImplementation((path) => {
    went.push(path);
    return Promise.resolve(true);
  });
  for (const job of jobs) await TestBed.inject(JobStorage).add(job);
  fixture = TestBed.createComponent(JobsPage);
  await until(() => page().querySelector('.jobs li') !== null);
}
afterEach(() => db.delete());

function choose(name: string, text: string) {
  const field = page().querySelector<HTMLInputElement>('input[type=file]')!;
  Object.defineProperty(field, 'files', { value: [new File([text], name)], configurable: true });
  field.dispatchEvent(new Event('change'));
}

it('lists jobs with their rooms, the latest first', async () => {
  await show([sampleJob(), sampleJob({ id: 'later', name: 'Later job', place: 'Mill lane' })]);
  expect(words(page())).toContain('Sample job');
  expect(words(page())).toContain('Mill lane');
  expect(words(page())).toContain('1 room');
  expect(page().querySelectorAll('ls-room-glyph')).toHaveLength(2);
});

it('makes a job in either system and opens it', async () => {
  await show();
  button(page(), 'New job, feet and inches').click();
  await until(() => went.length === 1);
  button(page(), 'New job, millimeters').click();
  await until(() => went.length === 2);
  const made = (await db.jobs.toArray()).filter((row) => row.name === 'New job').map((row) => row.doc);
  expect(made.map((job) => job.units).sort()).toEqual(['feet', 'metric']);
  expect(made.find((job) => job.units === 'metric')?.way.compounds).toBe('hybrid');
  expect(made.every((job) => /^\d{4}-\d{2}-\d{2}$/.test(job.calendar.startDate))).toBe(true);
});

it('duplicates under a new id, deletes undoably, and removes for good', async () => {
  await show();
  labelled('Duplicate Sample job').click();
  await until(() => rows() === 2);
  expect(new Set((await db.jobs.toArray()).map((row) => row.id)).size).toBe(2);
  labelled('Delete Sample job, copy').click();
  await until(() => rows() === 1);
  labelled('Restore Sample job, copy').click();
  await until(() => rows() === 2);
  labelled('Delete Sample job, copy').click();
  await until(() => labelled('Delete Sample job, copy for good') !== null);
  labelled('Delete Sample job, copy for good').click();
  await until(() => page().querySelector('[aria-label="Deleted jobs"]') === null);
  expect(await db.jobs.count()).toBe(1);
});

it('imports a good file and opens it', async () => {
  await show();
  choose('b.json', writeJob(sampleJob({ id: 'from-file' })));
  await until(() => went.length === 1);
  expect(went[0]).toEqual(['/job', 'from-file', 'rooms']);
});

it('refuses a bad file with its reasons, which can be put aside', async () => {
  await show();
  choose('bad.json', '{"format":"lisse-job/1"}');
  await until(() => page().querySelector('[role=alert]') !== null);
  expect(words(page())).toContain('bad.json was not imported');
  expect(words(page())).toContain('Rooms: is missing.');
  button(page(), 'Close').click();
  await until(() => page().querySelector('[role=alert]') === null);
  expect(went).toEqual([]);
  expect(await db.jobs.count()).toBe(1);
});

it('hands a job out as a file', async () => {
  await show();
  const out = jest.spyOn(TestBed.inject(JobFiles), 'exportJob').mockResolvedValue(undefined);
  labelled('Export Sample job').click();
  await until(() => out.mock.calls.length === 1);
  expect(out.mock.calls[0]?.[0].id).toBe('sample');
});

it('says why when the browser does not store anything more', async () => {
  await show();
  jest
    .spyOn(TestBed.inject(JobStorage), 'add')
    .mockRejectedValue(new DOMException('full', 'QuotaExceededError'));
  button(page(), 'New job, millimeters').click();
  await until(() => words(page()).includes('out of storage'));
  expect(went).toEqual([]);
});

it('opens the example again', async () => {
  await show();
  button(page(), 'Add the example again').click();
  await until(() => went.length === 1);
  expect(went[0]).toEqual(['/job', 'again', 'rooms']);
});

it('lays a job that comes from another device beside what is here, and takes it in or keeps it apart', async () => {
  await show();
  const files = TestBed.inject(JobFiles);
  const sent = JSON.parse(await (await files.fileToSend(sampleJob())).text()) as Record<string, unknown>;
  const back = (id: string, name: string) =>
    JSON.stringify({ ...sent, name, handed: { id, knows: [(sent['handed'] as { id: string }).id] } });
  choose('back.lisse.json', back('09ZZZZZZZZZZZZZZZZZZZZZZZY', 'As it is there'));
  await until(
    () =>
      words(page()).includes('Sample job is already on this device') ||
      words(page()).includes('As it is there is already on this device'),
  );
  button(page(), 'Merge').click();
  await until(() => went.length === 1);
  expect((await db.jobs.get('sample'))?.doc.name).toBe('As it is there');
  choose('back.lisse.json', back('09ZZZZZZZZZZZZZZZZZZZZZZZZ', 'Another day'));
  await until(() => words(page()).includes('Another day is already on this device'));
  button(page(), 'Keep as a separate job').click();
  await until(() => went.length === 2);
  expect((await db.jobs.toArray()).map(({ name }) => name).sort()).toEqual(['Another day', 'As it is there']);
});
