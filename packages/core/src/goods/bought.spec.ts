import { COMPOUND, catalogueOf, packageName } from '../compound';
import { compoundIn } from './wares';
import { plan } from '../plan';
import { boardedOpening, jobOf, plainRoom } from '../testing/samples';
import type { Job, Product, Room } from '../job';

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
    const { items, cost, massKg } = order();
    const packs = items.flatMap(({ packages }) => packages);
    expect(cost).toBeCloseTo(
      packs.reduce((sum, { count, price }) => sum + count * price, 0),
      9,
    );
    expect(massKg).toBeCloseTo(
      packs.reduce((sum, one) => sum + one.count * one.massKg, 0),
      9,
    );
    const muds = items.filter(({ kind }) => kind === 'compound');
    for (const { product: ware, packages } of muds)
      for (const one of packages) {
        const sold = COMPOUND[compoundIn(ware)!].packages.find(({ id }) => one.id === `${ware}#${id}`)!;
        expect(one).toMatchObject({ holds: sold.yieldsL, price: sold.price, massKg: sold.massKg });
      }
    const tape = items.find(({ kind }) => kind === 'tape')!;
    expect(tape.cost).toBe(6 * tape.packages[0]!.count);
  });

  it('comes in packages one person can carry, where they are sold and it is wished', () => {
    const muds = (o: ReturnType<typeof order>) => o.items.filter(({ kind }) => kind === 'compound');
    const heavy = order({ units: 'feet' });
    const light = order({ units: 'feet', shop: { liftKg: 23 } });
    const most = (o: typeof heavy) => Math.max(...muds(o).map(({ heaviestKg }) => heaviestKg));
    expect(most(heavy)).toBeGreaterThan(23);
    expect(most(light)).toBeLessThanOrEqual(23);
    for (const item of muds(light)) expect(item.buy).toBeGreaterThanOrEqual(item.need.likely - 1e-9);
  });

  it('comes heavy where nothing lighter is sold', () => {
    const all = order({ shop: { liftKg: 1 } });
    expect(all.items.every(({ packages }) => packages.length > 0)).toBe(true);
  });

  it('counts beads by kind, each with its own sticks', () => {
    const room: Partial<Room> = {
      openings: [boardedOpening({ id: 'a' }), boardedOpening({ id: 'b', wall: 2 })],
      joints: { 'return-b-left': { bead: 'bullnose' }, 'return-b-right': { bead: 'bullnose' } },
    };
    const { beads, items } = order({}, room);
    expect(beads.map((line) => [line.kind, line.corners, line.exactMm])).toEqual([
      ['nail-on', 4, 2 * 1988 + 2 * 1000],
      ['bullnose', 2, 2 * 1988],
    ]);
    // A side and a head to a stick of 3000; a bullnosed side to each of 2500.
    expect(items.filter(({ kind }) => kind === 'bead').map(({ cost }) => cost)).toEqual([2 * 4.5, 2 * 4.5]);
  });

  it('numbers the pieces through the job, each on its corner, and uses up what is on hand', () => {
    const room: Partial<Room> = {
      openings: [boardedOpening({ id: 'a' })],
    };
    const bought = plan(jobOf([plainRoom({ id: 'r', ...room }), plainRoom({ id: 's', ...room })]));
    const pieces = bought.cuts.flatMap((stick) => stick.pieces);
    expect(pieces.map(({ n }) => n).sort((a, b) => a - b)).toEqual([1, 2, 3, 4, 5, 6]);
    for (const { room: id, joint, mm } of pieces) {
      const corner = bought.rooms.find((one) => one.id === id)!.joints.find((one) => one.id === joint)!;
      expect(corner.kind).toBe('outside-corner');
      expect(corner.lengthMm - mm).toBeCloseTo(corner.onFloor ? 12 : 0, 9);
    }
    const [line] = bought.order.beads;
    expect(line).toMatchObject({ corners: 6, splices: 0, boughtMm: line!.boundMm });
    const sticks = [{ kind: 'nail-on' as const, lengthMm: 2500, count: 2 }];
    const had = plan({ ...jobOf([plainRoom({ id: 'r', ...room })]), shop: { sticks } });
    expect(had.cuts.filter(({ onHand }) => onHand).length).toBeGreaterThan(0);
    expect(had.order.beads[0]!.boughtMm).toBeLessThan(line!.boughtMm);
  });

  it('beds paper-faced bead in mud, and fills more beside a bullnose', () => {
    const corner = (bead: 'nail-on' | 'paper-faced' | 'bullnose') => {
      const job = jobOf([
        plainRoom({
          openings: [boardedOpening()],
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

  it('say how much of them is on hand, and the rest is bought', () => {
    const mud = (shop?: Job['shop']) =>
      order(shop ? { shop } : {}).items.find(({ product: ware }) => ware === 'mud/drying-all-purpose')!;
    const had = mud({ products: [product({ onHandL: 12, price: 21 })] });
    expect(had).toMatchObject({ onHand: 12, used: 0, blocked: 0 });
    expect(had.buy).toBeGreaterThanOrEqual(had.need.likely - 12);
    expect(had.buy - 10).toBeLessThan(had.need.likely - 12);
    expect(had.packages[0]).toMatchObject({ name: 'Grey pail', price: 21, priceFrom: 'entered' });
    expect(mud().onHand).toBe(0);
  });
});
