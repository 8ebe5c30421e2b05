import { given, input, type FigureKey, type Why, type WhyInput } from '../book';
import type { Supplied } from '../compound';
import { referenceHours, REFERENCE_MM } from '../drying';
import { needsOf, type Area } from '../finish';
import { ELEMENT, STEPS, type Coat, type Job, type Step } from '../job';
import { PER_UNIT, type CellUse, type RoomUse } from '../takeoff';
import { say, type Message } from '../texts';

/** What a step lies on: it waits for these and for nothing else. */
export const LIES_ON: Record<Step, readonly Step[]> = {
  prefill: [],
  tape: ['prefill'],
  float: ['tape', 'prefill'],
  fill: ['tape', 'prefill'],
  finish: ['fill', 'tape', 'prefill'],
  cover: ['float'],
  skim: ['finish', 'cover', 'fill', 'float', 'tape', 'prefill'],
  sand: ['skim', 'finish', 'cover', 'fill', 'float', 'tape', 'prefill'],
};

/** The step a coat is worked in. */
const stepOf = ({ coat, float }: Pick<CellUse, 'coat' | 'float'>): Step =>
  float && coat === 'fill' ? 'float' : float && coat === 'finish' ? 'cover' : coat;

/** The coat a step lays; none for sanding. */
export const coatOf = (step: Step): Coat | undefined =>
  step === 'float' ? 'fill' : step === 'cover' ? 'finish' : step === 'sand' ? undefined : step;

/** One coat in one room: the work in it, and how long it hardens before the next may go on. */
export interface RoomStep {
  step: Step;
  /** Work of one person, min. */
  labourMin: number;
  how: 'setting' | 'drying' | 'none';
  hardenMin: number;
  why: Why;
}

/** What one room brings to the day plan. */
export interface RoomWork {
  areas: readonly Area[];
  use: RoomUse;
}

/** The steps of a room that have work in them, in order. */
export function roomSteps(work: RoomWork, job: Pick<Job, 'climate' | 'way'>, book: Supplied): RoomStep[] {
  return STEPS.flatMap((step) => {
    const labour = labourFor(work, step, book);
    if (labour.minutes <= 0) return [];
    const harden = hardenFor(work.use, step, job, book);
    const rule = harden.rule ? say('why.work-then', { then: harden.rule }) : say('why.work');
    return [
      {
        step,
        labourMin: labour.minutes,
        how: harden.how,
        hardenMin: harden.minutes,
        why: { rule, inputs: [...labour.inputs, ...harden.inputs] },
      },
    ];
  });
}

/** Whether a face is sanded at the end: all but what is left rough. */
export const isSanded = ({ room }: Area): boolean => {
  const { surface } = needsOf(room.finish);
  return surface !== 'none' && surface !== 'ridge-free';
};

/** Whether the last sanding goes over a skim. */
const isSkimmed = ({ room }: Area): boolean => needsOf(room.finish).surface === 'skim';

function labourFor(
  { areas, use }: RoomWork,
  step: Step,
  book: Supplied,
): { minutes: number; inputs: WhyInput[] } {
  const inputs: WhyInput[] = [];
  let minutes = 0;
  const seen = new Set<FigureKey>();
  const add = (label: Message, amount: number, unit: WhyInput['unit'], pace: FigureKey) => {
    if (amount <= 0) return;
    minutes += (amount / book[pace].value) * 60;
    inputs.push(given(label, amount, unit));
    if (!seen.has(pace)) inputs.push(input(book[pace]));
    seen.add(pace);
  };
  if (step === 'sand') {
    for (const skimmed of [false, true]) {
      const own = areas.filter((area) => isSanded(area) && isSkimmed(area) === skimmed);
      const areaM2 = own.reduce((sum, area) => sum + area.survey.boardAreaM2, 0);
      add(say('why.sand'), areaM2, 'm2', skimmed ? 'paceSandSkim' : 'paceSand');
    }
  } else {
    for (const part of use.uses) {
      if (stepOf(part) !== step) continue;
      const { pace } = part;
      if (pace === 'paceFloat') {
        add(say('why.float'), (part.minutes / 60) * book[pace].value, 'm2', pace);
        continue;
      }
      const unit = ELEMENT[part.element].unit;
      const element = say(`element.${part.element}`);
      add(
        step === 'prefill' && part.element !== 'repairs' ? say('why.gaps', { element }) : element,
        part.amount / PER_UNIT[unit],
        unit,
        pace,
      );
      const usual = (part.amount / PER_UNIT[unit] / book[pace].value) * 60;
      if (part.minutes - usual > 0.5) {
        minutes += part.minutes - usual;
        inputs.push(given(say('why.pulls'), part.minutes - usual, 'min'));
      }
    }
  }
  if (minutes > 0) {
    minutes += book.roomSetupMin.value;
    inputs.push(input(book.roomSetupMin));
  }
  return { minutes, inputs };
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
  const byHand = Math.abs(waitMin - hours * 60) > 0.5;
  const own = byHand ? [given(say('why.by-hand'), waitMin, 'min', 'entered')] : [];
  if (how === 'setting') {
    return {
      minutes: waitMin,
      how,
      rule: say('why.setting'),
      inputs: [...own, given(say('why.of-compound'), name), given(say('why.hard-after'), hours, 'h')],
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
      given(say('why.temperature'), job.climate.tempC, 'C', 'entered'),
      given(say('why.humidity'), job.climate.rhPct / 100, 'share', 'entered'),
      given(say('why.air'), say(`air.${job.climate.air}`), '', 'entered'),
      given(
        say('why.reference', { mm: REFERENCE_MM }),
        referenceHours(job.climate.tempC, job.climate.rhPct),
        'h',
      ),
    ],
  };
}
