import * as fc from 'fast-check';
import { TYPICAL } from '../book';
import { suppliedWith } from '../compound';
import { visitsBy, fewestVisits, mendSteps, type DayTask } from '../days';
import {
  BARES,
  DAMAGES,
  MENDINGS,
  MEND_PASSES,
  type Bare,
  type Damage,
  type DamageKind,
  type Job,
  type Mending,
  type Room,
} from '../job';
import { plan, type Plan } from '../plan';
import { REPAIR } from '../repair';
import { jobOf, plainRoom, said } from '../testing/samples';
import type { Mend } from './mend';
import { trials } from '../testing/trials';

const book = suppliedWith(TYPICAL, undefined);
const MIXES = { early: 0.6, late: 1.5 };

const spotOf = (kind: DamageKind, sizeMm: number, more: Partial<Damage> = {}): Damage => ({
  id: `${kind}-${sizeMm}`,
  kind,
  sizeMm,
  apart: true,
  ...more,
});

/** A standing room that is counted and not drawn, with what is damaged in it. */
const standing = (damage: Damage[], more: Partial<Room> = {}): Room =>
  plainRoom({ plan: { counted: true, heightMm: 2400 }, standing: true, damage, ...more });

const mendOf = (spot: Damage, mending: Mending = 'one-visit', over: Partial<Job> = {}): Mend => {
  const job = jobOf([standing([spot])], over);
  job.way = { ...job.way, mending };
  return plan(job).rooms[0]!.mends[0]!;
};

/**
 * What a finisher would say of each, by hand: its passes of mud, and its hours from the first touch until it is sanded,
 * waits at their latest, at 20 °C and 50 % in still air.
 */
const JUDGED: Record<
  DamageKind,
  { sizes: [number, number, number]; bare: [number, number]; passes: string }
> = {
  dent: { sizes: [10, 30, 60], bare: [2, 3.5], passes: 'fill finish' },
  'popped-head': { sizes: [8, 12, 20], bare: [2, 3.5], passes: 'fill finish' },
  'anchor-hole': { sizes: [6, 12, 25], bare: [2, 3.5], passes: 'prefill finish' },
  'small-hole': { sizes: [50, 100, 150], bare: [3, 5], passes: 'tape fill finish' },
  'large-hole': { sizes: [200, 400, 800], bare: [4, 7.5], passes: 'prefill tape fill finish' },
  'failed-tape': { sizes: [300, 1000, 2400], bare: [4, 6.5], passes: 'seal tape fill finish' },
  'crushed-joint': { sizes: [200, 600, 1200], bare: [4, 6], passes: 'prefill tape fill finish' },
  step: { sizes: [600, 1200, 3600], bare: [3, 6], passes: 'tape fill finish' },
  texture: { sizes: [1000, 3000, 5000], bare: [7.5, 24], passes: 'seal skim skim' },
  blister: { sizes: [50, 150, 300], bare: [4, 6], passes: 'seal tape fill finish' },
  ridge: { sizes: [300, 1200, 2400], bare: [4, 6.5], passes: 'prefill tape fill finish' },
  stain: { sizes: [100, 400, 1200], bare: [2.5, 5], passes: 'seal finish' },
  'corner-crack': { sizes: [200, 600, 1500], bare: [4, 6.5], passes: 'prefill tape fill finish' },
  bead: { sizes: [300, 1000, 2400], bare: [3, 6.5], passes: 'tape fill finish' },
  low: { sizes: [300, 600, 1200], bare: [2.5, 4.5], passes: 'fill finish' },
  proud: { sizes: [300, 1200, 2400], bare: [1.5, 3], passes: 'finish' },
  rough: { sizes: [50, 200, 600], bare: [1.5, 3], passes: 'finish' },
  angle: { sizes: [600, 2400, 4800], bare: [2, 4.5], passes: 'fill finish' },
};

const sealOr = ({ coat }: Mend['layers'][number]): string => coat ?? 'seal';

