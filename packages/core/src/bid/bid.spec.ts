import * as fc from 'fast-check';
import { COMPOUND } from '../compound';
import { jobFigures } from '../figures';
import { plan } from '../plan';
import { csvOf } from '../exchange';
import { demoJob, jobOf, plainRoom, said } from '../testing/samples';
import { alternativesOf } from './alternatives';
import { agreedOf, extrasOf, type Bid } from './bid';
import { moneyDigits, shared } from './money';
import { bidTable } from './table';
import { suppliedWith } from '../compound';
import { TYPICAL } from '../book';
import { trials } from '../testing/trials';

const job = jobOf([plainRoom({ id: 'a' }), plainRoom({ id: 'b', finish: { scale: 'level', grade: 2 } })]);
const bidOf = (over: Partial<typeof job> = {}): Bid => plan({ ...job, ...over }).bid;
const line = (bid: Bid, kind: string): number => bid.lines.find((one) => one.kind === kind)!.amount;

describe('a bid', () => {
  it('adds up line by line: by pencil', () => {
    const made = plan(job);
    const { bid } = made;
    const materials = made.order.items.reduce((sum, { cost }) => sum + Math.round(cost * 100), 0) / 100;
    const labour = Math.round((made.days.labourMin / 60) * 48 * 100) / 100;
    expect(line(bid, 'materials')).toBeCloseTo(materials, 9);
    expect(line(bid, 'labour')).toBeCloseTo(labour, 9);
    // Three days of one person, each 40 minutes at 48 and 10 for the distance.
    expect(made.days.trips).toBe(3);
    const trips = 3 * (32 + 10);
    expect(line(bid, 'trips')).toBe(trips);
    // No input of a line is called by what the line says of itself.
    for (const { why } of bid.lines)
      expect(why.inputs.map(({ label }) => said(label))).not.toContain(said(why.rule));
    expect(bid.lines.map(({ kind }) => kind)).not.toContain('smallest');
    expect(line(bid, 'equipment')).toBe(0);
    const cost = materials + labour + trips;
    const overhead = Math.round(cost * 10) / 100;
    expect(line(bid, 'overhead')).toBeCloseTo(overhead, 9);
    const margin = Math.round((cost + overhead) * 12) / 100;
    expect(line(bid, 'margin')).toBeCloseTo(margin, 9);
    // Up to the next five.
    expect(bid.net).toBeCloseTo(Math.ceil((cost + overhead + margin) / 5) * 5, 9);
    expect(bid.total).toBe(bid.net);
  });

  it('charges a patch half a day', () => {
    const room = plainRoom({
      standing: true,
      damage: [{ id: 'd', kind: 'dent', sizeMm: 40, apart: true }],
    });
    const { bid, days } = plan(jobOf([room]));
    // Fifty minutes of work and a trip of 42: the rest of four hours at 48.
    const labour = Math.round((days.labourMin / 60) * 48 * 100) / 100;
    expect(line(bid, 'labour') + line(bid, 'trips')).toBeCloseTo(labour + 42, 9);
    expect(labour).toBeLessThan(60);
    expect(line(bid, 'smallest')).toBeCloseTo(192 - 42 - labour, 9);
    expect(plan(jobOf([])).bid.total).toBe(0);
  });

  it('adds up to the coin in every money, by lines, by rooms and by grades', () => {
    fc.assert(
      fc.property(
        fc.record({
          bidOverhead: fc.double({ min: 0, max: 1, noNaN: true }),
          bidMargin: fc.double({ min: 0, max: 1, noNaN: true }),
          bidTax: fc.double({ min: 0, max: 0.3, noNaN: true }),
          bidRound: fc.constantFrom(0, 0.05, 1, 5, 100),
          priceHour: fc.double({ min: 0, max: 90, noNaN: true }),
        }),
        fc.constantFrom(undefined, '$', '€', 'JPY', 'KWD', 'CHF', 'kr', 'n/a'),
        (figures, money) => {
          const bid = bidOf({
            shop: { figures, ...(money ? { money } : {}) },
            bidding: { equipment: [{ id: 'e', name: 'Platform', price: 12.345 }] },
          });
          const coins = (amount: number): number => amount * 10 ** bid.digits;
          const sum = (list: readonly { amount: number }[]): number =>
            list.reduce((all, { amount }) => all + Math.round(coins(amount)), 0);
          for (const list of [bid.lines, bid.rooms, bid.grades]) {
            for (const { amount } of list) expect(coins(amount)).toBeCloseTo(Math.round(coins(amount)), 4);
            expect(sum(list)).toBe(Math.round(coins(bid.total)));
          }
          expect(sum(bid.wares)).toBe(Math.round(coins(line(bid, 'materials'))));
        },
      ),
      { numRuns: trials(25) },
    );
  });

  it('gives a room by itself the whole sum, and two alike the same', () => {
    const one = plan(jobOf([plainRoom()])).bid;
    expect(one.rooms).toMatchObject([{ amount: one.total }]);
    const twins = plan(jobOf([plainRoom({ id: 'a' }), plainRoom({ id: 'b' })])).bid;
    expect(Math.abs(twins.rooms[0]!.amount - twins.rooms[1]!.amount)).toBeLessThan(0.011);
    expect(bidOf().grades.map(({ name }) => said(name))).toEqual(['Level 2', 'Level 4']);
  });

  it('goes out as a table that adds up', () => {
    const { rows } = bidTable(bidOf(), (id) => id, said);
    const of = (part: string) =>
      rows
        .filter((row) => row['part'] === part && row['line'] !== 'Total')
        .reduce((sum, { amount }) => sum + Number(amount), 0);
    const total = Number(rows.find((row) => row['line'] === 'Total')!['amount']);
    for (const part of ['total', 'rooms', 'levels']) expect(of(part)).toBeCloseTo(total, 6);
    expect(csvOf(bidTable(bidOf(), () => '=1+1', said))).toContain("'=1+1");
  });
});

