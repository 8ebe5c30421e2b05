/** The cut across a joint: heights above the true plane, mm, one sample a millimetre. */
export type Surface = Float64Array;

/** Samples run from −HALF to +HALF mm about the joint. */
export const HALF = 900;
export const SAMPLES = 2 * HALF + 1;

/** Area under a surface by the trapezoid rule, mm² (a cut of 1 mm² is 1 mL of mud a metre). */
export function areaUnder(surface: Surface): number {
  let sum = 0;
  for (const height of surface) sum += height;
  return sum - ((surface[0] as number) + (surface[surface.length - 1] as number)) / 2;
}

/** The bare joint before any mud. */
export interface BareJoint {
  edge: 'taper' | 'butt' | 'mixed' | 'recessed';
  taperDepthMm: number;
  taperWidthMm: number;
  /** Positive proud, negative a belly. */
  humpMm: number;
  /** Half the width the hump spreads over. */
  humpSpanMm: number;
  /** The right-hand board stands this much higher. */
  lippageMm: number;
}

/** A recessed butt is drawn back over its backing strip about this far, mm. */
const RECESS_MM = 150;

export function bareSurface(bare: BareJoint): Surface {
  const f = new Float64Array(SAMPLES);
  const { edge, taperDepthMm: depth, humpMm: hump, humpSpanMm: span } = bare;
  const width = edge === 'recessed' ? RECESS_MM : bare.taperWidthMm;
  for (let i = 0; i < SAMPLES; i++) {
    const x = i - HALF;
    const a = Math.abs(x);
    const tapered = edge === 'taper' || edge === 'recessed' || (edge === 'mixed' && x < 0);
    let y = tapered && a < width ? -depth * (1 - a / width) : 0;
    if (hump !== 0 && a < span) y += (hump * (1 + Math.cos((Math.PI * x) / span))) / 2;
    if (x > 0) y += bare.lippageMm;
    f[i] = y;
  }
  return f;
}
