import type { Book } from '../book';
import { ELEMENTS, type Cell, type Element } from '../coat';
import { COMPOUND } from '../compound';
import { grazingOf, needsOf } from '../finish';
import type { Coat, CompoundId, JointKind, Room, Tape, Way } from '../job';
import { strongestContrast } from '../light';
import { simulate, type Bed, type CoatResult, type BareJoint, type SectionCoat } from '../section';
import type { Joint, Survey } from '../survey';

/** What one cell of the coat board takes in one room. */
export interface CellUse {
  element: Element;
  coat: Coat;
  compound: CompoundId;
  wetL: number;
  /** Thickest single wet layer anywhere in the cell, mm. */
  layerMm: number;
}

/** How a finished joint of one sort turns out. */
export interface SectionRead {
  element: 'flats' | 'butts';
  humpMm: number;
  lengthMm: number;
  crownMm: number;
  /** Strongest contrast in the room's light. */
  contrast: number;
}

export interface RoomUse {
  uses: CellUse[];
  sections: SectionRead[];
  /** Lengths by element, mm; heads as a count, the face in mm². */
  amounts: Record<Element, number>;
  tapeMm: number;
  /** Joints whose gaps are prefilled. */
  prefillMm: number;
  beadMm: number[];
  wetL: number;
  /** Lengths by joint kind, mm. */
  jointMm: Partial<Record<JointKind, number>>;
}

/** The row of the coat board a joint belongs to; trims take no mud of their own here. */
export function elementOf(kind: JointKind): Element | undefined {
  switch (kind) {
    case 'tapered':
    case 'mixed':
    case 'recessed-butt':
      return 'flats';
    case 'butt':
      return 'butts';
    case 'inside-angle':
    case 'off-angle-inside':
      return 'angles';
    case 'outside-corner':
    case 'off-angle-outside':
      return 'corners';
    case 'trim':
      return undefined;
  }
}

const TAPE_THICKNESS: Record<Tape, 'paperMm' | 'matMm' | 'meshMm'> = {
  paper: 'paperMm',
  mat: 'matMm',
  mesh: 'meshMm',
};

const EDGE: Partial<Record<JointKind, BareJoint['edge']>> = {
  tapered: 'taper',
  mixed: 'mixed',
  'recessed-butt': 'recessed',
};

/** Sections simulated once and kept: a thousand equal joints cost one simulation. */
export class SectionMemo {
  private readonly kept = new Map<string, CoatResult[]>();
  private readonly contrasts = new Map<string, number>();

  sections(bare: BareJoint, coats: SectionCoat[]): CoatResult[] {
    const key = this.key(bare, coats);
    let found = this.kept.get(key);
    if (!found) {
      if (this.kept.size > 500) this.kept.clear();
      found = simulate(bare, coats);
      this.kept.set(key, found);
    }
    return found;
  }

  contrast(bare: BareJoint, coats: SectionCoat[], grazingDeg: number): number {
    const key = `${grazingDeg}|${this.key(bare, coats)}`;
    let found = this.contrasts.get(key);
    if (found === undefined) {
      if (this.contrasts.size > 2000) this.contrasts.clear();
      const last = this.sections(bare, coats).at(-1);
      found = last ? strongestContrast(last.surface, grazingDeg) : 0;
      this.contrasts.set(key, found);
    }
    return found;
  }

  private key(bare: BareJoint, coats: SectionCoat[]): string {
    return JSON.stringify([bare, coats]);
  }
}

