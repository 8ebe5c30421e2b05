import {
  BARES,
  BEADS,
  BID_KINDS,
  COATS,
  COMPOUNDS,
  DAMAGES,
  ELEMENTS,
  JOINT_KINDS,
  MENDINGS,
  MEND_PASSES,
  STEPS,
  SURES,
} from './vocabulary';
import { id, list, name, number, object, words, type Schema } from './schema-parts';

/** Local, as the clock on site shows it. */
const time = { type: 'string', pattern: '^\\d{4}-\\d\\d-\\d\\dT\\d\\d:\\d\\d$' };

const byName = { type: 'object', additionalProperties: number };

/** JSON Schema of a plan, as the terminal prints it. */
export const PLAN_SCHEMA: Schema = {
  $schema: 'http://json-schema.org/draft-07/schema#',
  title: 'Lisse plan',
  description:
    'What Lisse makes of a job. Derived, never stored. Lengths mm, volumes L, masses kg, times min or local ISO times.',
  ...object(
    {
      format: { const: 'lisse-plan/1' },
      job: id,
      rooms: list(
        object(
          {
            id,
            faces: list(
              object({
                id: name,
                kind: words(['ceiling', 'slope', 'wall', 'box', 'reveal']),
                part: object(
                  {
                    is: words(['ceiling', 'slope', 'wall', 'box', 'reveal']),
                    slope: { type: 'integer' },
                    wall: { type: 'integer' },
                    box: id,
                    opening: name,
                    closet: id,
                    side: { type: ['integer', 'string'] },
                  },
                  ['slope', 'wall', 'box', 'opening', 'closet', 'side'],
                ),
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
            high: object({ topMm: number, areaM2: number, highM2: number, veryHighM2: number }),
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
                mixMin: number,
                how: words(['setting', 'drying', 'none']),
                hardenMin: number,
              }),
            ),
            mends: list(
              object({
                id: name,
                kind: words(DAMAGES),
                count: { type: 'integer' },
                on: words(BARES),
                layers: list(
                  object(
                    {
                      pass: words(MEND_PASSES),
                      coat: words(COATS),
                      compound: words(COMPOUNDS),
                      setMin: number,
                      wetL: number,
                      layerMm: number,
                      minutes: number,
                      lateMin: number,
                    },
                    ['coat', 'compound', 'setMin'],
                  ),
                ),
                sandMin: number,
                takesMin: number,
                oneVisit: { type: 'boolean' },
                paintAfterMin: number,
              }),
            ),
            advice: list({ type: 'object' }),
          },
          ['high'],
        ),
      ),
      mending: object({
        chosen: words(MENDINGS),
        byHand: { type: 'boolean' },
        visits: list(object({ mending: words(MENDINGS), visits: { type: 'integer' } })),
      }),
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
        beads: list(
          object({
            kind: words(BEADS),
            corners: { type: 'integer' },
            boughtMm: number,
            boundMm: number,
            splices: { type: 'integer' },
          }),
        ),
        items: list(
          object({
            kind: name,
            product: name,
            unit: words(['L', 'mm', 'm2', 'count']),
            need: object({ low: number, likely: number, high: number }),
            used: number,
            onHand: number,
            blocked: number,
            buy: number,
            packages: list(
              object({ id: name, count: { type: 'integer' }, holds: number, massKg: number, price: number }),
            ),
            leftover: number,
            cost: number,
            massKg: number,
            why: { type: 'object' },
          }),
        ),
        sure: words(SURES),
        sureWays: list(object({ sure: words(SURES), cost: number, short: number })),
        massKg: number,
        cost: number,
      }),
      oneCompound: object({
        on: { type: 'boolean' },
        byHand: { type: 'boolean' },
        compound: words(COMPOUNDS),
        without: words(COMPOUNDS),
      }),
      stock: list(
        object(
          {
            id: name,
            ware: name,
            each: number,
            got: number,
            used: number,
            spoiled: number,
            left: number,
            useBy: name,
          },
          ['useBy'],
        ),
      ),
      bid: object({
        digits: { type: 'integer' },
        lines: list(object({ kind: words(BID_KINDS), amount: number })),
        net: number,
        total: number,
        rooms: list(object({ room: id, amount: number, labourMin: number })),
        grades: list(object({ amount: number, areaM2: number })),
      }),
      cuts: list(
        object({
          kind: words(BEADS),
          stockMm: number,
          onHand: { type: 'boolean' },
          kerfMm: number,
          pieces: list(
            object({ n: { type: 'integer' }, mm: number, room: id, joint: name, nth: { type: 'integer' } }),
          ),
          offcutMm: number,
        }),
      ),
      days: object(
        {
          tasks: list(
            object(
              {
                id: name,
                room: id,
                step: words(STEPS),
                rows: list(words(ELEMENTS)),
                spots: list(name),
                people: list(name),
                start: time,
                end: time,
                ready: time,
                readyEarly: time,
                readyLate: time,
                labourMin: number,
                mixMin: number,
                after: list(name),
                open: time,
                slackMin: number,
                state: words(['planned', 'begun', 'paused', 'done']),
                batches: list(
                  object({
                    at: time,
                    compound: words(COMPOUNDS),
                    setMin: number,
                    litres: number,
                    powderKg: number,
                    waterL: number,
                    potEnds: time,
                    cleanBy: time,
                  }),
                ),
              },
              ['spots'],
            ),
          ),
          rooms: list(object({ room: id, ready: time })),
          finish: time,
          bound: time,
          proved: { type: 'boolean' },
          critical: list(name),
          visits: { type: 'integer' },
          trips: { type: 'integer' },
          people: list(
            object({
              id: name,
              days: list(object({ day: name, from: time, to: time, workMin: number, idleMin: number })),
            }),
          ),
          idle: list(
            object({ person: name, from: time, to: time, minutes: number, before: name, waitsFor: name }, [
              'waitsFor',
            ]),
          ),
          told: list(object({ how: name, n: { type: 'integer' }, late: number, planned: number })),
          air: list(object({ room: id, at: time, tempC: number, rhPct: number, waterL: number })),
          leaving: list(object({ date: name, litres: number })),
          power: object({ fansKWh: number, heatKWh: number, dryingKWh: number, cost: number }),
          labourMin: number,
          setupMin: number,
        },
        ['finish', 'bound', 'air', 'leaving', 'power'],
      ),
      runs: list(
        object({
          room: id,
          coat: words(COATS),
          joints: list(name),
          faces: list(object({ joint: name, face: name })),
          cannot: list(name),
          corners: list(object({ id: name, faces: list(name) })),
          refills: list(object({ joint: name, atMm: number })),
        }),
      ),
      advice: list(
        object({
          code: name,
          severity: words(['stop', 'warn', 'note']),
          reason: { type: 'string' },
          cures: list({ type: 'object' }),
        }),
      ),
      cautions: list(object({ id: name, text: { type: 'string' } })),
    },
    ['oneCompound'],
  ),
};
