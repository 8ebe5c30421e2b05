import 'reflect-metadata';
import { Maybe, Part, SchemaToo, Where } from './field';
import { Names, NumberLists, WordList } from './field-lists';
import { CalendarDate, Id, InRange, Moment, Name, PointAt, Seal, Whole, Words, oneOf } from './field-values';
import { Frozen } from './frozen';
import { LIMITS, MOST } from './limits';
import {
  CHECKS,
  COMPOUNDS,
  CONSISTENCIES,
  ELEMENTS,
  FAULTS,
  LOG_KINDS,
  ROUND_STAGES,
  STEPS,
  TOLD_BY,
  type Check,
  type CompoundId,
  type Consistency,
  type Element,
  type Fault,
  type LogKind,
  type RoundStage,
  type Step,
  type ReportedBy,
} from './vocabulary';

type Raw = Record<string, unknown>;
const isOne =
  (...kinds: readonly LogKind[]) =>
  ({ kind }: Raw): boolean =>
    kinds.includes(kind as LogKind);

/** A field counts where its kind needs it, and wherever it is given. */
const needed =
  (key: string, holds: (entry: Raw) => boolean) =>
  (entry: Raw): boolean =>
    entry[key] !== undefined || holds(entry);

const OF_TASK = ['started', 'paused', 'done', 'ready', 'mixed', 'ran', 'checked'] as const;
const OF_LOT = ['received', 'opened', 'used', 'allowed'] as const;
const OF_BATCH = ['hard', 'cleaned'] as const;
const OF_FINDING = ['cured', 'closed', 'reopened'] as const;
const ON_FACE = ['looked', 'straightedge'] as const;
const WITH_AMOUNT = ['received', 'used', 'spoiled', 'mixed'] as const;
/** What is spoiled is a lot, or a batch that was mixed. */
const ofLot = (entry: Raw): boolean =>
  isOne(...OF_LOT)(entry) || (entry['batch'] === undefined && isOne('spoiled')(entry));

const needs = (kinds: readonly LogKind[], required: readonly string[]) => ({
  if: { properties: { kind: { enum: kinds } } },
  then: { required },
});

const CONDITIONAL = [
  'room',
  'step',
  'toldBy',
  'corrects',
  'lot',
  'amount',
  'ware',
  'each',
  'joint',
  'batch',
  'compound',
  'joints',
  'check',
  'fault',
  'finding',
  'round',
  'photo',
  'face',
  'edgeMm',
  'gapMm',
  'entry',
  'clock',
];

/**
 * One thing that happened on site. An entry is never changed: a later one that names it stands in its place, or takes
 * it back.
 */
