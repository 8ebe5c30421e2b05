import type { Job } from '../job';
import { say, type Message } from '../texts';

export type CautionPlace = 'rooms' | 'finish' | 'order' | 'days';

export interface Caution {
  id: string;
  places: CautionPlace[];
  text: Message;
}

interface CautionRule extends Omit<Caution, 'text'> {
  id: 'old-work' | 'ladders' | 'mixing' | 'wet-mud' | 'lifting' | 'sanding' | 'heaters';
  applies: (job: Job) => boolean;
}

const setsSomewhere = (job: Job): boolean =>
  job.way.compounds !== 'drying' || job.way.prefillWhen === 'every';

const RULES: readonly CautionRule[] = [
  {
    id: 'old-work',
    places: ['rooms', 'finish', 'days'],
    applies: (job) =>
      job.rooms.some((room) => room.oldWork || room.substrate === 'painted' || room.substrate === 'plaster'),
  },
  {
    id: 'ladders',
    places: ['rooms', 'days'],
    applies: (job) => job.rooms.some((room) => room.plan.heightMm > 2450),
  },
  {
    id: 'mixing',
    places: ['order', 'finish'],
    applies: setsSomewhere,
  },
  {
    id: 'wet-mud',
    places: ['order', 'finish'],
    applies: (job) => !setsSomewhere(job),
  },
  {
    id: 'lifting',
    places: ['order'],
    applies: () => true,
  },
  {
    id: 'sanding',
    places: ['days', 'finish'],
    applies: (job) => job.rooms.some((room) => room.finish.grade >= 3),
  },
  {
    id: 'heaters',
    places: ['days'],
    applies: (job) => job.climate.tempC < 15,
  },
];

/** The cautions that apply to a job, each where the work is. */
export function cautionsFor(job: Job): Caution[] {
  return RULES.filter((rule) => rule.applies(job)).map(({ id, places }) => ({
    id,
    places,
    text: say(`caution.${id}`),
  }));
}
