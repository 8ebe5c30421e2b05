import type { RoomUse } from '../takeoff';
import type { OrderItem } from './items';
import { beadWare, compoundIn } from './wares';

/** Rooms as far as goods are shared out among them. */
export interface RoomShare {
  boardAreaM2: number;
  use: Pick<RoomUse, 'uses' | 'tapeMm' | 'beads'>;
}

/**
 * What goes to each room of something that every ware has so much of: mud by its litres, tape and bead by their
 * lengths, all else by the board.
 * @param of how much a ware has: its cost, its mass
 */
export function sharedByRoom(
  items: readonly OrderItem[],
  rooms: readonly RoomShare[],
  of: (item: OrderItem) => number,
): number[] {
  const shares = rooms.map(() => 0);
  for (const item of items) addShared(shares, rooms, of(item), (room) => takenBy(room, item));
  return shares;
}

/** Shares an amount out among rooms by what each weighs; where none weighs anything nothing is. */
export function addShared<T>(
  shares: number[],
  rooms: readonly T[],
  amount: number,
  weight: (room: T) => number,
): void {
  if (amount <= 0) return;
  const each = rooms.map(weight);
  const all = each.reduce((a, b) => a + b, 0);
  if (all > 0) each.forEach((one, i) => (shares[i] = (shares[i] as number) + (amount * one) / all));
}

function takenBy({ use, boardAreaM2 }: RoomShare, { kind, product }: OrderItem): number {
  const compound = compoundIn(product);
  if (compound !== undefined)
    return use.uses.reduce((sum, one) => sum + (one.compound === compound ? one.wetL : 0), 0);
  if (kind === 'tape') return use.tapeMm;
  if (kind === 'bead')
    return use.beads.reduce((sum, run) => sum + (beadWare(run.kind) === product ? run.mm : 0), 0);
  return boardAreaM2;
}

/** How often one person goes with what is to buy: the heaviest first, each with as much more as one carries. */
export function tripsFor(items: readonly OrderItem[], carriedKg: number): number {
  const packs = items.flatMap(({ packages }) =>
    packages.flatMap(({ massKg, count }) => Array.from({ length: count }, () => massKg)),
  );
  const loads: number[] = [];
  for (const kg of packs.sort((a, b) => b - a)) {
    const free = loads.findIndex((load) => load + kg <= carriedKg);
    if (free < 0) loads.push(kg);
    else loads[free] = (loads[free] as number) + kg;
  }
  return loads.length;
}

/** What is carried to each floor, kg, the lowest first. */
export function massByStorey(
  items: readonly OrderItem[],
  rooms: readonly RoomShare[],
  storeyOf: (room: number) => number,
): { storey: number; massKg: number }[] {
  const floors = new Map<number, number>();
  sharedByRoom(items, rooms, ({ massKg }) => massKg).forEach((kg, i) => {
    const storey = storeyOf(i);
    floors.set(storey, (floors.get(storey) ?? 0) + kg);
  });
  return [...floors].sort(([a], [b]) => a - b).map(([storey, massKg]) => ({ storey, massKg }));
}
