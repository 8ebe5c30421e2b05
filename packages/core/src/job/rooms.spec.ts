import Ajv from 'ajv';
import * as fc from 'fast-check';
import { anyShape, jobOf, plainRoom, said } from '../testing/samples';
import { writeJob } from './file';
import { checkJob } from './read';
import { ceilingAlong, ceilingPlanes, heightAt, heights, wallHeightAt } from './ceiling';
import { roomProblems } from './problems';
import { JOB_SCHEMA } from './schema';
import type { Box, Closet, Opening, Room } from './types';

const box: Box = {
  id: 'b',
  kind: 'soffit',
  wall: 0,
  leftMm: 0,
  offMm: 0,
  alongMm: 4800,
  outMm: 400,
  bottomMm: 2100,
};
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
const window: Opening = {
  id: 'o',
  wall: 0,
  kind: 'window',
  leftMm: 1000,
  bottomMm: 900,
  widthMm: 1200,
  heightMm: 1000,
  returns: 'boarded',
};

/** A room with every field there is. */
const full: Partial<Room> = {
  ceiling: { kind: 'gable', wall: 0, highMm: 3600, flatMm: 3000 },
  openings: [{ ...window, depthMm: 120, sill: 'other', archMm: 300 }],
  boxes: [box, { ...box, id: 'l', kind: 'ledge', wall: 1, alongMm: 900, bottomMm: 0, topMm: 400 }],
  closets: [closet],
  board: { ...plainRoom().board, walls: 'least-butt', alsoWidthsMm: [900] },
  damp: true,
  joints: {
    'wall-0.butt-1': {
      kind: 'recessed-butt',
      humpMm: -2,
      spanMm: 300,
      lengthMm: 1190,
      thicknessMm: 15,
      note: 'cracked',
      photo: 'data:image/jpeg;base64,AAAA',
    },
  },
  faces: {
    'wall-1': {
      along: 'upright',
      from: 'low',
      framing: 'up',
      framingMm: 400,
      substrate: 'painted',
      rated: true,
    },
    'wall-3': { unboarded: true, cuts: { '0': [1200, 2400] } },
  },
  seams: [{ id: 's', face: 'ceiling', runs: 'up', atMm: 1800, old: 'low', stepMm: 2 }],
  damage: [{ id: 'd', face: 'wall-0', at: [300, 900], kind: 'large-hole', sizeMm: 400, note: 'by the door' }],
  counts: { mm: { butt: 1200 }, corners: 2, heads: 30, areaM2: 4 },
};

const told = (over: object): string => {
  const read = checkJob(JSON.parse(writeJob(jobOf([plainRoom(over as Partial<Room>)]))));
  return read.ok ? 'read' : read.problems.map((p) => `${p.path}: ${said(p.message)}`).join('\n');
};

describe('a room with everything', () => {
  const valid = new Ajv({ strict: false }).compile(JOB_SCHEMA);

  it('is taken by the reader and by the published schema, and written as it came', () => {
    const job = jobOf([plainRoom(full)]);
    expect(told(full)).toBe('read');
    expect(valid(JSON.parse(writeJob(job))) || valid.errors).toBe(true);
    const read = checkJob(JSON.parse(writeJob(job)));
    expect(read.ok && writeJob(read.job)).toBe(writeJob(job));
  });

  it('and so is a room that is only counted', () => {
    const counted = { plan: { counted: true as const, heightMm: 2400 }, counts: { mm: { tapered: 5000 } } };
    expect(told(counted)).toBe('read');
    expect(valid(JSON.parse(writeJob(jobOf([plainRoom(counted)]))))).toBe(true);
  });

  it.each<[string, object, string]>([
    [
      'a ceiling of no kind',
      { ceiling: { kind: 'dome', wall: 0, highMm: 3000 } },
      'ceiling.kind: must be one of slope, gable',
    ],
    ['a box out of range', { boxes: [{ ...box, outMm: 1 }] }, 'boxes[0].outMm: must be a number from 20'],
    ['a box of no kind', { boxes: [{ ...box, kind: 'arch' }] }, 'boxes[0].kind: must be one of soffit'],
    [
      'a closet without depth',
      { closets: [{ ...closet, depthMm: undefined }] },
      'closets[0].depthMm: is missing',
    ],
    [
      'returns of no kind',
      { openings: [{ ...window, returns: 'glued' }] },
      'returns: must be one of boarded, cased, trim',
    ],
    [
      'a span too wide',
      { joints: { j: { spanMm: 4000 } } },
      'joints[j].spanMm: must be a number from 50 to 3000 mm',
    ],
    [
      'a photo from elsewhere',
      { joints: { j: { photo: 'https://x/y.jpg' } } },
      'joints[j].photo: must be a JPEG of at most',
    ],
    [
      'a face turned wrongly',
      { faces: { 'wall-0': { along: 'slanted' } } },
      'faces[wall-0].along: must be one of across',
    ],
    ['cuts without a row', { faces: { 'wall-0': { cuts: { top: [1] } } } }, '“top” must be a row number'],
    ['cuts that are no places', { faces: { 'wall-0': { cuts: { '0': ['x'] } } } }, 'row 0 must be a list'],
    [
      'damage nowhere',
      { damage: [{ id: 'd', face: 'wall-0', at: [1], kind: 'dent', sizeMm: 4 }] },
      'damage[0].at: must be two numbers',
    ],
    ['counts of no length', { counts: { mm: { butt: -1 } } }, 'counts.mm.butt: must be a number from 0'],
    ['half a head', { counts: { mm: {}, heads: 1.5 } }, 'heads: must be a whole number'],
    [
      'a seam of no direction',
      { seams: [{ id: 's', face: 'x', runs: 'round', atMm: 1, old: 'low', stepMm: 0 }] },
      'seams[0].runs: must be one of up, along',
    ],
    ['faces that are no record', { faces: [] }, 'faces: must be an object'],
  ])('refuses %s and says where', (_, over, message) => {
    expect(told(over)).toContain(message);
  });
});

