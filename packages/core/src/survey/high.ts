import type { Book } from '../book';
import { ceilingAlong, ceilingPlanes, heights, outlineOf, signedArea2, type Point, type Room } from '../job';

/** How much of a room is out of reach from a bench or stilts, and how high it goes. */
export interface HighWork {
  topMm: number;
  /** Faces that are boarded, and what of them lies higher than one reaches; of that what lies very high, m². */
  areaM2: number;
  highM2: number;
  veryHighM2: number;
}

type Shaped = Pick<Room, 'plan' | 'ceiling' | 'faces'>;

/** Walls and ceiling of a room by how high they lie; openings, boxes and closets are left out of it. */
export function highWorkIn(room: Shaped, book: Pick<Book, 'highMm' | 'veryHighMm'>): HighWork {
  const boarded = (face: string): boolean => room.faces?.[face]?.unboarded !== true;
  const planes = ceilingPlanes(room);
  const ring = outlineOf(room.plan);
  const [low, top] = heights(room);
  const above = (mm: number): number => {
    const walls = ring.map((from, wall) =>
      boarded(`wall-${wall}`)
        ? wallAbove(ceilingAlong(planes, from, ring[(wall + 1) % ring.length] as Point), mm)
        : 0,
    );
    // A sloped ceiling lies above a height by as much of its run.
    const share = low >= mm ? 1 : top <= mm ? 0 : (top - mm) / (top - low);
    const ceiling = boarded('ceiling') ? (share * Math.abs(signedArea2(ring))) / 2 : 0;
    return walls.reduce((sum, mm2) => sum + mm2, ceiling) / 1e6;
  };
  return {
    topMm: top,
    areaM2: above(0),
    highM2: above(book.highMm.value),
    veryHighM2: above(book.veryHighMm.value),
  };
}

/** What of a wall lies above a height, mm²: its top is given as heights along it. */
function wallAbove(top: readonly Point[], mm: number): number {
  return top.slice(1).reduce((sum, [s1, h1], i) => {
    const [s0, h0] = top[i] as Point;
    const [a, b] = [Math.max(0, h0 - mm), Math.max(0, h1 - mm)];
    const run = s1 - s0;
    // Where the top goes under the height, only a part of the run counts.
    const reach = (h0 - mm) * (h1 - mm) < 0 ? Math.max(a, b) / Math.abs(h1 - h0) : 1;
    return sum + (run * reach * (a + b)) / 2;
  }, 0);
}

/**
 * How much longer work takes in a room that is high: what is out of reach goes slower, and the platform is moved along.
 * @param minutes work of one person as if all were in reach
 * @returns min more
 */
export function highMinutes(
  high: HighWork,
  minutes: number,
  book: Book,
): { slowerMin: number; movesMin: number } {
  const { areaM2, highM2, veryHighM2 } = high;
  if (highM2 <= 0 || areaM2 <= 0) return { slowerMin: 0, movesMin: 0 };
  const share = highM2 / areaM2;
  const slower =
    (share - veryHighM2 / areaM2) * (book.highWork.value - 1) +
    (veryHighM2 / areaM2) * (book.veryHighWork.value - 1);
  // Nobody moves it for less than a few minutes of work.
  const moves = Math.min(highM2 / book.platformM2.value, (minutes * share) / book.platformMoveMin.value);
  return { slowerMin: minutes * slower, movesMin: moves * book.platformMoveMin.value };
}
