/** The words a job file may use. Data that hang on them live in the folders of their subject. */

export const FORMAT = 'lisse-job/1';

export const DECORATIONS = [
  'none',
  'tile',
  'knockdown',
  'heavy-spray',
  'heavy-texture',
  'heavy-wallcovering',
  'skip-trowel',
  'medium-texture',
  'light-spray',
  'imperfect-smooth',
  'light-texture',
  'light-wallcovering',
  'flat-paint',
  'eggshell',
  'satin',
  'semi-gloss',
  'gloss',
  'deep-colour',
] as const;
export type Decoration = (typeof DECORATIONS)[number];

/** What goes on between compound and decoration. */
export const PRIMERS = ['none', 'primer', 'high-build', 'sealer'] as const;
export type Primer = (typeof PRIMERS)[number];

export const SUBSTRATES = ['paper', 'glass-mat', 'painted', 'plaster'] as const;
export type Substrate = (typeof SUBSTRATES)[number];

export const COMPOUNDS = [
  'setting-hard',
  'setting-light',
  'hybrid',
  'drying-taping',
  'drying-all-purpose',
  'drying-mid-weight',
  'drying-light',
  'drying-ultra-light',
  'drying-topping',
  'patch-filler',
  'surfacer',
] as const;
export type CompoundId = (typeof COMPOUNDS)[number];

/** How quick the people on a job are, against a steady finisher. */
export const HANDS = ['learner', 'steady', 'quick'] as const;
export type CrewPace = (typeof HANDS)[number];

export const COATS = ['prefill', 'tape', 'fill', 'finish', 'skim'] as const;
export type Coat = (typeof COATS)[number];

/** A coat through a room; a float and the coat over it are work of their own; the last is sanding. */
export const COAT_STEPS = ['prefill', 'tape', 'float', 'fill', 'finish', 'cover', 'skim', 'sand'] as const;
/** Mud that goes on spots mended by themselves, one pass after the other, and their sanding. */
export const MEND_PASSES = ['mend-1', 'mend-2', 'mend-3', 'mend-4', 'mend-5'] as const;
export type MendPass = (typeof MEND_PASSES)[number];
export const STEPS = [...COAT_STEPS.slice(0, 6), ...MEND_PASSES, 'skim', 'sand', 'mend-sand'] as const;
export type Step = (typeof COAT_STEPS)[number] | MendPass | 'mend-sand';

/** What somebody of the crew may leave to the others. */
export const EXCLUDED_WORK = ['tape', 'coat', 'skim', 'box', 'sand'] as const;
export type ExcludedWork = (typeof EXCLUDED_WORK)[number];

/** What an entry of the log tells. */
export const LOG_KINDS = [
  'started',
  'paused',
  'done',
  'ready',
  'reading',
  'received',
  'opened',
  'used',
  'spoiled',
  'allowed',
  'cut',
  'mixed',
  'hard',
  'cleaned',
  'ran',
  'checked',
  'finding',
  'cured',
  'closed',
  'reopened',
  'round',
  'looked',
  'straightedge',
  'signed',
  'note',
  'photo',
  'timed',
  'withdrawn',
] as const;
export type LogKind = (typeof LOG_KINDS)[number];

/** What packages are chosen by: little bought without many of them, the price, what is left over, how often one bends. */
export const BUYINGS = ['amount', 'cost', 'leftover', 'lifts'] as const;
export type Buying = (typeof BUYINGS)[number];

/** How sure one is that what is bought is enough: on every other job, on four jobs of five, on nineteen of twenty. */
export const SURES = ['even', 'good', 'high'] as const;
export type Sure = (typeof SURES)[number];

/** What the sum of a bid is made of, in the order it is added up. */
export const BID_KINDS = [
  'materials',
  'labour',
  'trips',
  'smallest',
  'equipment',
  'overhead',
  'margin',
  'rounding',
  'tax',
] as const;
export type BidKind = (typeof BID_KINDS)[number];

/** What told that a coat is ready: a dab of the same mix on scrap board, a meter, a hand. */
export const TOLD_BY = ['chip', 'meter', 'touch'] as const;
export type ReportedBy = (typeof TOLD_BY)[number];

/** What is found wrong with a finished surface, by how it shows. */
export const FAULTS = [
  'loose-tape',
  'tape-edge',
  'crown',
  'hollow',
  'edge-crack',
  'ridge',
  'hair-cracks',
  'pinholes',
  'shoulders',
  'scratches',
  'soft',
  'flashing',
  'heads-show',
  'wavy-angle',
  'gouge',
  'fuzzed',
  'dent',
  'other',
] as const;
export type Fault = (typeof FAULTS)[number];

/** When a round of looking is made: between coats, before primer and again after it, and when the work is handed over. */
export const ROUND_STAGES = ['between', 'before-primer', 'after-primer', 'handover'] as const;
export type RoundStage = (typeof ROUND_STAGES)[number];

/** What a spot that is mended lies on. */
export const BARES = ['bare', 'painted'] as const;
export type Bare = (typeof BARES)[number];

/** How spots are mended by themselves: with all mud in one visit, or with last coats that dry over night. */
export const MENDINGS = ['one-visit', 'overnight'] as const;
export type Mending = (typeof MENDINGS)[number];

