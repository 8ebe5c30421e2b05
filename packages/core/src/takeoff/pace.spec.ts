import { bookWith, TYPICAL, type FigureKey } from '../book';
import { minutesOf, minutesPerMetre, paceOf } from './pace';
import { typicalCells } from '../testing/samples';
import { needsOf } from '../finish';
import { PRESETS } from '../way';

type Cell = Parameters<typeof minutesOf>[0];
const cell = (over: Partial<Cell>): Cell => ({
  element: 'flats',
  coat: 'fill',
  machine: false,
  float: false,
  moreWork: 1,
  layers: 1,
  bandMm: 200,
  ...over,
});

const PACES: [what: string, over: Partial<Cell>, hand: FigureKey, machine: FigureKey][] = [
  ['flats, bedded', { coat: 'tape' }, 'paceTapeFlat', 'machineTapeFlat'],
  ['flats, filled', {}, 'paceFlat', 'machineFlat'],
  ['mixed joints, bedded', { element: 'mixed', coat: 'tape' }, 'paceTapeFlat', 'machineTapeFlat'],
  ['recessed butts, finished', { element: 'recessed', coat: 'finish' }, 'paceFlat', 'machineFlat'],
  ['butts, bedded', { element: 'butts', coat: 'tape' }, 'paceTapeButt', 'machineTapeButt'],
  ['butts, finished', { element: 'butts', coat: 'finish' }, 'paceButt', 'machineButt'],
  ['angles, bedded', { element: 'angles', coat: 'tape' }, 'paceTapeAngle', 'machineTapeAngle'],
  ['angles, one face', { element: 'angles' }, 'paceAngle', 'machineAngle'],
  ['beads, set', { element: 'corners', coat: 'tape' }, 'paceBead', 'machineBead'],
  ['beads, both faces', { element: 'corners' }, 'paceCorner', 'paceCorner'],
  ['heads', { element: 'heads', coat: 'tape' }, 'paceHead', 'machineHead'],
  ['the whole face', { element: 'face', coat: 'skim' }, 'paceSkim', 'machineSkim'],
  ['gaps', { element: 'butts', coat: 'prefill' }, 'pacePrefill', 'pacePrefill'],
  ['spots', { element: 'repairs', coat: 'prefill' }, 'paceRepair', 'paceRepair'],
  ['a float', { element: 'butts', float: true }, 'paceFloat', 'paceFloat'],
];

it.each(PACES)('%s go at their own pace, by hand and with machine tools', (_, over, hand, machine) => {
  expect([paceOf(cell(over)), paceOf(cell({ ...over, machine: true }))]).toEqual([hand, machine]);
});

describe('work, by pencil', () => {
  it('of 24 m of flats: 36 min to bed at 40 m an hour, 24 to fill at 60', () => {
    expect(minutesOf(cell({ coat: 'tape' }), 24000, TYPICAL)).toBeCloseTo(36, 9);
    expect(minutesOf(cell({}), 24000, TYPICAL)).toBeCloseTo(24, 9);
  });

  it('of 500 heads: 20 min a coat, 12 with a spotter', () => {
    const heads = cell({ element: 'heads', coat: 'finish' });
    expect(minutesOf(heads, 500, TYPICAL)).toBeCloseTo(20, 9);
    expect(minutesOf({ ...heads, machine: true }, 500, TYPICAL)).toBeCloseTo(12, 9);
  });

  it('of 50 m² of skim: two hours, rolled and wiped a little over one', () => {
    const skim = cell({ element: 'face', coat: 'skim' });
    expect(minutesOf(skim, 50e6, TYPICAL)).toBeCloseTo(120, 9);
    expect(minutesOf({ ...skim, machine: true }, 50e6, TYPICAL)).toBeCloseTo(66.667, 3);
  });

  it('of a float goes by its face: 3 m of it 800 mm wide are 2.4 m², 24 min a layer', () => {
    const float = cell({ element: 'butts', float: true, bandMm: 800 });
    expect(minutesOf(float, 3000, TYPICAL)).toBeCloseTo(24, 9);
    expect(minutesOf({ ...float, layers: 3 }, 3000, TYPICAL)).toBeCloseTo(72, 9);
  });

  it('is more for lanes beyond the usual, and less at a pace of one’s own', () => {
    expect(minutesOf(cell({ moreWork: 1.5 }), 60000, TYPICAL)).toBeCloseTo(90, 9);
    expect(minutesOf(cell({}), 60000, bookWith({ paceFlat: 80 }))).toBeCloseTo(45, 9);
  });
});

it('tells a metre of every joint as a thousandth of a kilometre', () => {
  const { way } = PRESETS[0]!;
  const joints = typicalCells(needsOf({ scale: 'level', grade: 4 }), way).filter(({ element }) =>
    ['flats', 'butts', 'angles', 'corners'].includes(element),
  );
  expect(joints.length).toBeGreaterThan(8);
  for (const one of joints)
    expect(minutesPerMetre(one, TYPICAL)).toBeCloseTo(minutesOf(one, 1e6, TYPICAL) / 1000, 9);
});