describe('how spots are mended by themselves', () => {
  for (const kind of DAMAGES) {
    const { sizes, bare, passes } = JUDGED[kind];
    for (const on of BARES)
      it(`${kind}, ${on}, in three sizes`, () => {
        let before = 0;
        for (const sizeMm of sizes) {
          const mend = mendOf(spotOf(kind, sizeMm, { on }));
          expect(mend.layers.map(sealOr).join(' ')).toBe(passes);
          const hours = mend.takesMin / 60;
          expect(hours).toBeGreaterThan(bare[0]);
          // On paint every wait for setting is twice as long, and nothing else changes by more than a scuff.
          const setting = mend.layers.filter(({ how, compound }) => how === 'setting' && compound).length;
          expect(hours).toBeLessThan(bare[1] + (on === 'painted' ? 1.2 * setting : 0));
          // A larger one takes more mud, and no less time.
          const wetL = mend.layers.reduce((sum, layer) => sum + layer.wetL, 0);
          expect(wetL).toBeGreaterThan(before);
          before = wetL;
          expect(mend.oneVisit).toBe(mend.takesMin <= 500);
          expect(said(mend.why.rule)).not.toBe('');
        }
      });
  }

  it('scuffs paint, and only paint', () => {
    expect(mendOf(spotOf('dent', 30, { on: 'painted' })).steps).toContain('scuff');
    expect(mendOf(spotOf('dent', 30, { on: 'bare' })).steps).not.toContain('scuff');
  });

  it('waits three times the bag on paint, one and a half times on bare board', () => {
    const fill = (on: Bare) => mendOf(spotOf('dent', 30, { on })).layers.find(({ coat }) => coat === 'fill')!;
    expect(fill('bare').setMin).toBe(20);
    expect(fill('bare').hardenMin).toBeCloseTo(30, 5);
    expect(fill('painted').hardenMin).toBeCloseTo(60, 5);
    expect(fill('painted').lateMin).toBeCloseTo(60 * MIXES.late, 5);
    expect(fill('painted').earlyMin).toBeCloseTo(60 * MIXES.early, 5);
  });

  it('takes the quickest bag that serves the pass in four pans: 150 pops want a slower one than three', () => {
    const few = mendOf(spotOf('popped-head', 12, { count: 3 })).layers[0]!;
    const many = mendOf(spotOf('popped-head', 12, { count: 150 })).layers[0]!;
    expect(few.setMin).toBe(20);
    // The first of 150 pops is 1.2 min, each further one two fifths of it, together 73: four pans of 16 − 3 = 13 min are 52, four of 24 − 3 = 21 are 84.
    expect(many.mudMin).toBeGreaterThan(52);
    expect(many.mudMin).toBeLessThan(84);
    expect(many.setMin).toBe(30);
  });

  it('packs a hole of 13 mm as an anchor hole, without a plug, and paints it the same day', () => {
    for (const one of [mendOf(spotOf('small-hole', 13)), mendOf(spotOf('anchor-hole', 12))]) {
      expect(one.steps).toContain('pack');
      expect(one.steps).not.toContain('flange');
      // Under a millilitre: deep by its depth, and dry by noon.
      expect(one.layers[0]!.wetL).toBeLessThan(0.002);
      expect([one.paintAfterMin, one.patchM2]).toEqual([0, 0]);
    }
    expect(mendOf(spotOf('small-hole', 13)).kind).toBe('small-hole');
    expect(mendOf(spotOf('small-hole', 60)).steps).toContain('flange');
  });

  it('a dozen tiny spots are not a dozen times the work of one; larger ones are', () => {
    const minutes = (sizeMm: number, count: number) =>
      mendOf(spotOf('dent', sizeMm, { count })).layers[0]!.minutes;
    expect(minutes(12, 12) / minutes(12, 1)).toBeCloseTo(1 + 11 * 0.4, 9);
    expect(minutes(40, 12) / minutes(40, 1)).toBeCloseTo(12, 9);
  });

  it('packs deep damage in layers its compound takes, and lets paint wait for it', () => {
    const deep = mendOf(spotOf('anchor-hole', 20, { depthMm: 30 }));
    const pack = deep.layers[0]!;
    // 30 mm of a light setting compound that takes 12 at once: three layers of 10.
    expect(pack.waitsMm).toEqual([10, 10, 10]);
    expect(deep.paintAfterMin).toBe(24 * 60);
    expect(mendOf(spotOf('dent', 20, { depthMm: 1 })).paintAfterMin).toBe(0);
  });

  it('a cold damp room is not done in one visit', () => {
    const spot = spotOf('small-hole', 100, { on: 'painted' });
    expect(mendOf(spot).oneVisit).toBe(true);
    const cold = { tempC: 10, rhPct: 80, air: 'sealed' } as const;
    expect(mendOf(spot, 'one-visit', { climate: cold }).oneVisit).toBe(false);
  });

  it('leaves the last coat off where looks do not count', () => {
    const job = jobOf([standing([spotOf('dent', 30)], { finish: { scale: 'level', grade: 1 } })]);
    expect(plan(job).rooms[0]!.mends[0]!.layers.map(sealOr)).toEqual(['fill']);
  });

  it('floats a low until the straightedge is content, and says so where nothing is', () => {
    const low = mendOf(spotOf('low', 900, { depthMm: 4 }));
    expect(low.float!.widthMm).toBeGreaterThanOrEqual(900);
    expect(low.float!.hollowMm).toBeLessThanOrEqual(book.hollowPaintMm.value);
    expect(low.float!.short).toBe(false);
    const step = mendOf(spotOf('step', 2000, { depthMm: 12 }));
    expect(step.float!.widthMm).toBeGreaterThan(1500);
    // A foot for a sixteenth of an inch, by hand: 12 mm · 190 = 2.3 m.
    expect(step.float!.layers).toBeGreaterThanOrEqual(1);
    expect(mendOf(spotOf('step', 2000, { depthMm: 20 })).float!.short).toBe(true);
  });

  it('takes screws, board, tape and bead for so many alike', () => {
    const hole = mendOf(spotOf('large-hole', 400, { count: 2 }));
    expect(hole.screws).toBe(16);
    expect(hole.patchM2).toBeCloseTo(2 * 0.16 * 1.2, 6);
    expect(hole.tapeMm).toBeCloseTo(2 * Math.PI * 400, 3);
    expect(mendOf(spotOf('bead', 1500, { count: 3 })).beadMm).toBe(4500);
    expect(mendOf(spotOf('stain', 400)).sealL).toBeGreaterThan(0);
  });

  it('every kind has steps to its end, and words for all of them', () => {
    for (const kind of DAMAGES) {
      const { steps } = REPAIR[kind];
      expect(steps.at(-1)).toBe('prime');
      for (const step of steps) expect(said({ key: `mend.${step}` }).length).toBeGreaterThan(10);
    }
  });
});