describe('sharing a sum', () => {
  it('gives whole parts that add up, each within one of what is due', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1e6 }),
        fc.array(fc.double({ min: 0, max: 1000, noNaN: true }), { minLength: 1, maxLength: 30 }),
        (sum, weights) => {
          const parts = shared(sum, weights);
          expect(parts.reduce((a, b) => a + b, 0)).toBe(sum);
          const all = weights.reduce((a, b) => a + b, 0);
          parts.forEach((part, i) => {
            const due = all > 0 ? (sum * (weights[i] as number)) / all : sum / weights.length;
            expect(Math.abs(part - due)).toBeLessThan(1.001);
          });
        },
      ),
    );
  });

  it.each([
    ['€', 2],
    [undefined, 2],
    ['JPY', 0],
    ['KWD', 3],
    ['EUR', 2],
    ['Zzz', 2],
  ])('counts %s with %d digits', (money, digits) => expect(moneyDigits(money)).toBe(digits));
});

describe('alternatives', () => {
  const book = suppliedWith(TYPICAL, undefined);
  it('are a grade up and one down, each within its scale', () => {
    const [up, down] = alternativesOf(job, ['drying-light'], book);
    expect(up).toMatchObject({ id: 'up' });
    expect(up!.job.rooms.map(({ finish }) => finish.grade)).toEqual([5, 3]);
    expect(down!.job.rooms.map(({ finish }) => finish.grade)).toEqual([3, 1]);
    const top = jobOf([plainRoom({ finish: { scale: 'q', grade: 4 } })]);
    expect(alternativesOf(top, [], book).map(({ id }) => id)).toEqual(['down']);
    expect(jobFigures(up!.job).bid).toBeGreaterThan(jobFigures(job).bid);
    expect(jobFigures(down!.job).bid).toBeLessThan(jobFigures(job).bid);
  });

  it('are one compound for every coat, which buys less for a bath', () => {
    const bath = jobOf([plainRoom({ plan: { lengthMm: 2440, widthMm: 1520, heightMm: 2440 } })], {
      way: { ...job.way, compounds: 'setting-below' },
    });
    const made = plan(bath);
    const used = made.order.compounds.map(({ compound }) => compound);
    const all = alternativesOf(bath, used, book).filter(({ compound }) => compound);
    expect(all.length).toBeGreaterThan(2);
    for (const { compound } of all)
      expect(COMPOUND[compound!]).toMatchObject({ bed: 'yes', fill: 'yes', finish: 'yes' });
    const one = all.find(({ compound }) => compound === 'drying-all-purpose')!;
    expect(jobFigures(one.job).boughtL).toBeLessThan(jobFigures(bath).boughtL);
    expect(plan(one.job).order.compounds.map(({ compound }) => compound)).toEqual(['drying-all-purpose']);
    expect(alternativesOf(one.job, ['drying-all-purpose'], book).some(({ compound }) => compound)).toBe(
      false,
    );
  });
});

describe('what was agreed', () => {
  const names = job.rooms.map(({ id }) => ({ id, name: `Room ${id}` }));
  const agreed = agreedOf(bidOf(), names, '2026-11-27T08:00');
  it('stands, and nothing stands beside it while nothing changes', () => {
    expect(extrasOf(agreed, bidOf(), names)).toEqual({ rooms: [], total: 0 });
    expect(agreed.rooms.reduce((sum, { amount }) => sum + amount, 0)).toBeCloseTo(agreed.total, 6);
  });

  it('has rooms that came, went or cost another sum as extras, which add up', () => {
    const rooms = [plainRoom({ id: 'b', finish: { scale: 'level', grade: 5 } }), plainRoom({ id: 'c' })];
    const later = bidOf({ rooms });
    const extras = extrasOf(
      agreed,
      later,
      rooms.map(({ id }) => ({ id, name: `Room ${id}` })),
    );
    expect(extras.rooms.map(({ room, change }) => [room, change])).toEqual([
      ['b', 'changed'],
      ['c', 'added'],
      ['a', 'gone'],
    ]);
    const sum = extras.rooms.reduce((all, { was, is }) => all + is - was, 0);
    expect(sum).toBeCloseTo(extras.total, 6);
    expect(extras.total).toBeCloseTo(later.total - agreed.total, 6);
  });
});

it('bids for the example what its lines come to', () => {
  const { bid } = plan(demoJob('tarn-ferry'));
  expect(bid.lines.reduce((sum, { amount }) => sum + amount, 0)).toBeCloseTo(bid.total, 6);
  expect(bid.rooms).toHaveLength(5);
});
