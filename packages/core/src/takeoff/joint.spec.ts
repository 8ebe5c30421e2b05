import { TYPICAL } from '../book';
import { suppliedWith } from '../compound';
import { plan } from '../plan';
import { demoJob, jobOf, plainRoom } from '../testing/samples';
import { jointMinutes, jointMudL, jointSection, plainJoint, rowOfJoint } from './joint';

const BOOK = suppliedWith(TYPICAL, undefined);

it('shares the mud of a room out over its joints and heads, and no more', () => {
  for (const job of [demoJob('tarn-ferry'), demoJob('pier-house')]) {
    for (const room of plan(job).rooms) {
      const joints = room.joints.reduce(
        (sum, joint) =>
          sum +
          jointMudL(
            joint,
            rowOfJoint(
              room.areas.flatMap((a) => a.rows),
              joint,
            )!,
            room.use,
            job.way,
            BOOK,
          ),
        0,
      );
      const rest = room.use.uses
        .filter((u) => ['heads', 'repairs', 'face'].includes(u.element))
        .reduce((sum, u) => sum + u.wetL, 0);
      expect(joints + rest).toBeCloseTo(room.use.wetL, 9);
    }
  }
});

it('cuts a butt across, coat over coat, each at least as high', () => {
  const job = jobOf([plainRoom({ joints: { 'wall-0.butt-1': { humpMm: 1.6 } } })]);
  const room = plan(job).rooms[0]!;
  const butt = room.joints.find((j) => j.id === 'wall-0.butt-1')!;
  const section = jointSection(butt, rowOfJoint(room.areas[0]!.rows, butt)!, job.way, BOOK)!;
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
  expect(jointSection(angle, rowOfJoint(room.areas[0]!.rows, angle)!, jobOf([]).way, BOOK)).toBeUndefined();
  // 4.8 m of 45 mL for the tape and 25 mL for each face.
  expect(
    jointMudL(angle, rowOfJoint(room.areas[0]!.rows, angle)!, room.use, jobOf([]).way, BOOK),
  ).toBeCloseTo(4.8 * 0.095, 9);
});

it('says what trouble costs: a gap of 6 mm over 1.2 m of 12.5 mm board is 90 mL and its own minutes', () => {
  const job = jobOf([plainRoom({ joints: { 'wall-0.butt-1': { gapMm: 6 } } })]);
  const room = plan(job).rooms[0]!;
  const butt = room.joints.find((j) => j.id === 'wall-0.butt-1')!;
  const plain = plainJoint(butt, BOOK);
  const row = rowOfJoint(room.areas[0]!.rows, butt)!;
  const mud = (joint: typeof butt) => jointMudL(joint, row, room.use, job.way, BOOK);
  expect(mud(butt) - mud(plain)).toBeCloseTo(0.09, 9);
  // 1.2 m at 60 m an hour.
  const minutes = (joint: typeof butt) => jointMinutes(joint, row, job.way, BOOK);
  expect(minutes(butt) - minutes(plain)).toBeCloseTo(1.2, 9);
  // Taped at 30 m an hour, filled and finished at 25 each.
  expect(minutes(plain)).toBeCloseTo((1.2 / 30 + 2 * (1.2 / 25)) * 60, 9);
});
