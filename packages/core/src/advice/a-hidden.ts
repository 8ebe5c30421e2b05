import { say } from '../texts';
import type { RoomRule } from './types';

/** A-HIDDEN: what will be covered still keeps smoke and fire. */
export const aHidden: RoomRule = ({ area, room, rows }) =>
  room.decoration === 'none' && rows.some((row) => row.cells.length > 0)
    ? [
        {
          code: 'A-HIDDEN',
          severity: 'note',
          place: { room: room.id, area: area.id },
          reason: say('a-hidden'),
          cures: [{ text: say('a-hidden.look') }],
        },
      ]
    : [];
