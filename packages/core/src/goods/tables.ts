import { tableOf, to2, type Table } from '../exchange';
import { ELEMENT, type Coat } from '../job';
import type { Survey } from '../survey';
import type { Say } from '../speech';
import { PER_UNIT, type PaceUnit, type RoomUse, type Takeoff } from '../takeoff';
import { say, type Message } from '../texts';
import { L_PER_GAL, LB_PER_KG, MM_PER_FT, MM_PER_IN, SQFT_PER_M2, type UnitSystem } from '../units';
import type { Order, OrderItem } from './items';
import type { TapePiece } from './tape';

/** Figures of a table in the units of a job. */
const figures = (units: UnitSystem) => {
  const feet = units === 'feet';
  const volume = (litres: number): number => to2(feet ? litres / L_PER_GAL : litres);
  return {
    /** In millimeters or inches. */
    small: (mm: number): number => to2(feet ? mm / MM_PER_IN : mm),
    volume,
    mass: (kg: number): number => to2(feet ? kg * LB_PER_KG : kg),
    /** A length in meters or feet, an area in square meters or square feet. */
    counted: (amount: number, unit: OrderItem['unit']): number => {
      if (unit === 'mm') return to2(feet ? amount / MM_PER_FT : amount / 1000);
      if (unit === 'm2') return to2(feet ? amount * SQFT_PER_M2 : amount);
      return unit === 'L' ? volume(amount) : to2(amount);
    },
    unit: (unit: OrderItem['unit']): Message =>
      unit === 'count' ? say('table.pieces') : say(`table.unit-${unit}`, { units }),
  };
};

/** A package of an item; an item that is all on hand has none. */
interface OrderLine {
  item: OrderItem;
  one: OrderItem['packages'][number] | undefined;
  first: boolean;
}

/** The order: a package a row; what the whole item comes to stands beside its first package. */
export function orderTable(order: Pick<Order, 'items'>, told: Say, units: UnitSystem): Table {
  const { counted, mass, unit } = figures(units);
  const rows = order.items.flatMap((item): OrderLine[] =>
    item.packages.length === 0
      ? [{ item, one: undefined, first: true }]
      : item.packages.map((one, i) => ({ item, one, first: i === 0 })),
  );
  const once =
    (of: (item: OrderItem) => string | number) =>
    ({ item, first }: OrderLine): string | number =>
      first ? of(item) : '';
  const amount = (of: (item: OrderItem) => number) => once((item) => counted(of(item), item.unit));
  return tableOf(
    say('table.order'),
    rows,
    [
      [say('table.item'), ({ item }) => told(item.name)],
      [say('table.package'), ({ one }) => (one ? told(one.name) : '')],
      [say('table.count'), ({ one }) => one?.count ?? 0],
      [say('table.each'), ({ one }) => (one ? to2(one.price) : '')],
      [say('table.unit'), once((item) => told(unit(item.unit)))],
      [say('table.low'), amount(({ need }) => need.low)],
      [say('table.likely'), amount(({ need }) => need.likely)],
      [say('table.high'), amount(({ need }) => need.high)],
      [say('table.used'), amount(({ used }) => used)],
      [say('table.on-hand'), amount(({ onHand }) => onHand)],
      [say('table.buy'), amount(({ buy }) => buy)],
      [say('table.left-over'), amount(({ leftover }) => leftover)],
      [say('table.weight', { units }), once(({ massKg }) => mass(massKg))],
      [say('table.cost'), once(({ cost }) => to2(cost))],
    ],
    told,
  );
}

/** The room and the corner of a piece, as they are called. */
export type Where = (room: string, joint: string) => { room: string; corner: string };

/** The cut list: a piece a row, stick by stick. */
export function cutsTable(
  { beads }: Pick<Takeoff, 'beads'>,
  told: Say,
  where: Where,
  units: UnitSystem,
): Table {
  const { small } = figures(units);
  let n = 0;
  const rows = beads.flatMap(({ kind, cuts }) =>
    cuts.flatMap((cut) => {
      const stick = ++n;
      return cut.pieces.map((piece, i) => ({ kind, stick, cut, piece, last: i === cut.pieces.length - 1 }));
    }),
  );
  return tableOf<(typeof rows)[number]>(
    say('table.cuts'),
    rows,
    [
      [say('table.kind'), ({ kind }) => told(say(`bead-line.${kind}`))],
      [say('table.stick'), ({ stick }) => stick],
      [say('table.stick-length', { units }), ({ cut }) => small(cut.stockMm)],
      [say('table.on-hand'), ({ cut }) => (cut.onHand ? 1 : 0)],
      [say('table.piece'), ({ piece }) => piece.n],
      [say('table.part'), ({ piece }) => piece.part?.join('/') ?? ''],
      [say('table.length', { units }), ({ piece }) => small(piece.mm)],
      [say('table.room'), ({ piece }) => where(piece.room, piece.joint).room],
      [say('table.corner'), ({ piece }) => where(piece.room, piece.joint).corner],
      [say('table.left', { units }), ({ cut, last }) => (last ? small(cut.offcutMm) : '')],
    ],
    told,
  );
}

/** Every length of tape in the order it is hung. */
export function tapeTable(pieces: readonly TapePiece[], told: Say, where: Where, units: UnitSystem): Table {
  const { small } = figures(units);
  return tableOf(
    say('table.tape'),
    pieces.map((piece, i) => ({ ...piece, n: i + 1 })),
    [
      [say('table.piece'), ({ n }) => n],
      [say('table.roll'), ({ roll }) => roll + 1],
      [say('table.length', { units }), ({ mm }) => small(mm)],
      [say('table.room'), ({ room, joint }) => where(room, joint).room],
      [say('table.joint'), ({ room, joint }) => where(room, joint).corner],
    ],
    told,
  );
}

const COUNTED: Record<PaceUnit, OrderItem['unit']> = { m: 'mm', count: 'count', m2: 'm2' };

/** What every room takes, row by row and coat by coat. */
export function takeoffTable(
  rooms: readonly (Pick<Survey, 'boardAreaM2'> & { id: string; use: Pick<RoomUse, 'uses'> })[],
  nameOf: (room: string) => string,
  told: Say,
  units: UnitSystem,
): Table {
  const { counted, unit, volume } = figures(units);
  const rows = rooms.flatMap(({ id, use }) =>
    use.uses
      .filter(({ amount }) => amount > 0)
      .map((one) => ({ ...one, room: id, unit: COUNTED[ELEMENT[one.element].unit] })),
  );
  return tableOf<(typeof rows)[number]>(
    say('table.takeoff'),
    rows,
    [
      [say('table.room'), ({ room }) => nameOf(room)],
      [say('table.row'), ({ element }) => told(say(`element.${element}`))],
      [say('table.coat'), ({ coat }) => told(say(`coat.${coat as Coat}`))],
      [say('table.compound'), ({ compound }) => told(say(`compound.${compound}`))],
      [
        say('table.amount'),
        ({ amount, unit: of }) => counted(of === 'm2' ? amount / PER_UNIT.m2 : amount, of),
      ],
      [say('table.unit'), ({ unit: of }) => told(unit(of))],
      [say('table.mud', { units }), ({ wetL }) => volume(wetL)],
      [say('table.work'), ({ minutes }) => to2(minutes)],
    ],
    told,
  );
}
