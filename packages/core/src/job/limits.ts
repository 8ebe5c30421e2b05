/** The least and the most a number of the job may be, and its unit. */
export interface Limit {
  readonly least: number;
  readonly most: number;
  readonly unit?: string;
}

const limit = (least: number, most: number, unit?: string): Limit => ({
  least,
  most,
  ...(unit ? { unit } : {}),
});
const mm = (least: number, most: number): Limit => limit(least, most, 'mm');

/** Along a wall, and above a floor: any place a room can have. */
const ALONG = mm(0, 100000);
const UP = mm(0, 30000);
const HEIGHT = mm(300, 30000);
const SET = limit(5, 210, 'min');
const BOARD_THICK = mm(6, 30);
const STUDS = mm(200, 1300);
const STEP = mm(-20, 20);

/**
 * What every measure of a job file may be. The door of the file, its published schema and the fields of the
 * application read these and no others, so that what a field takes can be opened again.
 */
export const LIMITS = {
  room: {
    lengthMm: mm(300, 100000),
    widthMm: mm(300, 100000),
    heightMm: HEIGHT,
    storey: limit(-10, 200, 'floors'),
  },
  outline: {
    /** Either coordinate of a corner; a drawing's origin may lie far off. */
    corner: mm(-1000000, 1000000),
    /** From its leftmost to its rightmost corner, and from its lowest to its highest. */
    acrossMm: mm(300, 400000),
    areaM2: limit(0.09, 100000, 'm²'),
    corners: limit(3, 200),
  },
  opening: {
    leftMm: ALONG,
    bottomMm: UP,
    widthMm: mm(50, 100000),
    heightMm: mm(50, 30000),
    depthMm: mm(10, 2000),
    archMm: mm(0, 10000),
  },
  ceiling: { highMm: HEIGHT, flatMm: HEIGHT },
  box: {
    leftMm: ALONG,
    offMm: ALONG,
    alongMm: mm(20, 100000),
    outMm: mm(20, 100000),
    bottomMm: UP,
    topMm: mm(20, 30000),
  },
  closet: {
    leftMm: ALONG,
    widthMm: mm(300, 20000),
    depthMm: mm(300, 20000),
    heightMm: HEIGHT,
    doorLeftMm: mm(0, 20000),
    doorWidthMm: mm(50, 20000),
    doorHeightMm: mm(50, 30000),
  },
  board: { widthMm: mm(300, 2000), lengthMm: mm(600, 8000), thicknessMm: BOARD_THICK },
  framing: { wallMm: STUDS, ceilingMm: STUDS },
  light: { grazingDeg: limit(0.5, 90, 'degrees') },
  lamp: { at: mm(-1000000, 1000000), heightMm: UP },
  joint: {
    gapMm: mm(0, 100),
    humpMm: mm(-50, 50),
    spanMm: mm(50, 3000),
    lippageMm: STEP,
    notchMm: mm(0, 6),
    lengthMm: mm(1, 100000),
    thicknessMm: BOARD_THICK,
  },
  face: { framingMm: STUDS, cut: ALONG },
  seam: { atMm: ALONG, stepMm: STEP },
  damage: {
    at: mm(-1000000, 1000000),
    sizeMm: mm(1, 10000),
    depthMm: mm(0, 100),
    count: limit(1, 500),
  },
  counts: {
    mm: mm(0, 100000000),
    corners: limit(1, 10000),
    heads: limit(0, 1000000),
    areaM2: limit(0, 100000, 'm²'),
  },
  cell: {
    bladeMm: mm(50, 1000),
    bandMm: mm(50, 4000),
    camberMm: mm(0, 3),
    layers: limit(1, 8),
    setMin: SET,
    waitMin: limit(0, 20160, 'min'),
  },
  way: { prefillOverMm: mm(0, 50), setMin: SET, batchL: limit(0.5, 60, 'L') },
  product: {
    yieldsL: limit(0.1, 1000, 'L'),
    massKg: limit(0.1, 1500, 'kg'),
    waterL: limit(0, 1000, 'L'),
    shrink: limit(0, 0.6),
    setMin: SET,
    price: limit(0, 100000),
    onHandL: limit(0, 100000, 'L'),
  },
  peel: { days: limit(0, 1000, 'days'), tornCm2: limit(0, 10000, 'cm²'), cleanCm2: limit(0, 10000, 'cm²') },
  stick: { lengthMm: mm(50, 20000), count: limit(0, 10000) },
  tool: { fillL: limit(0.1, 20, 'L') },
  shop: { liftKg: limit(1, 200, 'kg') },
  climate: {
    tempC: limit(-20, 45, '°C'),
    rhPct: limit(5, 98, '%'),
    outC: limit(-50, 50, '°C'),
    changesPerH: limit(0, 20),
    dryLPerDay: limit(0, 500, 'L'),
  },
  calendar: { crew: limit(1, 50, 'people') },
  log: {
    minutes: limit(0, 100000, 'min'),
    tempC: limit(-40, 60, '°C'),
    rhPct: limit(0, 100, '%'),
    moisturePct: limit(0, 100, '%'),
    amount: limit(0, 1e7),
    each: limit(0.001, 1e6),
    part: limit(0, 1000),
    setMin: limit(1, 1440, 'min'),
    potMin: limit(0, 14400, 'min'),
    sets: limit(0.05, 20),
    ring: limit(1, 100000),
    edgeMm: mm(100, 6000),
    gapMm: mm(0, 100),
    lampOffMm: mm(1, 5000),
    /** Of a picture: from its left and its top, a share of its width and its height; a corner may lie outside. */
    share: limit(-2, 3),
    stroke: limit(0, 1),
  },
  quote: { count: limit(0, 100000), days: limit(0, 365, 'days') },
  bid: { amount: limit(-1e9, 1e9), validDays: limit(1, 365, 'days') },
} satisfies Record<string, Record<string, Limit>>;

