import * as fc from 'fast-check';
import { TYPICAL } from '../book';
import { suppliedWith } from '../compound';
import { checkJob, TAPES, type CompoundId, type Job, type PeelTest, type Product, type Shop } from '../job';
import { plan } from '../plan';
import { jobOf, plainRoom, said } from '../testing/samples';
import { PRESETS, sameWay } from '../way';
import { bondOf, evidenceFor, tornShare } from './peels';
import { MARKS, rankCompounds, WEIGHTS, type Ranked } from './rank';
import { DISPUTES } from './schools';

const peel = (tornCm2: number, over: Partial<PeelTest> = {}): PeelTest => ({
  id: `p${tornCm2}`,
  compound: 'drying-light',
  tape: 'paper',
  days: 7,
  tornCm2,
  cleanCm2: 100 - tornCm2,
  ...over,
});

function ranked(coat: string, shop?: Shop, over: Partial<Job> = {}): Ranked[] {
  const job = jobOf([plainRoom({ finish: { scale: 'level', grade: 5 } })], {
    ...over,
    ...(shop ? { shop } : {}),
  });
  const area = plan(job).rooms[0]!.areas[0]!;
  const row = area.rows.find((r) => r.element === (coat === 'skim' ? 'face' : 'flats'))!;
  const cell = row.cells.find((c) => c.coat === coat)!;
  const use = area.use.uses.find((u) => u.row === row.id && u.coat === coat)!;
  const book = suppliedWith(TYPICAL, { shop });
  return rankCompounds({
    job,
    row,
    cell,
    layerMm: use.layerMm,
    waitsMm: use.waitsMm,
    wetL: use.wetL,
    substrate: 'paper',
    book,
  });
}
const place = (list: Ranked[], id: CompoundId) => list.findIndex((r) => r.compound === id);

describe('peel tests', () => {
  it('give the mean and the spread, by pencil: 60, 80 and 100 of 100 are 80 ± 20', () => {
    const found = evidenceFor([peel(60), peel(80), peel(100)], 'drying-light', 'paper');
    expect(found).toEqual({
      tests: 3,
      torn: expect.closeTo(0.8, 9) as number,
      spread: expect.closeTo(0.2, 9) as number,
      enough: true,
    });
    expect(tornShare(peel(25))).toBe(0.25);
  });

  it('leave out strips that had not cured, other tapes and empty ones', () => {
    expect(evidenceFor([peel(60, { days: 1 })], 'drying-light', 'paper')).toBeUndefined();
    expect(evidenceFor([peel(60)], 'drying-light', 'mesh')).toBeUndefined();
    expect(evidenceFor([peel(0, { cleanCm2: 0 })], 'drying-light', 'paper')).toBeUndefined();
    expect(evidenceFor([peel(60), peel(70)], 'drying-light', 'paper')?.enough).toBe(false);
  });

  it('draw the bond toward the evidence, the more the more there is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 100 }), fc.integer({ min: 1, max: 12 }), (torn, n) => {
        const few = evidenceFor(
          Array.from({ length: n }, () => peel(torn)),
          'drying-light',
          'paper',
        );
        const more = evidenceFor(
          Array.from({ length: n + 1 }, () => peel(torn)),
          'drying-light',
          'paper',
        );
        const apart = (e: typeof few) => Math.abs(bondOf(3, e) - torn / 100);
        return apart(more) <= apart(few) + 1e-9;
      }),
    );
    expect(bondOf(3, undefined)).toBe(0.6);
    // Two parts of the usual 0.6 and four tests of 1: (1.2 + 4) / 6.
    expect(
      bondOf(
        3,
        evidenceFor(
          [100, 100, 100, 100].map((t) => peel(t)),
          'drying-light',
          'paper',
        ),
      ),
    ).toBeCloseTo(5.2 / 6, 9);
  });
});