/** Waits by the clock, found again from the plan alone: what lies on wet mud, or before its time. */
function wrongIn({ rooms, days: { tasks } }: Plan): string[] {
  const ms = (iso: string): number => Date.parse(`${iso}Z`) / 60000;
  const wrong: string[] = [];
  for (const { id, mends } of rooms)
    for (const { id: spot, layers, sandMin } of mends) {
      const taskAt = (step: string): DayTask | undefined =>
        tasks.find((task) => task.room === id && task.step === step && task.spots?.includes(spot));
      let ready = -Infinity;
      for (const { pass, lateMin } of layers) {
        const task = taskAt(pass);
        if (!task) wrong.push(`${spot} ${pass} is missing`);
        else {
          if (ms(task.start) < ready - 1) wrong.push(`${spot} ${pass} on wet mud`);
          ready = ms(task.end) + lateMin;
        }
      }
      const sand = taskAt('mend-sand');
      if (sandMin > 0 && !sand) wrong.push(`${spot} is not sanded`);
      if (sand && ms(sand.start) < ready - 1) wrong.push(`${spot} is sanded wet`);
    }
  return wrong;
}

const anySpot: fc.Arbitrary<Damage> = fc
  .record({
    kind: fc.constantFrom(...DAMAGES),
    sizeMm: fc.integer({ min: 5, max: 2500 }),
    count: fc.integer({ min: 1, max: 12 }),
    on: fc.constantFrom(...BARES),
    deep: fc.option(fc.integer({ min: 1, max: 25 }), { nil: undefined }),
  })
  .map(({ deep, ...spot }) => ({
    id: '',
    ...spot,
    ...(deep === undefined ? {} : { depthMm: deep }),
    apart: true,
  }));

