import {
  AIRS,
  BOXES,
  CEILINGS,
  CHOICES,
  COATS,
  COMPOUNDS,
  DAMAGES,
  DECORATIONS,
  FORMAT,
  JOINT_KINDS,
  LEVELS,
  OPENING_KINDS,
  QUALITIES,
  RETURNS,
  SILLS,
  SUBSTRATES,
  WALL_BOARDS,
} from './vocabulary';

type Schema = Record<string, unknown>;

const range = (minimum: number, maximum: number, more: Schema = {}): Schema => ({
  type: 'number',
  minimum,
  maximum,
  ...more,
});
const words = (list: readonly (string | number)[]): Schema => ({ enum: [...list] });
const list = (items: Schema, more: Schema = {}): Schema => ({ type: 'array', items, ...more });
/** Fields that are not named are allowed and kept. */
const object = (properties: Record<string, Schema>, optional: string[] = []): Schema => ({
  type: 'object',
  required: Object.keys(properties).filter((key) => !optional.includes(key)),
  properties,
});

/** Every field may be missing. */
const some = (properties: Record<string, Schema>): Schema => object(properties, Object.keys(properties));

const id = { type: 'string', pattern: '^[A-Za-z0-9][A-Za-z0-9_.-]{0,63}$' };
const name = { type: 'string', maxLength: 200 };
const time = { type: 'string', pattern: '^([01]\\d|2[0-3]):[0-5]\\d$' };
const wall = { type: 'integer', minimum: 0, maximum: 199, description: 'counted from 0 along the outline' };
const height = range(300, 30000, { description: 'mm' });
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
    finish: {
      anyOf: [
        object({ scale: { const: 'level' }, grade: words(LEVELS) }),
        object({ scale: { const: 'q' }, grade: words(QUALITIES) }),
      ],
    },
    decoration: words(DECORATIONS),
    light: object({ kind: words(['ordinary', 'critical']), grazingDeg: range(0.5, 90) }, ['grazingDeg']),
    substrate: words(SUBSTRATES),
    oldWork: { type: 'boolean' },
    rated: { type: 'boolean' },
    damp: { type: 'boolean' },
    joints: {
      type: 'object',
      description: 'what was measured on a joint, by its id',
      additionalProperties: some({
        kind: words(JOINT_KINDS),
        gapMm: range(0, 100),
        humpMm: range(-50, 50),
        spanMm: range(50, 900, { description: 'half the width the hump spreads over' }),
        lippageMm: range(-20, 20),
        lengthMm: range(1, 100000),
        thicknessMm: range(6, 30),
        note: { type: 'string', maxLength: 1000 },
        photo: { type: 'string', pattern: '^data:image/jpeg;base64,', maxLength: 400100 },
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
    bands: object({ flatMm: range(100, 1700), buttMm: range(100, 1700) }, ['flatMm', 'buttMm']),
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
    'bands',
  ],
);

const way = object(
  {
    ...Object.fromEntries(Object.entries(CHOICES).map(([key, values]) => [key, words(values)])),
    prefillOverMm: range(0, 50),
    setMin: range(5, 210, { description: 'set time on the bag, min' }),
    compoundFor: object(Object.fromEntries(COATS.map((coat) => [coat, words(COMPOUNDS)])), [...COATS]),
  },
  ['compoundFor'],
);

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
      calendar: object({
        startDate: { type: 'string', pattern: '^\\d{4}-\\d{2}-\\d{2}$' },
        from: time,
        to: time,
        weekdays: list({ type: 'integer', minimum: 0, maximum: 6 }, { minItems: 1, uniqueItems: true }),
        crew: { type: 'integer', minimum: 1, maximum: 50 },
      }),
    },
    ['place'],
  ),
};

const number = { type: 'number' };
const byName = { type: 'object', additionalProperties: number };

/** JSON Schema of a plan, as the terminal prints it. */
export const PLAN_SCHEMA: Schema = {
  $schema: 'http://json-schema.org/draft-07/schema#',
  title: 'Lisse plan',
  description:
    'What Lisse makes of a job. Derived, never stored. Lengths mm, volumes L, masses kg, times min or local ISO times.',
  ...object({
    format: { const: 'lisse-plan/1' },
    job: id,
    rooms: list(
      object({
        id,
        faces: list(
          object({
            id: name,
            kind: words(['ceiling', 'slope', 'wall', 'box', 'reveal']),
            name: { type: 'string' },
            rings: list(list(list(number, { minItems: 2, maxItems: 2 }))),
            box: list(number, { minItems: 4, maxItems: 4 }),
            areaM2: number,
            boarded: { type: 'boolean' },
          }),
        ),
        boards: list(
          object({
            face: name,
            rect: list(number, { minItems: 4, maxItems: 4 }),
            stockMm: number,
            sheet: { type: 'integer' },
            offcut: { type: 'boolean' },
          }),
        ),
        joints: list(
          object({
            id: name,
            kind: words(JOINT_KINDS),
            face: name,
            line: list(number, { minItems: 4, maxItems: 4 }),
            lengthMm: number,
            gapMm: number,
            humpMm: number,
            lippageMm: number,
          }),
        ),
        sheets: object({
          bought: list(object({ widthMm: number, lengthMm: number, count: { type: 'integer' } })),
          boughtM2: number,
          wasteM2: number,
        }),
        fasteners: { type: 'integer' },
        boardAreaM2: number,
        cells: list(
          object({
            element: name,
            coat: words(COATS),
            compound: words(COMPOUNDS),
            bladeMm: number,
            bandMm: number,
          }),
        ),
        steps: list(
          object({
            step: name,
            labourMin: number,
            how: words(['setting', 'drying', 'none']),
            hardenMin: number,
          }),
        ),
        advice: list({ type: 'object' }),
      }),
    ),
    totals: object({
      boardAreaM2: number,
      fasteners: { type: 'integer' },
      jointMm: byName,
      tapeMm: byName,
      wetL: number,
      wetLByClass: byName,
      wetLByCoat: byName,
    }),
    coats: list(words(COATS)),
    order: object({ compounds: list({ type: 'object' }), massKg: number }),
    days: object({
      tasks: list(object({ room: id, step: name, start: name, end: name, ready: name })),
      rooms: list(object({ room: id, ready: name })),
      labourMin: number,
    }),
    advice: list(
      object({
        code: name,
        severity: words(['stop', 'warn', 'note']),
        reason: { type: 'string' },
        cures: list({ type: 'object' }),
      }),
    ),
    cautions: list(object({ id: name, text: { type: 'string' } })),
  }),
};
