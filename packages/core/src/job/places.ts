/** Fields of the job in words, where the name of the field is not the word itself. */
const WORDS: Readonly<Record<string, string>> = {
  rooms: 'rooms',
  lengthMm: 'length',
  widthMm: 'width',
  heightMm: 'height',
  depthMm: 'depth of its returns',
  leftMm: 'place along the wall',
  bottomMm: 'height above the floor',
  topMm: 'height of its top',
  offMm: 'distance off the wall',
  alongMm: 'size along the wall',
  outMm: 'size off the wall',
  archMm: 'rise of its arch',
  highMm: 'height of the high side',
  flatMm: 'height of the flat part',
  doorLeftMm: 'place of its opening',
  doorWidthMm: 'width of its opening',
  doorHeightMm: 'height of its opening',
  lengthsMm: 'stock lengths',
  alsoWidthsMm: 'other board widths',
  thicknessMm: 'thickness',
  walls: 'way the boards run',
  wallMm: 'studs',
  ceilingMm: 'joists',
  ceilingAlong: 'way the joists run',
  gapMm: 'gap',
  humpMm: 'hump',
  spanMm: 'width of the hump',
  lippageMm: 'step',
  notchMm: 'bevel',
  stepMm: 'step',
  atMm: 'place',
  at: 'place',
  sizeMm: 'size',
  bandMm: 'band',
  bladeMm: 'blade',
  camberMm: 'bow of the blade',
  setMin: 'set time',
  waitMin: 'wait',
  prefillOverMm: 'gap that is packed',
  batchL: 'batch',
  compoundFor: 'compound for a coat',
  yieldsL: 'what a package makes',
  massKg: 'weight',
  waterL: 'water',
  onHandL: 'what is on hand',
  useBy: 'use-by date',
  inUse: 'whether it is in use',
  tornCm2: 'area torn',
  cleanCm2: 'area let go clean',
  liftKg: 'what one carries',
  grazingDeg: 'angle of the light',
  tempC: 'temperature',
  rhPct: 'humidity',
  startDate: 'first day',
  from: 'beginning',
  to: 'end',
  setAside: 'advice set aside',
  areaM2: 'area',
  mm: 'counted lengths',
  oldWork: 'old work',
  oldClear: 'old work found clear',
  instead: 'what stands where no board is',
  hand: 'how quick the crew is',
  cells: 'coat board',
  counts: 'counted joints',
  plan: 'size',
  outline: 'outline',
};

/** One of a list, in words. */
const ONE: Readonly<Record<string, string>> = {
  rooms: 'room',
  openings: 'opening',
  boxes: 'box',
  closets: 'closet',
  lamps: 'lamp',
  seams: 'seam',
  damage: 'damaged spot',
  joints: 'joint',
  faces: 'face',
  products: 'product',
  peels: 'peel test',
  ways: 'way of working',
  cells: 'cell',
  setAside: 'advice',
};

const inside = (value: unknown, key: string): unknown =>
  typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[key] : undefined;

const textAt = (value: unknown, key: string): string | undefined => {
  const text = inside(value, key);
  return typeof text === 'string' && text.trim() !== '' ? text.slice(0, 60) : undefined;
};

/**
 * A path of a job file as a person would say it: `rooms[0].openings[1].widthMm` is
 * `window 2 of the Reading room, width`.
 */
export function placeInWords(doc: unknown, path: string): string {
  const steps = [...path.matchAll(/\[([^\]]*)\]|([^.[\]]+)/g)].map((m) => m[1] ?? m[2] ?? '');
  const things: string[] = [];
  let fields: string[] = [];
  let at = doc;
  for (let i = 0; i < steps.length; i++) {
    const key = steps[i] as string;
    const next = steps[i + 1];
    const held = inside(at, key);
    const one = ONE[key];
    if (one !== undefined && next !== undefined && typeof held === 'object' && held !== null) {
      things.unshift(oneInWords(key, one, held, next));
      fields = [];
      at = inside(held, next);
      i++;
    } else {
      // What only holds others together says nothing of its own where more follows.
      if (next === undefined || !['plan', 'shop', 'calendar', 'climate'].includes(key))
        fields.push(WORDS[key] ?? key);
      at = held;
    }
  }
  const thing = things.reduce((all, part) => (all === '' ? part : `${all} of ${part}`), '');
  const field = fields.join(', ');
  if (thing === '') return field === '' ? path : field;
  return field === '' ? thing : `${thing}, ${field}`;
}

function oneInWords(list: string, one: string, held: object, key: string): string {
  if (!Array.isArray(held)) return `${one} ${key}`;
  const n = Number(key);
  const thing = (held as unknown[])[n];
  const name = list === 'rooms' || list === 'products' || list === 'ways' ? textAt(thing, 'name') : undefined;
  if (name !== undefined) return list === 'rooms' ? name : `${one} “${name}”`;
  const kind = textAt(thing, 'kind');
  const same =
    kind === undefined ? [] : (held as unknown[]).slice(0, n).filter((o) => textAt(o, 'kind') === kind);
  return kind === undefined || list === 'damage'
    ? `${one} ${n + 1}`
    : `${kind.replace(/-/g, ' ')} ${same.length + 1}`;
}
