import type { RoomRule } from './types';

/** A-OLD: old texture, compound and paint may hold asbestos or lead. */
export const aOld: RoomRule = ({ room }) =>
  room.oldWork
    ? [
        {
          code: 'A-OLD',
          severity: 'stop',
          place: { room: room.id },
          reason:
            'Old work is disturbed here. Texture and compound from before 1990 may hold asbestos, old paint lead. Do not scrape, cut or sand it until licensed people have tested it.',
          cures: [
            { text: 'Tested and found clear', changes: [{ room: room.id, path: ['oldWork'], value: false }] },
          ],
        },
      ]
    : [];
