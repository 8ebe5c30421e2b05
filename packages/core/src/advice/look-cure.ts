import type { Area } from '../finish';
import type { FaceNote, FinishSpec, Room } from '../job';
import type { Survey } from '../survey';
import { fieldInRoom } from './change';
import type { Change } from './types';

/** Changes what an area is to be: in the room, or on the faces that differ from it. */
export function lookChange<K extends keyof FinishSpec>(
  area: Area,
  survey: Pick<Survey, 'faces'>,
  key: K,
  value: Room[K] & FaceNote[K],
): Change[] {
  const [room = '', face] = area.id.split('/');
  if (face === undefined) {
    // Faces that have their own stay as they are; the rest follow the room.
    return [fieldInRoom(room, [], key, value)];
  }
  return survey.faces.map(({ id }) => fieldInRoom(room, ['faces', id], key, value));
}
