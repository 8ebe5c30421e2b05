import type { Finish, Job, Room } from '../job';
import { plan, type Plan } from '../plan';
import { jobOf, plainRoom, said } from '../testing/samples';
import { PRESETS } from '../way';
import { applyChanges } from './cure';
import { adviceKey } from './types';

/** New board tied into an old ceiling, with what its joint does. */
const tied = (humpMm: number, over: Partial<Room> = {}): Room =>
  plainRoom({
    oldClear: true,
    seams: [{ id: 's', face: 'ceiling', runs: 'up', atMm: 1800, old: 'low', stepMm: 0 }],
    joints: { 'seam-s': { humpMm } },
    ...over,
  });
const hollows = (made: Plan) => made.advice.filter((a) => a.code === 'A-HOLLOW');
const hollow = (job: Job) => hollows(plan(job));
const curedAs = (job: Job, made: Plan): Job => {
  const next = structuredClone(job);
  applyChanges(next, hollows(made)[0]!.cures[0]!.changes!);
  return next;
};
const cured = (job: Job): Job => curedAs(job, plan(job));

it.each(PRESETS.map((preset) => [preset.id, preset.way] as const))(
  'says a belly of 15 mm and a hump of 10 mm in ordinary light, and floats them with setting compound: %s',
  (_, way) => {
    for (const humpMm of [-15, 10]) {
      const job = jobOf([tied(humpMm)], { way });
      const before = plan(job);
      expect(said(hollows(before)[0]!.reason)).toContain(`The ${humpMm < 0 ? 'dip' : 'hump'} at this butt`);
      const after = plan(curedAs(job, before));
      const codes = after.advice.map((a) => a.code);
      // Nobody makes a blade as wide as a float, and none is asked for.
      for (const code of ['A-HOLLOW', 'A-KIT', 'A-TOOL', 'A-MESH']) expect(codes).not.toContain(code);
      const floated = after.rooms[0]!.use.uses.filter((u) => u.float);
      expect(floated[0]).toMatchObject({
        coat: 'fill',
        compound: 'setting-light',
        hardens: { how: 'setting' },
      });
      expect(floated[0]!.waitMin).toBeLessThan(12 * 60);
      // It adds no week: a day at most to the room's own three.
      const last = (made: Plan) => Date.parse(`${made.days.finish!}Z`) / 864e5;
      expect(last(after)).toBeLessThan(Math.max(last(before), Date.parse('2026-12-03T00:00Z') / 864e5) + 1);
    }
  },
);

it('holds a hollow against what the grade takes, and against nothing where looks do not count', () => {
  const found = (finish: Finish, humpMm: number) => hollow(jobOf([tied(humpMm, { finish })])).length;
  const level = (grade: 1 | 2 | 3 | 4 | 5): Finish => ({ scale: 'level', grade });
  // A belly of 6.15 mm: a fill of 400 leaves over 5 mm of it, a finish of 600 over it between 2 and 3.
  expect([1, 2, 3, 4, 5].map((grade) => found(level(grade as 1), -6.15))).toEqual([0, 1, 1, 0, 1]);
  expect(found(level(1), -15)).toBe(0);
  expect(found(level(2), -15)).toBe(1);
  expect(found({ scale: 'q', grade: 3 }, -6)).toBe(1);
});

it('goes by the book, and lays coats over a float that its grade does not ask for', () => {
  const job = jobOf([tied(-15, { finish: { scale: 'level', grade: 2 } })]);
  const next = cured(job);
  const row = plan(next).rooms[0]!.areas[0]!.rows.find((r) => r.joints.includes('seam-s'))!;
  expect(row.cells.map((cell) => cell.coat).slice(-2)).toEqual(['fill', 'finish']);
  expect(hollow({ ...job, shop: { figures: { hollowRoughMm: 20 } } })).toEqual([]);
});

it('a drying float is only laid where it is asked for by hand, and its weeks are said', () => {
  const next = cured(jobOf([tied(-15)]));
  const cells = next.rooms[0]!.joints!['seam-s']!.cells!;
  cells.fill!.compound = 'drying-all-purpose';
  const humid = plan(next).advice.find((a) => a.code === 'A-HUMID');
  expect(said(humid!.reason)).toMatch(/The float would take \d{3} h/);
});

it('tells two troubles of one row apart: setting one aside leaves the other', () => {
  const room = plainRoom({
    decoration: 'satin',
    light: { kind: 'critical', grazingDeg: 4 },
    joints: { 'wall-0.butt-1': { humpMm: 2 } },
  });
  const job = jobOf([room]);
  const made = plan(job);
  const butts = (of: Plan) =>
    of.advice.filter((a) => a.code === 'A-WIDTH' && a.place.row?.startsWith('butts'));
  const [plain, humped] = [
    butts(made).find((a) => a.place.joint === undefined)!,
    butts(made).find((a) => a.place.joint === 'wall-0.butt-1')!,
  ];
  expect(adviceKey(plain)).not.toBe(adviceKey(humped));
  const aside = { ...job, setAside: [{ key: adviceKey(plain), reason: 'agreed', date: '2026-11-30' }] };
  expect(butts(plan(aside)).map(adviceKey)).toEqual([adviceKey(humped)]);
  const keys = made.advice.map(adviceKey);
  expect(new Set(keys).size).toBe(keys.length);
});
