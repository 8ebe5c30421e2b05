import { COATS, DAMAGES, type Damage, type DamageKind } from '../job';
import { plainRoom } from '../testing/samples';
import {
  countOf,
  coveredMm2,
  isApart,
  LAYS,
  REPAIR,
  tapedMm,
  toolsOf,
  withCoats,
  type Repair,
  type RepairStep,
} from '.';

const has =
  (...some: RepairStep[]) =>
  ({ steps }: Repair) =>
    steps.some((step) => some.includes(step));

/** What a repair takes, and the steps that it is taken by. */
const TAKEN: Record<string, [takes: (repair: Repair) => boolean, done: (repair: Repair) => boolean]> = {
  'mud packed deep': [({ packed }) => packed > 0, has('pack', 'flange')],
  tape: [({ taped }) => taped, has('bed', 'flange')],
  screws: [({ screws = 0 }) => screws > 0, has('screw-beside', 'piece')],
  board: [({ patch = false }) => patch, has('piece', 'flange')],
  'strips behind it': [({ strips = 0 }) => strips > 0, has('backing')],
  bead: [({ bead = false }) => bead, has('bed-bead')],
  sealer: [({ sealer = false }) => sealer, has('seal-paper', 'seal-stain')],
};

describe.each(DAMAGES)('%s', (kind) => {
  const repair = REPAIR[kind];

  it('is mended step by step, each once, and ends with sanding and primer', () => {
    expect(new Set(repair.steps).size).toBe(repair.steps.length);
    expect(repair.steps.slice(-2)).toEqual(['sand', 'prime']);
  });

  it('has its mud coat over coat, never one under the last', () => {
    const coats = repair.steps.flatMap((step) => LAYS[step] ?? []).map((coat) => COATS.indexOf(coat));
    expect(coats.length).toBeGreaterThan(0);
    expect(coats).toEqual([...coats].sort((a, b) => a - b));
  });

  it.each(Object.entries(TAKEN))('takes %s if and only if a step does', (_, [takes, done]) => {
    expect(takes(repair)).toBe(done(repair));
  });

  it('disturbs what is old wherever old work is cut, scraped or raked', () => {
    const cuts = has(
      'score-tape',
      'cut-ridge',
      'mist-scrape',
      'cut-down',
      'cut-out-bead',
      'cut-square',
      'rake',
    );
    if (cuts(repair)) expect(repair.disturbs).toBe(true);
  });

  it('names its tools, each once, a blade among them, and a vacuum for the sanding', () => {
    const tools = toolsOf(repair.steps);
    expect(new Set(tools).size).toBe(tools.length);
    expect(tools.some((tool) => ['pan-knives', 'wide-blade'].includes(tool))).toBe(true);
    expect(tools).toContain('vacuum-pad');
  });
});

describe('how large it is, by pencil', () => {
  it.each<[kind: DamageKind, sizeMm: number, widthMm: number | undefined, mm2: number]>([
    // π/4 · (30 + 2 · 75)².
    ['dent', 30, undefined, 25447],
    // A metre and half the reach at either end, 150 wide.
    ['failed-tape', 1000, undefined, 161250],
    ['stain', 400, 300, 247500],
    ['low', 500, undefined, 422500],
  ])('%s of %d mm is covered so far out', (kind, sizeMm, widthMm, mm2) => {
    expect(coveredMm2({ kind, sizeMm, ...(widthMm ? { widthMm } : {}) }, 75)).toBeCloseTo(mm2, -1);
  });

  it('is taped along a line, around a spot, and not where nothing is taped', () => {
    expect(tapedMm({ kind: 'failed-tape', sizeMm: 1200 })).toBe(1200);
    expect(tapedMm({ kind: 'large-hole', sizeMm: 300 })).toBeCloseTo(942.5, 1);
    expect(tapedMm({ kind: 'dent', sizeMm: 40 })).toBe(0);
  });
});

it('goes with the coats of its room, but by itself where that is said or the room stands', () => {
  const spot: Damage = { id: 'd', kind: 'dent', face: 'wall-0', at: [500, 500], sizeMm: 30 };
  const room = plainRoom({ damage: [spot, { ...spot, id: 'e', apart: true }] });
  expect(withCoats(room).map(({ id }) => id)).toEqual(['d']);
  expect(withCoats({ ...room, standing: true })).toEqual([]);
  expect(withCoats(plainRoom())).toEqual([]);
  expect([isApart({}, spot), isApart({ standing: true }, spot)]).toEqual([false, true]);
  expect([countOf({}), countOf({ count: 12 })]).toEqual([1, 12]);
});
