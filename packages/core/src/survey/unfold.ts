import { outlineOf, type Point, type Room } from '../job';
import { bounds } from './geometry';

/** Where a face lies on the unfolded drawing: place = origin + u·right + v·up, y upwards, mm. */
export interface Placing {
  face: string;
  origin: Point;
  right: Point;
  up: Point;
}

export interface Unfolded {
  /** `cross`: walls folded out around the ceiling. `strip`: the walls in a row under it. */
  kind: 'cross' | 'strip';
  placings: Placing[];
}

/** Space between the ceiling and the strip of walls, and between walls, mm. */
const STRIP_GAP = 600;

/**
 * Opens the room like a box, seen from inside and looking up: the ceiling in the middle, each wall hinged
 * on its ceiling edge, wall 0 at the foot and reading upright. Rooms with more corners than four would fold
 * over themselves, so their walls stand in a row under the ceiling. Lengths are kept either way.
 */
export function unfold(room: Pick<Room, 'plan'>): Unfolded {
  const ring = outlineOf(room.plan);
  const height = room.plan.heightMm;
  const ceiling: Placing = { face: 'ceiling', origin: [0, 0], right: [1, 0], up: [0, 1] };
  const lengths = ring.map((p, i) => {
    const q = ring[(i + 1) % ring.length] as Point;
    return Math.hypot(q[0] - p[0], q[1] - p[1]);
  });
  if (isRectangle(ring)) {
    const walls = ring.map((from, i): Placing => {
      const to = ring[(i + 1) % ring.length] as Point;
      const length = lengths[i] as number;
      const right: Point = [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
      const up: Point = [-right[1], right[0]];
      return { face: `wall-${i}`, origin: [from[0] - up[0] * height, from[1] - up[1] * height], right, up };
    });
    return { kind: 'cross', placings: [ceiling, ...walls] };
  }
  const [left, low] = bounds(ring);
  let at = left;
  const walls = lengths.map((length, i): Placing => {
    const origin: Point = [at, low - STRIP_GAP - height];
    at += length + STRIP_GAP / 2;
    return { face: `wall-${i}`, origin, right: [1, 0], up: [0, 1] };
  });
  return { kind: 'strip', placings: [ceiling, ...walls] };
}

function isRectangle(ring: readonly Point[]): boolean {
  if (ring.length !== 4) return false;
  return ring.every((p, i) => {
    const q = ring[(i + 1) % 4] as Point;
    const r = ring[(i + 2) % 4] as Point;
    const [ax, ay, bx, by] = [q[0] - p[0], q[1] - p[1], r[0] - q[0], r[1] - q[1]];
    return Math.abs(ax * bx + ay * by) < 0.01 * Math.hypot(ax, ay) * Math.hypot(bx, by);
  });
}
