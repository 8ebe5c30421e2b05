import * as fc from 'fast-check';
import { said } from '../testing/samples';
import {
  parseArea,
  parseDuration,
  parseMass,
  parseTemperature,
  parseVolume,
  printArea,
  printDate,
  printDuration,
  printMass,
  printShare,
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
  expect(printVolume(23.1, 'feet')).toBe('6.1 gal');
  expect(printVolume(1.5, 'feet')).toBe('1.6 qt');
  expect(printVolume(0.31, 'metric')).toBe('310 mL');
  expect(printVolume(14.44, 'metric')).toBe('14.4 L');
  expect(printArea(57.6, 'feet')).toBe('620 sq ft');
  expect(printMass(28.1, 'feet')).toBe('62 lb');
  expect(printTemperature(21.1, 'feet')).toBe('70 °F');
  expect(printVolume(NaN, 'metric')).toBe('–');
});

it('prints how long in the way people say it', () => {
  expect([40, 135, 17.4 * 60, 51 * 60].map(printDuration)).toEqual(['40 min', '2.3 h', '17 h', '2 days 3 h']);
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
        const read = parseDuration(printDuration(minutes));
        return read.ok && Math.abs(read.value - minutes) <= 30;
      }),
    );
  });
});

it('prints shares with a decimal where they are small, and dates in words', () => {
  expect(printShare(0.047)).toBe('4.7\u00a0%');
  expect(printShare(0.5)).toBe('50\u00a0%');
  expect(printDate('2026-12-01T07:00')).toBe('1 Dec 2026');
});
