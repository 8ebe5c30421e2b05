import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { until } from '../../testing/app';
import { asked } from './asked';

/** A worker's answers, each given when the test says so. */
function setUp(restMs = 0) {
  const question = signal<string | undefined>('one');
  const waiting: { about: string; answer: (value: string) => void; fail: (why: Error) => void }[] = [];
  const next = (about: string) =>
    new Promise<string>((answer, fail) => waiting.push({ about, answer, fail: (why) => fail(why) }));
  const it = TestBed.runInInjectionContext(() =>
    asked(
      question,
      async function* (about) {
        yield await next(about);
        yield await next(about);
      },
      restMs,
    ),
  );
  const answer = async (value: string) => {
    await until(() => waiting.length > 0);
    waiting.shift()!.answer(value);
  };
  return { question, waiting, it, answer };
}

it('shows answers as they come, and the last until there is one to the next question', async () => {
  const { question, it, answer } = setUp();
  await answer('half');
  await until(() => it.answer() === 'half');
  expect(it.busy()).toBe(true);
  await answer('whole');
  await until(() => !it.busy());
  question.set('two');
  await until(() => it.busy());
  expect(it.answer()).toBe('whole');
  await answer('half of two');
  await until(() => it.answer() === 'half of two');
});

it('lets go of an older question, and does not go on with it', async () => {
  const { question, waiting, it, answer } = setUp();
  await until(() => waiting.length === 1);
  question.set('two');
  await until(() => waiting.length === 2);
  await answer('late');
  await answer('of two');
  await until(() => it.answer() === 'of two');
  expect(waiting.map(({ about }) => about)).toEqual(['two']);
});

it('asks once what changes several times within its rest', async () => {
  const { question, waiting } = setUp(40);
  TestBed.tick();
  question.set('two');
  TestBed.tick();
  question.set('three');
  await until(() => waiting.length > 0);
  expect(waiting.map(({ about }) => about)).toEqual(['three']);
});

it('says why there is no answer, and can be stopped', async () => {
  const { question, waiting, it } = setUp();
  await until(() => waiting.length === 1);
  waiting.shift()!.fail(new Error('It broke off.'));
  await until(() => it.failed() === 'It broke off.');
  expect(it.busy()).toBe(false);
  question.set('two');
  await until(() => waiting.length === 1);
  expect(it.failed()).toBeUndefined();
  it.stop();
  waiting.shift()!.answer('unheard');
  question.set(undefined);
  await until(() => !it.busy());
  expect(it.answer()).toBeUndefined();
});