/** A bid holds so long where nothing else is said, days; typical. */
export const USUAL_VALID_DAYS = 30;

/** The first and the last day a job may name. */
export const DATES = { least: '1900-01-01', most: '2199-12-31' } as const;

/** Every real day between them, the 29th of February only where there is one, as a pattern. */
export const REAL_DAY = `^(?:${[
  '(?:19|2[01])\\d\\d-(?:0[13578]|1[02])-(?:0[1-9]|[12]\\d|3[01])',
  '(?:19|2[01])\\d\\d-(?:0[469]|11)-(?:0[1-9]|[12]\\d|30)',
  '(?:19|2[01])\\d\\d-02-(?:0[1-9]|1\\d|2[0-8])',
  '(?:19(?:0[48]|[2468][048]|[13579][26])|20(?:[02468][048]|[13579][26])|21(?:0[48]|[2468][048]|[13579][26]))-02-29',
].join('|')})$`;
const realDay = new RegExp(REAL_DAY);

/** Whether a text is a day of the calendar that a job may name: `2026-11-30`. */
export const isDay = (text: string): boolean => realDay.test(text);

/** Letters of a name and of a note. */
export const NAME_LETTERS = 200;
export const NOTE_LETTERS = 1000;

/** How many of each a job, and a room, may hold. */
export const MOST = {
  rooms: 5000,
  openings: 200,
  boxes: 100,
  closets: 20,
  lamps: 50,
  seams: 100,
  damage: 500,
  joints: 20000,
  faces: 2000,
  cuts: 100,
  cutRows: 200,
  lengths: 20,
  widths: 5,
  products: 500,
  sticks: 500,
  peels: 500,
  ways: 100,
  setAside: 1000,
  people: 50,
  off: 400,
  shut: 50,
  pins: 2000,
  weather: 9000,
  care: 500,
  doors: 500,
  log: 100000,
  handed: 100,
  strokes: 200,
  strokePoints: 2000,
  prices: 1000,
  quoteLines: 500,
  equipment: 100,
} as const;

/** A size told without its direction, of a measure that may go either way. */
export const upTo = ({ most, unit }: Limit): Limit => ({ least: 0, most, ...(unit ? { unit } : {}) });

export const within = (value: number, { least, most }: Limit): boolean => value >= least && value <= most;

/** The nearest number a limit allows. */
export const clamped = (value: number, { least, most }: Limit): number =>
  Math.min(most, Math.max(least, value));

/** A name of no more letters than a name may have; what is put behind it stays whole. */
export function nameWith(name: string, behind = ''): string {
  return `${cutShort(name, NAME_LETTERS - behind.length)}${behind}`;
}

/** The first letters of a text; a letter of two halves is not cut in two. */
export function cutShort(text: string, letters: number): string {
  if (text.length <= letters) return text;
  const cut = text.slice(0, letters);
  return /[\uD800-\uDBFF]$/.test(cut) ? cut.slice(0, -1) : cut;
}
