import 'reflect-metadata';
import { FIGURE_KEYS, TYPICAL } from '../book';
import { Cells, type CellEdits } from './room';
import { Maybe, Part, Parts } from './field';
import { Numbers, WordList } from './field-lists';
import { CalendarDate, Id, InRange, Name, Photo, Whole, Words, YesNo, oneOf } from './field-values';
import { LIMITS, MOST, type Limit } from './limits';
import {
  BEADS,
  BUYINGS,
  CHOICES,
  COATS,
  COMPOUNDS,
  MENDINGS,
  SET_CLASSES,
  SURES,
  TAPES,
  TOOLS,
} from './vocabulary';
import type {
  BeadKind,
  Buying,
  ChoiceKey,
  Coat,
  CompoundId,
  Mending,
  Sure,
  Tape,
  ToolId,
} from './vocabulary';

/** A class chosen by hand for a coat. */
class CompoundFor {}
for (const coat of COATS) {
  oneOf(COMPOUNDS)(CompoundFor.prototype, coat);
  Maybe()(CompoundFor.prototype, coat);
}

export type Choices = { [K in ChoiceKey]: (typeof CHOICES)[K][number] };

export class Way implements Choices {
  @oneOf(CHOICES.tools) tools!: Choices['tools'];
  @oneOf(CHOICES.compounds) compounds!: Choices['compounds'];
  @oneOf(CHOICES.tape) tape!: Choices['tape'];
  @oneOf(CHOICES.prefill) prefill!: Choices['prefill'];
  @oneOf(CHOICES.prefillWhen) prefillWhen!: Choices['prefillWhen'];
  @oneOf(CHOICES.overTape) overTape!: Choices['overTape'];
  @oneOf(CHOICES.tapeOrder) tapeOrder!: Choices['tapeOrder'];
  @oneOf(CHOICES.coatOrder) coatOrder!: Choices['coatOrder'];
  @oneOf(CHOICES.angles) angles!: Choices['angles'];
  @oneOf(CHOICES.between) between!: Choices['between'];
  @oneOf(CHOICES.heads) heads!: Choices['heads'];
  /** Gaps wider than this are prefilled when `prefillWhen` is over-threshold. */
  @InRange(LIMITS.way.prefillOverMm) prefillOverMm!: number;
  @InRange(LIMITS.way.setMin, 'set time on the bag') setMin!: number;
  /** The plan chooses the set time of each coat in each room; `setMin` is what it keeps to where it serves. */
  @Maybe() @YesNo() setChosen?: boolean;
  /** A class chosen by hand for a coat, in place of the school's. */
  @Maybe() @Part(() => CompoundFor) compoundFor?: Partial<Record<Coat, CompoundId>>;
  /** One drying compound for every coat that dries; as the size of the job asks where it is not given. */
  @Maybe() @YesNo() oneCompound?: boolean;
  /** Bead on square outside corners; nail-on where it is not given. */
  @Maybe() @oneOf(BEADS) bead?: BeadKind;
  /** As much as can be used up where it is not given, L. */
  @Maybe() @InRange(LIMITS.way.batchL, 'what is mixed at once') batchL?: number;
  /** How spots are mended by themselves; as takes the fewest visits where it is not given. */
  @Maybe() @oneOf(MENDINGS) mending?: Mending;
  /** The coat board as changed for every room. */
  @Maybe() @Cells() cells?: CellEdits;
}

