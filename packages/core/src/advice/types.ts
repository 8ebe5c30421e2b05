import type { BoardRow } from '../coat';
import type { Supplied } from '../compound';
import type { Days, RoomStep } from '../days';
import type { Area } from '../finish';
import type { Coat, Element, Job, Room, ToolId } from '../job';
import type { HighWork, Joint, Survey } from '../survey';
import type { Order } from '../goods';
import type { Lot } from '../log';
import type { RoomUse, SectionMemo } from '../takeoff';
import type { Message } from '../texts';

export type Severity = 'stop' | 'warn' | 'note';

/** One value to set in the job: under the room with this id, or at the job's top. */
export interface Change {
  room?: string;
  path: string[];
  /** Nothing takes the value away. */
  value: unknown;
}

export interface Cure {
  text: Message;
  /** Set by one press; absent where only hands can cure it. */
  changes?: Change[];
}

export interface AdvicePlace {
  room?: string;
  /** Rooms that have the same trouble; none of them alone is named then. */
  rooms?: string[];
  /** Part of the room, where it differs from the rest. */
  area?: string;
  /** Row of the coat board. */
  row?: string;
  element?: Element;
  coat?: Coat;
  /** The worst of the joints it is about, where the others of its row are well. */
  joint?: string;
  /** Which of two troubles of one place it is, where a rule tells them apart. */
  cause?: string;
}

export interface Advice {
  code: string;
  severity: Severity;
  place: AdvicePlace;
  reason: Message;
  cures: Cure[];
  /** The places it stands for, where it is said once for several rooms. */
  each?: AdvicePlace[];
}

/** What a rule about one area of a room may look at. */
export interface RoomContext {
  job: Pick<Job, 'way' | 'climate' | 'units' | 'shop'>;
  area: Area;
  /** The room with the area's finish, decoration and light. */
  room: Room;
  survey: Survey;
  rows: readonly BoardRow[];
  use: RoomUse;
  kit: readonly ToolId[];
  book: Supplied;
  memo: SectionMemo;
}

/** What a rule about the whole job may look at, once it is planned. */
export interface JobContext {
  job: Job;
  rooms: readonly {
    id: string;
    use: RoomUse;
    floorM2: number;
    high?: HighWork;
    steps: readonly RoomStep[];
    joints: readonly Joint[];
    areas: readonly { rows: readonly BoardRow[] }[];
  }[];
  order: Order;
  stock: readonly Lot[];
  days: Days;
  book: Supplied;
}

export type RoomRule = (context: RoomContext) => Advice[];
export type JobRule = (context: JobContext) => Advice[];

/** Where an advice stands, to set it aside by: the same words for the same trouble in the same place. */
export const adviceKey = ({ code, place }: Pick<Advice, 'code' | 'place'>): string =>
  [
    ...[code, place.rooms?.join('+') ?? place.room, place.area, place.row ?? place.element, place.coat].map(
      (part) => part ?? '',
    ),
    // Joint and cause stand only where they are told, so that what was set aside before them stays so.
    ...(place.joint === undefined && place.cause === undefined ? [] : [place.joint ?? '', place.cause ?? '']),
  ].join('|');

/** What an advice is set aside by: its key, or one for each of the places it stands for. */
export const adviceKeys = ({ code, place, each }: Pick<Advice, 'code' | 'place' | 'each'>): string[] =>
  (each ?? [place]).map((one) => adviceKey({ code, place: one }));

/** The rooms an advice names; none where it is about the whole job. */
export const roomsNamed = ({ room, rooms }: AdvicePlace): readonly string[] =>
  rooms ?? (room === undefined ? [] : [room]);

/** Whether an advice is about the whole job, or about this room among others. */
export const concerns = (place: AdvicePlace, room: string | undefined): boolean => {
  const named = roomsNamed(place);
  return named.length === 0 || (room !== undefined && named.includes(room));
};
