import { cellChange, hidingEdits, type Change } from '../advice';
import type { Supplied } from '../compound';
import { DECORATION_FACTS, needsOf } from '../finish';
import { isCut, type Job, type Room } from '../job';
import { showsAbove, type FaceLight } from '../light';
import {
  contrastWith,
  floatThatHides,
  narrowestThatHides,
  rowOfJoint,
  skimOver,
  type Hiding,
  type HidingInput,
  type SectionMemo,
} from '../takeoff';
import type { Rect } from '../survey';
import { kitOf } from '../way';
import type { WallRoom } from './wall';

/** Light runs no flatter than this along a wall, degrees. */
const LEAST_DEG = 0.3;

/**
 * The angle at which a light meets a joint: only how far it stands to the side of the joint's line counts, for along
 * the line nothing rises.
 * @param beyondMm at a place so far behind the line, seen from the light: a wide band is lit flatter there
 * @returns degrees from the wall plane
 */
export function angleAcross([u0, v0, u1, v1]: Rect, { u, v, offMm }: FaceLight, beyondMm = 0): number {
  const length = Math.hypot(u1 - u0, v1 - v0);
  const aside = length === 0 ? 0 : Math.abs((u - u0) * (v1 - v0) - (v - v0) * (u1 - u0)) / length;
  const deg = (Math.atan2(offMm, aside + beyondMm) * 180) / Math.PI;
  return Math.max(LEAST_DEG, Math.round(deg * 10) / 10);
}

export interface ToHide {
  joint: string;
  /** Where it runs on the face that is lit, mm. */
  line: Rect;
  /** How strongly it was seen on the wall; as its section shows where not given. */
  contrast?: number;
}

/** What shows less than this share of what is seen at a joint is its neighbours' doing. */
const OWN_SHARE = 0.6;

/** What becomes of one joint that showed. */
export interface Hidden {
  joint: string;
  how: 'wider' | 'float' | 'none';
  hiding: Hiding;
  /** How strongly it shows as planned and as changed. */
  before: number;
  after: number;
  changes: Change[];
}

/**
 * Hides joints of a room in a given light: each is finished as wide as it must be with the tools at hand, or floated
 * where no finish hides it; joints that hide already stay as narrow as they are.
 * @param under contrast to stay under; as their paint hides where not given
 */
export function hideShown(
  planned: WallRoom,
  room: Room,
  job: Pick<Job, 'way' | 'shop'>,
  book: Supplied,
  memo: SectionMemo,
  light: FaceLight,
  shown: readonly ToHide[],
  under?: number,
): Hidden[] {
  const kit = kitOf(job.shop, job.way.tools);
  return shown.flatMap(({ joint: id, line, contrast }): Hidden[] => {
    const joint = planned.joints.find((j) => j.id === id);
    const area = joint && planned.areas.find((a) => rowOfJoint(a.rows, joint));
    const row = area && rowOfJoint(area.rows, joint);
    if (!row || !isCut(row.element)) return [];
    const look = { ...room, finish: area.finish };
    const { sheen } = DECORATION_FACTS[area.decoration];
    const limit = under ?? (sheen && showsAbove(sheen, book));
    if (limit === undefined) return [];
    const input: HidingInput = {
      joint,
      row,
      board: { needs: needsOf(area.finish), way: job.way, kit, room: room.cells },
      own: room.joints?.[id]?.cells ?? {},
      // A wider band reaches into flatter light.
      grazingDeg: (bandMm) => angleAcross(line, light, bandMm / 2),
      limit,
      way: job.way,
      skim: skimOver(area.rows, look, book),
    };
    const cut = contrastWith(input, {}, book, memo);
    const before = Math.max(cut, Math.abs(contrast ?? 0));
    if (before <= limit) return [];
    // Beside others a joint shows more than by itself: it must then hide more.
    const share = before === 0 ? 1 : cut / before;
    input.limit = limit * share;
    const wider = share < OWN_SHARE ? undefined : narrowestThatHides(input, kit, book, memo);
    const hiding = wider ?? (share < OWN_SHARE ? undefined : floatThatHides(input, kit, book, memo));
    const told = { joint: id, before };
    if (!hiding) return [{ ...told, how: 'none', hiding: {}, after: before, changes: [] }];
    const only = { ...row, joints: [id] };
    return [
      {
        ...told,
        how: wider ? 'wider' : 'float',
        hiding,
        after: contrastWith(input, hiding, book, memo),
        changes: hidingEdits(hiding).flatMap(({ coat, key, value }) =>
          cellChange(room, only, coat, key, value, 'joint'),
        ),
      },
    ];
  });
}
