import type { Days, DayTask } from './days';

/** What a new plan of the days has moved against the one before it. */
export interface Moved {
  /** All is ready so much later, min; sooner where it is negative. */
  finishMin: number;
  /** Tasks not begun whose start has moved, the first to be worked first. */
  tasks: { task: DayTask; from: string }[];
}

/** A task that begins so little sooner or later has not moved, min. */
const MOVED_MIN = 30;

const minutesBetween = (from: string, to: string): number =>
  (Date.parse(`${to}Z`) - Date.parse(`${from}Z`)) / 60000;

/** What has moved; none where nothing did that anybody would ask about. */
export function movedBetween(before: Days, after: Days): Moved | undefined {
  const was = new Map(before.tasks.map(({ id, start }) => [id, start]));
  const tasks = after.tasks.flatMap((task) => {
    const from = was.get(task.id);
    const moved = task.state === 'planned' && from !== undefined;
    return moved && Math.abs(minutesBetween(from, task.start)) >= MOVED_MIN ? [{ task, from }] : [];
  });
  const [was0, is] = [before.finish, after.finish];
  const by = was0 === undefined || is === undefined ? 0 : minutesBetween(was0, is);
  const finishMin = Math.abs(by) >= MOVED_MIN ? by : 0;
  return tasks.length > 0 || finishMin !== 0 ? { finishMin, tasks } : undefined;
}
