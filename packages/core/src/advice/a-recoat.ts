import { printDuration } from '../units';
import { cellChange, cellsIn } from './cell-cure';
import type { Advice, RoomRule } from './types';

/** A-RECOAT: a coat planned over one that is not ready. */
export const aRecoat: RoomRule = ({ area, room, rows, use }) =>
  cellsIn(rows).flatMap(({ row, cell }): Advice[] => {
    const part = use.uses.find((u) => u.row === row.id && u.coat === cell.coat);
    if (cell.waitMin === undefined || !part?.hardens || cell.waitMin >= part.hardens.hours * 60 - 0.5)
      return [];
    return [
      {
        code: 'A-RECOAT',
        severity: 'warn',
        place: { room: room.id, area: area.id, row: row.id, element: row.element, coat: cell.coat },
        reason: `The next coat is planned ${printDuration(cell.waitMin)} after this one, which needs ${printDuration(part.hardens.hours * 60)}: it would tear, blister or shrink under it.`,
        cures: [
          { text: 'Wait until it is ready', changes: cellChange(room, row, cell.coat, 'waitMin', undefined) },
        ],
      },
    ];
  });
