import { gradeName } from '../finish';
import type { Finish } from '../job';
import { say } from '../texts';
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
      reason: say('a-bare'),
      cures: [
        {
          text: say('cure.raise', { grade: gradeName(least) }),
          changes: lookChange(area, survey, 'finish', least),
        },
      ],
    },
  ];
};
