import { rowCells, type BoardInput, type BoardRow, type Cell } from '../coat';
import type { Supplied } from '../compound';
import type { CellEdit, Coat, ToolId, Way } from '../job';
import { layersWithin } from '../section';
import type { Joint } from '../survey';
import { bladesFor, widthsOf } from '../way';
import { coatedCells, sectionInput, type FaceSkim, type SectionMemo } from './section';

/** Finish widths to try, mm. */
export const WIDTHS: readonly number[] = Array.from({ length: 27 }, (_, i) => 300 + 50 * i);

/** Widths of a float to try, mm. */
const FLOATS: readonly number[] = [800, 1000, 1200, 1600, 2000, 2400];

/** How stiff the blade is held over finish and fill, by what it leaves at its middle, mm; none is as usual. */
const STIFF: readonly (readonly [number?, number?])[] = [[], [0.15], [0.08], [0.15, 0.15], [0.08, 0.08]];

/** With a blade no wider than this nothing is closed that a wide one leaves open, mm. */
const LEAST_BLADE_MM = 200;

/** So many times what is hidden is not brought down by a few inches of width. */
const HOPELESS = 3;

/** Each coat must reach past the one under it by this much a side, mm. */
export const STEP_MM = 50;

/** A joint in its light, and what its coats are made from. */
export interface HidingInput {
  joint: Joint;
  row: Pick<BoardRow, 'element'>;
  board: Omit<BoardInput, 'joint' | 'book'>;
  /** The joint's own cells besides what is tried. */
  own: Partial<Record<Coat, CellEdit>>;
  /** The light from the wall plane, degrees; or as it meets the edge of a finish so wide, where it is near. */
  grazingDeg: number | ((bandMm: number) => number);
  limit: number;
  /** The deepest hollow a straightedge of 1200 mm may show, mm; a float must keep it. */
  hollowMm?: number | undefined;
  way: Way;
  skim: FaceSkim | undefined;
}

/** What makes a joint hide, as changes of its cells. */
export type Hiding = Partial<Record<'fill' | 'finish', CellEdit>>;

const cellsWith = ({ row, board, own }: HidingInput, edit: Hiding, book: Supplied): Cell[] => {
  const joint = { ...own };
  for (const [coat, change] of Object.entries(edit) as [Coat, CellEdit][])
    joint[coat] = { ...own[coat], ...change };
  return rowCells(row.element, { ...board, book, joint });
};

/** The joint with some of its cells changed, and the light it is seen in. */
function sectionWith(input: HidingInput, edit: Hiding, book: Supplied) {
  const { joint, way, skim, grazingDeg } = input;
  const cells = cellsWith(input, edit, book);
  const bandMm = cells.find((cell) => cell.coat === 'finish')?.bandMm ?? 0;
  return {
    ...sectionInput(joint, cells, way, book, { skim }),
    grazing: typeof grazingDeg === 'number' ? grazingDeg : grazingDeg(bandMm),
  };
}

/** The strongest contrast of the joint with some of its cells changed. */
export function contrastWith(input: HidingInput, edit: Hiding, book: Supplied, memo: SectionMemo): number {
  const { bare, coats, grazing } = sectionWith(input, edit, book);
  return memo.contrast(bare, coats, grazing);
}

/** Whether the joint shows no more than so many times what is hidden, with some of its cells changed. */
function hidesWith(input: HidingInput, edit: Hiding, book: Supplied, memo: SectionMemo, times = 1): boolean {
  const { bare, coats, grazing } = sectionWith(input, edit, book);
  return input.limit === Infinity || memo.hides(bare, coats, grazing, times * input.limit);
}

/** Whether a straightedge laid across the joint shows no more than it may. */
function isFlatEnough(input: HidingInput, edit: Hiding, book: Supplied, memo: SectionMemo): boolean {
  if (input.hollowMm === undefined) return true;
  const { bare, coats } = sectionWith(input, edit, book);
  return memo.hollow(bare, coats) <= input.hollowMm;
}

/**
 * The narrowest finish whose simulated section stays under the limit with the blades at hand; a stiffer blade
 * where no width does by itself; none when neither does.
 */
