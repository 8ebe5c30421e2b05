import { TYPICAL } from '../book';
import type { Box, Closet, JointKind, Opening, Point, Room } from '../job';
import { plainRoom, said } from '../testing/samples';
import { surveyRoom, type Survey } from './survey';

/** A room of 4800 × 3600 × 2400 mm with something changed, surveyed. */
const survey = (over: Partial<Room>): Survey => surveyRoom(plainRoom(over), TYPICAL);
const outline = (...ring: Point[]): Pick<Room, 'plan'> => ({ plan: { outline: ring, heightMm: 2400 } });

/** Lengths of the joints between faces by kind, mm, as they were reckoned with a pencil. */
function closing(s: Survey): Partial<Record<JointKind, number>> {
  const sums: Partial<Record<JointKind, number>> = {};
  for (const { id, kind, lengthMm } of s.joints)
    if (!/\.(flat|butt)-\d+$/.test(id)) sums[kind] = (sums[kind] ?? 0) + lengthMm;
  return Object.fromEntries(Object.entries(sums).map(([kind, mm]) => [kind, Math.round(mm)]));
}

const opening = (over: Partial<Opening>): Opening => ({
  id: 'o',
  wall: 0,
  kind: 'window',
  leftMm: 1000,
  bottomMm: 900,
  widthMm: 1200,
  heightMm: 1200,
  returns: 'boarded',
  ...over,
});
const box = (over: Partial<Box>): Box => ({
  id: 'b',
  kind: 'soffit',
  wall: 0,
  leftMm: 0,
  offMm: 0,
  alongMm: 4800,
  outMm: 400,
  bottomMm: 2100,
  ...over,
});
const closet: Closet = {
  id: 'c',
  wall: 2,
  leftMm: 1000,
  widthMm: 1500,
  depthMm: 600,
  heightMm: 2400,
  doorLeftMm: 250,
  doorWidthMm: 1000,
  doorHeightMm: 2000,
  returns: 'cased',
};

describe('plans', () => {
  it('a T has six inside and two outside corners', () => {
    const s = survey(
      outline(
        [0, 0],
        [6000, 0],
        [6000, 2000],
        [4000, 2000],
        [4000, 5000],
        [2000, 5000],
        [2000, 2000],
        [0, 2000],
      ),
    );
    // Walls 22 m round; 6 × 2.4 m of inside corner; 18 m² of ceiling and 22 × 2.4 m² of wall.
    expect(closing(s)).toEqual({ 'inside-angle': 22000 + 14400, 'outside-corner': 4800 });
    expect(s.boardAreaM2).toBeCloseTo(70.8, 6);
  });

  it('a bay window turns through four off-angles, two out and two in', () => {
    const s = survey(
      outline([0, 0], [1000, 0], [1500, -500], [2500, -500], [3000, 0], [4000, 0], [4000, 3000], [0, 3000]),
    );
    // 3 × 1000 + 2 × 707.1 + 3000 + 4000 + 3000 round, and four square corners.
    expect(closing(s)).toEqual({
      'off-angle-outside': 4800,
      'off-angle-inside': 4800,
      'inside-angle': Math.round(13000 + 2 * 500 * Math.SQRT2 + 4 * 2400),
    });
  });

  it('walls that run on in one plane meet in a butt', () => {
    const s = survey(outline([0, 0], [2000, 0], [4800, 0], [4800, 3600], [0, 3600]));
    expect(s.joints.find((j) => j.id === 'corner-0')).toMatchObject({ kind: 'butt', lengthMm: 2400 });
  });
});

