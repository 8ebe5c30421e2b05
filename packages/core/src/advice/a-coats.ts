import { gradeName } from '../finish';
import { cellChange } from './cell-cure';
import type { RoomRule } from './types';

/** A-COATS: a coat the grade asks for was left out by hand. */
export const aCoats: RoomRule = ({ area, room, rows }) =>
  rows.flatMap((row) => {
    const missing = row.left.filter(({ coat }) => coat !== 'prefill');
    const first = missing[0];
    if (!first) return [];
    return [
      {
        code: 'A-COATS',
        severity: 'warn' as const,
        place: { room: room.id, area: area.id, row: row.id, element: row.element, coat: first.coat },
        reason: `The ${missing.map(({ coat }) => coat).join(' and ')} ${missing.length > 1 ? 'coats are' : 'coat is'} left out on ${row.element}; ${gradeName(room.finish)} asks for ${missing.length > 1 ? 'them' : 'it'}.`,
        cures: [
          {
            text: `Put ${missing.length > 1 ? 'them' : 'it'} back`,
            changes: missing.flatMap(({ coat, own }) =>
              cellChange(room, row, coat, 'coat', own === 'job' || own === 'room' ? undefined : 'add', own),
            ),
          },
        ],
      },
    ];
  });