export function narrowestThatHides(
  input: HidingInput,
  kit: readonly ToolId[],
  book: Supplied,
  memo: SectionMemo,
): Hiding | undefined {
  const owned = { ...input, board: { ...input.board, kit } };
  const now = coatedCells(cellsWith(owned, {}, book));
  const finish = now.find((cell) => cell.coat === 'finish');
  if (!finish) return undefined;
  const below = now[now.indexOf(finish) - 1];
  const least = Math.max((below?.bandMm ?? 0) + 2 * STEP_MM, finish.bandMm);
  const kinds = bladesFor(input.way.tools, input.row.element, 'finish');
  const [, ...narrower] = widthsOf(kit, kinds, LEAST_BLADE_MM);
  // The widest blade first; where it bridges what a narrower one fills, that one.
  const blades = [undefined, ...narrower];
  for (const [bladeMm, [finishMm, fillMm]] of blades.flatMap((one) =>
    STIFF.map((stiff) => [one, stiff] as const),
  )) {
    const blade = bladeMm === undefined ? {} : { bladeMm };
    const editOf = (bandMm: number): Hiding => ({
      finish: { bandMm, ...blade, ...(finishMm === undefined ? {} : { camberMm: finishMm }) },
      ...(fillMm === undefined && bladeMm === undefined
        ? {}
        : { fill: { ...blade, ...(fillMm === undefined ? {} : { camberMm: fillMm }) } }),
    });
    const hides = (bandMm: number) => hidesWith(owned, editOf(bandMm), book, memo);
    const widths = WIDTHS.filter((mm) => mm >= least && (finishMm !== undefined || mm !== finish.bandMm));
    // What shows far too much at every width tried here and there hides at none between them.
    const hopeless = widths
      .filter((_, i) => i % 6 === 0)
      .every((mm) => !hidesWith(owned, editOf(mm), book, memo, HOPELESS));
    const found = hopeless ? undefined : widths.find(hides);
    if (found !== undefined) return editOf(found);
  }
  return undefined;
}

/**
 * The narrowest float that hides what no blade does and keeps the straightedge happy, in as many layers as its
 * compound asks for, with the finish over it; none when no width in reach does. The coats are laid even where the
 * grade asks for none.
 */
export function floatThatHides(
  input: HidingInput,
  kit: readonly ToolId[],
  book: Supplied,
  memo: SectionMemo,
): Hiding | undefined {
  const owned = { ...input, board: { ...input.board, kit } };
  const laid = cellsWith(owned, {}, book).map((cell) => cell.coat);
  const added = (coat: Coat): CellEdit => (laid.includes(coat) ? {} : { coat: 'add' });
  const editOf = (bandMm: number, camberMm: number | undefined): Hiding => {
    const finish = {
      ...added('finish'),
      bandMm: bandMm + 2 * STEP_MM,
      ...(camberMm === undefined ? {} : { camberMm }),
    };
    const once: Hiding = { fill: { ...added('fill'), float: true, bandMm }, finish };
    const layers = layersOf(owned, once, book, memo);
    return layers > 1 ? { fill: { ...once.fill, layers }, finish } : once;
  };
  const hides = (edit: Hiding) =>
    // The straightedge is laid last: it takes longest.
    hidesWith(owned, edit, book, memo) && isFlatEnough(owned, edit, book, memo);
  for (const camberMm of [undefined, 0.15, 0.08]) {
    const found = FLOATS.find((mm) => hides(editOf(mm, camberMm)));
    if (found !== undefined) return editOf(found, camberMm);
  }
  return undefined;
}

/** The layers a fill asks for, so that none is thicker than its compound takes. */
function layersOf(input: HidingInput, edit: Hiding, book: Supplied, memo: SectionMemo): number {
  const cells = coatedCells(cellsWith(input, edit, book));
  const fill = cells.findIndex((cell) => cell.coat === 'fill');
  const cell = cells[fill];
  if (!cell) return 1;
  const { bare, coats } = sectionInput(input.joint, cells, input.way, book);
  const { maxMm } = book.compounds[cell.compound];
  return layersWithin(bare, coats, fill, maxMm, undefined, (on, laid) => memo.sections(on, laid));
}
