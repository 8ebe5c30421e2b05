import * as fc from 'fast-check';
import { anyRoom } from '../testing/samples';
import { outlineOf } from './outline';
import { outlineFromWalk, walkOf } from './walk';

it('an L is walked with five turns in and one out', () => {
  const walk = [
    { lengthMm: 6000, turnDeg: 90 },
    { lengthMm: 2000, turnDeg: 90 },
    { lengthMm: 3000, turnDeg: -90 },
    { lengthMm: 3000, turnDeg: 90 },
    { lengthMm: 3000, turnDeg: 90 },
    { lengthMm: 5000, turnDeg: 90 },
  ];
  const outline = outlineFromWalk(walk);
  expect(outline).toEqual([
    [0, 0],
    [6000, 0],
    [6000, 2000],
    [3000, 2000],
    [3000, 5000],
    [0, 5000],
  ]);
  expect(walkOf({ plan: { outline, heightMm: 2400 } })).toEqual(walk);
});

it('any room walked is the room again', () => {
  fc.assert(
    fc.property(anyRoom, (room) => {
      const ring = outlineOf(room.plan);
      return outlineFromWalk(walkOf(room)).every(
        ([x, y], i) => Math.hypot(x - ring[i]![0], y - ring[i]![1]) < 20,
      );
    }),
  );
});
