import type { FigureKey } from '../book';
import { isFlat, type Cell, type BoardRow } from '../coat';
import type { Supplied } from '../compound';
import { hardening, type Hardening } from '../drying';
import { grazingOf, needsOf, type Area } from '../finish';
import {
  ELEMENTS,
  type BeadKind,
  type Coat,
  type CompoundId,
  type Element,
  type Job,
  type JointKind,
  type Room,
  type Way,
} from '../job';
import type { CoatResult } from '../section';
import type { Joint } from '../survey';
import { BEAD } from '../way';
import { paceOf, PER_UNIT, workOf } from './pace';
import { repairMud } from './repairs';
import type { SectionMemo } from './section';
import { coatedCells, sectionInput, type Cut, type FaceSkim } from './section';

/** What one cell of the coat board takes in one room: mud, work and waiting. */
export interface CellUse {
  /** The row's id. */
  row: string;
  element: Element;
  coat: Coat;
  compound: CompoundId;
  wetL: number;
  /** Thickest single wet layer anywhere in the cell, mm. */
  layerMm: number;
  /** What is worked: mm of joint, a count of heads, mm² of face. */
  amount: number;
  pace: FigureKey;
  /** Work of one person, min. */
  minutes: number;
  /** Until the next coat may go on; nothing where no mud goes on. */
  hardens: Hardening | undefined;
  /** The wait planned for, min: as it hardens, or as set by hand. */
  waitMin: number;
}

/** How a finished joint of one sort turns out. */
export interface SectionRead {
  row: string;
  element: Cut;
  /** The joints that turn out so. */
  joints: string[];
  humpMm: number;
  lengthMm: number;
  crownMm: number;
  /** Strongest contrast in the room's light. */
  contrast: number;
}

export interface BeadRun {
  kind: BeadKind;
  mm: number;
}

export interface RoomUse {
  uses: CellUse[];
  sections: SectionRead[];
  /** Lengths by element, mm; heads and repairs as a count, the face in mm². */
  amounts: Record<Element, number>;
  tapeMm: number;
  /** Joints whose gaps are prefilled. */
  prefillMm: number;
  beads: BeadRun[];
  wetL: number;
  /** Lengths by joint kind, mm. */
  jointMm: Partial<Record<JointKind, number>>;
}

/** Whether a joint's gap is prefilled before tape. */
export const isPrefilled = (joint: Joint, way: Way): boolean =>
  way.prefillWhen === 'every' ? joint.gapMm > 0 : joint.gapMm > way.prefillOverMm;