/** What is looked at before a coat, while it is laid, or when it is done. */
export const CHECKS = [
  'dry-blade',
  'gaps-open',
  'cut-edges',
  'chip',
  'rings-crumbs',
  'rim',
  'bead-valley',
  'tape-tight',
  'angle-straight',
  'edges-thin',
  'heads-felt',
  'lamp',
  'mask',
] as const;
export type Check = (typeof CHECKS)[number];

/** What is coated; the rows of the coat board. */
export const ELEMENTS = [
  'flats',
  'mixed',
  'recessed',
  'butts',
  'angles',
  'corners',
  'heads',
  'repairs',
  'face',
] as const;
export type Element = (typeof ELEMENTS)[number];

/** How stiff the mud is mixed, from as delivered to pouring. */
export const CONSISTENCIES = ['C1', 'C2', 'C3', 'C4', 'C5', 'C6'] as const;
export type Consistency = (typeof CONSISTENCIES)[number];

/** Beads and trims by how they are made and fixed. */
export const BEADS = ['nail-on', 'paper-faced', 'plastic', 'bullnose', 'flexible', 'l-trim'] as const;
export type BeadKind = (typeof BEADS)[number];

/** Blades and machines a finisher may own; what each is stands with the ways of working. */
export const TOOLS = [
  'knife-75',
  'knife-100',
  'knife-125',
  'knife-150',
  'knife-200',
  'knife-250',
  'knife-300',
  'knife-350',
  'trowel-cambered-355',
  'trowel-flat-405',
  'blade-500',
  'blade-600',
  'blade-800',
  'pan',
  'hawk',
  'taper',
  'roller',
  'tube',
  'box-180',
  'box-250',
  'box-300',
  'head-65',
  'head-75',
  'head-90',
  'spotter-75',
] as const;
export type ToolId = (typeof TOOLS)[number];

/** Set times that can be bought, min. */
export const SET_CLASSES = [5, 20, 30, 45, 60, 90, 120, 150, 180, 210] as const;

export const TAPES = ['paper', 'mat', 'mesh'] as const;
export type Tape = (typeof TAPES)[number];

/** The independent choices that make a way of working, in the order they are asked. */
export const CHOICES = {
  tools: ['knives', 'trowels', 'machine'],
  compounds: ['drying', 'setting-below', 'setting-same-day', 'hybrid'],
  tape: TAPES,
  prefill: ['hard', 'light'],
  prefillWhen: ['over-threshold', 'every'],
  overTape: ['bare', 'wipe', 'cover'],
  tapeOrder: ['flats-first', 'butts-first'],
  coatOrder: ['butts-first', 'flats-first', 'split-day'],
  angles: ['one-face', 'both-faces'],
  between: ['scrape', 'sand'],
  heads: ['same', 'wider'],
} as const;
export type ChoiceKey = keyof typeof CHOICES;

export const AIRS = ['sealed', 'still', 'fan'] as const;
export type Air = (typeof AIRS)[number];

/** Where the weather by the hour came from; the logger is simulated. */
export const WEATHERS = ['table', 'logger'] as const;
export type WeatherFrom = (typeof WEATHERS)[number];

export const OPENING_KINDS = ['door', 'window', 'opening'] as const;
/** What happens at the edges of an opening: boarded into, covered by a casing, or finished with an L-trim. */
export const RETURNS = ['boarded', 'cased', 'trim'] as const;
export const SILLS = ['boarded', 'other'] as const;

/** Ceilings by their planes; the height of a room is that of its low side. */
export const CEILINGS = ['flat', 'slope', 'gable'] as const;
export type CeilingKind = (typeof CEILINGS)[number];

/** What stands where a face takes no board: old work to tape to, an edge that stays in sight, or a grid that covers it. */
export const UNBOARDED_REASONS = ['old', 'edge', 'grid'] as const;
export type Instead = (typeof UNBOARDED_REASONS)[number];

/** What stands in or hangs into a room. A ledge stays unboarded. */
export const BOXES = ['soffit', 'beam', 'column', 'ledge'] as const;
export type BoxKind = (typeof BOXES)[number];

/** How boards run on a wall: across the studs, upright, or whichever leaves less butt. */
export const WALL_BOARDS = ['across', 'upright', 'least-butt'] as const;
export type WallBoards = (typeof WALL_BOARDS)[number];

export const DAMAGES = [
  'dent',
  'popped-head',
  'anchor-hole',
  'small-hole',
  'large-hole',
  'failed-tape',
  'crushed-joint',
  'step',
  'texture',
  'blister',
  'ridge',
  'stain',
  'corner-crack',
  'bead',
  'low',
  'proud',
  'rough',
  'angle',
] as const;
export type DamageKind = (typeof DAMAGES)[number];
export const LEVELS = [0, 1, 2, 3, 4, 5] as const;
export const QUALITIES = [1, 2, 3, 4] as const;

export const JOINT_KINDS = [
  'tapered',
  'butt',
  'mixed',
  'recessed-butt',
  'inside-angle',
  'outside-corner',
  'off-angle-inside',
  'off-angle-outside',
  'trim',
] as const;
export type JointKind = (typeof JOINT_KINDS)[number];
