import Papa from 'papaparse';
import type { Say } from '../speech';
import { say, type Sayable } from '../texts';
import type { Order } from './order';

/** What is bought in one line: how many of what, of which ware. */
export interface Ware {
  ware: Sayable;
  packages: { name: Sayable; count: number }[];
}

/** Everything to buy, in the order it is loaded: compound, tape, bead and trim. Board is the hanger’s. */
export function waresOf({ compounds, tape, beads }: Order): Ware[] {
  return [
    ...compounds.map(({ name, packages }) => ({ ware: say('order.compound', { compound: name }), packages })),
    ...(tape
      ? [
          {
            ware: say(`tape.${tape.tape}`),
            packages: [{ name: say('order.roll', { length: tape.rollMm }), count: tape.rolls }],
          },
        ]
      : []),
    ...beads.map(({ kind, sticks }) => ({
      ware: say(`bead-line.${kind}`),
      packages: sticks.map(({ lengthMm, count }) => ({
        name: say('order.stick', { length: lengthMm }),
        count,
      })),
    })),
  ];
}

const to2 = (n: number): number => Math.round(n * 100) / 100;

/** The order as a table for other programs: a package a row, amounts as numbers with their units in the head. */
export function orderCsv(order: Order, told: Say): string {
  const amounts = [
    ...order.compounds.map(({ exactL, withWasteL, boughtL, massKg, cost }) => ({
      'on the wall L': to2(exactL),
      'with waste L': to2(withWasteL),
      'bought L': to2(boughtL),
      'mass kg': to2(massKg),
      cost: to2(cost),
    })),
    ...(order.tape
      ? [
          {
            'on the wall m': to2(order.tape.exactMm / 1000),
            'bought m': to2((order.tape.rolls * order.tape.rollMm) / 1000),
            cost: to2(order.tape.cost),
          },
        ]
      : []),
    ...order.beads.map(({ exactMm, boughtMm, cost }) => ({
      'on the wall m': to2(exactMm / 1000),
      'bought m': to2(boughtMm / 1000),
      cost: to2(cost),
    })),
  ];
  const rows = waresOf(order).flatMap(({ ware, packages }, i) =>
    packages.map(({ name, count }, n) => ({
      ware: told(ware),
      package: told(name),
      count,
      // What the whole ware comes to stands beside its first package.
      ...(n === 0 ? amounts[i] : {}),
    })),
  );
  return table(rows, [
    'ware',
    'package',
    'count',
    'on the wall L',
    'with waste L',
    'bought L',
    'mass kg',
    'on the wall m',
    'bought m',
    'cost',
  ]);
}

/**
 * The cutting list: a piece a row, stick by stick.
 * @param where the room and the corner of a piece, as they are called
 */
export function cutsCsv(
  order: Order,
  told: Say,
  where: (room: string, joint: string) => { room: string; corner: string },
): string {
  let stick = 0;
  const rows = order.beads.flatMap(({ kind, cuts }) =>
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
  return table(rows, [
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
  ]);
}

const table = (rows: Record<string, unknown>[], columns: string[]): string =>
  `${Papa.unparse(rows, { columns, escapeFormulae: true })}\r\n`;
