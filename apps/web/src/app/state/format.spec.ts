import { TestBed } from '@angular/core/testing';
import { say, type WhyInput } from '@lisse/core';
import { openJob, sampleJob, setUp } from '../../testing/app';
import { Format } from './format';

const input = (value: number | string, unit: WhyInput['unit']): WhyInput => ({
  label: say('why'),
  value,
  unit,
  from: 'typical',
});

async function format(units: 'feet' | 'metric'): Promise<Format> {
  setUp();
  await openJob(sampleJob({ units }));
  return TestBed.inject(Format);
}

it.each<['feet' | 'metric', WhyInput, string]>([
  ['metric', input(1.6, 'mm'), '1.6 mm'],
  ['feet', input(1.6, 'mm'), '1/16"'],
  ['metric', input(57.6, 'm2'), '57.6 m²'],
  ['metric', input(57.6e6, 'mm2'), '57.6 m²'],
  ['feet', input(17, 'L'), '4.5 gal'],
  ['metric', input(0.045, 'L/m'), '45 mL per meter'],
  ['metric', input(0.5, 'kWh/L'), '0.50 kWh per liter'],
  // A pint is 0.473 L.
  ['feet', input(0.5, 'kWh/L'), '0.24 kWh per pint'],
  ['metric', input(0.6, 'W/m3K'), '0.6 W/m³K'],
  // 0.6 · 3.412 · 0.0283 / 1.8.
  ['feet', input(0.6, 'W/m3K'), '0.032 BTU/h·ft³·°F'],
  ['metric', input(35, 'L/100m2'), '35 L per 100 m²'],
  ['feet', input(35, 'L/100m2'), '8.6 gal per 1,000 sq ft'],
  ['feet', input(120, 'm/100m2'), '366 ft per 1,000 sq ft'],
  ['feet', input(50, 'm'), '164 ft'],
  ['feet', input(20, 'kg'), '44 lb'],
  ['feet', input(20, 'C'), '68 °F'],
  ['metric', input(135, 'min'), '2.3 h'],
  ['metric', input(17.4, 'h'), '17 h'],
  ['metric', input(0.15, 'share'), '15%'],
  ['metric', input(24, 'per-h'), '24 per hour'],
  ['metric', input(3, 'count'), '3'],
  ['metric', input('still', ''), 'still'],
])('in %s, %j reads %s', async (units, value, expected) => {
  expect((await format(units)).input(value)).toBe(expected);
});

it('names days and times, with the year once it is another', async () => {
  const f = await format('metric');
  expect(f.time('2026-11-30T07:05')).toBe('Mon, Nov 30, 7:05\u00a0AM');
  expect(f.day('2027-01-04T07:00')).toBe('Mon, Jan 4, 2027');
});

it('counts labour in hours and waiting in what people say', async () => {
  const f = await format('metric');
  expect([f.hours(45), f.hours(270), f.hours(6120)]).toEqual(['45 min', '4.5 h', '102 h']);
});

it.each<['feet' | 'metric', number, number, string]>([
  ['feet', 4845, 2, '$4,845.00'],
  ['metric', 0.5, 2, '€0.50'],
  ['metric', -12.345, 3, '−€12.345'],
  ['metric', 1234567, 0, '€1,234,567'],
])('in %s, a sum of %d with %d digits reads %s', async (units, amount, digits, expected) => {
  expect((await format(units)).sum(amount, digits)).toBe(expected);
});

it.each<['feet' | 'metric', number, 'L' | 'mm' | 'm2' | 'count', string]>([
  ['metric', 42.9, 'L', '42.9 L'],
  ['feet', 42.9, 'L', '11.3 gal'],
  ['metric', 484000, 'mm', '484 m'],
  ['feet', 484000, 'mm', '1,588 ft'],
  ['metric', 118, 'm2', '118 m²'],
  // Nobody buys a part of a disc.
  ['metric', 14.2, 'count', '15'],
  ['metric', 14, 'count', '14'],
])('in %s, %d %s of a ware reads %s', async (units, amount, unit, expected) => {
  expect((await format(units)).goods(amount, unit)).toBe(expected);
});