describe('the ranking', () => {
  it('counts each mark by weights that come to one', () => {
    for (const weights of Object.values(WEIGHTS))
      expect(MARKS.reduce((sum, mark) => sum + weights[mark], 0)).toBeCloseTo(1, 9);
  });

  it('is what its marks add up to', () => {
    for (const entry of ranked('fill').filter((r) => r.fit === 'yes'))
      expect(entry.total).toBeCloseTo(
        MARKS.reduce((sum, mark) => sum + WEIGHTS.fill[mark] * entry.marks[mark].value, 0),
        9,
      );
  });

  it('bars what cannot be taken, with the reason, and puts it last', () => {
    const tape = ranked('tape');
    expect(tape.at(-1)?.barred).toBeDefined();
    expect(said(tape.find((r) => r.compound === 'drying-topping')!.barred!)).toBe('not for bedding tape');
    const mesh = ranked('tape', undefined, { way: { ...PRESETS[0]!.way, tape: 'mesh' } });
    expect(
      mesh
        .filter((r) => !r.barred)
        .map((r) => r.compound)
        .sort(),
    ).toEqual(['setting-hard', 'setting-light']);
    const machine = ranked('fill', undefined, {
      way: PRESETS.find((p) => p.id === 'machine-drying')!.way,
    });
    expect(said(machine.find((r) => r.compound === 'hybrid')!.barred!)).toBe('would set in closed tools');
  });

  it('prefers what sands easily to finish with, and what bonds to tape with', () => {
    expect(place(ranked('finish'), 'drying-ultra-light')).toBeLessThan(
      place(ranked('finish'), 'drying-taping'),
    );
    expect(place(ranked('tape'), 'drying-taping')).toBeLessThan(place(ranked('tape'), 'drying-light'));
  });

  it('follows the evidence: a light compound that always tears passes one that never does', () => {
    const peels = [
      ...[95, 100, 98, 99].map((t) => peel(t)),
      ...[0, 5, 2, 1].map((t) => peel(t, { compound: 'drying-all-purpose' })),
    ];
    const tested = ranked('tape', { peels });
    expect(place(tested, 'drying-light')).toBeLessThan(place(tested, 'drying-all-purpose'));
    expect(place(ranked('tape'), 'drying-all-purpose')).toBeLessThan(place(ranked('tape'), 'drying-light'));
    expect(said(tested.find((r) => r.compound === 'drying-light')!.marks.bond.why)).toContain(
      '98% torn in 4 tests',
    );
  });

  it('weighs time heavier when the job is late', () => {
    const job = jobOf([plainRoom()]);
    const area = plan(job).rooms[0]!.areas[0]!;
    const row = area.rows[0]!;
    const cell = row.cells.find((c) => c.coat === 'fill')!;
    const book = suppliedWith(TYPICAL, undefined);
    const of = (late: boolean) =>
      rankCompounds({
        job,
        row,
        cell,
        layerMm: 1.2,
        waitsMm: [1.2],
        wetL: 4,
        substrate: 'paper',
        late,
        book,
      });
    const mark = (late: boolean) => of(late).find((r) => r.compound === 'drying-all-purpose')!.marks.drying;
    expect(mark(true).value).toBeCloseTo(mark(false).value / 2, 9);
    expect(said(mark(true).why)).toContain('the job is already late');
    expect(place(of(true), 'setting-light')).toBeLessThanOrEqual(place(of(false), 'setting-light'));
  });

  it('takes what is on hand before what is not', () => {
    const product: Product = {
      id: 'p',
      name: 'Mine',
      compound: 'drying-mid-weight',
      kind: 'pail',
      yieldsL: 17,
      massKg: 23,
      onHandL: 100,
      inUse: true,
    };
    const mark = (shop?: Shop) =>
      ranked('fill', shop).find((r) => r.compound === 'drying-mid-weight')!.marks.hand.value;
    expect(mark({ products: [product] })).toBe(1);
    expect(mark()).toBe(0);
  });
});

describe('schools that differ', () => {
  it('take a sound step each, whatever the way', () => {
    for (const { way } of PRESETS)
      for (const { sides } of DISPUTES) {
        for (const side of sides) {
          expect(said(side.reason).length).toBeGreaterThan(20);
          const job = jobOf([plainRoom()], { way: side.take(way) });
          expect(checkJob(JSON.parse(JSON.stringify(job)))).toMatchObject({ ok: true });
          expect(TAPES).toContain(job.way.tape);
        }
        expect(sameWay(sides[0].take(way), sides[1].take(way))).toBe(false);
      }
  });
});

describe('a product of the user', () => {
  const product = (over: Partial<Product> = {}): Shop => ({
    products: [
      {
        id: 'p',
        name: 'Grey pail',
        compound: 'drying-all-purpose',
        kind: 'pail',
        yieldsL: 10,
        massKg: 16,
        price: 30,
        inUse: true,
        ...over,
      },
    ],
  });

  it('gives the order its package and price, and the section its shrink', () => {
    const plain = plan(jobOf([plainRoom()]));
    const own = plan(jobOf([plainRoom()], { shop: product({ shrink: 0.3 }) }));
    const line = own.order.items.find(({ product: ware }) => ware === 'mud/drying-all-purpose')!;
    expect(line.packages[0]).toMatchObject({ name: 'Grey pail', count: 2 });
    expect(line.cost).toBe(30 * line.packages[0]!.count);
    // More shrink leaves more to fill.
    expect(own.totals.wetL).toBeGreaterThan(plain.totals.wetL);
    expect(plan(jobOf([plainRoom()], { shop: product({ inUse: false, shrink: 0.3 }) })).totals).toEqual(
      plain.totals,
    );
  });

  it('of a setting class brings its set time', () => {
    const shop = product({ compound: 'setting-light', kind: 'bag', setMin: 45 });
    const way = PRESETS.find((p) => p.id === 'knives-setting-below')!.way;
    const tape = plan(jobOf([plainRoom()], { shop, way })).rooms[0]!.steps.find((s) => s.step === 'tape');
    expect(tape?.hardenMin).toBeCloseTo(45 * 1.5, 6);
  });
});
