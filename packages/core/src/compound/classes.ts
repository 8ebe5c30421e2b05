import { COMPOUNDS, type Coat, type CompoundId } from '../job';
import { say, type Message } from '../texts';
import { LB_PER_KG, type UnitSystem } from '../units';

export type Fit = 'yes' | 'no' | 'contested' | 'poor' | 'covered' | 'thinned' | 'dents';

export interface Package {
  id: string;
  kind: 'pail' | 'box' | 'tub' | 'bag';
  /** Wet compound it makes or holds, L. */
  yieldsL: number;
  /** Mass to carry, kg. */
  massKg: number;
  /** Mass it is sold by, kg; pails are sold by volume. */
  contentKg?: number;
  /** Water to add, L; powders only. */
  waterL?: number;
  /** Typical, or the user's own. */
  price: number;
  /** What it is called where it is the user's own product. */
  name?: string;
  for: 'feet' | 'metric' | 'both';
}

/** A package by the measure it is sold by, in the job's units: `4.5 gal pail`, `18 lb bag`, `20 kg tub`. */
export function packageName(
  { kind, yieldsL, contentKg, name }: Package,
  units: UnitSystem,
): Message | string {
  if (name !== undefined) return name;
  if (contentKg === undefined) return say('package.volume', { volume: yieldsL, kind });
  const mass = units === 'feet' ? Math.round(contentKg * LB_PER_KG) / LB_PER_KG : contentKg;
  return say('package.mass', { mass, kind });
}

/** A generic class of compound. All figures typical; the package wins. */
export interface Compound {
  id: CompoundId;
  name: Message;
  hardens: 'setting' | 'drying' | 'both';
  /** Wet density, kg/L. */
  densityKgL: number;
  /** Share of the wet volume lost in hardening. */
  shrink: number;
  /** Thinnest and thickest coat, mm. */
  minMm: number;
  maxMm: number;
  /** Bond to tape and ease of sanding, 1 to 5. */
  bond: number | undefined;
  sands: number;
  bed: Fit;
  fill: Fit;
  finish: Fit;
  skim: Fit;
  /** Drying time against all-purpose. */
  dryFactor: number;
  packages: Package[];
}

const pails = (density: number): Package[] => [
  { id: 'pail-17', kind: 'pail', yieldsL: 17, massKg: 17 * density + 0.9, price: 19, for: 'feet' },
  { id: 'box-13', kind: 'box', yieldsL: 13, massKg: 13 * density + 0.3, price: 15, for: 'feet' },
  { id: 'tub-20', kind: 'tub', yieldsL: 20 / density, massKg: 20.7, contentKg: 20, price: 17, for: 'metric' },
];

