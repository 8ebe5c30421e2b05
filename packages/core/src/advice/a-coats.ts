import { gradeName } from '../finish';
import { say } from '../texts';
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
        reason: say('a-coats', {
          count: missing.length,
          coats: missing.map(({ coat }) => say(`coat.${coat}`)),
          element: say(`element.${row.element}`),
          grade: gradeName(room.finish),
        }),
        cures: [
          {
            text: say('a-coats.back', { count: missing.length }),
            changes: missing.flatMap(({ coat, own }) =>
              cellChange(room, row, coat, 'coat', own === 'job' || own === 'room' ? undefined : 'add', own),
            ),
          },
        ],
      },
    ];
  });
