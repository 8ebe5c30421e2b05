import 'reflect-metadata';
import { Maybe, SchemaToo, Where } from './field';
import { WordList } from './field-lists';
import { CalendarDate, Id, InRange, Moment, Name, Whole, Words, oneOf } from './field-values';
import { LIMITS } from './limits';
import {
  ELEMENTS,
  LOG_KINDS,
  STEPS,
  TOLD_BY,
  type Element,
  type LogKind,
  type Step,
  type ToldBy,
} from './vocabulary';

const ofTask = ({ kind }: Record<string, unknown>): boolean =>
  kind === 'started' || kind === 'paused' || kind === 'done' || kind === 'ready';
const ofLot = ({ kind }: Record<string, unknown>): boolean =>
  kind === 'received' || kind === 'opened' || kind === 'used' || kind === 'spoiled' || kind === 'allowed';
const ofAmount = ({ kind }: Record<string, unknown>): boolean =>
  kind === 'received' || kind === 'used' || kind === 'spoiled';
const isReceived = ({ kind }: Record<string, unknown>): boolean => kind === 'received';
const isCut = ({ kind }: Record<string, unknown>): boolean => kind === 'cut';
const inRoom = (entry: Record<string, unknown>): boolean => ofTask(entry) || isCut(entry);
const isReady = ({ kind }: Record<string, unknown>): boolean => kind === 'ready';
const isWithdrawn = ({ kind }: Record<string, unknown>): boolean => kind === 'withdrawn';

const needs = (kinds: readonly string[], required: readonly string[]) => ({
  if: { properties: { kind: { enum: kinds } } },
  then: { required },
});

const CONDITIONAL = ['room', 'step', 'toldBy', 'corrects', 'lot', 'amount', 'ware', 'each', 'joint'];

/**
 * One thing that happened on site. An entry is never changed: a later one that names it stands in its place, or takes
 * it back.
 */
@SchemaToo(({ required, ...fields }) => ({
  ...fields,
  required: (required as string[]).filter((key) => !CONDITIONAL.includes(key)),
  allOf: [
    needs(['started', 'paused', 'done', 'ready'], ['room', 'step']),
    needs(['ready'], ['toldBy']),
    needs(['received', 'opened', 'used', 'spoiled', 'allowed'], ['lot']),
    needs(['received', 'used', 'spoiled'], ['amount']),
    needs(['received'], ['ware', 'each']),
    needs(['cut'], ['room', 'joint']),
    needs(['withdrawn'], ['corrects']),
  ],
}))
export class LogEntry {
  /** Sortable by when it was made, and unique over all devices. */
  @Id() id!: string;
  /** By the clock on site, with its distance from the world's. */
  @Moment() at!: string;
  /** What the device's own clock said, where it was known to be wrong. */
  @Maybe() @Moment() clock?: string;
  @Name() by!: string;
  @Id() device!: string;
  @oneOf(LOG_KINDS) kind!: LogKind;
  /** The task: a coat in a room, or some of its rows. */
  @Where(inRoom) @Id() room?: string;
  @Where(ofTask) @oneOf(STEPS) step?: Step;
  @Maybe() @WordList(ELEMENTS, 'rows of the coat board; all where it is not given') rows?: Element[];
  /** How many work on it; one where it is not told. */
  @Maybe() @Whole(LIMITS.calendar.crew) crew?: number;
  /** Work in it so far, of all people, min. */
  @Maybe() @InRange(LIMITS.log.minutes) minutes?: number;
  @Where(isReady) @oneOf(TOLD_BY) toldBy?: ToldBy;
  /** A reading: of a room where one is named, else of the whole site. */
  @Maybe() @Id() where?: string;
  @Maybe() @InRange(LIMITS.log.tempC) tempC?: number;
  @Maybe() @InRange(LIMITS.log.rhPct) rhPct?: number;
  @Maybe() @InRange(LIMITS.log.moisturePct, 'moisture in the coat or the board') moisturePct?: number;
  /** What it was read from. */
  @Maybe() @Name() from?: string;
  /** Goods: so much of a lot, in the unit its ware is counted in (L, mm, pieces), and how much of it is in one package. */
  @Where(ofLot) @Id() lot?: string;
  @Where(isReceived) @Name() ware?: string;
  @Where(ofAmount) @InRange(LIMITS.log.amount) amount?: number;
  @Where(isReceived) @InRange(LIMITS.log.each) each?: number;
  /** On the package of a lot that was received. */
  @Maybe() @CalendarDate() useBy?: string;
  @Maybe() @Name() code?: string;
  /** A piece of bead or trim that was cut: its corner, and the how manieth piece of it. */
  @Where(isCut) @Name() joint?: string;
  @Maybe() @Whole(LIMITS.log.part) part?: number;
  /** The entry in whose place it stands. */
  @Where(isWithdrawn) @Id() corrects?: string;
  @Maybe() @Words() note?: string;
}

/** Entries as they happened, in no order that counts. */
export type Log = readonly LogEntry[];
