import { plan, type CoatRun } from '@lisse/core';
import { sampleJob } from '../../testing/app';
import { drawRun } from './run-drawing';

const [room] = plan(sampleJob({})).rooms;
const run = room!.runs[0]!;
const points = (path: string): number[][] =>
  path
    .slice(1)
    .split('L')
    .map((at) => at.split(' ').map(Number));

it('draws every joint of the run within its frame, in the order it is run', () => {
  const { stops, faces } = drawRun(room!, run, 520, 360);
  expect(stops.map(({ id }) => id)).toEqual(run.joints);
  expect(stops.map(({ n }) => n)).toEqual(run.joints.map((_, i) => i + 1));
  expect(faces).toHaveLength(room!.faces.length);
  for (const { path, x, y } of stops) {
    const [from, to] = points(path) as [[number, number], [number, number]];
    expect(x).toBeCloseTo((from[0] + to[0]) / 2, 0);
    expect(y).toBeCloseTo((from[1] + to[1]) / 2, 0);
    for (const [px, py] of [from, to]) {
      expect(px >= 0 && px <= 520).toBe(true);
      expect(py >= 0 && py <= 360).toBe(true);
    }
  }
});

it('has a tool refilled on the joint it runs out on, and no further along than that is long', () => {
  const { id, lengthMm } = room!.joints.find((joint) => joint.id === run.joints[0])!;
  const refilled: CoatRun = {
    ...run,
    refills: [
      { joint: id, atMm: lengthMm / 2 },
      { joint: id, atMm: lengthMm * 3 },
      { joint: 'none', atMm: 0 },
    ],
  };
  const { stops, refills } = drawRun(room!, refilled, 520, 360);
  const [, to] = points(stops[0]!.path) as [number[], number[]];
  expect(refills).toHaveLength(2);
  expect(refills[0]!.x).toBeCloseTo(stops[0]!.x, 6);
  expect(refills[1]!.x).toBeCloseTo(to[0]!, 0);
});

it('lays the wet side of an angle on the face that was picked, each side apart', () => {
  const angle = room!.joints.find(({ kind }) => kind === 'inside-angle')!;
  const side = (face: string): string | undefined =>
    drawRun(room!, { ...run, faces: [{ joint: angle.id, face }] }, 520, 360).stops.find(
      ({ id }) => id === angle.id,
    )?.side;
  const other = room!.faces.find(({ id }) => id !== angle.face)!.id;
  expect(side(angle.face)).toMatch(/^M/);
  expect(side(other)).toMatch(/^M/);
  expect(side(other)).not.toBe(side(angle.face));
});
