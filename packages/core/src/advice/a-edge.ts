import type { Instead } from '../job';
import type { RoomRule } from './types';

/** What may stand there, in words, and what it asks for. */
const SAYS: Record<Instead, string> = {
  old: 'Old work stands there: tape to it',
  edge: 'The edge stays in sight: L-trim',
  grid: 'A grid or a cover hides it: nothing',
};

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
      reason: `The ${name} takes no board, and what board ends against there is not said: nothing is reckoned along its edges.`,
      cures: (Object.entries(SAYS) as [Instead, string][]).map(([instead, text]) => ({
        text,
        changes: [{ room: room.id, path: ['faces', id, 'instead'], value: instead }],
      })),
    }));
