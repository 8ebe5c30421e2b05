import type { Way } from '../job';
import { say } from '../texts';
import type { ChoiceText } from './choices';

export interface Preset {
  id: PresetId;
  way: Way;
}

export type PresetId =
  | 'knives-drying'
  | 'knives-setting-below'
  | 'knives-same-day'
  | 'trowels-hybrid'
  | 'trowels-setting-below'
  | 'mesh-same-day'
  | 'knives-new-frame'
  | 'machine-drying';

/** What a preset is called, and why one would work so. */
export const presetText = (id: PresetId): ChoiceText => ({
  name: say(`preset.${id}`),
  reason: say(`preset.${id}.why`),
});

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
    way: KNIVES,
  },
  {
    id: 'knives-setting-below',
    way: { ...KNIVES, compounds: 'setting-below', overTape: 'bare' },
  },
  {
    id: 'knives-same-day',
    way: { ...KNIVES, compounds: 'setting-same-day', overTape: 'bare', setMin: 45 },
  },
  {
    id: 'trowels-hybrid',
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
    way: { ...KNIVES, compounds: 'setting-same-day', tape: 'mesh', overTape: 'bare', setMin: 45 },
  },
  {
    id: 'knives-new-frame',
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
