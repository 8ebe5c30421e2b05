import type { Book } from '../book';
import type { Coat, Damage, Way } from '../job';
import { countOf, coveredMm2, REPAIR, tapedMm } from '../repair';
import { tapeBedMm } from '../way';

/** Mud a repair takes in one coat, L, its thickest layer, mm, and its tape, mm; of all that are alike. */
export interface RepairMud {
  wetL: number;
  layerMm: number;
  tapeMm: number;
}

/** Mud of what is mended with the coats of its room, one coat of it. */
export function repairMud(
  spot: Damage,
  coat: Coat,
  thicknessMm: number,
  { tape }: Pick<Way, 'tape'>,
  book: Book,
): RepairMud {
  const { shape, packed, taped } = REPAIR[spot.kind];
  const count = countOf(spot);
  const reach = book.repairReachMm.value;
  const lies = (mm2: number, layerMm: number): RepairMud => ({
    wetL: (count * mm2 * layerMm) / 1e6,
    layerMm,
    tapeMm: 0,
  });
  const none = { wetL: 0, layerMm: 0, tapeMm: 0 };
  switch (coat) {
    case 'prefill': {
      const over = shape === 'line' ? spot.sizeMm * book.gapMm.value * 4 : coveredMm2(spot, 0);
      return packed > 0 ? lies(over, packed * thicknessMm) : none;
    }
    case 'tape': {
      if (!taped) return none;
      const wide = book.tapeWidthMm.value + book.bedRampMm.value;
      return { ...lies(tapedMm(spot) * wide, tapeBedMm(tape, book)), tapeMm: count * tapedMm(spot) };
    }
    case 'fill':
      return lies(coveredMm2(spot, reach), book.repairFillMm.value);
    case 'finish':
      return lies(coveredMm2(spot, 2 * reach), book.repairFinishMm.value);
    default:
      return none;
  }
}
