import type { Book } from '../book';
import type { Cell, Element } from '../coat';
import type { Coat, Job, Room } from '../job';
import type { Survey } from '../survey';
import type { RoomUse, SectionMemo } from '../takeoff';

export type Severity = 'stop' | 'warn' | 'note';

/** One value to set in the job: under the room with this id, or at the job's top. */
export interface Change {
  room?: string;
  path: string[];
  value: unknown;
}

export interface Cure {
  text: string;
  /** Set by one press; absent where only hands can cure it. */
  changes?: Change[];
}

export interface AdvicePlace {
  room?: string;
  element?: Element;
  coat?: Coat;
}

export interface Advice {
  code: string;
  severity: Severity;
  place: AdvicePlace;
  reason: string;
  cures: Cure[];
}

/** What a rule about one room may look at. */
export interface RoomContext {
  job: Pick<Job, 'way' | 'climate' | 'units'>;
  room: Room;
  survey: Survey;
  cells: readonly Cell[];
  use: RoomUse;
  book: Book;
  memo: SectionMemo;
}

export type RoomRule = (context: RoomContext) => Advice[];
export type JobRule = (job: Job) => Advice[];
