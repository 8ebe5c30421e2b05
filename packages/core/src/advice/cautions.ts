import { heights, MEND_PASSES, type Job, type Step } from '../job';
import { isApart } from '../repair';
import { say, type Message } from '../texts';

export type CautionPlace = 'rooms' | 'finish' | 'order' | 'days' | 'today' | 'check';

export interface Caution {
  id: string;
  places: CautionPlace[];
  /** On the wall only at these coats; at all where it is not given. */
  steps?: Step[];
  text: Message;
  /** The same in few words, for the wall. */
  short: Message;
}

interface CautionRule extends Omit<Caution, 'text' | 'short'> {
  id:
    | 'old-work'
    | 'ladders'
    | 'towers'
    | 'blades'
    | 'power'
    | 'mixing'
    | 'wet-mud'
    | 'lifting'
    | 'sanding'
    | 'heaters';
  applies: (job: Job) => boolean;
}

const setsSomewhere = (job: Job): boolean =>
  job.way.compounds !== 'drying' ||
  job.way.prefillWhen === 'every' ||
  // Spots mended by themselves are packed with setting compound in every way of working.
  job.rooms.some((room) => (room.damage ?? []).some((spot) => isApart(room, spot)));

const WET: Step[] = ['prefill', 'tape', 'float', 'fill', 'finish', 'cover', 'skim', ...MEND_PASSES];

/** Above this a fall is hardly survived, whatever one's own figure for high work says. */
const VERY_HIGH_MM = 5000;

const RULES: readonly CautionRule[] = [
  {
    id: 'old-work',
    places: ['rooms', 'finish', 'days', 'today', 'check'],
    applies: (job) =>
      job.rooms.some(
        (room) =>
          room.standing || room.oldWork || room.substrate === 'painted' || room.substrate === 'plaster',
      ),
  },
  {
    id: 'ladders',
    places: ['rooms', 'days', 'today'],
    applies: (job) => job.rooms.some((room) => room.plan.heightMm > 2450),
  },
  {
    id: 'towers',
    places: ['rooms', 'order', 'days', 'today'],
    applies: (job) => job.rooms.some((room) => heights(room)[1] > VERY_HIGH_MM),
  },
  {
    id: 'blades',
    places: ['today', 'check'],
    steps: ['prefill', 'tape', 'mend-1'],
    applies: () => true,
  },
  {
    id: 'power',
    places: ['today', 'check'],
    steps: ['prefill', 'tape', 'mend-1', 'sand'],
    applies: () => true,
  },
  {
    id: 'mixing',
    places: ['order', 'finish', 'today'],
    steps: WET,
    applies: setsSomewhere,
  },
  {
    id: 'wet-mud',
    places: ['order', 'finish', 'today'],
    steps: WET,
    applies: (job) => !setsSomewhere(job),
  },
  {
    id: 'lifting',
    places: ['order'],
    applies: () => true,
  },
  {
    id: 'sanding',
    places: ['days', 'finish', 'today', 'check'],
    steps: ['sand', 'mend-sand'],
    applies: (job) => job.rooms.some((room) => room.finish.grade >= 3),
  },
  {
    id: 'heaters',
    places: ['days', 'today'],
    applies: (job) => job.climate.tempC < 15,
  },
];

/** The cautions that apply to a job, each where the work is. */
export function cautionsFor(job: Job): Caution[] {
  return RULES.filter((rule) => rule.applies(job)).map(({ id, places, steps }) => ({
    id,
    places,
    ...(steps ? { steps } : {}),
    text: say(`caution.${id}`),
    short: say(`caution-short.${id}`),
  }));
}
