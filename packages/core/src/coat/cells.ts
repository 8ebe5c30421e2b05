import type { Consistency } from '../compound';
import type { Needs } from '../finish';
import type { Coat, CompoundId, Room, Way } from '../job';
import { compoundFor } from '../way';

/** One pull of a blade along a joint. */
export interface Blade {
  /** Middle of the blade from the middle of the joint, mm. */
  offsetMm: number;
  widthMm: number;
  /** Mud left at mid-blade by its bow, mm. */
  camberMm: number;
}

/** What is coated; the rows of the coat board. */
export const ELEMENTS = ['flats', 'butts', 'angles', 'corners', 'heads', 'face'] as const;
export type Element = (typeof ELEMENTS)[number];

/** One application on one element; a cell of the coat board. */
export interface Cell {
  element: Element;
  coat: Coat;
  compound: CompoundId;
  consistency: Consistency;
  bladeMm: number;
  /** Full width of what is left on the wall, mm; `perFace` where it is measured from the corner. */
  bandMm: number;
  perFace: boolean;
  /** Across the joint, in the order pulled; none where the mud is reckoned by the metre. */
  pulls: Blade[];
  /** Tape is bedded in this coat. */
  tape: boolean;
  /** Faces of an angle coated in this coat. */
  faces: number;
  /** What this coat must achieve. */
  aim: string;
}

type Tools = Way['tools'];

const at = (offsetMm: number, widthMm: number, camberMm: number): Blade => ({ offsetMm, widthMm, camberMm });

/** Blade that beds tape on flats and butts, and the band it leaves, mm. */
const BED = { bladeMm: 150, bandMm: 100 };

/** Blade and bow for a flat joint, by tools: fill and finish, mm. */
const FLAT: Record<Tools, { fill: [number, number]; finish: [number, number] }> = {
  knives: { fill: [200, 0.4], finish: [300, 0.3] },
  trowels: { fill: [250, 0.5], finish: [350, 0.3] },
  machine: { fill: [250, 0.5], finish: [300, 0.3] },
};

/** Blade for each of the two lanes of a butt, by tools: fill and finish, mm. */
const BUTT: Record<Tools, { fill: number; finish: number }> = {
  knives: { fill: 200, finish: 300 },
  trowels: { fill: 250, finish: 355 },
  machine: { fill: 250, finish: 300 },
};

/** Two lanes with an edge of the blade on the crest, for a straight blade leaves nothing on a crest it is centred on. */
const lanes = (widthMm: number, camberMm: number): Blade[] => [
  at(-widthMm / 2, widthMm, camberMm),
  at(widthMm / 2, widthMm, camberMm),
];

const AIM: Record<Coat, string> = {
  prefill: 'fills the gap to its depth',
  tape: 'holds the tape, no dry spots',
  fill: 'hides the tape',
  finish: 'takes out lines, bubbles and edges',
  skim: 'one suction, one texture',
};

/**
 * The coat board of a room: what goes on each element, coat by coat, for the grade's needs and the way of
 * working. More coats than needed are never added; fewer are never planned.
 */
export function cellsFor(needs: Needs, way: Way, bands: Room['bands']): Cell[] {
  if (!needs.tape) return [];
  const cells: Cell[] = [];
  const add = (element: Element, coat: Coat, bladeMm: number, bandMm: number, more: Partial<Cell> = {}) => {
    cells.push({
      element,
      coat,
      compound: compoundFor(way, coat),
      consistency: consistencyFor(element, coat, way.tools),
      bladeMm,
      bandMm,
      perFace: element === 'angles' || element === 'corners',
      pulls: [],
      tape: false,
      faces: 0,
      aim: AIM[coat],
      ...more,
    });
  };
  const cover = needs.cover || way.overTape === 'cover' ? [at(0, BED.bladeMm, 0.2)] : [];

  for (const element of ['flats', 'butts'] as const) {
    add(element, 'prefill', 75, 0);
    add(element, 'tape', BED.bladeMm, BED.bandMm, { tape: true, pulls: cover });
    if (needs.flats >= 1) add(element, 'fill', ...overTape(element, 'fill', way.tools, bands));
    if (needs.flats >= 2) add(element, 'finish', ...overTape(element, 'finish', way.tools, bands));
  }

  add('angles', 'prefill', 75, 0);
  add('angles', 'tape', way.angles === 'both-faces' ? 75 : 100, way.angles === 'both-faces' ? 75 : 50, {
    tape: true,
    faces: 2,
  });
  if (needs.angles >= 1) {
    const head = way.angles === 'both-faces';
    add('angles', 'fill', head ? 90 : 100, head ? 90 : 100, { faces: head ? 2 : 1 });
    // By hand one face is coated at a time, so one coat on both faces takes two rounds.
    if (!head) add('angles', 'finish', 125, 125, { faces: 1, aim: 'the other face, against a hard one' });
  }

  const corner = [100, 125, 225] as const;
  const head = way.heads === 'wider' ? ([75, 100, 125] as const) : ([125, 125, 125] as const);
  (['tape', 'fill', 'finish'] as const).forEach((coat, i) => {
    if (i < needs.beads)
      add('corners', coat, Math.max(150, corner[i] ?? 0), corner[i] ?? 0, {
        aim: i ? AIM[coat] : 'beds the bead, fills to the nose',
      });
    if (i < needs.heads)
      add('heads', coat, head[i] ?? 0, head[i] ?? 0, { aim: i ? 'covers what shrank' : 'fills the dimple' });
  });
  if (needs.surface === 'skim' || needs.surface === 'scrape')
    add('face', 'skim', way.tools === 'trowels' ? 405 : 300, 0);
  return cells;
}

function overTape(
  element: 'flats' | 'butts',
  coat: 'fill' | 'finish',
  tools: Tools,
  bands: Room['bands'],
): [number, number, Partial<Cell>] {
  if (element === 'flats') {
    const [usual, camber] = FLAT[tools][coat];
    const own = coat === 'finish' ? bands?.flatMm : undefined;
    const width = own ?? usual;
    // A flat wider than any usual blade is pulled in two lanes and closed over the middle.
    const pulls = width > 400 ? [...lanes(width / 2, camber), at(0, 300, 0.1)] : [at(0, width, camber)];
    return [width > 400 ? width / 2 : width, width, { pulls }];
  }
  const own = coat === 'finish' ? bands?.buttMm : undefined;
  const blade = own === undefined ? BUTT[tools][coat] : own / 2;
  const pulls = coat === 'fill' ? lanes(blade, 0.4) : [...lanes(blade, 0.3), at(0, 300, 0.1)];
  return [blade, blade * 2, { pulls }];
}

function consistencyFor(element: Element, coat: Coat, tools: Tools): Consistency {
  if (coat === 'prefill') return 'C2';
  if (coat === 'skim') return 'C5';
  if (coat === 'finish') return 'C4';
  if (tools === 'machine' && element === 'angles') return 'C5';
  return coat === 'tape' && tools === 'machine' ? 'C4' : 'C3';
}
