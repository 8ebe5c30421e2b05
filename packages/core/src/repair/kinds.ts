import type { Coat, DamageKind } from '../job';

/** What is done at a repair, in the order of the work; some of it lays mud. */
export const REPAIR_STEPS = [
  'find-water',
  'dry-out',
  'look-behind',
  'scuff',
  'cut-loose',
  'pull-anchor',
  'screw-beside',
  'set-old',
  'square-up',
  'flange',
  'cut-square',
  'backing',
  'piece',
  'score-tape',
  'cut-ridge',
  'rake',
  'mist-scrape',
  'cut-down',
  'cut-out-bead',
  'ring',
  'seal-paper',
  'seal-stain',
  'pack',
  'bed',
  'bed-bead',
  'screed',
  'flush',
  'feather',
  'skim',
  'skim-across',
  'sand',
  'prime',
] as const;
export type RepairStep = (typeof REPAIR_STEPS)[number];

/** Steps that lay mud, and the coat they lay. */
export const LAYS: Partial<Record<RepairStep, Coat>> = {
  pack: 'prefill',
  bed: 'tape',
  'bed-bead': 'tape',
  flange: 'tape',
  screed: 'fill',
  flush: 'fill',
  feather: 'finish',
  skim: 'skim',
  'skim-across': 'skim',
};

/** What a step is done with, in plain classes of tools. */
export const REPAIR_TOOLS = [
  'lamp',
  'meter',
  'board-knife',
  'jab-saw',
  'driver',
  'scraper',
  'mister',
  'snips',
  'straightedge',
  'pencil',
  'pan-knives',
  'wide-blade',
  'small-roller',
  'hand-pad',
  'vacuum-pad',
] as const;
export type RepairTool = (typeof REPAIR_TOOLS)[number];

const PAN = ['pan-knives'] as const;

const DONE_WITH: Record<RepairStep, readonly RepairTool[]> = {
  'find-water': ['lamp'],
  'dry-out': ['meter'],
  'look-behind': ['lamp'],
  scuff: ['hand-pad'],
  'cut-loose': ['board-knife'],
  'pull-anchor': ['driver'],
  'screw-beside': ['driver'],
  'set-old': ['driver'],
  'square-up': ['board-knife', 'jab-saw'],
  'cut-square': ['straightedge', 'jab-saw'],
  backing: ['driver'],
  piece: ['board-knife', 'driver'],
  'score-tape': ['board-knife'],
  'cut-ridge': ['scraper'],
  rake: ['board-knife'],
  'mist-scrape': ['mister', 'scraper'],
  'cut-down': ['scraper'],
  'cut-out-bead': ['snips', 'driver'],
  ring: ['straightedge', 'pencil'],
  'seal-paper': ['small-roller'],
  'seal-stain': ['small-roller'],
  flange: PAN,
  pack: PAN,
  bed: PAN,
  'bed-bead': PAN,
  flush: PAN,
  screed: ['straightedge', 'pan-knives'],
  feather: ['wide-blade'],
  skim: ['wide-blade'],
  'skim-across': ['wide-blade'],
  sand: ['vacuum-pad'],
  prime: ['small-roller'],
};

/** The tools of some steps, each once, in the order they are taken up. */
export const toolsOf = (steps: readonly RepairStep[]): RepairTool[] => [
  ...new Set(steps.flatMap((step) => DONE_WITH[step])),
];

/** How a kind of damage is mended. */
export interface Repair {
  /** Round spots go by their size across, lines by their length, fields by their two sides. */
  shape: 'spot' | 'line' | 'field';
  /** Its size where nobody tells it, mm. */
  usualMm: number;
  /** Deep enough to be packed first: how deep, as a share of the board. */
  packed: number;
  taped: boolean;
  /** By itself: what is done, from the first look to the primer. */
  steps: readonly RepairStep[];
  /** Old paint, texture or compound is scraped, cut or sanded in it. */
  disturbs: boolean;
  /** What it takes beside mud and tape, for each of it, or for a metre of a line. */
  screws?: number;
  /** Board cut to fit, and strips behind it. */
  patch?: boolean;
  strips?: number;
  bead?: boolean;
  sealer?: boolean;
}

