import { given, input, type Book, type FigureKey, type Why, type WhyInput } from '../book';
import type { Supplied } from '../compound';
import { leastUnder, referenceHours, REFERENCE_MM } from '../drying';
import { needsOf, type Area } from '../finish';
import {
  COATS,
  COAT_STEPS,
  ELEMENT,
  ELEMENTS,
  MEND_PASSES,
  type Coat,
  type CompoundId,
  type Element,
  type Job,
  type Step,
} from '../job';
import { PER_UNIT, type CellUse, type RoomUse } from '../takeoff';
import { highMinutes, type HighWork } from '../survey';
import { say, type Message } from '../texts';
import { mixMinOf } from './pot';

/** What a step lies on: it waits for these and for nothing else. */
export const LIES_ON: Record<Step, readonly Step[]> = {
  prefill: [],
  tape: ['prefill'],
  float: ['tape', 'prefill'],
  fill: ['tape', 'prefill'],
  finish: ['fill', 'tape', 'prefill'],
  cover: ['float'],
  'mend-1': [],
  'mend-2': ['mend-1'],
  'mend-3': ['mend-2', 'mend-1'],
  'mend-4': ['mend-3', 'mend-2', 'mend-1'],
  'mend-5': ['mend-4', 'mend-3', 'mend-2', 'mend-1'],
  skim: [...MEND_PASSES, 'finish', 'cover', 'fill', 'float', 'tape', 'prefill'],
  sand: ['skim', ...MEND_PASSES, 'finish', 'cover', 'fill', 'float', 'tape', 'prefill'],
  'mend-sand': MEND_PASSES,
};

/** Steps that go over the whole room and wait for everything under them. */
export const GOES_OVER_ALL: ReadonlySet<Step> = new Set<Step>(['skim', 'sand']);

const MENDS: ReadonlySet<Step> = new Set<Step>([...MEND_PASSES, 'mend-sand']);
/** Whether spots are mended by themselves in a step. */
export const isMend = (step: Step): boolean => MENDS.has(step);

/** The step a coat is worked in. */
export const stepOf = ({ coat, float, step }: Pick<CellUse, 'coat' | 'float' | 'step'>): Step =>
  step ?? (float && coat === 'fill' ? 'float' : float && coat === 'finish' ? 'cover' : coat);

/** The coat a step lays; none for sanding, nor for spots mended by themselves: each has its own. */
export const coatOf = (step: Step): Coat | undefined =>
  COATS.find((coat) => coat === step) ??
  (step === 'float' ? 'fill' : step === 'cover' ? 'finish' : undefined);

/** When a coat may be gone over after it is laid, min: at best, as a rule, and when one can be sure. */
export interface Wait {
  earlyMin: number;
  hardenMin: number;
  lateMin: number;
}

/** Mud of one kind that goes into a coat. */
export interface MudPart {
  compound: CompoundId;
  wetL: number;
  /** Set time of the bag, min; none where it only dries. */
  setMin: number | undefined;
}

/** One coat on one row of a room: the least that is worked and waited for. */
export interface RowStep extends Wait {
  row: Element;
  /** A spot mended by itself. */
  spot?: string;
  /** Work of one person, min; the visit to the room is not in it. */
  labourMin: number;
  /** The part of it in which mud is laid; all of it where it is not told. */
  mudMin?: number;
  how: 'setting' | 'drying' | 'none';
  /** Until a blade may cross it, min. */
  stiffMin: number;
  mud: MudPart[];
  /** Water it gives off, g; how long it does against the reference coat, and what it sets before, min. */
  waterG: number;
  dryFactor: number;
  setsMin: number;
  /** Its wait was set by hand, and no air changes it. */
  byHand: boolean;
  /** Pulled with a box or another closed machine tool. */
  machine: boolean;
}

/** What tells a row from the others of its step: a spot mended by itself, or what is coated. */
export const keyOf = ({ row, spot }: Pick<RowStep, 'row' | 'spot'>): string => spot ?? row;

/** The set time of a coat in one room, as the plan chose it. */
export interface SetChoice {
  setMin: number;
  why: Why;
}

/** One coat in one room: the work in it, and how long it hardens before the next may go on. */
export interface RoomStep extends Wait {
  step: Step;
  /** Work of one person, one visit to the room and the mixing with it, min. */
  labourMin: number;
  /** Mixing in it, min. */
  mixMin: number;
  how: 'setting' | 'drying' | 'none';
  rows: RowStep[];
  why: Why;
  /** The set time the plan chose; none where it was set by hand, or nothing sets. */
  set?: SetChoice;
}

/** What one room brings to the day plan. */
export interface RoomWork {
  areas: readonly Area[];
  use: RoomUse;
  /** How much of it is out of reach. */
  high: HighWork;
}

