import Papa from 'papaparse';
import { ELEMENT, type Coat } from '../job';
import type { Survey } from '../survey';
import type { Say } from '../speech';
import { PER_UNIT, type PaceUnit, type RoomUse, type Takeoff } from '../takeoff';
import { say, type Message } from '../texts';
import type { Order, OrderItem } from './items';
import type { TapePiece } from './tape';

/** A table for other programs: numbers as numbers, their units in the head. */
type Row = Readonly<Record<string, string | number>>;

export interface Table {
  name: Message;
  columns: readonly string[];
  rows: readonly Row[];
}

/** As comma-separated values; what a program might take for a formula is made harmless. */
export const csvOf = ({ columns, rows }: Table): string =>
  `${Papa.unparse([...rows], { columns: [...columns], escapeFormulae: true })}\r\n`;

export const to2 = (n: number): number => Math.round(n * 100) / 100;

/** Lengths in metres; all else as it is counted. */
const asCounted = (amount: number, unit: OrderItem['unit']): number =>
  to2(unit === 'mm' ? amount / 1000 : amount);
const unitName = (unit: OrderItem['unit']): string =>
  unit === 'mm' ? 'm' : unit === 'm2' ? 'm²' : unit === 'count' ? 'pieces' : unit;

/** The order: a package a row; what the whole ware comes to stands beside its first package. */
export function orderTable(order: Pick<Order, 'items'>, told: Say): Table {
  const rows = order.items.flatMap((item): Row[] => {
    const { name, unit, need, used, onHand, buy, leftover, packages, massKg, cost } = item;
    const all: Row = {
      unit: unitName(unit),
      low: asCounted(need.low, unit),
      likely: asCounted(need.likely, unit),
      high: asCounted(need.high, unit),
      used: asCounted(used, unit),
      'on hand': asCounted(onHand, unit),
      buy: asCounted(buy, unit),
      'left over': asCounted(leftover, unit),
      'mass kg': to2(massKg),
      cost: to2(cost),
    };
    const ware = told(name);
    if (packages.length === 0) return [{ ware, package: '', count: 0, ...all }];
    return packages.map(({ name: one, count, price }, i) => ({
      ware,
      package: told(one),
      count,
      'price each': to2(price),
      ...(i === 0 ? all : {}),
    }));
  });
  return {
    name: say('table.order'),
    columns: [
      'ware',
      'package',
      'count',
      'price each',
      'unit',
      'low',
      'likely',
      'high',
      'used',
      'on hand',
      'buy',
      'left over',
      'mass kg',
      'cost',
    ],
    rows,
  };
}

/** The room and the corner of a piece, as they are called. */
export type Where = (room: string, joint: string) => { room: string; corner: string };

/** The cutting list: a piece a row, stick by stick. */
export function cutsTable({ beads }: Pick<Takeoff, 'beads'>, told: Say, where: Where): Table {
  let stick = 0;
  const rows = beads.flatMap(({ kind, cuts }) =>
    cuts.flatMap(({ stockMm, onHand, pieces, offcutMm }) => {
      stick++;
      return pieces.map(({ n, mm, room, joint, part }, i) => ({
        kind: told(say(`bead-line.${kind}`)),
        stick,
        'stick mm': to2(stockMm),
        'on hand': onHand ? 1 : 0,
        piece: n,
        part: part ? part.join('/') : '',
        'length mm': to2(mm),
        ...where(room, joint),
        'left mm': i === pieces.length - 1 ? to2(offcutMm) : '',
      }));
    }),
  );
  return {
    name: say('table.cuts'),
    columns: [
      'kind',
      'stick',
      'stick mm',
      'on hand',
      'piece',
      'part',
      'length mm',
      'room',
      'corner',
      'left mm',
    ],
    rows,
  };
}

/** Every length of tape in the order it is hung. */
export const tapeTable = (pieces: readonly TapePiece[], where: Where): Table => ({
  name: say('table.tape'),
  columns: ['piece', 'roll', 'length mm', 'room', 'corner'],
  rows: pieces.map(({ room, joint, mm, roll }, i) => ({
    piece: i + 1,
    roll: roll + 1,
    'length mm': to2(mm),
    ...where(room, joint),
  })),
});

const COUNTED: Record<PaceUnit, string> = { m: 'm', count: 'pieces', m2: 'm²' };

/** What every room takes, row by row and coat by coat. */
export function takeoffTable(
  rooms: readonly (Pick<Survey, 'boardAreaM2'> & { id: string; use: Pick<RoomUse, 'uses'> })[],
  nameOf: (room: string) => string,
  told: Say,
): Table {
  const rows = rooms.flatMap(({ id, use }) =>
    use.uses
      .filter(({ amount }) => amount > 0)
      .map(({ element, coat, compound, amount, wetL, minutes }) => ({
        room: nameOf(id),
        row: told(say(`element.${element}`)),
        coat: told(say(`coat.${coat as Coat}`)),
        compound: told(say(`compound.${compound}`)),
        amount: to2(amount / PER_UNIT[ELEMENT[element].unit]),
        unit: COUNTED[ELEMENT[element].unit],
        'wet L': to2(wetL),
        'work min': to2(minutes),
      })),
  );
  return {
    name: say('table.takeoff'),
    columns: ['room', 'row', 'coat', 'compound', 'amount', 'unit', 'wet L', 'work min'],
    rows,
  };
}
