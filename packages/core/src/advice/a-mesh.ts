import { cellsIn } from '../coat';
import { sets } from '../compound';
import { say } from '../texts';
import { compoundChange } from './cell-cure';
import { inJob } from './change';
import type { RoomRule } from './types';

/** A-MESH: mesh lies in no bed that would hold it, unless the compound sets. */
export const aMesh: RoomRule = ({ job, room, area, rows }) => {
  if (job.way.tape !== 'mesh') return [];
  const soft = cellsIn(rows).filter(({ cell }) => cell.tape && !sets(cell.compound));
  if (soft.length === 0) return [];
  const machine = job.way.tools === 'machine';
  return [
    {
      code: 'A-MESH',
      severity: 'stop',
      place: { room: room.id, area: area.id, coat: 'tape' },
      reason: say('a-mesh'),
      cures: [
        { text: say('a-mesh.paper'), changes: [inJob(['way', 'tape'], 'paper')] },
        {
          text: say('a-mesh.setting'),
          changes: [
            ...soft.flatMap(({ row, cell }) => compoundChange(room, row, cell, 'setting-light')),
            ...(machine ? [inJob(['way', 'tools'], 'knives')] : []),
          ],
        },
      ],
    },
  ];
};
