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
    id: 'trowels-setting-below',
    name: 'Hawk and trowels, setting below',
    reason:
      'Cambered trowel over a hard setting tape coat; drying above, finished with the wide flat trowel.',
    way: {
      ...KNIVES,
      tools: 'trowels',
      compounds: 'setting-below',
      overTape: 'bare',
      setMin: 60,
      heads: 'same',
    },
  },
  {
    id: 'mesh-same-day',
    name: 'Mesh and setting, for patches and small rooms',
    reason:
      'Mesh needs no bed laid first and setting compound holds it; two coats in a day where few joints are pulled.',
    way: { ...KNIVES, compounds: 'setting-same-day', tape: 'mesh', overTape: 'bare', setMin: 45 },
  },
  {
    id: 'knives-new-frame',
    name: 'Pan and knives, for a frame that will shrink',
    reason:
      'Every joint packed hard before tape so that boards cannot close on it; butts taped first, drying above.',
    way: {
      ...KNIVES,
      compounds: 'setting-below',
      prefill: 'hard',
      prefillWhen: 'every',
      overTape: 'bare',
      tapeOrder: 'butts-first',
    },
  },
  {
    id: 'machine-drying',
    name: 'Machine tools, drying',
    reason: 'Taper, boxes and angle heads on long runs; drying compound only, since setting would lock them.',
    way: { ...KNIVES, tools: 'machine', angles: 'both-faces', heads: 'same', between: 'sand' },
  },
];

/** Whether two ways make the same choices, cell by cell and compound by compound. */
export function sameWay(a: Way, b: Way): boolean {
  const plain = ({ compoundFor, cells, bead, batchL, ...rest }: Way) =>
    JSON.stringify([
      Object.keys(KNIVES).map((key) => rest[key as keyof typeof rest]),
      Object.entries(compoundFor ?? {}).sort(),
      Object.entries(cells ?? {}).sort(),
      bead ?? 'nail-on',
      batchL ?? 0,
    ]);
  return plain(a) === plain(b);
}

/** The preset a way equals, choice by choice, or none when it was changed by hand. */
export const presetOf = (way: Way): Preset | undefined => PRESETS.find((preset) => sameWay(preset.way, way));
