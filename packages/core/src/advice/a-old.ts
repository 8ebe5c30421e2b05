import type { Room } from '../job';
import { REPAIR } from '../repair';
import { say, type Message } from '../texts';
import { inRoom } from './change';
import type { RoomRule } from './types';

/** What of a room is old and is scraped, cut or sanded in this work. */
function disturbed({ oldWork, damage, seams, substrate, faces, standing }: Room): Message[] {
  const spots = damage ?? [];
  const plaster =
    substrate === 'plaster' || Object.values(faces ?? {}).some((f) => f.substrate === 'plaster');
  const cut = standing === true && spots.some(({ kind }) => kind !== 'texture' && REPAIR[kind].disturbs);
  const told: [boolean, Message][] = [
    [spots.some(({ kind }) => kind === 'texture'), say('a-old.texture')],
    [cut, say('a-old.mends')],
    [(seams ?? []).length > 0, say('a-old.seam')],
    [plaster, say('a-old.plaster')],
  ];
  const found = told.filter(([so]) => so).map(([, words]) => words);
  return found.length === 0 && oldWork ? [say('a-old.work')] : found;
}

/** A-OLD: old texture, compound, plaster and paint may hold asbestos or lead, whether anybody has said so or not. */
export const aOld: RoomRule = ({ room }) => {
  const what = room.oldClear ? [] : disturbed(room);
  if (what.length === 0) return [];
  return [
    {
      code: 'A-OLD',
      severity: 'stop',
      place: { room: room.id },
      reason: say('a-old', { what }),
      cures: [{ text: say('a-old.clear'), changes: [inRoom(room.id, ['oldClear'], true)] }],
    },
  ];
};
