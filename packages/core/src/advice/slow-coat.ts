import type { DayTask, Days } from '../days';

/** The coat that dries longest of those still to be laid, as a rule, h; none where nothing only dries. */
export function slowestCoat({ tasks }: Pick<Days, 'tasks'>): (DayTask & { hours: number }) | undefined {
  let worst: (DayTask & { hours: number }) | undefined;
  for (const task of tasks) {
    if (task.how !== 'drying') continue;
    const hours = (Date.parse(`${task.ready}Z`) - Date.parse(`${task.end}Z`)) / 36e5;
    if (!worst || hours > worst.hours) worst = { ...task, hours };
  }
  return worst;
}
