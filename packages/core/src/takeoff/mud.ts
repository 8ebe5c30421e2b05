import type { BoardRow, Cell } from '../coat';
import type { Supplied } from '../compound';
import { depthFactor } from '../drying';
import { grazingOf, needsOf } from '../finish';
import { isCut, type CutElement, type Element, type Room, type Way } from '../job';
import type { Face, Joint } from '../survey';
import { BEAD, bedOf, noseMm } from '../way';
import { withCoats } from '../repair';
import { repairMud } from './repairs';
import { coatedCells, headInput, sectionInput, type FaceSkim, type SectionMemo } from './section';

/** Mud of one cell: how much, L; its thickest point, and how thick each of its layers lies where it dries last, mm. */
export interface CellMud {
  wetL: number;
  layerMm: number;
  waitsMm: readonly number[];
  /** How far the boxes are opened for most of it, by what they leave at mid-blade, mm. */
  dialMm?: number;
}

/** How a finished joint of one sort turns out. */
export interface SectionRead {
  row: string;
  element: CutElement;
  /** The joints that turn out so. */
  joints: string[];
  humpMm: number;
  lengthMm: number;
  crownMm: number;
  /** Strongest contrast in the room's light. */
  contrast: number;
  /** Deepest hollow under a 1200 mm straightedge laid across it, mm. */
  hollowMm: number;
}

/** A row of the coat board and what it is laid on. */
export interface RowWork {
  row: BoardRow;
  /** All rows of the area. */
  rows: readonly BoardRow[];
  joints: readonly Joint[];
  room: Room;
  faces: readonly Face[];
  fasteners: number;
  way: Way;
  book: Supplied;
  memo: SectionMemo;
}

/** Mud of each cell of a row, and how its joints turn out where they are cut across. */
export interface RowMud {
  cells: CellMud[];
  sections: SectionRead[];
}

const NONE: CellMud = { wetL: 0, layerMm: 0, waitsMm: [] };

/** Whether a joint's gap is prefilled before tape. */
export const isPrefilled = (joint: Joint, way: Way): boolean =>
  way.prefillWhen === 'every' ? joint.gapMm > 0 : joint.gapMm > way.prefillOverMm;

/** Mud of a row, by what it is: joints of the board cut across, or so much a metre, a head, a spot, a square metre. */
export function mudOf(work: RowWork): RowMud {
  const { element, cells } = work.row;
  const own = isCut(element) ? flatMud(work) : plain(work, BY_ELEMENT[element](work));
  // Damage is packed as deep as it is; joints as wide as their gaps.
  const prefill = element === 'repairs' ? -1 : cells.findIndex((cell) => cell.coat === 'prefill');
  if (prefill >= 0) own.cells[prefill] = prefillMud(work);
  return own;
}

const plain = ({ row }: RowWork, of: (cell: Cell, i: number) => CellMud): RowMud => ({
  cells: row.cells.map(of),
  sections: [],
});

/** Two lots of mud in one cell: the coat waits for the slower of them. */
function withMore(all: CellMud, one: CellMud): CellMud {
  if (one.wetL <= 0) return all;
  const dries = ({ waitsMm }: CellMud): number => waitsMm.reduce((sum, mm) => sum + depthFactor(mm), 0);
  return {
    ...all,
    wetL: all.wetL + one.wetL,
    layerMm: Math.max(all.layerMm, one.layerMm),
    waitsMm: dries(one) > dries(all) ? one.waitsMm : all.waitsMm,
  };
}

const prefillMud = ({ joints, way }: RowWork): CellMud =>
  joints
    .filter((joint) => isPrefilled(joint, way))
    .map(({ gapMm, thicknessMm, lengthMm }) => ({
      wetL: (gapMm * thicknessMm * lengthMm) / 1e6,
      layerMm: gapMm,
      waitsMm: [gapMm],
    }))
    .reduce(withMore, NONE);

