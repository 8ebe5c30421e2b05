import type { JobRule, RoomRule } from './types';
import { aBed } from './a-bed';
import { aCold } from './a-cold';
import { aFire } from './a-fire';
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

export const ROOM_RULES: readonly RoomRule[] = [aOld, aLevel, aWidth, aThin, aThick, aTop, aFire];
export const JOB_RULES: readonly JobRule[] = [aMesh, aTool, aBed, aCold];
