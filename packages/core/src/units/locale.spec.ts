import * as fc from 'fast-check';
import { parseLength, printLength } from './length';
import { Locale, US } from './locale';

const GB = new Locale('en-GB');
const DE = new Locale('de-DE');

it('writes figures, money, dates and the clock as the reader does', () => {
  expect(US.number(2987.126, 2)).toBe('2,987.13');
  expect(US.number(7, 1, 1)).toBe('7.0');
  expect(US.percent(0.079, 1)).toBe('7.9%');
  expect(US.date('2026-11-30T07:00')).toBe('Nov 30, 2026');
  expect(US.day('2026-11-30')).toBe('Mon, Nov 30');
  expect(US.day('2026-11-30', true)).toBe('Mon, Nov 30, 2026');
  expect(US.dayOfMonth('2026-11-30')).toBe('Nov 30');
  expect([US.datePart('2026-11-30', 'weekday'), US.datePart('2026-11-30', 'month')]).toEqual(['Mon', 'Nov']);
  expect(US.clock('2026-11-30T09:47')).toBe('9:47\u00a0AM');
  expect(US.clock('15:30')).toBe('3:30\u00a0PM');
  expect(US.clock('2026-11-30T00:05:09+01:00')).toBe('12:05\u00a0AM');
  expect(GB.date('2026-11-30')).toBe('30 Nov 2026');
  expect(GB.clock('2026-11-30T09:47')).toBe('09:47');
  expect(DE.number(2987.5, 1)).toBe('2.987,5');
});

it.each<[number, string, number, string, string]>([
  [2987.12, '$', 2, '$2,987.12', '2.987,12\u00a0$'],
  [-3.5, '$', 2, '−$3.50', '−3,50\u00a0$'],
  [1234567, '€', 0, '€1,234,567', '1.234.567\u00a0€'],
  [12, 'CHF', 2, 'CHF\u00a012.00', '12,00\u00a0CHF'],
])('a sum of %d in %s with %d digits', (amount, sign, digits, english, german) => {
  expect([US, DE].map((locale) => locale.money(amount, sign, digits))).toEqual([english, german]);
});

it('has a true minus, and none before what rounds to nothing', () => {
  expect([US.number(-1234), US.number(-0.4), US.number(-0.04, 1), US.percent(-0.001)]).toEqual([
    '−1,234',
    '0',
    '0',
    '0%',
  ]);
});

it('reads metric lengths back as they are printed', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 20_000_000 }), (mm) => {
      const read = parseLength(printLength(mm, { system: 'metric', locale: US }), 'm');
      return read.ok && read.mm === mm;
    }),
  );
});
