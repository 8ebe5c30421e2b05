import { plan } from '../plan';
import { demoJob, jobOf, plainRoom } from '../testing/samples';
import { bookWith, TYPICAL } from '../book';
import { suppliedWith } from '../compound';
import { sectionInput } from '../takeoff';
import { dialOf, PRESETS } from '../way';
import { simulate } from './simulate';

const bare = {
  edge: 'taper' as const,
  taperDepthMm: 1.6,
  taperWidthMm: 60,
  humpMm: 0,
  humpSpanMm: 400,
  lippageMm: 0,
};
const bed = { bedMm: 0.6, rampMm: 50, tapeWidthMm: 52, tapeMm: 0.23 };
const box = (widthMm: number, camberMm: number) => [{ offsetMm: 0, widthMm, camberMm, boxed: true }];
const DIAL = dialOf(TYPICAL);
const dial = { filmMm: 0.25, stepsMm: DIAL };

it('opens a box until it leaves a film over what stands, and never closer than its usual step', () => {
  const [, fill, finish] = simulate(bare, [
    { bed, pulls: [], shrink: 0.18 },
    { pulls: box(250, 0.5), dial, shrink: 0.18 },
    { pulls: box(300, 0.3), dial, shrink: 0.18 },
  ]);
  expect(fill!.dialMm).toBeGreaterThanOrEqual(0.5);
  expect(DIAL).toContain(finish!.dialMm);
  const middle = (fill!.surface.length - 1) / 2;
  for (let x = -37; x <= 37; x++)
    expect(finish!.wet[middle + x]! - fill!.surface[middle + x]!).toBeGreaterThanOrEqual(0.25 - 1e-9);
  // A step less would not do, unless it is the usual one.
  const closer = DIAL.find((mm) => mm < finish!.dialMm! - 1e-9)!;
  const [, , less] = simulate(bare, [
    { bed, pulls: [], shrink: 0.18 },
    { pulls: box(250, 0.5), dial, shrink: 0.18 },
    { pulls: box(300, closer), shrink: 0.18 },
  ]);
  const least = Math.min(
    ...Array.from({ length: 75 }, (_, i) => less!.wet[middle + i - 37]! - fill!.surface[middle + i - 37]!),
  );
  expect(least).toBeLessThan(0.25);
});

const machine = PRESETS.find((preset) => preset.way.tools === 'machine')!.way;

it('leaves a finish by box that comes near the one by knife, and mud near the usual', () => {
  const finish = (way: typeof machine) => {
    const use = plan(jobOf([plainRoom()], { way })).rooms[0]!.use;
    const flats = use.uses.find((u) => u.element === 'flats' && u.coat === 'finish')!;
    return flats.wetL / flats.amount;
  };
  const share = finish(machine) / finish(PRESETS[0]!.way);
  expect(share).toBeGreaterThan(0.6);
  expect(share).toBeLessThan(1.2);
});

it('machine tools do not warn against themselves', () => {
  const rooms = demoJob('tarn-ferry').rooms.map((room) => ({ ...room, cells: {}, oldClear: true }));
  const codes = plan({ ...demoJob('tarn-ferry'), rooms, way: machine }).advice;
  expect(codes.filter((a) => a.code === 'A-WIDTH' && a.place.cause === 'lap')).toEqual([]);
  expect(codes.filter((a) => a.severity === 'stop')).toEqual([]);
});

it('goes by the dial of one’s own box: the plan sets one of its steps, and closes it no further', () => {
  const own = { dialOpenMm: 0.9, dialStepMm: 0.09 };
  const steps = dialOf(bookWith(own));
  const uses = plan(jobOf([plainRoom()], { way: machine, shop: { figures: own } })).rooms[0]!.use.uses;
  const set = uses.flatMap(({ dialMm }) => dialMm ?? []);
  expect(set.length).toBeGreaterThan(1);
  set.forEach((mm) => expect(Math.min(...steps.map((step) => Math.abs(step - mm)))).toBeLessThan(1e-9));
  // Closed by hand further than the dial goes, on the plan and wherever else a joint is cut across.
  const job = jobOf([plainRoom()], { way: machine, shop: { figures: own } });
  const { joints, areas } = plan(job).rooms[0]!;
  const row = areas[0]!.rows.find(({ element }) => element === 'flats')!;
  const closed = row.cells.map((cell) => ({
    ...cell,
    pulls: cell.pulls.map((pull) => ({ ...pull, camberMm: 0.1 })),
  }));
  const joint = joints.find(({ id }) => row.joints.includes(id))!;
  const { coats } = sectionInput(joint, closed, job.way, suppliedWith(bookWith(own), job));
  const boxed = coats.flatMap(({ pulls }) => pulls.filter((pull) => pull.boxed));
  expect(boxed.length).toBeGreaterThan(1);
  boxed.forEach(({ camberMm }) => expect(camberMm).toBeGreaterThanOrEqual(0.45 - 1e-9));
});
