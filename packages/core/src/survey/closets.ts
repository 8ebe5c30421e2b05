import { closetOpening, faceId, type Closet } from '../job';
import { say } from '../texts';
import { solidOf, type Shaped } from './solid';
import type { BareFace } from './space';

/** A closet is a room of its own; its opening's returns are those of the wall it opens, seen from behind. */
export function closetSurfaces(closet: Closet, index: number, depthMm: number) {
  const inner = {
    plan: { lengthMm: closet.widthMm, widthMm: closet.depthMm, heightMm: closet.heightMm },
    openings: [
      {
        ...closetOpening(closet),
        wall: 0,
        leftMm: closet.widthMm - closet.doorLeftMm - closet.doorWidthMm,
      },
    ],
  } satisfies Shaped;
  const meeting = solidOf(inner, depthMm).map((s): BareFace => {
    const part = { ...s.part, closet: closet.id };
    return {
      ...s,
      part,
      id: faceId(part),
      name: say('face.closet', { n: index + 1, face: s.name }),
      ...(part.is === 'wall'
        ? { short: say('face.closet-short', { n: index + 1, wall: part.wall + 1 }) }
        : {}),
    };
  });
  return { meeting, surfaces: meeting.filter((s) => s.kind !== 'reveal') };
}
