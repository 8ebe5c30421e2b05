import * as fc from 'fast-check';
import { TYPICAL } from '../book';
import { surveyRoom } from '../survey';
import { anyRoom, anyShape, jobOf, plainRoom } from '../testing/samples';
import { arrayOf, asDrawn, mirrored } from './copies';
import { asKind, kindNamed, ROOM_KINDS } from './kinds';
import { roomProblems } from './problems';
import { wallLengths } from './outline';
import { checkJob } from './read';
import type { Room } from './types';
import { trials } from '../testing/trials';

const kinds = (room: Room) => {
  const sums: Record<string, number> = {};
  for (const j of surveyRoom(room, TYPICAL).joints)
    if (!/\.(flat|butt)-\d+$/.test(j.id)) sums[j.kind] = Math.round((sums[j.kind] ?? 0) + j.lengthMm);
  return sums;
};

/** Boxes whose sides lie a few millimetres apart: less than the shortest joint, so which of the two is seen is open. */
const hairApart = (room: Room): boolean => {
  const sides = (room.boxes ?? []).map((box) => [
    box.outMm,
    box.leftMm,
    box.alongMm,
    box.leftMm + box.alongMm,
  ]);
  return sides.some((one, i) =>
    sides
      .slice(i + 1)
      .some((other) =>
        one.some((mm, k) => Math.abs(mm - (other[k] ?? 0)) > 0 && Math.abs(mm - (other[k] ?? 0)) <= 3),
      ),
  );
};

/** A box that reaches past the end of its wall is cut there when it is mirrored. */
const reachesPast = (room: Room): boolean =>
  (room.boxes ?? []).some((box) => box.leftMm + box.alongMm > (wallLengths(room)[box.wall] ?? 0));

it('a soffit that reaches past its wall is cut at the corner, not pushed along', () => {
  const room = plainRoom({
    plan: { lengthMm: 3263, widthMm: 3000, heightMm: 2400 },
    boxes: [
      { id: 'b', kind: 'soffit', wall: 0, leftMm: 1960, offMm: 0, alongMm: 1310, outMm: 200, bottomMm: 2100 },
    ],
  });
  expect(mirrored(room).boxes?.[0]).toMatchObject({ leftMm: 0, alongMm: 1303 });
  expect(kinds(mirrored(room))).toEqual(kinds(room));
});

describe('mirrored rooms', () => {
  it('have the same angles, corners and board, and fit as well', () => {
    fc.assert(
      fc.property(fc.oneof(anyRoom, anyShape), (room) => {
        fc.pre(roomProblems(room, 'room').length === 0 && !hairApart(room));
        const other = mirrored(room);
        const [a, b] = [kinds(room), kinds(other)];
        for (const kind of new Set([...Object.keys(a), ...Object.keys(b)]))
          expect(Math.abs((a[kind] ?? 0) - (b[kind] ?? 0))).toBeLessThan(5);
        expect(surveyRoom(other, TYPICAL).boardAreaM2).toBeCloseTo(surveyRoom(room, TYPICAL).boardAreaM2, 4);
        expect(checkJob(jobOf([other]))).toMatchObject({ ok: true });
      }),
      { numRuns: trials(30) },
    );
  });

  it('mirrored twice are what they were', () => {
    fc.assert(
      fc.property(fc.oneof(anyRoom, anyShape), (room) => {
        fc.pre(!reachesPast(room));
        const twice = mirrored(mirrored(room));
        const numbers: number[] = [];
        const words = (value: unknown): string =>
          JSON.stringify(value, (_, v: unknown) => (typeof v === 'number' ? (numbers.push(v), '#') : v));
        expect(words(twice)).toBe(words(asDrawn(room)));
        const half = numbers.length / 2;
        for (let i = 0; i < half; i++) expect(Math.abs(numbers[i]! - numbers[half + i]!)).toBeLessThan(0.01);
      }),
      { numRuns: trials(30) },
    );
  });

  it('carry nothing that was measured', () => {
    const room = plainRoom({
      joints: { 'wall-0.butt-1': { humpMm: 2 } },
      damage: [{ id: 'd', face: 'wall-0', at: [100, 100], kind: 'dent', sizeMm: 20 }],
      faces: { 'wall-1': { framingMm: 400, cuts: { '0': [1800] } } },
    });
    const other = mirrored(room);
    expect(other.joints).toBeUndefined();
    expect(other.damage).toBeUndefined();
    expect(other.faces).toEqual({ 'wall-3': { framingMm: 400 } });
  });
});

describe('rooms in a row', () => {
  let n = 0;
  it('count on from the number in the name', () => {
    const rooms = arrayOf(plainRoom(), 3, 'Room 099', false, () => `x${n++}`);
    expect(rooms.map((r) => r.name)).toEqual(['Room 099', 'Room 100', 'Room 101']);
    expect(new Set(rooms.map((r) => r.id)).size).toBe(3);
    expect(arrayOf(plainRoom(), 2, 'Flat', false, () => `x${n++}`).map((r) => r.name)).toEqual([
      'Flat 1',
      'Flat 2',
    ]);
  });

  it('mirror every other one', () => {
    const room = plainRoom({
      openings: [
        {
          id: 'd',
          wall: 1,
          kind: 'door',
          leftMm: 100,
          bottomMm: 0,
          widthMm: 900,
          heightMm: 2100,
          returns: 'cased',
        },
      ],
    });
    const walls = arrayOf(room, 4, 'A', true, () => `x${n++}`).map((r) => r.openings[0]!.wall);
    expect(walls).toEqual([1, 3, 1, 3]);
  });
});

describe('kinds of room', () => {
  it.each([
    ['Plant room 2', 'plant'],
    ['GARAGE', 'store'],
    ['Bath', 'damp'],
    ['planting', 'room'],
    ['Fire stair', 'rated'],
  ])('%s is a %s', (name, id) => expect(kindNamed(name).id).toBe(id));

  it('each makes a sound room', () => {
    for (const kind of ROOM_KINDS)
      expect(checkJob(jobOf([asKind(plainRoom(), kind)]))).toMatchObject({ ok: true });
  });
});
