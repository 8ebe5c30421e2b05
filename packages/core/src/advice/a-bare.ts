import type { Finish } from '../job';
import { lookChange } from './look-cure';
import type { RoomRule } from './types';

/** A-BARE: level 0 is no finish for a place people use. */
export const aBare: RoomRule = ({ area, room, survey }) => {
  if (room.finish.scale !== 'level' || room.finish.grade !== 0) return [];
  const least: Finish = { scale: 'level', grade: 1 };
  return [
    {
      code: 'A-BARE',
      severity: 'note',
      place: { room: room.id, area: area.id },
      reason:
        'Level 0 leaves bare board. As a finish for occupied space most codes refuse it; it is for temporary work, or until the decoration is settled.',
      cures: [{ text: 'Raise to level 1', changes: lookChange(area, survey, 'finish', least) }],
    },
  ];
};
