import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import * as fc from 'fast-check';
import { TYPICAL } from '../book';
import { cellsFor, type BoardInput, type Cell } from '../coat';
import type { Needs } from '../finish';
import {
  EN,
  FEET,
  METRIC,
  newJob,
  newRoom,
  PRESETS,
  readJob,
  speech,
  type Job,
  type Opening,
  type Room,
  type Say,
  type Way,
} from '../index';

/** As the interface says it, in metres or in feet. */
export const said: Say = speech(EN, METRIC);
export const saidInFeet: Say = speech(EN, FEET);

/** The pencil-checked room: 4800 × 3600 × 2400 mm, boards 1200 wide, ceiling framing along the length. */
export function plainRoom(over: Partial<Room> = {}): Room {
  const room = newRoom('plain', 'Plain room', 'metric', { lengthMm: 4800, widthMm: 3600, heightMm: 2400 });
  return { ...room, finish: { scale: 'level', grade: 4 }, ...over };
}

/** A doorless opening, boarded around: a metre wide and two high, a metre along its wall. */
export const boardedOpening = (over: Partial<Opening> = {}): Opening => ({
  id: 'o',
  wall: 0,
  kind: 'opening',
  leftMm: 1000,
  bottomMm: 0,
  widthMm: 1000,
  heightMm: 2000,
  returns: 'boarded',
  ...over,
});

/** The coat board with widths as they are typical. */
export const typicalCells = (
  needs: Needs,
  way: Way,
  more: Omit<BoardInput, 'needs' | 'way' | 'book'> = {},
): Cell[] => cellsFor({ needs, way, book: TYPICAL, ...more });

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

/** Rectangular rooms under any ceiling, with boxes, a closet and an opening that all fit. */
export const anyShape: fc.Arbitrary<Room> = fc
  .record({
    l: fc.integer({ min: 3000, max: 9000 }),
    w: fc.integer({ min: 3000, max: 9000 }),
    h: fc.integer({ min: 1500, max: 3000 }),
    ceiling: fc.option(
      fc.record({
        kind: fc.constantFrom('slope' as const, 'gable' as const),
        wall: fc.integer({ min: 0, max: 3 }),
        rise: fc.integer({ min: 300, max: 3000 }),
        flat: fc.boolean(),
      }),
    ),
    boxes: fc.array(
      fc.record({
        kind: fc.constantFrom('soffit' as const, 'beam' as const, 'column' as const, 'ledge' as const),
        wall: fc.integer({ min: 0, max: 3 }),
        left: fc.integer({ min: 0, max: 60 }),
        off: fc.constantFrom(0, 0, 500),
        along: fc.integer({ min: 10, max: 40 }),
        out: fc.integer({ min: 200, max: 900 }),
      }),
      { maxLength: 3 },
    ),
    closet: fc.boolean(),
    returns: fc.constantFrom('boarded' as const, 'cased' as const, 'trim' as const),
    along: fc.constantFrom('across' as const, 'upright' as const, 'least-butt' as const),
  })
  .map(({ l, w, h, ceiling, boxes, closet, returns, along }): Room => {
    const room = plainRoom({ plan: { lengthMm: l, widthMm: w, heightMm: h } });
    room.board = { ...room.board, walls: along };
    if (ceiling) {
      const { kind, wall, rise, flat } = ceiling;
      room.ceiling = { kind, wall, highMm: h + rise, ...(flat ? { flatMm: h + Math.round(rise / 2) } : {}) };
    }
    const lengths = [l, w, l, w];
    const bottom = { soffit: h - 250, beam: h - 200, column: 0, ledge: 0 };
    room.boxes = boxes.map(({ kind, wall, left, off, along: share, out }, i) => ({
      id: `b${i}`,
      kind,
      wall,
      leftMm: 10 * Math.round(((lengths[wall] ?? 0) * left) / 1000),
      offMm: off,
      alongMm: 10 * Math.round(((lengths[wall] ?? 0) * share) / 1000),
      outMm: 10 * Math.round(out / 10),
      bottomMm: bottom[kind],
      ...(kind === 'ledge' ? { topMm: 400 } : {}),
    }));
    room.openings = [
      { id: 'o', wall: 1, kind: 'window', leftMm: 700, bottomMm: 500, widthMm: 900, heightMm: 800, returns },
    ];
    if (closet)
      room.closets = [
        {
          id: 'c',
          wall: 2,
          leftMm: 800,
          widthMm: 1400,
          depthMm: 600,
          heightMm: h,
          doorLeftMm: 200,
          doorWidthMm: 1000,
          doorHeightMm: h - 300,
          returns: returns === 'trim' ? 'cased' : returns,
        },
      ];
    return room;
  });
