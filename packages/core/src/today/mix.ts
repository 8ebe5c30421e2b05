import { given, input, type Why } from '../book';
import type { Cell } from '../coat';
import { WATER_L, type Supplied } from '../compound';
import { batchingOf, coatOf, handsIn, usedPerMin, WORKED, type DayTask, type RoomStep } from '../days';
import { settingMinutes } from '../drying';
import type { CompoundId, Consistency, Element, Job, Log, LogEntry, Substrate } from '../job';
import { mayBeUsed, measuredSets, potsOf, type Lot } from '../log';
import { mudWare } from '../goods';
import { say, type Message } from '../texts';

/** How long a pot lasts, min from mixing, and what that rests on. */
export interface PotTimes {
  workMin: number;
  cleanMin: number;
  hardMin: number;
  /** How much longer than is typical, and how many batches that was measured on. */
  sets: number;
  n: number;
  why: Why;
}

/** What is mixed for a task: one mud of it. */
export interface MixCard {
  compound: CompoundId;
  rows: Element[];
  mix: Consistency;
  /** All of it the task takes, what of that is mixed, and what is mixed at once, L. */
  allL: number;
  mixedL: number;
  batchL: number;
  /** Which of how many batches is next; it is the first of one where nothing more need be mixed. */
  n: number;
  of: number;
  /** Powder and water for a litre of it; of what comes ready to use the water that thins it. */
  powderKgPerL: number;
  waterLPerL: number;
  /** Powder rests in its water so long, min. */
  restMin: number;
  setMin?: number;
  times?: PotTimes;
  /** To be taken from: the oldest that may be used; and older ones that may not. */
  lot?: Lot;
  old: Lot[];
  rules: Message[];
  habits: Message[];
}

/** The room a task is in, as far as its mud goes by it. */
export interface MixRoom {
  substrate: Substrate;
  floorM2: number;
  steps: readonly RoomStep[];
  cells: readonly Cell[];
}

interface Mixing {
  task: DayTask;
  room: MixRoom;
  job: Pick<Job, 'way'>;
  book: Supplied;
  log: Log;
  lots: readonly Lot[];
  now: string;
}

/** Less than this is not worth mixing, L. */
const LEAST_L = 0.1;

/** A card for every mud of a task, in the order of its rows. */
export function mixesFor({ task, room, job, book, log, lots, now }: Mixing): MixCard[] {
  const step = room.steps.find((one) => one.step === task.step);
  const coat = coatOf(task.step);
  const muds = new Map<string, { compound: CompoundId; setMin?: number; litres: number; rows: Element[] }>();
  const worked = (step?.rows ?? []).filter(
    ({ row, spot }) =>
      task.rows.includes(row) && (spot === undefined || task.spots?.includes(spot) !== false),
  );
  for (const { row, mud } of worked) {
    for (const { compound, wetL, setMin } of mud) {
      if (wetL <= 0) continue;
      const key = `${compound} ${setMin}`;
      const known = muds.get(key) ?? {
        compound,
        litres: 0,
        rows: [],
        ...(setMin === undefined ? {} : { setMin }),
      };
      known.litres += wetL;
      known.rows.push(row);
      muds.set(key, known);
    }
  }
  // As fast as those who are on it lay it.
  const perMin = usedPerMin({ rows: worked }, handsIn(room.floorM2, Math.max(1, task.people.length), book));
  const batches = (wetL: number, setMin: number | undefined): number =>
    setMin === undefined
      ? Math.max(1, Math.ceil(wetL / book.mixPailL.value - 1e-9))
      : batchingOf(wetL, perMin, setMin, job.way, book).count;
  const pots = potsOf(log).filter((pot) => pot.room === task.room && pot.step === task.step);
  return [...muds.values()].map(({ compound, setMin, litres, rows }) => {
    const own = pots.filter((pot) => pot.compound === compound && pot.setMin === setMin);
    const mixedL = own.reduce((sum, pot) => sum + Math.max(0, pot.litres - pot.spoiledL), 0);
    const leftL = Math.max(0, litres - mixedL);
    const more = leftL < LEAST_L ? 0 : batches(leftL, setMin);
    const mix = thickest(
      room.cells.filter(
        (cell) => cell.coat === coat && cell.compound === compound && rows.includes(cell.element),
      ),
    );
    const powder = book.compounds[compound].packages.find(({ waterL }) => waterL !== undefined);
    const shelf = lots.filter((lot) => lot.ware === mudWare(compound) && lot.left > 0);
    const lot = shelf.find((one) => mayBeUsed(one, now));
    return {
      compound,
      rows,
      mix,
      allL: litres,
      mixedL,
      batchL: more === 0 ? litres / batches(litres, setMin) : leftL / more,
      n: own.length + 1,
      of: own.length + Math.max(1, more),
      powderKgPerL: powder ? powder.massKg / powder.yieldsL : 0,
      waterLPerL: powder ? (powder.waterL ?? 0) / powder.yieldsL : WATER_L[mix] / 17,
      restMin: powder ? book.mixRestMin.value : 0,
      ...(setMin === undefined
        ? {}
        : { setMin, times: potTimes(compound, setMin, room.substrate, log, book) }),
      ...(lot ? { lot } : {}),
      old: shelf.filter((one) => !mayBeUsed(one, now)),
      rules: (powder ? POWDER : READY).map((key) => say(key)),
      habits: HABITS.map((key) => say(key)),
    };
  });
}

