import type { Job, Room } from '../job';
import type { Change } from './types';

/** What stands at a path of a document; what may be absent, and an entry by name, may also be taken away. */
type At<T, P extends readonly string[]> = P extends readonly [
  infer K extends string,
  ...infer Rest extends string[],
]
  ? K extends keyof NonNullable<T>
    ? At<string extends keyof NonNullable<T> ? NonNullable<T>[K] | undefined : NonNullable<T>[K], Rest>
    : never
  : T;

/** A value set at the job's top: a path that leads nowhere, or a value that cannot stand there, does not compile. */
export const inJob = <const P extends string[]>(path: P, value: At<Job, P>): Change => ({ path, value });

/** The same under a room. */
export const inRoom = <const P extends string[]>(room: string, path: P, value: At<Room, P>): Change => ({
  room,
  path,
  value,
});

type Held<T, P extends readonly string[]> = NonNullable<At<T, P>>;

/** One field of what stands at a path, where which it is is only known at work. */
export const fieldInJob = <const P extends string[], K extends keyof Held<Job, P> & string>(
  path: P,
  key: K,
  value: string extends keyof Held<Job, P> ? Held<Job, P>[K] | undefined : Held<Job, P>[K],
): Change => ({ path: [...path, key], value });

/** The same under a room. */
export const fieldInRoom = <const P extends string[], K extends keyof Held<Room, P> & string>(
  room: string,
  path: P,
  key: K,
  value: Held<Room, P>[K],
): Change => ({ room, path: [...path, key], value });
