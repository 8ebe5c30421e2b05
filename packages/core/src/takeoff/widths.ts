import { rowCells, type BoardInput, type BoardRow } from '../coat';
import type { Supplied } from '../compound';
import { dryingHours } from '../drying';
import type { CellEdit, Climate, Coat, Way } from '../job';
import type { Joint } from '../survey';
import { coatedCells, sectionInput, type SectionMemo } from './section';

/** Finish widths to try, mm. */
export const WIDTHS: readonly number[] = [300, 350, 400, 500, 600, 700, 800, 900, 1000, 1200, 1400, 1600];

/** A joint finished at one width. */
export interface WidthRead {
  bandMm: number;
  /** Strongest contrast in the light. */
  contrast: number;
  hides: boolean;
  /** All coats, wet, L per metre. */
  wetLPerM: number;
  /** The finish alone, h. */
  dryH: number;
  pulls: number;
}

export interface WidthInput {
  joint: Joint;
  row: Pick<BoardRow, 'element'>;
  board: Omit<BoardInput, 'joint'>;
  /** The joint's own cells besides the width that is tried. */
  own: Partial<Record<Coat, CellEdit>>;
  grazingDeg: number;
  limit: number;
  way: Way;
  climate: Climate;
}

/** What each wider finish of a joint shows and costs; only widths that reach past the coat below. */
export function widthReads(input: WidthInput, book: Supplied, memo: SectionMemo): WidthRead[] {
  const { joint, row, board, own, grazingDeg, limit, way, climate } = input;
  return WIDTHS.flatMap((bandMm): WidthRead[] => {
    const tried = { ...own, finish: { ...own.finish, bandMm } };
    const cells = rowCells(row.element, { ...board, joint: tried });
    const coated = coatedCells(cells);
    const finish = coated.findIndex((cell) => cell.coat === 'finish');
    const cell = coated[finish];
    const below = coated[finish - 1];
    if (!cell || (below && bandMm < below.bandMm + 100)) return [];
    const { bare, coats } = sectionInput(joint, cells, way, book);
    const results = memo.sections(bare, coats);
    const contrast = memo.contrast(bare, coats, grazingDeg);
    return [
      {
        bandMm,
        contrast,
        hides: contrast <= limit,
        wetLPerM: results.reduce((sum, r) => sum + r.wetLPerM, 0),
        dryH: dryingHours(cell.compound, results[finish]?.layerMm ?? 0, climate, cell.consistency),
        pulls: cell.pulls.length,
      },
    ];
  });
}
