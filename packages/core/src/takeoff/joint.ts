import type { Book } from '../book';
import type { Cell } from '../coat';
import type { Coat, Way } from '../job';
import { PACE } from './pace';
import { bareSurface, simulate, type Surface } from '../section';
import type { Joint } from '../survey';
import { elementOf, isPrefilled, sectionInput, type RoomUse } from './room';

/** One joint cut across: the bare boards, then the hardened surface after each coat. */
export interface JointSection {
  bare: Surface;
  layers: { coat: Coat; surface: Surface; bandMm: number }[];
}

/** The section of a flat or a butt under the coats of its row; none for other joints. */
export function jointSection(
  joint: Joint,
  cells: readonly Cell[],
  way: Way,
  book: Book,
): JointSection | undefined {
  const element = elementOf(joint.kind);
  if (element !== 'flats' && element !== 'butts') return undefined;
  const { bare, coats } = sectionInput(joint, cells, way, book);
  const row = cells.filter((cell) => cell.element === element && cell.coat !== 'prefill');
  const layers = simulate(bare, coats).map(({ surface }, i) => ({
    coat: (row[i] as Cell).coat,
    surface,
    bandMm: (row[i] as Cell).bandMm,
  }));
  return { bare: bareSurface(bare), layers };
}

/** Mud one joint takes, all coats, L: by its section, or its share of what its row takes in the room. */
export function jointMudL(joint: Joint, cells: readonly Cell[], use: RoomUse, way: Way, book: Book): number {
  const element = elementOf(joint.kind);
  if (!element) return 0;
  if (element === 'flats' || element === 'butts') {
    const { bare, coats } = sectionInput(joint, cells, way, book);
    const coated = simulate(bare, coats).reduce((sum, r) => sum + r.wetLPerM, 0);
    const prefill = isPrefilled(joint, way) && cells.some((cell) => cell.element === element);
    const gap = prefill ? (joint.gapMm * joint.thicknessMm) / 1000 : 0;
    return ((coated + gap) * joint.lengthMm) / 1000;
  }
  const row = use.uses.filter((u) => u.element === element).reduce((sum, u) => sum + u.wetL, 0);
  return use.amounts[element] > 0 ? (row * joint.lengthMm) / use.amounts[element] : 0;
}

/** The same joint with nothing wrong: its kind and length, the typical gap, no hump and no step. */
export const plainJoint = (joint: Joint, book: Book): Joint => ({
  ...joint,
  gapMm: book.gapMm.value,
  humpMm: 0,
  spanMm: book.humpSpanMm.value,
  lippageMm: 0,
  measured: false,
});

/**
 * Work one joint takes, all coats, min of one person: its length at the pace of each coat, and the gap at its own
 * where it is filled before tape. A hump or a step is more mud at the same pace.
 */
export function jointMinutes(joint: Joint, cells: readonly Cell[], way: Way, book: Book): number {
  const element = elementOf(joint.kind);
  if (!element) return 0;
  const metres = joint.lengthMm / 1000;
  return cells
    .filter((cell) => cell.element === element)
    .reduce((sum, cell) => {
      if (cell.coat === 'prefill')
        return sum + (isPrefilled(joint, way) ? (metres / book.pacePrefill.value) * 60 : 0);
      const [pace] = PACE[element][cell.coat] ?? PACE[element].coat;
      return sum + (metres / book[pace].value) * 60;
    }, 0);
}
