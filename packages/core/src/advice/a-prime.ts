import { DECORATION_FACTS, primerOf, usualPrimer } from '../finish';
import { say } from '../texts';
import { lookChange } from './look-cure';
import type { RoomRule } from './types';

/** A-PRIME: primer before paint; sealer before wallcovering, so that it can come off again. */
export const aPrime: RoomRule = ({ area, room, survey }) => {
  const { kind, name } = DECORATION_FACTS[room.decoration];
  const primer = primerOf(room);
  const usual = usualPrimer(room.decoration);
  const holds = kind === 'covering' ? primer === 'sealer' : usual === 'none' || primer !== 'none';
  if (holds) return [];
  return [
    {
      code: 'A-PRIME',
      severity: 'note',
      place: { room: room.id, area: area.id },
      reason: say(kind === 'covering' ? 'a-prime.covering' : 'a-prime.paint', {
        primer: say(`primer.${primer}`),
        decoration: name,
      }),
      cures: [
        {
          text: say('a-prime.use', { primer: say(`primer.${usual}`) }),
          changes: lookChange(area, survey, 'primer', undefined),
        },
      ],
    },
  ];
};
