import type { CompoundId, Finish, Job } from '../job';
import { COATS, LEVELS, QUALITIES } from '../job';
import type { Supplied } from '../compound';

/** Another way to do the job, to be offered beside the bid. */
export interface Alternative {
  id: 'up' | 'down' | `one-${CompoundId}`;
  /** The one compound for every coat over the prefill. */
  compound?: CompoundId;
  job: Job;
}

/** The job with every finish so many grades higher, within its scale; the very same where none can be changed. */
function regraded(job: Job, by: 1 | -1): Job {
  const other = (finish: Finish): Finish => {
    const grade = finish.grade + by;
    const grades: readonly number[] = finish.scale === 'q' ? QUALITIES : LEVELS;
    return grades.includes(grade) ? ({ ...finish, grade } as Finish) : finish;
  };
  const rooms = job.rooms.map((room) => ({
    ...room,
    finish: other(room.finish),
    ...(room.faces
      ? {
          faces: Object.fromEntries(
            Object.entries(room.faces).map(([id, note]) => [
              id,
              note.finish ? { ...note, finish: other(note.finish) } : note,
            ]),
          ),
        }
      : {}),
  }));
  return rooms.some((room, i) => room.finish.grade !== job.rooms[i]?.finish.grade) ? { ...job, rooms } : job;
}

/** Compounds that bed tape, fill and finish: one of them does for every coat. */
export const doesAll = (compound: CompoundId, book: Supplied): boolean => {
  const { bed, fill, finish } = book.compounds[compound];
  return bed === 'yes' && fill === 'yes' && finish === 'yes';
};

/** A grade up and a grade down, and one compound for every coat over the prefill where more than one is used. */
export function alternativesOf(job: Job, used: readonly CompoundId[], book: Supplied): Alternative[] {
  const [up, down] = [regraded(job, 1), regraded(job, -1)];
  const all = (Object.keys(book.compounds) as CompoundId[]).filter((id) => doesAll(id, book));
  const single = (compound: CompoundId): Job => ({
    ...job,
    way: {
      ...job.way,
      compoundFor: {
        ...job.way.compoundFor,
        ...Object.fromEntries(COATS.filter((coat) => coat !== 'prefill').map((coat) => [coat, compound])),
      },
    },
  });
  return [
    ...(up === job ? [] : [{ id: 'up' as const, job: up }]),
    ...(down === job ? [] : [{ id: 'down' as const, job: down }]),
    ...(used.length > 1
      ? all.map((compound) => ({ id: `one-${compound}` as const, compound, job: single(compound) }))
      : []),
  ];
}
