import { cellsIn } from '../coat';
import { COATS, ELEMENT } from '../job';
import { say } from '../texts';
import { compoundChange, withoutMesh } from './cell-cure';
import { inJob } from './change';
import type { RoomRule } from './types';

/** A-TOOL: compound that sets inside a closed tool ruins it. */
export const aTool: RoomRule = ({ job, room, area, rows, book }) => {
  if (job.way.tools !== 'machine') return [];
  const setting = cellsIn(rows).filter(
    ({ cell }) =>
      ELEMENT[cell.element].closed &&
      !cell.float &&
      ['tape', 'fill', 'finish'].includes(cell.coat) &&
      book.compounds[cell.compound].hardens !== 'drying',
  );
  const first = COATS.find((coat) => setting.some(({ cell }) => cell.coat === coat));
  if (!first) return [];
  const paper = withoutMesh(
    job.way,
    setting.map(({ cell }) => cell),
  );
  return [
    {
      code: 'A-TOOL',
      severity: 'stop',
      place: { room: room.id, area: area.id, coat: first },
      reason: say('a-tool'),
      cures: [
        {
          text: say(paper.length > 0 ? 'a-tool.dry-paper' : 'a-tool.dry'),
          changes: [
            ...setting.flatMap(({ row, cell }) =>
              compoundChange(room, row, cell, cell.coat === 'finish' ? 'drying-light' : 'drying-all-purpose'),
            ),
            ...paper,
          ],
        },
        { text: say('a-tool.knives'), changes: [inJob(['way', 'tools'], 'knives')] },
      ],
    },
  ];
};
