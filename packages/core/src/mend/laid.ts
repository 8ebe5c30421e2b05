import { DECORATION_FACTS, grazingOf, toleranceOf } from '../finish';
import type { Coat, CompoundId, Consistency, Damage, FinishSpec, Room, Way } from '../job';
import { showsAbove } from '../light';
import { coveredMm2, REPAIR, tapedMm, type RepairStep } from '../repair';
import { compoundFor, tapeBedMm } from '../way';
import { floatFor, type Floated } from './float';
import type { Mends } from './mend';

/** Setting compound below, as deep as it is packed; a coat that dries on top of it, in every way of working. */
export function classFor(coat: Coat, way: Way): CompoundId {
  if (coat === 'prefill') return `setting-${way.prefill}`;
  if (coat === 'tape' || coat === 'fill') return 'setting-light';
  const own = compoundFor(way, coat);
  return own.startsWith('drying') && own !== 'drying-taping' ? own : 'drying-light';
}

export const floatOf = (
  spot: Damage,
  { widthMm, depthMm }: { widthMm: number; depthMm: number },
  look: FinishSpec,
  { way, book, memo }: Mends,
): Floated => {
  const { sheen } = DECORATION_FACTS[look.decoration];
  const tolerance = toleranceOf(look.finish);
  return floatFor(
    {
      kind: spot.kind === 'step' ? 'step' : 'low',
      depthMm,
      acrossMm: Math.min(spot.sizeMm, widthMm || spot.sizeMm),
    },
    {
      hollowMm: tolerance && book[tolerance].value,
      contrast: sheen ? showsAbove(sheen, book) : Infinity,
      grazingDeg: grazingOf(look.light),
    },
    ['setting-light', classFor('finish', way)],
    book,
    memo,
  );
};

export interface Laid {
  wetL: number;
  layerMm: number;
  waitsMm: readonly number[];
  /** The face it covers. */
  mm2: number;
  /** Where it goes a pace of its own. */
  minutes?: number;
}

/** Mud of one step over one spot. */
export function laidBy(
  step: RepairStep,
  spot: Damage & { widthMm: number },
  {
    room,
    depthMm,
    float,
    by: { book, mending, way },
  }: { room: Room; depthMm: number; float: Floated | undefined; by: Mends },
): Laid {
  const { shape, packed } = REPAIR[spot.kind];
  const reach = book.repairReachMm.value;
  const metres = spot.sizeMm / 1000;
  const flat = (mm2: number, filmMm: number, thickMm = filmMm): Laid => ({
    wetL: (mm2 * filmMm) / 1e6,
    ...thick(thickMm),
    mm2,
  });
  const thick = (mm: number, mostMm = Infinity) => {
    const layers = Math.max(1, Math.ceil(mm / mostMm - 1e-9));
    return { layerMm: mm / layers, waitsMm: Array.from({ length: layers }, () => mm / layers) };
  };
  switch (step) {
    case 'pack': {
      const deep = Math.max(packed * room.board.thicknessMm, spot.depthMm ?? 0);
      const gap = book.gapMm.value;
      // Around a new piece a gap is packed as joints are, and hardens by its width.
      if (spot.kind === 'large-hole') {
        const mm2 = 4 * spot.sizeMm * gap;
        return { wetL: (mm2 * room.board.thicknessMm) / 1e6, ...thick(gap), mm2 };
      }
      const mm2 = shape === 'line' ? spot.sizeMm * gap * 4 : coveredMm2(spot, 0);
      const { maxMm } = book.compounds[`setting-${way.prefill}`];
      return { wetL: (mm2 * deep) / 1e6, ...thick(deep, maxMm), mm2 };
    }
    case 'bed':
    case 'flange': {
      const wide = book.tapeWidthMm.value + book.bedRampMm.value;
      return flat(
        Math.max(tapedMm(spot), spot.sizeMm) * wide,
        tapeBedMm(way.tape, book),
        Math.max(1, tapeBedMm(way.tape, book)),
      );
    }
    case 'bed-bead':
      return {
        ...flat(spot.sizeMm * 200, tapeBedMm(way.tape, book), Math.max(1, depthMm)),
        minutes: (metres / book.paceBead.value) * 60,
      };
    case 'screed': {
      if (!float) return flat(0, 0);
      return {
        wetL: float.floatLPerM * metres,
        ...thick(float.layerMm * float.layers, book.compounds['setting-light'].maxMm),
        mm2: spot.sizeMm * float.widthMm,
        minutes: ((spot.sizeMm * float.widthMm) / 1e6 / book.paceFloat.value) * 60,
      };
    }
    case 'flush': {
      // The film over it, and the spot itself where nothing was packed into it.
      const film = flat(coveredMm2(spot, reach), book.repairFillMm.value);
      const own = packed > 0 || shape === 'line' ? 0 : (coveredMm2(spot, 0) * depthMm) / 2e6;
      const { maxMm, minMm } = book.compounds['setting-light'];
      const deep = own > 0 ? Math.max(depthMm, book.repairFillMm.value) : book.repairFillMm.value;
      return { ...film, wetL: film.wetL + own, ...thick(Math.max(minMm, deep), maxMm) };
    }
    case 'skim':
    case 'skim-across': {
      const mm2 = coveredMm2(spot, 0);
      return { ...flat(mm2, book.skimMm.value), minutes: (mm2 / 1e6 / book.paceSkim.value) * 60 };
    }
    default: {
      const film = mending === 'one-visit' ? book.repairTightMm.value : book.repairFinishMm.value;
      if (float)
        return { ...flat(spot.sizeMm * (float.widthMm + 100), film), wetL: float.coverLPerM * metres };
      return flat(coveredMm2(spot, 2 * reach), film);
    }
  }
}

/** How wet mud is laid at a repair. */
export const wetnessOf = (coat: Coat | undefined): Consistency =>
  coat === 'finish' ? 'C4' : coat === 'skim' ? 'C5' : 'C2';
