import type { Job } from '../job';

export type CautionPlace = 'rooms' | 'finish' | 'order' | 'days';

export interface Caution {
  id: string;
  places: CautionPlace[];
  text: string;
}

const ENDING = 'Local codes and licensed practice decide.';

interface CautionRule extends Caution {
  applies: (job: Job) => boolean;
}

const setsSomewhere = (job: Job): boolean =>
  job.way.compounds !== 'drying' || job.way.prefillWhen === 'every';

const RULES: readonly CautionRule[] = [
  {
    id: 'old-work',
    places: ['rooms', 'finish', 'days'],
    text: 'Old texture, compound and paint may hold asbestos or lead: test before it is touched.',
    applies: (job) =>
      job.rooms.some((room) => room.oldWork || room.substrate === 'painted' || room.substrate === 'plaster'),
  },
  {
    id: 'ladders',
    places: ['rooms', 'days'],
    text: 'High work: stilts, ladders and platforms on a clear floor, never on stairs.',
    applies: (job) => job.rooms.some((room) => room.plan.heightMm > 2450),
  },
  {
    id: 'mixing',
    places: ['order', 'finish'],
    text: 'Setting compound warms as it hardens: never cast it around skin. Wet compound dries out skin and eyes. Wash nothing down a drain.',
    applies: setsSomewhere,
  },
  {
    id: 'wet-mud',
    places: ['order', 'finish'],
    text: 'Wet compound dries out skin and eyes. Wash nothing down a drain.',
    applies: (job) => !setsSomewhere(job),
  },
  {
    id: 'lifting',
    places: ['order'],
    text: 'Pails and bags are heavy: two people or a cart over 23 kg (50 lb).',
    applies: () => true,
  },
  {
    id: 'sanding',
    places: ['days', 'finish'],
    text: 'Sanding dust holds silica: vacuum at the pad or sand wet, and wear a fitted respirator.',
    applies: (job) => job.rooms.some((room) => room.finish.grade >= 3),
  },
  {
    id: 'heaters',
    places: ['days'],
    text: 'Fuelled heaters need fresh air and add moisture.',
    applies: (job) => job.climate.tempC < 15,
  },
];

/** The cautions that apply to a job, each where the work is. */
export function cautionsFor(job: Job): Caution[] {
  return RULES.filter((rule) => rule.applies(job)).map(({ id, places, text }) => ({
    id,
    places,
    text: `${text} ${ENDING}`,
  }));
}
