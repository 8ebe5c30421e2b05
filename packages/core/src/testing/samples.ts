import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import * as fc from 'fast-check';
import { newJob, newRoom, PRESETS, readJob, type Job, type Opening, type Room } from '../index';

/** The pencil-checked room: 4800 × 3600 × 2400 mm, boards 1200 wide, ceiling framing along the length. */
export function plainRoom(over: Partial<Room> = {}): Room {
  const room = newRoom('plain', 'Plain room', 'metric', { lengthMm: 4800, widthMm: 3600, heightMm: 2400 });
  return { ...room, finish: { scale: 'level', grade: 4 }, ...over };
}

export function jobOf(rooms: Room[], over: Partial<Job> = {}): Job {
  const way = { ...(PRESETS[0] as (typeof PRESETS)[number]).way };
  return { ...newJob('job', 'Job', 'metric', '2026-11-30', way), rooms, ...over };
}

export function demoText(name: 'tarn-ferry' | 'pier-house'): string {
  return readFileSync(join(__dirname, `../../../../apps/web/public/demo/${name}.lisse.json`), 'utf8');
}

export function demoJob(name: 'tarn-ferry' | 'pier-house'): Job {
  const read = readJob(demoText(name));
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.job;
}

/** Rectangular and L-shaped rooms of any sensible size, with up to two openings on different walls. */
export const anyRoom: fc.Arbitrary<Room> = fc
  .record({
    l: fc.integer({ min: 1200, max: 14000 }),
    w: fc.integer({ min: 1200, max: 14000 }),
    h: fc.integer({ min: 2000, max: 6000 }),
    notch: fc.option(fc.tuple(fc.integer({ min: 20, max: 80 }), fc.integer({ min: 20, max: 80 }))),
    board: fc.constantFrom(900, 1200, 1219.2, 1371.6),
    walls: fc.constantFrom('across' as const, 'upright' as const),
    along: fc.constantFrom('length' as const, 'width' as const),
    spacing: fc.constantFrom(400, 406.4, 600),
    openings: fc.array(
      fc.tuple(
        fc.integer({ min: 0, max: 100 }),
        fc.integer({ min: 0, max: 100 }),
        fc.integer({ min: 0, max: 100 }),
      ),
      { maxLength: 2 },
    ),
  })
  .map(({ l, w, h, notch, board, walls, along, spacing, openings }) => {
    const room = plainRoom();
    const outline: [number, number][] | undefined = notch
      ? [
          [0, 0],
          [l, 0],
          [l, (w * notch[1]) / 100],
          [(l * notch[0]) / 100, (w * notch[1]) / 100],
          [(l * notch[0]) / 100, w],
          [0, w],
        ]
      : undefined;
    room.plan = outline ? { outline, heightMm: h } : { lengthMm: l, widthMm: w, heightMm: h };
    room.board = { ...room.board, widthMm: board, walls };
    room.framing = { wallMm: spacing, ceilingMm: spacing, ceilingAlong: along };
    room.openings = openings.map(([left, size, high], wall): Opening => {
      const length = wall === 0 ? l : outline ? (outline[2] as [number, number])[1] : w;
      const widthMm = Math.max(50, (length * size) / 250);
      const heightMm = Math.max(50, (h * high) / 130);
      const leftMm = ((length - widthMm) * left) / 100;
      const bottomMm = high % 3 === 0 ? 0 : ((h - heightMm) * size) / 100;
      return {
        id: `o${wall}`,
        wall,
        kind: 'window',
        leftMm,
        bottomMm,
        widthMm,
        heightMm,
        returns: size % 2 ? 'boarded' : 'cased',
      };
    });
    return room;
  });
