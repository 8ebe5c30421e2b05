import type { Way } from '../job';
import { CHOICE_TEXT } from '../way';

/** One side of a question finishers disagree on. */
export interface School {
  name: string;
  reason: string;
  take: (way: Way) => Way;
}

export interface Dispute {
  id: string;
  ask: string;
  sides: [School, School];
}

type Key = 'prefillWhen' | 'overTape' | 'tape' | 'coatOrder' | 'angles' | 'between' | 'compounds' | 'prefill';

/** A side that is one choice of the way. */
function side<K extends Key>(key: K, value: Way[K], more: Partial<Way> = {}): School {
  const text = (CHOICE_TEXT[key].of as Record<string, { name: string; reason: string }>)[value as string];
  return {
    name: text?.name ?? String(value),
    reason: text?.reason ?? '',
    take: (way) => ({ ...way, [key]: value, ...more }),
  };
}

const bedded = (name: string, reason: string, compound: 'drying-all-purpose' | 'drying-light'): School => ({
  name,
  reason,
  take: (way) => ({ ...way, compoundFor: { ...way.compoundFor, tape: compound } }),
});

/** Questions the trade does not agree on; both sides are offered, each with what it costs on the job. */
export const DISPUTES: readonly Dispute[] = [
  {
    id: 'light-bed',
    ask: 'May a light compound bed tape?',
    sides: [
      bedded(
        'heavier compound under tape',
        'More glue in it: strips pulled off cured samples tear the paper.',
        'drying-all-purpose',
      ),
      bedded(
        'one light compound throughout',
        'Many never see it fail; a third lighter to carry and easier to sand.',
        'drying-light',
      ),
    ],
  },
  {
    id: 'below',
    ask: 'What goes under the drying coats?',
    sides: [side('compounds', 'drying'), side('compounds', 'setting-below')],
  },
  {
    id: 'prefill-when',
    ask: 'Which gaps are packed?',
    sides: [side('prefillWhen', 'over-threshold'), side('prefillWhen', 'every')],
  },
  {
    id: 'prefill-with',
    ask: 'Packed with what?',
    sides: [side('prefill', 'light'), side('prefill', 'hard')],
  },
  {
    id: 'over-tape',
    ask: 'What goes over fresh tape?',
    sides: [side('overTape', 'bare'), side('overTape', 'cover')],
  },
  {
    id: 'mesh',
    ask: 'Paper, or mesh under setting compound?',
    sides: [side('tape', 'paper'), side('tape', 'mesh', { compounds: 'setting-below' })],
  },
  {
    id: 'crossing',
    ask: 'Butts or flats first?',
    sides: [side('coatOrder', 'butts-first'), side('coatOrder', 'flats-first')],
  },
  {
    id: 'between',
    ask: 'Scrape or sand between coats?',
    sides: [side('between', 'scrape'), side('between', 'sand')],
  },
];
