import type { Opening, OpeningSide, Point } from '../job';
import { say } from '../texts';
import { boundsOf, ringOf, shapeOf } from './geometry';
import { faced, inSpace, minus, type Frame, type BareFace, type Vec } from './space';

/** The narrow faces a boarded opening is turned into; an L-trim's are there but not boarded. */
export function revealsOf(o: Opening, wall: BareFace, depthMm: number): BareFace[] {
  if (o.returns === 'cased') return [];
  const [u0, v0, u1, v1] = [o.leftMm, o.bottomMm, o.leftMm + o.widthMm, o.bottomMm + o.heightMm];
  const { right, up, inward } = wall.frame;
  const outward = minus(inward);
  const arch = archOf(o);
  const springing = arch ? v1 - (o.archMm ?? 0) : v1;
  const at = (p: Point): Vec => inSpace(wall.frame, p);
  const opening = o.kind === 'opening' ? say('reveal.doorway') : say(`opening.${o.kind}`);
  const made = (
    side: OpeningSide,
    width: number,
    height: number,
    frame: Frame,
    told: OpeningSide | 'arched' = side,
  ): BareFace =>
    faced(
      { is: 'reveal', opening: o.id, side },
      {
        name: say(`reveal.${told}`, { opening }),
        ...shapeOf([ringOf([0, 0, width, height])]),
        frame,
        boarded: o.returns === 'boarded',
        openings: [],
      },
    );
  const faces: BareFace[] = [];
  const [w0, , w1, top] = boundsOf(wall);
  const jamb = springing - v0;
  // Where the opening reaches a corner, the floor or the ceiling, the face there runs on into it.
  if (u0 > w0 + 1 && jamb > 1)
    faces.push(made('left', depthMm, jamb, { origin: at([u0, v0]), right: outward, up, inward: right }));
  if (u1 < w1 - 1 && jamb > 1)
    faces.push(
      made('right', depthMm, jamb, {
        origin: at([u1, v0]),
        right: outward,
        up,
        inward: minus(right),
      }),
    );
  if (arch)
    faces.push({
      ...made(
        'head',
        arch.lengthMm,
        depthMm,
        { origin: at([u0, v1]), right, up: outward, inward: minus(up) },
        'arched',
      ),
      bent: true,
    });
  else if (v1 < top - 1)
    faces.push(
      made('head', u1 - u0, depthMm, { origin: at([u0, v1]), right, up: outward, inward: minus(up) }),
    );
  if (v0 > 1 && o.sill !== 'other')
    faces.push(made('sill', u1 - u0, depthMm, { origin: at([u0, v0]), right, up: outward, inward: up }));
  return faces;
}

/** Chords an arched head is drawn with: an approximation, within 1 % of a half circle's length. */
const ARCH_CHORDS = 12;

/** The edge of an opening on its wall, mm; an arched head as chords of its arc. */
export function openingRing(o: Opening): Point[] {
  const [u0, v0, u1, v1] = [o.leftMm, o.bottomMm, o.leftMm + o.widthMm, o.bottomMm + o.heightMm];
  const arch = archOf(o);
  if (!arch) return ringOf([u0, v0, u1, v1]);
  return [[u0, v0], [u1, v0], ...arch.points];
}

/** The arc of an arched head from right to left, and its true length, mm; none where the head is level. */
export function archOf(o: Opening): { points: Point[]; lengthMm: number } | undefined {
  const rise = Math.min(o.archMm ?? 0, o.widthMm / 2, o.heightMm);
  if (rise < 1) return undefined;
  const half = o.widthMm / 2;
  const radius = (half * half + rise * rise) / (2 * rise);
  const sweep = 2 * Math.asin(Math.min(1, half / radius));
  const centre: Point = [o.leftMm + half, o.bottomMm + o.heightMm - radius];
  const points = Array.from({ length: ARCH_CHORDS + 1 }, (_, k): Point => {
    const angle = sweep * (0.5 - k / ARCH_CHORDS);
    return [centre[0] + radius * Math.sin(angle), centre[1] + radius * Math.cos(angle)];
  });
  return { points, lengthMm: radius * sweep };
}
