import Papa from 'papaparse';
import { plan } from '../plan';
import { demoJob, said, saidInFeet } from '../testing/samples';
import { cutsCsv, orderCsv, waresOf } from './order-table';

const { order, rooms } = plan(demoJob('tarn-ferry'));
const read = (text: string): Record<string, string>[] =>
  Papa.parse<Record<string, string>>(text.trim(), { header: true }).data;

it('lists every package of every ware, with what the ware comes to once', () => {
  const rows = read(orderCsv(order, saidInFeet));
  expect(rows).toHaveLength(waresOf(order).flatMap(({ packages }) => packages).length);
  const sum = (column: string): number => rows.reduce((all, row) => all + Number(row[column]), 0);
  expect(sum('cost')).toBeCloseTo(order.cost, 1);
  expect(sum('mass kg')).toBeCloseTo(order.massKg, 1);
  expect(sum('bought m')).toBeCloseTo(
    (order.tape!.rolls * order.tape!.rollMm + order.beads[0]!.boughtMm) / 1000,
    1,
  );
  expect(rows.find(({ ware }) => ware === 'paper tape')!['package']).toBe('roll of 500 ft');
});

it('lists every piece with its stick, its room and its corner, and what is left of each stick', () => {
  const rows = read(cutsCsv(order, said, (room, joint) => ({ room: `=${room}`, corner: joint })));
  const pieces = order.beads.flatMap(({ cuts }) => cuts.flatMap((stick) => stick.pieces));
  expect(rows.map(({ piece }) => Number(piece))).toEqual(pieces.map(({ n }) => n));
  const sticks = order.beads.flatMap(({ cuts }) => cuts);
  expect(new Set(rows.map(({ stick }) => stick)).size).toBe(sticks.length);
  const left = rows.reduce((sum, row) => sum + Number(row['left mm']), 0);
  expect(left).toBeCloseTo(
    sticks.reduce((sum, { offcutMm }) => sum + offcutMm, 0),
    0,
  );
  // A name that a spreadsheet would reckon with is made harmless.
  expect(rows.every(({ room }) => room!.startsWith("'="))).toBe(true);
  expect(rows.every(({ corner }) => rooms.some((one) => one.joints.some(({ id }) => id === corner)))).toBe(
    true,
  );
});
