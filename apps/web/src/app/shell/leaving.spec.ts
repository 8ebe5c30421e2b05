import { TestBed } from '@angular/core/testing';
import { button, openJob, setUp, until, words, named } from '../../testing/app';
import type { LisseDb } from '../storage/db';
import { JobStorage } from '../storage/job-storage';
import { Leaving } from './leaving';
import { LeavingQuestion } from './leaving-question';

let db: LisseDb;
beforeEach(() => (db = setUp()));
afterEach(() => db.delete());

const lose = async () => {
  const store = await openJob();
  jest
    .spyOn(TestBed.inject(JobStorage), 'commit')
    .mockRejectedValue(new DOMException('full', 'QuotaExceededError'));
  store.edit(named('Name'), (job) => void (job.name = 'Not kept'));
  await store.settled();
};

const unload = (): boolean => window.dispatchEvent(new Event('beforeunload', { cancelable: true }));

it('lets a job go whose changes are all written', async () => {
  const store = await openJob();
  store.edit(named('Name'), (job) => void (job.name = 'Kept'));
  expect(await TestBed.inject(Leaving).allows()).toBe(true);

  expect(unload()).toBe(true);
});

it.each([
  ['Stay here', false],
  ['Leave without saving', true],
])('asks before a change is dropped: %s', async (name, leaves) => {
  await lose();
  const fixture = TestBed.createComponent(LeavingQuestion);
  fixture.detectChanges();

  expect(unload()).toBe(false);
  const answer = TestBed.inject(Leaving).allows();
  await until(() => {
    fixture.detectChanges();
    return words(document.body).includes('The last change is not saved');
  });
  expect(words(document.body)).toContain('out of storage');
  button(document.body, name).click();
  expect(await answer).toBe(leaves);
});
