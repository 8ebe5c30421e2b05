import { isCut } from '../job';
import { say } from '../texts';
import { compoundChange } from './cell-cure';
import type { RoomRule } from './types';

/** A-TOP: the last coat over a joint must be a class that can be finished and sanded. */
export const aTop: RoomRule = ({ room, area, rows, book }) => {
  const last = rows
    .filter((row) => isCut(row.element))
    .flatMap((row) => {
      const cell = row.cells.at(-1);
      return cell && !cell.tape && cell.coat !== 'prefill' && book.compounds[cell.compound].finish !== 'yes'
        ? [{ row, cell }]
        : [];
    });
  const first = last[0];
  if (!first) return [];
  const { finish: fit, name: compound } = book.compounds[first.cell.compound];
  return [
    {
      code: 'A-TOP',
      severity: fit === 'no' || fit === 'dents' ? 'warn' : 'note',
      place: { room: room.id, area: area.id, element: first.row.element, coat: first.cell.coat },
      reason: say(fit === 'covered' ? 'a-top.covered' : 'a-top', { compound }),
      cures: [
        {
          text: say('a-top.light'),
          changes: last.flatMap(({ row, cell }) => compoundChange(room, row, cell, 'drying-light')),
        },
      ],
    },
  ];
};
