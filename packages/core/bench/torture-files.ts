// Job files with one to three things changed anywhere, drawings and tables torn and stirred: nothing may throw, what is
// refused says where in words, what is taken is planned. Reading is measured against the number of keys.
import Ajv from 'ajv';
import { readFileSync } from 'node:fs';
import {
  checkJob,
  EN,
  METRIC,
  JOB_SCHEMA,
  newJob,
  newRoom,
  plan,
  PRESETS,
  readJob,
  readRoomsCsv,
  Reuse,
  sequence,
  speech,
  writeJob,
  type Preset,
} from '../src';

type Doc = Record<string, unknown>;
const said = speech(EN, METRIC);
const FILES = Number(process.env['LISSE_FILES'] ?? 4000);
const text = readFileSync('apps/web/public/demo/tarn-ferry.lisse.json', 'utf8');
const valid = new Ajv({ strict: false }).compile(JOB_SCHEMA);
const random = sequence(7);
const pick = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length) % all.length] as T;

const spots = (value: unknown, at: string[] = []): string[][] =>
  typeof value === 'object' && value !== null
    ? Object.entries(value).flatMap(([key, inner]) => [[...at, key], ...spots(inner, [...at, key])])
    : [];
const all = spots(JSON.parse(text));
const bad = [
  null,
  -1,
  0,
  1e12,
  1e-9,
  0.5,
  '',
  'x'.repeat(300),
  true,
  [],
  {},
  [[]],
  '2026-02-31',
  'NaN',
  { a: { b: 1 } },
];
/** What a schema cannot say, and the door does. */
const beyond = /later than|cross|same place|enclose|across/;

let [taken, refused, mendable, apart, silent] = [0, 0, 0, 0, 0];
const reuse = new Reuse();
for (let i = 0; i < FILES; i++) {
  const doc = JSON.parse(text) as Doc;
  for (let n = 1 + Math.floor(random() * 3); n > 0; n--) {
    const spot = pick(all);
    let owner: unknown = doc;
    for (const key of spot.slice(0, -1)) owner = (owner as Doc | undefined)?.[key];
    if (typeof owner === 'object' && owner !== null)
      (owner as Doc)[spot.at(-1) as string] = structuredClone(pick(bad));
  }
  const read = checkJob(doc);
  if (read.ok) taken++;
  else {
    refused++;
    if (read.mended) mendable++;
    if (read.problems.some((p) => !p.where || /\$value|undefined/.test(said(p.message)))) silent++;
  }
  const told = read.ok ? '' : read.problems.map((p) => said(p.message)).join();
  if (valid(doc) !== read.ok && !beyond.test(told)) apart++;
  const job = read.ok ? read.job : read.mended?.job;
  if (job && i % 40 === 0) {
    if (!readJob(writeJob(job)).ok) throw new Error('what was written does not open');
    plan(job, undefined, reuse);
  }
}
console.log(
  `${FILES} job files: ${taken} taken, ${refused} refused, ${mendable} of them to be mended, ${apart} on which door and schema differ, ${silent} without words.`,
);

for (let i = 0; i < 400; i++) {
  const rows = [
    'name,length,width,height,finish',
    ...Array.from({ length: 5 }, () => `R,${pick(['4', '4 m', 'x', '-1', '=1+1', '1e9', ''])},3 m,2.4 m,Q2`),
  ];
  const at = Math.floor(random() * rows.join('\n').length);
  readRoomsCsv(rows.join('\n').slice(0, at) + pick(['', '"', ';', '\0', '\n\n']), 'metric', () => 'id');
}
console.log('400 tables: none threw.');

const keyed = (n: number): Doc => {
  const room = newRoom('a', 'A', 'metric', { lengthMm: 4800, widthMm: 3600, heightMm: 2400 });
  const job = newJob('j', 'J', 'metric', '2026-11-30', (PRESETS[0] as Preset).way);
  return {
    ...job,
    rooms: [{ ...room, ...Object.fromEntries(Array.from({ length: n }, (_, i) => [`x${i}`, i])) }],
  };
};
const ms = [50000, 100000, 200000].map((n) => {
  const doc = keyed(n);
  const began = performance.now();
  checkJob(doc);
  return performance.now() - began;
});
console.log(`50 000, 100 000 and 200 000 keys read in ${ms.map((t) => `${t.toFixed(0)} ms`).join(', ')}.`);
if (apart + silent > 0 || (ms[2] as number) > 8 * (ms[0] as number) + 200) process.exit(1);