/** Joints of the board: joints of one sort share one section; only their lengths differ. */
function flatMud({ row, rows, joints, room, way, book, memo }: RowWork): RowMud {
  const coated = coatedCells(row.cells);
  const skim = skimOver(rows, room, book);
  const sorts = new Map<string, Joint[]>();
  for (const joint of joints) {
    const key = `${joint.kind}:${joint.humpMm}:${joint.spanMm}:${joint.lippageMm}:${joint.notchMm ?? 0}`;
    const sort = sorts.get(key);
    if (sort) sort.push(joint);
    else sorts.set(key, [joint]);
  }
  const longest = { mm: 0, dials: [] as (number | undefined)[] };
  const cells = row.cells.map(() => NONE);
  const sections = [...sorts.values()].map((sort): SectionRead => {
    const first = sort[0] as Joint;
    const { bare, coats } = sectionInput(first, row.cells, way, book, { skim });
    const results = memo.sections(bare, coats);
    const lengthMm = sort.reduce((sum, joint) => sum + joint.lengthMm, 0);
    coated.forEach((cell, i) => {
      const at = row.cells.indexOf(cell);
      const { wetLPerM, layerMm, waitsMm } = results[i] as (typeof results)[number];
      cells[at] = withMore(cells[at] as CellMud, { wetL: (wetLPerM * lengthMm) / 1000, layerMm, waitsMm });
    });
    if (lengthMm > longest.mm)
      Object.assign(longest, { mm: lengthMm, dials: results.map(({ dialMm }) => dialMm) });
    const lies = first.humpMm !== 0 || first.lippageMm !== 0;
    return {
      row: row.id,
      element: row.element as CutElement,
      joints: sort.map((joint) => joint.id),
      humpMm: first.humpMm,
      lengthMm,
      crownMm: results.at(-1)?.crownMm ?? 0,
      contrast: results.length > 0 ? memo.contrast(bare, coats, grazingOf(room.light)) : 0,
      // On flat framing a coat leaves less than any tolerance; only what the boards bring is worth the straightedge.
      hollowMm: lies && results.length > 0 ? memo.hollow(bare, coats) : 0,
    };
  });
  coated.forEach((cell, i) => {
    const dialMm = longest.dials[i];
    const at = row.cells.indexOf(cell);
    if (dialMm !== undefined) cells[at] = { ...(cells[at] as CellMud), dialMm };
  });
  return { cells, sections };
}

type ByCell = (work: RowWork) => (cell: Cell, i: number) => CellMud;

const BY_ELEMENT: Record<Exclude<Element, CutElement>, ByCell> = {
  angles: (work) => {
    const layers = layersOf(work);
    const metres = metresOf(work);
    const { angleTapeL, angleFaceL } = work.book;
    return (cell) =>
      metres > 0 && cell.coat !== 'prefill'
        ? { wetL: (cell.tape ? angleTapeL.value : angleFaceL.value * cell.faces) * metres, ...layers(cell) }
        : NONE;
  },
  corners: (work) => {
    const { row, book } = work;
    const bead = row.bead ?? 'nail-on';
    const { faces } = BEAD[bead];
    const nose = noseMm(bead, book);
    const layers = layersOf(work);
    const metres = metresOf(work);
    return (cell) => {
      const perM =
        cornerLPerM(cell, row.cells, nose, faces, book) + (cell.coat === 'tape' ? bedOf(bead, book) : 0);
      return metres > 0 ? { wetL: perM * metres, ...layers(cell) } : NONE;
    };
  },
  heads: ({ row, fasteners, book, memo }) => {
    const dimple = { depthMm: book.dimpleMm.value, widthMm: book.dimpleWidthMm.value };
    const { bare, coats } = headInput(row.cells, dimple, book);
    const results = memo.sections(bare, coats);
    return (cell) => {
      const lies = read(results[coatedCells(row.cells).indexOf(cell)]);
      const capMm = capOver(book.headL.value, cell.bandMm);
      return {
        wetL: fasteners * book.headL.value,
        layerMm: Math.max(lies.layerMm, capMm),
        waitsMm: lies.waitsMm.map((mm) => Math.max(mm, capMm)),
      };
    };
  },
  repairs: ({ room, way, book }) => {
    const spots = withCoats(room);
    return (cell) =>
      spots
        .map((spot) => repairMud(spot, cell.coat, room.board.thicknessMm, way, book))
        .map(({ wetL, layerMm }) => ({
          wetL,
          layerMm,
          waitsMm: Array.from({ length: cell.layers }, () => layerMm / cell.layers),
        }))
        .reduce(withMore, NONE);
  },
  face: ({ room, faces, book }) => {
    const counted = room.counts?.areaM2 ?? 0;
    const parts = [
      ...faces.map((f) => ({ m2: f.areaM2, on: room.faces?.[f.id]?.substrate ?? room.substrate })),
      { m2: counted, on: room.substrate },
    ];
    return (cell) =>
      parts
        .map(({ m2, on }) => ({ m2, film: faceFilm(room, on, book) }))
        .filter(({ m2 }) => m2 > 0)
        .map(({ m2, film }) => ({
          wetL: m2 * film,
          layerMm: film,
          waitsMm: Array.from({ length: cell.layers }, () => film),
        }))
        .reduce(withMore, NONE);
  },
};