const houses = fc
  .array(fc.array(anySpot, { minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 4 })
  .map((rooms) =>
    rooms.map((spots, r) => ({
      ...standing(spots.map((spot, i) => ({ ...spot, id: `s${r}-${i}` }))),
      id: `r${r}`,
    })),
  );

describe('repairs in the plan', () => {
  it('every pass waits for the one under it, in any house', () => {
    fc.assert(
      fc.property(houses, fc.constantFrom(...MENDINGS, undefined), (rooms, mending) => {
        const job = jobOf(rooms);
        if (mending) job.way = { ...job.way, mending };
        expect(wrongIn(plan(job))).toEqual([]);
      }),
      { numRuns: trials(40) },
    );
  });

  it('the checker finds what is laid on wet mud', () => {
    const made = plan(jobOf([standing([spotOf('small-hole', 100)])]));
    const later = made.days.tasks.find(({ step }) => step === 'mend-2')!;
    later.start = made.days.tasks.find(({ step }) => step === 'mend-1')!.end;
    expect(wrongIn(made)).toEqual(['small-hole-100 mend-2 on wet mud']);
  });

  it('offers one visit only where the days have one', () => {
    fc.assert(
      fc.property(houses, (rooms) => {
        const job = jobOf(rooms);
        const { mending, days } = plan(job);
        const dates = new Set(days.tasks.flatMap(({ start, end }) => [start.slice(0, 10), end.slice(0, 10)]));
        const told = mending.visits.find((one) => one.mending === mending.chosen)!.visits;
        expect(told === 1).toBe(dates.size === 1);
        expect(mending.chosen).toBe(fewestVisits(mending.visits));
      }),
      { numRuns: trials(25) },
    );
  });

  it('five spots of a house are one visit; the wait in one room is work in another', () => {
    const job = jobOf([
      {
        ...standing([spotOf('popped-head', 12, { count: 12 }), spotOf('dent', 30, { count: 3 })]),
        id: 'hall',
      },
      { ...standing([spotOf('small-hole', 120)]), id: 'kitchen' },
      { ...standing([spotOf('large-hole', 300)]), id: 'bath' },
    ]);
    const { mending, days } = plan(job);
    expect(mending.visits.map(({ visits }) => visits)).toEqual([1, expect.any(Number)]);
    expect(mending.chosen).toBe('one-visit');
    expect(new Set(days.tasks.map(({ start }) => start.slice(0, 10))).size).toBe(1);
    const first = days.tasks.filter(({ step }) => step === 'mend-1').map(({ room }) => room);
    expect(new Set(first)).toEqual(new Set(['hall', 'kitchen', 'bath']));
  });

  it('puts mud, tape, screws and board into the order, and the work into the bid', () => {
    const { order, totals, bid } = plan(jobOf([standing([spotOf('large-hole', 400)])]));
    const of = (product: string): number =>
      order.items.find((item) => item.product === product)?.need.likely ?? 0;
    expect(of('mud/setting-light')).toBeGreaterThan(0.2);
    expect(of('mud/drying-light')).toBeGreaterThan(0.05);
    expect(of('tape/paper')).toBeGreaterThan(1200);
    expect(of('sundry/screws')).toBe(8);
    expect(of('sundry/patch')).toBeGreaterThan(0.15);
    expect(of('sundry/strips')).toBe(1000);
    expect(totals.boardAreaM2).toBe(0);
    expect(bid.total).toBeGreaterThan(60);
    expect(bid.total).toBeLessThan(400);
  });

  it('leaves a room alone that has no such spots, and mends others along with its coats', () => {
    const spot: Damage = { id: 'd', kind: 'dent', sizeMm: 40, face: 'wall-0', at: [500, 500] };
    const room = plainRoom({ damage: [spot] });
    const along = plan(jobOf([room])).rooms[0]!;
    expect(along.mends).toEqual([]);
    expect(along.steps.some(({ step }) => step.startsWith('mend'))).toBe(false);
    const apart = plan(jobOf([plainRoom({ damage: [{ ...spot, apart: true }] })])).rooms[0]!;
    expect(apart.mends).toHaveLength(1);
    expect(apart.use.uses.some(({ row }) => row === 'repairs')).toBe(false);
    const steps = apart.steps.map(({ step }) => step);
    expect(steps.indexOf('mend-1')).toBeLessThan(steps.indexOf('sand'));
    expect(steps.at(-1)).toBe('mend-sand');
  });

  it('what is done is done, spot by spot, and a spot found later is worked for itself', () => {
    const rooms = [standing([spotOf('dent', 30), spotOf('small-hole', 100)])];
    const entry = { at: '2026-11-30T09:00:00Z', by: 'A', device: 'd' };
    const log = [
      {
        ...entry,
        id: '01A',
        kind: 'started' as const,
        room: 'plain',
        step: 'mend-1' as const,
        spots: ['dent-30'],
      },
      {
        ...entry,
        id: '01B',
        at: '2026-11-30T09:10:00Z',
        kind: 'done' as const,
        room: 'plain',
        step: 'mend-1' as const,
        spots: ['dent-30'],
      },
    ];
    const { days } = plan(jobOf(rooms), TYPICAL, undefined, { site: { log, now: '2026-11-30T09:15' } });
    const first = days.tasks.filter(({ step }) => step === 'mend-1');
    expect(first.map(({ state, spots }) => [state, spots])).toEqual([
      ['done', ['dent-30']],
      ['planned', ['small-hole-100']],
    ]);
  });

  it('a standing room has no boards, joints or heads, and its faces stay to be pinned on', () => {
    const made = plan(jobOf([plainRoom({ standing: true })])).rooms[0]!;
    expect([made.boards.length, made.joints.length, made.fasteners, made.boardAreaM2]).toEqual([0, 0, 0, 0]);
    expect(made.faces.map(({ id }) => id)).toContain('wall-2');
  });

  it('a face full of small damage is skimmed for less, one with a hole is not', () => {
    const many = { face: 'wall-0', at: [900, 900] as [number, number] };
    const room = (damage: Damage[]) => plan(jobOf([plainRoom({ standing: true, damage })])).rooms[0]!;
    const [skim] = room([spotOf('rough', 300, { ...many, count: 80 })]).instead;
    expect(skim).toMatchObject({ face: 'wall-0', spots: 80, skimIsLess: true });
    const [spots] = room([spotOf('small-hole', 100, many)]).instead;
    expect(spots!.skimIsLess).toBe(false);
    expect(spots!.skimCost).toBeGreaterThan(spots!.mendCost);
  });

  it('every layer is a row of its pass, and nothing else is', () => {
    const job = jobOf([standing([spotOf('ridge', 900), spotOf('rough', 200), spotOf('stain', 300)])]);
    const { mends } = plan(job).rooms[0]!;
    const steps = mendSteps(mends, { tape: 'paper' }, book);
    for (const pass of MEND_PASSES) {
      const rows = steps.find(({ step }) => step === pass)?.rows ?? [];
      expect(rows.map(({ spot }) => spot)).toEqual(
        mends.filter(({ layers }) => layers.some((layer) => layer.pass === pass)).map(({ id }) => id),
      );
    }
    expect(
      visitsBy(job, () => [{ id: 'plain', floorM2: 9, mends: [] }], book).every(({ visits }) => visits === 0),
    ).toBe(true);
  });
});
