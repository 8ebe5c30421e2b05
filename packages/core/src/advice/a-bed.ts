import { cellsIn } from '../coat';
import { say } from '../texts';
import { compoundChange } from './cell-cure';
import type { RoomRule } from './types';

/** A-BED: tape is only as good as what it lies in. */
export const aBed: RoomRule = ({ room, area, rows, book }) => {
  const beds = cellsIn(rows).filter(({ cell }) => cell.tape && book.compounds[cell.compound].bed !== 'yes');
  const worst = beds.find(({ cell }) => book.compounds[cell.compound].bed !== 'contested') ?? beds[0];
  if (!worst) return [];
  const { bed, name: compound } = book.compounds[worst.cell.compound];
  const light = bed === 'contested';
  return [
    {
      code: 'A-BED',
      severity: light ? 'note' : 'stop',
      place: { room: room.id, area: area.id, coat: 'tape' },
      reason: light ? say('a-bed.contested', { compound }) : say('a-bed', { compound }),
      cures: [
        {
          text: say('a-bed.all-purpose'),
          changes: beds.flatMap(({ row, cell }) => compoundChange(room, row, cell, 'drying-all-purpose')),
        },
      ],
    },
  ];
};
