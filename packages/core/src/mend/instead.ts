import type { Supplied } from '../compound';
import type { Mend } from './mend';

/** One face: mended spot by spot, or skimmed as a whole. */
export interface FaceInstead {
  face: string;
  areaM2: number;
  spots: number;
  /** Work of one person, min, and what it and its mud come to. */
  mendMin: number;
  skimMin: number;
  mendCost: number;
  skimCost: number;
  skimIsLess: boolean;
}

/** A skim of a standing face: two coats, crossed, and the film of both. */
const COATS = 2;

/**
 * Faces with spots to mend, each against skimming it all: two coats and their sanding. Holes, loose tape and beads are
 * mended before a skim all the same, so only what a skim covers by itself counts for it.
 */
export function insteadOf(
  mends: readonly Mend[],
  areas: ReadonlyMap<string, number>,
  book: Supplied,
): FaceInstead[] {
  const { value: hour } = book.priceHour;
  const perL = Math.min(
    ...book.compounds['drying-light'].packages.map(({ price, yieldsL }) => price / yieldsL),
  );
  const work = ({ layers, sandMin }: Mend): number =>
    layers.reduce((sum, { minutes }) => sum + minutes, sandMin);
  const faces = new Map<string, Mend[]>();
  for (const mend of mends)
    if (mend.face !== undefined) faces.set(mend.face, [...(faces.get(mend.face) ?? []), mend]);
  return [...faces].flatMap(([face, own]): FaceInstead[] => {
    const areaM2 = areas.get(face) ?? 0;
    if (areaM2 <= 0) return [];
    const under = own.filter(({ steps }) => steps.some((step) => NOT_COVERED.has(step)));
    const mendMin = own.reduce((sum, mend) => sum + work(mend), 0);
    const skimMin =
      under.reduce((sum, mend) => sum + work(mend), 0) +
      ((COATS * areaM2) / book.paceSkim.value + areaM2 / book.paceSandSkim.value) * 60;
    const litres = (all: readonly Mend[]): number =>
      all.flatMap(({ layers }) => layers).reduce((sum, { wetL }) => sum + wetL, 0);
    const mendCost = (mendMin / 60) * hour + litres(own) * perL;
    const skimCost = (skimMin / 60) * hour + (litres(under) + COATS * areaM2 * book.skimMm.value) * perL;
    return [
      {
        face,
        areaM2,
        spots: own.reduce((sum, { count }) => sum + count, 0),
        mendMin,
        skimMin,
        mendCost,
        skimCost,
        skimIsLess: skimCost < mendCost,
      },
    ];
  });
}

const NOT_COVERED = new Set<string>([
  'pack',
  'bed',
  'flange',
  'bed-bead',
  'screed',
  'screw-beside',
  'seal-stain',
]);
