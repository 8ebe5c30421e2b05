import type { FigureKey } from '../book';
import type { Cell, BoardRow } from '../coat';
import type { Supplied } from '../compound';
import { dryingFactor, hardening, waterGPerL, type Hardening } from '../drying';
import type { Area } from '../finish';
import {
  ELEMENTS,
  type BeadKind,
  type Coat,
  type CompoundId,
  type Element,
  type Job,
  type JointKind,
  type Room,
  type Step,
} from '../job';
import { countOf, withCoats } from '../repair';
import { isPrefilled, mudOf, type CellMud, type SectionRead } from './mud';
import { minutesOf, paceOf } from './pace';
import { repairMud } from './repairs';
import type { SectionMemo } from './section';

/** What one cell of the coat board takes in one room: mud, work and waiting. */
export interface CellUse {
  /** The row's id. */
  row: string;
  element: Element;
  coat: Coat;
  /** Worked in a step of its own: a spot mended by itself. */
  step?: Step;
  compound: CompoundId;
  wetL: number;
  /** Thickest single wet layer anywhere in the cell, mm. */
  layerMm: number;
  /** How thick each of its layers lies where it dries last, mm. */
  waitsMm: readonly number[];
  /** How far the boxes are opened, by what they leave at mid-blade, mm; none where no box pulls it. */
  dialMm?: number;
  /** A float, or the coat over one: it holds up nothing that does not lie on it. */
  float: boolean;
  /** Set time of the bag, min; means nothing where the compound only dries. */
  setMin: number;
  /** What is worked: mm of joint, a count of heads, mm² of face. */
  amount: number;
  pace: FigureKey;
  /** Work of one person, min. */
  minutes: number;
  /** Until the next coat may go on; nothing where no mud goes on. */
  hardens: Hardening | undefined;
  /** The wait planned for, min: as it hardens, or as set by hand. */
  waitMin: number;
  /** Water it gives off, g, and how long its layers give it off against the reference coat. */
  waterG: number;
  dryFactor: number;
}

export interface BeadRun {
  kind: BeadKind;
  mm: number;
  /** The corner it goes on. */
  joint: string;
  /** It ends above the floor, and may end a little higher. */
  onFloor?: boolean;
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
      repairs: withCoats(room).reduce((sum, spot) => sum + countOf(spot), 0),
      face: Math.round(survey.boardAreaM2 * 1e6),
    }[row.element as 'face'] as number | undefined;
    amounts[row.element] += amount ?? mm;
    for (const joint of own) {
      jointMm[joint.kind] = (jointMm[joint.kind] ?? 0) + joint.lengthMm;
      if (row.bead) {
        const pieces = joint.pieces ?? 1;
        const off = joint.onFloor ? book.beadOffFloorMm.value : 0;
        for (let i = 0; i < pieces; i++)
          beads.push({
            kind: row.bead,
            mm: joint.lengthMm / pieces - off,
            joint: joint.id,
            ...(joint.onFloor ? { onFloor: true } : {}),
          });
      }
    }
    if (row.cells.some((cell) => cell.tape)) tapeMm += mm;
    const { faces: all, fasteners } = survey;
    const mud = mudOf({ row, rows, joints: own, room, faces: all, fasteners, way, book, memo });
    sections.push(...mud.sections);
    const floats = row.cells.findIndex((cell) => cell.float);
    if (row.element === 'repairs')
      for (const spot of withCoats(room))
        if (row.cells.some((cell) => cell.coat === 'tape'))
          tapeMm += repairMud(spot, 'tape', room.board.thicknessMm, way, book).tapeMm;
    row.cells.forEach((cell, i) => {
      const { wetL, ...lies } = mud.cells[i] as CellMud;
      let worked = amount ?? mm;
      if (cell.coat === 'prefill' && row.element !== 'repairs') {
        worked = own.filter((j) => isPrefilled(j, way)).reduce((sum, j) => sum + j.lengthMm, 0);
        prefillMm += worked;
      } else if (row.element === 'repairs' && wetL <= 0) worked = 0;
      const setMin = setMinOf(cell, book);
      const compound = book.compounds[cell.compound];
      const { consistency } = cell;
      const dries = { book, compound, consistency, tape: cell.tape ? way.tape : undefined };
      const hardens =
        wetL > 0 ? hardening(lies.waitsMm, { ...dries, climate, setMin, substrate }) : undefined;
      uses.push({
        row: row.id,
        element: cell.element,
        coat: cell.coat,
        compound: cell.compound,
        wetL,
        ...lies,
        float: floats >= 0 && i >= floats,
        setMin,
        amount: worked,
        pace: paceOf(cell),
        minutes: minutesOf(cell, worked, book),
        hardens,
        waitMin: cell.waitMin ?? (hardens?.hours ?? 0) * 60,
        waterG: wetL * waterGPerL(compound, consistency),
        dryFactor: lies.waitsMm.reduce((sum, mm) => sum + dryingFactor(mm, dries), 0),
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

/** What is laid in a cell of a row. */
export const useOf = (
  { uses }: Pick<RoomUse, 'uses'>,
  { id }: Pick<BoardRow, 'id'>,
  { coat }: Pick<Cell, 'coat'>,
): CellUse | undefined => uses.find((part) => part.row === id && part.coat === coat);

/** The set time of a cell: what was set for it, else the bag in use, else the way's. */
export const setMinOf = (cell: Cell, book: Supplied): number =>
  cell.own.setMin ? cell.setMin : (book.compounds[cell.compound].product?.setMin ?? cell.setMin);

/** A painted face takes no water, so setting compound is slowest there; one such face holds up the area. */
export const slowestSubstrate = (room: Room, faces: readonly string[]): Room['substrate'] =>
  faces.some((id) => room.faces?.[id]?.substrate === 'painted') ? 'painted' : room.substrate;

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
