import { say } from '../texts';
import type { RoomRule } from './types';

/** A-DAMP: a damp room wants boards and compound that bear it; behind tile the tile's own system decides. */
export const aDamp: RoomRule = ({ room }) =>
  room.damp
    ? [
        {
          code: 'A-DAMP',
          severity: 'note',
          place: { room: room.id },
          reason: say('a-damp'),
          cures: [{ text: say('a-damp.check') }],
        },
      ]
    : [];
