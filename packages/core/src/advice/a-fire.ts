import { say } from '../texts';
import type { Advice, RoomRule } from './types';

/**
 * A-FIRE, A-GARAGE, A-HIDDEN: what keeps fire and smoke is built as it is listed or as the code names it, and looked at
 * before it is covered. A room has the nearest of the three, for each says what those after it would.
 */
export const aFire: RoomRule = ({ area, room, survey, rows }) => {
  const faces = survey.faces.filter((face) => room.faces?.[face.id]?.rated).map((face) => face.name);
  const note = (code: string, told: Pick<Advice, 'place' | 'reason' | 'cures'>): Advice[] => [
    { code, severity: 'note', ...told },
  ];
  if (room.rated || faces.length > 0)
    return note('A-FIRE', {
      place: { room: room.id },
      reason: room.rated ? say('a-fire') : say('a-fire.faces', { faces }),
      cures: [{ text: say('a-fire.listing') }],
    });
  if (room.garage)
    return note('A-GARAGE', {
      place: { room: room.id },
      reason: say('a-garage'),
      cures: [{ text: say('a-garage.ask') }],
    });
  if (room.decoration === 'none' && rows.some((row) => row.cells.length > 0))
    return note('A-HIDDEN', {
      place: { room: room.id, area: area.id },
      reason: say('a-hidden'),
      cures: [{ text: say('a-hidden.look') }],
    });
  return [];
};
