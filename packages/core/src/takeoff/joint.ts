import type { BoardRow } from '../coat';
import type { Supplied } from '../compound';
import { isCut, type Coat, type Way } from '../job';
import { bareSurface, simulate, type Surface } from '../section';
import type { Joint } from '../survey';
import { minutesPerMetre } from './pace';
import { isPrefilled } from './mud';
import type { RoomUse } from './room';
import { coatedCells, sectionInput } from './section';

/** One joint cut across: the bare boards, then the hardened surface after each coat. */
export interface JointSection {
  bare: Surface;
  layers: { coat: Coat; surface: Surface; bandMm: number }[];
}

/** The row of a room's coat board a joint is coated with. */
export const rowOfJoint = (rows: readonly BoardRow[], joint: Pick<Joint, 'id'>): BoardRow | undefined =>
  rows.find((row) => row.joints.includes(joint.id));

/** The section of a joint of the board under the coats of its row; none for angles and corners. */
export function jointSection(
  joint: Joint,
  row: BoardRow,
  way: Way,
  book: Supplied,
): JointSection | undefined {
  if (!isCut(row.element)) return undefined;
  const { bare, coats } = sectionInput(joint, row.cells, way, book);
  const cells = coatedCells(row.cells);
  const layers = simulate(bare, coats).flatMap(({ surface }, i) => {
    const cell = cells[i];
    return cell ? [{ coat: cell.coat, surface, bandMm: cell.bandMm }] : [];
  });
  return { bare: bareSurface(bare), layers };
}

/** Mud one joint takes coat by coat, L: by its section, or its share of what its row takes in the room. */
export function jointCoatsL(
  joint: Joint,
  row: BoardRow,
  use: Pick<RoomUse, 'uses'>,
  way: Way,
  book: Supplied,
): Map<Coat, number> {
  const metres = joint.lengthMm / 1000;
  const coats = new Map<Coat, number>();
  if (row.cells.some((cell) => cell.coat === 'prefill') && isPrefilled(joint, way))
    coats.set('prefill', (joint.gapMm * joint.thicknessMm * metres) / 1000);
  if (isCut(row.element)) {
    const { bare, coats: pulled } = sectionInput(joint, row.cells, way, book);
    const cells = coatedCells(row.cells);
    simulate(bare, pulled).forEach(({ wetLPerM }, i) => {
      const coat = cells[i]?.coat;
      if (coat) coats.set(coat, (coats.get(coat) ?? 0) + wetLPerM * metres);
    });
    return coats;
  }
  for (const { row: of, coat, amount, wetL } of use.uses)
    if (of === row.id && coat !== 'prefill' && amount > 0) coats.set(coat, (wetL * joint.lengthMm) / amount);
  return coats;
}

/** Mud one joint takes, all coats, L. */
export const jointMudL = (...of: Parameters<typeof jointCoatsL>): number =>
  [...jointCoatsL(...of).values()].reduce((a, b) => a + b, 0);

/** The same joint with nothing wrong: its kind and length, the typical gap, no hump and no step. */
export const plainJoint = (joint: Joint, book: Supplied): Joint => ({
  ...joint,
  gapMm: book.gapMm.value,
  humpMm: 0,
  spanMm: book.humpSpanMm.value,
  lippageMm: 0,
  measured: false,
});

/**
 * Work one joint takes, all coats, min of one person: its length at the pace of each coat, longer for more lanes and
 * layers, and the gap at its own pace where it is filled before tape.
 */
export function jointMinutes(joint: Joint, row: BoardRow, way: Way, book: Supplied): number {
  const metres = joint.lengthMm / 1000;
  return row.cells
    .filter((cell) => cell.coat !== 'prefill' || isPrefilled(joint, way))
    .reduce((sum, cell) => sum + metres * minutesPerMetre(cell, book), 0);
}
