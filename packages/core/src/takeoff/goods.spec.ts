import * as fc from 'fast-check';
import { COMPOUND, catalogueOf, packageName } from '../compound';
import { plan } from '../plan';
import { jobOf, plainRoom } from '../testing/samples';
import type { Job, Opening, Product, Room } from '../job';
import { cutSticks } from './order';

const large: Partial<Room> = { plan: { lengthMm: 12000, widthMm: 9000, heightMm: 3000 } };
const order = (over: Partial<Job> = {}, room: Partial<Room> = large) =>
  plan(jobOf([plainRoom(room)], over)).order;
const product = (over: Partial<Product>): Product => ({
  id: 'p',
  name: 'Grey pail',
  compound: 'drying-all-purpose',
  kind: 'pail',
  yieldsL: 10,
  massKg: 16,
  inUse: true,
  ...over,
});

describe('what is bought', () => {
  it('costs what its packages, rolls and sticks cost: by pencil', () => {
    const { compounds, tape, cost } = order();
    const packages = compounds.reduce(
      (sum, line) =>
        sum +
        line.packages.reduce((all, bought) => {
          const price = COMPOUND[line.compound].packages.find((p) => p.id === bought.id)!.price;
          return all + bought.count * price;
        }, 0),
      0,
    );
    expect(tape?.cost).toBe(6 * tape!.rolls);
    expect(cost).toBeCloseTo(packages + tape!.cost, 9);
  });

  it('comes in packages one person can carry, where they are sold and it is wished', () => {
    const heavy = order({ units: 'feet' });
    const light = order({ units: 'feet', shop: { liftKg: 23 } });
    const most = (o: typeof heavy) => Math.max(...o.compounds.map((line) => line.heaviestKg));
    expect(most(heavy)).toBeGreaterThan(23);
    expect(most(light)).toBeLessThanOrEqual(23);
    for (const [i, line] of light.compounds.entries())
      expect(line.boughtL).toBeGreaterThanOrEqual(heavy.compounds[i]!.withWasteL - 1e-9);
  });

  it('comes heavy where nothing lighter is sold', () => {
    const all = order({ shop: { liftKg: 1 } });
    expect(all.compounds.every((line) => line.packages.length > 0)).toBe(true);
  });

  it('counts beads by kind, each with its own sticks', () => {
    const opening = (id: string, wall: number): Opening => ({
      id,
      wall,
      kind: 'opening',
      leftMm: 1000,
      bottomMm: 0,
      widthMm: 1000,
      heightMm: 2000,
      returns: 'boarded',
    });
    const room: Partial<Room> = {
      openings: [opening('a', 0), opening('b', 2)],
      joints: { 'return-b-left': { bead: 'bullnose' }, 'return-b-right': { bead: 'bullnose' } },
    };
    const { beads } = order({}, room);
    expect(beads.map((line) => [line.kind, line.corners, line.exactMm])).toEqual([
      ['nail-on', 4, 2 * 1988 + 2 * 1000],
      ['bullnose', 2, 2 * 1988],
    ]);
    // A side and a head to a stick of 3000; a bullnosed side to each of 2500.
    expect(beads.map((line) => line.cost)).toEqual([2 * 4.5, 2 * 4.5]);
  });

  it('cuts a corner from what another left: no piece in two, no stick over its length, few sticks', () => {
    const pieces = fc.array(fc.integer({ min: 100, max: 7000 }), { minLength: 1, maxLength: 30 });
    fc.assert(
      fc.property(pieces, (mm) => {
        const sticks = cutSticks(mm, [2500, 3000]);
        const bought = sticks.reduce((sum, s) => sum + s.count * s.lengthMm, 0);
        const count = sticks.reduce((sum, s) => sum + s.count, 0);
        const need = mm.reduce((a, b) => a + b, 0);
        const oneEach = mm.reduce((sum, one) => sum + Math.ceil(one / 3000), 0);
        return bought >= need - 1e-6 && count <= oneEach && count <= 2 * Math.ceil(need / 3000) + 1;
      }),
    );
    // Sixteen corners of 2.7 m and as many of 0.3 m leave nothing.
    expect(
      cutSticks([...Array<number>(16).fill(2700), ...Array<number>(16).fill(300)], [2500, 3000]),
    ).toEqual([{ lengthMm: 3000, count: 16 }]);
  });

  it('beds paper-faced bead in mud, and fills more beside a bullnose', () => {
    const corner = (bead: 'nail-on' | 'paper-faced' | 'bullnose') => {
      const job = jobOf([
        plainRoom({
          openings: [
            {
              id: 'o',
              wall: 0,
              kind: 'opening',
              leftMm: 1000,
              bottomMm: 0,
              widthMm: 1000,
              heightMm: 2000,
              returns: 'boarded',
            },
          ],
        }),
      ]);
      job.way.bead = bead;
      const uses = plan(job).rooms[0]!.use.uses.filter((u) => u.element === 'corners');
      return (coat: string) => uses.find((u) => u.coat === coat)!.wetL;
    };
    // Five metres of edge: two wedges of ½ × 1.6 × 0.7 × 100 mm², and 60 mL a metre under the paper.
    expect(corner('paper-faced')('tape')).toBeCloseTo(5 * (2 * 0.056 + 0.06), 6);
    expect(corner('bullnose')('tape')).toBeCloseTo(5 * 2 * 0.112, 6);
    expect(corner('bullnose')('finish')).toBeGreaterThan(corner('nail-on')('finish'));
  });
});

describe('products over classes', () => {
  it('stand in their class while in use, and only the first of a class', () => {
    expect(catalogueOf(undefined)).toBe(COMPOUND);
    expect(catalogueOf({ products: [product({ inUse: false })] })).toBe(COMPOUND);
    const two = catalogueOf({ products: [product({ shrink: 0.1 }), product({ id: 'q', shrink: 0.3 })] });
    expect(two['drying-all-purpose'].shrink).toBe(0.1);
    expect(two['drying-light']).toBe(COMPOUND['drying-light']);
  });

  it('are priced as their class where they have no price, by the litre of its dearest package', () => {
    const own = catalogueOf({ products: [product({})] })['drying-all-purpose'];
    const perL = Math.max(...COMPOUND['drying-all-purpose'].packages.map((p) => p.price / p.yieldsL));
    expect(own.packages[0]?.price).toBeCloseTo(10 * perL, 9);
    expect(packageName(own.packages[0]!, 'feet')).toBe('Grey pail');
  });

  it('say how much of them is on hand', () => {
    const line = order({ shop: { products: [product({ onHandL: 12 })] } }).compounds.find(
      (l) => l.compound === 'drying-all-purpose',
    );
    expect(line?.onHandL).toBe(12);
    expect(line?.why.inputs.at(-1)?.from).toBe('entered');
  });
});
