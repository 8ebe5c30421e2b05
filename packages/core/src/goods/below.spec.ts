import { suppliedWith } from '../compound';
import { TYPICAL } from '../book';
import { plan } from '../plan';
import { demoJob, said } from '../testing/samples';
import { whyBelow, type Below } from './below';

const job = demoJob('tarn-ferry');
const made = plan(job);
const below: Below = {
  rooms: made.rooms,
  way: job.way,
  book: suppliedWith(TYPICAL, job),
  roomName: (id) => job.rooms.find((room) => room.id === id)?.name ?? id,
  jointName: (_, joint) => joint,
};
const sum = (inputs: readonly { value: unknown }[]): number =>
  inputs.reduce((all, { value }) => all + Number(value), 0);

it('leads from every total down to the joints, each step adding up to the one above', () => {
  const wares = made.order.items.filter(({ kind }) => kind === 'compound');
  let joints = 0;
  for (const { why } of wares)
    for (const coat of why.inputs.filter(({ key }) => key)) {
      const rooms = whyBelow(coat.key!, below)!;
      expect(sum(rooms.inputs)).toBeCloseTo(Number(coat.value), 6);
      for (const room of rooms.inputs) {
        const rows = whyBelow(room.key!, below)!;
        expect(sum(rows.inputs)).toBeCloseTo(Number(room.value), 6);
        for (const row of rows.inputs.filter(({ key }) => key)) {
          const each = whyBelow(row.key!, below)!;
          joints += each.inputs.length;
          // A skim laid over a joint is in its section alone.
          expect(Math.abs(sum(each.inputs) / Number(row.value) - 1)).toBeLessThan(0.02);
        }
      }
    }
  expect(joints).toBeGreaterThan(200);
});

it('leads from the tape to the rooms and their joints', () => {
  const tape = made.order.items.find(({ kind }) => kind === 'tape')!;
  const [all] = tape.why.inputs;
  const rooms = whyBelow(all!.key!, below)!;
  expect(sum(rooms.inputs)).toBeCloseTo(Number(all!.value), 6);
  expect(rooms.inputs.map(({ label }) => said(label))).toContain('Study nook');
  const nook = rooms.inputs.find(({ label }) => said(label) === 'Study nook')!;
  expect(sum(whyBelow(nook.key!, below)!.inputs)).toBeCloseTo(Number(nook.value), 6);
});

it.each([
  '',
  'mud/no-such|tape',
  'mud/drying-light|no-coat',
  'mud/drying-light|fill|no-room',
  'tape/paper|no-room',
])('says nothing of %p', (key) => expect(whyBelow(key, below)).toBeUndefined());