/** The section model's inputs for one joint under the coats of its row. */
export function sectionInput(
  joint: Pick<Joint, 'kind' | 'humpMm' | 'spanMm' | 'lippageMm'>,
  cells: readonly Cell[],
  way: Way,
  book: Book,
): { bare: BareJoint; coats: SectionCoat[] } {
  const element = elementOf(joint.kind);
  const bare: BareJoint = {
    edge: EDGE[joint.kind] ?? 'butt',
    taperDepthMm: book.taperDepthMm.value,
    taperWidthMm: book.taperWidthMm.value,
    humpMm: joint.humpMm,
    humpSpanMm: joint.spanMm,
    lippageMm: joint.lippageMm,
  };
  const bed: Bed = {
    bedMm: book.bedMm.value,
    rampMm: book.bedRampMm.value,
    tapeWidthMm: book.tapeWidthMm.value,
    tapeMm: book[TAPE_THICKNESS[way.tape]].value,
  };
  const coats = cells
    .filter((cell) => cell.element === element && cell.coat !== 'prefill')
    .map((cell): SectionCoat => ({
      ...(cell.tape ? { bed } : {}),
      pulls: cell.pulls,
      shrink: COMPOUND[cell.compound].shrink,
    }));
  return { bare, coats };
}

/** Whether a joint's gap is prefilled before tape. */
export const isPrefilled = (joint: Joint, way: Way): boolean =>
  way.prefillWhen === 'every' ? joint.gapMm > 0 : joint.gapMm > way.prefillOverMm;

/** Mud, tape and bead for one room. */
export function roomUse(
  room: Room,
  survey: Survey,
  cells: readonly Cell[],
  way: Way,
  book: Book,
  memo: SectionMemo,
): RoomUse {
  const uses = new Map<string, CellUse>();
  const use = (cell: Cell, wetL: number, layerMm: number) => {
    const key = `${cell.element}:${cell.coat}`;
    const known = uses.get(key) ?? {
      element: cell.element,
      coat: cell.coat,
      compound: cell.compound,
      wetL: 0,
      layerMm: 0,
    };
    known.wetL += wetL;
    if (wetL > 0) known.layerMm = Math.max(known.layerMm, layerMm);
    uses.set(key, known);
  };
  for (const cell of cells) use(cell, 0, 0);
  const amounts = Object.fromEntries(ELEMENTS.map((element) => [element, 0])) as Record<Element, number>;
  const sorts = new Map<string, { read: SectionRead; coats: { cell: Cell; result: CoatResult }[] }>();
  const sortOf = (joint: Joint, element: 'flats' | 'butts', row: readonly Cell[]) => {
    const { bare, coats } = sectionInput(joint, row, way, book);
    const results = memo.sections(bare, coats);
    const coated = row.filter((cell) => cell.coat !== 'prefill');
    const read: SectionRead = {
      element,
      humpMm: joint.humpMm,
      lengthMm: 0,
      crownMm: results.at(-1)?.crownMm ?? 0,
      contrast: results.length > 0 ? memo.contrast(bare, coats, grazingOf(room.light)) : 0,
    };
    return { read, coats: coated.map((cell, i) => ({ cell, result: results[i] as CoatResult })) };
  };
  const beadMm: number[] = [];
  const jointMm: RoomUse['jointMm'] = {};
  const taped = needsOf(room.finish).tape;
  let tapeMm = 0;
  let prefillMm = 0;

  for (const joint of survey.joints) {
    jointMm[joint.kind] = (jointMm[joint.kind] ?? 0) + joint.lengthMm;
    const element = elementOf(joint.kind);
    if (!element) continue;
    const metres = joint.lengthMm / 1000;
    amounts[element] += joint.lengthMm;
    const row = cells.filter((cell) => cell.element === element);
    const prefill = row.find((cell) => cell.coat === 'prefill');
    if (prefill && isPrefilled(joint, way)) {
      prefillMm += joint.lengthMm;
      use(prefill, (joint.gapMm * joint.thicknessMm * metres) / 1000, joint.gapMm);
    }
    if (element === 'corners') {
      const pieces = joint.pieces ?? 1;
      const off = joint.onFloor ? book.beadOffFloorMm.value : 0;
      for (let i = 0; i < pieces; i++) beadMm.push(joint.lengthMm / pieces - off);
    } else if (taped) tapeMm += joint.lengthMm;
    if (element === 'flats' || element === 'butts') {
      // Joints of one sort share one section; only their lengths differ.
      const key = `${joint.kind}:${joint.humpMm}:${joint.spanMm}:${joint.lippageMm}`;
      let sort = sorts.get(key);
      if (!sort) sorts.set(key, (sort = sortOf(joint, element, row)));
      sort.read.lengthMm += joint.lengthMm;
      for (const { cell, result } of sort.coats) use(cell, result.wetLPerM * metres, result.layerMm);
    } else {
      for (const cell of row) {
        if (cell.coat === 'prefill') continue;
        if (element === 'angles') {
          const perM = cell.tape ? book.angleTapeL.value : book.angleFaceL.value * cell.faces;
          use(cell, perM * metres, book.angleLayerMm.value);
        } else
          use(
            cell,
            cornerLPerM(cell, row, book) * metres,
            cell.coat === 'tape' ? book.beadNoseMm.value : cornerLayer(cell, row, book),
          );
      }
    }
  }

  amounts.heads = survey.fasteners;
  amounts.face = Math.round(survey.boardAreaM2 * 1e6);
  for (const cell of cells) {
    if (cell.element === 'heads') use(cell, survey.fasteners * book.headL.value, book.headLayerMm.value);
    if (cell.element === 'face') {
      let litres = 0;
      let thickest = 0;
      for (const face of survey.faces) {
        const film = faceFilm(room, room.faces?.[face.id]?.substrate ?? room.substrate, book);
        litres += face.areaM2 * film;
        if (face.areaM2 > 0) thickest = Math.max(thickest, film);
      }
      const counted = faceFilm(room, room.substrate, book);
      use(cell, litres + (room.counts?.areaM2 ?? 0) * counted, Math.max(thickest, room.counts ? counted : 0));
    }
  }
  const list = [...uses.values()];
  return {
    uses: list,
    sections: [...sorts.values()].map((sort) => sort.read),
    amounts,
    tapeMm,
    prefillMm,
    beadMm,
    wetL: list.reduce((sum, u) => sum + u.wetL, 0),
    jointMm,
  };
}

