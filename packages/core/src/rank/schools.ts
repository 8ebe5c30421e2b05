import type { Choices, Way } from '../job';
import { say, type Message } from '../texts';
import { choiceText } from '../way';

/** One side of a question finishers disagree on. */
export interface School {
  name: Message;
  reason: Message;
  take: (way: Way) => Way;
}

export interface Dispute {
  id: string;
  ask: Message;
  sides: [School, School];
}

type Key = 'prefillWhen' | 'overTape' | 'tape' | 'coatOrder' | 'angles' | 'between' | 'compounds' | 'prefill';

/** A side that is one choice of the way. */
function side<K extends Key>(key: K, value: Way[K], more: Partial<Way> = {}): School {
  return {
    ...choiceText(key, value as Choices[K]),
    take: (way) => ({ ...way, [key]: value, ...more }),
  };
}

const bedded = (how: 'heavy' | 'light', compound: 'drying-all-purpose' | 'drying-light'): School => ({
  name: say(`dispute.light-bed.${how}`),
  reason: say(`dispute.light-bed.${how}.why`),
  take: (way) => ({ ...way, compoundFor: { ...way.compoundFor, tape: compound } }),
});

/** Questions the trade does not agree on; both sides are offered, each with what it costs on the job. */
export const DISPUTES: readonly Dispute[] = [
  {
    id: 'light-bed',
    ask: say('dispute.light-bed'),
    sides: [bedded('heavy', 'drying-all-purpose'), bedded('light', 'drying-light')],
  },
  {
    id: 'below',
    ask: say('dispute.below'),
    sides: [side('compounds', 'drying'), side('compounds', 'setting-below')],
  },
  {
    id: 'prefill-when',
    ask: say('dispute.prefill-when'),
    sides: [side('prefillWhen', 'over-threshold'), side('prefillWhen', 'every')],
  },
  {
    id: 'prefill-with',
    ask: say('dispute.prefill-with'),
    sides: [side('prefill', 'light'), side('prefill', 'hard')],
  },
  {
    id: 'over-tape',
    ask: say('dispute.over-tape'),
    sides: [side('overTape', 'bare'), side('overTape', 'cover')],
  },
  {
    id: 'mesh',
    ask: say('dispute.mesh'),
    sides: [side('tape', 'paper'), side('tape', 'mesh', { compounds: 'setting-below' })],
  },
  {
    id: 'crossing',
    ask: say('dispute.crossing'),
    sides: [side('coatOrder', 'butts-first'), side('coatOrder', 'flats-first')],
  },
  {
    id: 'between',
    ask: say('dispute.between'),
    sides: [side('between', 'scrape'), side('between', 'sand')],
  },
];
