import * as fc from 'fast-check';
import type { LogEntry } from '../job';
import { plan } from '../plan';
import { demoJob, jobOf, plainRoom, said } from '../testing/samples';
import type { OrderItem } from './items';
import { tapePieces } from './tape';

let entries = 0;
const entry = (kind: LogEntry['kind'], over: Partial<LogEntry> = {}): LogEntry => ({
  id: `e${String(++entries).padStart(5, '0')}`,
  at: '2026-11-27T08:00:00+01:00',
  by: 'Ansa',
  device: 'd',
  kind,
  ...over,
});
const received = (lot: string, ware: string, amount: number, each: number, over: Partial<LogEntry> = {}) =>
  entry('received', { lot, ware, amount, each, ...over });

const job = jobOf([plainRoom({ plan: { lengthMm: 9000, widthMm: 6000, heightMm: 2700 } })]);
const MUD = 'mud/drying-all-purpose';
const planned = (log: LogEntry[], over: Partial<typeof job> = {}) =>
  plan({ ...job, ...over }, undefined, undefined, { site: { log } });
const item = (made: ReturnType<typeof plan>, ware: string): OrderItem =>
  made.order.items.find(({ product }) => product === ware)!;

describe('what the job takes of a ware', () => {
  const made = planned([]);
  it('is low, likely and high by the spreads of the book, with why', () => {
    const mud = item(made, MUD);
    expect(mud.need.low).toBeCloseTo(mud.need.likely * 0.88, 9);
    expect(mud.need.high).toBeCloseTo(mud.need.likely * 1.2, 9);
    const own = item(planned([], { shop: { figures: { mudHigh: 1.5 } } }), MUD);
    expect(own.need.high).toBeCloseTo(own.need.likely * 1.5, 9);
    expect(mud.why.inputs.some(({ label }) => said(label) === 'mud, high estimate')).toBe(true);
  });

  it('of sundries follows from the plan: by pencil', () => {
    // 54 m² of ceiling and 81 m² of wall, sanded once with each grit, 20 m² a disc; 11 L of primer on 100 m².
    expect(item(made, 'sundry/disc-150').need.likely).toBeCloseTo(135 / 20, 6);
    expect(item(made, 'sundry/disc-220').packages).toMatchObject([{ count: 2, holds: 5 }]);
    expect(item(made, 'sundry/primer').need.likely).toBeCloseTo((135 * 11) / 100, 6);
    expect(item(made, 'sundry/film').need.likely).toBeCloseTo(54 * 1.1, 6);
    // 30 m around the ceiling and four corners of 2.7 m, a sponge for each 100 m.
    expect(item(made, 'sundry/sponge').need.likely).toBeCloseTo((30 + 4 * 2.7) / 100, 6);
    expect(item(made, 'sundry/screws').need.likely).toBeCloseTo(made.totals.fasteners / 100, 6);
    expect(item(made, 'sundry/filter').need.likely).toBe(1);
    expect(made.order.items.some(({ product }) => product === 'sundry/masking')).toBe(false);
  });

  it('asks for no discs where nothing is sanded, for sealer under wallcovering, for a blade that is not there', () => {
    const bare = plan(jobOf([plainRoom({ finish: { scale: 'level', grade: 2 }, decoration: 'tile' })]));
    expect(bare.order.items.filter(({ kind }) => kind === 'abrasive' || kind === 'primer')).toEqual([]);
    const covered = plan(jobOf([plainRoom({ decoration: 'light-wallcovering' })]));
    expect(item(covered, 'sundry/sealer').need.likely).toBeGreaterThan(0);
    const kit = plan(jobOf([plainRoom({ cells: { 'flats.fill': { bladeMm: 280 } } })]));
    const tools = kit.order.items.filter(({ kind }) => kind === 'tool');
    expect(tools.length).toBeGreaterThan(0);
    expect(tools.every(({ cost, packages }) => cost > 0 && packages[0]!.count === 1)).toBe(true);
  });

  it('counts the ends of batches of mud that sets', () => {
    const setting = plan({ ...job, way: { ...job.way, compounds: 'setting-below' } });
    const batches = setting.days.tasks.flatMap((task) => task.batches);
    expect(batches.length).toBeGreaterThan(0);
    const line = setting.order.compounds.find(({ compound }) => compound === batches[0]!.compound)!;
    expect(item(setting, `mud/${line.compound}`).need.likely).toBeCloseTo(
      line.withWasteL + batches.length * 0.1,
      6,
    );
  });
});

