import * as fc from 'fast-check';
import { newRoom, plan, type Room } from '@lisse/core';
import { sampleJob, said } from '../../testing/app';
import { drawRoom, neighbour, type Drawing } from './drawing';

const frame = { width: 680, height: 600 };

function draw(change: (room: Room) => void = () => undefined): Drawing {
  const room = newRoom('r', 'R', 'metric', { lengthMm: 4800, widthMm: 3600, heightMm: 2400 });
  change(room);
  const made = plan(sampleJob({ rooms: [room] }));
  return drawRoom(
    room,
    made.rooms[0]!,
    frame,
    () => undefined,
    (mm) => `${mm}`,
    said,
  );
}

const numbers = (path: string) => (path.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);

it('lays wall 1 at the foot and wall 2 on the right, as one who faces wall 1 sees them', () => {
  const { labels } = draw();
  const at = (name: string) => labels.find((l) => l.text.startsWith(name))!;
  expect(at('wall 1').y).toBeGreaterThan(at('wall 3').y);
  expect(at('wall 2').x).toBeGreaterThan(at('wall 4').x);
  expect(at('wall 1').text).toBe('wall 1 · 4800');
});

it('keeps everything inside the frame, whatever the room', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 400, max: 90000 }),
      fc.integer({ min: 400, max: 90000 }),
      fc.integer({ min: 400, max: 20000 }),
      (lengthMm, widthMm, heightMm) => {
        const room = newRoom('r', 'R', 'metric', { lengthMm, widthMm, heightMm });
        const drawing = drawRoom(
          room,
          {
            ...plan(sampleJob({ rooms: [{ ...room, board: { ...room.board, lengthsMm: [8000] } }] }))
              .rooms[0]!,
          },
          frame,
          () => undefined,
          String,
          said,
        );
        return drawing.faces.every((face) =>
          numbers(face.path).every((n, i) => n >= 0 && n <= (i % 2 ? frame.height : frame.width)),
        );
      },
    ),
    { numRuns: 12 },
  );
});

it('tells joint kinds apart by their line', () => {
  const { joints } = draw();
  const lines = (kind: string) => joints.find((d) => d.joint.kind === kind)!.path.split('M').length - 1;
  expect(lines('tapered')).toBe(2);
  expect(lines('inside-angle')).toBe(1);
  expect(lines('butt')).toBeGreaterThan(2);
});

it('walks to the joint that lies the way of the arrow, and stays at the edge', () => {
  const { joints } = draw();
  const start = joints[0]!;
  const right = neighbour(joints, start, [1, 0])!;
  expect(right.middle[0]).toBeGreaterThan(start.middle[0]);
  const rightmost = joints.reduce((a, b) => (b.middle[0] > a.middle[0] ? b : a));
  expect(neighbour(joints, rightmost, [1, 0])).toBeUndefined();
  expect(neighbour(joints, undefined, [1, 0])).toBe(start);
});

it('stands the walls of an L in rows beside its ceiling, none over another', () => {
  const drawing = draw(
    (room) =>
      (room.plan = {
        outline: [
          [0, 0],
          [6000, 0],
          [6000, 2000],
          [3000, 2000],
          [3000, 5000],
          [0, 5000],
        ],
        heightMm: 2400,
      }),
  );
  const boxes = drawing.faces.map((f) => {
    const [xs, ys] = [0, 1].map((k) => numbers(f.path).filter((_, i) => i % 2 === k)) as [number[], number[]];
    return {
      kind: f.kind,
      x0: Math.min(...xs),
      x1: Math.max(...xs),
      y0: Math.min(...ys),
      y1: Math.max(...ys),
    };
  });
  for (const [i, a] of boxes.entries())
    for (const b of boxes.slice(i + 1))
      expect(a.x1 < b.x0 || b.x1 < a.x0 || a.y1 < b.y0 || b.y1 < a.y0).toBe(true);
  const feet = boxes.filter((b) => b.kind === 'wall').map((b) => Math.round(b.y1));
  expect(new Set(feet).size).toBeLessThan(feet.length);
});
