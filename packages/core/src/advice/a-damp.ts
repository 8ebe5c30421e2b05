import type { RoomRule } from './types';

/** A-DAMP: a damp room wants boards and compound that bear it; behind tile the tile's own system decides. */
export const aDamp: RoomRule = ({ room }) =>
  room.damp
    ? [
        {
          code: 'A-DAMP',
          severity: 'note',
          place: { room: room.id },
          reason:
            'A damp room: boards and compound made for it, edges sealed where they are cut, and where water strikes the face a tile backer instead of board. Local codes decide what may hang there.',
          cures: [{ text: 'Check the board and the compound against their sheets' }],
        },
      ]
    : [];
