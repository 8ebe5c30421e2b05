import { given, input, type Book, type FigureKey, type Why, type WhyInput } from '../book';
import type { Cell } from '../coat';
import { COMPOUND } from '../compound';
import { hardening, referenceHours } from '../drying';
import { needsOf } from '../finish';
import { COATS, type Coat, type Job, type Room } from '../job';
import { PACE, type CellUse, type PaceUnit, type RoomUse } from '../takeoff';

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
  room: Room;
  cells: readonly Cell[];
  use: RoomUse;
  areaM2: number;
}

const SI: Record<PaceUnit, number> = { m: 1000, count: 1, m2: 1e6 };

/** The steps of a room that have work in them, in order. */
export function roomSteps(work: RoomWork, job: Pick<Job, 'climate' | 'way'>, book: Book): RoomStep[] {
  return STEPS.flatMap((step) => {
    const labour = labourFor(work, step, book);
    if (labour.minutes <= 0) return [];
    const harden = hardenFor(work, step, job);
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

function labourFor(
  { room, cells, use, areaM2 }: RoomWork,
  step: Step,
  book: Book,
): { minutes: number; inputs: WhyInput[] } {
  const inputs: WhyInput[] = [];
  let minutes = 0;
  const add = (label: string, amount: number, pace: FigureKey, unit: PaceUnit) => {
    if (amount <= 0) return;
    minutes += (amount / book[pace].value) * 60;
    inputs.push(given(label, amount, unit), input(book[pace]));
  };
  if (step === 'sand') {
    const surface = needsOf(room.finish).surface;
    if (surface !== 'none' && surface !== 'ridge-free') add('board to sand', areaM2, 'paceSand', 'm2');
  } else {
    if (step === 'prefill') add('gaps to fill', use.prefillMm / 1000, 'pacePrefill', 'm');
    for (const cell of cells) {
      if (cell.coat !== step || step === 'prefill') continue;
      const paces = PACE[cell.element];
      const [pace, unit] = paces[step] ?? paces.coat;
      add(cell.element, use.amounts[cell.element] / SI[unit], pace, unit);
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

/** A painted face takes no water, so setting compound is slowest there; one such face holds up the room. */
const slowestSubstrate = (room: Room): Room['substrate'] =>
  Object.values(room.faces ?? {}).some((face) => face.substrate === 'painted') ? 'painted' : room.substrate;

/** The slowest part of a coat decides. */
function hardenFor(
  { room, cells, use }: RoomWork,
  step: Step,
  job: Pick<Job, 'climate' | 'way'>,
): HardenRead {
  let slowest: { use: CellUse; hours: number; how: 'setting' | 'drying' } | undefined;
  for (const part of use.uses) {
    if (part.coat !== step || part.wetL <= 0) continue;
    const cell = cells.find((c) => c.element === part.element && c.coat === part.coat);
    if (!cell) continue;
    const found = hardening(
      part.compound,
      part.layerMm,
      cell.consistency,
      job.climate,
      job.way.setMin,
      slowestSubstrate(room),
    );
    if (!slowest || found.hours > slowest.hours) slowest = { use: part, ...found };
  }
  if (!slowest) return { minutes: 0, how: 'none', rule: '', inputs: [] };
  const { use: part, how, hours } = slowest;
  const name = COMPOUND[part.compound].name;
  if (how === 'setting') {
    return {
      minutes: hours * 60,
      how,
      rule: `Setting compound can be coated at one and a half times its set time, three times on a painted face.`,
      inputs: [given('compound', name), given('set time on the bag', job.way.setMin, 'min', 'entered')],
    };
  }
  return {
    minutes: hours * 60,
    how,
    rule: `Drying goes by the slowest part: the thickest layer, the air's thirst at this temperature and humidity, the compound and the air moving.`,
    inputs: [
      given('slowest part', part.element),
      given('compound', name),
      given('thickest wet layer', part.layerMm, 'mm'),
      given('temperature', job.climate.tempC, 'C', 'entered'),
      given('humidity', job.climate.rhPct / 100, 'share', 'entered'),
      given('air', job.climate.air, '', 'entered'),
      given('a 1 mm coat here', referenceHours(job.climate.tempC, job.climate.rhPct), 'h'),
    ],
  };
}
