import type { Supplied } from '../compound';
import type { Damage } from '../job';
import { countOf, coveredMm2, REPAIR, tapedMm, type RepairStep } from '../repair';
import { solidsKgL } from '../takeoff';
import type { Mend } from './mend';

/** A patch is cut from so much more than the hole, for its edges. */
const CUT_WASTE = 1.2;
/** Strips reach so far past a hole, both ends together, mm. */
const STRIP_PAST_MM = 100;
/** Screws along a line are counted for half a metre at least. */
const LEAST_M = 0.5;

/** What a repair takes beside mud, of all that are alike. */
export function takesOf(
  spot: Damage,
  steps: readonly RepairStep[],
  book: Supplied,
): Pick<Mend, 'tapeMm' | 'screws' | 'patchM2' | 'stripsMm' | 'beadMm' | 'sealL'> {
  const repair = REPAIR[spot.kind];
  const count = countOf(spot);
  const metres = repair.shape === 'line' ? Math.max(spot.sizeMm / 1000, LEAST_M) : 1;
  const sealedM2 = coveredMm2(spot, book.repairReachMm.value) / 1e6;
  return {
    // A plug carries its own paper.
    tapeMm: steps.includes('bed') ? count * tapedMm(spot) : 0,
    screws: count * Math.ceil((repair.screws ?? 0) * metres),
    patchM2: repair.patch ? count * (spot.sizeMm / 1000) ** 2 * CUT_WASTE : 0,
    stripsMm: count * (repair.strips ?? 0) * (spot.sizeMm + STRIP_PAST_MM),
    beadMm: repair.bead ? count * spot.sizeMm : 0,
    sealL: repair.sealer ? (count * sealedM2 * book.sealerL.value) / 100 : 0,
  };
}

/** Sanding it at the end, min. */
export const sandMinOf = (spot: Damage, book: Supplied): number =>
  countOf(spot) *
  (book.mendSandMin.value +
    (coveredMm2(spot, 2 * book.repairReachMm.value) / 1e6 / book.paceSand.value) * 60);

/** Dust of sanding: a share of the last coat, kg. */
export function dustOf(
  layers: readonly Pick<Mend['layers'][number], 'wetL' | 'compound'>[],
  book: Supplied,
): number {
  const last = layers.findLast(({ wetL }) => wetL > 0);
  const over = last?.compound && book.compounds[last.compound];
  if (!last || !over) return 0;
  return last.wetL * solidsKgL(over) * book[over.hardens === 'drying' ? 'dustDrying' : 'dustSetting'].value;
}
