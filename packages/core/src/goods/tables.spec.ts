import Papa from 'papaparse';
import { plan } from '../plan';
import { demoJob, said, saidInFeet } from '../testing/samples';
import { csvOf } from '../exchange';
import { cutsTable, orderTable, takeoffTable, tapeTable } from './tables';
import { tapePieces } from './tape';

const { order, rooms } = plan(demoJob('tarn-ferry'));
const read = (text: string): Record<string, string>[] =>
  Papa.parse<Record<string, string>>(text.trim(), { header: true }).data;

it('lists every package of every ware, with what the ware comes to once', () => {
  const rows = read(csvOf(orderTable(order, saidInFeet, 'feet')));
  expect(rows).toHaveLength(order.items.flatMap(({ packages }) => packages).length);
  const sum = (column: string): number => rows.reduce((all, row) => all + Number(row[column]), 0);
  expect(sum('cost')).toBeCloseTo(order.cost, 1);
  expect(sum('weight, lb') / 2.204623).toBeCloseTo(order.massKg, 1);
  const bead = order.items.find(({ kind }) => kind === 'bead')!;
  expect(rows.find(({ item }) => item === saidInFeet(bead.name))).toMatchObject({
    unit: 'ft',
    'to buy': String(Math.round((bead.buy / 304.8) * 100) / 100),
  });
  expect(rows.find(({ item }) => item === 'paper tape')!['package']).toBe('roll of 500 ft');
});

it('lists what every room takes, and every length of tape', () => {
  const takeoff = read(csvOf(takeoffTable(rooms, (id) => `room ${id}`, said, 'metric')));
  const litres = takeoff.reduce((sum, row) => sum + Number(row['wet mud, L']), 0);
  expect(litres).toBeCloseTo(
    rooms.reduce((sum, room) => sum + room.use.wetL, 0),
    0,
  );
  const { pieces } = tapePieces(rooms, order.tape!.rollMm, 0.05);
  const tape = read(csvOf(tapeTable(pieces, said, (room, joint) => ({ room, corner: joint }), 'metric')));
  const metres = tape.reduce((sum, row) => sum + Number(row['length, mm']), 0) / 1000;
  const joints = rooms.reduce((sum, room) => sum + room.use.tapeMm, 0) / 1000;
  // Spots that are mended are taped from what is over.
  expect(metres).toBeLessThanOrEqual(joints * 1.05 + 0.1);
  expect(metres).toBeGreaterThan(joints);
});

it('lists every piece with its stick, its room and its corner, and what is left of each stick', () => {
  const rows = read(
    csvOf(cutsTable(order, said, (room, joint) => ({ room: `=${room}`, corner: joint }), 'metric')),
  );
  const pieces = order.beads.flatMap(({ cuts }) => cuts.flatMap((stick) => stick.pieces));
  expect(rows.map(({ piece }) => Number(piece))).toEqual(pieces.map(({ n }) => n));
  const sticks = order.beads.flatMap(({ cuts }) => cuts);
  expect(new Set(rows.map(({ stick }) => stick)).size).toBe(sticks.length);
  const left = rows.reduce((sum, row) => sum + Number(row['left over, mm']), 0);
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
