import { DECORATION_FACTS, gradeName, needsOf, primerOf } from '../finish';
import type { Finish } from '../job';
import { say } from '../texts';
import { lookChange } from './look-cure';
import type { RoomRule } from './types';

/** A-FLASH: paper and compound drink paint unequally, and a sheen shows it; width does not help. */
export const aFlash: RoomRule = ({ area, room, survey }) => {
  const { sheen, name: paint } = DECORATION_FACTS[room.decoration];
  if (!sheen || sheen === 'flat') return [];
  if (needsOf(room.finish).surface === 'skim' || primerOf(room) === 'high-build') return [];
  const skim: Finish =
    room.finish.scale === 'level' ? { scale: 'level', grade: 5 } : { scale: 'q', grade: 4 };
  const high = sheen === 'gloss' || sheen === 'semi-gloss';
  return [
    {
      code: 'A-FLASH',
      severity: high ? 'warn' : 'note',
      place: { room: room.id, area: area.id },
      reason: say('a-flash', { paint }),
      cures: [
        { text: say('a-flash.prime'), changes: lookChange(area, survey, 'primer', 'high-build') },
        {
          text: say('cure.raise', { grade: gradeName(skim) }),
          changes: lookChange(area, survey, 'finish', skim),
        },
      ],
    },
  ];
};
