import { given, input, type FigureKey, type Why, type WhyInput } from '../book';
import type { Supplied } from '../compound';
import { referenceHours } from '../drying';
import { needsOf, type Area } from '../finish';
import { COATS, type Coat, type Job } from '../job';
import { PER_UNIT, paceOf, type CellUse, type RoomUse } from '../takeoff';

export type Step = Coat | 'sand';
export const STEPS: readonly Step[] = [...COATS, 'sand'];

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
    const rule = [
      'Work: each amount at its pace, and setting up.',
      ...(harden.rule ? [harden.rule] : []),
    ].join(' ');
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

function labourFor(
  { areas, use }: RoomWork,
  step: Step,
  book: Supplied,
): { minutes: number; inputs: WhyInput[] } {
  const inputs: WhyInput[] = [];
  let minutes = 0;
  const seen = new Set<FigureKey>();
  const add = (label: string, amount: number, unit: WhyInput['unit'], pace: FigureKey) => {
    if (amount <= 0) return;
    minutes += (amount / book[pace].value) * 60;
    inputs.push(given(label, amount, unit));
    if (!seen.has(pace)) inputs.push(input(book[pace]));
    seen.add(pace);
  };
  if (step === 'sand') {
    const areaM2 = areas.filter(isSanded).reduce((sum, area) => sum + area.survey.boardAreaM2, 0);
    add('board to sand', areaM2, 'm2', 'paceSand');
  } else {
    for (const part of use.uses) {
      if (part.coat !== step) continue;
      const [pace, unit] = paceOf(part.element, step);
      add(
        step === 'prefill' && part.element !== 'repairs' ? `gaps of ${part.element}` : part.element,
        part.amount / PER_UNIT[unit],
        unit,
        pace,
      );
      const usual = (part.amount / PER_UNIT[unit] / book[pace].value) * 60;
      if (part.minutes - usual > 0.5) {
        minutes += part.minutes - usual;
        inputs.push(given('more lanes or layers than usual', part.minutes - usual, 'min'));
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
  rule: string;
  inputs: WhyInput[];
}

/** The slowest part of a coat decides. */
function hardenFor(use: RoomUse, step: Step, job: Pick<Job, 'climate' | 'way'>, book: Supplied): HardenRead {
  let slowest: (CellUse & { hardens: NonNullable<CellUse['hardens']> }) | undefined;
  for (const part of use.uses) {
    if (part.coat !== step || !part.hardens) continue;
    if (!slowest || part.waitMin > slowest.waitMin) slowest = { ...part, hardens: part.hardens };
  }
  if (!slowest) return { minutes: 0, how: 'none', rule: '', inputs: [] };
  const { element, compound, layerMm, waitMin, hardens } = slowest;
  const { how, hours } = hardens;
  const { name } = book.compounds[compound];
  const byHand = Math.abs(waitMin - hours * 60) > 0.5;
  const own = byHand ? [given('wait set by hand', waitMin, 'min', 'entered')] : [];
  if (how === 'setting') {
    return {
      minutes: waitMin,
      how,
      rule: `Setting compound can be coated at one and a half times its set time, three times on a painted face.`,
      inputs: [...own, given('compound', name), given('hard after', hours, 'h')],
    };
  }
  return {
    minutes: waitMin,
    how,
    rule: `Drying goes by the slowest part: the thickest layer, the air's thirst at this temperature and humidity, the compound and the air moving.`,
    inputs: [
      ...own,
      given('slowest part', element),
      given('compound', name),
      given('thickest wet layer', layerMm, 'mm'),
      given('temperature', job.climate.tempC, 'C', 'entered'),
      given('humidity', job.climate.rhPct / 100, 'share', 'entered'),
      given('air', job.climate.air, '', 'entered'),
      given('a 1 mm coat here', referenceHours(job.climate.tempC, job.climate.rhPct), 'h'),
    ],
  };
}
