import { cellsIn } from '../coat';
import { sets } from '../compound';
import { say } from '../texts';
import { compoundChange, withoutMesh } from './cell-cure';
import type { RoomRule } from './types';

/** A-PAINTED: a painted or sealed face takes no water out of setting compound. */
export const aPainted: RoomRule = ({ job, area, room, survey, rows }) => {
  const painted = survey.faces.filter(
    (face) => face.boarded && (room.faces?.[face.id]?.substrate ?? room.substrate) === 'painted',
  );
  const setting = cellsIn(rows).filter(({ cell }) => cell.coat !== 'prefill' && sets(cell.compound));
  if (painted.length === 0 || setting.length === 0) return [];
  const paper = withoutMesh(
    job.way,
    setting.map(({ cell }) => cell),
  );
  const faces =
    painted.length > 2 ? say('a-painted.many', { count: painted.length }) : painted.map((f) => f.name);
  return [
    {
      code: 'A-PAINTED',
      severity: 'warn',
      place: { room: room.id, area: area.id, ...(setting[0] ? { coat: setting[0].cell.coat } : {}) },
      reason: say('a-painted', { faces }),
      cures: [
        {
          text: say(paper.length > 0 ? 'a-painted.dry-paper' : 'a-painted.dry'),
          changes: [
            ...setting.flatMap(({ row, cell }) => compoundChange(room, row, cell, 'drying-all-purpose')),
            ...paper,
          ],
        },
        { text: say('a-painted.scuff') },
      ],
    },
  ];
};
