import type { Days } from '@lisse/core';
import { createEvents, type DateArray, type EventAttributes } from 'ics';

const parts = (iso: string): DateArray =>
  [iso.slice(0, 4), iso.slice(5, 7), iso.slice(8, 10), iso.slice(11, 13), iso.slice(14, 16)].map(
    Number,
  ) as DateArray;

/** How an entry of the calendar is told. */
export interface EntryWords {
  title: (task: Days['tasks'][number]) => string;
  text: (task: Days['tasks'][number]) => string;
}

/**
 * The tasks that are still to do as a calendar file, at the hours of the clock on site wherever it is read.
 * @param job its id, so that a later file puts the same entries elsewhere
 */
export function calendarFile(days: Days, job: string, name: string, { title, text }: EntryWords): string {
  const events = days.tasks
    .filter(({ state }) => state !== 'done')
    .map((task): EventAttributes => ({
      uid: `${task.id}@${job}`,
      title: title(task),
      description: text(task),
      start: parts(task.start),
      end: parts(task.end),
      startInputType: 'local',
      startOutputType: 'local',
      endInputType: 'local',
      endOutputType: 'local',
      calName: name,
      productId: 'lisse',
    }));
  const { error, value } = createEvents(events);
  if (typeof value !== 'string') throw error ?? new Error('No calendar could be made.');
  return value;
}
