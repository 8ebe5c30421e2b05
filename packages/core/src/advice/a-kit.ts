import { cellsIn } from '../coat';
import { lackingFor } from '../goods';
import { bladeReaching, kitOf } from '../way';
import { say } from '../texts';
import { cellChange } from './cell-cure';
import { inJob } from './change';
import type { Advice, RoomRule } from './types';

/** A-KIT: a coat planned with a blade that is not among the tools. */
export const aKit: RoomRule = ({ job, area, room, rows, kit }) =>
  cellsIn(rows).flatMap(({ row, cell }): Advice[] => {
    const lacking = lackingFor(row, cell, job.way.tools, kit);
    if (!lacking) return [];
    const { tool: buy, kinds } = lacking;
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
                    inJob(['shop', 'kit'], [...kitOf(job.shop, job.way.tools), buy.id]),
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