@SchemaToo(({ required, ...fields }) => ({
  ...fields,
  required: (required as string[]).filter((key) => !CONDITIONAL.includes(key)),
  allOf: [
    needs(OF_TASK, ['room', 'step']),
    needs(['ready'], ['toldBy']),
    needs(OF_LOT, ['lot']),
    needs(OF_BATCH, ['batch']),
    needs(WITH_AMOUNT, ['amount']),
    needs(['received'], ['ware', 'each']),
    needs(['cut'], ['room', 'joint']),
    needs(['mixed'], ['compound']),
    needs(['ran'], ['joints']),
    needs(['checked'], ['check']),
    needs(['finding'], ['fault']),
    needs(OF_FINDING, ['finding']),
    needs(['signed', 'looked'], ['round']),
    needs(ON_FACE, ['room', 'face']),
    needs(['straightedge'], ['edgeMm', 'gapMm']),
    needs(['photo'], ['photo']),
    needs(['timed'], ['entry', 'clock']),
    needs(['withdrawn'], ['corrects']),
    {
      if: { properties: { kind: { const: 'spoiled' } } },
      then: { anyOf: [{ required: ['lot'] }, { required: ['batch'] }] },
    },
  ],
}))
export class LogEntry {
  /** Sortable by when it was made, and unique over all devices. */
  @Id() id!: string;
  /** By the clock on site, with its distance from the world's. */
  @Moment() at!: string;
  /** What the device's own clock said, where it was known to be wrong. */
  @Where(needed('clock', isOne('timed'))) @Moment() clock?: string;
  @Name() by!: string;
  @Id() device!: string;
  @oneOf(LOG_KINDS) kind!: LogKind;
  /** The task: a coat in a room, or some of its rows. */
  @Where(needed('room', isOne(...OF_TASK, ...ON_FACE, 'cut'))) @Id() room?: string;
  @Where(needed('step', isOne(...OF_TASK))) @oneOf(STEPS) step?: Step;
  @Maybe() @WordList(ELEMENTS, 'rows of the coat board; all where it is not given') rows?: Element[];
  /** The spots of a room that are mended by themselves and that it is of; all where they are not given. */
  @Maybe() @Names(MOST.damage) spots?: string[];
  /** How many work on it; one where it is not told. */
  @Maybe() @Whole(LIMITS.calendar.crew) crew?: number;
  /** Work in it so far, of all people, min. */
  @Maybe() @InRange(LIMITS.log.minutes) minutes?: number;
  @Where(needed('toldBy', isOne('ready'))) @oneOf(TOLD_BY) toldBy?: ReportedBy;
  /** A reading: of a room where one is named, else of the whole site. */
  @Maybe() @Id() where?: string;
  @Maybe() @InRange(LIMITS.log.tempC) tempC?: number;
  @Maybe() @InRange(LIMITS.log.rhPct) rhPct?: number;
  @Maybe() @InRange(LIMITS.log.moisturePct, 'moisture in the coat or the board') moisturePct?: number;
  /** What it was read from. */
  @Maybe() @Name() from?: string;
  /** Goods: so much of a lot, in the unit its ware is counted in (L, mm, pieces), and how much of it is in one package. */
  @Where(needed('lot', ofLot)) @Id() lot?: string;
  @Where(needed('ware', isOne('received'))) @Name() ware?: string;
  @Where(needed('amount', isOne(...WITH_AMOUNT))) @InRange(LIMITS.log.amount) amount?: number;
  @Where(needed('each', isOne('received'))) @InRange(LIMITS.log.each) each?: number;
  /** On the package of a lot that was received. */
  @Maybe() @CalendarDate() useBy?: string;
  @Maybe() @Name() code?: string;
  /** A piece of bead or trim that was cut: its corner, and the how manieth piece of it. */
  @Where(needed('joint', isOne('cut'))) @Name() joint?: string;
  @Maybe() @Whole(LIMITS.log.part) part?: number;
  /** Mud that was mixed: its class, how wet, its set time, and what that was reckoned to come to, min from mixing. */
  @Where(needed('compound', isOne('mixed'))) @oneOf(COMPOUNDS) compound?: CompoundId;
  @Maybe() @oneOf(CONSISTENCIES) mix?: Consistency;
  @Maybe() @InRange(LIMITS.log.setMin) setMin?: number;
  @Maybe() @InRange(LIMITS.log.potMin) workMin?: number;
  @Maybe() @InRange(LIMITS.log.potMin) cleanMin?: number;
  @Maybe() @InRange(LIMITS.log.potMin) hardMin?: number;
  /** How much longer it was reckoned to take than is typical, by what was measured before. */
  @Maybe() @InRange(LIMITS.log.sets) sets?: number;
  /** The entry that told of mixing it. */
  @Where(needed('batch', isOne(...OF_BATCH))) @Id() batch?: string;
  /** Joints that the coat was run over. */
  @Where(needed('joints', isOne('ran'))) @Names(MOST.joints) joints?: string[];
  @Where(needed('check', isOne('checked'))) @oneOf(CHECKS) check?: Check;
  /** What was found, and on which face where. */
  @Where(needed('fault', isOne('finding'))) @oneOf(FAULTS) fault?: Fault;
  @Where(needed('face', isOne(...ON_FACE))) @Name() face?: string;
  @Maybe() @PointAt(LIMITS.damage.at) place?: [number, number];
  @Maybe() @InRange(LIMITS.damage.sizeMm) sizeMm?: number;
  @Maybe() @InRange(LIMITS.damage.depthMm) depthMm?: number;
  /** The number in the ring that was drawn round it on the wall. */
  @Maybe() @Whole(LIMITS.log.ring) ring?: number;
  /** The entry that told of a finding. */
  @Where(needed('finding', isOne(...OF_FINDING))) @Id() finding?: string;
  /** The entry that opened a round of looking: signed, gone on with, found or closed in it. */
  @Where(needed('round', isOne('signed', 'looked'))) @Id() round?: string;
  @Maybe() @oneOf(ROUND_STAGES) stage?: RoundStage;
  /** A straightedge, how long it is and the widest gap under it. */
  @Where(needed('edgeMm', isOne('straightedge'))) @InRange(LIMITS.log.edgeMm) edgeMm?: number;
  @Where(needed('gapMm', isOne('straightedge'))) @InRange(LIMITS.log.gapMm) gapMm?: number;
  /** A round that was signed, as it stood. */
  @Maybe() @Part(() => Frozen) frozen?: Frozen;
  /** The name as it was drawn with a finger, stroke by stroke. */
  @Maybe()
  @NumberLists(LIMITS.log.stroke, { lists: [1, MOST.strokes], numbers: [2, MOST.strokePoints] })
  strokes?: number[][];
  /** A picture; it lies beside the job. */
  @Where(needed('photo', isOne('photo'))) @Id() photo?: string;
  /** Where the corners of the face lie in it: its low left, low right, high right and high left one. */
  @Maybe() @NumberLists(LIMITS.log.share, { lists: [4, 4], numbers: [2, 2] }) corners?: [number, number][];
  /** The lamp it was taken under: over which place of the face, and how far off it. */
  @Maybe() @PointAt(LIMITS.damage.at) lamp?: [number, number];
  @Maybe() @InRange(LIMITS.log.lampOffMm) lampOffMm?: number;
  /** Of what was signed: SHA-256 of its content, which no longer fits once that is changed. */
  @Maybe() @Seal() seal?: string;
  /** The entry that happened when this one says, and not when its device's clock did. */
  @Where(needed('entry', isOne('timed'))) @Id() entry?: string;
  /** The entry that has its id here: another text came under one id. It counts for nothing. */
  @Maybe() @Id() beside?: string;
  /** The entry in whose place it stands. */
  @Where(needed('corrects', isOne('withdrawn'))) @Id() corrects?: string;
  @Maybe() @Words() note?: string;
}

/** Entries as they happened, in no order that counts. */
export type Log = readonly LogEntry[];
