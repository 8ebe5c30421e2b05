import * as fc from 'fast-check';
import { said } from '../testing/samples';
import {
  FEET,
  METRIC,
  parseLength,
  printBlade,
  printLength,
  printRun,
  printSmall,
  usualSize,
} from './length';

const mm = (text: string, bare: Parameters<typeof parseLength>[1] = 'mm') => {
  const read = parseLength(text, bare);
  return read.ok ? Math.round(read.mm * 1000) / 1000 : read.reason;
};

describe('lengths as people type them', () => {
  it.each([
    [`12' 6 1/2"`, 3822.7],
    [`12'6"`, 3810],
    [`12’ 6″`, 3810],
    ['12-6', 3810],
    ['12-6 1/2', 3822.7],
    ['12ft 6in', 3810],
    ['12 ft 6', 3810],
    [`12'`, 3657.6],
    [`12' 6½"`, 3822.7],
    ['150in', 3810],
    ['150 inches', 3810],
    [`6 1/2"`, 165.1],
    ['1/2"', 12.7],
    ['3.81 m', 3810],
    ['3,81 m', 3810],
    ['381 cm', 3810],
    ['3810 mm', 3810],
    ['3810', 3810],
    ['3 810', 3810],
    ['3,810 mm', 3810],
    ['.5 m', 500],
  ])('%s is %s mm', (text, expected) => expect(mm(text)).toBe(expected));

  it('reads a bare number in the unit of its field', () => {
    expect(mm('14', 'ft')).toBe(4267.2);
    expect(mm('32', 'in')).toBe(812.8);
    expect(mm('2.4', 'm')).toBe(2400);
  });

  it.each(['', 'about twelve', '12 apples', '1/0"', `12' six"`, '1e9999', '-3 m', '12"6"', 'NaN'])(
    'says what was not understood in “%s”',
    (text) => {
      const read = parseLength(text, 'mm');
      expect(read.ok).toBe(false);
      if (!read.ok) expect(said(read.reason).length).toBeGreaterThan(20);
    },
  );

  it('never throws and never gives a number that is not finite', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const read = parseLength(text, 'ft');
        return !read.ok || Number.isFinite(read.mm);
      }),
    );
  });
});

describe('lengths as they are shown', () => {
  it('prints feet, inches and sixteenths', () => {
    expect(printLength(4267.2, FEET)).toBe(`14' 0"`);
    expect(printLength(3822.7, FEET)).toBe(`12' 6 1/2"`);
    expect(printLength(304.7, FEET)).toBe(`1' 0"`);
    expect(printSmall(1.6, FEET)).toBe('1/16"');
    expect(printSmall(-1.6, FEET)).toBe('−1/16"');
    expect(printRun(51206.4, FEET)).toBe('168 ft');
  });

  it('prints metric', () => {
    expect(printLength(3810, METRIC)).toBe('3,810 mm');
    expect(printSmall(1.6, METRIC)).toBe('1.6 mm');
    expect(printRun(51240, METRIC)).toBe('51.2 m');
  });

  it('names blades by the size they are sold in', () => {
    expect(printBlade(300, FEET)).toBe('12"');
    expect(printBlade(75, FEET)).toBe('3"');
    expect(printBlade(355, FEET)).toBe('14"');
    expect(printBlade(300, METRIC)).toBe('300 mm');
  });

  it('reads back what it prints, to a sixteenth', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 30000 * 16 }), (sixteenths) => {
        const length = (sixteenths / 16) * 25.4;
        const read = parseLength(printLength(length, FEET), 'mm');
        return read.ok && Math.abs(read.mm - length) < 1e-6;
      }),
    );
  });
});

it.each([
  [200, '8"', 200],
  [300, '12"', 300],
  [400, '16"', 400],
  [812.8, '32"', 800],
  [1500, '60"', 1500],
  [2032, '80"', 2050],
])('takes a usual size of %d mm as one that is round in the units of the job', (mm, feet, metric) => {
  expect(printSmall(usualSize(mm, 'feet'), FEET)).toBe(feet);
  expect(usualSize(mm, 'metric')).toBe(metric);
});
