import { closetOpening, type Closet } from '../job';
import { say } from '../texts';
import { solidOf, type Shaped } from './solid';
import type { BareFace } from './space';

/** A closet is a room of its own; its opening's returns are those of the wall it opens, seen from behind. */
export function closetSurfaces(closet: Closet, index: number, depthMm: number) {
  const prefix = `closet-${closet.id}`;
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
  const meeting = solidOf(inner, depthMm).map((s): BareFace => ({
    ...s,
    id: `${prefix}.${s.id}`,
    name: say('face.closet', { n: index + 1, face: s.name }),
    ...(s.kind === 'wall'
      ? { short: say('face.closet-short', { n: index + 1, wall: Number(s.id.slice(5)) + 1 }) }
      : {}),
  }));
  const isReturn = (id: string) => id.startsWith(`${prefix}.reveal-`);
  return {
    prefix,
    meeting,
    surfaces: meeting.filter((s) => !isReturn(s.id)),
    /** Angles between the returns themselves belong to the room's side. */
    drops: (draft: { face: string }): boolean => isReturn(draft.face),
  };
}
