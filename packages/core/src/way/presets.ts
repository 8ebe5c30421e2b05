import type { Way } from '../job';

export interface Preset {
  id: string;
  name: string;
  reason: string;
  way: Way;
}

const KNIVES: Way = {
  tools: 'knives',
  compounds: 'drying',
  tape: 'paper',
  prefill: 'light',
  prefillWhen: 'over-threshold',
  overTape: 'wipe',
  tapeOrder: 'flats-first',
  coatOrder: 'butts-first',
  angles: 'one-face',
  between: 'scrape',
  heads: 'wider',
  prefillOverMm: 3,
  setMin: 90,
};

/** Named ways of working; each is only a set of the independent choices. */
export const PRESETS: readonly Preset[] = [
  {
    id: 'knives-drying',
    name: 'Pan and knives, drying',
    reason: 'One pail, easy sanding, a night between coats.',
    way: KNIVES,
  },
  {
    id: 'knives-setting-below',
    name: 'Pan and knives, setting below',
    reason:
      'Setting for prefill and tape, so the fill goes on the same day; drying above for an easy finish.',
    way: { ...KNIVES, compounds: 'setting-below', overTape: 'bare' },
  },
  {
    id: 'knives-same-day',
    name: 'Pan and knives, tape and fill in a day',
    reason: 'Setting up to the fill, one drying finish overnight; for short jobs and cold rooms.',
    way: { ...KNIVES, compounds: 'setting-same-day', overTape: 'bare', setMin: 45 },
  },
  {
    id: 'trowels-hybrid',
    name: 'Hawk and trowels, hybrid',
    reason: 'Cambered trowel for the fill, wide flat one for the finish, one compound for every coat.',
    way: {
      ...KNIVES,
      tools: 'trowels',
      compounds: 'hybrid',
      prefill: 'hard',
      prefillWhen: 'every',
      overTape: 'cover',
      setMin: 60,
      heads: 'same',
    },
  },
  {
    id: 'machine-drying',
    name: 'Machine tools, drying',
    reason: 'Taper, boxes and angle heads on long runs; drying compound only, since setting would lock them.',
    way: { ...KNIVES, tools: 'machine', angles: 'both-faces', heads: 'same', between: 'sand' },
  },
];

/** The preset a way equals, choice by choice, or none when it was changed by hand. */
export function presetOf(way: Way): Preset | undefined {
  const keys = Object.keys(KNIVES) as (keyof Way)[];
  const plain = !way.compoundFor || Object.keys(way.compoundFor).length === 0;
  return plain ? PRESETS.find((preset) => keys.every((key) => preset.way[key] === way[key])) : undefined;
}
