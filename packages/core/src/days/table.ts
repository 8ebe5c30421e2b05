import Papa from 'papaparse';
import type { Say } from '../speech';
import { say } from '../texts';
import type { Days } from './days';

/**
 * The tasks as a table for other programs: one a row, local times, minutes, and who works on it.
 * @param roomNames by their ids
 */
export function daysCsv(days: Days, roomNames: ReadonlyMap<string, string>, told: Say): string {
  const people = new Map(days.people.map(({ id, name }) => [id, name ?? id]));
  const rows = days.tasks.map((task) => ({
    start: task.start,
    end: task.end,
    room: roomNames.get(task.room) ?? task.room,
    coat: told(say(`step.${task.step}`)),
    rows: task.rows.map((row) => told(say(`element.${row}`))).join(', '),
    who: task.people.map((id) => people.get(id) ?? id).join(', '),
    'labour min': Math.round(task.labourMin),
    'ready early': task.readyEarly,
    ready: task.ready,
    'ready late': task.readyLate,
    state: task.state,
    id: task.id,
  }));
  return `${Papa.unparse(rows, { escapeFormulae: true })}\r\n`;
}
