import { applyChanges, type Cure } from './advice';
import {
  arrayOf,
  JOB_SCHEMA,
  mirrored,
  nextName,
  readJob,
  troubleAfter,
  writeJob,
  type Job,
  type Room,
} from './job';
import { sequence } from './units';
import { plan, Reuse } from './plan';
import { demoJob, jobOf, plainRoom } from './testing/samples';

/** So many edits a run; `npm run torture` makes a hundred thousand. */
const STEPS = Number(process.env['LISSE_EDITS'] ?? 420);
/** Between two readings of the written job, and plans of it. */
const LOOK = STEPS > 10000 ? 200 : 60;
/** Measures set to the most they may be, at the most. */
const HALLS = 12;

type Doc = Record<string, unknown>;
type Schema = Doc & {
  type?: string;
  enum?: unknown[];
  const?: unknown;
  minimum?: number;
  maximum?: number;
  items?: Schema;
  properties?: Record<string, Schema>;
  else?: Schema;
  additionalProperties?: Schema;
};

class Hand {
  private readonly next: () => number;
  private ids = 0;
  constructor(seed: number) {
    this.next = sequence(seed);
  }
  below = (n: number): number => Math.floor(this.next() * n) % Math.max(1, n);
  pick = <T>(all: readonly T[]): T => all[this.below(all.length)] as T;
  chance = (share: number): boolean => this.next() < share;
  between = (a: number, b: number): number => a + this.next() * (b - a);
  id = (): string => `made-${this.ids++}`;
}

const inside = (schema: Schema | undefined, key: string, list: boolean): Schema | undefined =>
  list
    ? schema?.items
    : (schema?.properties?.[key] ?? schema?.else?.properties?.[key] ?? schema?.additionalProperties);

/** What a field of this sort might be set to by somebody: the ends of its limits, what lies between and beyond. */
function valueFor(schema: Schema, now: unknown, hand: Hand): unknown {
  if (schema.enum) return hand.pick(schema.enum);
  if (schema.type === 'boolean') return hand.chance(0.5);
  if (schema.type === 'string')
    return hand.pick(['x', '', 'x'.repeat(200), 'x'.repeat(201), 'Süd 2', now, now]);
  if (schema.type !== 'number' && schema.type !== 'integer') return now;
  const [least, most] = [schema.minimum ?? 0, schema.maximum ?? 1e6];
  const within = Math.round(hand.between(least, Math.min(most, least + 10000)) * 10) / 10;
  const near = typeof now === 'number' ? now + hand.pick([-1000, -100, -0.4, 0.4, 100, 1000]) : within;
  // Halls of a hundred metres are opened and planned too, a few of them: planning one takes as long as a thousand steps.
  const end = most < 20000 || hand.chance(HALLS / STEPS) ? most : within;
  return hand.pick([least, end, within, near, near, near, least - 0.4, most + 1]);
}

/** Sets one field, anywhere in the job, as its own field on the page would. */
function poke(job: Doc, hand: Hand): void {
  let at: Doc = job;
  let schema: Schema | undefined = JOB_SCHEMA as Schema;
  for (let depth = 0; depth < 8 && schema; depth++) {
    const keys = Object.keys(at).filter((key) => !['id', 'format'].includes(key));
    if (keys.length === 0) return;
    const key = hand.pick(keys);
    const held = at[key];
    const inner: Schema | undefined = inside(schema, key, Array.isArray(at));
    if (typeof held === 'object' && held !== null) {
      at = held as Doc;
      schema = inner;
    } else {
      if (inner) at[key] = valueFor(inner, held, hand);
      return;
    }
  }
}

