import * as fc from 'fast-check';
import { TYPICAL } from '../book';
import { lShape, type JointKind, type Room } from '../job';
import { anyRoom, plainRoom } from '../testing/samples';
import { areaIn, areaOf, spansAt, type Rect, type Shape } from './geometry';
import { surveyRoom, type Survey } from './survey';
import { unfold } from './unfold';

const survey = (room: Room) => surveyRoom(room, TYPICAL);
const total = (s: Survey, kind: JointKind) =>
  Math.round(s.joints.filter((j) => j.kind === kind).reduce((sum, j) => sum + j.lengthMm, 0));

describe('the pencil-checked room', () => {
  const s = survey(plainRoom());

  it('has the joints counted by hand', () => {
    expect(total(s, 'tapered')).toBe(27600);
    expect(total(s, 'butt')).toBe(4800);
    expect(total(s, 'inside-angle')).toBe(26400);
    expect(s.boardAreaM2).toBeCloseTo(57.6, 6);
  });

  it('lands butts on framing and keeps rows apart', () => {
    const butts = s.joints.filter((j) => j.kind === 'butt' && j.face === 'wall-0').map((j) => j.line[0]);
    expect(butts.every((u) => u % 600 === 0)).toBe(true);
    expect(Math.abs((butts[0] as number) - (butts[1] as number))).toBeGreaterThanOrEqual(400);
  });

  it('counts heads along every stud: nine lines of five heads on a 4800 wall for each row', () => {
    const walls = survey(plainRoom({ framing: { wallMm: 600, ceilingMm: 400, ceilingAlong: 'length' } }));
    // Wall 0, upper row: boards 0–2400 and 2400–4800, five studs each with ceil(1200/406)+1 = 4 heads.
    const upper = walls.boards.filter((b) => b.face === 'wall-0' && b.rect[3] === 2400);
    expect(upper).toHaveLength(2);
    expect(walls.fasteners).toBe(s.fasteners);
    expect(s.fasteners).toBe(472);
  });

  it('runs seams upright when boards stand', () => {
    const upright = survey(plainRoom({ board: { ...plainRoom().board, walls: 'upright' } }));
    // Walls: 3 seams on each 4800 wall, 2 on each 3600, 2400 high; ceiling as before.
    expect(total(upright, 'tapered')).toBe((3 + 2) * 2 * 2400 + 10800);
    expect(total(upright, 'butt')).toBe(0);
  });
});

describe('corners and openings', () => {
  const ell = plainRoom({
    plan: {
      outline: [
        [0, 0],
        [6000, 0],
        [6000, 2000],
        [3000, 2000],
        [3000, 5000],
        [0, 5000],
      ],
      heightMm: 2400,
    },
  });

  it('finds five inside angles and one outside corner in an L', () => {
    const s = survey(ell);
    expect(total(s, 'outside-corner')).toBe(2400);
    expect(total(s, 'inside-angle')).toBe(5 * 2400 + 22000);
    expect(s.boardAreaM2).toBeCloseTo(6 * 2 + 3 * 3 + 22 * 2.4, 6);
  });

  it('takes an L from the size of the whole and of the corner that is missing', () => {
    const plan = lShape({ lengthMm: 6000, widthMm: 5000, heightMm: 2400 }, { lengthMm: 3000, widthMm: 3000 });
    expect(plan).toEqual(ell.plan);
  });

  it('calls corners that are not square off-angles', () => {
    const s = survey(
      plainRoom({
        plan: {
          outline: [
            [0, 0],
            [5000, 0],
            [6000, 3000],
            [0, 3000],
          ],
          heightMm: 2400,
        },
      }),
    );
    expect(total(s, 'off-angle-inside')).toBe(2 * 2400);
    expect(total(s, 'inside-angle')).toBe(Math.round(2 * 2400 + 5000 + 6000 + 3000 + Math.hypot(1000, 3000)));
  });

  const door = (over: object) =>
    plainRoom({
      openings: [
        {
          id: 'd',
          wall: 0,
          kind: 'opening',
          leftMm: 1000,
          bottomMm: 0,
          widthMm: 1000,
          heightMm: 2000,
          returns: 'cased',
          ...over,
        },
      ],
    });

  it('breaks the seam at a door', () => {
    const seams = survey(door({})).joints.filter((j) => j.face === 'wall-0' && j.kind === 'tapered');
    expect(seams.map((j) => [j.line[0], j.line[2]])).toEqual([
      [0, 1000],
      [2000, 4800],
    ]);
  });

  it('beads the three edges of a boarded door and the four of a boarded window', () => {
    expect(total(survey(door({ returns: 'boarded' })), 'outside-corner')).toBe(2000 + 2000 + 1000);
    expect(total(survey(door({ returns: 'boarded', bottomMm: 300 })), 'outside-corner')).toBe(6000);
  });

  it('leaves out the ceiling angle over an opening that reaches it', () => {
    expect(total(survey(door({ heightMm: 2400 })), 'inside-angle')).toBe(26400 - 1000);
  });

  it('takes measured trouble from the room', () => {
    const s = survey(
      plainRoom({ joints: { 'wall-0.butt-1': { humpMm: 1.6, gapMm: 4, kind: 'recessed-butt' } } }),
    );
    expect(s.joints.find((j) => j.id === 'wall-0.butt-1')).toMatchObject({
      humpMm: 1.6,
      gapMm: 4,
      kind: 'recessed-butt',
      measured: true,
    });
  });
});

