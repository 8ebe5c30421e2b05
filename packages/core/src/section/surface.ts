import type { JointEdge } from '../job';

/** The cut across a joint: heights above the true plane, mm, one sample a millimetre unless a step is given. */
export type Surface = Float64Array;

/** A section usually runs from −HALF to +HALF mm about the joint; wider humps and floats make it longer. */
export const HALF = 900;

/** The index of the middle of the joint. */
export const middleOf = (surface: Surface): number => (surface.length - 1) / 2;

/** Height of a section of one sample a millimetre at a place from its middle, mm. */
export const surfaceAt = (surface: Surface, xMm: number): number =>
  surface[Math.round(xMm) + middleOf(surface)] ?? 0;

/** Area under a surface by the trapezoid rule, mm² (a cut of 1 mm² is 1 mL of mud a metre). */
export function areaUnder(surface: Surface, stepMm = 1): number {
  let sum = 0;
  for (const height of surface) sum += height;
  return (sum - ((surface[0] as number) + (surface[surface.length - 1] as number)) / 2) * stepMm;
}

/** What is cut across: a joint of the board, two faces that meet laid flat side by side, or a head. */
export type CutEdge = JointEdge | 'head';

/** The bare joint before any mud. */
export interface BareJoint {
  edge: CutEdge;
  taperDepthMm: number;
  taperWidthMm: number;
  /** Positive proud, negative a belly. */
  humpMm: number;
  /** Half the width the hump spreads over. */
  humpSpanMm: number;
  /** The right-hand board stands this much higher. */
  lippageMm: number;
  /** Butt ends trimmed back on a bevel: a groove this deep at the joint, out to `notchWidthMm` each side. */
  notchMm?: number;
  notchWidthMm?: number;
  /** The nose of a bead above both faces, and half the width over which it stands: an edge, or a round laid flat. */
  noseMm?: number;
  noseHalfMm?: number;
  /** A head set below the face, or a dent: how deep, and how far out. */
  dimpleMm?: number;
  dimpleRadiusMm?: number;
}

/** A recessed butt is drawn back over its backing strip about this far, mm. */
const RECESS_MM = 150;

/**
 * The bare surface of a joint.
 * @param halfMm how far to each side; at least as far as the hump spreads
 */
export function bareSurface(bare: BareJoint, halfMm = HALF, stepMm = 1): Surface {
  const f = new Float64Array(Math.round((2 * halfMm) / stepMm) + 1);
  const middle = middleOf(f);
  const { edge, taperDepthMm: depth, humpMm: hump, humpSpanMm: span } = bare;
  const width = edge === 'recessed' ? RECESS_MM : bare.taperWidthMm;
  const { notchMm = 0, notchWidthMm = 0, noseMm = 0, noseHalfMm = 0 } = bare;
  const { dimpleMm = 0, dimpleRadiusMm = 0 } = bare;
  for (let i = 0; i < f.length; i++) {
    const x = (i - middle) * stepMm;
    const a = Math.abs(x);
    const tapered = edge === 'taper' || edge === 'recessed' || (edge === 'mixed' && x < 0);
    let y = tapered && a < width ? -depth * (1 - a / width) : 0;
    if (hump !== 0 && a < span) y += (hump * (1 + Math.cos((Math.PI * x) / span))) / 2;
    if (x > 0) y += bare.lippageMm;
    if (a < notchWidthMm) y -= notchMm * (1 - a / notchWidthMm);
    if (edge === 'bead' && a <= noseHalfMm) y += noseMm;
    if (edge === 'head' && a < dimpleRadiusMm)
      y -= (dimpleMm * (1 + Math.cos((Math.PI * x) / dimpleRadiusMm))) / 2;
    f[i] = y;
  }
  return f;
}
