import { TYPICAL } from './book';
import type { Climate, Job, Room } from './job';
import { plan, Reuse } from './plan';
import { demoJob, jobOf, plainRoom, said } from './testing/samples';
import { Trial } from './tried';
import { PRESETS } from './way';

const trial = (code: string, room: Partial<Room>, over: Partial<Job>, text: RegExp) => {
  const job = jobOf([plainRoom(room)], over);
  const advice = plan(job).advice.find((a) => a.code === code)!;
  const cure = advice.cures.find((c) => text.test(said(c.text)))!;
  return new Trial(job).try(advice, cure.changes!);
};
const { calendar, way } = jobOf([]);
const climate = (over: Partial<Climate>): Partial<Job> => ({ climate: { ...jobOf([]).climate, ...over } });

it('says how much sooner, for how much more, and that the trouble is gone', () => {
  const late = { calendar: { ...calendar, deadline: '2026-12-01' } };
  const found = trial('A-LATE', {}, late, /setting compound/);
  expect(found).toMatchObject({ cured: true, helps: true, brings: [] });
  expect(found.ready[1]! < found.ready[0]!).toBe(true);
});

it('finds out a press that changes nothing', () => {
  // One short coat a day: more hands end it sooner in the day, and still no day sooner.
  const tiny: Partial<Room> = { plan: { lengthMm: 1500, widthMm: 1500, heightMm: 2400 } };
  const late = { calendar: { ...calendar, crew: 3, deadline: '2026-11-30' } };
  const found = trial('A-LATE', tiny, late, /Add one person/);
  expect(found).toMatchObject({ cured: false, helps: false });
  expect(found.ready[1]).toBe(found.ready[0]);
});

it('finds by what is kept of the job what it finds without, and leaves that as it was', () => {
  const job = demoJob('tarn-ferry');
  const reuse = new Reuse();
  const before = plan(job, TYPICAL, reuse);
  const [kept, fresh] = [new Trial(job, TYPICAL, reuse), new Trial(job)];
  const tried = before.advice.flatMap((advice) =>
    advice.cures.flatMap(({ changes }) => (changes ? [[advice, changes] as const] : [])),
  );
  expect(tried.length).toBeGreaterThan(3);
  for (const [advice, changes] of tried)
    expect(kept.try(advice, changes)).toEqual(fresh.try(advice, changes));
  kept.try(before.advice[0]!, [{ path: ['way', 'tape'], value: 'mat' }]);
  expect(plan(job, TYPICAL, reuse).rooms.map((room, i) => room === before.rooms[i])).toEqual(
    before.rooms.map(() => true),
  );
});

it('says what stop a press leads to', () => {
  const glossy = plainRoom({ decoration: 'gloss' });
  const job = jobOf([glossy], { way: { ...way, tape: 'mesh', compounds: 'setting-below' } });
  const found = new Trial(job).try(plan(job).advice[0]!, [{ path: ['way', 'compounds'], value: 'drying' }]);
  expect(found.brings).toContainEqual({ code: 'A-MESH', severity: 'stop' });
});

it('leads to no other stop unsaid: machine tools and painted faces with mesh tape', () => {
  const machine = PRESETS.find((preset) => preset.way.tools === 'machine')!.way;
  const meshed = { way: { ...machine, tape: 'mesh' as const, compounds: 'setting-below' as const } };
  expect(trial('A-TOOL', {}, meshed, /drying compound in the tools, and tape with paper/)).toMatchObject({
    cured: true,
    brings: [],
  });
  const painted = { way: { ...way, tape: 'mesh' as const, compounds: 'setting-below' as const } };
  expect(trial('A-PAINTED', { substrate: 'painted' }, painted, /drying compound here/).brings).toEqual([]);
});

it('says that a press helps and is not enough', () => {
  const job = jobOf([plainRoom()], climate({ tempC: -10, rhPct: 98, air: 'still' }));
  const advice = plan(job).advice.find((a) => a.code === 'A-HUMID')!;
  expect(new Trial(job).try(advice, [{ path: ['climate', 'air'], value: 'fan' }])).toMatchObject({
    cured: false,
    helps: true,
  });
});

it('better air costs its hire and its power', () => {
  const job = jobOf([plainRoom()], climate({ tempC: 12, rhPct: 80, air: 'still' }));
  const advice = plan(job).advice.find(({ code }) => code === 'A-SLOW')!;
  const cures = advice.cures.filter(({ changes }) => changes);
  const both = cures.find(({ changes }) => changes!.length === 2)!;
  const tried = new Trial(job).try(advice, both.changes!);
  expect(tried.ready[1]! < tried.ready[0]!).toBe(true);
  // A heater for two days more than the dehumidifier, each for at least three.
  const { labourMin, cost } = tried;
  expect(cost - (labourMin / 60) * TYPICAL.priceHour.value).toBeGreaterThan(3 * 30 + 5 * 20);
});