/** Wet film over the whole face, mm; a millimetre over a square metre is a litre. */
function faceFilm(room: Room, substrate: Room['substrate'], book: Book): number {
  if (needsOf(room.finish).surface === 'scrape') return book.scrapeMm.value;
  if (room.finish.scale === 'q') return book.fullSkimMm.value;
  return substrate === 'glass-mat' ? book.skimRoughMm.value : book.skimMm.value;
}

/** Dry mud already beside the nose under a cell, mm² a face; each coat fills the wedge out to its own band. */
function cornerBefore(cell: Cell, row: readonly Cell[], book: Book): { band: number; mm2: number } {
  let mm2 = 0;
  let band = 0;
  for (const earlier of row) {
    if (earlier === cell) break;
    if (earlier.coat === 'prefill') continue;
    const wedge = (book.beadNoseMm.value * earlier.bandMm) / 2;
    mm2 += Math.max(0, wedge - mm2) * (1 - COMPOUND[earlier.compound].shrink);
    band = earlier.bandMm;
  }
  return { band, mm2 };
}

/** Both faces of a beaded corner, L per metre: the wedge from the nose to the band's edge, less what is there. */
function cornerLPerM(cell: Cell, row: readonly Cell[], book: Book): number {
  const wedge = (book.beadNoseMm.value * cell.bandMm) / 2;
  return (2 * Math.max(0, wedge - cornerBefore(cell, row, book).mm2)) / 1000;
}

/** Thickest layer of a later corner coat: what is missing at the edge of the coat below, mm. */
function cornerLayer(cell: Cell, row: readonly Cell[], book: Book): number {
  const { band } = cornerBefore(cell, row, book);
  return book.beadNoseMm.value * Math.max(0.2, 1 - band / cell.bandMm);
}