const POWDER = ['mix.clean-first', 'mix.water-first', 'mix.slow', 'mix.stop', 'mix.never-again'] as const;
const READY = ['mix.water-off', 'mix.remix', 'mix.thin', 'mix.rim', 'mix.store'] as const;
const HABITS = ['mix.habit-soap', 'mix.habit-mist', 'mix.habit-rim'] as const;

const STIFF: readonly Consistency[] = ['C1', 'C2', 'C3', 'C4', 'C5', 'C6'];
/** One pail serves rows that want it differently: it is mixed for the stiffest and thinned for the others. */
const thickest = (cells: readonly Cell[]): Consistency =>
  STIFF.find((mix) => cells.some(({ consistency }) => consistency === mix)) ?? 'C3';

/** How long a pot of a class lasts, by the set time on the bag and by what was measured. */
export function potTimes(
  compound: CompoundId,
  setMin: number,
  substrate: Substrate,
  log: Log,
  book: Supplied,
): PotTimes {
  const { factor, n } = measuredSets(log, compound);
  return {
    workMin: setMin * WORKED * factor,
    cleanMin: setMin * factor,
    hardMin: settingMinutes(setMin, substrate, book) * factor,
    sets: factor,
    n,
    why: {
      rule: say('pot.why', { n }),
      inputs: [
        given(say('pot.why.bag'), setMin, 'min', 'entered'),
        input(book[substrate === 'painted' ? 'setRecoatPainted' : 'setRecoat']),
        given(say('pot.why.sets'), factor, 'factor'),
        input(book.setEarly),
        input(book.setLate),
      ],
    },
  };
}

/** What the log is told when so much of a card is mixed. */
export function mixedEntry(
  { room, step, rows }: Pick<DayTask, 'room' | 'step' | 'rows'>,
  { compound, mix, setMin, times, lot }: MixCard,
  litres: number,
): Omit<LogEntry, 'id' | 'at' | 'by' | 'device'> {
  const tenth = (min: number): number => Math.round(min * 10) / 10;
  return {
    kind: 'mixed',
    room,
    step,
    rows,
    compound,
    mix,
    amount: litres,
    ...(lot ? { lot: lot.id } : {}),
    ...(setMin === undefined || !times
      ? {}
      : {
          setMin,
          workMin: tenth(times.workMin),
          cleanMin: tenth(times.cleanMin),
          hardMin: tenth(times.hardMin),
          sets: Math.round(times.sets * 1000) / 1000,
        }),
  };
}
