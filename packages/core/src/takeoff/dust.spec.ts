import { bookWith, TYPICAL } from '../book';
import { suppliedWith } from '../compound';
import type { Finish, Way } from '../job';
import { plan } from '../plan';
import { jobOf, plainRoom } from '../testing/samples';
import { dustOf, solidsKgL } from './dust';

const book = suppliedWith(TYPICAL, {});
const use = (row: string, coat: string, wetL: number, compound = 'drying-all-purpose') =>
  ({ row, coat, wetL, compound }) as never;
const dust = (grade: number, uses: never[], between: Way['between'] = 'scrape', figures = book) =>
  dustOf(
    {
      areas: [{ finish: { scale: 'level', grade } as Finish, rows: [{ id: 'flats' }], use: { uses } }],
    },
    { between },
    figures,
  );

it('weighs what is solid: drying compound without its water, setting compound with what it binds', () => {
  expect(solidsKgL(book.compounds['drying-all-purpose'])).toBeCloseTo(1.6 * 0.62, 9);
  expect(solidsKgL(book.compounds['setting-hard'])).toBeCloseTo(1.65 * 0.85, 9);
});

describe('dust, by pencil', () => {
  const coats = [use('flats', 'tape', 2), use('flats', 'fill', 4), use('flats', 'finish', 3)];

  it('is a share of the last coat: 3 L · 0.992 kg/L · 6 % = 0.179 kg', () => {
    expect(dust(4, coats)).toBeCloseTo(3 * 0.992 * 0.06, 9);
  });

  it('is more where each coat is sanded: 2 % of the 6 L under it besides', () => {
    expect(dust(4, coats, 'sand')).toBeCloseTo(3 * 0.992 * 0.06 + 6 * 0.992 * 0.02, 9);
  });

  it('is more and finer off setting compound', () => {
    const set = [use('flats', 'finish', 3, 'setting-light')];
    expect(dust(4, set)).toBeCloseTo(3 * 1.25 * 0.85 * 0.09, 9);
  });

  it('is none where ridges may stay, and off ridges alone where they may not', () => {
    expect(dust(2, coats)).toBe(0);
    expect(dust(3, coats)).toBe(0);
    expect(dust(3, coats, 'sand')).toBeCloseTo(9 * 0.992 * 0.02, 9);
  });

  it('is none off gaps, nor off a row that has no mud', () => {
    expect(dust(4, [use('flats', 'prefill', 5)])).toBe(0);
    expect(dust(4, [use('flats', 'finish', 0)])).toBe(0);
    expect(dust(4, [use('butts', 'finish', 3)])).toBe(0);
  });

  it('follows a share of one’s own', () => {
    const own = suppliedWith(bookWith({ dustDrying: 0.1 }), {});
    expect(dust(4, coats, 'scrape', own)).toBeCloseTo(3 * 0.992 * 0.1, 9);
  });
});

it('of a bedroom at level 4 is some hundred grams, at level 5 more', () => {
  const kg = (grade: 4 | 5) => {
    const job = jobOf([plainRoom({ finish: { scale: 'level', grade } })]);
    const { rooms } = plan(job);
    return dustOf(rooms[0]!, job.way, suppliedWith(TYPICAL, job));
  };
  expect(kg(4)).toBeGreaterThan(0.1);
  expect(kg(4)).toBeLessThan(2);
  expect(kg(5)).toBeGreaterThan(kg(4));
});
