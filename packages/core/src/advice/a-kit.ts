import { cellsIn } from '../coat';
import { bladesFor, bladeReaching, kitOf, TOOL, toolReaching } from '../way';
import { say } from '../texts';
import { cellChange } from './cell-cure';
import type { Advice, RoomRule } from './types';

/** A-KIT: a coat planned with a blade that is not among the tools. */
export const aKit: RoomRule = ({ job, area, room, rows, kit }) =>
  cellsIn(rows).flatMap(({ row, cell }): Advice[] => {
    // A float is struck off with a straightedge that no finisher lacks.
    if (cell.float) return [];
    const kinds = bladesFor(job.way.tools, row.element, cell.coat);
    if (
      kit.some((id) => kinds.includes(TOOL[id].kind) && Math.abs((TOOL[id].widthMm ?? 0) - cell.bladeMm) < 1)
    )
      return [];
    const buy = toolReaching(kinds, cell.bladeMm);
    const other = bladeReaching(kit, kinds, cell.bladeMm);
    const blade = cell.bladeMm;
    return [
      {
        code: 'A-KIT',
        severity: 'note',
        place: { room: room.id, area: area.id, row: row.id, element: row.element, coat: cell.coat },
        reason: other?.widthMm
          ? say('a-kit.same', { blade, other: other.widthMm, tool: say(`tool.${other.kind}`) })
          : say('a-kit', { blade }),
        cures: [
          ...(cell.own.bladeMm
            ? [
                {
                  text: say('a-kit.owned'),
                  changes: cellChange(room, row, cell.coat, 'bladeMm', undefined),
                },
              ]
            : []),
          ...(buy
            ? [
                {
                  text: say('a-kit.buy', { wide: buy.widthMm ?? 0, tool: say(`tool.${buy.kind}`) }),
                  changes: [
                    { path: ['shop', 'kit'], value: [...kitOf(job.shop, job.way.tools), buy.id] },
                    ...(cell.own.bladeMm && buy.widthMm !== cell.bladeMm
                      ? cellChange(room, row, cell.coat, 'bladeMm', buy.widthMm)
                      : []),
                  ],
                },
              ]
            : [{ text: say('a-kit.none') }]),
        ],
      },
    ];
  });
