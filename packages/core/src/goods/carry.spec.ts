import { plan } from '../plan';
import { demoJob, jobOf, plainRoom } from '../testing/samples';
import { massByStorey, sharedByRoom, tripsFor } from './carry';

it('shares out all that there is, and as much to rooms alike', () => {
  const { order, rooms } = plan(demoJob('tarn-ferry'));
  const shares = sharedByRoom(order.items, rooms, ({ cost }) => cost);
  expect(shares.reduce((a, b) => a + b, 0)).toBeCloseTo(order.cost, 6);
  const twins = plan(jobOf([plainRoom({ id: 'a' }), plainRoom({ id: 'b' })]));
  const [a, b] = sharedByRoom(twins.order.items, twins.rooms, ({ massKg }) => massKg);
  expect(a).toBeCloseTo(b!, 9);
});

it('says what is carried to each floor, the lowest first', () => {
  const storeys = [2, 0, -1, 2];
  const rooms = storeys.map((storey, i) => plainRoom({ id: `r${i}`, ...(storey === 0 ? {} : { storey }) }));
  const job = jobOf(rooms);
  const made = plan(job);
  const floors = massByStorey(made.order.items, made.rooms, (i) => job.rooms[i]?.storey ?? 0);
  expect(floors.map(({ storey }) => storey)).toEqual([-1, 0, 2]);
  expect(floors[2]!.massKg).toBeCloseTo(2 * floors[1]!.massKg, 6);
  expect(floors.reduce((sum, { massKg }) => sum + massKg, 0)).toBeCloseTo(made.order.massKg, 6);
});

it('goes as often as loads are full, and once for what is heavier than one carries', () => {
  const { order } = plan(demoJob('tarn-ferry'));
  const packs = order.items.flatMap(({ packages }) => packages);
  const trips = tripsFor(order.items, 23);
  expect(trips).toBeGreaterThanOrEqual(Math.ceil(order.massKg / Math.max(23, ...packs.map((p) => p.massKg))));
  expect(trips).toBeLessThanOrEqual(packs.reduce((sum, { count }) => sum + count, 0));
  expect(tripsFor(order.items, 1e6)).toBe(1);
  expect(tripsFor([], 23)).toBe(0);
  expect(tripsFor(order.items, 46)).toBeLessThan(trips);
});
