import { useOf } from '../takeoff';
import { cellsIn } from '../coat';
import { say } from '../texts';
import { cellChange } from './cell-cure';
import type { Advice, RoomRule } from './types';

/** A-RECOAT: a coat planned over one that is not ready. */
export const aRecoat: RoomRule = ({ area, room, rows, use }) =>
  cellsIn(rows).flatMap(({ row, cell }): Advice[] => {
    const part = useOf(use, row, cell);
    if (cell.waitMin === undefined || !part?.hardens || cell.waitMin >= part.hardens.hours * 60 - 0.5)
      return [];
    return [
      {
        code: 'A-RECOAT',
        severity: 'warn',
        place: { room: room.id, area: area.id, row: row.id, element: row.element, coat: cell.coat },
        reason: say('a-recoat', { wait: cell.waitMin, needs: part.hardens.hours * 60 }),
        cures: [
          { text: say('a-recoat.wait'), changes: cellChange(room, row, cell.coat, 'waitMin', undefined) },
        ],
      },
    ];
  });