const read = (result?: { layerMm: number; waitsMm: readonly number[] }): Omit<CellMud, 'wetL'> => ({
  layerMm: result?.layerMm ?? 0,
  waitsMm: result?.waitsMm ?? [],
});

/** What one pull over a full head leaves, as a flat cap as wide as its band: at its middle twice the mean, mm. */
const capOver = (litres: number, bandMm: number): number =>
  (2 * litres * 1e6) / ((Math.PI / 4) * bandMm ** 2);

const metresOf = ({ joints }: RowWork): number =>
  joints.reduce((sum, joint) => sum + joint.lengthMm, 0) / 1000;

/** The layers that the coats of an angle or a bead lie in, from its section. */
function layersOf({ row, joints, way, book, memo }: RowWork): (cell: Cell) => Omit<CellMud, 'wetL'> {
  const first = joints[0];
  if (!first) return () => read();
  const straight = { kind: first.kind, humpMm: 0, spanMm: first.spanMm, lippageMm: 0 };
  const { bare, coats } = sectionInput(straight, row.cells, way, book, { bead: row.bead });
  const results = memo.sections(bare, coats);
  const cells = coatedCells(row.cells);
  return (cell) => read(results[cells.indexOf(cell)]);
}

/** The skim over the joints of an area; none where it is not skimmed. */
export function skimOver(rows: readonly BoardRow[], room: Room, book: Supplied): FaceSkim | undefined {
  const cell = rows.find((row) => row.element === 'face')?.cells[0];
  if (!cell || needsOf(room.finish).surface === 'scrape') return undefined;
  return { filmMm: faceFilm(room, room.substrate, book), shrink: book.compounds[cell.compound].shrink };
}

/** Wet film over the whole face, mm; a millimetre over a square metre is a litre. */
function faceFilm(room: Room, substrate: Room['substrate'], book: Supplied): number {
  if (needsOf(room.finish).surface === 'scrape') return book.scrapeMm.value;
  if (room.finish.scale === 'q') return book.fullSkimMm.value;
  return substrate === 'glass-mat' ? book.skimRoughMm.value : book.skimMm.value;
}

/** Dry mud already beside the nose under a cell, mm² a face; each coat fills the wedge out to its own band. */
function cornerBefore(
  cell: Cell,
  row: readonly Cell[],
  noseMm: number,
  book: Supplied,
): { band: number; mm2: number } {
  let mm2 = 0;
  let band = 0;
  for (const earlier of row) {
    if (earlier === cell) break;
    if (earlier.coat === 'prefill') continue;
    const wedge = (noseMm * earlier.bandMm) / 2;
    mm2 += Math.max(0, wedge - mm2) * (1 - book.compounds[earlier.compound].shrink);
    band = earlier.bandMm;
  }
  return { band, mm2 };
}

/** The faces of a beaded corner, L per metre: the wedge from the nose to the band's edge, less what is there. */
function cornerLPerM(
  cell: Cell,
  row: readonly Cell[],
  noseMm: number,
  faces: number,
  book: Supplied,
): number {
  const wedge = (noseMm * cell.bandMm) / 2;
  return (faces * Math.max(0, wedge - cornerBefore(cell, row, noseMm, book).mm2)) / 1000;
}
