import 'reflect-metadata';
import { Maybe, Part, Parts } from './field';
import { Id, InRange, LocalTime, Name, Whole, Words, oneOf } from './field-values';
import { LIMITS, MOST } from './limits';
import { AnyFinish, type Finish } from './room';
import { DECORATIONS, FAULTS, type Decoration, type Fault } from './vocabulary';

const FACES = { least: 0, most: MOST.faces };

/** A room of a round that was signed: what was agreed for it, and how many of its faces were looked at. */
export class FrozenRoom {
  @Id() room!: string;
  @Name() name!: string;
  @Part(() => AnyFinish) finish!: Finish;
  @oneOf(DECORATIONS) decoration!: Decoration;
  /** The flattest light of the room the finish is made for, degrees from the wall. */
  @InRange(LIMITS.light.grazingDeg) grazingDeg!: number;
  @Whole(FACES) looked!: number;
  @Whole(FACES) faces!: number;
}

/** Something found, as it stood when the round was signed. */
export class FrozenFinding {
  @Id() finding!: string;
  @Name() ring!: string;
  @Name() room!: string;
  @oneOf(FAULTS) fault!: Fault;
  @oneOf(['open', 'cured', 'closed']) state!: 'open' | 'cured' | 'closed';
  @Maybe() @Words() note?: string;
}

/** A reading of the straightedge beside what was agreed. */
export class FrozenEdge {
  @Name() room!: string;
  @InRange(LIMITS.log.edgeMm) edgeMm!: number;
  @InRange(LIMITS.log.gapMm) gapMm!: number;
  /** None where the grade sets no limit. */
  @Maybe() @InRange(LIMITS.log.gapMm) limitMm?: number;
}

/** A round of looking as it stood when it was signed. It is never reckoned again. */
export class Frozen {
  @LocalTime() at!: string;
  @Name() job!: string;
  /** The lamp it was looked at with, in words. */
  @Words() light!: string;
  @Maybe() @Name() owner?: string;
  @Maybe() @Name() finisher?: string;
  @Parts(() => FrozenRoom, MOST.rooms) rooms!: FrozenRoom[];
  @Parts(() => FrozenFinding, MOST.log) findings!: FrozenFinding[];
  @Parts(() => FrozenEdge, MOST.log) edges!: FrozenEdge[];
}
