import type { Book } from '../book';
import type { Job, Step } from '../job';
import { say, type Message } from '../texts';
import type { RoomWorked } from './tasks';

/** Work a square metre of board against what level 4 by hand usually takes. */
export interface LabourSanity {
  hPerM2: number;
  usual: [low: number, high: number];
  verdict: 'usual' | 'low' | 'high';
  /** Why it falls outside. */
  reasons: Message[];
}

/** Where mixing and cleaning are more than this share of all work, the days are short. */
const MUCH_SETUP = 0.2;

/** Holds the hours against what such work usually takes, and looks for the reason where they differ. */
export function sanityOf(
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
