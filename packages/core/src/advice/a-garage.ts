import type { RoomRule } from './types';

/** A-GARAGE: a wall or ceiling between a garage and living space is commonly a separation the code names. */
export const aGarage: RoomRule = ({ room }) =>
  room.garage
    ? [
        {
          code: 'A-GARAGE',
          severity: 'note',
          place: { room: room.id },
          reason:
            'A garage: what parts it from living space is commonly a separation that local code names, board, tape and openings included. Every joint there is at least taped.',
          cures: [{ text: 'Ask what the local code wants on that wall and ceiling' }],
        },
      ]
    : [];
