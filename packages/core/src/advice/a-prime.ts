import { DECORATION_FACTS, primerOf, PRIMER_NAME, usualPrimer } from '../finish';
import { lookChange } from './look-cure';
import type { RoomRule } from './types';

/** A-PRIME: primer before paint; sealer before wallcovering, so that it can come off again. */
export const aPrime: RoomRule = ({ area, room, survey }) => {
  const { kind, name } = DECORATION_FACTS[room.decoration];
  const primer = primerOf(room);
  const usual = usualPrimer(room.decoration);
  const holds = kind === 'covering' ? primer === 'sealer' : usual === 'none' || primer !== 'none';
  if (holds) return [];
  const why =
    kind === 'covering'
      ? 'without a sealer it takes the paper of the board with it when it comes off'
      : 'bare compound drinks the paint and chalks under it';
  return [
    {
      code: 'A-PRIME',
      severity: 'note',
      place: { room: room.id, area: area.id },
      reason: `${PRIMER_NAME[primer]} under ${name}: ${why}.`.replace(/^./, (c) => c.toUpperCase()),
      cures: [
        { text: `Use a ${PRIMER_NAME[usual]}`, changes: lookChange(area, survey, 'primer', undefined) },
      ],
    },
  ];
};
