import type { Book, FigureKey } from '../book';
import type { Needs } from '../finish';
import {
  COATS,
  ELEMENTS,
  ELEMENT,
  isCut,
  type BeadKind,
  type CellEdit,
  type CellEdits,
  type Coat,
  type CompoundId,
  type Consistency,
  type Element,
  type ToolId,
  type Way,
  type CutElement,
} from '../job';
import type { Message } from '../texts';
import { bladeReaching, bladesFor, compoundFor, kitOf, widestOf, type ToolKind } from '../way';
import { coatText } from './texts';

/** One pull of a blade along a joint. */
export interface Blade {
  /** Middle of the blade from the middle of the joint, mm. */
  offsetMm: number;
  widthMm: number;
  /** Mud left at mid-blade by its bow, mm. */
  camberMm: number;
  /** A flat box: it rides on runners at its ends. */
  boxed?: boolean;
}

/** For whom a cell was changed, from the widest to the narrowest. */
export const SCOPES = ['job', 'room', 'joint'] as const;
export type Scope = (typeof SCOPES)[number];

/** One application on one element; a cell of the coat board. */
export interface Cell {
  element: Element;
  coat: Coat;
  compound: CompoundId;
  consistency: Consistency;
  /** The tool in the hand, and how wide its blade is, mm. */
  tool?: ToolId;
  bladeMm: number;
  /** Full width of what is left on the wall, mm; `perFace` where it is measured from the corner. */
  bandMm: number;
  camberMm: number;
  perFace: boolean;
  /** Laid in so many layers. */
  layers: number;
  /** Struck off with a straightedge from side to side of the band; no blade is as wide, nor has to be. */
  float: boolean;
  /** Done with a machine tool: taper, box, head, spotter or tube. */
  machine: boolean;
  /** Work against that of the usual band: half of a coat's pace is its length, half its pulls; typical. */
  moreWork: number;
  /** Across the joint, in the order pulled; none where the mud is reckoned by the metre. */
  pulls: Blade[];
  /** Tape is bedded in this coat. */
  tape: boolean;
  /** Faces of an angle coated in this coat. */
  faces: number;
  /** Set time on the bag, min. */
  setMin: number;
  /** Wait before the next coat as set by hand, min. */
  waitMin?: number;
  /** What this coat must achieve. */
  aim: Message;
  /** What was changed by hand, and for whom. */
  own: Partial<Record<keyof CellEdit, Scope>>;
}

/** What a row of the coat board is made from. */
export interface BoardInput {
  needs: Needs;
  way: Way;
  /** The usual widths and bows. */
  book: Book;
  kit?: readonly ToolId[];
  /** The board as changed in the room, and on the joints of the row. */
  room?: CellEdits | undefined;
  joint?: Partial<Record<Coat, CellEdit>> | undefined;
  bead?: BeadKind | undefined;
}

type Tools = Way['tools'];
type BandKey = Extract<FigureKey, `band-${string}`>;

const at = (offsetMm: number, widthMm: number, camberMm: number): Blade => ({ offsetMm, widthMm, camberMm });

/** What a float is laid of: it sets through its depth, and the finish over it can be sanded. */
const FLOATED: CompoundId = 'setting-light';

/** The coats a grade asks for on an element. */
export function wantedCoats(element: Element, needs: Needs, way: Way): Coat[] {
  if (element === 'face') return needs.surface === 'skim' || needs.surface === 'scrape' ? ['skim'] : [];
  if (!needs.tape) return [];
  const coats = (n: number): Coat[] => (['tape', 'fill', 'finish'] as const).slice(0, n);
  switch (element) {
    case 'corners':
      return coats(needs.beads);
    case 'heads':
      return coats(needs.heads);
    case 'repairs':
      return ['prefill', ...coats(Math.max(1, needs.heads))];
    case 'angles':
      // By hand one face is coated at a time, so one coat on both faces takes two rounds.
      return ['prefill', ...coats(needs.angles < 1 ? 1 : way.angles === 'one-face' ? 3 : 2)];
    default:
      return ['prefill', ...coats(1 + needs.flats)];
  }
}

/** What was changed by hand on one cell, each value from the narrowest scope that has it. */
function editOf(
  element: Element,
  coat: Coat,
  { way, room, joint }: BoardInput,
): { edit: CellEdit; own: Cell['own'] } {
  const edit: CellEdit = {};
  const own: Cell['own'] = {};
  const layers = [way.cells?.[`${element}.${coat}`], room?.[`${element}.${coat}`], joint?.[coat]];
  layers.forEach((layer, i) => {
    if (!layer) return;
    Object.assign(edit, layer);
    for (const key of Object.keys(layer) as (keyof CellEdit)[]) own[key] = SCOPES[i] as Scope;
  });
  return { edit, own };
}