/** The steps of a room that have work in them, in order. */
export function roomSteps(work: RoomWork, job: Pick<Job, 'climate' | 'way'>, book: Supplied): RoomStep[] {
  return COAT_STEPS.flatMap((step) => {
    const labour = labourFor(work, step, book);
    const rows = ELEMENTS.flatMap((row) => {
      const minutes = labour.minutes.get(row);
      return minutes === undefined ? [] : [rowStep(work.use, step, row, minutes, book)];
    });
    const minutes = rows.reduce((sum, row) => sum + row.labourMin, 0);
    if (minutes <= 0) return [];
    const harden = hardenFor(work.use, step, job, book);
    const mixMin = mixMinOf(rows, 1, job.way, book);
    const rule = harden.rule ? say('why.work-then', { then: harden.rule }) : say('why.work');
    return [
      {
        step,
        labourMin: minutes + mixMin + book.roomSetupMin.value,
        mixMin,
        how: harden.how,
        hardenMin: harden.minutes,
        earlyMin: Math.max(...rows.map((row) => row.earlyMin)),
        lateMin: Math.max(...rows.map((row) => row.lateMin)),
        rows,
        why: { rule, inputs: [...labour.inputs, ...mixingIn(mixMin), ...harden.inputs] },
      },
    ];
  });
}

/** Mixing, where there is any. */
export const mixingIn = (mixMin: number): WhyInput[] =>
  mixMin > 0 ? [given(say('why.mixing'), mixMin, 'min')] : [];

/** Whether a face is sanded at the end: all but what is left rough. */
export const isSanded = ({ room }: Area): boolean => {
  const { surface } = needsOf(room.finish);
  return surface !== 'none' && surface !== 'ridge-free';
};

/** Whether the last sanding goes over a skim. */
const isSkimmed = ({ room }: Area): boolean => needsOf(room.finish).surface === 'skim';

/** Work of one person by row, min, and what it was reckoned from. */
function labourFor(
  { areas, use, high }: RoomWork,
  step: Step,
  book: Supplied,
): { minutes: Map<Element, number>; inputs: WhyInput[] } {
  const inputs: WhyInput[] = [];
  const minutes = new Map<Element, number>();
  const seen = new Set<FigureKey>();
  const more = (row: Element, min: number) => minutes.set(row, (minutes.get(row) ?? 0) + min);
  const add = (row: Element, label: Message, amount: number, unit: WhyInput['unit'], pace: FigureKey) => {
    if (amount <= 0) return;
    more(row, (amount / book[pace].value) * 60);
    inputs.push(given(label, amount, unit));
    if (!seen.has(pace)) inputs.push(input(book[pace]));
    seen.add(pace);
  };
  if (step === 'sand') {
    for (const skimmed of [false, true]) {
      const own = areas.filter((area) => isSanded(area) && isSkimmed(area) === skimmed);
      const areaM2 = own.reduce((sum, area) => sum + area.survey.boardAreaM2, 0);
      add('face', say('why.sand'), areaM2, 'm2', skimmed ? 'paceSandSkim' : 'paceSand');
    }
  } else {
    for (const part of use.uses) {
      if (stepOf(part) !== step) continue;
      const { pace, element } = part;
      if (pace === 'paceFloat') {
        add(element, say('why.float'), (part.minutes / 60) * book[pace].value, 'm2', pace);
        continue;
      }
      const unit = ELEMENT[element].unit;
      const name = say(`element.${element}`);
      add(
        element,
        step === 'prefill' && element !== 'repairs' ? say('why.gaps', { element: name }) : name,
        part.amount / PER_UNIT[unit],
        unit,
        pace,
      );
      const usual = (part.amount / PER_UNIT[unit] / book[pace].value) * 60;
      if (part.minutes - usual > 0.5) {
        more(element, part.minutes - usual);
        inputs.push(given(say('why.pulls'), part.minutes - usual, 'min'));
      }
    }
  }
  const all = [...minutes.values()].reduce((sum, min) => sum + min, 0);
  if (high.highM2 > 0 && all > 0) {
    const { slowerMin, movesMin } = highMinutes(high, all, book);
    for (const [row, min] of minutes) minutes.set(row, min * (1 + (slowerMin + movesMin) / all));
    inputs.push(
      given(say('why.high'), high.highM2 / high.areaM2, 'share'),
      input(book.highMm),
      given(say('why.high-slower'), slowerMin, 'min'),
      input(book.highWork),
      ...(high.veryHighM2 > 0 ? [input(book.veryHighWork)] : []),
      given(say('why.high-moves'), movesMin, 'min'),
      input(book.platformM2),
      input(book.platformMoveMin),
    );
  }
  if (minutes.size > 0) inputs.push(input(book.roomSetupMin));
  return { minutes, inputs };
}

/** How far what is set or dried spreads about its likely time; what was set by hand is taken at its word. */
function spread(part: CellUse, book: Book): Wait {
  const { hardens, waitMin } = part;
  if (!hardens) return NOTHING;
  if (byHand(part)) return { earlyMin: waitMin, hardenMin: waitMin, lateMin: waitMin };
  const [early, late] =
    hardens.how === 'setting' ? [book.setEarly, book.setLate] : [book.dryEarly, book.dryLate];
  return { earlyMin: waitMin * early.value, hardenMin: waitMin, lateMin: waitMin * late.value };
}

