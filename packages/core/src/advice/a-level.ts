import { gradeName, judgeFinish } from '../finish';
import type { RoomRule } from './types';

/** A-LEVEL: decoration or light asks for more than the grade gives. */
export const aLevel: RoomRule = ({ room }) => {
  const verdict = judgeFinish(room.finish, room.decoration, room.light);
  if (verdict.holds) return [];
  return [
    {
      code: 'A-LEVEL',
      severity: 'warn',
      place: { room: room.id },
      reason: verdict.sentence,
      cures: [
        {
          text: `Raise to ${gradeName(verdict.smallest)}`,
          changes: [{ room: room.id, path: ['finish'], value: verdict.smallest }],
        },
      ],
    },
  ];
};
