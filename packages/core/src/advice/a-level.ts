import { gradeName, judgeFinish } from '../finish';
import { lookChange } from './look-cure';
import type { RoomRule } from './types';

/** A-LEVEL: decoration or light asks for more than the grade gives. */
export const aLevel: RoomRule = ({ area, room, survey }) => {
  const verdict = judgeFinish(room.finish, room.decoration, room.light);
  if (verdict.holds) return [];
  return [
    {
      code: 'A-LEVEL',
      severity: 'warn',
      place: { room: room.id, area: area.id },
      reason: verdict.sentence,
      cures: [
        {
          text: `Raise to ${gradeName(verdict.smallest)}`,
          changes: lookChange(area, survey, 'finish', verdict.smallest),
        },
      ],
    },
  ];
};
