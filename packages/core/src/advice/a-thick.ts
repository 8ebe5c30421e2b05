import { fitFor } from '../compound';
import type { CompoundId } from '../job';
import { printSmall } from '../units';
import { cellChange, cellsIn } from './cell-cure';
import type { RoomRule } from './types';

/** Deeper classes to offer, gentlest first. */
const DEEPER: CompoundId[] = ['hybrid', 'setting-light', 'setting-hard'];

/** A-THICK: a layer thicker than its class can take cracks or never dries through. */
export const aThick: RoomRule = ({ job, room, area, rows, use, book }) =>
  cellsIn(rows).flatMap(({ row, cell }) => {
    const part = use.uses.find((u) => u.row === row.id && u.coat === cell.coat);
    const { name, maxMm } = book.compounds[cell.compound];
    if (!part || part.wetL <= 0 || part.layerMm <= maxMm) return [];
    const closed = job.way.tools === 'machine' && cell.coat !== 'prefill';
    const deeper = closed
      ? undefined
      : DEEPER.find(
          (id) => book.compounds[id].maxMm >= part.layerMm && !['no', 'poor'].includes(fitFor(id, cell.coat)),
        );
    return [
      {
        code: 'A-THICK',
        severity: 'warn' as const,
        place: { room: room.id, area: area.id, row: row.id, element: row.element, coat: cell.coat },
        reason: `The layer is ${printSmall(part.layerMm, job.units)} at its thickest; ${name} takes ${printSmall(maxMm, job.units)} in one coat.`,
        cures: deeper
          ? [
              {
                text: `Use ${book.compounds[deeper].name} for this coat`,
                changes: cellChange(room, row, cell.coat, 'compound', deeper),
              },
            ]
          : [{ text: 'Build it up in more coats, each hard before the next' }],
      },
    ];
  });