const NOTHING: Wait = { earlyMin: 0, hardenMin: 0, lateMin: 0 };

/** Whether the wait of a cell was set by hand. */
const byHand = ({ hardens, waitMin }: CellUse): boolean =>
  hardens !== undefined && Math.abs(waitMin - hardens.hours * 60) > 0.5;

/** A row of a step: its slowest cell decides when it may be gone over. */
function rowStep(use: RoomUse, step: Step, row: Element, labourMin: number, book: Supplied): RowStep {
  const made: RowStep = {
    row,
    labourMin,
    how: 'none',
    ...NOTHING,
    stiffMin: 0,
    mud: [],
    waterG: 0,
    dryFactor: 0,
    setsMin: 0,
    byHand: false,
    machine: false,
  };
  for (const part of use.uses) {
    if (part.element !== row || stepOf(part) !== step || !part.hardens) continue;
    const wait = spread(part, book);
    const dries = book.compounds[part.compound].hardens === 'drying';
    const setMin = dries ? undefined : part.setMin;
    made.waterG += part.waterG;
    if (wait.hardenMin >= made.hardenMin) {
      made.how = part.hardens.how;
      made.dryFactor = part.dryFactor;
      made.setsMin =
        book.compounds[part.compound].hardens === 'both' ? part.setMin * book.setRecoat.value : 0;
      made.byHand = byHand(part);
    }
    made.earlyMin = Math.max(made.earlyMin, wait.earlyMin);
    made.hardenMin = Math.max(made.hardenMin, wait.hardenMin);
    made.lateMin = Math.max(made.lateMin, wait.lateMin);
    made.stiffMin = Math.max(made.stiffMin, Math.min(wait.lateMin, setMin ?? book.stiffenMin.value));
    made.machine ||= part.pace.startsWith('machine');
    const same = made.mud.find((mud) => mud.compound === part.compound && mud.setMin === setMin);
    if (same) same.wetL += part.wetL;
    else made.mud.push({ compound: part.compound, wetL: part.wetL, setMin });
  }
  return made;
}

/** That a bed waits for the tape in it, where it lies thinner than that comes to. */
function underTape(
  { coat, element, waitsMm }: CellUse,
  { tape }: Pick<Job['way'], 'tape'>,
  book: Book,
): WhyInput[] {
  if (coat !== 'tape' || !ELEMENT[element].taped) return [];
  const leastMm = leastUnder(tape, book);
  return Math.max(...waitsMm) >= leastMm
    ? []
    : [given(say('why.under-tape', { tape: say(`tape.${tape}`) }), leastMm, 'mm')];
}

interface HardenRead {
  minutes: number;
  how: RoomStep['how'];
  rule: Message | undefined;
  inputs: WhyInput[];
}

/** The slowest part of a coat decides. */
function hardenFor(use: RoomUse, step: Step, job: Pick<Job, 'climate' | 'way'>, book: Supplied): HardenRead {
  let slowest: (CellUse & { hardens: NonNullable<CellUse['hardens']> }) | undefined;
  for (const part of use.uses) {
    if (stepOf(part) !== step || !part.hardens) continue;
    if (!slowest || part.waitMin > slowest.waitMin) slowest = { ...part, hardens: part.hardens };
  }
  if (!slowest) return { minutes: 0, how: 'none', rule: undefined, inputs: [] };
  const { element, compound, waitsMm, waitMin, hardens } = slowest;
  const { how, hours } = hardens;
  const { name } = book.compounds[compound];
  const own = byHand(slowest) ? [given(say('why.by-hand'), waitMin, 'min', 'entered')] : [];
  const [early, late] = how === 'setting' ? [book.setEarly, book.setLate] : [book.dryEarly, book.dryLate];
  const ends = [input(early), input(late)];
  if (how === 'setting') {
    return {
      minutes: waitMin,
      how,
      rule: say('why.setting'),
      inputs: [
        ...own,
        given(say('why.of-compound'), name),
        given(say('why.hard-after'), hours, 'h'),
        ...ends,
      ],
    };
  }
  return {
    minutes: waitMin,
    how,
    rule: say('why.drying'),
    inputs: [
      ...own,
      given(say('why.slowest'), say(`element.${element}`)),
      given(say('why.of-compound'), name),
      ...waitsMm.map((mm, i) =>
        given(waitsMm.length > 1 ? say('why.layer-n', { n: i + 1 }) : say('why.layer'), mm, 'mm'),
      ),
      ...underTape(slowest, job.way, book),
      given(say('why.temperature'), job.climate.tempC, 'C', 'entered'),
      given(say('why.humidity'), job.climate.rhPct / 100, 'share', 'entered'),
      given(say('why.air'), say(`air.${job.climate.air}`), '', 'entered'),
      given(
        say('why.reference', { mm: REFERENCE_MM }),
        referenceHours(job.climate.tempC, job.climate.rhPct),
        'h',
      ),
      ...ends,
    ],
  };
}
