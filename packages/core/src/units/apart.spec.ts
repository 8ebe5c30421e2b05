import * as fc from 'fast-check';
import { apart, printFine, shareTo, smallTo, temperatureTo } from './apart';
import { FEET, METRIC, parseLength } from './length';
import { US } from './locale';
import { printBatch, printDab, printOnRun } from './quantity';

const share = shareTo({ locale: US });

it('shows as many digits as it takes to tell two figures apart', () => {
  expect(apart(0.1, 0.12, share)).toEqual(['10%', '12%']);
  expect(apart(0.1031, 0.1, share)).toEqual(['10.3%', '10%']);
  expect(apart(9.6, 10, temperatureTo(METRIC))).toEqual(['9.6 °C', '10 °C']);
  // Both are an eighth of an inch to the sixteenth.
  expect(apart(3.4, 3, smallTo(FEET))).toEqual(['9/64"', '1/8"']);
  expect(apart(3.02, 3, smallTo(METRIC))).toEqual(['3.02 mm', '3 mm']);
  fc.assert(
    fc.property(
      fc.double({ min: 0.01, max: 1, noNaN: true }),
      fc.double({ min: 1e-4, max: 1, noNaN: true }),
      (a, d) => {
        const [one, other] = apart(a, a + d, share);
        return one !== other;
      },
    ),
  );
});

it('tells layers to a sixty-fourth of an inch, and finer ones in decimals', () => {
  expect(printFine(3.175, FEET)).toBe('1/8"');
  expect(printFine(1.19, FEET)).toBe('3/64"');
  expect(printFine(0.25, FEET)).toBe('0.01"');
  expect(printFine(0.43, FEET)).toBe('0.017"');
  expect(printFine(-26.2, FEET)).toBe('−1 1/32"');
  expect(printFine(0.734, METRIC)).toBe('0.73 mm');
  // What is printed is read back to the sixty-fourth.
  fc.assert(
    fc.property(fc.double({ min: 0, max: 200, noNaN: true }), (mm) => {
      const read = parseLength(printFine(mm, FEET), 'in');
      return read.ok && Math.abs(read.mm - mm) <= 25.4 / 128 + 1e-6;
    }),
  );
});

it('reads less than nothing only where a hollow is meant', () => {
  expect(parseLength('-1/8', 'in', true)).toEqual({ ok: true, mm: -3.175 });
  expect(parseLength('−2.5 mm', 'in', true)).toEqual({ ok: true, mm: -2.5 });
  expect(parseLength('-2', 'mm').ok).toBe(false);
  expect(parseLength('--2', 'mm', true).ok).toBe(false);
});

it('tells mud along a joint and on a fastener in the units people use', () => {
  // 146 mL × 30.48 m = 4.45 L = 4.7 qt.
  expect(printOnRun(0.146, METRIC)).toBe('146 mL');
  expect(printOnRun(0.146, FEET)).toBe('4.7 qt');
  expect(printOnRun(0.006, FEET)).toBe('6.2 fl oz');
  expect(printDab(0.7, METRIC)).toBe('0.7 mL');
  expect(printDab(0.7, FEET)).toBe('0.024 fl oz');
});

it('a small batch is told as it is measured out', () => {
  expect([0.001, 0.16, 1.234].map((litres) => printBatch(litres, METRIC))).toEqual([
    '5 mL',
    '160 mL',
    '1,235 mL',
  ]);
  expect([0.001, 0.139, 0.3].map((litres) => printBatch(litres, FEET))).toEqual([
    '0.1 fl oz',
    '4.7 fl oz',
    '10.1 fl oz',
  ]);
});