/** Largest area two boards of a face share, mm². */
function overlapMm2(face: Shape, rects: Rect[]): number {
  let most = 0;
  rects.forEach((a, i) => {
    for (const b of rects.slice(i + 1)) {
      const both: Rect = [
        Math.max(a[0], b[0]),
        Math.max(a[1], b[1]),
        Math.min(a[2], b[2]),
        Math.min(a[3], b[3]),
      ];
      if (both[2] - both[0] > 0.01 && both[3] - both[1] > 0.01) most = Math.max(most, areaIn(face, both));
    }
  });
  return most;
}

describe('any room', () => {
  it('is covered by its boards exactly once', () => {
    fc.assert(
      fc.property(anyRoom, (room) => {
        const s = survey(room);
        for (const face of s.faces) {
          const own = s.boards.filter((b) => b.face === face.id);
          const covered = own.reduce((sum, b) => sum + areaIn(face, b.rect), 0);
          expect(Math.abs(covered - areaOf(face))).toBeLessThan(1);
          expect(
            overlapMm2(
              face,
              own.map((b) => b.rect),
            ),
          ).toBeLessThan(1);
        }
      }),
      { numRuns: 150 },
    );
  });

  it('has no joint inside an opening or off its face', () => {
    fc.assert(
      fc.property(anyRoom, (room) => {
        const s = survey(room);
        for (const joint of s.joints.filter((j) => j.kind === 'tapered' || j.kind === 'butt')) {
          const face = s.faces.find((f) => f.id === joint.face);
          const [u0, v0, u1, v1] = joint.line;
          const u = (u0 + u1) / 2;
          const v = (v0 + v1) / 2 + (v0 === v1 ? 0.02 : 0);
          if (!face || !spansAt(face, v).some(([a, b]) => a - 0.1 <= u && u <= b + 0.1)) return false;
        }
        return true;
      }),
      { numRuns: 100 },
    );
  });

  it('closes: every wall meets the ceiling, and every corner is an angle or a bead', () => {
    fc.assert(
      fc.property(anyRoom, (room) => {
        const s = survey({ ...room, openings: [] });
        const around = s.faces
          .filter((f) => f.kind === 'wall')
          .reduce((sum, f) => sum + f.box[2] - f.box[0], 0);
        const walls = s.faces.length - 1;
        expect(total(s, 'inside-angle') + total(s, 'outside-corner')).toBeCloseTo(
          around + walls * room.plan.heightMm,
          -1,
        );
      }),
    );
  });

  it('keeps lengths when it is unfolded', () => {
    fc.assert(
      fc.property(anyRoom, (room) => {
        const { kind, placings } = unfold(survey(room).faces);
        expect(kind).toBe('outline' in room.plan ? 'strip' : 'cross');
        for (const { right, up } of placings) {
          expect(Math.hypot(...right)).toBeCloseTo(1, 9);
          expect(Math.hypot(...up)).toBeCloseTo(1, 9);
          expect(right[0] * up[0] + right[1] * up[1]).toBeCloseTo(0, 9);
        }
      }),
    );
  });

  it('hinges each wall of a rectangle on its ceiling edge', () => {
    const { placings } = unfold(survey(plainRoom()).faces);
    const [x, y] = placings[0]!.origin;
    const top = placings
      .slice(1)
      .map(({ origin, up }) => [origin[0] - x + up[0] * 2400, origin[1] - y + up[1] * 2400].map(Math.round));
    expect(top).toEqual([
      [0, 0],
      [4800, 0],
      [4800, 3600],
      [0, 3600],
    ]);
  });
});
