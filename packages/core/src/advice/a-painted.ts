import { sets } from '../compound';
import { cellsIn, compoundChange, withoutMesh } from './cell-cure';
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
  const where =
    painted.length > 2 ? `${painted.length} painted faces` : painted.map((f) => f.name).join(' and ');
  return [
    {
      code: 'A-PAINTED',
      severity: 'warn',
      place: { room: room.id, area: area.id, ...(setting[0] ? { coat: setting[0].cell.coat } : {}) },
      reason: `Setting compound over paint (${where}) sets slowly and can let go: there is no suction. Scuff and prime first, or use drying compound.`,
      cures: [
        {
          text: `Use drying compound here${paper.length > 0 ? ', and tape with paper' : ''}`,
          changes: [
            ...setting.flatMap(({ row, cell }) => compoundChange(room, row, cell, 'drying-all-purpose')),
            ...paper,
          ],
        },
        { text: 'Scuff the paint, or prime it, and let a spot prove itself' },
      ],
    },
  ];
};
