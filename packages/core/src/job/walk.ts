import { outlineOf, wallLengths } from './outline';
import type { Point, Room } from './types';

/** One wall as one walks along it with the room on one's right, and the turn to the next. */
export interface WalkedWall {
  lengthMm: number;
  /** To the right, into the room, degrees; a square inside corner is 90, a square outside one −90. */
  turnDeg: number;
}

/** The walls of a room as they are walked, from wall 0. */
export function walkOf(room: Pick<Room, 'plan'>): WalkedWall[] {
  const ring = outlineOf(room.plan);
  return wallLengths(room).map((lengthMm, i) => {
    const [a, b, c] = [0, 1, 2].map((k) => ring[(i + k) % ring.length] as Point) as [Point, Point, Point];
    const [ax, ay, bx, by] = [b[0] - a[0], b[1] - a[1], c[0] - b[0], c[1] - b[1]];
    const turn = (Math.atan2(ax * by - ay * bx, ax * bx + ay * by) * 180) / Math.PI;
    return { lengthMm, turnDeg: Math.round(turn * 100) / 100 };
  });
}

/**
 * The corners of a room walked wall by wall. The last wall only closes the room: its length and turn follow
 * from the others.
 */
export function outlineFromWalk(walls: readonly WalkedWall[]): Point[] {
  let [x, y, heading] = [0, 0, 0];
  return walls.map(({ lengthMm, turnDeg }): Point => {
    const corner: Point = [Math.round(x * 10) / 10, Math.round(y * 10) / 10];
    x += lengthMm * Math.cos(heading);
    y += lengthMm * Math.sin(heading);
    heading += (turnDeg * Math.PI) / 180;
    return corner;
  });
}