describe('ceilings', () => {
  const attic = survey({
    plan: { lengthMm: 6000, widthMm: 4000, heightMm: 1200 },
    ceiling: { kind: 'gable', wall: 0, highMm: 3200, flatMm: 2400 },
  });

  it('an attic has slopes over knee walls, a flat between them and gable walls', () => {
    // 45°: the slopes are 1200 √2 wide, the flat 1600.
    const areas = Object.fromEntries(
      attic.faces.map((f) => [said(f.name), Math.round(f.areaM2 * 1000) / 1000]),
    );
    expect(areas).toEqual({
      'slope 1': 10.182,
      ceiling: 9.6,
      'slope 2': 10.182,
      'wall 1': 7.2,
      'wall 2': 8.16,
      'wall 3': 7.2,
      'wall 4': 8.16,
    });
    // Four off-angles along the length; round each gable 2 × 1697.06 + 1600; four corners of 1200.
    expect(closing(attic)).toEqual({
      'off-angle-inside': 4 * 6000,
      'inside-angle': Math.round(2 * (2400 * Math.SQRT2 + 1600) + 4 * 1200),
    });
  });

  it('a gable without a flat meets in an angle at its ridge', () => {
    const s = survey({ ceiling: { kind: 'gable', wall: 0, highMm: 3400 } });
    expect(s.joints.find((j) => j.id === 'slope-0~slope-1')).toMatchObject({
      kind: 'off-angle-inside',
      lengthMm: 4800,
    });
    // Each gable wall: 3600 × 2400 and a triangle 3600 × 1000 on it.
    expect(s.faces.find((f) => f.id === 'wall-1')?.areaM2).toBeCloseTo(8.64 + 1.8, 6);
  });

  it('a single slope makes two walls trapezoids', () => {
    const s = survey({ ceiling: { kind: 'slope', wall: 0, highMm: 3600 } });
    expect(s.faces.map((f) => [said(f.name), Math.round(f.areaM2 * 100) / 100])).toEqual([
      ['sloped ceiling', Math.round(4.8 * Math.hypot(3.6, 1.2) * 100) / 100],
      ['wall 1', 11.52],
      ['wall 2', 10.8],
      ['wall 3', 17.28],
      ['wall 4', 10.8],
    ]);
    const top = s.joints.filter((j) => j.kind === 'off-angle-inside').map((j) => j.lengthMm);
    expect(top).toEqual([4800, 4800]);
  });
});

describe('boxes and closets', () => {
  it('a soffit along a wall and a closet, counted by hand', () => {
    const s = survey({ boxes: [box({})], closets: [closet] });
    // Ceiling 4800 + 3200 × 2, soffit 4800 + 4800 + 2 × 400 + 2 × 300, corners 2 × 2100 + 2 × 2400;
    // the closet 4200 round and 4 × 2400.
    expect(closing(s)).toEqual({
      'inside-angle': 4800 + 6400 + 4800 + 4800 + 800 + 600 + 9000 + 13800,
      'outside-corner': 4800,
    });
    expect(s.boardAreaM2).toBeCloseTo(57.36 - 2 + 0.9 + 1.6 + 2 * 1.44 + 3.6, 6);
  });

  it('a free beam has three faces and two edges, and ends against nothing', () => {
    const s = survey({
      boxes: [box({ kind: 'beam', leftMm: 1000, offMm: 1000, alongMm: 2000, outMm: 200 })],
    });
    expect(s.faces.filter((f) => f.kind === 'box').map((f) => said(f.name))).toEqual([
      'beam 1, side 1',
      'beam 1, side 2',
      'beam 1, side 3',
      'beam 1, side 4',
      'beam 1, underside',
    ]);
    // Round the underside 4400 of bead and four upright edges of 300; against the ceiling 4400 of angle.
    expect(closing(s)).toEqual({ 'outside-corner': 4400 + 1200, 'inside-angle': 26400 + 4400 });
  });

  it('a column stands from floor to ceiling with four beads on the floor', () => {
    const s = survey({
      boxes: [box({ kind: 'column', leftMm: 2000, offMm: 1000, alongMm: 300, outMm: 300, bottomMm: 0 })],
    });
    const beads = s.joints.filter((j) => j.kind === 'outside-corner');
    expect(beads.map((j) => [j.lengthMm, j.onFloor])).toEqual(Array(4).fill([2400, true]));
    expect(s.boardAreaM2).toBeCloseTo(57.6 - 0.09 + 4 * 0.3 * 2.4, 6);
  });

  it('a ledge stays unboarded, and board stops at it with an L-trim', () => {
    const s = survey({
      boxes: [box({ kind: 'ledge', wall: 1, alongMm: 1000, outMm: 500, bottomMm: 0, topMm: 400 })],
    });
    // On wall 2: over it 1000 and beside it 400; on wall 1, in the corner: 500 and 400.
    expect(closing(s)['trim']).toBe(1000 + 400 + 500 + 400);
    expect(s.boardAreaM2).toBeCloseTo(57.6 - 0.4 - 0.2, 6);
  });

  it('two boxes that touch hide each other', () => {
    const one = survey({ boxes: [box({})] });
    const two = survey({
      boxes: [box({ id: 'l', alongMm: 2000 }), box({ id: 'r', leftMm: 2000, alongMm: 2800 })],
    });
    expect(two.boardAreaM2).toBeCloseTo(one.boardAreaM2, 6);
    expect(closing(two)['outside-corner']).toBe(4800);
  });
});

