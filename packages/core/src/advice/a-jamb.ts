import { wallId } from '../job';
import { say } from '../texts';
import type { RoomRule } from './types';

/** A-JAMB: a butt in line with the side of an opening cracks first. */
export const aJamb: RoomRule = ({ room, survey, book }) => {
  const found = survey.joints.filter((joint) => {
    if (joint.kind !== 'butt' || joint.line[0] !== joint.line[2]) return false;
    const [u, low, , high] = joint.line;
    return room.openings.some(
      (o) =>
        joint.face === wallId(o.wall) &&
        [o.leftMm, o.leftMm + o.widthMm].some((jamb) => Math.abs(jamb - u) < book.inLineMm.value) &&
        low < o.bottomMm + o.heightMm + 1 &&
        high > o.bottomMm - 1,
    );
  });
  if (found.length === 0) return [];
  const faces = survey.faces.filter(({ id }) => found.some((j) => j.face === id)).map(({ name }) => name);
  return [
    {
      code: 'A-JAMB',
      severity: 'warn',
      place: { room: room.id, element: 'butts' },
      reason: say('a-jamb', { faces }),
      cures: [{ text: say('a-jamb.drag') }],
    },
  ];
};
