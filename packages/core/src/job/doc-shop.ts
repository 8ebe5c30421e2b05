import 'reflect-metadata';
import { FIGURE_KEYS, TYPICAL } from '../book';
import { Cells } from './doc-room';
import {
  CalendarDate,
  Id,
  InRange,
  Maybe,
  Name,
  oneOf,
  Part,
  Parts,
  Photo,
  WordList,
  Words,
  YesNo,
} from './field';
import { LIMITS, MOST, type Limit } from './limits';
import { BEADS, CHOICES, COATS, COMPOUNDS, TAPES, TOOLS, type ChoiceKey } from './vocabulary';

/** A class chosen by hand for a coat. */
class CompoundForDoc {}
for (const coat of COATS) {
  oneOf(COMPOUNDS)(CompoundForDoc.prototype, coat);
  Maybe()(CompoundForDoc.prototype, coat);
}

export class WayDoc implements Record<ChoiceKey, string> {
  @oneOf(CHOICES.tools) tools!: string;
  @oneOf(CHOICES.compounds) compounds!: string;
  @oneOf(CHOICES.tape) tape!: string;
  @oneOf(CHOICES.prefill) prefill!: string;
  @oneOf(CHOICES.prefillWhen) prefillWhen!: string;
  @oneOf(CHOICES.overTape) overTape!: string;
  @oneOf(CHOICES.tapeOrder) tapeOrder!: string;
  @oneOf(CHOICES.coatOrder) coatOrder!: string;
  @oneOf(CHOICES.angles) angles!: string;
  @oneOf(CHOICES.between) between!: string;
  @oneOf(CHOICES.heads) heads!: string;
  @InRange(LIMITS.way.prefillOverMm) prefillOverMm!: number;
  @InRange(LIMITS.way.setMin, 'set time on the bag') setMin!: number;
  @Maybe() @Part(() => CompoundForDoc) compoundFor?: unknown;
  @Maybe() @oneOf(BEADS) bead?: string;
  @Maybe() @InRange(LIMITS.way.batchL, 'what is mixed at once') batchL?: number;
  @Maybe() @Cells() cells?: unknown;
}

class ProductDoc {
  @Id() id!: string;
  @Name() name!: string;
  @oneOf(COMPOUNDS) compound!: string;
  @oneOf(['pail', 'box', 'tub', 'bag']) kind!: string;
  @InRange(LIMITS.product.yieldsL) yieldsL!: number;
  @InRange(LIMITS.product.massKg) massKg!: number;
  @Maybe() @InRange(LIMITS.product.waterL) waterL?: number;
  @Maybe() @InRange(LIMITS.product.shrink) shrink?: number;
  @Maybe() @InRange(LIMITS.product.setMin) setMin?: number;
  @Maybe() @InRange(LIMITS.product.price) price?: number;
  @Maybe() @InRange(LIMITS.product.onHandL) onHandL?: number;
  @Maybe() @CalendarDate() useBy?: string;
  @Maybe() @CalendarDate() opened?: string;
  @YesNo() inUse!: boolean;
}

class PeelTestDoc {
  @Id() id!: string;
  @oneOf(COMPOUNDS) compound!: string;
  @Maybe() @Id() product?: string;
  @oneOf(TAPES) tape!: string;
  @InRange(LIMITS.peel.days) days!: number;
  @InRange(LIMITS.peel.tornCm2, 'where the paper itself tore') tornCm2!: number;
  @InRange(LIMITS.peel.cleanCm2, 'where the strip let go clean') cleanCm2!: number;
  @Maybe() @CalendarDate() date?: string;
  @Maybe() @Words() note?: string;
  @Maybe() @Photo() photo?: string;
}

class OwnWayDoc {
  @Id() id!: string;
  @Name() name!: string;
  @Part(() => WayDoc) way!: WayDoc;
}

/** Figures of the book, and what machine tools hold, in the user's own values. */
class FiguresDoc {}
const own = (key: string, limit: Limit, label: string): void => {
  InRange(limit, label)(FiguresDoc.prototype, key);
  Maybe()(FiguresDoc.prototype, key);
};
for (const key of FIGURE_KEYS) own(key, TYPICAL[key], TYPICAL[key].label);
for (const tool of TOOLS) own(`fill-${tool}`, LIMITS.tool.fillL, 'what the tool holds');

export class ShopDoc {
  @Maybe() @WordList(TOOLS, 'tools owned') kit?: string[];
  @Maybe() @Parts(() => ProductDoc, MOST.products) products?: ProductDoc[];
  @Maybe() @Parts(() => PeelTestDoc, MOST.peels) peels?: PeelTestDoc[];
  @Maybe() @Parts(() => OwnWayDoc, MOST.ways) ways?: OwnWayDoc[];
  @Maybe() @Part(() => FiguresDoc) figures?: unknown;
  @Maybe() @InRange(LIMITS.shop.liftKg) liftKg?: number;
  @Maybe() @Name() money?: string;
}
