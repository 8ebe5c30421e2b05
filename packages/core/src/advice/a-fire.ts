import type { RoomRule } from './types';

/** A-FIRE: a rated assembly is built as listed, and looked at before it is covered. */
export const aFire: RoomRule = ({ room }) =>
  room.rated
    ? [
        {
          code: 'A-FIRE',
          severity: 'note',
          place: { room: room.id },
          reason:
            'A rated assembly: tape, compound and coats as its listing says, and the inspector sees each stage before it is covered.',
          cures: [{ text: 'Have the listing on site' }],
        },
      ]
    : [];