/** A product of the user's own, of one of the classes. */
export class Product {
  @Id() id!: string;
  @Name() name!: string;
  @oneOf(COMPOUNDS) compound!: CompoundId;
  /** What one package is, makes and weighs. */
  @oneOf(['pail', 'box', 'tub', 'bag']) kind!: 'pail' | 'box' | 'tub' | 'bag';
  @InRange(LIMITS.product.yieldsL) yieldsL!: number;
  @InRange(LIMITS.product.massKg) massKg!: number;
  @Maybe() @InRange(LIMITS.product.waterL) waterL?: number;
  @Maybe() @InRange(LIMITS.product.shrink) shrink?: number;
  @Maybe() @InRange(LIMITS.product.setMin) setMin?: number;
  @Maybe() @InRange(LIMITS.product.price) price?: number;
  @Maybe() @InRange(LIMITS.product.onHandL) onHandL?: number;
  /** On the package. */
  @Maybe() @CalendarDate() useBy?: string;
  @Maybe() @CalendarDate() opened?: string;
  /** Plans reckon with it in place of its class; one product of a class at a time. */
  @YesNo() inUse!: boolean;
}

/** A strip of tape pulled off a cured sample. */
export class PeelTest {
  @Id() id!: string;
  @oneOf(COMPOUNDS) compound!: CompoundId;
  @Maybe() @Id() product?: string;
  @oneOf(TAPES) tape!: Tape;
  /** Days between bedding and pulling. */
  @InRange(LIMITS.peel.days) days!: number;
  @InRange(LIMITS.peel.tornCm2, 'where the paper itself tore') tornCm2!: number;
  @InRange(LIMITS.peel.cleanCm2, 'where the strip let go clean') cleanCm2!: number;
  @Maybe() @CalendarDate() date?: string;
  @Maybe() @Words() note?: string;
  /** A small JPEG as a data address. */
  @Maybe() @Photo() photo?: string;
}

/** Sticks of bead or trim on hand, of one length. */
export class StickOnHand {
  @oneOf(BEADS) kind!: BeadKind;
  @InRange(LIMITS.stick.lengthMm) lengthMm!: number;
  @Whole(LIMITS.stick.count) count!: number;
}

/** What one package costs the user, in place of what is typical. */
export class Price {
  /** A ware and its package. */
  @Name() package!: string;
  @InRange(LIMITS.product.price) price!: number;
}

/** A way of working kept under a name. */
export class OwnWay {
  @Id() id!: string;
  @Name() name!: string;
  @Part(() => Way) way!: Way;
}

/** Figures of the book, and what machine tools hold, in the user's own values. */
class Figures {}
const own = (key: string, limit: Limit): void => {
  InRange(limit)(Figures.prototype, key);
  Maybe()(Figures.prototype, key);
};
for (const key of FIGURE_KEYS) own(key, TYPICAL[key]);

/** What this finisher has: products, tools, evidence and figures. It travels with the job. */
export class Shop {
  /** What is usual for the tools of the way where it is not given. */
  @Maybe() @WordList(TOOLS, 'tools owned') kit?: ToolId[];
  /** Set times that can be had; all that are sold but the quickest where they are not given. */
  @Maybe()
  @Numbers(LIMITS.way.setMin, { least: 1, most: SET_CLASSES.length, whole: true, once: true })
  setsAtHand?: number[];
  @Maybe() @Parts(() => Product, MOST.products) products?: Product[];
  /** Bead and trim on hand; offcuts too. */
  @Maybe() @Parts(() => StickOnHand, MOST.sticks) sticks?: StickOnHand[];
  @Maybe() @Parts(() => PeelTest, MOST.peels) peels?: PeelTest[];
  @Maybe() @Parts(() => OwnWay, MOST.ways) ways?: OwnWay[];
  /** Figures of the book in the user's own values. */
  @Maybe() @Part(() => Figures) figures?: Record<string, number>;
  /** Packages heavier than this are not bought where a lighter one is sold, kg. */
  @Maybe() @InRange(LIMITS.shop.liftKg) liftKg?: number;
  /** What packages are chosen by; little bought without many of them where it is not given. */
  @Maybe() @oneOf(BUYINGS) buying?: Buying;
  /** How sure one wants to be that what is bought is enough; as the way to the supply house asks where it is not given. */
  @Maybe() @oneOf(SURES) sure?: Sure;
  @Maybe() @Parts(() => Price, MOST.prices) prices?: Price[];
  /** What money is counted in. */
  @Maybe() @Name() money?: string;
}
