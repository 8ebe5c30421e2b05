import type { RoomRule } from './types';

/** A-FIRE: a rated assembly is built as listed, and looked at before it is covered. */
export const aFire: RoomRule = ({ room, survey }) => {
  const faces = survey.faces.filter((face) => room.faces?.[face.id]?.rated).map((face) => face.name);
  if (!room.rated && faces.length === 0) return [];
  const what = room.rated ? 'A rated assembly' : `Rated: ${faces.join(', ')}`;
  return [
    {
      code: 'A-FIRE',
      severity: 'note',
      place: { room: room.id },
      reason: `${what}. Tape, compound and coats as its listing says, and the inspector sees each stage before it is covered.`,
      cures: [{ text: 'Have the listing on site' }],
    },
  ];
};