const spot = { shape: 'spot', packed: 0, taped: false, disturbs: false } as const;
const line = { shape: 'line', packed: 0, taped: true, disturbs: true } as const;
const field = { shape: 'field', packed: 0, taped: false, disturbs: true } as const;

/** Repairs of the trade; figures typical. */
export const REPAIR: Record<DamageKind, Repair> = {
  dent: { ...spot, usualMm: 30, steps: ['scuff', 'cut-loose', 'flush', 'feather', 'sand', 'prime'] },
  'popped-head': {
    ...spot,
    usualMm: 12,
    steps: ['screw-beside', 'set-old', 'scuff', 'flush', 'feather', 'sand', 'prime'],
    screws: 1,
  },
  'anchor-hole': {
    ...spot,
    usualMm: 12,
    packed: 0.5,
    steps: ['pull-anchor', 'cut-loose', 'scuff', 'pack', 'feather', 'sand', 'prime'],
  },
  'small-hole': {
    ...spot,
    usualMm: 100,
    packed: 0.8,
    taped: true,
    steps: ['look-behind', 'square-up', 'scuff', 'flange', 'flush', 'feather', 'sand', 'prime'],
    disturbs: true,
    patch: true,
  },
  'large-hole': {
    ...spot,
    usualMm: 300,
    packed: 0.1,
    taped: true,
    steps: [
      'look-behind',
      'cut-square',
      'backing',
      'piece',
      'scuff',
      'pack',
      'bed',
      'flush',
      'feather',
      'sand',
      'prime',
    ],
    disturbs: true,
    screws: 8,
    patch: true,
    strips: 2,
  },
  'failed-tape': {
    ...line,
    usualMm: 1000,
    steps: ['score-tape', 'seal-paper', 'scuff', 'bed', 'flush', 'feather', 'sand', 'prime'],
    sealer: true,
  },
  'crushed-joint': {
    ...line,
    usualMm: 600,
    packed: 0.5,
    steps: ['cut-loose', 'screw-beside', 'scuff', 'pack', 'bed', 'flush', 'feather', 'sand', 'prime'],
    screws: 4,
  },
  step: { ...line, usualMm: 1200, steps: ['ring', 'scuff', 'bed', 'screed', 'feather', 'sand', 'prime'] },
  texture: {
    ...field,
    usualMm: 3000,
    steps: ['mist-scrape', 'seal-paper', 'skim', 'skim-across', 'sand', 'prime'],
    sealer: true,
  },
  blister: {
    ...spot,
    usualMm: 150,
    taped: true,
    steps: ['score-tape', 'seal-paper', 'scuff', 'bed', 'flush', 'feather', 'sand', 'prime'],
    disturbs: true,
    sealer: true,
  },
  ridge: {
    ...line,
    usualMm: 1200,
    steps: ['cut-ridge', 'rake', 'scuff', 'pack', 'bed', 'flush', 'feather', 'sand', 'prime'],
    packed: 0.3,
  },
  stain: {
    ...field,
    usualMm: 400,
    steps: ['find-water', 'dry-out', 'cut-loose', 'seal-stain', 'feather', 'sand', 'prime'],
    sealer: true,
  },
  'corner-crack': {
    ...line,
    usualMm: 600,
    packed: 0.3,
    steps: ['rake', 'screw-beside', 'scuff', 'pack', 'bed', 'flush', 'feather', 'sand', 'prime'],
    screws: 2,
  },
  bead: {
    ...line,
    usualMm: 600,
    taped: false,
    steps: ['cut-out-bead', 'scuff', 'bed-bead', 'flush', 'feather', 'sand', 'prime'],
    bead: true,
  },
  low: {
    ...field,
    usualMm: 600,
    disturbs: false,
    steps: ['ring', 'scuff', 'screed', 'feather', 'sand', 'prime'],
  },
  proud: { ...line, usualMm: 1200, taped: false, steps: ['ring', 'cut-down', 'feather', 'sand', 'prime'] },
  rough: { ...field, usualMm: 200, disturbs: false, steps: ['cut-loose', 'feather', 'sand', 'prime'] },
  angle: { ...line, usualMm: 2400, taped: false, steps: ['cut-down', 'flush', 'feather', 'sand', 'prime'] },
};