/** Mud, tape, bead and work for one area of a room. */
export function areaUse(
  { room, survey, faces }: Area,
  rows: readonly BoardRow[],
  job: Pick<Job, 'way' | 'climate'>,
  book: Supplied,
  memo: SectionMemo,
): RoomUse {
  const { way, climate } = job;
  const joints = new Map(survey.joints.map((joint) => [joint.id, joint]));
  const amounts = Object.fromEntries(ELEMENTS.map((element) => [element, 0])) as Record<Element, number>;
  const jointMm: RoomUse['jointMm'] = {};
  const uses: CellUse[] = [];
  const sections: SectionRead[] = [];
  const beads: BeadRun[] = [];
  let tapeMm = 0;
  let prefillMm = 0;
  const substrate = slowestSubstrate(room, faces);

  for (const row of rows) {
    const own = row.joints.flatMap((id) => joints.get(id) ?? []);
    const mm = own.reduce((sum, joint) => sum + joint.lengthMm, 0);
    const amount = {
      heads: survey.fasteners,
      repairs: room.damage?.length ?? 0,
      face: Math.round(survey.boardAreaM2 * 1e6),
    }[row.element as 'face'] as number | undefined;
    amounts[row.element] += amount ?? mm;
    for (const joint of own) {
      jointMm[joint.kind] = (jointMm[joint.kind] ?? 0) + joint.lengthMm;
      if (row.bead) {
        const pieces = joint.pieces ?? 1;
        const off = joint.onFloor ? book.beadOffFloorMm.value : 0;
        for (let i = 0; i < pieces; i++) beads.push({ kind: row.bead, mm: joint.lengthMm / pieces - off });
      }
    }
    if (row.cells.some((cell) => cell.tape)) tapeMm += mm;
    const mud = mudOf(row, rows, own, room, survey.faces, survey.fasteners, way, book, memo, sections);
    if (row.element === 'repairs')
      for (const spot of room.damage ?? [])
        if (row.cells.some((cell) => cell.coat === 'tape'))
          tapeMm += repairMud(spot, 'tape', room.board.thicknessMm, book).tapeMm;
    row.cells.forEach((cell, i) => {
      const { wetL, layerMm } = mud[i] as Mud;
      let worked = amount ?? mm;
      if (cell.coat === 'prefill' && row.element !== 'repairs') {
        worked = own.filter((j) => isPrefilled(j, way)).reduce((sum, j) => sum + j.lengthMm, 0);
        prefillMm += worked;
      } else if (row.element === 'repairs' && wetL <= 0) worked = 0;
      const [pace, unit] = paceOf(cell.element, cell.coat);
      const layer =
        wetL > 0
          ? hardening(
              book.compounds[cell.compound],
              layerMm,
              cell.consistency,
              climate,
              setMinOf(cell, book),
              substrate,
            )
          : undefined;
      // Each layer is hard before the next.
      const hardens = layer && { ...layer, hours: layer.hours * cell.layers };
      uses.push({
        row: row.id,
        element: cell.element,
        coat: cell.coat,
        compound: cell.compound,
        wetL,
        layerMm,
        amount: worked,
        pace,
        minutes: (worked / PER_UNIT[unit] / book[pace].value) * 60 * workOf(cell),
        hardens,
        waitMin: cell.waitMin ?? (hardens?.hours ?? 0) * 60,
      });
    });
  }
  return {
    uses,
    sections,
    amounts,
    tapeMm,
    prefillMm,
    beads,
    wetL: uses.reduce((sum, u) => sum + u.wetL, 0),
    jointMm,
  };
}

/** The set time of a cell: what was set for it, else the bag in use, else the way's. */
export const setMinOf = (cell: Cell, book: Supplied): number =>
  cell.own.setMin ? cell.setMin : (book.compounds[cell.compound].product?.setMin ?? cell.setMin);

/** A painted face takes no water, so setting compound is slowest there; one such face holds up the area. */
export const slowestSubstrate = (room: Room, faces: readonly string[]): Room['substrate'] =>
  faces.some((id) => room.faces?.[id]?.substrate === 'painted') ? 'painted' : room.substrate;

interface Mud {
  wetL: number;
  layerMm: number;
}

