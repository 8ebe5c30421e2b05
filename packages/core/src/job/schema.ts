import {
  AIRS,
  BEADS,
  BOXES,
  CEILINGS,
  CHOICES,
  COATS,
  COMPOUNDS,
  CONSISTENCIES,
  DAMAGES,
  DECORATIONS,
  ELEMENTS,
  FORMAT,
  JOINT_KINDS,
  LEVELS,
  OPENING_KINDS,
  PRIMERS,
  QUALITIES,
  RETURNS,
  SILLS,
  SUBSTRATES,
  TAPES,
  TOOLS,
  WALL_BOARDS,
} from './vocabulary';
import { id, list, name, number, object, range, some, words, type Schema } from './schema-parts';

const time = { type: 'string', pattern: '^([01]\\d|2[0-3]):[0-5]\\d$' };
const wall = { type: 'integer', minimum: 0, maximum: 199, description: 'counted from 0 along the outline' };
const height = range(300, 30000, { description: 'mm' });
const photo = { type: 'string', pattern: '^data:image/jpeg;base64,', maxLength: 400100 };
const date = { type: 'string', pattern: '^\\d{4}-\\d{2}-\\d{2}$' };
const text = { type: 'string', maxLength: 1000 };

const look = {
  finish: {
    anyOf: [
      object({ scale: { const: 'level' }, grade: words(LEVELS) }),
      object({ scale: { const: 'q' }, grade: words(QUALITIES) }),
    ],
  },
  decoration: words(DECORATIONS),
  light: object(
    {
      kind: words(['ordinary', 'critical']),
      grazingDeg: range(0.5, 90),
      from: { ...id, description: 'the opening or lamp it comes from' },
    },
    ['grazingDeg', 'from'],
  ),
  primer: words(PRIMERS),
};

const cellEdit = some({
  coat: words(['skip', 'add']),
  compound: words(COMPOUNDS),
  consistency: words(CONSISTENCIES),
  bladeMm: range(50, 1000),
  bandMm: range(50, 4000, { description: 'full width left on the wall' }),
  camberMm: range(0, 3, { description: 'mud left at mid-blade' }),
  layers: { type: 'integer', minimum: 1, maximum: 8, description: 'layers, each hard before the next' },
  float: { type: 'boolean', description: 'pulled with a straightedge over the whole band' },
  setMin: range(5, 210),
  waitMin: range(0, 20160),
});
const cellsBy = (keys: readonly string[]): Schema => ({
  type: 'object',
  description: 'changed cells of the coat board',
  propertyNames: words(keys),
  additionalProperties: cellEdit,
});

const size = range(300, 100000, { description: 'mm' });

