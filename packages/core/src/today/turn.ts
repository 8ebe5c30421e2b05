import type { Days, DayTask } from '../days';

/** What somebody does now, and what comes then. */
export interface Turn {
  task: DayTask | undefined;
  next: DayTask[];
}

/** What is begun goes on before what rests, and that before what is not begun. */
const RANK: Record<DayTask['state'], number> = { begun: 0, paused: 1, planned: 2, done: 3 };
/** So many that come next are told. */
const NEXT = 2;

/** The turn of one of the crew; of all where nobody said who they are. */
export function turnOf({ tasks }: Pick<Days, 'tasks'>, person: string | undefined): Turn {
  const own = tasks
    .filter(({ state, people }) => state !== 'done' && (person === undefined || people.includes(person)))
    .sort((a, b) => RANK[a.state] - RANK[b.state] || (a.start < b.start ? -1 : a.start > b.start ? 1 : 0));
  const [task, ...rest] = own;
  return { task, next: rest.slice(0, NEXT) };
}

/** Coats that harden at a moment, the one that is ready first in front. */
export const waitsOf = ({ tasks }: Pick<Days, 'tasks'>, now: string): DayTask[] =>
  tasks
    .filter(({ state, how, readyLate }) => state === 'done' && how !== 'none' && readyLate > now)
    .sort((a, b) => (a.readyLate < b.readyLate ? -1 : a.readyLate > b.readyLate ? 1 : 0));

/** Coats that should be ready and that nobody has told so, of which something waits; the oldest first. */
export const toLookAt = ({ tasks }: Pick<Days, 'tasks'>, now: string): DayTask[] => {
  const open = new Set(tasks.filter(({ state }) => state !== 'done').map(({ room }) => room));
  return tasks.filter(
    ({ state, how, ready, readyEarly, readyLate, room }) =>
      state === 'done' &&
      how !== 'none' &&
      readyEarly !== readyLate &&
      ready <= now &&
      now < readyLate &&
      open.has(room),
  );
};