/** Mud of each cell of a row, L, and its thickest layer. */
function mudOf(
  row: BoardRow,
  rows: readonly BoardRow[],
  joints: readonly Joint[],
  room: Room,
  faces: Area['survey']['faces'],
  fasteners: number,
  way: Way,
  book: Supplied,
  memo: SectionMemo,
  sections: SectionRead[],
): Mud[] {
  const found: Mud[] = row.cells.map(() => ({ wetL: 0, layerMm: 0 }));
  const add = (i: number, wetL: number, layerMm: number) => {
    const mud = found[i] as Mud;
    mud.wetL += wetL;
    if (wetL > 0) mud.layerMm = Math.max(mud.layerMm, layerMm);
  };
  const prefill = row.cells.findIndex((cell) => cell.coat === 'prefill');
  if (prefill >= 0 && row.element !== 'repairs')
    for (const joint of joints)
      if (isPrefilled(joint, way))
        add(prefill, (joint.gapMm * joint.thicknessMm * joint.lengthMm) / 1e6, joint.gapMm);

  if (isFlat(row.element)) {
    const coated = coatedCells(row.cells);
    const skim = skimOver(rows, room, book);
    const sorts = new Map<string, { read: SectionRead; results: CoatResult[] }>();
    for (const joint of joints) {
      // Joints of one sort share one section; only their lengths differ.
      const key = `${joint.kind}:${joint.humpMm}:${joint.spanMm}:${joint.lippageMm}:${joint.notchMm ?? 0}`;
      let sort = sorts.get(key);
      if (!sort) {
        const { bare, coats } = sectionInput(joint, row.cells, way, book, { skim });
        const results = memo.sections(bare, coats);
        const read: SectionRead = {
          row: row.id,
          element: row.element,
          joints: [],
          humpMm: joint.humpMm,
          lengthMm: 0,
          crownMm: results.at(-1)?.crownMm ?? 0,
          contrast: results.length > 0 ? memo.contrast(bare, coats, grazingOf(room.light)) : 0,
        };
        sections.push(read);
        sorts.set(key, (sort = { read, results }));
      }
      sort.read.lengthMm += joint.lengthMm;
      sort.read.joints.push(joint.id);
      coated.forEach((cell, i) => {
        const result = sort.results[i] as CoatResult;
        add(row.cells.indexOf(cell), (result.wetLPerM * joint.lengthMm) / 1000, result.layerMm);
      });
    }
    return found;
  }

  const metres = joints.reduce((sum, joint) => sum + joint.lengthMm, 0) / 1000;
  row.cells.forEach((cell, i) => {
    if (row.element === 'repairs') {
      for (const spot of room.damage ?? []) {
        const { wetL, layerMm } = repairMud(spot, cell.coat, room.board.thicknessMm, book);
        add(i, wetL, layerMm);
      }
    } else if (cell.coat === 'prefill') return;
    else if (row.element === 'angles') {
      const perM = cell.tape ? book.angleTapeL.value : book.angleFaceL.value * cell.faces;
      add(i, perM * metres, book.angleLayerMm.value);
    } else if (row.element === 'corners') {
      const { nose, faces: coatedFaces, bedL } = BEAD[row.bead ?? 'nail-on'];
      const noseMm = book.beadNoseMm.value * nose;
      const bed = cell.coat === 'tape' ? bedL : 0;
      const perM = cornerLPerM(cell, row.cells, noseMm, coatedFaces, book) + bed;
      add(i, perM * metres, cell.coat === 'tape' ? noseMm : cornerLayer(cell, row.cells, noseMm, book));
    } else if (row.element === 'heads') add(i, fasteners * book.headL.value, book.headLayerMm.value);
    else {
      for (const face of faces) {
        const film = faceFilm(room, room.faces?.[face.id]?.substrate ?? room.substrate, book);
        add(i, face.areaM2 * film, face.areaM2 > 0 ? film : 0);
      }
      const counted = room.counts?.areaM2 ?? 0;
      const film = faceFilm(room, room.substrate, book);
      add(i, counted * film, counted > 0 ? film : 0);
    }
  });
  return found;
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

/** Thickest layer of a later corner coat: what is missing at the edge of the coat below, mm. */
function cornerLayer(cell: Cell, row: readonly Cell[], noseMm: number, book: Supplied): number {
  const { band } = cornerBefore(cell, row, noseMm, book);
  return noseMm * Math.max(0.2, 1 - band / cell.bandMm);
}

/** Joints filled like a flat: tapered, mixed and recessed ones, mm. */
export const flatRunMm = ({ amounts }: Pick<RoomUse, 'amounts'>): number =>
  amounts.flats + amounts.mixed + amounts.recessed;

/** The areas of a room together. */
export function together(parts: readonly RoomUse[]): RoomUse {
  const [first, ...rest] = parts;
  if (first && rest.length === 0) return first;
  const amounts = Object.fromEntries(
    ELEMENTS.map((element) => [element, parts.reduce((sum, p) => sum + p.amounts[element], 0)]),
  ) as Record<Element, number>;
  const jointMm: RoomUse['jointMm'] = {};
  for (const part of parts)
    for (const [kind, mm] of Object.entries(part.jointMm) as [JointKind, number][])
      jointMm[kind] = (jointMm[kind] ?? 0) + mm;
  const sum = (of: (part: RoomUse) => number): number => parts.reduce((all, part) => all + of(part), 0);
  return {
    uses: parts.flatMap((p) => p.uses),
    sections: parts.flatMap((p) => p.sections),
    amounts,
    tapeMm: sum((p) => p.tapeMm),
    prefillMm: sum((p) => p.prefillMm),
    beads: parts.flatMap((p) => p.beads),
    wetL: sum((p) => p.wetL),
    jointMm,
  };
}
