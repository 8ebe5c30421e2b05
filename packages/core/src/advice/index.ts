import type { JobRule, RoomRule } from './types';
import { aBare } from './a-bare';
import { aBed } from './a-bed';
import { aCoats } from './a-coats';
import { aCold } from './a-cold';
import { aCross } from './a-cross';
import { aDamp } from './a-damp';
import { aDate } from './a-date';
import { aEdge } from './a-edge';
import { aFire } from './a-fire';
import { aFlash } from './a-flash';
import { aGone } from './a-gone';
import { aHigh } from './a-high';
import { aHollow } from './a-hollow';
import { aHumid } from './a-humid';
import { aJamb } from './a-jamb';
import { aKit } from './a-kit';
import { aLate } from './a-late';
import { aLevel } from './a-level';
import { aLift } from './a-lift';
import { aMesh } from './a-mesh';
import { aOld } from './a-old';
import { aPainted } from './a-painted';
import { aPot } from './a-pot';
import { aPrefill } from './a-prefill';
import { aPrime } from './a-prime';
import { aRecoat } from './a-recoat';
import { aSlow } from './a-slow';
import { aStock } from './a-stock';
import { aThick } from './a-thick';
import { aThin } from './a-thin';
import { aTool } from './a-tool';
import { aTop } from './a-top';
import { aWidth } from './a-width';

export * from './types';
export * from './cautions';
export * from './change';
export * from './cure';
export * from './cell-cure';
export * from './fitting';
export * from './gone';
export * from './merge';

/** Rules about one area of a room, in the order they are read. */
export const ROOM_RULES: readonly RoomRule[] = [
  aOld,
  aLevel,
  aBare,
  aFlash,
  aPrime,
  aWidth,
  aHollow,
  aThin,
  aThick,
  aTop,
  aBed,
  aMesh,
  aTool,
  aCoats,
  aPrefill,
  aPainted,
  aRecoat,
  aKit,
  aJamb,
  aEdge,
  aFire,
  aDamp,
];

/** Rules about the job as it is planned. */
export const JOB_RULES: readonly JobRule[] = [
  aCold,
  aHumid,
  aSlow,
  aLate,
  aPot,
  aCross,
  aDate,
  aGone,
  aStock,
  aLift,
  aHigh,
];
