import { say } from '../texts';
import { TYPICAL } from '../book';
import { plan, type Plan } from '../plan';
import { PRESETS } from '../way';
import { boardedOpening, demoJob, jobOf, plainRoom } from '../testing/samples';

const level4 = plan(jobOf([plainRoom()]));

it('adds up the plain room as pencil does', () => {
  const use = (element: string, coat: string) =>
    level4.rooms[0]?.use.uses.find((u) => u.element === element && u.coat === coat)?.wetL ?? 0;
  expect(use('flats', 'tape')).toBeCloseTo(27.6 * 0.0969, 4);
  expect(use('angles', 'tape')).toBeCloseTo(26.4 * 0.045, 6);
  expect(use('angles', 'fill')).toBeCloseTo(26.4 * 0.025, 6);
  expect(use('heads', 'tape')).toBeCloseTo(472 * 0.0007, 6);
  expect(level4.totals.tapeMm.paper).toBe(27600 + 4800 + 26400);
  expect(level4.order.tape).toMatchObject({ withWasteMm: 58800 * 1.05 });
});

it('takes longer for more lanes, as a hump typed in Rooms asks for them, and the days follow', () => {
  const wide = jobOf([plainRoom({ cells: { 'butts.finish': { bandMm: 1000 } } })]);
  const finish = (p: typeof level4) =>
    p.rooms[0]!.use.uses.find((u) => u.element === 'butts' && u.coat === 'finish')!;
  const [usual, more] = [level4, plan(wide)];
  // Five pulls in place of three: half the pace goes by length, half by pull.
  expect(finish(more).minutes / finish(usual).minutes).toBeCloseTo(0.5 + (0.5 * 5) / 3, 9);
  const work = ({ days }: Plan) =>
    days.tasks.reduce((sum, { labourMin, mixMin }) => sum + labourMin - mixMin, 0);
  expect(work(more) - work(usual)).toBeCloseTo(finish(more).minutes - finish(usual).minutes, 6);
  const humped = plan(jobOf([plainRoom({ joints: { 'wall-0.butt-1': { humpMm: -4 } } })]));
  expect(humped.totals.wetL).toBeGreaterThan(usual.totals.wetL);
});

it('counts the same mud by class, by coat and by room', () => {
  for (const name of ['tarn-ferry', 'pier-house'] as const) {
    const { totals, rooms, order } = plan(demoJob(name));
    const sum = (of: Record<string, number>) => Object.values(of).reduce((a, b) => a + b, 0);
    expect(sum(totals.wetLByClass)).toBeCloseTo(totals.wetL, 9);
    expect(sum(totals.wetLByCoat)).toBeCloseTo(totals.wetL, 9);
    expect(rooms.reduce((s, r) => s + r.use.wetL, 0)).toBeCloseTo(totals.wetL, 9);
    expect(order.compounds.reduce((s, c) => s + c.exactL, 0)).toBeCloseTo(totals.wetL, 9);
  }
});

it('fills the wedge beside a bead coat by coat', () => {
  const corner = plainRoom({
    openings: [boardedOpening()],
  });
  const done = plan(jobOf([corner]));
  const use = (coat: string) =>
    done.rooms[0]?.use.uses.find((u) => u.element === 'corners' && u.coat === coat)?.wetL ?? 0;
  // Two faces of ½ × 1.6 × 100 mm² over 5 m of edge; then out to 125 mm over what stayed of it.
  expect(use('tape')).toBeCloseTo(5 * 2 * 0.08, 6);
  expect(use('fill')).toBeCloseTo(5 * 2 * (0.1 - 0.08 * 0.82), 6);
  // Two jambs stop 12 mm above the floor.
  expect(done.order.beads[0]?.exactMm).toBe(5000 - 24);
});

it('prefills only gaps over the threshold, or every joint when told', () => {
  const gap = { joints: { 'wall-0.flat-1': { gapMm: 5 } } };
  const over = plan(jobOf([plainRoom(gap)]));
  expect(over.totals.wetLByCoat.prefill).toBeCloseTo((5 * 12.5 * 4.8) / 1000, 9);
  const way = { ...(PRESETS[0] as (typeof PRESETS)[number]).way, prefillWhen: 'every' as const };
  expect(plan(jobOf([plainRoom(gap)], { way })).totals.wetLByCoat.prefill).toBeGreaterThan(1);
});

describe('the sanity check', () => {
  it('holds the demo level-4 rooms by hand in drying compound against the usual, or says why not', () => {
    const job = demoJob('tarn-ferry');
    const rooms = job.rooms.filter((r) => r.finish.grade === 4);
    const { sanity } = plan({ ...job, rooms, way: (PRESETS[0] as (typeof PRESETS)[number]).way }).order;
    expect(rooms.length).toBeGreaterThan(1);
    expect(sanity?.mudLPer100).toBeGreaterThan(20);
    if (sanity?.verdict !== 'usual') expect(sanity?.reasons.length).toBeGreaterThan(0);
    expect(sanity?.usual.mud).toEqual([TYPICAL.usualLowL.value, TYPICAL.usualHighL.value]);
  });

  it('names the skim when there is one, and stays silent without mud', () => {
    expect(
      plan(jobOf([plainRoom({ finish: { scale: 'level', grade: 5 } })])).order.sanity?.reasons,
    ).toContainEqual(say('because.skimmed'));
    expect(plan(jobOf([plainRoom({ finish: { scale: 'level', grade: 0 } })])).order.sanity).toBeUndefined();
    expect(plan(jobOf([])).order).toMatchObject({ compounds: [], massKg: 0, sanity: undefined });
  });
});
