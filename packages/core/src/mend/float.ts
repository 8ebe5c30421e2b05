import type { Supplied } from '../compound';
import type { CompoundId } from '../job';
import { deepestUnder, layersWithin, STRAIGHTEDGES, type BareJoint, type SectionCoat } from '../section';
import type { SectionMemo } from '../takeoff';

/** What is floated out: a hollow of the face, or one side of a line standing higher. */
export interface ToFloat {
  kind: 'low' | 'step';
  depthMm: number;
  /** Across a hollow, mm. */
  acrossMm: number;
}

/** What a float has to keep: under a straightedge, and in the light. */
export interface FloatLimits {
  /** None where the grade sets none. */
  hollowMm: number | undefined;
  /** Contrast from which its paint shows it, and the light, degrees from the face. */
  contrast: number;
  grazingDeg: number;
}

/** A float as the cut across it turns out. */
export interface Floated {
  widthMm: number;
  layers: number;
  /** Of the float and of the coat over it, L a metre. */
  floatLPerM: number;
  coverLPerM: number;
  /** Its thickest layer, mm wet. */
  layerMm: number;
  /** What stays under a straightedge of 1200 mm, mm, and how strongly it shows. */
  hollowMm: number;
  contrast: number;
  /** No width in reach keeps the straightedge, or the light, happy: the widest is told. */
  short: boolean;
}

/** Widths tried, mm: as long as straightedges come. */
const WIDTHS: readonly number[] = [300, 450, 600, 800, 1000, 1200, 1600, 2000, 2400];
/** The coat over it reaches past it by this much a side, mm, and is drawn so stiff. */
const PAST_MM = 50;
const COVER_MM = 0.15;
/** A straightedge rides on the higher side by this much, mm. */
const RIDE_MM = 6;

/**
 * The narrowest float that leaves no more under a straightedge than the grade allows and hides in its light: screeded
 * from side to side with a straightedge, in as many layers as its compound asks for, and covered.
 */
export function floatFor(
  what: ToFloat,
  { hollowMm, contrast, grazingDeg }: FloatLimits,
  [below, over]: readonly [CompoundId, CompoundId],
  book: Supplied,
  memo: SectionMemo,
): Floated {
  const low = what.kind === 'low';
  const bare: BareJoint = {
    edge: 'butt',
    taperDepthMm: 0,
    taperWidthMm: 0,
    humpMm: low ? -what.depthMm : 0,
    humpSpanMm: Math.max(50, low ? what.acrossMm / 2 : 50),
    lippageMm: low ? 0 : what.depthMm,
  };
  const made = (widthMm: number): Floated => {
    const screeds = low
      ? [{ offsetMm: 0, widthMm, camberMm: 0 }]
      : [-1, 1].map((side) => ({
          offsetMm: (side * widthMm) / 4 + RIDE_MM,
          widthMm: widthMm / 2,
          camberMm: 0,
        }));
    const once: SectionCoat[] = [
      { pulls: screeds, shrink: book.compounds[below].shrink },
      {
        pulls: [{ offsetMm: 0, widthMm: widthMm + 2 * PAST_MM, camberMm: COVER_MM }],
        shrink: book.compounds[over].shrink,
      },
    ];
    const layers = layersWithin(bare, once, 0, book.compounds[below].maxMm, undefined, (on, laid) =>
      memo.sections(on, laid),
    );
    const coats = layers > 1 ? [{ ...(once[0] as SectionCoat), layers }, once[1] as SectionCoat] : once;
    const [float, cover] = memo.sections(bare, coats) as [Result, Result];
    return {
      widthMm,
      layers,
      floatLPerM: float.wetLPerM,
      coverLPerM: cover.wetLPerM,
      layerMm: float.layerMm,
      hollowMm: deepestUnder(cover.surface, STRAIGHTEDGES.level).depthMm,
      contrast: memo.contrast(bare, coats, grazingDeg),
      short: false,
    };
  };
  const keeps = (one: Floated): boolean =>
    (hollowMm === undefined || one.hollowMm <= hollowMm) && one.contrast <= contrast;
  // It has to reach both sides of a hollow, and to run out of a step gently.
  const least = low ? what.acrossMm : what.depthMm * book.floatPerMm.value;
  const reaches = WIDTHS.filter((mm) => mm >= least);
  for (const widthMm of reaches) {
    const one = made(widthMm);
    if (keeps(one)) return one;
  }
  return { ...made(WIDTHS.at(-1) as number), short: true };
}

type Result = ReturnType<SectionMemo['sections']>[number];
