import type { Book } from '../book';
import { STEPS, type Job, type Step } from '../job';
import { say, type Message } from '../texts';
import { WorkHours } from './calendar';
import { LIES_ON, type RoomStep } from './work';

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
  reasons: Message[];
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
  /** All of it that is hard last. */
  readyMax: number;
}

/** When what the first step left of a room lies on is ready. */
const openAt = ({ left: [first], ready }: Waiting): number =>
  first ? Math.max(0, ...LIES_ON[first.step].map((under) => ready.get(under) ?? 0)) : Infinity;

const rankOf = ([first]: readonly RoomStep[]): number => (first ? STEPS.indexOf(first.step) : STEPS.length);

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
    .map((room): Waiting => ({ room, left: [...room.steps], ready: new Map(), readyMax: 0 }));
  const tasks: DayTask[] = [];
  const worked = new Set<number>();
  // A building has thousands of tasks, and for each every room is looked at: plain numbers side by side.
  const open = Float64Array.from(waiting, openAt);
  const ranks = Uint8Array.from(waiting, ({ left }) => rankOf(left));
  let free = 0;
  let coatsMin = 0;
  for (;;) {
    let best = -1;
    let bestAt = Infinity;
    let bestRank = Infinity;
    let bestTakes = 0;
    for (let i = 0; i < open.length; i++) {
      const least = Math.max(free, open[i] as number);
      const rank = ranks[i] as number;
      // Most are out of the running before the calendar is asked.
      if (least > bestAt || (least === bestAt && rank >= bestRank) || least === Infinity) continue;
      const { room, left } = waiting[i] as Waiting;
      const takes = (left[0] as RoomStep).labourMin / handsIn(room.floorM2, crew, book);
      const at = hours.begins(least, takes);
      if (at > bestAt || (at === bestAt && rank >= bestRank)) continue;
      best = i;
      bestAt = at;
      bestRank = rank;
      bestTakes = takes;
    }
    if (best < 0) break;
    const of = waiting[best] as Waiting;
    const step = of.left.shift() as RoomStep;
    const end = hours.after(bestAt, bestTakes);
    const ready = end + step.hardenMin;
    free = end;
    of.ready.set(step.step, ready);
    of.readyMax = Math.max(of.readyMax, ready);
    open[best] = openAt(of);
    ranks[best] = rankOf(of.left);
    coatsMin += step.labourMin;
    for (let day = hours.dayOf(bestAt); day <= hours.dayOf(end - 1e-6); day++)
      if (hours.works(day)) worked.add(day);
    tasks.push({
      room: of.room.id,
      step: step.step,
      start: hours.iso(bestAt),
      end: hours.iso(end),
      ready: hours.iso(ready),
    });
  }
  const labour = coatsMin + worked.size * setupMin * crew;
  const last = waiting.reduce((most, { readyMax }) => Math.max(most, readyMax), -Infinity);
  return {
    tasks,
    rooms: waiting.map(({ room, readyMax }) => ({ room: room.id, ready: hours.iso(readyMax) })),
    finish: waiting.length > 0 ? hours.iso(last) : undefined,
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
  const told: [boolean, Message][] =
    verdict === 'high'
      ? [
          [calendar.hand === 'learner', say('because.learner')],
          [share('skim') > 0.1, say('because.faces')],
          [share('float') + share('cover') > 0.1, say('because.floats')],
          [setupMin / labourMin > MUCH_SETUP, say('because.short-days')],
          [visits / labourMin > 0.1, say('because.visits')],
        ]
      : [
          [calendar.hand === 'quick', say('because.quick')],
          [way.tools === 'machine', say('because.machine')],
          [share('finish') < 0.1, say('because.no-third')],
        ];
  const reasons = verdict === 'usual' ? [] : told.filter(([so]) => so).map(([, reason]) => reason);
  if (verdict === 'high' && reasons.length === 0) reasons.push(say('because.small'));
  return { hPerM2, usual, verdict, reasons };
}
