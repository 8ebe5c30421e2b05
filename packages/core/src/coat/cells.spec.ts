import { bookWith, FIGURE_KEYS, TYPICAL, type Book, type FigureKey } from '../book';
import { needsOf } from '../finish';
import { CHOICES, ELEMENTS, LIMITS, type Way } from '../job';
import { plan } from '../plan';
import { jobOf, plainRoom, typicalCells } from '../testing/samples';
import { PRESETS } from '../way';
import { cellsFor, possibleCoats, usualKey, type Cell } from './cells';

const way = (over: Partial<Way>): Way => ({ ...(PRESETS[0] as (typeof PRESETS)[number]).way, ...over });
const level = (grade: 1 | 2 | 3 | 4 | 5) => needsOf({ scale: 'level', grade });
const cell = (cells: Cell[], element: string, coat: string) =>
  cells.find((c) => c.element === element && c.coat === coat);
const band = (cells: Cell[], element: string, coat: string) => cell(cells, element, coat)?.bandMm;

describe('usual bands', () => {
  it.each<[Way['tools'], string, number, number, number]>([
    ['knives', 'flats', 100, 200, 300],
    ['trowels', 'flats', 100, 250, 350],
    ['machine', 'flats', 100, 250, 300],
    ['knives', 'butts', 100, 400, 600],
    ['trowels', 'butts', 100, 500, 710],
    ['machine', 'butts', 100, 500, 600],
  ])('%s on %s: %i, %i, %i mm', (tools, element, tape, fill, finish) => {
    const cells = typicalCells(level(4), way({ tools }));
    expect(['tape', 'fill', 'finish'].map((coat) => band(cells, element, coat))).toEqual([
      tape,
      fill,
      finish,
    ]);
  });

  it('go on a face at a time in angles by hand, both faces with a head', () => {
    const hand = typicalCells(level(4), way({}));
    expect(
      ['tape', 'fill', 'finish'].map((coat) => [
        band(hand, 'angles', coat),
        cell(hand, 'angles', coat)?.faces,
      ]),
    ).toEqual([
      [50, 2],
      [100, 1],
      [125, 1],
    ]);
    const head = typicalCells(level(4), way({ angles: 'both-faces' }));
    expect(
      ['tape', 'fill', 'finish'].map((coat) => [
        band(head, 'angles', coat),
        cell(head, 'angles', coat)?.faces,
      ]),
    ).toEqual([
      [75, 2],
      [90, 2],
      [undefined, undefined],
    ]);
  });

  it('widen over heads only when the way says so', () => {
    const wide = typicalCells(level(4), way({ heads: 'wider' }));
    const same = typicalCells(level(4), way({ heads: 'same' }));
    expect(['tape', 'fill', 'finish'].map((coat) => band(wide, 'heads', coat))).toEqual([75, 100, 125]);
    expect(new Set(['tape', 'fill', 'finish'].map((coat) => band(same, 'heads', coat))).size).toBe(1);
  });
});

describe('pulls', () => {
  it('put an edge of the blade on the crest of a butt', () => {
    const fill = cell(typicalCells(level(4), way({})), 'butts', 'fill');
    expect(fill?.pulls.map((p) => [p.offsetMm - p.widthMm / 2, p.offsetMm + p.widthMm / 2])).toEqual([
      [-200, 0],
      [0, 200],
    ]);
  });

  it('reach the width the room asks for', () => {
    for (const [flatMm, buttMm] of [
      [350, 700],
      [500, 900],
      [1000, 1200],
    ] as const) {
      const room = { 'flats.finish': { bandMm: flatMm }, 'butts.finish': { bandMm: buttMm } };
      const cells = typicalCells(level(5), way({}), { room });
      for (const [element, mm] of [
        ['flats', flatMm],
        ['butts', buttMm],
      ] as const) {
        const pulls = cell(cells, element, 'finish')?.pulls ?? [];
        expect(
          Math.max(...pulls.map((p) => p.offsetMm + p.widthMm / 2)) -
            Math.min(...pulls.map((p) => p.offsetMm - p.widthMm / 2)),
        ).toBe(mm);
      }
      expect(band(cells, 'butts', 'fill')).toBe(400);
    }
  });

  it('cover the tape at once at level 2, or when the way says so', () => {
    const tape = (cells: Cell[]) => cell(cells, 'flats', 'tape')?.pulls.length;
    expect(tape(typicalCells(level(2), way({})))).toBe(1);
    expect(tape(typicalCells(level(4), way({ overTape: 'bare' })))).toBe(0);
    expect(tape(typicalCells(level(4), way({ overTape: 'cover' })))).toBe(1);
  });
});

it('mixes each coat as it is usually mixed', () => {
  const mix = (over: Partial<Way>, element: string, coat: string) =>
    cell(typicalCells(level(5), way(over)), element, coat)?.consistency;
  expect(mix({}, 'flats', 'prefill')).toBe('C2');
  expect(mix({}, 'flats', 'tape')).toBe('C3');
  expect(mix({ tools: 'machine' }, 'flats', 'tape')).toBe('C4');
  expect(mix({ tools: 'machine' }, 'angles', 'tape')).toBe('C5');
  expect(mix({}, 'flats', 'fill')).toBe('C3');
  expect(mix({}, 'flats', 'finish')).toBe('C4');
  expect(mix({}, 'face', 'skim')).toBe('C5');
});

