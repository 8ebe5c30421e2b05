import { csvOf, tableOf } from '../exchange';
import type { Say } from '../speech';
import { say } from '../texts';
import type { Days } from './days';

/**
 * The tasks as a table for other programs: one a row, local times, minutes, and who works on it.
 * @param roomNames by their ids
 */
export function daysCsv(days: Days, roomNames: ReadonlyMap<string, string>, told: Say): string {
  const people = new Map(days.people.map(({ id, name }) => [id, name ?? id]));
  return csvOf(
    tableOf(
      say('table.days'),
      days.tasks,
      [
        [say('table.start'), ({ start }) => start],
        [say('table.end'), ({ end }) => end],
        [say('table.room'), ({ room }) => roomNames.get(room) ?? room],
        [say('table.coat'), ({ step }) => told(say(`step.${step}`))],
        [say('table.rows'), ({ rows }) => rows.map((row) => told(say(`element.${row}`))).join(', ')],
        [say('table.who'), (task) => task.people.map((id) => people.get(id) ?? id).join(', ')],
        [say('table.work'), ({ labourMin }) => Math.round(labourMin)],
        [say('table.ready-early'), ({ readyEarly }) => readyEarly],
        [say('table.ready'), ({ ready }) => ready],
        [say('table.ready-late'), ({ readyLate }) => readyLate],
        [say('table.state'), ({ state }) => state],
        [say('table.id'), ({ id }) => id],
      ],
      told,
    ),
  );
}