describe('what does not fit', () => {
  it.each<[string, Partial<Room>, string]>([
    [
      'a ceiling lower than its low side',
      { ceiling: { kind: 'slope', wall: 0, highMm: 2000 } },
      'must be higher than',
    ],
    [
      'a ceiling from a wall that is not',
      { ceiling: { kind: 'slope', wall: 9, highMm: 3000 } },
      'walls 1 to 4',
    ],
    [
      'a flat under the low side',
      { ceiling: { kind: 'gable', wall: 0, highMm: 3000, flatMm: 2000 } },
      'must not be under',
    ],
    ['a soffit above the ceiling', { boxes: [{ ...box, bottomMm: 2400 }] }, 'at or above the ceiling'],
    [
      'a ledge upside down',
      { boxes: [{ ...box, kind: 'ledge', bottomMm: 500, topMm: 400 }] },
      'above its underside',
    ],
    ['a beam outside', { boxes: [{ ...box, offMm: 9000 }] }, 'outside the room'],
    [
      'a box across a window',
      { boxes: [{ ...box, bottomMm: 1500 }], openings: [window] },
      'crosses the window on wall 1',
    ],
    ['a closet wider open than it is', { closets: [{ ...closet, doorWidthMm: 1400 }] }, 'wider than it is'],
    [
      'a closet higher open than the room',
      { closets: [{ ...closet, heightMm: 3000, doorHeightMm: 2600 }] },
      'above the ceiling',
    ],
    ['a closet past its wall', { closets: [{ ...closet, leftMm: 4000 }] }, 'past the end of its wall'],
    ['two closets in one place', { closets: [closet, { ...closet, id: 'd' }] }, 'where another closet opens'],
    [
      'a door where a closet opens',
      { closets: [closet], openings: [{ ...window, wall: 2, leftMm: 1300 }] },
      'overlaps the opening of closet 1',
    ],
    [
      'a window above a slope',
      { ceiling: { kind: 'slope', wall: 0, highMm: 3600 }, openings: [{ ...window, bottomMm: 1600 }] },
      'above the ceiling',
    ],
    ['an arch higher than half its width', { openings: [{ ...window, archMm: 700 }] }, 'half its width'],
  ])('%s', (_, over, message) => {
    expect(
      roomProblems(plainRoom(over), 'room')
        .map((p) => said(p.message))
        .join(),
    ).toContain(message);
  });

  it('a window that the slope clears fits', () => {
    const over: Partial<Room> = {
      ceiling: { kind: 'slope', wall: 0, highMm: 3600 },
      openings: [{ ...window, wall: 2, bottomMm: 2200 }],
    };
    expect(roomProblems(plainRoom(over), 'room')).toEqual([]);
  });
});

describe('ceilings', () => {
  const gable = plainRoom({ ceiling: { kind: 'gable', wall: 0, highMm: 3400, flatMm: 3000 } });

  it('are as high as reckoned by hand', () => {
    // 1000 over 1800: 555.6 a metre. At 0.9 m from the eaves 2900; the flat begins at 1.08 m.
    const planes = ceilingPlanes(gable);
    expect(heightAt(planes, [2000, 900])).toBeCloseTo(2900, 6);
    expect(heightAt(planes, [2000, 1800])).toBe(3000);
    expect(ceilingAlong(planes, [0, 0], [0, 3600])).toEqual([
      [0, 2400],
      [expect.closeTo(1080, 6), expect.closeTo(3000, 6)],
      [expect.closeTo(2520, 6), expect.closeTo(3000, 6)],
      [3600, expect.closeTo(2400, 6)],
    ]);
    expect(heights(gable).map(Math.round)).toEqual([2400, 3000]);
    expect(wallHeightAt(gable, 1, 900)).toBeCloseTo(2900, 6);
  });

  it('never rise above their high side nor fall under their low side', () => {
    fc.assert(
      fc.property(
        anyShape,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (room, a, b) => {
          if (!('lengthMm' in room.plan)) return true;
          const at = [room.plan.lengthMm * a, room.plan.widthMm * b] as const;
          const z = heightAt(ceilingPlanes(room), at);
          return z > room.plan.heightMm - 0.01 && z < (room.ceiling?.highMm ?? room.plan.heightMm) + 0.01;
        },
      ),
    );
  });
});
