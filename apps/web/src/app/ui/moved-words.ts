import { say, type Message, type Moved } from '@lisse/core';
import type { Format } from '../state/format';

/** What the last thing told from the site has moved, in a sentence. */
export function movedWords(
  { finishMin, tasks }: Moved,
  names: ReadonlyMap<string, string>,
  format: Pick<Format, 'duration' | 'time'>,
): Message {
  const [first] = tasks;
  return say('days.replanned', {
    how: finishMin > 0 ? 'later' : finishMin < 0 ? 'sooner' : 'same',
    by: format.duration(Math.abs(finishMin)),
    n: tasks.length,
    others: tasks.length - 1,
    step: first ? say(`step.${first.task.step}`) : '',
    room: (first && names.get(first.task.room)) ?? '',
    at: first ? format.time(first.task.start) : '',
  });
}
