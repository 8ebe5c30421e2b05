import 'reflect-metadata';
import { Maybe, Parts } from './field';
import { Id, InRange, LocalTime, Name, Seal, Whole, Words, YesNo, oneOf } from './field-values';
import { LIMITS, MOST } from './limits';
import { BID_KINDS, type BidKind } from './vocabulary';

/** What a supply house answered for one sort of package. */
export class QuoteLine {
  /** A ware and its package. */
  @Name() package!: string;
  @Whole(LIMITS.quote.count) count!: number;
  /** Of one, at that count. */
  @InRange(LIMITS.product.price) price!: number;
  /** So many are there; the rest comes later. */
  @Whole(LIMITS.quote.count) inStock!: number;
  @Whole(LIMITS.quote.days) leadDays!: number;
}

/** What a supply house asks for the order. It is kept with the job, and holds until another is taken. */
export class Quote {
  @Name() house!: string;
  @LocalTime() at!: string;
  /** The house is made up. */
  @YesNo() simulated!: boolean;
  @Parts(() => QuoteLine, MOST.quoteLines) lines!: QuoteLine[];
}

/** Equipment that is charged to the job: hired, or its wear. */
export class Equipment {
  @Id() id!: string;
  @Name() name!: string;
  @InRange(LIMITS.product.price) price!: number;
}

/** A line of what was agreed. */
export class AgreedLine {
  @oneOf(BID_KINDS) kind!: BidKind;
  @InRange(LIMITS.bid.amount) amount!: number;
}

/** A room as it was agreed. */
export class AgreedRoom {
  @Id() room!: string;
  @Name() name!: string;
  /** Its share of the sum, tax with it. */
  @InRange(LIMITS.bid.amount) amount!: number;
}

/** A bid that was agreed: it stands as it was, and what changed later stands beside it. */
export class Agreed {
  @LocalTime() at!: string;
  @InRange(LIMITS.bid.amount) total!: number;
  @Parts(() => AgreedLine, BID_KINDS.length) lines!: AgreedLine[];
  @Parts(() => AgreedRoom, MOST.rooms) rooms!: AgreedRoom[];
  /** SHA-256 of all that, which no longer fits once any of it is changed. */
  @Maybe() @Seal() seal?: string;
}

/** What a bid takes beside the plan and the figures of the book. */
export class Bidding {
  /** How long the price holds from the day it is offered; `USUAL_VALID_DAYS` where it is not given. */
  @Maybe() @InRange(LIMITS.bid.validDays) validDays?: number;
  /** Terms beside those that always stand, one a line. */
  @Maybe() @Words() terms?: string;
  @Maybe() @Parts(() => Equipment, MOST.equipment) equipment?: Equipment[];
}
