import type { Job } from '../job';
import { WorkHours } from './calendar';
import { STEPS, type RoomStep, type Step } from './work';

/** When one coat in one room is worked, and when the next may go on; local times, `2026-11-30T07:00`. */
export interface DayTask {
  room: string;
  step: Step;
  start: string;
  end: string;
  ready: string;
}

export interface Days {
  tasks: DayTask[];
  /** When each room can be primed. */
  rooms: { room: string; ready: string }[];
  finish: string | undefined;
  /** Work of one person through the whole job, min. */
  labourMin: number;
}

/**
 * The first plan of the days: one coat through the whole job before the next, rooms in their order, the
 * crew together. A coat starts when the crew is free and the coat under it is ready; mud hardens through
 * nights and weekends. Waiting is never counted as labour.
 */
export function planDays(
  job: Pick<Job, 'calendar'>,
  rooms: readonly { id: string; steps: readonly RoomStep[] }[],
): Days {
  const hours = new WorkHours(job.calendar);
  const readyAt = new Map<string, number>();
  const tasks: DayTask[] = [];
  let free = 0;
  let labourMin = 0;
  for (const step of STEPS) {
    for (const room of rooms) {
      const work = room.steps.find((s) => s.step === step);
      if (!work) continue;
      const start = hours.next(Math.max(free, readyAt.get(room.id) ?? 0));
      const end = hours.after(start, work.labourMin / job.calendar.crew);
      const ready = end + work.hardenMin;
      free = end;
      readyAt.set(room.id, ready);
      labourMin += work.labourMin;
      tasks.push({
        room: room.id,
        step,
        start: hours.iso(start),
        end: hours.iso(end),
        ready: hours.iso(ready),
      });
    }
  }
  let last = -Infinity;
  for (const ready of readyAt.values()) last = Math.max(last, ready);
  return {
    tasks,
    rooms: [...readyAt].map(([room, ready]) => ({ room, ready: hours.iso(ready) })),
    finish: readyAt.size > 0 ? hours.iso(last) : undefined,
    labourMin,
  };
}