/** What else the page does to a job. */
const DEEDS: readonly ((job: Job, hand: Hand, cures: readonly Cure[]) => void)[] = [
  (job, hand) => {
    const room = hand.pick(job.rooms);
    job.rooms.push({ ...structuredClone(room), id: hand.id(), name: nextName(room.name) });
  },
  (job, hand) => {
    if (job.rooms.length > 2) job.rooms.splice(hand.below(job.rooms.length), 1);
  },
  (job, hand) => {
    const i = hand.below(job.rooms.length);
    job.rooms[i] = mirrored(job.rooms[i] as Room);
  },
  (job, hand) => {
    if (job.rooms.length < 8) job.rooms.push(...arrayOf(hand.pick(job.rooms), 2, 'Room 9', true, hand.id));
  },
  (job, hand) => {
    const room = hand.pick(job.rooms);
    const opening = { id: hand.id(), wall: hand.below(6), kind: 'window', returns: 'boarded' } as const;
    const [leftMm, bottomMm] = [hand.below(5000), hand.below(3000)];
    room.openings.push({
      ...opening,
      leftMm,
      bottomMm,
      widthMm: 50 + hand.below(3000),
      heightMm: 50 + hand.below(2000),
    });
  },
  (job, hand) => {
    const room = hand.pick(job.rooms);
    const kind = hand.pick(['soffit', 'beam', 'column', 'ledge'] as const);
    const size = {
      leftMm: hand.below(4000),
      offMm: hand.below(3000),
      alongMm: 20 + hand.below(4000),
      outMm: 20 + hand.below(900),
    };
    room.boxes = [
      ...(room.boxes ?? []),
      { id: hand.id(), kind, wall: hand.below(5), bottomMm: hand.below(3000), ...size },
    ].slice(-3);
  },
  (job, hand) => {
    const room = hand.pick(job.rooms);
    room.ceiling = {
      kind: hand.pick(['slope', 'gable'] as const),
      wall: hand.below(5),
      highMm: 300 + hand.below(6000),
    };
  },
  (job, hand) => {
    const room = hand.pick(job.rooms);
    room.joints = {
      ...room.joints,
      [hand.pick(['wall-0.butt-1', 'corner-1', 'gone'])]: { humpMm: hand.below(50), gapMm: hand.below(100) },
    };
  },
  (job, hand) => {
    const key = hand.pick(['screwWallMm', 'paceHead', 'gapMm', 'skimMm', 'taperWidthMm', 'bedMm']);
    job.shop = { ...job.shop, figures: { ...job.shop?.figures, [key]: hand.pick([0, 1e-9, 1, 60, 1e6]) } };
  },
  (job, hand, cures) => {
    const cure = cures.length > 0 ? hand.pick(cures) : undefined;
    applyChanges(job, structuredClone(cure?.changes ?? []));
  },
];

it(`whatever is edited, ${STEPS} times over, what is kept opens again and is planned`, () => {
  const hand = new Hand(20261125);
  const reuse = new Reuse();
  let job = jobOf([...demoJob('pier-house').rooms, plainRoom()]);
  let cures: Cure[] = [];
  let refused = 0;
  for (let step = 1; step <= STEPS; step++) {
    const after = structuredClone(job);
    const deed = hand.chance(0.75) ? undefined : hand.pick(DEEDS);
    if (deed) deed(after, hand, cures);
    else poke(after as unknown as Doc, hand);
    if (troubleAfter(job, after).length > 0) refused++;
    else job = after;
    if (step % LOOK > 0) continue;
    // Long runs say how far they are, and what the last plan took.
    if (STEPS > 10000) process.stderr.write(`${step} `);
    const began = performance.now();
    const read = readJob(writeJob(job));
    expect(read).toMatchObject({ ok: true, notes: [] });
    if (!read.ok) return;
    const made = plan(read.job, undefined, reuse);
    cures = made.advice.flatMap((advice) => advice.cures.filter((cure) => cure.changes));
    expect(Number.isFinite(made.totals.wetL) && Number.isFinite(made.days.labourMin)).toBe(true);
    if (performance.now() - began > 5000)
      process.stderr.write(
        `(${Math.round((performance.now() - began) / 1000)} s, ${Math.round(made.totals.boardAreaM2)} m², ${job.rooms.length} rooms) `,
      );
    // A job of halls, or of a house, in a few steps is not what is looked for here.
    if (made.totals.boardAreaM2 > 2000 || job.rooms.length > 12)
      job = jobOf([...demoJob('pier-house').rooms, plainRoom()]);
  }
  expect(refused).toBeGreaterThan(STEPS / 50);
  expect(refused).toBeLessThan(STEPS / 2);
});
