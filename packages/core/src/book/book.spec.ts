import * as fc from 'fast-check';
import { said } from '../testing/samples';
import { trials } from '../testing/trials';
import {
  bookWith,
  FIGURE_KEYS,
  given,
  input,
  labelOf,
  pacedBy,
  TYPICAL,
  type FigureKey,
  type FigureUnit,
} from '.';

/** What the trade's tables say, by what they speak of. */
const TABLES: Record<string, [key: FigureKey, value: number, unit: FigureUnit][]> = {
  'a joint and its tape': [
    ['bedMm', 0.95, 'mm'],
    ['bedMatMm', 0.7, 'mm'],
    ['bedMeshMm', 0.5, 'mm'],
    ['bedAngleMm', 0.6, 'mm'],
    ['bedRampMm', 50, 'mm'],
    ['tapeWidthMm', 52, 'mm'],
    ['paperMm', 0.23, 'mm'],
    ['matMm', 0.3, 'mm'],
    ['meshMm', 0.3, 'mm'],
    ['taperDepthMm', 1.6, 'mm'],
    ['taperWidthMm', 60, 'mm'],
    ['humpSpanMm', 400, 'mm'],
  ],
  'bands of knives, trowels and boxes': [
    ['band-bed', 100, 'mm'],
    ['bedBladeMm', 150, 'mm'],
    ['band-flats-fill-knives', 200, 'mm'],
    ['band-flats-finish-knives', 300, 'mm'],
    ['band-flats-fill-trowels', 250, 'mm'],
    ['band-flats-finish-trowels', 350, 'mm'],
    ['band-flats-fill-machine', 250, 'mm'],
    ['band-flats-finish-machine', 300, 'mm'],
    ['band-butts-fill-knives', 400, 'mm'],
    ['band-butts-finish-knives', 600, 'mm'],
    ['band-angles-tape-one-face', 50, 'mm'],
    ['band-angles-fill-one-face', 100, 'mm'],
    ['band-angles-finish-one-face', 125, 'mm'],
    ['band-angles-tape-both-faces', 75, 'mm'],
    ['band-corners-fill', 125, 'mm'],
    ['band-heads-tape-wider', 75, 'mm'],
    ['band-heads-fill-wider', 100, 'mm'],
    ['band-heads-finish-wider', 125, 'mm'],
  ],
  'what shows in raking light, by sheen': [
    ['shows-flat', 0.1, 'share'],
    ['shows-eggshell', 0.06, 'share'],
    ['shows-satin', 0.045, 'share'],
    ['shows-semi-gloss', 0.03, 'share'],
    ['shows-gloss', 0.02, 'share'],
  ],
  'mud, waste and what is usual': [
    ['angleTapeL', 0.045, 'L/m'],
    ['angleFaceL', 0.025, 'L/m'],
    ['headL', 0.0007, 'L'],
    ['skimMm', 0.4, 'mm'],
    ['skimRoughMm', 0.7, 'mm'],
    ['beadNoseMm', 1.6, 'mm'],
    ['wasteDrying', 0.1, 'share'],
    ['wasteSetting', 0.15, 'share'],
    ['wasteTape', 0.05, 'share'],
    ['usualLowL', 35, 'L/100m2'],
    ['usualHighL', 42, 'L/100m2'],
    ['usualTapeLowM', 120, 'm/100m2'],
    ['usualTapeHighM', 130, 'm/100m2'],
    ['usualHoursLow', 0.08, 'h/m2'],
    ['usualHoursHigh', 0.18, 'h/m2'],
    ['beadOffFloorMm', 12, 'mm'],
    ['carryKg', 23, 'kg'],
  ],
  'paces by hand': [
    ['pacePrefill', 60, 'm/h'],
    ['paceTapeFlat', 40, 'm/h'],
    ['paceTapeButt', 30, 'm/h'],
    ['paceTapeAngle', 25, 'm/h'],
    ['paceBead', 20, 'm/h'],
    ['paceFlat', 60, 'm/h'],
    ['paceButt', 25, 'm/h'],
    ['paceAngle', 60, 'm/h'],
    ['paceCorner', 35, 'm/h'],
    ['paceHead', 1500, 'per-h'],
    ['paceSkim', 25, 'm2/h'],
    ['paceSand', 60, 'm2/h'],
    ['paceSandSkim', 40, 'm2/h'],
    ['roomSetupMin', 8, 'min'],
    ['daySetupMin', 20, 'min'],
  ],
  'paces with machine tools': [
    ['machineTapeFlat', 120, 'm/h'],
    ['machineTapeButt', 60, 'm/h'],
    ['machineTapeAngle', 60, 'm/h'],
    ['machineBead', 25, 'm/h'],
    ['machineFlat', 150, 'm/h'],
    ['machineButt', 50, 'm/h'],
    ['machineAngle', 90, 'm/h'],
    ['machineHead', 2500, 'per-h'],
    ['machineSkim', 45, 'm2/h'],
    ['daySetupMachineMin', 35, 'min'],
    ['fill-taper', 2.9, 'L'],
    ['fill-tube', 1.3, 'L'],
    ['fill-box-250', 3, 'L'],
    ['fill-box-300', 3.7, 'L'],
  ],
  'fixing, straightedges and prefill': [
    ['screwWallMm', 406, 'mm'],
    ['screwCeilingMm', 305, 'mm'],
    ['staggerMm', 400, 'mm'],
    ['hollowRoughMm', 5, 'mm'],
    ['hollowPaintMm', 3, 'mm'],
    ['hollowFineMm', 2, 'mm'],
    ['wideGapMm', 3, 'mm'],
  ],
  'air, drying and setting': [
    ['coldC', 10, 'C'],
    ['tooLongH', 72, 'h'],
    ['air-sealed', 1.3, 'factor'],
    ['air-still', 1, 'factor'],
    ['air-fan', 0.65, 'factor'],
    ['dryOpen', 0.85, 'factor'],
    ['dryOpenTape', 0.8, 'factor'],
    ['setRecoat', 1.5, 'factor'],
    ['setRecoatPainted', 3, 'factor'],
    ['setEarly', 0.6, 'factor'],
    ['setLate', 1.5, 'factor'],
  ],
};

