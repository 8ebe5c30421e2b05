import type { Blade, Cell } from '../coat';
import type { Supplied } from '../compound';
import { JOINT, type BeadKind, type Way } from '../job';
import { staysUnder, strongestContrast } from '../light';
import {
  bareSurface,
  coatOn,
  deepestUnder,
  halfFor,
  STRAIGHTEDGES,
  type BareJoint,
  type Bed,
  type CoatResult,
  type SectionCoat,
  type Surface,
} from '../section';
import type { Joint } from '../survey';
import { BEAD, dialOf, noseMm, tapeBedMm, tapeMm } from '../way';

/** Sections simulated once and kept: a thousand equal joints cost one simulation. */
export class SectionMemo {
  private readonly kept = new Map<string, CoatResult[]>();
  private readonly coats = new Map<string, CoatResult>();
  private readonly contrasts = new Map<string, number>();
  private readonly hollows = new Map<string, number>();
  /** Sections that had to be simulated so far. */
  simulated = 0;

  sections(bare: BareJoint, coats: readonly SectionCoat[]): CoatResult[] {
    const key = this.key(bare, coats);
    let found = this.kept.get(key);
    if (!found) {
      if (this.kept.size > 500) this.kept.clear();
      found = this.fromKnown(bare, coats);
      this.simulated++;
      this.kept.set(key, found);
    }
    return found;
  }

