import { given, input, type Book } from '../book';
import { cellsIn, type BoardRow } from '../coat';
import type { Supplied } from '../compound';
import { SET_CLASSES, type Job, type Step } from '../job';
import { driesMin, KEEPS_WATER, useOf, type RoomUse } from '../takeoff';
import { say } from '../texts';
import { DAY } from './calendar';
import { crewOf, CrewHours, dayShape, handsIn } from './crew';
import { batchingOf, batchOf, settingL, usedPerMin, usedUp } from './pot';
import { LIES_ON, stepOf, type RoomStep, type RowStep, type SetChoice } from './work';

/** The day of a crew, as one room sees it. */
export interface RoomDay {
  /** Worked in a day, and past its end to finish a coat, min. */
  minutes: number;
  overtimeMin: number;
  crew: number;
}

/** Set times at hand, shortest first; every one that is sold but the quickest, which is for patches. */
export const setsAtHand = ({ shop }: Pick<Job, 'shop'>): readonly number[] => {
  const own = [...(shop?.setsAtHand ?? [])].sort((a, b) => a - b);
  return own.length > 0 ? own : SET_CLASSES.slice(1);
};

/** The day that set times are chosen for. */
export function roomDay({ calendar, way }: Pick<Job, 'calendar' | 'way'>, book: Book): RoomDay {
  const crew = crewOf(calendar);
  const hours = new CrewHours(calendar.startDate, crew, dayShape(way, book), []).of([0]);
  return { minutes: hours.minutesADay, overtimeMin: hours.overtimeMin, crew: crew.length };
}

/** The rows of an area and what is laid on them. */
interface Laid {
  rows: readonly BoardRow[];
  use: RoomUse;
}

/**
 * Steps whose set time nobody set and no bag gives, with how soon the thinnest layer of each dries, min: Infinity
 * where that does not matter.
 */
export function openSets(
  parts: readonly Laid[],
  job: Pick<Job, 'climate' | 'way'>,
  book: Supplied,
): Map<Step, number> {
  const open = new Map<Step, number>();
  for (const { rows, use } of parts)
    for (const { row, cell } of cellsIn(rows)) {
      const part = useOf(use, row, cell);
      const { hardens, product } = book.compounds[cell.compound];
      if (!part || part.wetL <= 0 || hardens === 'drying' || isSetByHand(cell) || product?.setMin) continue;
      const step = stepOf(part);
      const dries = driesMin(row.element, cell, part, job, book) ?? Infinity;
      open.set(step, Math.min(open.get(step) ?? Infinity, dries));
    }
  return open;
}

const isSetByHand = ({ own }: BoardRow['cells'][number]): boolean => own.setMin !== undefined;

/** The rows with the set times that were chosen. */
export const withSets = ({ rows, use }: Laid, chosen: ReadonlyMap<Step, SetChoice>): BoardRow[] =>
  rows.map((row) => ({
    ...row,
    cells: row.cells.map((cell) => {
      const part = useOf(use, row, cell);
      const choice = part && chosen.get(stepOf(part));
      return choice && !isSetByHand(cell) ? { ...cell, setMin: choice.setMin } : cell;
    }),
  }));

/** How long at the latest a row waits with another set time, min. */
function lateWith(row: RowStep, setMin: number, usual: number, book: Supplied): number {
  // Another set time than the usual was set by hand, or is that of the bag in use.
  if (row.byHand || !row.mud.some((mud) => mud.setMin === usual)) return row.lateMin;
  if (row.how === 'setting') return (row.lateMin * setMin) / usual;
  return row.lateMin + row.setsMin * book.dryLate.value * (setMin / usual - 1);
}

/**
 * Chooses the set time of every coat of a room whose set time is open: long enough for a batch at the pace of the
 * coat, short enough to set before it dries, and short enough that the next coat goes on the same day wherever that
 * brings the room's end forward, and not so short that it is all mixing; of those the nearest to the usual set time.
 *
 * The room is planned as if its crew began it in the morning and worked nowhere else.
 * @param open the steps whose set time is open, with how soon their thinnest layer dries, min
 */
