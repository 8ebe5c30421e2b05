import type { Job, Plan, Read, RoomPlan } from '@lisse/core';

/** A plan with only the rooms that changed; the others are named by id and known to the caller. */
export type PlanChange = Omit<Plan, 'rooms'> & { rooms: (RoomPlan | string)[] };

/** What the core's worker answers. */
export interface CoreApi {
  /** Plans a job; rooms the caller already holds from the last plan of this job come as ids. */
  plan(job: Job): PlanChange;
  /** Reads the text of a job file. */
  read(text: string): Read;
  /** Holds a stored document against the format. */
  check(value: unknown): Read;
}
