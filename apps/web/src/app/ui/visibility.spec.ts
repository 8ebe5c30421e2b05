import { rowsSeen } from './visibility';

const rows = Array.from({ length: 100 }, (_, i) => i);

it('draws the rows that are seen, and leaves room for the others', () => {
  expect(rowsSeen(rows, 30, { from: 300, to: 450 })).toEqual({
    rows: [10, 11, 12, 13, 14],
    before: 300,
    after: 2550,
  });
  expect(rowsSeen(rows, 30, { from: 0, to: Infinity })).toEqual({ rows, before: 0, after: 0 });
  expect(rowsSeen(rows, 30, { from: 9000, to: 9900 }).rows).toEqual([]);
  expect(rowsSeen([], 30, { from: 0, to: 600 })).toEqual({ rows: [], before: 0, after: 0 });
});
