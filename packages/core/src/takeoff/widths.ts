import { rowCells } from '../coat';
import type { Supplied } from '../compound';
import { hardening } from '../drying';
import type { Climate, ToolId } from '../job';
import { floatThatHides, narrowestThatHides, STEP_MM, WIDTHS, type Hiding, type HidingInput } from './hiding';
import { minutesPerMetre } from './pace';
import { setMinOf } from './room';
import { coatedCells, sectionInput, type SectionMemo } from './section';

/** A joint finished at one width. */
export interface WidthRead {
  bandMm: number;
  /** Strongest contrast in the light. */
  contrast: number;
  hides: boolean;
  /** All coats, wet, L per metre. */
  wetLPerM: number;
  /** All coats, min of one person a metre. */
  minPerM: number;
  /** The finish alone, h. */
  dryH: number;
  pulls: number;
  bladeMm: number;
}

/** A joint in light from one side, and the air its finish dries in. */
export type WidthsInput = Omit<HidingInput, 'grazingDeg'> & { grazingDeg: number; climate: Climate };

/** How wide a joint must be finished to hide, and what each width comes to. */
export interface WidthAdvice {
  steps: WidthRead[];
  /** What hides it with the blades at hand, where something else than now does. */
  narrow?: Hiding | undefined;
  hidesNow?: boolean;
  /** What hides it where no width does. */
  float?: Hiding | undefined;
}

/**
 * The narrowest finish that hides a joint, with what each width shows and costs.
 * @param nowMm how wide it is finished now
 */
export function widthAdvice(
  input: WidthsInput,
  nowMm: number | undefined,
  kit: readonly ToolId[],
  book: Supplied,
  memo: SectionMemo,
): WidthAdvice {
  const steps = widthReads(input, book, memo);
  const least = steps.find((step) => step.hides);
  if (least)
    return least.bandMm === nowMm
      ? { steps, hidesNow: true }
      : { steps, narrow: { finish: { bandMm: least.bandMm } } };
  const narrow = narrowestThatHides(input, kit, book, memo);
  return narrow ? { steps, narrow } : { steps, float: floatThatHides(input, kit, book, memo) };
}

/** What each wider finish of a joint shows and costs; only widths that reach past the coat below. */
export function widthReads(input: WidthsInput, book: Supplied, memo: SectionMemo): WidthRead[] {
  const { joint, row, board, own, grazingDeg, limit, way, climate, skim } = input;
  return WIDTHS.flatMap((bandMm): WidthRead[] => {
    const tried = { ...own, finish: { ...own.finish, bandMm } };
    const cells = rowCells(row.element, { ...board, book, joint: tried });
    const coated = coatedCells(cells);
    const finish = coated.findIndex((cell) => cell.coat === 'finish');
    const cell = coated[finish];
    const below = coated[finish - 1];
    if (!cell || (below && bandMm < below.bandMm + 2 * STEP_MM)) return [];
    const { bare, coats } = sectionInput(joint, cells, way, book, { skim });
    const results = memo.sections(bare, coats).slice(0, coated.length);
    const contrast = memo.contrast(bare, coats, grazingDeg);
    return [
      {
        bandMm,
        contrast,
        hides: contrast <= limit,
        wetLPerM: results.reduce((sum, r) => sum + r.wetLPerM, 0),
        minPerM: coated.reduce((sum, c) => sum + minutesPerMetre(c, book), 0),
        dryH: hardening(results[finish]?.waitsMm ?? [], {
          book,
          compound: book.compounds[cell.compound],
          consistency: cell.consistency,
          climate,
          setMin: setMinOf(cell, book),
          substrate: 'paper',
        }).hours,
        pulls: cell.pulls.length,
        bladeMm: cell.bladeMm,
      },
    ];
  });
}
