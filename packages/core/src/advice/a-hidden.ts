import type { RoomRule } from './types';

/** A-HIDDEN: what will be covered still keeps smoke and fire. */
export const aHidden: RoomRule = ({ area, room, rows }) =>
  room.decoration === 'none' && rows.some((row) => row.cells.length > 0)
    ? [
        {
          code: 'A-HIDDEN',
          severity: 'note',
          place: { room: room.id, area: area.id },
          reason:
            'Concealed work: looks do not count, but tape and heads keep smoke and fire where the drawings or the listing ask for it. Have it seen before it is closed.',
          cures: [{ text: 'Call for the look before covering' }],
        },
      ]
    : [];
