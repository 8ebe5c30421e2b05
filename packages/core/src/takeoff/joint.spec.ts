import { TYPICAL } from '../book';
import { plan } from '../plan';
import { demoJob, jobOf, plainRoom } from '../testing/samples';
import { jointMudL, jointSection } from './joint';

it('shares the mud of a room out over its joints and heads, and no more', () => {
  for (const job of [demoJob('tarn-ferry'), demoJob('pier-house')]) {
    for (const room of plan(job).rooms) {
      const joints = room.joints.reduce(
        (sum, joint) => sum + jointMudL(joint, room.cells, room.use, job.way, TYPICAL),
        0,
      );
      const rest = room.use.uses
        .filter((u) => u.element === 'heads' || u.element === 'face')
        .reduce((sum, u) => sum + u.wetL, 0);
      const prefill = room.use.uses
        .filter((u) => u.coat === 'prefill' && (u.element === 'flats' || u.element === 'butts'))
        .reduce((sum, u) => sum + u.wetL, 0);
      expect(joints + rest + prefill).toBeCloseTo(room.use.wetL, 9);
    }
  }
});

it('cuts a butt across, coat over coat, each at least as high', () => {
  const job = jobOf([plainRoom({ joints: { 'wall-0.butt-1': { humpMm: 1.6 } } })]);
  const room = plan(job).rooms[0]!;
  const butt = room.joints.find((j) => j.id === 'wall-0.butt-1')!;
  const section = jointSection(butt, room.cells, job.way, TYPICAL)!;
  expect(section.layers.map((l) => [l.coat, l.bandMm])).toEqual([
    ['tape', 100],
    ['fill', 400],
    ['finish', 600],
  ]);
  let below = section.bare;
  for (const { surface } of section.layers) {
    expect(surface.every((y, i) => y >= (below[i] as number) - 1e-9)).toBe(true);
    below = surface;
  }
  expect(Math.max(...section.bare)).toBeCloseTo(1.6, 6);
});

it('has no section for an angle', () => {
  const room = plan(jobOf([plainRoom()])).rooms[0]!;
  const angle = room.joints.find((j) => j.kind === 'inside-angle')!;
  expect(jointSection(angle, room.cells, jobOf([]).way, TYPICAL)).toBeUndefined();
  // 4.8 m of 45 mL for the tape and 25 mL for each face.
  expect(jointMudL(angle, room.cells, room.use, jobOf([]).way, TYPICAL)).toBeCloseTo(4.8 * 0.095, 9);
});