export function chosenSets(
  steps: readonly RoomStep[],
  open: ReadonlyMap<Step, number>,
  { floorM2, day, sets }: { floorM2: number; day: RoomDay; sets: readonly number[] },
  { way }: Pick<Job, 'way'>,
  book: Supplied,
): Map<Step, SetChoice> {
  const hands = handsIn(floorM2, day.crew, book);
  const chosen = new Map<Step, number>();
  const facts = steps.flatMap((step) => {
    const dries = open.get(step.step);
    const wetL = settingL(step);
    if (dries === undefined || wetL <= 0) return [];
    const perMin = usedPerMin(step, hands);
    const batchL = batchOf(wetL, perMin, way, book);
    const fits = sets.filter((set) => set * KEEPS_WATER < dries);
    const keeps = fits.length > 0 ? fits : sets.slice(0, 1);
    const enough = keeps.filter((set) => usedUp(perMin, set, book) >= batchL - 1e-9);
    const candidates = enough.length > 0 ? enough : keeps.slice(-1);
    chosen.set(step.step, candidates[0] as number);
    return [{ at: step, step: step.step, perMin, batchL, candidates, dries }];
  });
  const mixes = (step: RoomStep, setMin: number): number =>
    batchingOf(settingL(step), usedPerMin(step, hands), setMin, way, book).mixMin;
  const end = (): number => lastDay(steps, chosen, { hands, day, way, book, mixes });
  const best = end();
  const made = new Map<Step, SetChoice>();
  for (const { at, step, perMin, batchL, candidates, dries } of facts) {
    const quickest = chosen.get(step) as number;
    const sameDay = candidates.filter((set) => {
      chosen.set(step, set);
      return end() <= best;
    });
    // A few minutes of mixing are no reason to leave what one is used to.
    const mixMin = sameDay.map((set) => mixes(at, set));
    const few = sameDay.filter((_, i) => (mixMin[i] as number) <= Math.min(...mixMin) + WORTH_MIXING_MIN);
    const [setMin] = few.sort((a, b) => Math.abs(a - way.setMin) - Math.abs(b - way.setMin)) as [number];
    chosen.set(step, setMin);
    const longest = sameDay.at(-1) as number;
    made.set(step, {
      setMin,
      why: {
        rule: say('why.set-chosen'),
        inputs: [
          given(say('why.set-batch'), batchL, 'L'),
          given(say('why.set-pace'), perMin * 60, 'L/h'),
          given(say('why.set-least'), quickest, 'min'),
          ...(longest < (candidates.at(-1) as number) ? [given(say('why.set-most'), longest, 'min')] : []),
          ...(Number.isFinite(dries) ? [given(say('why.set-dries'), dries, 'min')] : []),
          given(say('why.set-usual'), way.setMin, 'min', 'entered'),
          input(book.leastPotMin),
          input(book.mixMin),
          input(book.setLate),
        ],
      },
    });
  }
  return made;
}

/** Less mixing than this is no reason for another bag, min. */
const WORTH_MIXING_MIN = 10;

/** The day, counted from the first, on which the last coat of a room is ready, were it the only room. */
function lastDay(
  steps: readonly RoomStep[],
  chosen: ReadonlyMap<Step, number>,
  {
    hands,
    day,
    way,
    book,
    mixes,
  }: {
    hands: number;
    day: RoomDay;
    way: Job['way'];
    book: Supplied;
    mixes: (step: RoomStep, setMin: number) => number;
  },
): number {
  const ready = new Map<Step, number>();
  let [free, last] = [0, 0];
  for (const all of steps) {
    const { step, rows, labourMin, mixMin } = all;
    const set = chosen.get(step);
    const takes = (labourMin + (set === undefined ? 0 : mixes(all, set) - mixMin)) / hands;
    let at = LIES_ON[step].reduce((most, below) => Math.max(most, ready.get(below) ?? 0), free);
    const minute = at % DAY;
    const fits = minute + Math.min(takes, day.minutes) <= day.minutes + day.overtimeMin;
    if (!fits) at = Math.ceil(at / DAY) * DAY;
    let left = takes;
    for (; left > day.minutes + day.overtimeMin; left -= day.minutes) at += DAY;
    free = at + left;
    const late = rows.reduce((most, row) => {
      return Math.max(most, set === undefined ? row.lateMin : lateWith(row, set, way.setMin, book));
    }, 0);
    ready.set(step, free + late);
    last = Math.max(last, free);
  }
  return Math.floor(last / DAY);
}
