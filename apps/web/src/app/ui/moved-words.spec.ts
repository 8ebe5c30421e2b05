import type { DayTask, Moved } from '@lisse/core';
import { said } from '../../testing/app';
import { movedWords } from './moved-words';

const format = { duration: (min: number) => `${min} min`, time: (at: string) => at.slice(11) };
const names = new Map([['hall', 'Hall']]);
const task = (room: string) =>
  ({ task: { room, step: 'fill', start: '2026-12-01T08:30' } as DayTask }) as Moved['tasks'][number];
const told = (finishMin: number, rooms: string[]) =>
  said(movedWords({ finishMin, tasks: rooms.map(task) }, names, format));

it('says how far the end has moved, and which way', () => {
  expect(told(90, [])).toBe('New plan: everything is ready 90 min later.');
  expect(told(-90, [])).toBe('New plan: everything is ready 90 min sooner.');
  expect(told(0, [])).toBe('New plan: same finish date.');
});

it('names the first task that has moved, and counts the others', () => {
  const first = 'New plan: same finish date. Hall: fill coat now starts 08:30';
  expect(told(0, ['hall'])).toBe(`${first}.`);
  expect(told(0, ['hall', 'hall'])).toBe(`${first}, and one more task moved.`);
  expect(told(0, ['hall', 'hall', 'hall', 'hall'])).toBe(`${first}, and 3 more tasks moved.`);
});

it('stands where a room is gone since', () => {
  expect(told(0, ['gone'])).toContain(': fill coat now starts 08:30');
});
