import { COATS, COMPOUNDS, JOINT_KINDS } from './vocabulary';
import { id, list, name, number, object, words, type Schema } from './schema-parts';

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
            hungMm2: number,
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
          hungM2: number,
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
    order: object({
      compounds: list({ type: 'object' }),
      boards: list(
        object({
          thicknessMm: number,
          bought: list(object({ widthMm: number, lengthMm: number, count: { type: 'integer' } })),
          boughtM2: number,
          hungM2: number,
          wasteM2: number,
        }),
      ),
      massKg: number,
    }),
    days: object({
      tasks: list(object({ room: id, step: name, start: name, end: name, ready: name })),
      rooms: list(object({ room: id, ready: name })),
      labourMin: number,
      setupMin: number,
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
