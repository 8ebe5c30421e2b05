import type { LogEntry } from '@lisse/core';
import { Unwritten } from './unwritten';

const telling = (id: string, job = 'open') => ({ job, label: 'x', entries: [{ id } as LogEntry] });
const ids = (unwritten: Unwritten): string[] =>
  unwritten.toPots().flatMap(({ entries }) => entries.map((entry) => entry.id));
const has =
  (id: string) =>
  ({ entries }: { entries: readonly LogEntry[] }): boolean =>
    entries.some((entry) => entry.id === id);

it('what the log shows first stays with the pots until they show it too', () => {
  const unwritten = new Unwritten();
  unwritten.add(telling('a'));
  unwritten.inLog(has('a'));
  expect(unwritten.entriesOf('open')).toEqual([]);
  expect(ids(unwritten)).toEqual(['a']);
  unwritten.inPots(has('a'), 'open');
  expect(ids(unwritten)).toEqual([]);
});

it('what the pots show first stays with the log of the open job, and of no other', () => {
  const unwritten = new Unwritten();
  unwritten.add(telling('a'));
  unwritten.add(telling('b', 'other'));
  for (const id of ['a', 'b']) unwritten.inPots(has(id), 'open');
  expect(unwritten.entriesOf('open')).toHaveLength(1);
  expect(unwritten.entriesOf('other')).toEqual([]);
});

it('what is taken back is gone for both', () => {
  const unwritten = new Unwritten();
  unwritten.add(telling('a'));
  unwritten.remove(has('a'));
  expect([ids(unwritten), unwritten.entriesOf('open'), unwritten.any()]).toEqual([[], [], false]);
});