/** Every class, by what it does. */
const CLASSES: Record<CompoundId, Omit<Compound, 'id' | 'name'>> = {
  'setting-hard': {
    hardens: 'setting',
    densityKgL: 1.65,
    shrink: 0.02,
    minMm: 1,
    maxMm: 25,
    bond: 5,
    sands: 1,
    bed: 'yes',
    fill: 'yes',
    finish: 'no',
    skim: 'no',
    dryFactor: 1,
    packages: [
      {
        id: 'bag-11',
        kind: 'bag',
        yieldsL: 10.9,
        massKg: 11.3,
        contentKg: 11.3,
        waterL: 6.3,
        price: 14,
        for: 'both',
      },
    ],
  },
  'setting-light': {
    hardens: 'setting',
    densityKgL: 1.25,
    shrink: 0.04,
    minMm: 1,
    maxMm: 12,
    bond: 4,
    sands: 3,
    bed: 'yes',
    fill: 'yes',
    finish: 'covered',
    skim: 'no',
    dryFactor: 1,
    packages: [
      {
        id: 'bag-8',
        kind: 'bag',
        yieldsL: 11.6,
        massKg: 8.2,
        contentKg: 8.2,
        waterL: 5.7,
        price: 16,
        for: 'both',
      },
      {
        id: 'box-2',
        kind: 'box',
        yieldsL: 3.25,
        massKg: 2.3,
        contentKg: 2.3,
        waterL: 1.6,
        price: 8,
        for: 'both',
      },
    ],
  },
  hybrid: {
    hardens: 'both',
    densityKgL: 1.45,
    shrink: 0.08,
    minMm: 0.5,
    maxMm: 5,
    bond: 4,
    sands: 3,
    bed: 'yes',
    fill: 'yes',
    finish: 'yes',
    skim: 'no',
    dryFactor: 0.8,
    packages: [
      {
        id: 'bag-10',
        kind: 'bag',
        yieldsL: 9,
        massKg: 10,
        contentKg: 10,
        waterL: 5.5,
        price: 22,
        for: 'both',
      },
    ],
  },
  'drying-taping': {
    hardens: 'drying',
    densityKgL: 1.65,
    shrink: 0.2,
    minMm: 0.2,
    maxMm: 3,
    bond: 5,
    sands: 2,
    bed: 'yes',
    fill: 'yes',
    finish: 'poor',
    skim: 'no',
    dryFactor: 1,
    packages: pails(1.65),
  },
  'drying-all-purpose': {
    hardens: 'drying',
    densityKgL: 1.6,
    shrink: 0.18,
    minMm: 0.2,
    maxMm: 3,
    bond: 4,
    sands: 3,
    bed: 'yes',
    fill: 'yes',
    finish: 'yes',
    skim: 'thinned',
    dryFactor: 1,
    packages: pails(1.6),
  },
  'drying-mid-weight': {
    hardens: 'drying',
    densityKgL: 1.38,
    shrink: 0.15,
    minMm: 0.2,
    maxMm: 3,
    bond: 4,
    sands: 4,
    bed: 'yes',
    fill: 'yes',
    finish: 'yes',
    skim: 'yes',
    dryFactor: 0.92,
    packages: pails(1.38),
  },
  'drying-light': {
    hardens: 'drying',
    densityKgL: 1.2,
    shrink: 0.12,
    minMm: 0.2,
    maxMm: 3,
    bond: 3,
    sands: 4,
    bed: 'contested',
    fill: 'yes',
    finish: 'yes',
    skim: 'yes',
    dryFactor: 0.85,
    packages: pails(1.2),
  },
  'drying-ultra-light': {
    hardens: 'drying',
    densityKgL: 1,
    shrink: 0.1,
    minMm: 0.2,
    maxMm: 3,
    bond: 3,
    sands: 5,
    bed: 'contested',
    fill: 'yes',
    finish: 'yes',
    skim: 'yes',
    dryFactor: 0.75,
    packages: pails(1),
  },
  'drying-topping': {
    hardens: 'drying',
    densityKgL: 1.45,
    shrink: 0.15,
    minMm: 0.1,
    maxMm: 2,
    bond: 2,
    sands: 5,
    bed: 'no',
    fill: 'yes',
    finish: 'yes',
    skim: 'yes',
    dryFactor: 0.9,
    packages: pails(1.45),
  },
  'patch-filler': {
    hardens: 'drying',
    densityKgL: 0.6,
    shrink: 0.03,
    minMm: 0.2,
    maxMm: 5,
    bond: undefined,
    sands: 5,
    bed: 'no',
    fill: 'dents',
    finish: 'dents',
    skim: 'no',
    dryFactor: 0.75,
    packages: [{ id: 'tub-1', kind: 'tub', yieldsL: 1, massKg: 0.65, price: 9, for: 'both' }],
  },
  surfacer: {
    hardens: 'drying',
    densityKgL: 1.55,
    shrink: 0.22,
    minMm: 0.2,
    maxMm: 1,
    bond: undefined,
    sands: 4,
    bed: 'no',
    fill: 'no',
    finish: 'no',
    skim: 'yes',
    dryFactor: 1,
    packages: pails(1.55),
  },
};

export const COMPOUND = Object.fromEntries(
  COMPOUNDS.map((id): [CompoundId, Compound] => [id, { id, name: say(`compound.${id}`), ...CLASSES[id] }]),
) as Record<CompoundId, Compound>;

/** How well a class suits a coat; prefilling is deep filling. */
export function fitFor(compound: CompoundId, coat: Coat): Fit {
  const row = COMPOUND[compound];
  if (coat === 'prefill') return row.hardens === 'drying' ? 'poor' : 'yes';
  return coat === 'tape' ? row.bed : row[coat];
}

/** Whether a class hardens by drying alone: nothing of it is mixed by the batch. */
export const dries = (compound: CompoundId): boolean => COMPOUND[compound].hardens === 'drying';

/** Whether a class hardens by its own reaction, so that air and time on the clock do not matter. */
export const sets = (compound: CompoundId): boolean => COMPOUND[compound].hardens === 'setting';

/** Water by mass in wet drying compound, as a share. */
export const WATER_SHARE = 0.38;