describe('amount on hand', () => {
  const need = item(planned([]), MUD).need.likely;

  it('is bought no more; what was used stays part of the need, what spoiled does not', () => {
    const came = [received('a', MUD, 34, 17)];
    const had = item(planned(came), MUD);
    expect(had).toMatchObject({ onHand: 34, used: 0 });
    expect(had.buy).toBeGreaterThanOrEqual(need - 34 - 1e-9);
    const used = item(planned([...came, entry('used', { lot: 'a', amount: 20 })]), MUD);
    expect(used).toMatchObject({ onHand: 14, used: 20, buy: had.buy });
    const spoiled = item(planned([...came, entry('spoiled', { lot: 'a', amount: 34 })]), MUD);
    expect(spoiled).toMatchObject({ onHand: 0, buy: item(planned([]), MUD).buy });
  });

  it('leaves over what the job does not take', () => {
    const all = item(planned([received('a', MUD, 200, 20)]), MUD);
    expect(all).toMatchObject({ buy: 0, packages: [], cost: 0 });
    expect(all.leftover).toBeCloseTo(200 - need, 9);
  });

  it('counts a lot past its date only when somebody answers for it, and says so', () => {
    const old = [received('a', MUD, 34, 17, { useBy: '2026-11-28' })];
    const made = planned(old);
    expect(item(made, MUD)).toMatchObject({ onHand: 0, blocked: 34 });
    expect(made.advice.find(({ code }) => code === 'A-DATE')).toMatchObject({ severity: 'warn' });
    const answered = planned([...old, entry('allowed', { lot: 'a', note: 'Opened, smells well' })]);
    expect(item(answered, MUD)).toMatchObject({ onHand: 34, blocked: 0 });
    expect(answered.advice.some(({ code }) => code === 'A-DATE')).toBe(false);
    expect(answered.stock).toMatchObject([{ id: 'a', allowed: 'Opened, smells well' }]);
  });

  it('of sticks goes into the cutting first', () => {
    const demo = demoJob('tarn-ferry');
    const log = [received('s', 'bead/nail-on', 5 * 3048, 3048)];
    const had = plan(demo, undefined, undefined, { site: { log } });
    const bead = item(had, 'bead/nail-on');
    expect(had.cuts.filter(({ onHand }) => onHand)).toHaveLength(5);
    expect(bead.onHand).toBeCloseTo(5 * 3048, 6);
    expect(bead.packages.reduce((sum, { count }) => sum + count, 0)).toBe(10);
    // A bid is made as if nothing were on hand.
    expect(had.bid.total).toBe(plan(demo).bid.total);
  });

  it('tells its advice of what is short', () => {
    const made = planned([received('a', MUD, 17, 17)]);
    expect(made.advice.find(({ code }) => code === 'A-STOCK')).toMatchObject({ place: { cause: MUD } });
  });
});

describe('prices', () => {
  const id = `${MUD}#tub-20`;
  const quote = {
    house: 'Made-up house',
    at: '2026-11-27T08:00',
    simulated: true,
    lines: [{ package: id, count: 3, price: 15.5, inStock: 3, leadDays: 0 }],
  };
  const price = (over: Partial<typeof job>) => item(planned([], over), MUD).packages[0]!;
  it('are the user’s own, else what was quoted, else typical', () => {
    expect(price({})).toMatchObject({ id, price: 17, priceFrom: 'typical' });
    expect(price({ quote })).toMatchObject({ price: 15.5, priceFrom: 'quoted' });
    expect(price({ quote, shop: { prices: [{ package: id, price: 12 }] } })).toMatchObject({
      price: 12,
      priceFrom: 'entered',
    });
  });
});

const [tapeCell] = plan(job).rooms[0]!.areas[0]!.rows[0]!.cells.filter(({ tape }) => tape);
const taped = (joints: string[]) => [{ rows: [{ joints, cells: [tapeCell!] }] }];

describe('tape', () => {
  const lengths = fc.array(fc.integer({ min: 50, max: 9000 }), { minLength: 1, maxLength: 120 });
  it('splices no joint that a roll could cover, and opens few rolls', () => {
    fc.assert(
      fc.property(lengths, (all) => {
        const joints = all.map((lengthMm, i) => ({ id: `j${i}`, lengthMm }));
        const run = { coat: 'tape' as const, joints: joints.map(({ id }) => id) };
        const { pieces, rolls } = tapePieces(
          [{ id: 'r', joints, runs: [run], areas: taped(run.joints) }],
          10000,
          0.05,
        );
        expect(pieces.map(({ joint }) => joint)).toEqual(run.joints);
        const taken = new Map<number, number>();
        for (const { roll, mm, spliced } of pieces) {
          expect(spliced).toBe(false);
          taken.set(roll, (taken.get(roll) ?? 0) + mm);
        }
        for (const mm of taken.values()) expect(mm).toBeLessThanOrEqual(10000 + 1e-6);
        expect(taken.size).toBe(rolls);
        // First to fit fills every roll but one to more than half.
        const sum = pieces.reduce((total, { mm }) => total + mm, 0);
        expect(rolls).toBeLessThanOrEqual(Math.floor(sum / 5000) + 1);
      }),
    );
  });

  it('of a joint longer than a roll goes on with the next', () => {
    const joints = [{ id: 'a', lengthMm: 25000 }];
    const runs = [{ coat: 'tape' as const, joints: ['a'] }];
    const made = tapePieces([{ id: 'r', joints, runs, areas: taped(['a']) }], 10000, 0);
    expect(made).toMatchObject({ rolls: 3, pieces: [{ mm: 25000, spliced: true }] });
  });
});
