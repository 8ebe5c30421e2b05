import { say } from '../texts';
import type { RoomRule } from './types';

/** A-FIRE: a rated assembly is built as listed, and looked at before it is covered. */
export const aFire: RoomRule = ({ room, survey }) => {
  const faces = survey.faces.filter((face) => room.faces?.[face.id]?.rated).map((face) => face.name);
  if (!room.rated && faces.length === 0) return [];
  return [
    {
      code: 'A-FIRE',
      severity: 'note',
      place: { room: room.id },
      reason: room.rated ? say('a-fire') : say('a-fire.faces', { faces }),
      cures: [{ text: say('a-fire.listing') }],
    },
  ];
};