it('takes the compounds of the school, or those chosen for a coat', () => {
  const by = (over: Partial<Way>) =>
    ['prefill', 'tape', 'fill', 'finish'].map(
      (coat) => cell(typicalCells(level(4), way(over)), 'flats', coat)?.compound,
    );
  expect(by({})).toEqual(['setting-light', 'drying-all-purpose', 'drying-all-purpose', 'drying-light']);
  expect(by({ compounds: 'setting-below' })).toEqual([
    'setting-light',
    'setting-light',
    'drying-mid-weight',
    'drying-light',
  ]);
  expect(by({ compounds: 'setting-same-day' })).toEqual([
    'setting-light',
    'setting-light',
    'setting-light',
    'drying-light',
  ]);
  expect(by({ compounds: 'hybrid', prefill: 'hard' })).toEqual([
    'setting-hard',
    'hybrid',
    'hybrid',
    'hybrid',
  ]);
  expect(by({ compoundFor: { finish: 'drying-topping' } })).toEqual([
    'setting-light',
    'drying-all-purpose',
    'drying-all-purpose',
    'drying-topping',
  ]);
});

describe('usual widths of one’s own', () => {
  const plain = plan(jobOf([plainRoom()]));
  const own = (figures: Partial<Record<FigureKey, number>>) =>
    plan(jobOf([plainRoom()], { shop: { figures } }));
  const finishOf = (made: ReturnType<typeof plan>, element: string) =>
    cell(made.rooms[0]!.cells, element, 'finish')!;

  it('stand on the board as usual, take their mud and time, and give way to what is set there', () => {
    const wide = own({ 'band-butts-finish-knives': 800 });
    expect(finishOf(wide, 'butts')).toMatchObject({ bandMm: 800, own: {} });
    expect(finishOf(wide, 'flats').bandMm).toBe(finishOf(plain, 'flats').bandMm);
    expect(wide.totals.wetL).toBeGreaterThan(plain.totals.wetL);
    const set = plan(
      jobOf([plainRoom({ cells: { 'butts.finish': { bandMm: 700 } } })], {
        shop: { figures: { 'band-butts-finish-knives': 800 } },
      }),
    );
    expect(finishOf(set, 'butts')).toMatchObject({ bandMm: 700, own: { bandMm: 'room' } });
  });

  it('are those of the tools the job is worked with, and no others', () => {
    const other = own({ 'band-butts-finish-trowels': 900, 'bow-flats-fill-machine': 0.1 });
    expect(other.totals).toEqual(plain.totals);
  });

  it.each(ELEMENTS.flatMap((element) => possibleCoats(element).map((coat) => [element, coat] as const)))(
    'the figure of %s, %s is the width on the board, whatever the way',
    (element, coat) => {
      for (const { way } of PRESETS) {
        const key = usualKey(element, coat, way);
        const shown = cell(typicalCells(level(5), way), element, coat);
        if (shown) expect(shown.bandMm).toBe(key ? TYPICAL[key].value : 0);
      }
    },
  );

  /** Every choice the widths hang on; a second coat of a head is only laid where somebody adds it. */
  const cells = { 'angles.finish': { coat: 'add' } } as const;
  const ways = CHOICES.tools.flatMap((tools) =>
    CHOICES.angles.flatMap((angles) =>
      CHOICES.heads.flatMap((heads) =>
        CHOICES.overTape.map((overTape) => way({ tools, angles, heads, overTape, cells })),
      ),
    ),
  );
  const boards = (book: Book) =>
    ways.map((one) => cellsFor({ needs: needsOf({ scale: 'level', grade: 5 }), way: one, book }));
  const typical = JSON.stringify(boards(TYPICAL));
  const widths = FIGURE_KEYS.filter(
    (key) =>
      /^(band|bow)-/.test(key) ||
      /^(bedBlade|prefillBlade|skimBlade|onePull|closing|closingBow)Mm$/.test(key),
  );

  it.each(widths)('%s is read by the board of a way it belongs to', (key) => {
    const { value, least, most } = TYPICAL[key];
    const tried = [least, value / 2, value * 2, most].map((mm) => Math.min(most, Math.max(least, mm)));
    expect(tried.some((mm) => JSON.stringify(boards(bookWith({ [key]: mm }))) !== typical)).toBe(true);
  });

  it('leave no coat narrower than the one under it, in any way of working', () => {
    for (const board of boards(TYPICAL))
      for (const element of ELEMENTS) {
        const bands = board
          .filter((one) => one.element === element && one.coat !== 'prefill' && one.coat !== 'skim')
          .map((one) => one.bandMm);
        expect([...bands].sort((a, b) => a - b)).toEqual(bands);
      }
  });

  it('keep to what a cell may be set to, so that the board and the list agree', () => {
    for (const key of widths.filter((one) => one.startsWith('band-')))
      expect(TYPICAL[key]).toMatchObject({ least: LIMITS.cell.bandMm.least, most: LIMITS.cell.bandMm.most });
    for (const key of widths.filter((one) => one.startsWith('bow-')))
      expect(TYPICAL[key]).toMatchObject({
        least: LIMITS.cell.camberMm.least,
        most: LIMITS.cell.camberMm.most,
      });
  });
});