/** One row of the coat board: what goes on an element, coat by coat. */
export function rowCells(element: Element, input: BoardInput): Cell[] {
  const wanted = wantedCoats(element, input.needs, input.way);
  return COATS.flatMap((coat) => {
    const { edit, own } = editOf(element, coat, input);
    const done = edit.coat === 'add' || (wanted.includes(coat) && edit.coat !== 'skip');
    return done ? (cellOf(element, coat, input, edit, own) ?? []) : [];
  });
}

/** Coats the grade asks for on an element that were left out by hand. */
export function leftOut(element: Element, input: BoardInput): { coat: Coat; own: Scope }[] {
  return wantedCoats(element, input.needs, input.way).flatMap((coat) => {
    const { edit, own } = editOf(element, coat, input);
    return edit.coat === 'skip' ? [{ coat, own: own.coat as Scope }] : [];
  });
}

/** Coats that mean something on an element, wanted or not. */
export const possibleCoats = (element: Element): readonly Coat[] => ELEMENT[element].coats;

/** The coat board of a room at large: every element under the grade's needs and the way of working. */
export function cellsFor(input: BoardInput): Cell[] {
  return ELEMENTS.flatMap((element) => rowCells(element, input));
}

function cellOf(
  element: Element,
  coat: Coat,
  input: BoardInput,
  edit: CellEdit,
  own: Cell['own'],
): Cell | undefined {
  if (!possibleCoats(element).includes(coat)) return undefined;
  const { way, needs, book } = input;
  const kit = input.kit ?? kitOf(undefined, way.tools);
  const kinds = bladesFor(way.tools, element, coat);
  const [band, usualCamber] = usualBand(element, coat, way, book);
  const bandMm = edit.bandMm ?? band;
  const camberMm = edit.camberMm ?? usualCamber;
  const widest = edit.bladeMm ?? (widestOf(kit, kinds) || Infinity);
  const float = edit.float === true && isCut(element) && coat === 'fill';
  const cell: Cell = {
    element,
    coat,
    // A float is deep: it is set below in every way of working, and drying only where it is asked for by hand.
    compound: edit.compound ?? (float ? FLOATED : compoundFor(way, coat)),
    consistency: edit.consistency ?? consistencyFor(element, coat, way.tools),
    bladeMm: 0,
    bandMm,
    camberMm,
    perFace: ELEMENT[element].perFace,
    layers: edit.layers ?? 1,
    float,
    machine: false,
    moreWork: 1,
    pulls: [],
    tape: coat === 'tape' && ELEMENT[element].taped,
    faces:
      element === 'angles' && coat !== 'prefill'
        ? coat === 'tape' || way.angles === 'both-faces'
          ? 2
          : 1
        : 0,
    setMin: edit.setMin ?? way.setMin,
    ...(edit.waitMin === undefined ? {} : { waitMin: edit.waitMin }),
    aim: coatText(element, coat, input.bead).aim,
    own,
  };
  if (isCut(element) && coat === 'tape')
    cell.pulls =
      needs.cover || way.overTape === 'cover' ? [at(0, book.bedBladeMm.value, book['bow-bed'].value)] : [];
  else if (isCut(element) && (coat === 'fill' || coat === 'finish')) {
    const usual = pullsFor(element, coat, [band, usualCamber], widestOf(kit, kinds) || Infinity, book);
    cell.pulls = cell.float ? [at(0, bandMm, 0)] : pullsFor(element, coat, [bandMm, camberMm], widest, book);
    cell.moreWork = cell.float ? 1 : 0.5 + (0.5 * Math.max(cell.pulls.length, 1)) / Math.max(usual.length, 1);
  }
  const reach = bladeReach(cell, band, way, book);
  const found = edit.bladeMm === undefined ? bladeReaching(kit, kinds, reach) : undefined;
  cell.bladeMm = edit.bladeMm ?? found?.widthMm ?? reach;
  const tool = cell.float
    ? undefined
    : (found ?? (edit.bladeMm === undefined ? undefined : bladeReaching(kit, kinds, edit.bladeMm)));
  if (tool && tool.widthMm === cell.bladeMm) cell.tool = tool.id;
  if (tool?.kind === 'box') cell.pulls = cell.pulls.map((p) => ({ ...p, boxed: true }));
  cell.machine = byMachine(cell, tool?.kind, way, kit);
  // Without a head the two faces of an angle are pulled one after the other.
  if (element === 'angles' && (coat === 'fill' || coat === 'finish') && cell.faces === 2 && !cell.machine)
    cell.moreWork = 2;
  return cell;
}

