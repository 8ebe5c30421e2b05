import type { Supplied } from '../compound';
import { needsOf, toleranceOf } from '../finish';
import type { Damage, Finish, Room } from '../job';

/** A reading of the straightedge against what was agreed. */
export interface EdgeVerdict {
  /** What may stay under a straightedge of this length, mm; none where the grade sets no limit. */
  limitMm: number | undefined;
  /** The gap as it would be under the 1200 mm straightedge that limits are told for, mm. */
  asLevelMm: number;
  within: boolean;
}

/** Limits are told for a straightedge of this length, mm. */
export const LEVEL_MM = 1200;

/**
 * Holds a gap against the grade of its face. Under a bow the gap grows with the square of the straightedge's length, so
 * a reading of another length is turned into one of 1200 mm.
 */
export function edgeVerdict(
  { edgeMm, gapMm }: { edgeMm: number; gapMm: number },
  finish: Finish,
  book: Supplied,
): EdgeVerdict {
  const tolerance = toleranceOf(finish);
  const limitMm = needsOf(finish).tape && tolerance ? book[tolerance].value : undefined;
  const scale = (LEVEL_MM / edgeMm) ** 2;
  const asLevelMm = gapMm * scale;
  return {
    limitMm: limitMm === undefined ? undefined : limitMm / scale,
    asLevelMm,
    within: limitMm === undefined || asLevelMm <= limitMm + 1e-9,
  };
}

/** The finish of a face: its own, or its room's. */
export const finishOn = ({ faces, finish }: Pick<Room, 'faces' | 'finish'>, face: string): Finish =>
  faces?.[face]?.finish ?? finish;

/** A low under a straightedge as damage that is floated out: as wide as the straightedge, as deep as the gap. */
export const lowOf = (
  { face, place, edgeMm, gapMm }: { face: string; place?: [number, number]; edgeMm: number; gapMm: number },
  id: string,
): Damage => ({
  id,
  kind: 'low',
  face,
  ...(place === undefined ? {} : { at: place }),
  sizeMm: edgeMm,
  widthMm: edgeMm,
  depthMm: gapMm,
  apart: true,
});
