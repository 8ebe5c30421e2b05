import * as fc from 'fast-check';
import { said } from '../testing/samples';
import { FEET, METRIC } from './length';
import {
  parseArea,
  parseDuration,
  parseMass,
  parseTemperature,
  parseVolume,
  printArea,
  printDuration,
  printMass,
  printTemperature,
  printVolume,
} from './quantity';

const value = (read: ReturnType<typeof parseVolume>) =>
  read.ok ? Number(read.value.toFixed(3)) : said(read.reason);

it('reads volumes, areas, masses and temperatures in either system', () => {
  expect(value(parseVolume('4.5 gal', 'metric'))).toBe(17.034);
  expect(value(parseVolume('17', 'metric'))).toBe(17);
  expect(value(parseVolume('1', 'feet'))).toBe(3.785);
  expect(value(parseVolume('900 ml', 'feet'))).toBe(0.9);
  expect(value(parseArea('620 sq ft', 'metric'))).toBe(57.6);
  expect(value(parseArea('57.6 m2', 'feet'))).toBe(57.6);
  expect(value(parseMass('62 lb', 'metric'))).toBe(28.123);
  expect(value(parseTemperature('70', 'feet'))).toBe(21.111);
  expect(value(parseTemperature('21 °C', 'feet'))).toBe(21);
});

it('says what was not understood', () => {
  expect(value(parseVolume('two pails', 'feet'))).toContain('“two pails” is not a volume');
  expect(value(parseTemperature('warm', 'feet'))).toContain('“warm”');
  expect(value(parseMass('3 stone', 'metric'))).toContain('kg');
});

it('prints in the units of the job', () => {
  expect(printVolume(23.1, FEET)).toBe('6.1 gal');
  expect(printVolume(1.5, FEET)).toBe('1.6 qt');
  expect(printVolume(0.31, METRIC)).toBe('310 mL');
  expect(printVolume(14.44, METRIC)).toBe('14.4 L');
  expect(printArea(57.6, FEET)).toBe('620 sq ft');
  expect(printMass(28.1, FEET)).toBe('62 lb');
  expect(printTemperature(21.1, FEET)).toBe('70 °F');
  expect(printVolume(NaN, METRIC)).toBe('–');
});

it('prints how long in the way people say it', () => {
  expect([40, 135, 17.4 * 60, 51 * 60].map((n) => printDuration(n, METRIC))).toEqual([
    '40 min',
    '2.3 h',
    '17 h',
    '2 days 3 h',
  ]);
});

describe('durations', () => {
  it.each<[string, number]>([
    ['17 h', 1020],
    ['17', 1020],
    ['1.5 h', 90],
    ['1,5 h', 90],
    ['90 min', 90],
    ['90 minutes', 90],
    ['1 h 30', 90],
    ['1h30m', 90],
    ['2 days', 2880],
    ['2 days 3 h', 3060],
    ['1 d', 1440],
  ])('%s', (text, minutes) => {
    expect(parseDuration(text)).toEqual({ ok: true, value: minutes });
  });

  it.each(['', 'soon', '3 weeks', '-4 h', 'h', '12 h of rain'])('refuses “%s”', (text) => {
    expect(parseDuration(text)).toMatchObject({
      ok: false,
      reason: { key: 'read.duration' },
    });
  });

  it('are read back as they are printed, to the half hour', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20000 }), (minutes) => {
        const read = parseDuration(printDuration(minutes, METRIC));
        return read.ok && Math.abs(read.value - minutes) <= 30;
      }),
    );
  });
});

it('reads amounts as they are printed, thousands and all', () => {
  expect(value(parseArea('1,588 sq ft', 'feet'))).toBe(147.53);
  expect(value(parseVolume('1,234.5 L', 'metric'))).toBe(1234.5);
  expect(value(parseVolume('2 400 ml', 'metric'))).toBe(2.4);
  // A comma before one or two digits is a decimal one.
  expect(value(parseVolume('2,4 L', 'metric'))).toBe(2.4);
  expect(value(parseVolume('0,125 L', 'metric'))).toBe(0.125);
});
