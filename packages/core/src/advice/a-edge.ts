import { UNBOARDED_REASONS } from '../job';
import { say } from '../texts';
import { inRoom } from './change';
import type { RoomRule } from './types';

/** A-EDGE: a face is left without board and nobody said what its neighbours end against. */
export const aEdge: RoomRule = ({ room, area, survey }) =>
  survey.faces
    .filter(({ id, boarded }) => {
      const note = room.faces?.[id];
      return !boarded && note?.unboarded === true && note.instead === undefined;
    })
    .map(({ id, name }) => ({
      code: 'A-EDGE',
      severity: 'warn' as const,
      place: { room: room.id, area: area.id, cause: id },
      reason: say('a-edge', { face: name }),
      cures: UNBOARDED_REASONS.map((instead) => ({
        text: say(`a-edge.${instead}`),
        changes: [inRoom(room.id, ['faces', id, 'instead'], instead)],
      })),
    }));