const room = object(
  {
    id,
    name,
    plan: {
      anyOf: [
        object({
          outline: list(list(range(-200000, 200000), { minItems: 2, maxItems: 2 }), {
            minItems: 3,
            maxItems: 200,
          }),
          heightMm: height,
        }),
        object({ lengthMm: size, widthMm: size, heightMm: height }),
        object({ counted: { const: true, description: 'counted, not drawn' }, heightMm: height }),
      ],
    },
    ceiling: object(
      {
        kind: words(CEILINGS.filter((kind) => kind !== 'flat')),
        wall: { ...wall, description: 'rises away from this wall, or has its ridge along it' },
        highMm: range(300, 30000, { description: 'at the high side or the ridge' }),
        flatMm: range(300, 30000, { description: 'cut off level at this height' }),
      },
      ['flatMm'],
    ),
    openings: list(
      object(
        {
          id,
          wall,
          kind: words(OPENING_KINDS),
          leftMm: range(0, 100000, { description: 'from the left end of the wall, seen from inside' }),
          bottomMm: range(0, 30000, { description: 'above the floor' }),
          widthMm: range(50, 100000),
          heightMm: range(50, 30000),
          returns: words(RETURNS),
          depthMm: range(10, 2000, { description: 'depth of boarded returns' }),
          sill: words(SILLS),
          archMm: range(0, 10000, { description: 'rise of an arched head, within the height' }),
        },
        ['depthMm', 'sill', 'archMm'],
      ),
      { maxItems: 200 },
    ),
    boxes: list(
      object(
        {
          id,
          kind: words(BOXES),
          wall,
          leftMm: range(0, 100000, { description: 'along the wall from its left end' }),
          offMm: range(0, 100000, { description: 'off the wall' }),
          alongMm: range(20, 100000),
          outMm: range(20, 100000),
          bottomMm: range(0, 30000),
          topMm: range(20, 30000, { description: 'to the ceiling where it is not given' }),
        },
        ['topMm'],
      ),
      { maxItems: 100 },
    ),
    closets: list(
      object({
        id,
        wall,
        leftMm: range(0, 100000),
        widthMm: range(300, 20000),
        depthMm: range(300, 20000),
        heightMm: range(300, 30000),
        doorLeftMm: range(0, 20000, { description: 'from the left end of the closet' }),
        doorWidthMm: range(50, 20000),
        doorHeightMm: range(50, 30000),
        returns: words(['boarded', 'cased']),
      }),
      { maxItems: 20 },
    ),
    board: object(
      {
        widthMm: range(300, 2000),
        lengthsMm: list(range(600, 8000), { minItems: 1, maxItems: 20 }),
        thicknessMm: range(6, 30),
        walls: words(WALL_BOARDS),
        alsoWidthsMm: list(range(300, 2000), { maxItems: 5 }),
      },
      ['alsoWidthsMm'],
    ),
    framing: object({
      wallMm: range(200, 1300),
      ceilingMm: range(200, 1300),
      ceilingAlong: words(['length', 'width']),
    }),
    ...look,
    lamps: list(object({ id, at: list(number, { minItems: 2, maxItems: 2 }), heightMm: range(0, 30000) }), {
      maxItems: 50,
    }),
    substrate: words(SUBSTRATES),
    oldWork: { type: 'boolean' },
    rated: { type: 'boolean' },
    damp: { type: 'boolean' },
    garage: { type: 'boolean', description: 'a garage, or a wall between a garage and living space' },
    joints: {
      type: 'object',
      description: 'what was measured on a joint, by its id',
      additionalProperties: some({
        kind: words(JOINT_KINDS),
        gapMm: range(0, 100),
        humpMm: range(-50, 50),
        spanMm: range(50, 3000, { description: 'half the width the hump spreads over' }),
        lippageMm: range(-20, 20),
        notchMm: range(0, 6, { description: 'butt ends trimmed back on a bevel, depth at the joint' }),
        lengthMm: range(1, 100000),
        thicknessMm: range(6, 30),
        note: text,
        photo,
        bead: words(BEADS),
        cells: cellsBy(COATS),
      }),
    },
    faces: {
      type: 'object',
      description: 'what is known of one face, by its id',
      additionalProperties: some({
        along: words(['across', 'upright']),
        from: words(['high', 'low']),
        framingMm: range(200, 1300),
        framing: words(['up', 'along']),
        substrate: words(SUBSTRATES),
        rated: { type: 'boolean' },
        unboarded: { type: 'boolean' },
        cuts: { type: 'object', additionalProperties: list(range(0, 100000), { maxItems: 100 }) },
        ...look,
      }),
    },
    seams: list(
      object({
        id,
        face: name,
        runs: words(['up', 'along']),
        atMm: range(0, 100000),
        old: words(['low', 'high']),
        stepMm: range(-20, 20),
      }),
      { maxItems: 100 },
    ),
    damage: list(
      object(
        {
          id,
          face: name,
          at: list(range(-200000, 200000), { minItems: 2, maxItems: 2 }),
          kind: words(DAMAGES),
          sizeMm: range(1, 10000),
          note: name,
        },
        ['note'],
      ),
      { maxItems: 500 },
    ),
    counts: object(
      {
        mm: some(Object.fromEntries(JOINT_KINDS.map((kind) => [kind, range(0, 1e8)]))),
        corners: { type: 'integer', minimum: 1, maximum: 10000 },
        heads: { type: 'integer', minimum: 0, maximum: 1000000 },
        areaM2: range(0, 100000),
      },
      ['corners', 'heads', 'areaM2'],
    ),
    cells: cellsBy(ELEMENTS.flatMap((element) => COATS.map((coat) => `${element}.${coat}`))),
  },
  [
    'ceiling',
    'boxes',
    'closets',
    'oldWork',
    'rated',
    'damp',
    'joints',
    'faces',
    'seams',
    'damage',
    'counts',
    'cells',
    'primer',
    'lamps',
    'garage',
  ],
);

