import { say } from '../texts';
import type { RoomRule } from './types';

/** A-GARAGE: a wall or ceiling between a garage and living space is commonly a separation the code names. */
export const aGarage: RoomRule = ({ room }) =>
  room.garage
    ? [
        {
          code: 'A-GARAGE',
          severity: 'note',
          place: { room: room.id },
          reason: say('a-garage'),
          cures: [{ text: say('a-garage.ask') }],
        },
      ]
    : [];