/** Whether a coat is put on by a machine tool: by the blade it is pulled with, or by what lays it. */
function byMachine(
  { element, coat }: Pick<Cell, 'element' | 'coat'>,
  blade: ToolKind | undefined,
  { tools }: Way,
  kit: readonly ToolId[],
): boolean {
  if (tools !== 'machine' || coat === 'prefill') return false;
  if (coat === 'skim' || element === 'corners') return true;
  if (coat === 'tape' && ELEMENT[element].closed) return kit.includes('taper');
  return blade === 'box' || blade === 'head' || blade === 'spotter';
}

/** How wide a blade the cell asks for, mm. */
function bladeReach({ element, coat, bandMm, pulls }: Cell, usualMm: number, way: Way, book: Book): number {
  if (coat === 'prefill') return book.prefillBladeMm.value;
  if (coat === 'skim') return book.skimBladeMm.value;
  if (isCut(element)) {
    if (coat === 'tape') return book.bedBladeMm.value;
    return Math.max(...pulls.slice(0, 1).map((p) => p.widthMm), 0) || usualMm;
  }
  if (element === 'corners') return Math.max(150, bandMm);
  // A crease is wiped by hand with a blade that covers the tape on both faces.
  if (element === 'angles' && coat === 'tape' && way.angles === 'one-face') return Math.max(100, bandMm);
  return bandMm;
}

/** Width left on the wall and bow of the blade before anything is changed by hand, mm. */
function usualBand(
  element: Element,
  coat: Coat,
  way: Way,
  book: Book,
): readonly [bandMm: number, camberMm: number] {
  const key = usualKey(element, coat, way);
  return [
    key ? book[key].value : 0,
    isCut(element) && isOver(coat) ? book[`bow-${element}-${coat}-${way.tools}`].value : 0,
  ];
}

const isOver = (coat: Coat): coat is 'fill' | 'finish' => coat === 'fill' || coat === 'finish';

/** The figure that a coat's usual width is; none where a coat has no width of its own. */
export function usualKey(element: Element, coat: Coat, way: Way): BandKey | undefined {
  if (element === 'repairs') return coat === 'skim' ? undefined : `band-repairs-${coat}`;
  if (coat === 'prefill' || coat === 'skim') return undefined;
  if (isCut(element)) return coat === 'tape' ? 'band-bed' : `band-${element}-${coat}-${way.tools}`;
  switch (element) {
    case 'heads':
      if (way.heads === 'wider') return `band-heads-${coat}-wider`;
      return way.tools === 'machine' ? 'band-heads-spotter' : 'band-heads-same';
    case 'angles':
      return `band-angles-${coat}-${way.angles}`;
    default:
      return `band-corners-${coat}`;
  }
}

/**
 * Pulls that leave a band with blades no wider than the widest at hand. A butt takes its lanes with an edge of
 * the blade on the crest, for a straight blade leaves nothing on a crest it is centred on; a finish is closed
 * down the middle.
 */
function pullsFor(
  element: CutElement,
  coat: 'fill' | 'finish',
  [bandMm, camberMm]: readonly [bandMm: number, camberMm: number],
  widestMm: number,
  { onePullMm, closingMm, closingBowMm }: Book,
): Blade[] {
  const single = element !== 'butts' && bandMm <= onePullMm.value;
  if (single && bandMm <= widestMm + 0.5) return [at(0, bandMm, camberMm)];
  const half = bandMm / 2;
  const count = Math.max(1, Math.ceil(half / widestMm - 1e-6));
  // Lanes as wide as the blade, lapped, the outermost first: the next rides on it, which leaves less slope than
  // narrow lanes side by side.
  const width = Math.min(half, widestMm);
  const lanes = Array.from({ length: count }, (_, i) => {
    const middle = half - width / 2 - (count > 1 ? (i * (half - width)) / (count - 1) : 0);
    return [at(-middle, width, camberMm), at(middle, width, camberMm)];
  }).flat();
  if (coat === 'fill' && element === 'butts') return lanes;
  // The last pull runs down the middle, stiff: it closes the lap.
  return [...lanes, at(0, Math.min(closingMm.value, widestMm, bandMm), closingBowMm.value)];
}

function consistencyFor(element: Element, coat: Coat, tools: Tools): Consistency {
  if (coat === 'prefill') return 'C2';
  if (coat === 'skim') return 'C5';
  if (coat === 'finish') return 'C4';
  if (tools === 'machine' && element === 'angles') return 'C5';
  return coat === 'tape' && tools === 'machine' ? 'C4' : 'C3';
}

/** The cells of a row as far as a coat. */
export const coatsUpTo = (cells: readonly Cell[], coat: Coat): Cell[] =>
  cells.filter((cell) => COATS.indexOf(cell.coat) <= COATS.indexOf(coat));
