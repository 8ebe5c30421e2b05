import type { Book } from '../book';
import type { Coat, Damage, DamageKind } from '../job';

/** How a kind of damage is mended, in materials. */
export interface Repair {
  /** Round spots go by their size across, lines by their length. */
  shape: 'spot' | 'line';
  /** Deep enough to be packed first: how deep, as a share of the board. */
  packed: number;
  taped: boolean;
}

/** Repairs of the trade; figures typical. */
export const REPAIR: Record<DamageKind, Repair> = {
  dent: { shape: 'spot', packed: 0, taped: false },
  'popped-head': { shape: 'spot', packed: 0, taped: false },
  'anchor-hole': { shape: 'spot', packed: 0.5, taped: false },
  'small-hole': { shape: 'spot', packed: 0.8, taped: true },
  'large-hole': { shape: 'spot', packed: 0.1, taped: true },
  'failed-tape': { shape: 'line', packed: 0, taped: true },
  'crushed-joint': { shape: 'line', packed: 0.5, taped: true },
  step: { shape: 'line', packed: 0, taped: true },
  texture: { shape: 'spot', packed: 0, taped: false },
};

/** Mud one repair takes in one coat, L, and its thickest layer, mm. */
export function repairMud(
  { kind, sizeMm }: Damage,
  coat: Coat,
  thicknessMm: number,
  book: Book,
): { wetL: number; layerMm: number; tapeMm: number } {
  const { shape, packed, taped } = REPAIR[kind];
  const none = { wetL: 0, layerMm: 0, tapeMm: 0 };
  const area = (reachMm: number): number =>
    shape === 'spot' ? (Math.PI / 4) * (sizeMm + 2 * reachMm) ** 2 : (sizeMm + reachMm) * 2 * reachMm;
  const reach = book.repairReachMm.value;
  const edge = shape === 'spot' ? Math.PI * sizeMm : sizeMm;
  const litres = (mm2: number, filmMm: number) => (mm2 * filmMm) / 1e6;
  switch (coat) {
    case 'prefill': {
      const deep = packed * thicknessMm;
      const over = shape === 'spot' ? area(0) : sizeMm * book.gapMm.value * 4;
      return deep > 0 ? { wetL: litres(over, deep), layerMm: deep, tapeMm: 0 } : none;
    }
    case 'tape': {
      if (!taped) return none;
      const bed = book.bedMm.value * (book.tapeWidthMm.value + book.bedRampMm.value);
      return { wetL: (edge * bed) / 1e6, layerMm: book.bedMm.value, tapeMm: edge };
    }
    case 'fill':
      return {
        wetL: litres(area(reach), book.repairFillMm.value),
        layerMm: book.repairFillMm.value,
        tapeMm: 0,
      };
    case 'finish':
      return {
        wetL: litres(area(2 * reach), book.repairFinishMm.value),
        layerMm: book.repairFinishMm.value,
        tapeMm: 0,
      };
    default:
      return none;
  }
}
