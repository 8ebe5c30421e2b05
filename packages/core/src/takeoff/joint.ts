import type { Book } from '../book';
import type { Cell } from '../coat';
import type { Coat, Way } from '../job';
import { bareSurface, simulate, type Surface } from '../section';
import type { Joint } from '../survey';
import { elementOf, sectionInput, type RoomUse } from './room';

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
    return (simulate(bare, coats).reduce((sum, r) => sum + r.wetLPerM, 0) * joint.lengthMm) / 1000;
  }
  const row = use.uses.filter((u) => u.element === element).reduce((sum, u) => sum + u.wetL, 0);
  return use.amounts[element] > 0 ? (row * joint.lengthMm) / use.amounts[element] : 0;
}
