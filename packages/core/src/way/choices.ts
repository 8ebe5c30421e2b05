import type { ChoiceKey, Choices } from '../job';

export interface ChoiceText {
  name: string;
  /** Why its followers do it so, and what it costs. */
  reason: string;
}

type Texts = { [K in ChoiceKey]: { ask: string; of: Record<Choices[K], ChoiceText> } };

const t = (name: string, reason: string): ChoiceText => ({ name, reason });

/** Every choice of a way of working, what is asked, and what speaks for each answer. */
export const CHOICE_TEXT: Texts = {
  tools: {
    ask: 'Tools',
    of: {
      knives: t('pan and knives', 'Cheap, quick to clean, any joint; more pulls on a wide butt.'),
      trowels: t(
        'hawk and trowels',
        'A cambered trowel leaves a full joint in one pull; takes longer to learn.',
      ),
      machine: t(
        'machine tools',
        'Fast on long runs with an even coat; drying compound only, and washing up each night.',
      ),
    },
  },
  compounds: {
    ask: 'Compounds',
    of: {
      drying: t('drying throughout', 'One pail for everything and easy sanding; a night between coats.'),
      'setting-below': t(
        'setting below, drying above',
        'Hard, still tape coat that can be filled the same day; powder to mix.',
      ),
      'setting-same-day': t(
        'setting to the fill, same day',
        'Tape and fill in one day, finish dries overnight; little sanding forgiveness.',
      ),
      hybrid: t(
        'hybrid throughout',
        'Sets in an hour and still sands; one bag, but each mix must be used up.',
      ),
    },
  },
  tape: {
    ask: 'Tape',
    of: {
      paper: t('creased paper', 'Strongest, folds into angles; needs a full bed.'),
      mat: t('thin fibre mat', 'Lies flat and lets bubbles out; weaker in angles.'),
      mesh: t('self-adhesive mesh', 'No bed to lay first; weaker, and only sound under setting compound.'),
    },
  },
  prefill: {
    ask: 'Prefill with',
    of: {
      hard: t('hard setting', 'Keeps boards from closing on the joint as frames shrink; cannot be sanded.'),
      light: t('light setting', 'Can be sanded flush; a little weaker.'),
    },
  },
  prefillWhen: {
    ask: 'Prefill',
    of: {
      'over-threshold': t('wide gaps only', 'Less to do; narrow gaps fill from the bed.'),
      every: t('every joint', 'No joint can starve its tape; one more round of the room.'),
    },
  },
  overTape: {
    ask: 'Over fresh tape',
    of: {
      bare: t('leave the paper bare', 'Dries soonest and shows every blister; the fill coat hides the tape.'),
      wipe: t('wet it and wipe', 'Paper stays damp while the bed dries, so its edges lie down.'),
      cover: t('thin cover at once', 'A head start on the fill; dries slower and hides blisters.'),
    },
  },
  tapeOrder: {
    ask: 'Taping order',
    of: {
      'flats-first': t('flats, then butts', 'Each later tape covers the loose ends of the earlier.'),
      'butts-first': t('butts, then flats', 'Long flats run unbroken over the ends of the butts.'),
    },
  },
  coatOrder: {
    ask: 'Coating order',
    of: {
      'butts-first': t('butts, then flats', 'Butts stiffen before they are crossed.'),
      'flats-first': t('flats, then butts', 'Long runs first; the crossings are blended by hand while wet.'),
      'split-day': t('butts mornings, flats afternoons', 'Nothing is crossed wet; the day has two rounds.'),
    },
  },
  angles: {
    ask: 'Inside angles',
    of: {
      'one-face': t(
        'one face a coat',
        'Each face is pulled against a hard one: crisp by hand, one round more.',
      ),
      'both-faces': t('both faces at once', 'One pass with an angle head; needs the head and a steady hand.'),
    },
  },
  between: {
    ask: 'Between coats',
    of: {
      scrape: t('scrape ridges', 'No dust; a blade takes off crumbs and edges.'),
      sand: t('light sanding', 'Cleaner feathering; dust before every coat.'),
    },
  },
  heads: {
    ask: 'Heads',
    of: {
      same: t('same blade each coat', 'One tool in the hand.'),
      wider: t('wider blade each coat', 'Feathers the spots out; the last pass runs over the whole row.'),
    },
  },
};
