import type { Cell } from '../coat';
import type { Supplied } from '../compound';
import type { Element, JointKind, Tape, Way } from '../job';
import { strongestContrast } from '../light';
import { simulate, type BareJoint, type Bed, type CoatResult, type SectionCoat } from '../section';
import type { Joint } from '../survey';

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

/** The cells of a row that lay mud across a joint, in order. */
export const coatedCells = (row: readonly Cell[]): Cell[] => row.filter((cell) => cell.coat !== 'prefill');

/** The section model's inputs for one joint under the cells of its row. */
export function sectionInput(
  joint: Pick<Joint, 'kind' | 'humpMm' | 'spanMm' | 'lippageMm'>,
  row: readonly Cell[],
  way: Way,
  book: Supplied,
): { bare: BareJoint; coats: SectionCoat[] } {
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
  const coats = coatedCells(row).map((cell): SectionCoat => ({
    ...(cell.tape ? { bed } : {}),
    pulls: cell.pulls,
    shrink: book.compounds[cell.compound].shrink,
  }));
  return { bare, coats };
}

/** Elements whose joints are cut across. */
export type Cut = Extract<Element, 'flats' | 'mixed' | 'recessed' | 'butts'>;
