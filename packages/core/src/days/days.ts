import type { Book } from '../book';
import type { Job } from '../job';
import { WorkHours } from './calendar';
import { LIES_ON, STEPS, type RoomStep, type Step } from './work';

/** When one coat in one room is worked, and when the next may go on; local times, `2026-11-30T07:00`. */
export interface DayTask {
  room: string;
  step: Step;
  start: string;
  end: string;
  ready: string;
}

export interface Days {
  tasks: DayTask[];
  /** When each room can be primed. */
  rooms: { room: string; ready: string }[];
  finish: string | undefined;
  /** Work of one person through the whole job, mixing and cleaning of each day with it, min. */
  labourMin: number;
  /** Mixing and cleaning in it, min. */
  setupMin: number;
  /** Work beside what such work usually takes; none where nothing is boarded. */
  sanity: LabourSanity | undefined;
}

/** Work a square metre of board against what level 4 by hand usually takes. */
export interface LabourSanity {
  hPerM2: number;
  usual: [low: number, high: number];
  verdict: 'usual' | 'low' | 'high';
  /** Why it falls outside. */
  reasons: string[];
}

/** What the plan of the days asks of a room. */
export interface RoomWorked {
  id: string;
  steps: readonly RoomStep[];
  /** Floor, m²; a small one takes no second pair of hands. */
  floorM2: number;
  boardAreaM2: number;
}

/** Pairs of hands that count in a room: where it is small the second helps half and a third only stands in the way. */
export function handsIn(floorM2: number, crew: number, book: Book): number {
  if (floorM2 >= book.smallRoomM2.value || crew < 2) return crew;
  return 1 + book.secondHand.value;
}

interface Waiting {
  room: RoomWorked;
  /** The steps still to do, in order. */
  left: RoomStep[];
  ready: Map<Step, number>;
  /** When what the next step lies on is ready. */
  open: number;
}

/** When the first step left of a room can be begun, at the earliest. */
const openAt = ({ left: [first], ready }: Omit<Waiting, 'open'>): number =>
  first ? Math.max(0, ...LIES_ON[first.step].map((under) => ready.get(under) ?? 0)) : Infinity;

/**
 * The plan of the days: the crew together, one coat after the other. What can be begun first is begun; of what can be
 * begun at once the earlier coat goes first, through the rooms in their order. Mud hardens through nights and
 * weekends. Waiting is never counted as labour.
 */
export function planDays(job: Pick<Job, 'calendar' | 'way'>, rooms: readonly RoomWorked[], book: Book): Days {
  const { crew } = job.calendar;
  const setupMin = book[job.way.tools === 'machine' ? 'daySetupMachineMin' : 'daySetupMin'].value;
  const hours = new WorkHours(job.calendar, {
    setupMin,
    overtimeMin: book.overtimeMin.value,
    leastStartMin: book.leastStartMin.value,
  });
  const waiting = rooms
    .filter((room) => room.steps.length > 0)
    .map((room): Waiting => ({ room, left: [...room.steps], ready: new Map(), open: 0 }));
  const readyOf = new Map(waiting.map(({ room }) => [room.id, 0]));
  const tasks: DayTask[] = [];
  const worked = new Set<number>();
  let free = 0;
  let coatsMin = 0;
  for (;;) {
    let next: { at: number; rank: number; of: Waiting; step: RoomStep; takes: number } | undefined;
    for (const of of waiting) {
      const step = of.left[0];
      if (!step) continue;
      const rank = STEPS.indexOf(step.step);
      const least = Math.max(free, of.open);
      // A building has thousands of tasks; most are out of the running before the calendar is asked.
      if (next && (least > next.at || (least === next.at && rank >= next.rank))) continue;
      const takes = step.labourMin / handsIn(of.room.floorM2, crew, book);
      const at = hours.begins(least, takes);
      if (!next || at < next.at || (at === next.at && rank < next.rank)) next = { at, rank, of, step, takes };
    }
    if (!next) break;
    const { at, of, step, takes } = next;
    const end = hours.after(at, takes);
    const ready = end + step.hardenMin;
    free = end;
    of.left.shift();
    of.ready.set(step.step, ready);
    of.open = openAt(of);
    readyOf.set(of.room.id, Math.max(readyOf.get(of.room.id) ?? 0, ready));
    coatsMin += step.labourMin;
    for (let day = hours.dayOf(at); day <= hours.dayOf(end - 1e-6); day++)
      if (hours.works(day)) worked.add(day);
    tasks.push({
      room: of.room.id,
      step: step.step,
      start: hours.iso(at),
      end: hours.iso(end),
      ready: hours.iso(ready),
    });
  }
  const labour = coatsMin + worked.size * setupMin * crew;
  let last = -Infinity;
  for (const ready of readyOf.values()) last = Math.max(last, ready);
  return {
    tasks,
    rooms: [...readyOf].map(([room, ready]) => ({ room, ready: hours.iso(ready) })),
    finish: readyOf.size > 0 ? hours.iso(last) : undefined,
    labourMin: labour,
    setupMin: labour - coatsMin,
    sanity: sanityOf(job, rooms, labour, labour - coatsMin, book),
  };
}

/** Where mixing and cleaning are more than this share of all work, the days are short. */
const MUCH_SETUP = 0.2;

/** Holds the hours against what such work usually takes, and looks for the reason where they differ. */
function sanityOf(
  { calendar, way }: Pick<Job, 'calendar' | 'way'>,
  rooms: readonly RoomWorked[],
  labourMin: number,
  setupMin: number,
  book: Book,
): LabourSanity | undefined {
  const areaM2 = rooms.reduce((sum, room) => sum + room.boardAreaM2, 0);
  if (areaM2 <= 0 || labourMin <= 0) return undefined;
  const hPerM2 = labourMin / 60 / areaM2;
  const usual: LabourSanity['usual'] = [book.usualHoursLow.value, book.usualHoursHigh.value];
  const verdict = hPerM2 < usual[0] ? 'low' : hPerM2 > usual[1] ? 'high' : 'usual';
  const minutesIn = (step: Step): number =>
    rooms.reduce((sum, { steps }) => sum + (steps.find((s) => s.step === step)?.labourMin ?? 0), 0);
  const share = (step: Step): number => minutesIn(step) / labourMin;
  const visits = rooms.reduce((sum, { steps }) => sum + steps.length, 0) * book.roomSetupMin.value;
  const told: [boolean, string][] =
    verdict === 'high'
      ? [
          [calendar.hand === 'learner', 'learners take twice as long'],
          [share('skim') > 0.1, 'whole faces are skimmed'],
          [share('float') + share('cover') > 0.1, 'bellies or steps are floated'],
          [setupMin / labourMin > MUCH_SETUP, 'much of it is mixing and cleaning on short days'],
          [visits / labourMin > 0.1, 'many visits to small rooms'],
        ]
      : [
          [calendar.hand === 'quick', 'quick hands'],
          [way.tools === 'machine', 'machine tools'],
          [share('finish') < 0.1, 'no third coat at these grades'],
        ];
  const reasons = verdict === 'usual' ? [] : told.filter(([so]) => so).map(([, reason]) => reason);
  if (verdict === 'high' && reasons.length === 0)
    reasons.push('many joints, corners or butts for so much board');
  return { hPerM2, usual, verdict, reasons };
}