  /** Searches change the last coats of a joint over and over: what lies under them is laid once. */
  private fromKnown(bare: BareJoint, coats: readonly SectionCoat[]): CoatResult[] {
    const halfMm = halfFor(bare, coats);
    let key = JSON.stringify([bare, halfMm]);
    let under: Surface | undefined;
    if (this.coats.size > 500) this.coats.clear();
    return coats.map((coat) => {
      key += JSON.stringify(coat);
      let result = this.coats.get(key);
      if (!result) {
        result = coatOn(under ?? bareSurface(bare, halfMm), coat, bare);
        this.coats.set(key, result);
      }
      under = result.surface;
      return result;
    });
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

  /** Whether the finished joint shows no more than it may. */
  hides(bare: BareJoint, coats: SectionCoat[], grazingDeg: number, limit: number): boolean {
    const known = this.contrasts.get(`${grazingDeg}|${this.key(bare, coats)}`);
    if (known !== undefined) return known <= limit;
    const last = this.sections(bare, coats).at(-1);
    return !last || staysUnder(last.surface, grazingDeg, limit);
  }

  /** The deepest hollow under a straightedge of 1200 mm laid across the finished joint, mm. */
  hollow(bare: BareJoint, coats: SectionCoat[]): number {
    const key = this.key(bare, coats);
    let found = this.hollows.get(key);
    if (found === undefined) {
      if (this.hollows.size > 2000) this.hollows.clear();
      const last = this.sections(bare, coats).at(-1);
      found = last ? deepestUnder(last.surface, STRAIGHTEDGES.level).depthMm : 0;
      this.hollows.set(key, found);
    }
    return found;
  }

  private key(bare: BareJoint, coats: readonly SectionCoat[]): string {
    return JSON.stringify([bare, coats]);
  }
}

/** The cells of a row that lay mud across a joint, in order. */
export const coatedCells = (row: readonly Cell[]): Cell[] => row.filter((cell) => cell.coat !== 'prefill');

/** What is cut across: a joint, or a head of the face. */
export type CutJoint = Pick<Joint, 'kind' | 'humpMm' | 'spanMm' | 'lippageMm' | 'notchMm'>;

/** What lies over the coats of a joint where the whole face is skimmed. */
export interface FaceSkim {
  filmMm: number;
  shrink: number;
}

/** A blade that skims a face, mm. */
const SKIM_BLADE_MM = 300;

/** The section model's inputs for one joint under the cells of its row. */
export function sectionInput(
  joint: CutJoint,
  row: readonly Cell[],
  way: Way,
  book: Supplied,
  { bead, skim }: { bead?: BeadKind | undefined; skim?: FaceSkim | undefined } = {},
): { bare: BareJoint; coats: SectionCoat[] } {
  const nose = bead && BEAD[bead];
  const noseHalfMm = bead === 'bullnose' ? ROUND_HALF_MM : EDGE_HALF_MM;
  const bare: BareJoint = {
    edge: nose ? 'bead' : JOINT[joint.kind].edge,
    taperDepthMm: book.taperDepthMm.value,
    taperWidthMm: book.taperWidthMm.value,
    humpMm: joint.humpMm,
    humpSpanMm: joint.spanMm,
    lippageMm: joint.lippageMm,
    ...(joint.notchMm ? { notchMm: joint.notchMm, notchWidthMm: book.notchWidthMm.value } : {}),
    ...(nose ? { noseMm: noseMm(bead, book), noseHalfMm } : {}),
  };
  const bed: Bed = {
    bedMm: tapeBedMm(way.tape, book),
    rampMm: book.bedRampMm.value,
    tapeWidthMm: book.tapeWidthMm.value,
    tapeMm: tapeMm(way.tape, book),
  };
  const steps = dialOf(book);
  // No dial closes further than its last step.
  const closedMm = Math.min(...steps);
  const set = (pull: Blade): Blade =>
    pull.boxed ? { ...pull, camberMm: Math.max(pull.camberMm, closedMm) } : pull;
  const coats = coatedCells(row).map((cell): SectionCoat => ({
    ...(cell.tape
      ? { bed: cell.perFace ? { ...bed, bedMm: book.bedAngleMm.value, rampMm: beside(cell, bed) } : bed }
      : {}),
    pulls: (nose ? beadPulls(cell, nose.faces, noseHalfMm) : pullsOver(joint, cell, row)).map(set),
    ...(cell.own.camberMm || !cell.machine ? {} : { dial: { filmMm: book.boxFilmMm.value, stepsMm: steps } }),
    ...(cell.layers > 1 ? { layers: cell.layers } : {}),
    shrink: book.compounds[cell.compound].shrink,
  }));
  if (skim)
    coats.push({ pulls: [], film: { filmMm: skim.filmMm, bladeMm: SKIM_BLADE_MM }, shrink: skim.shrink });
  return { bare, coats };
}

/** A head of a face under the coats of its row: a dimple, or the dent of a repair. */
export function headInput(
  row: readonly Cell[],
  dimple: { depthMm: number; widthMm: number },
  book: Supplied,
): { bare: BareJoint; coats: SectionCoat[] } {
  const bare: BareJoint = {
    edge: 'head',
    taperDepthMm: 0,
    taperWidthMm: 0,
    humpMm: 0,
    humpSpanMm: book.humpSpanMm.value,
    lippageMm: 0,
    dimpleMm: dimple.depthMm,
    dimpleRadiusMm: dimple.widthMm / 2,
  };
  const coats = coatedCells(row).map((cell): SectionCoat => ({
    pulls: [{ offsetMm: 0, widthMm: Math.max(cell.bandMm, dimple.widthMm + 100), camberMm: cell.camberMm }],
    ...(cell.layers > 1 ? { layers: cell.layers } : {}),
    shrink: book.compounds[cell.compound].shrink,
  }));
  return { bare, coats };
}

/** Half the width of a bead's edge, and of a bullnose's round laid flat, mm. */
const EDGE_HALF_MM = 1.5;
const ROUND_HALF_MM = 15;

/** A blade that feathers a step rides on the higher board by this much, mm. */
const RIDE_MM = 6;

/** The bed of an angle feathers out to its own band. */
const beside = (cell: Cell, bed: Bed): number => Math.max(5, cell.bandMm - bed.tapeWidthMm / 2);

/** Each face of a bead from its nose to the edge of the band; a trim has only the face it stands on. */
const beadPulls = (cell: Cell, faces: 1 | 2, noseHalfMm: number): Blade[] =>
  (faces === 2 ? [-1, 1] : [-1]).map((side) => ({
    offsetMm: side * (noseHalfMm - EDGE_HALF_MM + cell.bandMm / 2),
    widthMm: cell.bandMm,
    camberMm: cell.camberMm,
  }));

/**
 * The pulls of a cell as they are laid on this joint. Where one board stands higher the blades ride on it; a
 * float takes a straightedge from its crest, or over it where it is hollow; angles are coated face by face.
 */
function pullsOver(joint: CutJoint, cell: Cell, row: readonly Cell[]): readonly Blade[] {
  const ride = RIDE_MM * Math.sign(joint.lippageMm);
  if (cell.perFace) {
    if (cell.tape) return [];
    const face = (side: number): Blade => ({
      offsetMm: (side * cell.bandMm) / 2,
      widthMm: cell.bandMm,
      camberMm: cell.camberMm,
    });
    if (cell.faces !== 1) return [face(-1), face(1)];
    // One face a coat: the last coat does the face that the one before it left.
    return [face(coatedCells(row).indexOf(cell) % 2 === 1 ? -1 : 1)];
  }
  if (cell.float && (joint.humpMm > 0 || ride !== 0))
    return [-1, 1].map((side) => ({
      offsetMm: (side * cell.bandMm) / 4 + ride,
      widthMm: cell.bandMm / 2,
      camberMm: 0,
    }));
  return ride === 0 || cell.pulls.length < 2
    ? cell.pulls
    : cell.pulls.map((p) => ({ ...p, offsetMm: p.offsetMm + ride }));
}
