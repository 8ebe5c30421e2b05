import * as fc from 'fast-check';
import { TYPICAL } from '../book';
import type { Opening, Room } from '../job';
import { plan } from '../plan';
import { surveyRoom } from '../survey';
import { anyShape, demoJob, jobOf, plainRoom, said } from '../testing/samples';
import { areasOf, grazingOn, sourceAt } from './areas';
import { trials } from '../testing/trials';

const window = (over: Partial<Opening> = {}): Opening => ({
  id: 'w',
  wall: 1,
  kind: 'window',
  leftMm: 100,
  bottomMm: 900,
  widthMm: 800,
  heightMm: 1200,
  returns: 'cased',
  ...over,
});
const angles = (room: Room, id: string) => {
  const survey = surveyRoom(room, TYPICAL);
  const from = sourceAt(room, survey, id)!;
  return Object.fromEntries(survey.faces.map((face) => [face.id, from && grazingOn(face, from)?.angleDeg]));
};

describe('light by its place', () => {
  // The room is 4800 × 3600 × 2400; wall 1 is a short one. The window's middle: 500 from one end, 1500 up.
  const lit = angles(plainRoom({ openings: [window()] }), 'w');

  it('grazes the walls beside it and the ceiling, by pencil', () => {
    const deg = (off: number, along: number) => (Math.atan2(off, along) * 180) / Math.PI;
    const sides = [lit['wall-0'], lit['wall-2']].sort((a, b) => a! - b!);
    expect(sides[0]).toBeCloseTo(deg(500, 4800), 6);
    expect(sides[1]).toBeCloseTo(deg(3100, 4800), 6);
    expect(lit['ceiling']).toBeCloseTo(deg(900, 4800), 6);
    expect(lit['wall-3']).toBeCloseTo(deg(4800, 3100), 6);
  });

  it('does not fall on the wall it comes through', () => {
    expect(lit['wall-1']).toBeUndefined();
  });

  it('falls flatter the nearer a lamp hangs to the ceiling', () => {
    const at = (heightMm: number) =>
      angles(plainRoom({ lamps: [{ id: 'l', at: [2400, 1800], heightMm }] }), 'l')['ceiling']!;
    const found = [2000, 2200, 2350].map(at);
    expect(found[0]!).toBeGreaterThan(found[1]!);
    expect(found[1]!).toBeGreaterThan(found[2]!);
    expect(found[2]!).toBeCloseTo((Math.atan2(50, 2400) * 180) / Math.PI, 6);
  });

  it('makes the room critical where it grazes any face of it, and asks for more', () => {
    const room = plainRoom({ openings: [window()], light: { kind: 'ordinary', from: 'w' } });
    const [made] = plan(jobOf([room])).rooms;
    expect(made?.areas).toHaveLength(1);
    expect(made?.areas[0]?.light).toMatchObject({ kind: 'critical', grazingDeg: 5.9, from: 'w' });
    expect(made?.advice.map((a) => a.code)).toContain('A-LEVEL');
  });

  it('is as stated where the window is gone', () => {
    const room = plainRoom({ light: { kind: 'critical', grazingDeg: 5, from: 'gone' } });
    expect(plan(jobOf([room])).rooms[0]?.areas[0]?.light.grazingDeg).toBe(5);
  });
});

describe('faces that differ', () => {
  const room = plainRoom({
    faces: { 'wall-0': { finish: { scale: 'level', grade: 5 }, decoration: 'gloss' } },
    damage: [{ id: 'd', face: 'wall-0', at: [1000, 1000], kind: 'dent', sizeMm: 40 }],
  });
  const [made] = plan(jobOf([room])).rooms;

  it('are an area of their own; an angle goes with the finer of its faces', () => {
    expect(made?.areas.map((a) => [a.id, said(a.name)])).toEqual([
      ['plain', 'the rest of the room'],
      ['plain/wall-0', 'wall 1'],
    ]);
    const [rest, wall] = made!.areas;
    // Wall 1 is 4.8 × 2.4 m: its two corners and its ceiling angle go with it.
    expect(wall?.use.amounts.angles).toBe(4800 + 2 * 2400);
    expect(rest?.use.amounts.angles).toBe(26400 - 9600);
    expect(wall?.use.amounts.face).toBe(11.52e6);
    expect(rest?.rows.find((row) => row.element === 'face')?.cells).toEqual([]);
    expect(wall?.rows.map((row) => row.element)).toContain('repairs');
    expect(rest?.rows.map((row) => row.element)).not.toContain('repairs');
  });

  it('share the room out and lose nothing of it', () => {
    fc.assert(
      fc.property(anyShape, fc.integer({ min: 0, max: 5 }), (shape, grade) => {
        const split: Room = {
          ...shape,
          faces: { ...shape.faces, 'wall-1': { finish: { scale: 'level', grade: grade as 4 } } },
        };
        const survey = surveyRoom(split, TYPICAL);
        const areas = areasOf(split, survey);
        const sum = (of: (s: typeof survey) => number) => areas.reduce((all, a) => all + of(a.survey), 0);
        const joints = areas.flatMap((a) => a.survey.joints.map((j) => j.id)).sort();
        return (
          Math.abs(sum((s) => s.boardAreaM2) - survey.boardAreaM2) < 1e-6 &&
          sum((s) => s.fasteners) === survey.fasteners &&
          JSON.stringify(joints) === JSON.stringify(survey.joints.map((j) => j.id).sort())
        );
      }),
      { numRuns: trials(30) },
    );
  });

  it('are judged and cured by themselves', () => {
    const glossy = plainRoom({ faces: { 'wall-0': { decoration: 'gloss' } } });
    const found = plan(jobOf([glossy])).advice.find((a) => a.code === 'A-LEVEL');
    expect(found?.place.area).toBe('plain/wall-0');
    expect(found?.cures[0]?.changes).toEqual([
      { room: 'plain', path: ['faces', 'wall-0', 'finish'], value: { scale: 'level', grade: 5 } },
    ]);
  });
});

it('keeps the demo rooms whole: one area each, and all joints in one row of its board', () => {
  for (const name of ['tarn-ferry', 'pier-house'] as const)
    for (const room of plan(demoJob(name)).rooms) {
      const inRows = room.areas.flatMap((a) => a.rows.flatMap((row) => row.joints));
      expect(inRows.sort()).toEqual(room.joints.map((j) => j.id).sort());
    }
});
