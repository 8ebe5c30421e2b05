import {
  AIRS,
  CHOICES,
  COATS,
  COMPOUNDS,
  DECORATIONS,
  FORMAT,
  JOINT_KINDS,
  LEVELS,
  OPENING_KINDS,
  QUALITIES,
  SUBSTRATES,
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

const id = { type: 'string', pattern: '^[A-Za-z0-9][A-Za-z0-9_.-]{0,63}$' };
const name = { type: 'string', maxLength: 200 };
const time = { type: 'string', pattern: '^([01]\\d|2[0-3]):[0-5]\\d$' };
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
      ],
    },
    openings: list(
      object({
        id,
        wall: { type: 'integer', minimum: 0, maximum: 199, description: 'counted from 0 along the outline' },
        kind: words(OPENING_KINDS),
        leftMm: range(0, 100000, { description: 'from the left end of the wall, seen from inside' }),
        bottomMm: range(0, 30000, { description: 'above the floor' }),
        widthMm: range(50, 100000),
        heightMm: range(50, 30000),
        returns: words(['boarded', 'cased']),
      }),
      { maxItems: 200 },
    ),
    board: object({
      widthMm: range(300, 2000),
      lengthsMm: list(range(600, 8000), { minItems: 1, maxItems: 20 }),
      thicknessMm: range(6, 30),
      walls: words(['across', 'upright']),
    }),
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
    joints: {
      type: 'object',
      description: 'what was measured on a joint, by its id',
      additionalProperties: object(
        { kind: words(JOINT_KINDS), gapMm: range(0, 100), humpMm: range(-50, 50), lippageMm: range(-20, 20) },
        ['kind', 'gapMm', 'humpMm', 'lippageMm'],
      ),
    },
    bands: object({ flatMm: range(100, 1700), buttMm: range(100, 1700) }, ['flatMm', 'buttMm']),
  },
  ['oldWork', 'rated', 'joints', 'bands'],
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
            kind: words(['ceiling', 'wall']),
            widthMm: number,
            heightMm: number,
            areaM2: number,
          }),
        ),
        boards: list(
          object({ face: name, rect: list(number, { minItems: 4, maxItems: 4 }), stockMm: number }),
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
          }),
        ),
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
