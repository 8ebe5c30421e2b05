import type { CompoundId, Coat } from '../job';
import { LB_PER_KG, printMass, printVolume, type UnitSystem } from '../units';

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
export function packageName({ kind, yieldsL, contentKg, name }: Package, units: UnitSystem): string {
  if (name !== undefined) return name;
  if (contentKg === undefined) return `${printVolume(yieldsL, units)} ${kind}`;
  return `${printMass(units === 'feet' ? Math.round(contentKg * LB_PER_KG) / LB_PER_KG : contentKg, units)} ${kind}`;
}

/** A generic class of compound. All figures typical; the package wins. */
export interface Compound {
  id: CompoundId;
  name: string;
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

type Row = [
  name: string,
  hardens: Compound['hardens'],
  density: number,
  shrink: number,
  minMm: number,
  maxMm: number,
  bond: number | undefined,
  sands: number,
  bed: Fit,
  fill: Fit,
  finish: Fit,
  skim: Fit,
  dryFactor: number,
];

const pails = (density: number): Package[] => [
  { id: 'pail-17', kind: 'pail', yieldsL: 17, massKg: 17 * density + 0.9, price: 19, for: 'feet' },
  { id: 'box-13', kind: 'box', yieldsL: 13, massKg: 13 * density + 0.3, price: 15, for: 'feet' },
  { id: 'tub-20', kind: 'tub', yieldsL: 20 / density, massKg: 20.7, contentKg: 20, price: 17, for: 'metric' },
];

const PACKAGES: Partial<Record<CompoundId, Package[]>> = {
  'setting-hard': [
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
  'setting-light': [
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
  hybrid: [
    { id: 'bag-10', kind: 'bag', yieldsL: 9, massKg: 10, contentKg: 10, waterL: 5.5, price: 22, for: 'both' },
  ],
  'patch-filler': [{ id: 'tub-1', kind: 'tub', yieldsL: 1, massKg: 0.65, price: 9, for: 'both' }],
};

const ROWS: Record<CompoundId, Row> = {
  'setting-hard': ['setting, hard', 'setting', 1.65, 0.02, 1, 25, 5, 1, 'yes', 'yes', 'no', 'no', 1],
  'setting-light': ['setting, light', 'setting', 1.25, 0.04, 1, 12, 4, 3, 'yes', 'yes', 'covered', 'no', 1],
  hybrid: ['hybrid', 'both', 1.45, 0.08, 0.5, 5, 4, 3, 'yes', 'yes', 'yes', 'no', 0.8],
  'drying-taping': ['taping', 'drying', 1.65, 0.2, 0.2, 3, 5, 2, 'yes', 'yes', 'poor', 'no', 1],
  'drying-all-purpose': ['all-purpose', 'drying', 1.6, 0.18, 0.2, 3, 4, 3, 'yes', 'yes', 'yes', 'thinned', 1],
  'drying-mid-weight': [
    'mid-weight drying',
    'drying',
    1.38,
    0.15,
    0.2,
    3,
    4,
    4,
    'yes',
    'yes',
    'yes',
    'yes',
    0.92,
  ],
  'drying-light': ['light drying', 'drying', 1.2, 0.12, 0.2, 3, 3, 4, 'contested', 'yes', 'yes', 'yes', 0.85],
  'drying-ultra-light': [
    'ultra-light drying',
    'drying',
    1,
    0.1,
    0.2,
    3,
    3,
    5,
    'contested',
    'yes',
    'yes',
    'yes',
    0.75,
  ],
  'drying-topping': ['topping', 'drying', 1.45, 0.15, 0.1, 2, 2, 5, 'no', 'yes', 'yes', 'yes', 0.9],
  'patch-filler': [
    'patch filler',
    'drying',
    0.6,
    0.03,
    0.2,
    5,
    undefined,
    5,
    'no',
    'dents',
    'dents',
    'no',
    0.75,
  ],
  surfacer: ['surfacer', 'drying', 1.55, 0.22, 0.2, 1, undefined, 4, 'no', 'no', 'no', 'yes', 1],
};

export const COMPOUND: Record<CompoundId, Compound> = Object.fromEntries(
  (Object.entries(ROWS) as [CompoundId, Row][]).map(([id, row]) => {
    const [name, hardens, densityKgL, shrink, minMm, maxMm, bond, sands, bed, fill, finish, skim, dryFactor] =
      row;
    const packages = PACKAGES[id] ?? pails(densityKgL);
    const compound: Compound = {
      id,
      name,
      hardens,
      densityKgL,
      shrink,
      minMm,
      maxMm,
      bond,
      sands,
      bed,
      fill,
      finish,
      skim,
      dryFactor,
      packages,
    };
    return [id, compound];
  }),
) as Record<CompoundId, Compound>;

/** How well a class suits a coat; prefilling is deep filling. */
export function fitFor(compound: CompoundId, coat: Coat): Fit {
  const row = COMPOUND[compound];
  if (coat === 'prefill') return row.hardens === 'drying' ? 'poor' : 'yes';
  return coat === 'tape' ? row.bed : row[coat];
}

/** Whether a class hardens by its own reaction, so that air and time on the clock do not matter. */
export const sets = (compound: CompoundId): boolean => COMPOUND[compound].hardens === 'setting';

/** Water by mass in wet drying compound, as a share. */
export const WATER_SHARE = 0.38;
