import type { Room } from '../job';
import type { RoomRule } from './types';

/** What of a room is old and is scraped, cut or sanded in this work. */
function disturbed({ oldWork, damage, seams, substrate, faces }: Room): string[] {
  const spots = damage ?? [];
  const plaster =
    substrate === 'plaster' || Object.values(faces ?? {}).some((f) => f.substrate === 'plaster');
  const told: [boolean, string][] = [
    [spots.some(({ kind }) => kind === 'texture'), 'old texture is scraped'],
    [(seams ?? []).length > 0, 'new board is tied into old work, whose paint is sanded'],
    [plaster, 'old plaster is coated'],
  ];
  const found = told.filter(([so]) => so).map(([, words]) => words);
  return found.length === 0 && oldWork ? ['old work is disturbed'] : found;
}

/** A-OLD: old texture, compound, plaster and paint may hold asbestos or lead, whether anybody has said so or not. */
export const aOld: RoomRule = ({ room }) => {
  const what = room.oldClear ? [] : disturbed(room);
  if (what.length === 0) return [];
  const here = what.join(', ').replace(/^./, (c) => c.toUpperCase());
  return [
    {
      code: 'A-OLD',
      severity: 'stop',
      place: { room: room.id },
      reason: `${here} here. Texture, compound and plaster from before 1990 may hold asbestos, old paint lead. Do not scrape, cut or sand it until licensed people have tested it.`,
      cures: [
        { text: 'Tested and found clear', changes: [{ room: room.id, path: ['oldClear'], value: true }] },
      ],
    },
  ];
};
