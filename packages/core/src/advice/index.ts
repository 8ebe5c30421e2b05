import type { JobRule, RoomRule } from './types';
import { aBed } from './a-bed';
import { aCold } from './a-cold';
import { aDamp } from './a-damp';
import { aFire } from './a-fire';
import { aJamb } from './a-jamb';
import { aLevel } from './a-level';
import { aMesh } from './a-mesh';
import { aOld } from './a-old';
import { aThick } from './a-thick';
import { aThin } from './a-thin';
import { aTool } from './a-tool';
import { aTop } from './a-top';
import { aWidth } from './a-width';

export * from './types';
export * from './cautions';
export * from './cure';

export const ROOM_RULES: readonly RoomRule[] = [
  aOld,
  aLevel,
  aWidth,
  aThin,
  aThick,
  aTop,
  aJamb,
  aFire,
  aDamp,
];
export const JOB_RULES: readonly JobRule[] = [aMesh, aTool, aBed, aCold];
