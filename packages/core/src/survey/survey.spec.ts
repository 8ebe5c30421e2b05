import { TYPICAL } from '../book';
import { lShape, type JointKind, type Room } from '../job';
import { plainRoom } from '../testing/samples';
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

describe('unfolded', () => {
  it('every face lies somewhere, whatever its part is called', () => {
    const closet = {
      id: 'a.b-left',
      wall: 2,
      leftMm: 800,
      widthMm: 1400,
      depthMm: 600,
      heightMm: 2400,
      doorLeftMm: 200,
      doorWidthMm: 1000,
      doorHeightMm: 2000,
      returns: 'boarded' as const,
    };
    const s = survey(plainRoom({ closets: [closet] }));
    expect(
      unfold(s.faces)
        .placings.map((p) => p.face)
        .sort(),
    ).toEqual(s.faces.map((f) => f.id).sort());
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
