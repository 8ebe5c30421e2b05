import * as fc from 'fast-check';
import { plan } from '../plan';
import { anyRoom, demoJob, jobOf, plainRoom } from '../testing/samples';
import { sheetsDrawn } from './sheet-drawing';
import { trials } from '../testing/trials';

const sound = (room: ReturnType<typeof plan>['rooms'][number]) => {
  const drawn = sheetsDrawn(room);
  expect(drawn.reduce((sum, { pieces }) => sum + pieces.length, 0)).toBe(room.boards.length);
  for (const { lengthMm, widthMm, pieces } of drawn)
    pieces.forEach((a, i) => {
      expect(a.x + a.lengthMm).toBeLessThanOrEqual(lengthMm + 0.2);
      expect(a.y + a.widthMm).toBeLessThanOrEqual(widthMm + 0.2);
      for (const b of pieces.slice(i + 1))
        expect(
          a.x + a.lengthMm <= b.x + 0.2 ||
            b.x + b.lengthMm <= a.x + 0.2 ||
            a.y + a.widthMm <= b.y + 0.2 ||
            b.y + b.widthMm <= a.y + 0.2,
        ).toBe(true);
    });
  return drawn;
};

it('lays every piece on its sheet, none over another, in any room', () => {
  fc.assert(
    fc.property(anyRoom, (room) => void sound(plan(jobOf([room])).rooms[0]!)),
    { numRuns: trials(30) },
  );
  for (const room of plan(demoJob('tarn-ferry')).rooms) sound(room);
});

it('draws as many sheets as are bought for a room by itself', () => {
  const [room] = plan(jobOf([plainRoom()])).rooms;
  const bought = room!.sheets.bought.reduce((sum, { count }) => sum + count, 0);
  expect(sound(room!)).toHaveLength(bought);
});