describe('openings', () => {
  it('boarded returns have a bead on each edge, narrow faces and angles between them', () => {
    const s = survey({ openings: [opening({ depthMm: 150 })] });
    expect(closing(s)).toEqual({ 'outside-corner': 4800, 'inside-angle': 26400 + 4 * 150 });
    expect(s.boardAreaM2).toBeCloseTo(57.6 - 1.44 + 4.8 * 0.15, 6);
  });

  it('a sill of other material has neither bead nor face', () => {
    const s = survey({ openings: [opening({ depthMm: 150, sill: 'other' })] });
    expect(closing(s)).toEqual({ 'outside-corner': 3600, 'inside-angle': 26400 + 2 * 150 });
  });

  it('an L-trim runs round an opening that is neither boarded nor cased', () => {
    expect(closing(survey({ openings: [opening({ returns: 'trim' })] }))['trim']).toBe(4800);
  });

  it('an arched head is one bent bead as long as its arc, and its board is cut in chords', () => {
    const s = survey({ openings: [opening({ archMm: 600, depthMm: 100 })] });
    const head = s.joints.find((j) => j.id === 'return-o-head');
    expect(head?.lengthMm).toBeCloseTo(Math.PI * 600, 6);
    expect(head?.path).toHaveLength(13);
    const cut = s.faces.find((f) => f.id === 'wall-0')?.areaM2 ?? 0;
    const round = 11.52 - (1.2 * 0.6 + (Math.PI * 0.36) / 2);
    expect(Math.abs(cut - round)).toBeLessThan(0.01 * (11.52 - round));
  });

  it('reach the floor, a corner and the ceiling', () => {
    const s = survey({
      openings: [opening({ kind: 'opening', leftMm: 0, bottomMm: 0, heightMm: 2400 })],
    });
    // One jamb is left; the corner and the stretch of ceiling are gone.
    expect(closing(s)).toEqual({ 'outside-corner': 2400, 'inside-angle': 26400 - 2400 - 1200 });
  });
});

describe('old work', () => {
  it('new board stops at a seam, which is a butt with its step', () => {
    const s = survey({
      seams: [{ id: 's', face: 'ceiling', runs: 'up', atMm: 1800, old: 'low', stepMm: 3 }],
    });
    expect(s.joints.find((j) => j.id === 'seam-s')).toMatchObject({
      kind: 'butt',
      lengthMm: 3600,
      lippageMm: 3,
    });
    expect(s.boardAreaM2).toBeCloseTo(57.6 - 1.8 * 3.6, 6);
    expect(s.boards.filter((b) => b.face === 'ceiling').every((b) => b.rect[0] >= 1800)).toBe(true);
  });
});

describe('what is known of a face', () => {
  it('turns its boards, keeps its spacing and leaves others alone', () => {
    const s = survey({
      faces: { 'wall-0': { along: 'upright', framingMm: 400 }, 'wall-2': { unboarded: true } },
    });
    expect(s.faces.find((f) => f.id === 'wall-0')?.laid).toMatchObject({ along: 'v', framingMm: 400 });
    expect(s.faces.find((f) => f.id === 'wall-1')?.laid).toMatchObject({ along: 'u', framingMm: 600 });
    expect(s.faces.find((f) => f.id === 'wall-2')?.laid).toBeUndefined();
  });

  it.each([
    ['old', { 'inside-angle': 26400 }],
    ['edge', { 'inside-angle': 16800, trim: 4800 + 2 * 2400 }],
    ['grid', { 'inside-angle': 16800 }],
    [undefined, { 'inside-angle': 16800 }],
  ] as const)('ends board at a wall that has none as what stands there asks: %s', (instead, lengths) => {
    const note = { unboarded: true, ...(instead ? { instead } : {}) };
    expect(closing(survey({ faces: { 'wall-2': note } }))).toEqual(lengths);
  });

  it('keeps butts where they were put by hand', () => {
    const s = survey({ faces: { 'wall-0': { cuts: { '0': [1800] } } } });
    const butts = s.joints.filter((j) => j.face === 'wall-0' && j.kind === 'butt');
    expect(butts.find((j) => j.row === 0)?.line[0]).toBe(1800);
    expect(Math.abs((butts.find((j) => j.row === 1)?.line[0] ?? 0) - 1800)).toBeGreaterThanOrEqual(400);
  });
});

describe('counted joints', () => {
  it('stand beside drawn ones or alone', () => {
    const counts = { mm: { butt: 5000, 'outside-corner': 4800 }, corners: 2, heads: 100, areaM2: 12 };
    const alone = survey({ plan: { counted: true, heightMm: 2400 }, counts });
    expect(alone.faces).toEqual([]);
    expect(closing(alone)).toEqual({ butt: 5000, 'outside-corner': 4800 });
    expect(alone).toMatchObject({ fasteners: 100, boardAreaM2: 12 });
    const both = survey({ counts });
    expect(closing(both)).toEqual({ butt: 5000, 'outside-corner': 4800, 'inside-angle': 26400 });
    expect(both.boardAreaM2).toBeCloseTo(69.6, 6);
  });
});