const way = object(
  {
    ...Object.fromEntries(Object.entries(CHOICES).map(([key, values]) => [key, words(values)])),
    prefillOverMm: range(0, 50),
    setMin: range(5, 210, { description: 'set time on the bag, min' }),
    compoundFor: object(Object.fromEntries(COATS.map((coat) => [coat, words(COMPOUNDS)])), [...COATS]),
    bead: words(BEADS),
    batchL: range(0.5, 60, { description: 'what is mixed at once, L' }),
    cells: cellsBy(ELEMENTS.flatMap((element) => COATS.map((coat) => `${element}.${coat}`))),
  },
  ['compoundFor', 'bead', 'batchL', 'cells'],
);

const shop = some({
  kit: list(words(TOOLS), { description: 'tools owned' }),
  products: list(
    object(
      {
        id,
        name,
        compound: words(COMPOUNDS),
        kind: words(['pail', 'box', 'tub', 'bag']),
        yieldsL: range(0.1, 1000),
        massKg: range(0.1, 1500),
        waterL: range(0, 1000),
        shrink: range(0, 0.6),
        setMin: range(5, 210),
        price: range(0, 100000),
        onHandL: range(0, 100000),
        useBy: date,
        opened: date,
        inUse: { type: 'boolean' },
      },
      ['waterL', 'shrink', 'setMin', 'price', 'onHandL', 'useBy', 'opened'],
    ),
    { maxItems: 500 },
  ),
  peels: list(
    object(
      {
        id,
        compound: words(COMPOUNDS),
        product: id,
        tape: words(TAPES),
        days: range(0, 1000),
        tornCm2: range(0, 10000, { description: 'where the paper itself tore' }),
        cleanCm2: range(0, 10000, { description: 'where the strip let go clean' }),
        date,
        note: text,
        photo,
      },
      ['product', 'date', 'note', 'photo'],
    ),
    { maxItems: 500 },
  ),
  ways: list(object({ id, name, way }), { maxItems: 100 }),
  figures: { type: 'object', additionalProperties: range(0, 1e6) },
  liftKg: range(1, 200),
  money: name,
});

/** JSON Schema of a job file; the checks of reading say more (crossing walls, openings past their wall). */
export const JOB_SCHEMA: Schema = {
  $schema: 'http://json-schema.org/draft-07/schema#',
  title: 'Lisse job',
  description:
    'A drywall finishing job. Lengths mm, temperatures °C, times min; fields not named here are kept.',
  ...object(
    {
      format: { const: FORMAT },
      id,
      name,
      units: words(['feet', 'metric']),
      place: name,
      rooms: list(room, { maxItems: 2000 }),
      way,
      climate: object({ tempC: range(-20, 45), rhPct: range(5, 98), air: words(AIRS) }),
      calendar: object(
        {
          startDate: date,
          from: time,
          to: time,
          weekdays: list({ type: 'integer', minimum: 0, maximum: 6 }, { minItems: 1, uniqueItems: true }),
          crew: { type: 'integer', minimum: 1, maximum: 50 },
          deadline: date,
        },
        ['deadline'],
      ),
      shop,
      setAside: list(object({ key: name, reason: text, date }), { maxItems: 1000 }),
      agreement: some({ owner: name, finisher: name, note: text }),
    },
    ['place', 'shop', 'setAside', 'agreement'],
  ),
};