it.each(Object.entries(TABLES))('is typical of the trade: %s', (_, table) => {
  expect(table.map(([key]) => [key, TYPICAL[key].value, TYPICAL[key].unit])).toEqual(table);
});

it('has a name, a source and room on both sides for every figure', () => {
  const names = FIGURE_KEYS.map((key) => said(labelOf(key)));
  expect(new Set(names).size).toBe(names.length);
  expect(names.filter((name) => name.trim() === '' || name.includes('figure.'))).toEqual([]);
  for (const key of FIGURE_KEYS) {
    const { value, least, most, from, source } = TYPICAL[key];
    expect([key, least <= value && value <= most && least < most]).toEqual([key, true]);
    expect([key, from, source === undefined]).toEqual([key, 'typical', false]);
  }
});

describe('a book of one’s own', () => {
  const own = fc.dictionary(
    fc.constantFrom(...FIGURE_KEYS),
    // Nothing below nothing: −0 is 0.
    fc.double({ min: -1e6, max: 1e6, noNaN: true }).map((value) => value + 0),
  ) as fc.Arbitrary<Partial<Record<FigureKey, number>>>;

  it('has what was entered, as near as a plan can be made with, and all else as it was', () => {
    fc.assert(
      fc.property(own, (values) => {
        const book = bookWith(values);
        // What is one's own rests on nothing of the trade's.
        const asTold = FIGURE_KEYS.map((key) => {
          const { least, most, label, unit } = TYPICAL[key];
          const value = values[key];
          return value === undefined
            ? TYPICAL[key]
            : { label, unit, from: 'entered', value: value < least ? least : value > most ? most : value };
        });
        expect(FIGURE_KEYS.map((key) => book[key])).toEqual(asTold);
      }),
      { numRuns: trials(40) },
    );
  });

  it('leaves the book it is laid over alone, and keeps what that one had', () => {
    const first = bookWith({ bedMm: 0.8 });
    const second = bookWith({ priceHour: 60 }, first);
    expect([first.priceHour.value, second.bedMm.value, second.priceHour.value]).toEqual([48, 0.8, 60]);
    expect(TYPICAL.bedMm.value).toBe(0.95);
  });

  it('does not know a figure nobody has', () => {
    expect(bookWith({ ['toString' as FigureKey]: 3, ['nothing' as FigureKey]: 4 })).toEqual(TYPICAL);
  });
});

describe('a learner’s book', () => {
  it('takes twice as long where nothing was measured, and only for work', () => {
    const book = pacedBy(bookWith({ paceSand: 30 }), 2);
    expect(book.paceFlat).toMatchObject({ value: 30, from: 'typical' });
    expect(book.paceHead.value).toBe(750);
    expect(book.machineSkim.value).toBe(22.5);
    expect(book.paceSand).toMatchObject({ value: 30, from: 'entered' });
    expect([book.bedMm, book.mixMin, book.doorM3H]).toEqual([TYPICAL.bedMm, TYPICAL.mixMin, TYPICAL.doorM3H]);
  });

  it('is the book itself for somebody as quick as usual', () => {
    const book = bookWith({});
    expect(pacedBy(book, 1)).toBe(book);
  });
});

it('answers why with a source only where a figure is typical', () => {
  expect(input(TYPICAL.bedMm)).toMatchObject({ value: 0.95, from: 'typical', source: 'guide' });
  expect(input(bookWith({ bedMm: 0.7 }).bedMm)).not.toHaveProperty('source');
  expect(given(labelOf('bedMm'), 3, 'mm')).toEqual({
    label: labelOf('bedMm'),
    value: 3,
    unit: 'mm',
    from: 'computed',
  });
});
